// A paper under the hand, the ground's or that of a shape: while “by hand” is on, a drag on the sheet carries it, and the
// knob of the ring on the middle of the front, or of the shape, turns and scales it. And its calm under words is found
// again once the hand has rested.
import { pending, send } from '../queue/queue';
import { boxOf, data, draw, pixel, sheet, surfaceOf, toSheet, type Panel, type Surface } from './sheet';
import { clear, figure, show } from './snap';

type Point = { x: number; y: number };
type Drag = { surface: Surface; from: Point; knob: boolean; art: { e: Element; was: string }[]; send: (() => void) | null };
let on = false;
/** The shape whose paper it is; null for the ground's. */
let shape: string | null = null;
let drag: Drag | null = null;

const button = () => document.getElementById(shape ? `paper-hand-${shape}` : 'see-paper');

/** The middle of the front, or of the shape, about which it is turned. */
function middle(): Point {
  const own = shape && sheet?.querySelector<SVGGraphicsElement>(`#hits [data-pick="${CSS.escape(shape)}"]`);
  if (own) {
    const r = own.getBoundingClientRect();
    return toSheet(surfaceOf(sheet!)!, { clientX: r.x + r.width / 2, clientY: r.y + r.height / 2 });
  }
  const panels = data<Panel>('panels');
  const b = boxOf((panels.find(p => p.part === 'front') ?? panels[0]!).face);
  return { x: b.x + b.w / 2, y: b.y + b.h / 2 };
}

function ring(): void {
  document.querySelectorAll('.paper-ring').forEach(e => e.remove());
  sheet?.classList.toggle('paper-hand', on);
  button()?.setAttribute('aria-pressed', String(on));
  if (!on || !sheet) return;
  const { x, y } = middle();
  const px = pixel(surfaceOf(sheet)!);
  const g = draw(sheet, 'g', { class: 'paper-ring' });
  draw(g, 'circle', { cx: x, cy: y, r: 70 * px, class: 'picked under' });
  draw(g, 'circle', { cx: x, cy: y, r: 70 * px, class: 'picked' });
  draw(g, 'circle', { cx: x + 70 * px, cy: y, r: 7 * px, class: 'grip', 'data-knob': 'true' });
}

/** Turns “by hand” on or off, for the ground or a shape. */
export function patternByHand(of: string | null = null): void {
  const same = shape === of;
  shape = of;
  on = !(on && same) && button() !== null;
  ring();
}

/** What goes with the hand: what lies on the paint, and the paint with it where both are one picture. */
function artOf(): Element[] {
  const piece = document.getElementById(shape ? `s-${shape}` : 's-ground');
  if (shape) {
    const within = piece?.querySelector('g[clip-path]');
    return within ? [...within.children] : [...piece?.querySelectorAll('image') ?? []];
  }
  const all = [...piece?.children ?? []].filter(c => c.tagName !== 'defs');
  return all.length > 1 ? all.slice(1) : all;
}

/** A move on the sheet as the piece has it, however that is placed. */
function within(m: string, e: Element): string {
  const parent = e.parentElement as SVGGraphicsElement | null;
  if (!shape || !parent || !sheet) return m;
  const to = DOMMatrix.fromMatrix((sheet.querySelector('#on-sheet') as SVGGraphicsElement).getScreenCTM()!).inverse()
    .multiply(DOMMatrix.fromMatrix(parent.getScreenCTM()!));
  const moved = to.inverse().multiply(new DOMMatrix(m)).multiply(to);
  return `matrix(${moved.a} ${moved.b} ${moved.c} ${moved.d} ${moved.e} ${moved.f})`;
}

document.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-paper-hand]') : null;
  if (at) patternByHand(at.dataset.paperHand!);
});

if (sheet) {
  addEventListener('pointerdown', e => {
    if (!on || !e.isPrimary || e.button !== 0 || !(e.target instanceof Element)) return;
    const surface = surfaceOf(e.target);
    if (!surface || surface.svg !== sheet) return;
    e.preventDefault();
    e.stopPropagation();
    const art = artOf().map(c => ({ e: c, was: c.getAttribute('transform') ?? '' }));
    drag = { surface, from: toSheet(surface, e), knob: e.target.closest('[data-knob]') !== null, art, send: null };
    sheet!.setPointerCapture(e.pointerId);
  }, true);

  addEventListener('pointermove', e => {
    if (!drag) return;
    e.stopPropagation();
    const p = toSheet(drag.surface, e);
    const px = pixel(drag.surface);
    let m: string;
    if (drag.knob) {
      const c = middle();
      const [a, b] = [{ x: drag.from.x - c.x, y: drag.from.y - c.y }, { x: p.x - c.x, y: p.y - c.y }];
      const larger = Math.max(0.05, Math.hypot(b.x, b.y) / Math.max(1e-6, Math.hypot(a.x, a.y)));
      let turned = (Math.atan2(b.y, b.x) - Math.atan2(a.y, a.x)) * 180 / Math.PI;
      if (e.shiftKey) turned = Math.round(turned / 15) * 15;
      m = new DOMMatrix().translate(c.x, c.y).rotate(turned).scale(larger).translate(-c.x, -c.y).toString();
      show(e, px, [`pattern ${Math.round(larger * 100)} % as large, turned ${turned.toFixed(1)}°`], null, null);
      drag.send = () => send({ is: 'move-paper', right: 0, down: 0, larger, turned, item: shape });
    } else {
      const [dx, dy] = [p.x - drag.from.x, p.y - drag.from.y];
      m = new DOMMatrix().translate(dx, dy).toString();
      show(e, px, [`pattern ${figure(dx)} ${dx < 0 ? 'left' : 'right'}, ${figure(dy)} ${dy < 0 ? 'up' : 'down'}`], null, null);
      drag.send = () => send({ is: 'move-paper', right: dx, down: dy, larger: 1, turned: 0, item: shape });
    }
    for (const a of drag.art) a.e.setAttribute('transform', `${within(m, a.e)} ${a.was}`);
  }, true);

  const end = (keep: boolean): void => {
    if (!drag) return;
    const done = drag;
    drag = null;
    clear();
    if (keep && done.send) return done.send();
    for (const a of done.art) if (a.was) a.e.setAttribute('transform', a.was); else a.e.removeAttribute('transform');
  };
  addEventListener('pointerup', () => end(true), true);
  addEventListener('pointercancel', () => end(false), true);
  addEventListener('keydown', e => {
    if (e.key !== 'Escape' || !on) return;
    if (drag) end(false); else patternByHand(shape);
    e.stopPropagation();
  }, true);
  document.addEventListener('lumbeck:settled', () => { if (on && !button()) on = false; ring(); });
  // As large on the screen however near the sheet is seen.
  document.addEventListener('lumbeck:seen', ring);
}

// Words that were moved, or said otherwise, want calm elsewhere: it is found once nothing has been asked for a while,
// and not after a step back, which was meant as it was.
const REST = 1200;
let rest = 0, asked = '';
document.addEventListener('lumbeck:asked', e => { asked = (e as CustomEvent<string>).detail; clearTimeout(rest); });
document.addEventListener('lumbeck:settled', () => {
  clearTimeout(rest);
  if (!asked || asked === 'step' || document.getElementById('ground')?.dataset.calm !== 'stale') return;
  rest = window.setTimeout(() => { if (!pending()) send({ is: 'calm-again' }); }, REST);
});
