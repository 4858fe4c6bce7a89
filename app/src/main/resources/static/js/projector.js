/* The wall is led by keys: what is on it may be far from whoever leads. */
'use strict';

document.addEventListener('keydown', (event) => {
  const meant = [...document.querySelectorAll('[data-key]')].find((each) => each.dataset.key.toLowerCase() === event.key.toLowerCase());
  if (meant && !event.ctrlKey && !event.metaKey) { event.preventDefault(); meant.click(); }
});
