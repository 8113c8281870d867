// The ticket's figures: one of them is open to its working at a time, in a place kept for it.
const FIRST = document.body.dataset.place === 'Inside' ? 'page' : 'width';
let shownSum = location.hash.startsWith('#sum-') ? location.hash.slice(5) : FIRST;

function show(): void {
  const workings = document.querySelectorAll<HTMLElement>('[data-working]');
  if (workings.length === 0) return;
  const known = [...workings].some(w => w.dataset.working === shownSum) ? shownSum : FIRST;
  for (const w of workings) w.hidden = w.dataset.working !== known;
  for (const b of document.querySelectorAll<HTMLElement>('[data-sum]'))
    b.setAttribute('aria-expanded', String(b.dataset.sum === known));
}

document.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-sum]') : null;
  if (!at) return;
  shownSum = at.dataset.sum!;
  show();
});
window.addEventListener('hashchange', () => {
  if (location.hash.startsWith('#sum-')) { shownSum = location.hash.slice(5); show(); }
});
document.addEventListener('lumbeck:settled', show);
show();

export {};
