// An item carried over the sheet by hand: it follows the pointer, is drawn to lines, and one edit goes to the server when it is let go.
import { answered, pick, send } from './queue';

type Line = [at: number, says: string];
type Box = { x: number; y: number; w: number; h: number };

const sheet = document.getElementById('sheet') as unknown as SVGSVGElement | null;
/** How near, in pixels, a line draws. */
const NEAR = 6;
/** How far a pointer may tremble before it carries. */
const TREMBLE = 3;

let held: {
  id: string; from: DOMPoint; at: { x: number; y: number }; box: Box; art: Element | null; was: string;
  upright: Line[]; level: Line[]; pixel: number; carried: boolean; dx: number; dy: number;
} | null = null;

const boxOf = (r: Element): Box => { const n = (a: string) => Number(r.getAttribute(a)); return { x: n('x'), y: n('y'), w: n('width'), h: n('height') }; };
const toSheet = (e: PointerEvent): DOMPoint => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet!.getScreenCTM()!.inverse());

sheet?.addEventListener('pointerdown', e => {
  const hit = e.target instanceof Element ? e.target.closest('#hits [data-pick]') : null;
  if (!hit || e.button !== 0) return;
  const id = hit.getAttribute('data-pick')!;
  const frame = document.getElementById('frame')!;
  const lines = (name: string): Line[] => JSON.parse(frame.dataset[name] ?? '[]') as Line[];
  const upright = lines('upright');
  const level = lines('level');
  for (const other of document.querySelectorAll('#hits [data-pick]')) {
    const what = other.getAttribute('data-pick')!;
    if (what === id) continue;
    const b = boxOf(other);
    const name = document.querySelector(`#row-${CSS.escape(what)} [data-row] span`)?.textContent?.trim().toLowerCase() ?? 'item';
    upright.push([b.x, `edge of the ${name}`], [b.x + b.w / 2, `middle of the ${name}`], [b.x + b.w, `edge of the ${name}`]);
    level.push([b.y, `edge of the ${name}`], [b.y + b.h / 2, `middle of the ${name}`], [b.y + b.h, `edge of the ${name}`]);
  }
  const art = document.getElementById(`s-${id}`);
  held = { id, from: toSheet(e), at: { x: e.clientX, y: e.clientY }, box: boxOf(hit), art, was: art?.getAttribute('transform') ?? '', upright, level, pixel: 1 / sheet!.getScreenCTM()!.a, carried: false, dx: 0, dy: 0 };
});

sheet?.addEventListener('pointermove', e => {
  if (!held) return;
  if (!held.carried) {
    if (Math.hypot(e.clientX - held.at.x, e.clientY - held.at.y) < TREMBLE) return;
    held.carried = true;
    // What is selected elsewhere would be dragged in its stead.
    document.getSelection()?.removeAllRanges();
    sheet!.setPointerCapture(e.pointerId);
    sheet!.classList.add('carrying');
    pick(held.id);
  }
  const p = toSheet(e);
  let dx = p.x - held.from.x;
  let dy = p.y - held.from.y;
  // One way only, whichever is further.
  if (e.shiftKey) { if (Math.abs(dx) > Math.abs(dy)) dy = 0; else dx = 0; }
  let across: Line | null = null;
  let down: Line | null = null;
  // Held, Alt lets it lie wherever it is put.
  if (!e.altKey) {
    if (!(e.shiftKey && dx === 0)) [dx, across] = drawn(held.box.x, held.box.w, dx, held.upright, NEAR * held.pixel);
    if (!(e.shiftKey && dy === 0)) [dy, down] = drawn(held.box.y, held.box.h, dy, held.level, NEAR * held.pixel);
  }
  held.dx = dx;
  held.dy = dy;
  held.art?.setAttribute('transform', `translate(${dx} ${dy}) ${held.was}`);
  document.querySelector('#hits .picked')?.setAttribute('transform', `translate(${dx} ${dy})`);
  show(e, across, down);
});

/** The way to the nearest line from either edge or the middle, or as it was where none is near. */
function drawn(at: number, size: number, by: number, lines: Line[], near: number): [number, Line | null] {
  let best: [number, Line | null] = [by, null];
  let least = near;
  for (const share of [0.5, 0, 1]) {
    const here = at + size * share + by;
    for (const line of lines) {
      const off = Math.abs(line[0] - here);
      if (off < least - 1e-6) { least = off; best = [by + line[0] - here, line]; }
    }
  }
  return best;
}

function show(e: PointerEvent, across: Line | null, down: Line | null): void {
  clear();
  const view = sheet!.viewBox.baseVal;
  // Pale under dark, to be seen on any art.
  const line = (x1: number, y1: number, x2: number, y2: number) => {
    for (const tone of ['drawn-to under', 'drawn-to']) {
      const l = document.createElementNS('http://www.w3.org/2000/svg', 'line');
      l.setAttribute('class', tone);
      for (const [k, v] of Object.entries({ x1, y1, x2, y2 })) l.setAttribute(k, String(v));
      sheet!.append(l);
    }
  };
  if (across) line(across[0], view.y, across[0], view.y + view.height);
  if (down) line(view.x, down[0], view.x + view.width, down[0]);
  const { unit, points: each, places } = document.getElementById('frame')!.dataset;
  const figure = (points: number, more: string, less: string) => `${Number((Math.abs(points) / Number(each)).toFixed(Number(places)))} ${unit} ${points < 0 ? less : more}`;
  const said = document.createElement('div');
  said.id = 'carried';
  said.textContent = [`${figure(held!.dx, 'right', 'left')}, ${figure(held!.dy, 'down', 'up')}`, across?.[1], down?.[1]].filter(Boolean).join(' · ');
  document.body.append(said);
  // Where it stands is the pointer's, which no style sheet can know beforehand.
  said.style.setProperty('left', `${Math.min(e.clientX + 14, innerWidth - said.offsetWidth - 8)}px`);
  said.style.setProperty('top', `${Math.min(e.clientY + 18, innerHeight - 60)}px`);
}

function clear(): void {
  document.querySelectorAll('.drawn-to').forEach(l => l.remove());
  document.getElementById('carried')?.remove();
}

function letGo(keep: boolean): void {
  if (!held) return;
  const { id, art, was, carried, dx, dy } = held;
  held = null;
  clear();
  sheet!.classList.remove('carrying');
  if (!carried) return;
  const ours = art?.getAttribute('transform');
  const back = () => { document.querySelector('#hits .picked')?.removeAttribute('transform'); if (art && art.getAttribute('transform') === ours) { if (was) art.setAttribute('transform', was); else art.removeAttribute('transform'); } };
  if (!keep || (dx === 0 && dy === 0)) { back(); return; }
  send({ item: id, carriedX: dx, carriedY: dy });
  // The server's answer is what stays; where it has none, the item goes back.
  void answered().then(back);
}

sheet?.addEventListener('pointerup', () => letGo(true));
sheet?.addEventListener('pointercancel', () => letGo(false));
document.addEventListener('keydown', e => { if (e.key === 'Escape' && held?.carried) { letGo(false); e.stopImmediatePropagation(); } }, true);
// The click that ends a carry picks nothing anew.
let swallow = false;
sheet?.addEventListener('pointerup', () => { setTimeout(() => { swallow = false; }, 0); }, true);
sheet?.addEventListener('pointermove', () => { if (held?.carried) swallow = true; });
sheet?.addEventListener('click', e => { if (swallow) { swallow = false; e.stopPropagation(); } }, true);
