// The hand on the sheet: items are picked, carried, sized and turned by pointer, on the sheet and in the spine's lens.
// It all runs here until the hand lets go; then one edit goes to the server, whose answer is what stays.
import { answered, pick, picked, send } from '../queue/queue';
import { at, corners, drawPicked, GRIPS, hitOf, hits, pickedHits, pixel, round, sheet, surfaceOf, toSheet, type Box,
  type Hit, type Surface } from './sheet';
import { clear, figure, show, Snaps } from './snap';
import { panning } from './view';
import type { Laid } from '../queue/wire';

/** How near, in pixels, a line draws. */
const NEAR = 6;
/** How far a pointer may tremble before it carries. */
const TREMBLE = 3;

type Point = { x: number; y: number };
type Art = { e: Element; was: string };
type Gesture = {
  kind: 'carry' | 'size' | 'turn' | 'marquee' | 'push';
  surface: Surface; from: Point; screen: Point; items: Hit[]; grip: string; snaps: Snaps | null; art: Art[]; box: Box;
  begun: boolean; shifted: boolean; result: (() => void) | null;
};
let hand: Gesture | null = null;

/** A picture fitted in its frame: not what it grows beyond it, nor what the plates have. */
const pictureOf = (id: string) => `#s-${CSS.escape(id)} g[clip-path] > image`;

/** With an item, the others of its group. */
export function withGroup(id: string, all = hits()): string[] {
  const group = all.find(h => h.id === id)?.group;
  return group ? all.filter(h => h.group === group).map(h => h.id) : [id];
}

document.addEventListener('pointerdown', e => {
  // A second finger is for seeing, not for carrying.
  if (!e.isPrimary) return letGo(false);
  if (e.button !== 0 || !(e.target instanceof Element) || panning()) return;
  const surface = surfaceOf(e.target);
  if (!surface) return;
  const grip = e.target.closest<SVGElement>('[data-grip]')?.dataset.grip ?? '';
  const hit = e.target.closest<SVGElement>('.hit');
  const from = toSheet(surface, e);
  const start = (kind: Gesture['kind'], items: Hit[]): void => {
    hand = { kind, surface, from, screen: { x: e.clientX, y: e.clientY }, items, grip, snaps: null, art: [],
      box: { x: 0, y: 0, w: 0, h: 0 }, begun: false, shifted: e.shiftKey, result: null };
  };
  if (grip) return start(grip === 'turn' ? 'turn' : 'size', pickedHits());
  const id = hit?.dataset.pick;
  // What is held still is not carried along by chance: a hand that starts there draws a marquee.
  if (!id || (hit!.dataset.locked === 'true' && !picked().includes(id)))
    return surface.svg === sheet ? start('marquee', []) : undefined;
  // With Ctrl the picture is pushed within its frame, and the frame stays.
  if ((e.ctrlKey || e.metaKey) && hit!.dataset.kind === 'picture' && document.querySelector(pictureOf(id)))
    return start('push', [hitOf(hit!)]);
  start('carry', picked().includes(id) ? pickedHits() : hits().filter(h => withGroup(id).includes(h.id)));
});

document.addEventListener('pointermove', e => {
  if (!hand) return;
  if (!hand.begun) {
    if (Math.hypot(e.clientX - hand.screen.x, e.clientY - hand.screen.y) < TREMBLE) return;
    begin(e);
  }
  move(e);
});

function begin(e: PointerEvent): void {
  const g = hand!;
  g.begun = true;
  // What is selected elsewhere would be dragged in its stead.
  document.getSelection()?.removeAllRanges();
  g.surface.svg.setPointerCapture(e.pointerId);
  sheet!.classList.add('carrying');
  if (g.kind === 'marquee') return;
  if (g.kind === 'carry' || g.kind === 'push') pick(g.items.map(h => h.id));
  g.snaps = new Snaps(hits(), new Set(g.items.map(h => h.id)));
  g.box = round(g.items.flatMap(h => corners(h.m, h.w, h.h)));
  g.art = g.items.map(h => document.getElementById(`s-${h.id}`))
    .filter(a => a !== null)
    .map(a => ({ e: a, was: a.getAttribute('transform') ?? '' }));
}

