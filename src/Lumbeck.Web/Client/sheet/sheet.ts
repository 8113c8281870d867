// The sheet as the hand meets it: what lies on it, where it lies in points, and what is drawn over it for what is picked.
import { picked } from '../queue/queue';

export type Box = { x: number; y: number; w: number; h: number };
/** An item's own box: `m` carries its points, from its upper left corner, to the sheet. */
export type Hit = { id: string; kind: string; group: string; locked: boolean; turned: number; m: DOMMatrix; w: number;
  h: number; box: Box };
export type Four = [number, number, number, number];
export type Panel = { part: string; says: string; face: Four; edge: Four; turn: number };

export const sheet = document.getElementById('sheet') as unknown as SVGSVGElement | null;
export const frame = (): DOMStringMap => document.getElementById('frame')?.dataset ?? {};
export const data = <T>(name: string): T[] => JSON.parse(frame()[name] ?? '[]') as T[];
export const boxOf = ([x, y, w, h]: Four): Box => ({ x, y, w, h });
/** Four figures as text has them. */
export const four =
  (text: string | undefined): Four => { const [x = 0, y = 0, w = 0, h = 0] = (text ?? '').split(' ').map(Number);
  return [x, y, w, h]; };

const NS = 'http://www.w3.org/2000/svg';
export function draw(into: Element, name: string, attributes: Record<string, string | number>): SVGElement {
  const e = document.createElementNS(NS, name);
  for (const [k, v] of Object.entries(attributes)) e.setAttribute(k, String(v));
  into.append(e);
  return e;
}

export const at = (m: DOMMatrix, x: number, y: number) => ({ x: m.a * x + m.c * y + m.e, y: m.b * x + m.d * y + m.f });

