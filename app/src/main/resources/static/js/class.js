/* The class page lives on one stream; what only time changes is looked at again by itself. */
'use strict';

/* What stays the same stays as it is, what was opened too: only what differs is put in its place. */
const become = (old, fresh) => {
  if (old.isEqualNode(fresh)) { return; }
  if (old.nodeName !== fresh.nodeName || old.childNodes.length !== fresh.childNodes.length) {
    old.replaceWith(document.importNode(fresh, true));
    return;
  }
  if (old.nodeType === Node.TEXT_NODE) { old.data = fresh.data; return; }
  [...fresh.attributes].filter((each) => old.getAttribute(each.name) !== each.value)
    .forEach((each) => old.setAttribute(each.name, each.value));
  [...old.attributes].filter((each) => each.name !== 'open' && !fresh.hasAttribute(each.name))
    .forEach((each) => old.removeAttribute(each.name));
  [...old.childNodes].forEach((child, at) => become(child, fresh.childNodes[at]));
};
window.sassafras.become = become;

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
