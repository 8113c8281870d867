// Seeing the sheet: near and far, one panel alone, its true size, zones by kind. Nothing here changes the cover.
import { picked } from '../queue/queue';
import { boxOf, data, draw, four, frame, hits, pickedHits, round, sheet, toSheet, type Box, type Panel } from './sheet';

type View = { x: number; y: number; w: number; h: number };
/** The sheet whole, until something else is asked for. */
let whole = true;
let space = false;
let pan: { x: number; y: number; view: View } | null = null;
let over = { x: 0, y: 0 };

export const panning = () => space || pan !== null;

const all = (): View => boxOf(four(frame().viewBox ?? '0 0 1 1'));
/** Points of the sheet to a pixel. */
const scale = () => { const m = sheet!.getScreenCTM(); return m ? 1 / m.a : 1; };

function set(v: View, isWhole = false): void {
  whole = isWhole;
  sheet!.setAttribute('viewBox', `${v.x} ${v.y} ${v.w} ${v.h}`);
  sheet!.classList.toggle('near', v.w < all().w / 2.2);
  says();
  document.dispatchEvent(new Event('lumbeck:seen'));
}

/** How near, against true size. */
function says(): void {
  const at = document.getElementById('near');
  if (at) at.textContent = `${Math.round((pixelsPerMm() ? (72 / 25.4 / scale()) / pixelsPerMm() : 1) * 100)} %`;
}

/** A box with room round it, in the desk's own proportions. */
export function fit(b: Box, room = 0.06): void {
  const r = sheet!.getBoundingClientRect();
  const [w, h] = [b.w * (1 + 2 * room), b.h * (1 + 2 * room)];
  const k = Math.max(w / r.width, h / r.height);
  set({ x: b.x + b.w / 2 - (r.width * k) / 2, y: b.y + b.h / 2 - (r.height * k) / 2, w: r.width * k, h: r.height * k });
}

export function fitSheet(): void { set(all(), true); }

/** The panel that the picked item lies on, or else the one pointed at, or else the front. */
function panel(): Panel | undefined {
  const panels = data<Panel>('panels');
  const hit = pickedHits().at(-1);
  const p = hit ? { x: hit.box.x + hit.box.w / 2, y: hit.box.y + hit.box.h / 2 } : over;
  const within = ({ face: [x, y, w, h] }: Panel) => p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h;
  return panels.find(within) ?? panels.find(q => q.part === 'front') ?? panels[0];
}

export function fitPanel(): void { const to = panel(); if (to) fit(boxOf(to.edge)); }

/** The panel pointed at, if any. */
export function pointedAt(): string | undefined {
  return data<Panel>('panels').find(({ edge: [x, y, w, h] }) =>
    over.x >= x && over.x <= x + w && over.y >= y && over.y <= y + h)?.part;
}

/** The panel at a point of the screen, if any. */
export function pointedAtScreen(e: { clientX: number; clientY: number }): string | undefined {
  over = toSheet({ svg: sheet!, toScreen: DOMMatrix.fromMatrix(sheet!.getScreenCTM()!) }, e);
  return pointedAt();
}

/** A point of the screen, in points of the sheet. */
export const pointOfSheet = (e: { clientX: number; clientY: number }) => toSheet({ svg: sheet!,
  toScreen: DOMMatrix.fromMatrix(sheet!.getScreenCTM()!) },
  e);

/** The panel pointed at last, if any, and where. */
export const pointer = () => ({ panel: pointedAt(), x: over.x, y: over.y });

export const nearer = () => zoom(1 / 1.25);
export const farther = () => zoom(1.25);

function zoom(by: number, about?: { clientX: number; clientY: number }): void {
  const r = sheet!.getBoundingClientRect();
  const v = actual();
  // About the pointer, or what is picked where it is in view, or the middle.
  const b = pickedHits().at(-1)?.box;
  const own = b && { x: b.x + b.w / 2, y: b.y + b.h / 2 };
  const p = about || !own || own.x < v.x || own.y < v.y || own.x > v.x + v.w || own.y > v.y + v.h
    ? toSheet({ svg: sheet!, toScreen: DOMMatrix.fromMatrix(sheet!.getScreenCTM()!) },
      about ?? { clientX: r.x + r.width / 2, clientY: r.y + r.height / 2 })
    : own;
  // From the whole sheet with room round it down to a few millimetres.
  const k = Math.min(Math.max(by, 6 / v.w), (all().w * 2) / v.w);
  set({ x: p.x - (p.x - v.x) * k, y: p.y - (p.y - v.y) * k, w: v.w * k, h: v.h * k });
}

