/* A plan as one types: the number first, what would help after it, never out of order. */
'use strict';

const plan = {
  form: document.getElementById('plan'),
  asked: 0,
  waits: 0,

  query() { return new URLSearchParams(new FormData(plan.form)); },

  async fetched(region, address) {
    const answer = await fetch(address, { headers: { Accept: 'text/html', 'X-Region': region } });
    if (!answer.ok) { throw new Error(answer.status); }
    return new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector(`[data-region="${region}"]`);
  },
  async reckon() {
    plan.asked += 1;
    const mine = plan.asked;
    const address = `${plan.form.action}?${plan.query()}`;
    window.history.replaceState(null, '', address);
    const help = document.querySelector('[data-region="help"]');
    help.setAttribute('aria-busy', 'true');
    for (const region of ['expected', 'help']) {
      const fresh = await plan.fetched(region, address).catch(() => null);
      // what was asked for later has come, or will
      if (mine !== plan.asked) { return; }
      if (!fresh) { plan.lost(); return; }
      document.querySelector(`[data-region="${region}"]`).replaceWith(document.importNode(fresh, true));
    }
  },
  lost() {
    const said = document.createElement('p');
    said.className = 'problem help is-danger';
    said.textContent = 'The server does not answer. What you typed is still here; change anything to ask again.';
    document.querySelector('[data-region="help"]').replaceChildren(said);
  },
  later() {
    clearTimeout(plan.waits);
    plan.waits = setTimeout(plan.reckon, 200);
  },
  /* What is taken over is laid into its fields, and reckoned. */
  take(event) {
    const link = event.target.closest('a[data-take]');
    if (!link) { return; }
    event.preventDefault();
    const changes = new URLSearchParams(link.dataset.adopt || '');
    changes.forEach((value, name) => { plan.form.elements[name].value = value; });
    plan.show();
    plan.reckon();
  },
  show() {
    const purpose = plan.form.elements.purpose.value;
    plan.form.querySelectorAll('[data-for]').forEach((each) => { each.hidden = each.dataset.for !== purpose; });
  },
  /* What is kept is what stands in the fields. */
  keep() {
    const keep = document.getElementById('keep');
    plan.query().forEach((value, name) => {
      const field = document.createElement('input');
      Object.assign(field, { type: 'hidden', name, value });
      keep.append(field);
    });
  },
  begin() {
    plan.form.addEventListener('input', () => { plan.show(); plan.later(); });
    /* Of more parts there are more fields. */
    plan.form.addEventListener('change', (event) => { if ('anew' in event.target.dataset) { plan.form.submit(); } });
    plan.form.addEventListener('submit', (event) => { event.preventDefault(); plan.reckon(); });
    document.getElementById('main').addEventListener('click', plan.take);
    document.getElementById('keep').addEventListener('submit', plan.keep);
    plan.show();
  },
};
plan.begin();