function move(e: PointerEvent): void {
  const g = hand!;
  const px = pixel(g.surface);
  const p = toSheet(g.surface, e);
  if (g.kind === 'carry') carry(g, p, px, e);
  else if (g.kind === 'push') push(g, p, px, e);
  else if (g.kind === 'turn') turn(g, p, px, e);
  else if (g.kind === 'size') size(g, p, px, e);
  else marquee(g, p);
}

/** Lays a placing over what the art had. */
function preview(g: Gesture, m: (h: Hit) => DOMMatrix, shapes = true): void {
  g.items.forEach((h, i) => {
    if (g.art[i] && (shapes || h.kind !== 'text'))
    g.art[i].e.setAttribute('transform', `${m(h).toString()} ${g.art[i].was}`);
    });
  for (const svg of ['sheet', 'lens-drawing'])
    document.querySelectorAll(`#${svg} .over .picked`).forEach(b => b.setAttribute('visibility', 'hidden'));
  document.querySelectorAll('.over .grip').forEach(b => b.setAttribute('visibility', 'hidden'));
  document.querySelectorAll('.over .moving').forEach(b => b.remove());
  const over = g.surface.svg.querySelector('.over');
  if (!over) return;
  for (const h of g.items) {
    const path = corners(h.m, h.w, h.h).map(c => at(m(h), c.x, c.y)).map(c => `${c.x} ${c.y}`).join('L');
    for (const tone of ['moving picked under', 'moving picked']) {
      const b = document.createElementNS('http://www.w3.org/2000/svg', 'path');
      b.setAttribute('class', tone); b.setAttribute('d', `M${path}z`);
      over.append(b);
      }
  }
}

function carry(g: Gesture, p: Point, px: number, e: PointerEvent): void {
  let [dx, dy] = [p.x - g.from.x, p.y - g.from.y];
  // One way only, whichever is further.
  const only = e.shiftKey ? (Math.abs(dx) > Math.abs(dy) ? 'across' : 'down') : '';
  if (only === 'across') dy = 0;
  if (only === 'down') dx = 0;
  // Held, Alt lets it lie wherever it is put.
  const across = e.altKey || only === 'down'
    ? null
    : g.snaps!.move({ ...g.box, y: g.box.y + dy }, dx, false, NEAR * px);
  if (across) dx = across.by;
  const down = e.altKey || only === 'across' ? null : g.snaps!.move({ ...g.box, x: g.box.x + dx }, dy, true, NEAR * px);
  if (down) dy = down.by;
  preview(g, () => new DOMMatrix([1, 0, 0, 1, dx, dy]));
  show(e, px, [`${figure(dx)} ${dx < 0 ? 'left' : 'right'}, ${figure(dy)} ${dy < 0 ? 'up' : 'down'}`],
    across, down, { ...g.box, x: g.box.x + dx, y: g.box.y + dy });
  g.result = dx === 0 && dy === 0
    ? null
    : () => send({ is: 'carry', items: g.items.map(h => h.id), right: dx, down: dy });
}

function push(g: Gesture, p: Point, px: number, e: PointerEvent): void {
  const h = g.items[0]!;
  const back = h.m.inverse();
  const [a, b] = [at(back, g.from.x, g.from.y), at(back, p.x, p.y)];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const image = document.querySelector<SVGElement>(pictureOf(h.id));
  if (!image) return;
  g.art = [{ e: image, was: g.art[0]?.e === image ? g.art[0].was : image.getAttribute('transform') ?? '' }];
  image.setAttribute('transform', `translate(${dx} ${dy}) ${g.art[0]!.was}`);
  show(e, px, [`picture ${figure(dx)} ${dx < 0 ? 'left' : 'right'}, ${figure(dy)} ${dy < 0 ? 'up' : 'down'}`], null, null);
  g.result = dx === 0 && dy === 0 ? null : () => send({ is: 'push', item: h.id, right: dx, down: dy });
}

