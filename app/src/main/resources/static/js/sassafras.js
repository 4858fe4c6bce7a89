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
    // what stands above every page is asked of a page that can always be asked
    const from = old.dataset.from || window.location.href;
    const answer = await fetch(from, { headers: { Accept: 'text/html', 'X-Region': name } });
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const fresh = page.querySelector(`[data-region="${name}"]`);
    if (!answer.ok || !fresh || !old.isConnected || regions.busy(old)) { return false; }
    const become = window.sassafras.become || ((was, is) => was.replaceWith(document.importNode(is, true)));
    become(old, fresh);
    document.dispatchEvent(new CustomEvent('renewed', { detail: name }));
    return true;
  },
};
window.sassafras = {
  renew: regions.renew,
  /* On to another page, once what was typed into a form is kept. */
  leave(form, address) {
    drafts.forget(form);
    drafts.waiting = true;
    window.location.assign(address);
  },
};

/* What is needed once somebody gives something comes when the page is shown already, or as soon as somebody types. */
const later = {
  begun: false,
  fetch() {
    const main = document.querySelector('main[data-later]');
    if (later.begun || !main) { return; }
    later.begun = true;
    const script = document.createElement('script');
    script.src = main.dataset.later;
    document.body.append(script);
  },
};
window.addEventListener('load', () => setTimeout(later.fetch, 3000));
document.addEventListener('input', later.fetch);

/* A chapter of a result is fetched when it is opened, and goes when it is closed; the others stay as they are, with what is
   typed in them. Without this, its heading is a link to the same page. */
const chapters = {
  turn(fresh, old) {
    if (fresh.className !== old.className) { old.replaceWith(document.importNode(fresh, true)); return; }
    old.querySelector('h2 a').href = fresh.querySelector('h2 a').href;
  },
  async follow(link) {
    const key = link.dataset.opens;
    const heading = link.matches('h2 a, #open-all');
    const turns = heading ? link : document.querySelector(`.chapter:not(.is-open) #open-${key}`);
    if (turns) {
      const answer = await fetch(turns.href, { headers: { Accept: 'text/html' } });
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      if (!answer.ok) { throw new Error(answer.status); }
      page.querySelectorAll('.chapter').forEach((fresh) => chapters.turn(fresh, document.getElementById(fresh.id)));
      document.getElementById('open-all').replaceWith(document.importNode(page.getElementById('open-all'), true));
      window.history.replaceState(null, '', turns.href);
    }
    if (!heading) { document.getElementById(`chapter-${key}`).scrollIntoView(); }
    document.getElementById(key === 'all' ? 'open-all' : `open-${key}`).focus({ preventScroll: true });
  },
};
document.addEventListener('click', (event) => {
  const link = event.target.closest('a[data-opens]');
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) { return; }
  event.preventDefault();
  chapters.follow(link).catch(() => window.location.assign(link.href));
});

/* What is typed and not sent waits for its field, and the page is not left over it without asking. */
const drafts = {
  waiting: false,
  name(field) {
    const form = field.form;
    const at = form && form.elements.at;
    return at && field.name && !form.elements.supersedes ? `draft ${window.location.pathname} ${at.value} ${field.name}` : null;
  },
  open() {
    return [...document.querySelectorAll('main form input:not([type=hidden]):not([type=radio]), main form textarea')]
      .filter((field) => field.value !== field.defaultValue || (field.value !== '' && field.closest('.cells')));
  },
  keep(field) {
    const name = drafts.name(field);
    if (name) { window.sessionStorage.setItem(name, field.value); }
  },
  restore() {
    document.querySelectorAll('main form.answer input:not([type=hidden]):not([type=radio])').forEach((field) => {
      const name = drafts.name(field);
      const kept = name && window.sessionStorage.getItem(name);
      if (kept && field.value === field.defaultValue) { field.value = kept; }
    });
  },
  forget(form) {
    [...form.elements].forEach((field) => {
      const name = drafts.name(field);
      if (name) { window.sessionStorage.removeItem(name); }
    });
  },
};

window.addEventListener('beforeunload', (event) => {
  if (!drafts.waiting && drafts.open().length > 0) { event.preventDefault(); }
});

document.addEventListener('submit', () => { drafts.waiting = true; setTimeout(() => { drafts.waiting = false; }, 1000); });

