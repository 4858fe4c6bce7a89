/* A run typed into a table. Loaded after sassafras.js, on the page of the table alone. */
'use strict';

/* The data table: a cell is recorded when it is left, one after another, and says so itself; the rest of the table follows. */
const table = {
  queue: Promise.resolve(),
  form() { return document.querySelector('form.data-table'); },
  fields() { return [...document.querySelectorAll('.cells [name=text], .cells [name=tick]')]; },
  say(words) { document.getElementById('table-said').textContent = words; },
  /* What is filled in from another run is recorded by Enter, not by passing over it. */
  record(field, more, entered) {
    const cell = field.closest('td');
    const known = cell.dataset.known === field.value && !entered && !more;
    if (field.value.trim() === '' || known || (cell.dataset.sent === field.value && !more)) { return; }
    cell.dataset.sent = field.value;
    table.send(cell, [['cell', cell.querySelector('[name=cell]').value], ['text', field.value], ...(more || [])]);
  },
  send(cell, values) {
    table.form().setAttribute('aria-busy', 'true');
    table.queue = table.queue.then(async () => {
      const form = table.form();
      const data = new URLSearchParams([...values, ...['key', 'way', '_csrf'].flatMap((name) => (
        [...form.querySelectorAll(`[name=${name}]`)].map((each) => [name, each.value])))]);
      let answer = null;
      while (!answer) {
        try {
          answer = await fetch(form.action, { method: 'POST', body: data, headers: { Accept: 'text/html', 'X-Page': changes.page } });
        } catch (unreachable) {
          table.say('Not recorded yet: the server does not answer. What was typed stays here and is tried again.');
          await new Promise((resume) => setTimeout(resume, 2000));
        }
      }
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      if (!page.querySelector('form.data-table')) { window.location.assign(answer.url); return; }
      table.merge(page, cell.id);
    });
    const last = table.queue;
    last.then(() => { if (last === table.queue) { table.form().setAttribute('aria-busy', 'false'); } });
  },
  merge(page, sent) {
    const fresh = [...page.querySelectorAll('.cells tbody > tr')];
    const body = document.querySelector('.cells tbody');
    table.form().querySelector('[name=key]').value = page.querySelector('form.data-table [name=key]').value;
    let last = null;
    fresh.forEach((row) => {
      let old = document.getElementById(row.id);
      if (!old) {
        old = document.importNode(row, true);
        if (last) { last.after(old); } else { body.prepend(old); }
      } else {
        [...row.cells].forEach((cell) => table.renew(cell, cell.id && document.getElementById(cell.id), sent));
      }
      last = old;
    });
    const there = new Set(fresh.map((row) => row.id));
    [...body.rows].filter((row) => !there.has(row.id) && !table.typedIn(row)).forEach((row) => row.remove());
  },
  typedIn(part) {
    return [...part.querySelectorAll('[name=text]')].some((each) => each === document.activeElement
      || (each.value !== '' && each.value !== each.closest('td').dataset.known));
  },
  renew(fresh, old, sent) {
    if (!old || (old.id !== sent && table.typedIn(old))) { return; }
    const field = old.querySelector('[name=text]');
    if (old.id === sent && field && field.value !== old.dataset.sent) { return; }
    const focused = old.contains(document.activeElement);
    const put = document.importNode(fresh, true);
    old.replaceWith(put);
    const now = put.querySelector('[name=text], [name=tick]');
    if (old.id === sent && now && now.name === 'text') { put.dataset.sent = now.value; }
    if (old.id === sent && put.matches('.filled')) {
      put.classList.add('saved');
      table.say(`saved: ${put.closest('tr').querySelector('th span').textContent}, ${put.textContent.trim()}`);
    }
    if (focused) { (now || put.querySelector('a, input') || put).focus(); }
  },
  /* The cell after a place: down the column, or across the row where that was chosen. */
  after(at) {
    const across = document.getElementById('across').checked;
    const order = (place) => (across ? [place[1], place[0]] : place);
    const later = (one, other) => one[0] - other[0] || one[1] - other[1];
    return table.fields()
      .map((each) => [each, order(table.place(each))])
      .filter((each) => later(each[1], order(at)) > 0)
      .sort((one, other) => later(one[1], other[1]))
      .map((each) => each[0])[0];
  },
  place(field) { return [field.closest('td').cellIndex, field.closest('tr').rowIndex]; },
  beside(field, rows, columns) {
    const cell = field.closest('td');
    const fields = table.fields();
    if (columns) {
      const row = fields.filter((each) => each.closest('tr') === cell.closest('tr'));
      return row[row.indexOf(field) + columns];
    }
    const column = fields.filter((each) => each.closest('td').cellIndex === cell.cellIndex);
    return column[column.indexOf(field) + rows];
  },
  go(to) {
    if (!to) { return; }
    to.focus();
    if (to.type === 'text') { to.select(); }
  },
  /* Records and goes on. What an answer opens or rules out is known only when it is recorded: so long it waits. */
  async enter(field) {
    const row = field.closest('tr').id;
    const column = field.closest('td').cellIndex;
    if (field.name === 'text') { table.record(field, null, true); }
    if (field.type !== 'text') { await table.queue; }
    // a cell that was just recorded has the focus where its field was: Enter goes on from there, too
    const now = document.getElementById(row);
    const next = table.after([column, now ? now.rowIndex : 0]);
    if (next) { table.go(next); } else { document.activeElement.blur(); }
  },
  pressed(event) {
    const field = event.target;
    if (event.key === 'Enter' && field.matches('.saved a')) { event.preventDefault(); table.enter(field); }
    if (!field.matches('[name=text], [name=tick]')) { return; }
    const types = field.type === 'text';
    const go = (rows, columns) => {
      const to = table.beside(field, rows, columns);
      if (to) { event.preventDefault(); table.go(to); }
    };
    if (event.key === 'Enter') { event.preventDefault(); table.enter(field); }
    if (event.key === 'Escape' && types) { field.value = ''; }
    if (event.key === 'ArrowUp' && types) { go(-1, 0); }
    if (event.key === 'ArrowDown' && types) { go(1, 0); }
    if (event.key === 'ArrowLeft' && (!types || field.selectionEnd === 0)) { go(0, -1); }
    if (event.key === 'ArrowRight' && (!types || field.selectionStart === field.value.length)) { go(0, 1); }
  },
  async paste(event) {
    const text = event.clipboardData.getData('text/plain');
    if (!/[\t\n]/.test(text.trim())) { return; }
    event.preventDefault();
    const form = document.querySelector('#paste form');
    form.elements.text.value = text;
    form.elements.from.value = event.target.closest('tr').dataset.row;
    drafts.waiting = true;
    form.submit();
  },
};
document.addEventListener('DOMContentLoaded', () => {
  const form = table.form();
  if (!form) { return; }
  document.querySelectorAll('.by-script').forEach((each) => each.removeAttribute('hidden'));
  document.querySelectorAll('.no-script-only').forEach((each) => each.setAttribute('hidden', ''));
  const across = document.getElementById('across');
  across.checked = window.localStorage.getItem('enter goes across') === 'yes';
  across.addEventListener('change', () => window.localStorage.setItem('enter goes across', across.checked ? 'yes' : 'no'));
  form.addEventListener('keydown', table.pressed);
  form.addEventListener('focusout', (event) => { if (event.target.name === 'text') { table.record(event.target); } });
  form.addEventListener('change', (event) => {
    if (event.target.name === 'tick') { table.send(event.target.closest('td'), [['tick', event.target.value]]); }
  });
  form.addEventListener('click', (event) => {
    const sure = event.target.closest('[name=sure]');
    if (sure) { event.preventDefault(); table.record(sure.closest('td').querySelector('[name=text]'), [['sure', sure.value]]); }
  });
  form.addEventListener('paste', table.paste);
  form.addEventListener('submit', (event) => event.preventDefault());
  table.fields()
    .filter((each) => each.name === 'text' && each.value !== '' && !each.closest('td').dataset.known)
    .forEach((each) => { each.closest('td').dataset.sent = each.value; });
  const pasted = document.getElementById('record-pasted');
  const first = table.fields()[0];
  if (pasted) { pasted.focus(); } else if (first) { first.focus(); }
});
