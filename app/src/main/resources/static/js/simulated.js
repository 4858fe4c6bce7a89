/* The simulated bench: what is in the vessel goes on by itself, so its picture is fetched again each second while it is seen. */
'use strict';

const simulated = {
  pause: 1000,
  going: false,

  async look() {
    const root = document.getElementById('simulated');
    if (simulated.going || !root.dataset.moves || document.visibilityState !== 'visible') { return; }
    simulated.going = true;
    try {
      await window.sassafras.renew('picture');
    } catch (away) {
      // the picture stands; it is asked for again
    }
    simulated.going = false;
  },
};
setInterval(simulated.look, simulated.pause);
