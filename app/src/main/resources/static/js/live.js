/* The live curve: points come in the picture's own coordinates and are only added; what is told beside it is fetched. */
'use strict';

const live = {
  root: document.getElementById('live'),
  stream: null,
  paused: false,
  sound: window.localStorage.getItem('sound of probes') === 'on',
  signs: '',
  asked: 0,
  lost: 0,
  longest: 4000,

  at(region) { return live.root.querySelector(`[data-region="${region}"]`); },
  say(words) { document.getElementById('live-said').textContent = words; },
  told() { return [...live.root.querySelectorAll('.signs li')].map((each) => each.textContent.trim()).join('\n'); },

  listen() {
    const picture = live.at('picture');
    if (live.stream || live.paused || !picture || !window.EventSource || document.visibilityState !== 'visible') { return; }
    const stream = new EventSource(`${picture.dataset.listens}&page=${window.sassafras.page}`);
    live.stream = stream;
    stream.addEventListener('points', (event) => live.add(JSON.parse(event.data)));
    stream.addEventListener('anew', live.again);
    stream.addEventListener('changed', live.again);
    stream.addEventListener('open', () => { live.say(''); live.lost = 0; });
    stream.addEventListener('error', () => {
      live.lost = live.lost || Date.now();
      const since = new Date(live.lost).toTimeString().slice(0, 5);
      live.say(`The server does not answer since ${since}. What probes push waits with them; the curve goes on once it is back.`);
      if (stream.readyState === EventSource.CLOSED) { live.stream = null; setTimeout(live.listen, 10000); }
    });
  },
  leave() {
    if (live.stream) { live.stream.close(); }
    live.stream = null;
  },

  /* Long paths cost with every point that is added to them: a new one is begun before they do. */
  add(frame) {
    const svg = live.at('picture').querySelector('svg');
    Object.entries(frame.marks).forEach(([probe, marks]) => {
      const group = svg.querySelector(`[data-probe="${probe}"]`);
      if (!group || !marks) { return; }
      const last = group.lastElementChild;
      if (group.children.length > 1 && last.getAttribute('d').length < live.longest) {
        last.setAttribute('d', last.getAttribute('d') + marks);
      } else {
        const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
        path.setAttribute('d', marks);
        group.append(path);
      }
    });
    const line = svg.querySelector('.now-line');
    line.setAttribute('x1', frame.at);
    line.setAttribute('x2', frame.at);
    if (frame.shows) { document.getElementById('live-shows').textContent = frame.shows; }
    if (Date.now() - live.asked > 2000) { live.look(); }
  },

  /* One region of this page as it is now; what has the focus stays where it is. */
  async fetched(region) {
    const answer = await fetch(window.location.href, { headers: { Accept: 'text/html', 'X-Region': region } });
    if (!answer.ok) { throw new Error(answer.status); }
    return new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector(`[data-region="${region}"]`);
  },
  put(old, fresh) {
    if (old && fresh && !old.contains(document.activeElement) && old.outerHTML !== fresh.outerHTML) {
      old.replaceWith(document.importNode(fresh, true));
    }
  },
  async look() {
    if (document.visibilityState !== 'visible' || live.paused) { return; }
    live.asked = Date.now();
    const below = await live.fetched('below').catch(() => null);
    if (!below) { return; }
    ['stands', 'taking', 'probes'].forEach((name) => live.put(live.at(name), below.querySelector(`[data-region="${name}"]`)));
    const signs = live.told();
    if (signs !== live.signs && signs && live.sound) { live.tone(); }
    live.signs = signs;
  },
  async again() {
    live.leave();
    const fresh = await live.fetched('picture').catch(() => null);
    const old = live.at('picture');
    if (fresh && old) {
      const scrolled = old.scrollLeft;
      old.dataset.listens = fresh.dataset.listens;
      old.replaceChildren(...[...fresh.childNodes].map((each) => document.importNode(each, true)));
      old.scrollLeft = scrolled;
    }
    live.fetched('head').then((head) => live.put(live.at('head'), head)).catch(() => {});
    live.look();
    if (fresh) { live.listen(); } else { setTimeout(live.again, 5000); }
  },

  tone() {
    const air = new AudioContext();
    [0, 0.3].forEach((at) => {
      const one = air.createOscillator();
      one.frequency.value = 440;
      one.connect(air.destination);
      one.start(air.currentTime + at);
      one.stop(air.currentTime + at + 0.15);
    });
  },
  pressed(button, on) { document.getElementById(button).setAttribute('aria-pressed', String(on)); },
  pause() {
    live.paused = !live.paused;
    live.pressed('live-pause', live.paused);
    live.say(live.paused ? 'The picture stands still; recording goes on.' : '');
    if (live.paused) { live.leave(); } else { live.again(); }
  },
  hear() {
    live.sound = !live.sound;
    window.localStorage.setItem('sound of probes', live.sound ? 'on' : 'off');
    live.pressed('live-sound', live.sound);
    if (live.sound) { live.tone(); }
  },
  begin() {
    if (!live.at('picture')) { return; }
    live.signs = live.told();
    live.pressed('live-sound', live.sound);
    document.getElementById('live-pause').addEventListener('click', live.pause);
    document.getElementById('live-sound').addEventListener('click', live.hear);
    live.listen();
    // a probe that falls silent sends nothing that would tell it
    setInterval(live.look, 5000);
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') { live.again(); } else { live.leave(); }
    });
    window.addEventListener('pagehide', live.leave);
  },
};
live.begin();
