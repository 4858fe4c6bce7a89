/* Where something begins: coming in, a new period, a new entry, rows typed in. Loaded after
   sassafras.js, on those pages alone. */
'use strict';

const typed = { word: '', at: 0 };

/* An experiment is chosen by the first letters of its name, or else of a word in it. */
document.addEventListener('keydown', (event) => {
  const set = document.querySelector('[data-choose]');
  const field = event.target.closest('input:not([type=radio]), select, textarea');
  if (!set || field || event.ctrlKey || event.altKey || event.metaKey || !/^\p{L}$/u.test(event.key)) { return; }
  typed.word = (event.timeStamp - typed.at < 1200 ? typed.word : '') + event.key.toLowerCase();
  typed.at = event.timeStamp;
  const named = [...set.querySelectorAll('label')].map((each) => [each, each.querySelector('strong').textContent.toLowerCase()]);
  const found = named.find((each) => each[1].startsWith(typed.word))
    || named.find((each) => each[1].split(/[^\p{L}]+/u).some((word) => word.startsWith(typed.word)));
  if (found) {
    event.preventDefault();
    found[0].querySelector('input').checked = true;
    found[0].querySelector('input').focus();
    vessels.fit();
  }
});

/* Of the vessels only those an experiment takes; the one proposed where it fits, else the likeliest. */
const vessels = {
  fit() {
    const chosen = document.querySelector('[data-takes]:checked');
    const list = document.getElementById('vessel');
    if (!chosen || !list) { return; }
    const takes = chosen.dataset.takes.split(' ');
    const fits = (each) => !each.dataset.kind || takes.includes(each.dataset.kind);
    const options = [...list.options];
    options.forEach((each) => { each.hidden = !fits(each); each.disabled = !fits(each); });
    const place = (each) => takes.indexOf(each.dataset.kind);
    const likeliest = options.filter((each) => each.dataset.kind && fits(each)).sort((one, other) => place(one) - place(other));
    const proposed = options.find((each) => each.defaultSelected);
    if (!fits(list.selectedOptions[0] || list)) { (proposed && fits(proposed) ? proposed : likeliest[0] || options[0]).selected = true; }
  },
};
document.addEventListener('DOMContentLoaded', vessels.fit);
document.addEventListener('change', (event) => { if (event.target.matches('[data-takes]')) { vessels.fit(); } });

/* Rows of times and temperatures: Enter goes on cell by cell, and opens another row at the end. */
document.addEventListener('keydown', (event) => {
  const form = event.target.closest('form.data-rows');
  if (!form || event.key !== 'Enter' || event.target.tagName !== 'INPUT') { return; }
  event.preventDefault();
  const cells = [...form.querySelectorAll('tbody input')];
  const at = cells.indexOf(event.target);
  if (at === cells.length - 1) {
    const row = event.target.closest('tr');
    const more = row.cloneNode(true);
    more.querySelectorAll('input').forEach((each) => { each.value = ''; each.setAttribute('aria-label', `${each.name}, row ${row.rowIndex + 1}`); });
    row.after(more);
  }
  form.querySelectorAll('tbody input')[at + 1].focus();
});

/* A new period begins with the day and the zone of whoever opens it. */
document.addEventListener('DOMContentLoaded', () => {
  const form = document.querySelector('form[data-here-and-now]');
  if (!form) { return; }
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const now = new Date();
  const two = (number) => String(number).padStart(2, '0');
  const put = (field, value) => { field.value = value; field.defaultValue = value; };
  if (zone) { put(form.elements.zone, zone); }
  put(form.elements.date, `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
});

/* What stands behind the mark # of an address is never sent by a browser; a form that waits for it takes it over, and the
   address forgets it. */
document.addEventListener('DOMContentLoaded', () => {
  const form = document.querySelector('form[data-behind-the-mark]');
  const behind = decodeURIComponent(window.location.hash.slice(1));
  if (!form || !behind) { return; }
  form.elements[form.dataset.behindTheMark].value = behind;
  window.history.replaceState(null, '', window.location.pathname + window.location.search);
  // where nothing else is asked, it is sent at once
  const code = form.dataset.behindTheMark === 'code';
  if (code || !form.querySelector('input:not([type=hidden])')) { form.requestSubmit(); }
});
