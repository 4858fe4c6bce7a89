/* The class page lives on one stream; what only time changes is looked at again by itself. */
'use strict';

setInterval(() => {
  if (document.visibilityState !== 'visible' || document.querySelector('.benches details[open]')) { return; }
  window.sassafras.renew('entries').catch(() => {});
}, 10000);
/* Results and what was told are seldom new: they come with the lines, at most once in five seconds. */
let last = 0;
document.addEventListener('renewed', (event) => {
  if (event.detail !== 'entries' || Date.now() - last < 5000) { return; }
  last = Date.now();
  ['results', 'told'].forEach((name) => window.sassafras.renew(name).catch(() => {}));
});