/** The smallest upright box round points. */
export function round(points: { x: number; y: number }[]): Box {
  const [xs, ys] = [points.map(p => p.x), points.map(p => p.y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
}

export const corners = (m: DOMMatrix, w: number, h: number) => [at(m, 0, 0), at(m, w, 0), at(m, w, h), at(m, 0, h)];

export function hitOf(e: Element): Hit {
  const r = e as SVGGraphicsElement;
  const m = DOMMatrix.fromMatrix(r.transform.baseVal.consolidate()?.matrix);
  const [w, h] = [Number(r.getAttribute('width')), Number(r.getAttribute('height'))];
  return { id: r.dataset.pick!, kind: r.dataset.kind!, group: r.dataset.group ?? '',
    locked: r.dataset.locked === 'true', turned: Number(r.dataset.turned), m, w, h, box: round(corners(m, w, h)) };
}

/** Everything that can be picked on the sheet, the lowest first. */
export const hits = (): Hit[] => [...document.querySelectorAll('#hits [data-pick]')].map(hitOf);

export const pickedHits = (): Hit[] => {
  const all = new Map(hits().map(h => [h.id, h]));
  return picked().map(id => all.get(id)).filter(h => h !== undefined);
};

/** What is drawn on, and how its points become the sheet's: the sheet itself, or the spine's lens. */
export type Surface = { svg: SVGSVGElement; toScreen: DOMMatrix };
export function surfaceOf(target: Element): Surface | null {
  const svg = target.closest<SVGSVGElement>('#sheet,#lens-drawing');
  if (!svg) return null;
  const level = svg.id === 'sheet' ? svg : document.getElementById('lens-hits') as unknown as SVGGraphicsElement | null;
  const m = level?.getScreenCTM();
  return m ? { svg, toScreen: DOMMatrix.fromMatrix(m) } : null;
}
export const toSheet = (s: Surface,
  e: { clientX: number; clientY: number }) => at(s.toScreen.inverse(), e.clientX, e.clientY);
/** Points of the sheet to a pixel of the screen. */
export const pixel = (s: Surface) => 1 / Math.hypot(s.toScreen.a, s.toScreen.b);

export const GRIPS: Record<string, [number, number]> = { nw: [0, 0], n: [0.5, 0], ne: [1, 0], e: [1, 0.5], se: [1, 1],
  s: [0.5, 1], sw: [0, 1], w: [0, 0.5] };

/** Boxes and grips round what is picked; the same size on screen however near the sheet is. */
export function drawPicked(): void {
  // All that is measured is measured before anything is drawn: each drawing in between would have the whole page laid out anew.
  const surfaces = ([['sheet', 'hits'], ['lens-drawing', 'lens-hits']] as const).map(([id, hitsOf]) => {
    const svg = document.getElementById(id) as unknown as SVGSVGElement | null;
    const level = id === 'sheet' ? svg : document.getElementById(hitsOf) as unknown as SVGGraphicsElement | null;
    return { id, hitsOf, svg, level, ctm: level?.getScreenCTM() };
  });
  for (const { id, hitsOf, svg, level, ctm } of surfaces) {
    svg?.querySelector('.over')?.remove();
    if (!svg || !ctm) continue;
    const own = picked().map(p => svg.querySelector(`#${hitsOf} [data-pick="${CSS.escape(p)}"]`)).filter(e => e !== null).map(hitOf);
    if (own.length === 0) continue;
    const over = draw(svg, 'g',
      id === 'sheet' ? { class: 'over' } : { class: 'over', transform: level!.getAttribute('transform') ?? '' });
    const px = 1 / Math.hypot(ctm.a, ctm.b);
    for (const h of own) box(over, h.m, h.w, h.h);
    if (own.length === 1) meant(over, own[0]!, px);
    if (own.length === 1)
      grips(over, own[0]!.m, own[0]!.w, own[0]!.h, px,
        own[0]!.kind === 'line'
          ? ['e', 'w']
          : own[0]!.kind === 'barcode'
          ? ['nw', 'ne', 'se', 'sw']
          : Object.keys(GRIPS));
    else {
      const all = round(own.flatMap(h => corners(h.m, h.w, h.h)));
      const m = new DOMMatrix([1, 0, 0, 1, all.x, all.y]);
      box(over, m, all.w, all.h);
      grips(over, m, all.w, all.h, px, Object.keys(GRIPS));
    }
  }
}

/** The side that a field with the focus is of, drawn through what it measures. */
function meant(into: Element, { m, w, h }: Hit, px: number): void {
  const side = (document.activeElement as HTMLElement | null)?.dataset?.fact?.match(/\/(width|height)$/)?.[1];
  if (!side) return;
  const [from, to] = side === 'width' ? [at(m, 0, h / 2), at(m, w, h / 2)] : [at(m, w / 2, 0), at(m, w / 2, h)];
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  // A tick at either end, across the line.
  const [tx, ty] = [((to.y - from.y) / long) * 5 * px, ((from.x - to.x) / long) * 5 * px];
  const tick = (p: { x: number; y: number }) => `M${p.x - tx} ${p.y - ty}L${p.x + tx} ${p.y + ty}`;
  const d = `M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`;
  for (const tone of ['drawn-to under', 'drawn-to']) draw(into, 'path', { class: tone, d });
}

for (const turn of ['focusin', 'focusout'])
  document.addEventListener(turn, e => {
    if (e.target instanceof HTMLElement && /\/(width|height)$/.test(e.target.dataset.fact ?? ''))
      requestAnimationFrame(drawPicked);
  });

function box(into: Element, m: DOMMatrix, w: number, h: number): void {
  for (const tone of ['picked under', 'picked'])
    draw(into, 'rect', { class: tone, width: w, height: h, transform: m.toString() });
}

function grips(into: Element, m: DOMMatrix, w: number, h: number, px: number, which: string[]): void {
  const q = 3.4 * px;
  // Turned by a knob that stands off the head.
  const head = { ...at(m, w / 2, 0) };
  const knob = at(m, w / 2, -16 * px);
  draw(into, 'path', { class: 'picked', d: `M${head.x} ${head.y}L${knob.x} ${knob.y}` });
  draw(into, 'circle', { class: 'grip', 'data-grip': 'turn', cx: knob.x, cy: knob.y, r: 4.4 * px });
  // Where there is no room between the corners, the sides are left out.
  for (const name of which) {
    const [ax, ay] = GRIPS[name]!;
    if ((ax === 0.5 && w < 9 * q) || (ay === 0.5 && h < 9 * q && which.length > 2)) continue;
    const p = at(m, w * ax, h * ay);
    draw(into, 'rect', { class: 'grip', 'data-grip': name, x: p.x - q, y: p.y - q, width: 2 * q, height: 2 * q });
  }
}

let lensNear = false;

/** The spine's lens shows all of it, or is nearer, to be rolled along. */
export function lensNearer(): void {
  lensNear = !lensNear;
  showLens();
  rollLens();
}

function showLens(): void {
  const svg = document.getElementById('lens-drawing');
  if (!svg) return;
  for (const [name, near] of [['w-full', false], ['max-h-full', false], ['m-auto', false], ['h-full', true],
    ['w-auto', true], ['min-w-full', true], ['max-w-[400%]', true], ['shrink-0', true]] as const)
    svg.classList.toggle(name, near === lensNear);
  const button = document.getElementById('lens-near');
  if (button) { button.textContent = lensNear ? 'whole' : 'nearer';
    button.setAttribute('aria-pressed', String(lensNear)); }
  drawPicked();
}
document.addEventListener('lumbeck:settled', () => { if (lensNear) showLens(); });

/** Rolls the lens to what is picked on the spine, or at first to where its words begin. */
function rollLens(): void {
  const way = document.getElementById('lens-way');
  const hit = document.querySelector(picked().length > 0
    ? `#lens-hits [data-pick="${CSS.escape(picked().at(-1)!)}"]`
    : '#lens-hits [data-kind="text"]');
  if (!way || !hit) return;
  const [r, w] = [hit.getBoundingClientRect(), way.getBoundingClientRect()];
  if (r.left < w.left || r.right > w.right) way.scrollLeft += r.left - w.left - 40;
}

document.addEventListener('lumbeck:picked', rollLens);
if (sheet) rollLens();
for (const when of ['lumbeck:settled', 'lumbeck:picked', 'lumbeck:seen']) document.addEventListener(when, drawPicked);
window.addEventListener('resize', drawPicked);
if (sheet) drawPicked();