function turn(g: Gesture, p: Point, px: number, e: PointerEvent): void {
  const c = { x: g.box.x + g.box.w / 2, y: g.box.y + g.box.h / 2 };
  const angle = (q: Point) => (Math.atan2(q.y - c.y, q.x - c.x) * 180) / Math.PI;
  const one = g.items.length === 1 ? g.items[0]!.turned : 0;
  let to = one + angle(p) - angle(g.from);
  const quarter = Math.round(to / 90) * 90;
  if (e.shiftKey) to = Math.round(to / 15) * 15;
  else if (!e.altKey && Math.abs(to - quarter) < 4) to = quarter;
  to = Math.round(to * 10) / 10;
  const by = to - one;
  const m = new DOMMatrix().translate(c.x, c.y).rotate(by).translate(-c.x, -c.y);
  preview(g, () => m);
  const shown = ((to % 360) + 360) % 360;
  show(e, px, [`${Number(shown.toFixed(1))}°`, shown !== 0 && shown % 90 === 0 ? 'quarter turn' : undefined], null, null);
  g.result = by === 0
    ? null
    : () => send({ is: 'lay',
      laid: g.items.map(h =>
        { const o = at(h.m, h.w / 2, h.h / 2); const q = at(m, o.x, o.y);
          return { item: h.id, x: q.x, y: q.y, turned: h.turned + by }; }) });
}

/** Sides are dragged in the item's own axes; of several items, in the sheet's. */
function size(g: Gesture, p: Point, px: number, e: PointerEvent): void {
  const one = g.items.length === 1 ? g.items[0] : null;
  const m = one?.m ?? new DOMMatrix([1, 0, 0, 1, g.box.x, g.box.y]);
  const [w, h] = one ? [one.w, one.h] : [g.box.w, g.box.h];
  const [ax, ay] = GRIPS[g.grip]!;
  const square = Math.abs(m.b * m.a) < 1e-6;
  let [across, down]: [ReturnType<Snaps['point']> | null, ReturnType<Snaps['point']> | null] = [null, null];
  if (!e.altKey && square) {
    // Which of the sheet's axes this grip moves along depends on how the item stands.
    const [mx, my] = Math.abs(m.a) > 0.5 ? [ax !== 0.5, ay !== 0.5] : [ay !== 0.5, ax !== 0.5];
    if (mx) { across = g.snaps!.point(p.x, false, NEAR * px); p = { ...p, x: across.at }; }
    if (my) { down = g.snaps!.point(p.y, true, NEAR * px); p = { ...p, y: down.at }; }
  }
  const q = at(m.inverse(), p.x, p.y);
  const least = 0.3;
  let [nw, nh] = [w, h];
  const middle = e.ctrlKey || e.metaKey;
  const grown = (share: number, way: number, full: number): number => {
    if (share === 0.5) return full;
    const out = share === 1 ? way : full - way;
    return Math.max(least, middle ? 2 * out - full : out);
  };
  nw = grown(ax, q.x, w);
  nh = grown(ay, q.y, h);
  if (e.shiftKey || one?.kind === 'barcode' || g.items.some(i => !one && Math.abs(i.m.b * i.m.a) > 1e-6)) {
    const k = ax === 0.5 ? nh / h : ay === 0.5 ? nw / w : Math.max(nw / w, nh / h);
    [nw, nh] = [w * k, h * k];
    [across, down] = [null, null];
  }
  // The opposite side stays; about the middle, the middle does.
  const fx = middle ? 0.5 : 1 - ax;
  const fy = middle ? 0.5 : 1 - ay;
  const [l, t] = [fx * (w - nw), fy * (h - nh)];
  const own = new DOMMatrix([nw / w, 0, 0, nh / h, l, t]);
  const whole = m.multiply(own).multiply(m.inverse());
  preview(g, () => whole, false);
  show(e, px, [`${figure(nw)} × ${figure(nh)}`], across?.line ?? null, down?.line ?? null);
  g.result = nw === w && nh === h ? null : () => send({
    is: 'lay',
    laid: g.items.map((i): Laid => {
      const o = at(i.m, i.w / 2, i.h / 2);
      const c = at(whole, o.x, o.y);
      const upright = Math.abs(i.m.a) > 0.5;
      const [kx, ky] = one || upright ? [nw / w, nh / h] : [nh / h, nw / w];
      return { item: i.id, x: c.x, y: c.y, w: i.w * kx, ...(i.kind === 'line' ? {} : { h: i.h * ky }) };
    }),
  });
}

