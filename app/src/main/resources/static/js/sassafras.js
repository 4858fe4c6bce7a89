/* Behaviour of the bench book. The pages work without it; with it a value is kept without losing the page. */
'use strict';

/* A region of the page, fetched by itself and put in place of the old one. One in which somebody types, or has typed what
   is not sent yet, is left alone. */
const regions = {
  busy(region) {
    const fields = [...region.querySelectorAll('input:not([type=hidden]), textarea')];
    return fields.some((field) => field === document.activeElement || field.value !== field.defaultValue)
      || (region.contains(document.activeElement) && document.activeElement.matches('select'));
  },
  async renew(name) {
    const old = document.querySelector(`[data-region="${name}"]`);
    if (!old || regions.busy(old)) { return false; }
    const answer = await fetch(window.location.href, { headers: { Accept: 'text/html', 'X-Region': name } });
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const fresh = page.querySelector(`[data-region="${name}"]`);
    if (!answer.ok || !fresh || !old.isConnected || regions.busy(old)) { return false; }
    old.replaceWith(document.importNode(fresh, true));
    return true;
  },
};
window.sassafras = { renew: regions.renew };

/* Back at the page, what others wrote meanwhile is shown. */
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'visible') {
    ['sheet', 'entries'].forEach((name) => regions.renew(name).catch(() => {}));
  }
});

document.addEventListener('alpine:init', () => {

  /* Narrow screens turn the page instead of shrinking it. */
  const openAt = (first) => () => ({
    side: first,
    get onLeft() { return this.side === 'at-left'; },
    get onRight() { return this.side === 'at-right'; },
    toLeft() { this.side = 'at-left'; },
    toRight() { this.side = 'at-right'; },
  });
  Alpine.data('book', openAt('at-right'));
  Alpine.data('bookAtLeft', openAt('at-left'));

  Alpine.data('run', () => ({
    outbox: '',
    busy: false,
    arrived: Date.now(),

    /* Keeps what was given. While the server does not answer, the value stays in its field and is tried again
       under the same key, so that it is kept once. */
    async keep(event) {
      if (this.busy) { return; }
      this.busy = true;
      const form = event.target;
      const data = new URLSearchParams(new FormData(form));
      const button = event.submitter;
      if (button && button.name) { data.set(button.name, button.value); }
      const given = Date.now();
      for (;;) {
        data.set('ago', String(Date.now() - given));
        try {
          const answer = await fetch(form.action, { method: 'POST', body: data, headers: { Accept: 'text/html' } });
          this.outbox = '';
          this.busy = false;
          await this.show(answer);
          return;
        } catch (unreachable) {
          this.outbox = 'Not kept yet: the server does not answer. The value stays here and is tried again.';
          await new Promise((resume) => setTimeout(resume, 2000));
        }
      }
    },

    async show(answer) {
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      const fresh = page.querySelector('main');
      if (!fresh) { window.location.assign(answer.url); return; }
      if (answer.ok) { window.history.pushState(null, '', answer.url); }
      document.querySelector('main').replaceWith(document.importNode(fresh, true));
      const focus = document.querySelector('main [autofocus], main [aria-invalid], main input:not([type=hidden])');
      if (focus) { focus.focus(); }
      window.scrollTo(0, 0);
    },

    pressed(event) {
      if (event.ctrlKey || event.altKey || event.metaKey || document.querySelector('dialog[open]')) { return; }
      const field = event.target.closest('input, select, textarea');
      if (event.key === 'ArrowUp' && !(field && field.tagName === 'SELECT')) { this.follow('before', event); }
      if (event.key === 'ArrowDown' && !(field && field.tagName === 'SELECT')) { this.follow('skip', event); }
      if (event.key === ' ' && !field) {
        const moment = document.querySelector('button.moment');
        if (moment && event.target !== moment) { event.preventDefault(); moment.click(); }
      }
      if (/^[1-9]$/.test(event.key) && !field) {
        const answer = document.querySelectorAll('.answer-button')[Number(event.key) - 1];
        if (answer) { event.preventDefault(); answer.click(); }
      }
    },

    follow(id, event) {
      const link = document.getElementById(id);
      if (link) { event.preventDefault(); link.click(); }
    },
  }));

  /* Copies a block of working, with a fallback for plain HTTP where the clipboard is closed to pages. */
  Alpine.data('copying', () => ({
    said: '',
    copy(event) {
      const source = document.getElementById(event.currentTarget.dataset.from);
      const box = document.createElement('textarea');
      box.value = source.textContent;
      box.className = 'hidden-label';
      document.body.append(box);
      box.select();
      this.said = document.execCommand('copy') ? 'copied' : 'select the text and copy it by hand';
      box.remove();
    },
  }));

  /* Looks again where something is still being worked out. */
  Alpine.data('lookAgain', () => ({
    init() { setTimeout(() => regions.renew(this.$el.dataset.again).catch(() => {}), 2000); },
  }));

  /* Says that something is being done when it takes long. */
  Alpine.data('slow', () => ({
    doing: '',
    begin() { setTimeout(() => { this.doing = 'Reading the file …'; }, 300); },
  }));
});

window.addEventListener('popstate', () => window.location.reload());

document.addEventListener('keydown', (event) => {
  const typing = event.target.closest('input[name=reason], input[name=title], input[name=name], textarea');
  const keys = document.getElementById('keys');
  if (event.key === '?' && !typing && keys && !keys.open) {
    event.preventDefault();
    keys.showModal();
  }
});
