/* While the server does not answer, readings on a clock, marks, notes and the value in hand wait in this browser and are
   delivered in order, once each; what is refused then stays with the reason, and what came after it goes on. */
'use strict';

const outbox = {
  pause: 2000,
  panel: null,
  going: false,

  open() {
    return new Promise((opened, failed) => {
      const asked = window.indexedDB.open('sassafras', 1);
      asked.onupgradeneeded = () => asked.result.createObjectStore('waiting', { keyPath: 'n', autoIncrement: true });
      asked.onsuccess = () => opened(asked.result);
      asked.onerror = () => failed(asked.error);
    });
  },
  async work(mode, what) {
    const book = await outbox.open();
    try {
      return await new Promise((done, failed) => {
        const change = book.transaction('waiting', mode);
        const asked = what(change.objectStore('waiting'));
        change.oncomplete = () => done(asked.result);
        change.onabort = () => failed(change.error);
      });
    } finally {
      book.close();
    }
  },
  entry() { return window.location.pathname.replace(/^(\/entries\/[^/]+).*/, '$1'); },
  /* What waits at this page's entry, in the order it was given. */
  async waiting() {
    return (await outbox.work('readonly', (store) => store.getAll())).filter((each) => each.entry === outbox.entry());
  },
  key() {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    const hex = [...bytes].map((each) => each.toString(16).padStart(2, '0')).join('');
    return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  },
  /* Whether what comes now has to wait behind what waits already. */
  async busy() { return (await outbox.waiting()).some((each) => !each.refused); },
  /* What a form gives, as a person would say it. */
  words(form, data) {
    if (form.dataset.outbox === 'note') { return `Note: ${data.get('text')}`; }
    const text = data.get('text');
    const asked = document.getElementById('ask-title');
    if (form.dataset.outbox === 'value') { return [asked.textContent, text, data.get('unit')].filter(Boolean).join(' '); }
    return text ? `${data.get('time') || 'now'}, ${text} °C` : form.querySelector('h2, button').textContent.trim();
  },
  /* Takes a form whose answer did not come. It is ready for the next; the one that asks for a value waits for its own. */
  async take(form, data, given) {
    const value = form.dataset.outbox === 'value';
    data.delete('ago');
    await outbox.work('readwrite', (store) => store.add({
      entry: outbox.entry(), action: form.action, body: data.toString(), given, words: outbox.words(form, data), refused: '', value,
    }));
    if (value) { outbox.hold(form, true); } else {
      form.elements.key.value = outbox.key();
      ['text', 'time'].forEach((name) => { if (form.elements[name]) { form.elements[name].value = ''; } });
    }
    await outbox.show();
  },
  /* A field whose value waits takes no other until that one is answered. */
  hold(form, held) {
    form.toggleAttribute('inert', held);
    form.classList.toggle('is-held', held);
  },
  button(words, what) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'plain button';
    button.textContent = words;
    button.addEventListener('click', () => outbox.work('readwrite', what).then(outbox.show));
    return button;
  },
  async show() {
    const waiting = await outbox.waiting();
    if (!outbox.panel) {
      outbox.panel = document.createElement('section');
      outbox.panel.className = 'outbox-panel';
      outbox.panel.setAttribute('aria-label', 'Not delivered yet');
      document.querySelector('main').before(outbox.panel);
    }
    const open = waiting.filter((each) => !each.refused);
    const since = open.length ? new Date(open[0].given).toTimeString().slice(0, 5) : '';
    const head = document.createElement('p');
    head.setAttribute('role', 'status');
    head.textContent = open.length === 0 ? ''
      : `${open.length} not delivered since ${since}: the server does not answer. What is given waits in this browser. `
        + 'No next step is asked until it is delivered.';
    const list = document.createElement('ul');
    waiting.forEach((each) => {
      const line = document.createElement('li');
      line.textContent = each.refused ? `${each.words}: ${each.refused} ` : each.words;
      if (each.refused) {
        line.append(
          outbox.button('Try it again', (store) => store.put({ ...each, refused: '' })),
          outbox.button('I have seen it', (store) => store.delete(each.n)),
        );
      }
      list.append(line);
    });
    outbox.panel.replaceChildren(head, list);
    outbox.panel.toggleAttribute('hidden', waiting.length === 0);
    return open;
  },
  async send(item) {
    const data = new URLSearchParams(item.body);
    data.set('ago', String(Math.max(0, Date.now() - item.given)));
    const answer = await fetch(item.action, { method: 'POST', body: data, headers: { Accept: 'text/html', 'X-Page': window.sassafras.page } });
    // only an answer of this entry's own pages says that it was taken
    const own = new URL(answer.url).pathname.startsWith(item.entry);
    if (answer.status >= 500 || (answer.ok && !own)) { throw new Error('not now'); }
    if (answer.ok) { await outbox.work('readwrite', (store) => store.delete(item.n)); return item.value ? answer.url : ''; }
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const why = page.querySelector('.problem, main p');
    await outbox.work('readwrite', (store) => store.put({ ...item, refused: why ? why.textContent.trim() : 'It was refused.' }));
    document.querySelectorAll('form.is-held').forEach((form) => outbox.hold(form, false));
    return '';
  },
  /* One after another; the first that is not answered ends it for now. */
  async deliver() {
    if (outbox.going) { return; }
    outbox.going = true;
    let sent = 0;
    let next = '';
    try {
      for (let open = await outbox.show(); open.length > 0; open = await outbox.show()) {
        next = await outbox.send(open[0]) || next;
        sent += 1;
      }
    } catch (away) {
      // tried again below
    }
    outbox.going = false;
    if (sent === 0) { return; }
    const held = document.querySelector('form.is-held');
    if (next && held) { window.sassafras.leave(held, next); return; }
    const typed = [...document.querySelectorAll('main input:not([type=hidden])')].some((each) => each.value !== each.defaultValue);
    if (typed) { await window.sassafras.renew('sheet').catch(() => {}); } else { window.location.reload(); }
  },
};
window.outbox = outbox;
/* Loaded again while its value waits, the page asks for no other. */
outbox.resume = async () => {
  const form = document.querySelector('form[data-outbox=value]');
  const at = form && form.elements.at.value;
  const waits = form && window.indexedDB && (await outbox.waiting()).find((each) => each.value && !each.refused
    && new URLSearchParams(each.body).get('at') === at);
  if (!waits) { return; }
  if (form.elements.text) { form.elements.text.value = new URLSearchParams(waits.body).get('text'); }
  outbox.hold(form, true);
};
if (window.indexedDB) {
  outbox.resume().catch(() => {});
  outbox.deliver();
  setInterval(outbox.deliver, outbox.pause);
}