function marquee(g: Gesture, p: Point): void {
  const b = round([g.from, p]);
  document.getElementById('marquee')?.remove();
  const r = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  r.id = 'marquee';
  for (const [k, v] of Object.entries({ x: b.x, y: b.y, width: b.w, height: b.h })) r.setAttribute(k, String(v));
  sheet!.append(r);
  g.result = () => {
    // What lies wholly within; with Shift added to what is picked, or taken away where all of it was.
    const all = hits();
    const within = all.filter(h =>
      !h.locked && h.box.x >= b.x && h.box.y >= b.y && h.box.x + h.box.w <= b.x + b.w
        && h.box.y + h.box.h <= b.y + b.h).flatMap(h => withGroup(h.id, all));
    pick(toggled([...new Set(within)], g.shifted));
  };
}

/** Picks these alone, or adds them to what is picked; takes them away where they all were. */
export function toggled(ids: string[], more: boolean): string[] {
  const now = picked();
  if (!more) return ids;
  return ids.every(id => now.includes(id))
    ? now.filter(id => !ids.includes(id))
    : [...now.filter(id => !ids.includes(id)), ...ids];
}

function letGo(keep: boolean): void {
  const g = hand;
  hand = null;
  document.getElementById('marquee')?.remove();
  if (!g?.begun) return;
  clear();
  sheet!.classList.remove('carrying');
  const ours = g.art.map(a => a.e.getAttribute('transform'));
  const back = () => {
    g.art.forEach((a, i) =>
      { if (a.e.getAttribute('transform') === ours[i]) { if (a.was) a.e.setAttribute('transform', a.was);
        else a.e.removeAttribute('transform'); } });
    drawPicked();
  };
  if (!keep || !g.result) { back(); return; }
  g.result();
  // The server's answer is what stays; where it has none, the items go back.
  if (g.kind !== 'marquee') void answered().then(back);
}

document.addEventListener('pointerup', e => {
  // A click that carried nothing picks what it fell on.
  const g = hand;
  if (g && !g.begun && e.target instanceof Element) {
    const hit = e.target.closest<SVGElement>('.hit');
    if (hit) pick(toggled(withGroup(hit.dataset.pick!), e.shiftKey));
    else if (!e.target.closest('[data-grip]') && !e.shiftKey) pick([]);
    reveal();
  }
  letGo(true);
});
document.addEventListener('pointercancel', () => letGo(false));
document.addEventListener('dblclick', e => {
  const hit = e.target instanceof Element ? e.target.closest<SVGElement>('.hit') : null;
  if (hit) { pick([hitOf(hit).id]); reveal(); }
});
document.addEventListener('keydown',
  e => { if (e.key === 'Escape' && hand?.begun) { letGo(false); e.stopImmediatePropagation(); } }, true);

/** Brings the picked item's row into view. */
export function reveal(): void {
  const id = picked().at(-1);
  if (!id) return;
  const row = document.getElementById(`row-${id}`);
  if (picked().length === 1) row?.closest('details')?.setAttribute('open', '');
  row?.scrollIntoView({ block: 'nearest' });
}
