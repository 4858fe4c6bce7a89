/* The simulated bench: what is in the vessel goes on by itself, so its picture is fetched again while it is seen. */
'use strict';

const simulated = {
  going: false,

  again() {
    setTimeout(simulated.look, Number(document.getElementById('simulated').dataset.again) || 1000);
  },

  async look() {
    const root = document.getElementById('simulated');
    simulated.again();
    if (simulated.going || root.dataset.again === '0' || document.visibilityState !== 'visible') { return; }
    simulated.going = true;
    try {
      await window.sassafras.renew('picture');
    } catch (away) {
      // the picture stands; it is asked for again
    }
    simulated.going = false;
  },
};
simulated.again();
