// Judging and matching: the front as small as shops show it, and two marks on the sheet that words are spaced between.
import { send } from '../queue/queue';
import { draw, sheet, surfaceOf, toSheet } from './sheet';

const WIDTHS = [160, 100, 60];
let shown = false;

/** The front beside the sheet, as it is now. */
export function shop(): void {
  shown = !shown;
  document.getElementById('see-shop')?.setAttribute('aria-pressed', String(shown));
  fill();
}
function fill(): void {
  const at = document.getElementById('shop');
  if (!at) return;
  at.hidden = !shown;
  if (!shown) return;
  const { base, tick } = document.body.dataset;
  if (at.childElementCount === 0) for (const wide of WIDTHS) {
    const i = document.createElement('img'); i.width = wide; i.alt = `The front ${wide} pixels wide`;
    i.onerror = () => { i.hidden = true; }; i.onload = () => { i.hidden = false; };
    at.append(i);
    }
  at.querySelectorAll('img').forEach((img, n) => {
    const to = `${base}/wrap.jpg?panel=front&wide=${WIDTHS[n]}&sheet=${document.body.dataset.sheet ?? ''}&tick=${tick}`;
    if (img.getAttribute('src') !== to) img.src = to;
    });
}
document.addEventListener('lumbeck:settled', () => window.setTimeout(fill));

let marking: { item: string; marks: number[] } | null = null;

export function markOut(item: string): void {
  stop();
  marking = { item, marks: [] };
  document.body.classList.add('marking');
  const says = document.createElement('p');
  says.id = 'marking';
  says.setAttribute('role', 'status');
  says.textContent = 'Click where the words begin (Esc leaves it)';
  document.getElementById('desk')!.parentElement!.append(says);
}
function stop(): boolean {
  if (!marking) return false;
  marking = null;
  document.body.classList.remove('marking');
  document.getElementById('marking')?.remove();
  document.getElementById('marks')?.remove();
  return true;
}
document.addEventListener('pointerdown', e => {
  if (!marking || !(e.target instanceof Element)) return;
  const on = surfaceOf(e.target);
  if (!on || on.svg !== sheet) return;
  e.stopImmediatePropagation();
  e.preventDefault();
  const p = toSheet(on, e);
  marking.marks.push(p.x, p.y);
  if (marking.marks.length === 4) {
    const { item, marks } = marking;
    stop();
    return send({ is: 'span-words', item, marks });
  }
  draw(sheet!, 'path', { id: 'marks', class: 'drawn-to', d: `M${p.x} ${p.y - 40}V${p.y + 40}` });
  document.getElementById('marking')!.textContent = 'Click where they end';
}, true);
document.addEventListener('pointerup', e => { if (marking) e.stopImmediatePropagation(); }, true);
document.addEventListener('keydown', e => { if (e.key === 'Escape' && stop()) e.stopImmediatePropagation(); }, true);
document.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-marks]') : null;
  if (at) markOut(at.dataset.marks!);
});
