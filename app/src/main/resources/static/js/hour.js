/* A task of the hour is moved by the keys up and down, or drawn along its line; the rest is laid anew around it. */
'use strict';

const hour = {
  dragged: null,

  task(event) { return event.target.closest && event.target.closest('.hour-picture a[data-at]'); },
  begins(link) { return link.getAttribute('aria-label').match(/(\d\d):(\d\d) to/).slice(1).map(Number); },

  async move(link, minutes) {
    const [h, m] = hour.begins(link);
    const at = ((h * 60 + m + minutes) % 1440 + 1440) % 1440;
    const address = new URL(link.getAttribute('href'), window.location);
    address.searchParams.set('pick', link.dataset.at);
    address.searchParams.set(link.dataset.at, `${Math.floor(at / 60)}:${String(at % 60).padStart(2, '0')}`);
    document.querySelector('.hour .right').setAttribute('aria-busy', 'true');
    const answer = await fetch(address, { headers: { Accept: 'text/html' } }).catch(() => null);
    if (!answer || answer.status >= 500) { window.location.assign(address); return; }
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    ['hour', 'standing'].forEach((name) => {
      const fresh = page.querySelector(`[data-region="${name}"]`);
      document.querySelector(`[data-region="${name}"]`).replaceWith(document.importNode(fresh, true));
    });
    hour.lay(page);
    window.history.replaceState(null, '', address);
    const again = document.querySelector(`.hour-picture a[data-at="${link.dataset.at}"]`);
    if (again) { again.focus(); }
  },
  /* What was moved stays moved when other fields are sent. */
  lay(page) {
    const form = document.getElementById('hour');
    form.querySelectorAll('input[type=hidden][name^="at-"]').forEach((each) => each.remove());
    page.querySelectorAll('#region-hour form input[type=hidden][name^="at-"]').forEach((each) => {
      form.append(document.importNode(each, true));
    });
  },
  keys(event) {
    const link = hour.task(event);
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (!link || !step) { return; }
    event.preventDefault();
    hour.move(link, event.shiftKey ? 5 * step : step);
  },
  down(event) {
    const link = hour.task(event);
    if (link) { hour.dragged = { link, y: event.clientY }; }
  },
  up(event) {
    const { dragged } = hour;
    hour.dragged = null;
    if (!dragged) { return; }
    const minutes = Math.round((event.clientY - dragged.y) / Number(dragged.link.ownerSVGElement.dataset.minute));
    if (minutes === 0) { return; }
    window.addEventListener('click', (click) => { click.preventDefault(); }, { once: true, capture: true });
    hour.move(dragged.link, minutes);
  },
};
document.addEventListener('keydown', hour.keys);
document.addEventListener('pointerdown', hour.down);
document.addEventListener('pointerup', hour.up);
document.addEventListener('dragstart', (event) => { if (hour.task(event)) { event.preventDefault(); } });