/* The pointer on the instrument's scale follows what is typed; which scale lies there goes by the instrument chosen. */
const scale = {
  number(field) { return Number(field.value.trim().replace(',', '.').replace('−', '-')); },
  follow() {
    const field = document.querySelector('.huge-input');
    const scales = [...document.querySelectorAll('.scale')];
    if (!field || scales.length === 0) { return; }
    const chosen = document.getElementById('instrument');
    const key = chosen ? chosen.value : '';
    const one = scales.find((each) => each.dataset.instrument === key);
    scales.forEach((each) => { each.toggleAttribute('hidden', each !== one); });
    if (!one) { return; }
    const unit = document.getElementById('unit');
    const step = unit && unit.selectedOptions[0] ? unit.selectedOptions[0].dataset : { size: '1', zero: '0' };
    const value = scale.number(field) * Number(step.size) + Number(step.zero);
    const pointer = one.querySelector('.pointer');
    const typed = field.value.trim() !== '' && Number.isFinite(value);
    pointer.toggleAttribute('hidden', !typed);
    if (!typed) { return; }
    const low = Number(one.dataset.low);
    const high = Number(one.dataset.high);
    const at = Math.min(high, Math.max(low, value));
    const left = Number(one.dataset.left);
    const x = left + (at - low) / (high - low) * (Number(one.dataset.right) - left);
    pointer.classList.toggle('off', at !== value);
    pointer.setAttribute('transform', `translate(${x} 0)`);
  },
};

/* Answers are leaves: the heavy letters or the arrows choose one, Enter or a second touch writes it down. */
const leaves = {
  typed: '',
  at: 0,
  choose(event) {
    const lines = [...document.querySelectorAll('.leaf-line')];
    if (lines.length === 0) { return; }
    leaves.typed = (event.timeStamp - leaves.at < 1200 ? leaves.typed : '') + event.key.toLowerCase();
    leaves.at = event.timeStamp;
    const begins = (start) => lines.find((line) => line.textContent.trim().toLowerCase().startsWith(start));
    const line = begins(leaves.typed) || begins(event.key.toLowerCase());
    if (line) {
      event.preventDefault();
      line.querySelector('input').checked = true;
      line.querySelector('input').focus();
    }
  },
};

document.addEventListener('pointerdown', (event) => {
  const line = event.target.closest('.leaf-line');
  if (line) { line.dataset.again = line.querySelector('input').checked ? 'yes' : ''; }
});
document.addEventListener('click', (event) => {
  const line = event.target.closest('.leaf-line');
  if (line && event.target.type !== 'radio' && line.dataset.again === 'yes') { line.closest('form').requestSubmit(); }
});

/* The page on paper. */
document.addEventListener('click', (event) => {
  if (event.target.closest('[data-print]')) { window.print(); }
});

/* A list is searched as one types. */
document.addEventListener('input', (event) => {
  if (!event.target.matches('[data-find]')) { return; }
  const sought = event.target.value.trim().toLowerCase();
  document.querySelectorAll('.found tbody tr').forEach((row) => {
    row.toggleAttribute('hidden', !row.textContent.toLowerCase().includes(sought));
  });
});

/* A value proposed is selected, so that typing takes its place. */
document.addEventListener('focusin', (event) => {
  if (event.target.matches('.huge-input, .assumed input')) { event.target.select(); }
});
document.addEventListener('input', (event) => {
  if (event.target.form) { drafts.keep(event.target); }
  if (event.target.closest('main.run')) { scale.follow(); }
});
document.addEventListener('change', (event) => {
  if (event.target.closest('main.run')) { scale.follow(); }
});

const settle = () => {
  drafts.waiting = false;
  drafts.restore();
  scale.follow();
  if (document.activeElement && document.activeElement.matches('.huge-input')) { document.activeElement.select(); }
};
document.addEventListener('DOMContentLoaded', settle);

/* What is written elsewhere is told here, and its region fetched. A page listens only while it is seen: a browser has six
   connections for all its pages. Back at it, what others wrote meanwhile is shown. */