/** Pushes the sheet about by keys, an eighth of what is shown or half of it. */
export function push(across: number, down: number, far: boolean): void {
  const v = actual();
  set({ ...v, x: v.x + across * v.w * (far ? 0.5 : 0.125), y: v.y + down * v.h * (far ? 0.5 : 0.125) });
}

/** What the desk shows, its edges included. */
function actual(): View {
  const r = sheet!.getBoundingClientRect();
  const k = scale();
  const p = toSheet({ svg: sheet!, toScreen: DOMMatrix.fromMatrix(sheet!.getScreenCTM()!) },
    { clientX: r.x, clientY: r.y });
  return { x: p.x, y: p.y, w: r.width * k, h: r.height * k };
}

// True size: the screen is measured once, against a bank card or a rule; until then a pixel is taken for 1/96 inch.
const MEASURED = 'lumbeck-pixels-a-millimetre';
const pixelsPerMm = () => Number(localStorage.getItem(MEASURED)) || 96 / 25.4;

export function trueSize(): void {
  const v = actual();
  const k = (72 / 25.4) / pixelsPerMm();
  const r = sheet!.getBoundingClientRect();
  const c = { x: v.x + v.w / 2, y: v.y + v.h / 2 };
  set({ x: c.x - (r.width * k) / 2, y: c.y - (r.height * k) / 2, w: r.width * k, h: r.height * k });
}

const measure = document.getElementById('measure') as HTMLDialogElement | null;
const card = document.getElementById('card');
const width = document.getElementById('card-width') as HTMLInputElement | null;
// A bank card is 85.60 mm wide (ISO/IEC 7810, ID-1).
const CARD = 85.6;
export function measureScreen(): void {
  width!.value = String(Math.round(pixelsPerMm() * CARD));
  sizeCard();
  measure!.showModal();
}
function sizeCard(): void { card?.style.setProperty('width', `${width!.value}px`); }
width?.addEventListener('input', sizeCard);
measure?.addEventListener('close', () => {
  if (measure.returnValue !== 'keep') return;
  localStorage.setItem(MEASURED, String(Number(width!.value) / CARD));
  trueSize();
});

/** One panel alone, with the bleed that belongs to it; again for the whole sheet. */
let shownAlone: string | null = null;
export function alone(part = panel()?.part ?? null): void {
  shownAlone = shownAlone ? null : part;
  clip();
  const p = data<Panel>('panels').find(q => q.part === shownAlone);
  if (p) fit(boxOf(p.edge)); else fitSheet();
}
function clip(): void {
  const p = data<Panel>('panels').find(q => q.part === shownAlone);
  document.getElementById('alone')?.remove();
  document.getElementById('on-sheet')!.toggleAttribute('clip-path', false);
  document.getElementById('see-alone')?.setAttribute('aria-pressed', String(p !== undefined));
  if (!p) return;
  const c = draw(sheet!, 'clipPath', { id: 'alone' });
  const [x, y, w, h] = p.edge;
  draw(c, 'rect', { x, y, width: w, height: h });
  document.getElementById('on-sheet')!.setAttribute('clip-path', 'url(#alone)');
}

export function fitItem(): void {
  const own = pickedHits();
  if (own.length > 0)
    fit(round(own.flatMap(h => [{ x: h.box.x, y: h.box.y }, { x: h.box.x + h.box.w, y: h.box.y + h.box.h }])), 0.25);
}

/** Picks the next item from the lowest up, or the one before. */
export function next(by: number): string | undefined {
  const ids = hits().map(h => h.id);
  if (ids.length === 0) return undefined;
  const now = ids.indexOf(picked().at(-1) ?? '');
  return ids[((now < 0 ? (by > 0 ? -1 : 0) : now) + by + ids.length) % ids.length];
}