const changes = {
  stream: null,
  page: (() => {
    const fresh = Math.random().toString(36).slice(2);
    try {
      const kept = window.sessionStorage.getItem('tab') || fresh;
      window.sessionStorage.setItem('tab', kept);
      return kept;
    } catch (shut) { return fresh; }
  })(),
  listen() {
    const main = document.querySelector('[data-changes]');
    if (!main || !window.EventSource || changes.stream || document.visibilityState !== 'visible') { return; }
    const stream = new EventSource(`${main.dataset.changes}&page=${changes.page}`);
    changes.stream = stream;
    stream.addEventListener('changed', (event) => {
      regions.renew(event.data).catch(() => {});
      if (event.data === 'sheet') { ['shown', 'said'].forEach((name) => regions.renew(name).catch(() => {})); }
    });
    stream.addEventListener('open', () => changes.say(''));
    stream.addEventListener('error', () => {
      if (stream.readyState !== EventSource.CLOSED) { return; }
      changes.stream = null;
      changes.say('Too many pages are open: what others write is seen here only when the page is loaded again.');
      setTimeout(changes.listen, 60000);
    });
  },
  leave() {
    if (changes.stream) { changes.stream.close(); }
    changes.stream = null;
  },
  say(words) {
    let note = document.getElementById('not-listening');
    if (!note && words) {
      note = document.createElement('p');
      note.id = 'not-listening';
      note.className = 'outbox';
      note.setAttribute('role', 'status');
      document.querySelector('main').prepend(note);
    }
    if (note) { note.textContent = words; }
  },
};
window.sassafras.page = changes.page;
document.addEventListener('DOMContentLoaded', changes.listen);
window.addEventListener('pagehide', changes.leave);
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState !== 'visible') { changes.leave(); return; }
  ['sheet', 'entries'].forEach((name) => regions.renew(name).catch(() => {}));
  changes.listen();
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

    /* Keeps what was given. While the server does not answer it waits in the outbox, or in a browser without one in its
       field, and is tried again under the same key, so that it is kept once. */
    async keep(event) {
      if (this.busy) { return; }
      this.busy = true;
      const form = event.target;
      const data = new URLSearchParams(new FormData(form));
      const button = event.submitter;
      if (button && button.name) { data.set(button.name, button.value); }
      const given = Date.now();
      const waits = () => window.outbox && window.indexedDB && form.matches('[data-outbox]');
      if (waits() && await window.outbox.busy().catch(() => false)) {
        await window.outbox.take(form, data, given);
        this.busy = false;
        return;
      }
      for (;;) {
        data.set('ago', String(Date.now() - given));
        try {
          const answer = await fetch(form.action, {
            method: 'POST', body: data, headers: { Accept: 'text/html', 'X-Page': changes.page },
          });
          this.outbox = '';
          this.busy = false;
          if (answer.ok) { drafts.forget(form); }
          await this.show(answer);
          return;
        } catch (unreachable) {
          if (waits()) {
            await window.outbox.take(form, data, given);
            this.busy = false;
            return;
          }
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
      const focus = ['main [autofocus]', 'main [aria-invalid]', 'main input:not([type=hidden])']
        .map((what) => document.querySelector(what)).find(Boolean);
      if (focus) { focus.focus(); }
      settle();
      window.scrollTo(0, 0);
    },

    pressed(event) {
      const shown = document.querySelector('.shown form');
      if (event.key === 'Enter' && event.ctrlKey && shown) { event.preventDefault(); shown.requestSubmit(); return; }
      if (event.ctrlKey || event.altKey || event.metaKey || document.querySelector('dialog[open]')) { return; }
      const field = event.target.closest('input, select, textarea');
      const arrows = !(field && (/SELECT|TEXTAREA/.test(field.tagName) || field.type === 'radio'));
      if (event.key === 'Enter' && event.target.id === 'pick') { event.preventDefault(); event.target.form.requestSubmit(); return; }
      if (event.key === 'ArrowUp' && arrows) { this.follow('before', event); }
      if (event.key === 'ArrowDown' && arrows) { this.follow('skip', event); }
      if (event.key === ' ' && (!field || field.closest('.book [data-every]'))) {
        const moment = document.querySelector('button.moment');
        if (moment && event.target !== moment) { event.preventDefault(); moment.click(); }
      }
      const sure = document.querySelector('[data-sure]');
      if (sure && /^y$/i.test(event.key)) { event.preventDefault(); sure.click(); return; }
      if (/^\p{L}$/u.test(event.key) && (!field || field.type === 'radio')) { leaves.choose(event); }
    },

    follow(id, event) {
      const link = document.getElementById(id);
      if (link) { event.preventDefault(); drafts.waiting = true; link.click(); }
    },
  }));

  /* Waits: each counts by itself, and calls when it is over, in words and with a sound if wanted. */
  const soundKept = 'sound at marks';
  const tone = (times) => {
    const air = new AudioContext();
    for (let i = 0; i < times; i += 1) {
      const one = air.createOscillator();
      one.frequency.value = 660;
      one.connect(air.destination);
      one.start(air.currentTime + i * 0.4);
      one.stop(air.currentTime + i * 0.4 + 0.2);
    }
  };
  const clockTime = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds) % 60).padStart(2, '0')}`;
  Alpine.data('waits', () => ({
    said: '',
    sound: window.localStorage.getItem(soundKept) === 'on',
    init() { this.$el.addEventListener('over', (event) => { this.call(event.detail); }); },
    call(label) {
      this.said = `${label}: the wait is over.`;
      if (window.localStorage.getItem(soundKept) === 'on') { tone(3); }
    },
    get soundWords() { return this.sound ? 'Sound when a wait is over: on' : 'Sound when a wait is over: off'; },
    hear() {
      this.sound = !this.sound;
      window.localStorage.setItem(soundKept, this.sound ? 'on' : 'off');
      if (this.sound) { tone(1); }
    },
  }));
  Alpine.data('wait', () => ({
    words: '',
    over: '',
    ticking: null,
    init() {
      const given = this.$el.dataset;
      const arrived = Date.now();
      const counts = given.age !== undefined;
      const end = arrived + Number(counts ? 0 : given.left);
      let called = counts || end <= arrived;
      const tick = () => {
        const left = (end - Date.now()) / 1000;
        if (counts) { this.words = clockTime((Date.now() - arrived + Number(given.age)) / 1000); return; }
        this.words = left > 0 ? `${clockTime(Math.ceil(left))} left` : `over since ${clockTime(-left)}`;
        this.over = left > 0 ? '' : 'over';
        if (left <= 0 && !called) {
          called = true;
          this.$dispatch('over', given.label);
        }
      };
      tick();
      this.ticking = setInterval(tick, 250);
    },
    destroy() { clearInterval(this.ticking); },
  }));

  /* A clock begun earlier, with a mark at each interval: seen, and heard if wanted. */
  Alpine.data('clock', () => ({
    face: '',
    coming: '',
    due: false,
    sound: window.localStorage.getItem(soundKept) === 'on',
    time: '',
    begun: 0,
    every: 30,
    last: 0,
    sounded: 0,
    ticking: null,
    init() {
      const given = this.$el.dataset;
      this.begun = Date.now() - Number(given.age);
      this.every = Number(given.every);
      this.last = Number(given.last);
      this.sounded = Math.floor(this.now() / this.every);
      this.tick();
      this.ticking = setInterval(() => this.tick(), 200);
    },
    destroy() { clearInterval(this.ticking); },
    now() { return (Date.now() - this.begun) / 1000; },
    mark() { return Math.floor(this.now() / this.every) * this.every; },
    written: clockTime,
    /* What the class goes by has come: said once, as long as it holds. */
    turn(now) {
      const given = this.$root.dataset;
      const before = Number(given.before);
      const until = Number(given.until);
      if (given.mixed === 'true') { return until > 0 && now >= until ? 'Long enough.' : ''; }
      return before > 0 && now >= before ? 'Time to mix.' : '';
    },
    tick() {
      const now = this.now();
      const mark = this.mark();
      const time = this.turn(now);
      if (time !== this.time && time && this.ticking && this.sound) { tone(2); }
      this.time = time;
      this.face = this.written(now);
      this.due = now - mark <= this.every / 3 && this.last < mark;
      this.coming = this.due ? `Read now, for ${this.written(mark)}`
        : `Next at ${this.written(mark + this.every)}, in ${Math.ceil(mark + this.every - now)} s`;
      if (mark / this.every > this.sounded) {
        this.sounded = mark / this.every;
        if (this.sound) { tone(1); }
      }
    },
    get markClass() { return this.due ? 'due' : ''; },
    get soundWords() { return this.sound ? 'Sound at each mark: on' : 'Sound at each mark: off'; },
    hear() {
      this.sound = !this.sound;
      window.localStorage.setItem(soundKept, this.sound ? 'on' : 'off');
      if (this.sound) { tone(1); }
    },
    /* The first key tells when it was read: at the mark just passed, or else now. */
    typed(event) {
      const time = event.target.form.elements.time;
      const filled = event.target.value !== '';
      if (filled && time.value === '') {
        const late = this.now() - this.mark();
        time.value = this.written(late <= this.every / 3 && this.last < this.mark() ? this.mark() : this.now());
        time.dataset.own = time.value;
      } else if (!filled && time.value === time.dataset.own) {
        time.value = '';
      }
    },
  }));

  /* A clock that runs no longer: nothing is known of when a reading was typed. */
  Alpine.data('stopped', () => ({ typed() {} }));

  /* Stretches of baseline moved by hand: the server works them out, and the picture follows. */
  Alpine.data('strip', () => ({
    said: '',
    reads: 'Moved along the curve, it shows what was read there.',
    read: null,
    looking: false,
    held: null,
    moved: false,
    part: '',
    root: null,
    init() {
      this.root = this.$el;
      this.part = new URL(window.location.href).search.replace(/^.*?((?:&from=[\d.]+&to=[\d.]+)?)$/, '$1');
    },
    numbers(part) {
      return Object.fromEntries(Object.entries(part.dataset).filter(([name]) => !/live|mark/.test(name))
        .map(([name, value]) => [name, Number(value)]));
    },
    /* Closer, further and along: the part of the time is asked of the server, and the picture follows. */
    see(event) {
      event.preventDefault();
      this.part = event.currentTarget.dataset.look || '';
      const words = event.currentTarget.textContent;
      this.look().then(() => {
        const same = [...this.root.querySelectorAll('.looks a')];
        (same.find((each) => each.textContent === words) || same[0]).focus();
        this.hair();
      });
    },
    nearer(event) {
      const words = { '+': 'Closer', '-': 'Further' }[event.key];
      const link = words && !event.target.matches('input, select, textarea')
        && [...this.root.querySelectorAll('.looks a')].find((each) => each.textContent === words);
      if (link) { event.preventDefault(); link.click(); }
    },
    /* The hairline stands at a reading that counts: the nearest to where it was moved. */
    hair() {
      const picture = this.root.querySelector('.strip-picture');
      const line = picture.querySelector('.hairline');
      const slide = this.root.querySelector('#hair');
      const open = slide && slide.closest('details').open;
      line.toggleAttribute('hidden', !open);
      if (!open) { return; }
      const scales = picture.querySelector('.scales-of');
      const given = this.numbers(scales);
      const x = given.left + Number(slide.value) / 1000 * (given.right - given.left);
      const spots = [...picture.querySelectorAll('.spot:not(.hollow)')]
        .map((each) => [Number(each.getAttribute('cx')), Number(each.getAttribute('cy'))]);
      const dots = picture.querySelector('.dots');
      if (dots) { spots.push(...[...dots.getAttribute('d').matchAll(/M([\d.]+) ([\d.]+)/g)].map((each) => [Number(each[1]), Number(each[2])])); }
      const near = spots.reduce((one, other) => (Math.abs(other[0] - x) < Math.abs(one[0] - x) ? other : one), spots[0]);
      if (!near) { return; }
      const put = (part, values) => Object.entries(values).forEach(([name, value]) => part.setAttribute(name, value));
      put(line.querySelector('.upright'), { x1: near[0], x2: near[0], y1: given.top, y2: given.bottom });
      put(line.querySelector('.level'), { x1: given.left, x2: given.right, y1: near[1], y2: near[1] });
      const seconds = given.first + (near[0] - given.left) / (given.right - given.left) * (given.last - given.first);
      const degrees = given.low + (given.bottom - near[1]) / (given.bottom - given.top) * (given.high - given.low);
      this.read = degrees.toFixed(given.decimals).replace('.', scales.dataset.mark).replace('-', '−');
      this.reads = `${this.written(seconds)}: ${this.read} °C`;
    },
    take(event) {
      this.hair();
      if (this.read) { event.currentTarget.closest('details').querySelector(`#${event.currentTarget.dataset.take}`).value = this.read; }
    },
    hairAt(event) {
      const slide = this.root.querySelector('#hair');
      if (!slide || !slide.closest('details').open) { return false; }
      const picture = this.root.querySelector('.strip-picture');
      const place = picture.getBoundingClientRect();
      const given = this.numbers(picture.querySelector('.scales-of'));
      const x = (event.clientX - place.left) * picture.viewBox.baseVal.width / place.width;
      slide.value = 1000 * (x - given.left) / (given.right - given.left);
      this.hair();
      return true;
    },
    /* Where a pointer is on the clock: the picture scales with the page. */
    at(event) {
      const picture = this.root.querySelector('.strip-picture');
      const bars = picture.querySelector('.bars');
      const place = picture.getBoundingClientRect();
      const size = picture.viewBox.baseVal.width / place.width;
      const given = Object.fromEntries(Object.entries(bars.dataset).map(([name, value]) => [name, Number(value)]));
      const share = ((event.clientX - place.left) * size - given.left) / (given.right - given.left);
      const within = (event.clientY - place.top) * size > given.top;
      return { within, reach: 24 * size / (given.right - given.left) * (given.last - given.first),
        second: given.first + Math.min(1, Math.max(0, share)) * (given.last - given.first) };
    },
    second(text) {
      const time = /^(\d+):([0-5]\d)(?:\.\d)?$/.exec(text.trim());
      return time ? Number(time[1]) * 60 + Number(time[2]) : NaN;
    },
    written(seconds) {
      const whole = Math.max(0, Math.round(seconds));
      return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
    },
    fields() { return [...this.root.querySelectorAll('form.stretches .times input')]; },
    grab(event) {
      if (this.fields().length === 0 || !this.root.querySelector('.bars')) { return; }
      const pointer = this.at(event);
      const off = (field) => Math.abs(this.second(field.value) - pointer.second);
      const near = this.fields().sort((one, other) => off(one) - off(other))[0];
      if (!pointer.within || off(near) > pointer.reach) {
        this.held = this.hairAt(event) ? 'hair' : null;
        return;
      }
      event.preventDefault();
      this.held = near.name;
      event.currentTarget.setPointerCapture(event.pointerId);
      this.root.querySelector('[data-moved]').open = true;
    },
    drag(event) {
      if (!this.held) { return; }
      if (this.held === 'hair') { this.hairAt(event); return; }
      const field = this.fields().find((each) => each.name === this.held);
      const value = this.written(this.at(event).second);
      if (field.value !== value) {
        field.value = value;
        this.moved = true;
        this.look();
      }
    },
    change() { this.moved = true; this.look(); },
    drop() { this.held = null; },
    step(event) {
      const move = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
      const from = this.second(event.target.value);
      if (!move || Number.isNaN(from) || (event.key.match(/Left|Right/) && !event.altKey)) { return; }
      event.preventDefault();
      event.target.value = this.written(from + move * Number(this.root.dataset.every || 30));
      this.change();
    },
    /* One question at a time: the last that was asked meanwhile comes next. */
    async look() {
      if (this.looking) { this.again = true; return; }
      this.looking = true;
      do {
        this.again = false;
        await this.lookOnce();
      } while (this.again);
      this.looking = false;
    },
    again: false,
    async lookOnce() {
      const form = this.root.querySelector('form.stretches');
      const address = new URL(this.root.dataset.page + this.part, window.location.href);
      if (this.moved) {
        ['foreFrom', 'foreTo', 'afterFrom', 'afterTo'].forEach((name) => address.searchParams.set(name, form.elements[name].value));
      }
      const answer = await fetch(address, { headers: { Accept: 'text/html' } }).catch(() => null);
      if (!answer) { return; }
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      const problem = page.querySelector('#stretches-problem');
      this.said = problem ? problem.textContent : '';
      page.querySelectorAll('[data-live]').forEach((fresh) => {
        const old = this.root.querySelector(`[data-live="${fresh.dataset.live}"]`);
        if (old && answer.ok) { old.replaceWith(document.importNode(fresh, true)); }
      });
    },
  }));

  /* Copies a block of working, with a fallback for plain HTTP where the clipboard is closed to pages. */
  Alpine.data('copying', () => ({
    said: '',
    copy(event) { this.put(document.getElementById(event.currentTarget.dataset.from).textContent); },
    async fetched(event) {
      const answer = await fetch(event.currentTarget.href).catch(() => null);
      if (answer && answer.ok) { this.put(await answer.text()); } else { this.said = 'The server does not answer.'; }
    },
    put(text) {
      const box = document.createElement('textarea');
      box.value = text;
      box.className = 'is-sr-only';
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