// Zones, kind by kind, and all of them while a key is held.
export function holdZones(hidden: boolean): void {
  for (const g of document.querySelectorAll('.zones')) g.toggleAttribute('hidden', hidden);
}
const HIDDEN = 'lumbeck-zones-hidden';
const kinds = (): string[] => JSON.parse(localStorage.getItem(HIDDEN) ?? '[]') as string[];
function showKinds(): void {
  const off = kinds();
  for (const box of document.querySelectorAll<HTMLInputElement>('[data-zone]')) {
    box.checked = !off.includes(box.dataset.zone!);
    document.body.classList.toggle(`no-${box.dataset.zone}`, !box.checked);
  }
}
document.addEventListener('change', e => {
  const box = e.target instanceof HTMLInputElement ? e.target.dataset.zone : undefined;
  if (!box) return;
  localStorage.setItem(HIDDEN,
    JSON.stringify((e.target as HTMLInputElement).checked ? kinds().filter(k => k !== box) : [...kinds(), box]));
  showKinds();
});

if (sheet) {
  showKinds();
  document.addEventListener('lumbeck:settled', () => {
    if (whole && sheet!.getAttribute('viewBox') !== frame().viewBox) fitSheet();
    if (shownAlone) clip();
    showKinds();
  });
  window.addEventListener('resize', says);
  says();
  const desk = document.getElementById('desk')!;
  desk.addEventListener('wheel', e => {
    e.preventDefault();
    const unit = e.deltaMode === WheelEvent.DOM_DELTA_LINE ? 16 : 1;
    // Two fingers drawn apart arrive as a wheel with Ctrl.
    if (e.ctrlKey || e.metaKey) return zoom(Math.exp(Math.max(-80, Math.min(80, e.deltaY * unit)) / 240), e);
    const v = actual();
    const k = scale() * unit;
    set({ ...v, x: v.x + (e.shiftKey && e.deltaX === 0 ? e.deltaY : e.deltaX) * k,
      y: v.y + (e.shiftKey && e.deltaX === 0 ? 0 : e.deltaY) * k });
  }, { passive: false });
  sheet.addEventListener('pointermove',
    e => { over = toSheet({ svg: sheet!, toScreen: DOMMatrix.fromMatrix(sheet!.getScreenCTM()!) }, e); });

  // Dragged along with the middle button, or with the space bar held.
  desk.addEventListener('pointerdown', e => {
    if (e.button !== 1 && !(e.button === 0 && space)) return;
    e.preventDefault();
    pan = { x: e.clientX, y: e.clientY, view: actual() };
    desk.setPointerCapture(e.pointerId);
  });
  desk.addEventListener('pointermove', e => {
    if (!pan) return;
    const k = scale();
    set({ ...pan.view, x: pan.view.x - (e.clientX - pan.x) * k, y: pan.view.y - (e.clientY - pan.y) * k });
  });
  for (const end of ['pointerup', 'pointercancel']) desk.addEventListener(end, () => { pan = null; });
  const typing = (e: Event) => e.target instanceof Element
    && e.target.closest('input,textarea,select,button,summary,a,dialog') !== null;
  document.addEventListener('keydown',
    e =>
      { if (e.key === ' ' && !typing(e)) { space = true; e.preventDefault(); document.body.classList.add('panning');
        } });
  document.addEventListener('keyup',
    e => { if (e.key === ' ') { space = false; document.body.classList.remove('panning'); } });

  // Two fingers on a touch screen.
  const fingers = new Map<number, PointerEvent>();
  let apart = 0;
  desk.addEventListener('pointerdown', e => { if (e.pointerType === 'touch') fingers.set(e.pointerId, e); }, true);
  desk.addEventListener('pointermove', e => {
    if (!fingers.has(e.pointerId)) return;
    fingers.set(e.pointerId, e);
    if (fingers.size !== 2) return;
    e.stopPropagation();
    const [a, b] = [...fingers.values()] as [PointerEvent, PointerEvent];
    const now = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
    if (apart > 0) zoom(apart / now, { clientX: (a.clientX + b.clientX) / 2, clientY: (a.clientY + b.clientY) / 2 });
    apart = now;
  }, true);
  for (const end of ['pointerup', 'pointercancel'])
    desk.addEventListener(end, e => { fingers.delete((e as PointerEvent).pointerId); apart = 0; }, true);
}
