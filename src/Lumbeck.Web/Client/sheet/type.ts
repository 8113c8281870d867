// Typing on the sheet: a field out of sight takes the keys, the server sets the words, and the caret stands where the glyphs are.
import { answered, editing, pause, picked, send, typeIn } from '../queue/queue';
import { holds } from '../queue/holds';
import { along, lines, nearest, stopOf, stops, type Stop } from './carets';
import { at, draw, hits, sheet, surfaceOf, toSheet, type Hit } from './sheet';

let field: HTMLTextAreaElement | null = null;
/** The words as the server last had them when the field was set to them. */
let known = '';
let composing = false;
let begun = false;
let leaving = false;
let item = '';
let gesture = '';
let burst = 0;
let drag = -1;
let timer = 0;
/** Where the caret is kept to while it moves from line to line. */
let column: number | null = null;

export const typing = () => field !== null;
const map = () => document.getElementById('carets')?.dataset ?? {};
const own = (): Hit | undefined => hits().find(h => h.id === item);
/** The words as the server last had them. */
const words = (): string => document.querySelector<HTMLElement>(`[data-fact="item/${CSS.escape(item)}/words"]`)?.dataset.value ?? '';

/** Begins typing in a text, with the caret where it was pointed at, or all of it picked. */
export function typeOn(id: string, e?: { clientX: number; clientY: number }): void {
  if (field && item === id) return;
  leave();
  item = id;
  gesture = crypto.randomUUID();
  begun = leaving = composing = false;
  field = document.createElement('textarea');
  field.id = 'typed-in';
  field.setAttribute('aria-label', 'The words, typed on the sheet; Escape leaves them');
  field.spellcheck = false;
  document.getElementById('desk')!.append(field);
  document.body.classList.add('typing');
  typeIn(id, '');
  // It has the keys at once: what is typed before the words are there is put where they were pointed at.
  field.focus();
  const mine = field;
  void ready(mine).then(() => {
    if (field !== mine) return;
    const early = field.value;
    field.value = known = words();
    // Words that are only there to begin with go with the first key.
    const starter = document.querySelector(`#hits [data-pick="${CSS.escape(id)}"][data-starter]`) !== null;
    if (e && !starter) { const to = pointed(e); field.setSelectionRange(to, to); } else field.select();
    begun = true;
    if (early) { field.setRangeText(early, field.selectionStart, field.selectionEnd, 'end'); typed(); }
    show();
    if (leaving) leave();
  });
  field.addEventListener('input', e => { composing = (e as InputEvent).isComposing; typed(); });
  field.addEventListener('compositionend', () => { composing = false; typed(); });
  field.addEventListener('keydown', key);
  for (const event of ['keyup', 'select', 'focus']) field.addEventListener(event, () => { show(); pickSoon(); });
}

/** Waits for the words and the places where the caret can stand, however late they come. */
async function ready(mine: HTMLTextAreaElement): Promise<void> {
  while (field === mine && map().item !== item) await pause(10);
}

/** Leaves the words; what was typed before they were there is put among them first. */
function leaveSoon(): void {
  if (begun || !field?.value) leave(); else leaving = true;
}

export function leave(): void {
  if (!field) return;
  holds.over(field.id);
  field.remove();
  field = null;
  document.body.classList.remove('typing');
  document.getElementById('caret')?.remove();
  typeIn(item, null);
}

function typed(): void {
  if (!field || !begun || composing) return;
  // A burst of keys is one step back.
  if (performance.now() - burst > 1500) gesture = crypto.randomUUID();
  burst = performance.now();
  column = null;
  editing('');
  holds.touched(field.id);
  send({ is: 'write', path: `item/${item}/words`, text: field.value, caret: field.selectionEnd }, { gesture, field: field.id });
}

function key(e: KeyboardEvent): void {
  if (!field) return;
  e.stopPropagation();
  if (e.isComposing) return;
  if (e.key === 'Escape') { e.preventDefault(); return leaveSoon(); }
  if ((e.ctrlKey || e.metaKey) && ['z', 'y'].includes(e.key.toLowerCase())) {
    e.preventDefault();
    return send({ is: 'step', way: e.key.toLowerCase() === 'y' || e.shiftKey ? 'forward' : 'back' });
  }
  // The picked letters, or the word the caret is in, larger or smaller.
  if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
    e.preventDefault();
    return resize(e.key === 'ArrowUp' ? 'larger' : 'smaller');
  }
  if (e.ctrlKey || e.metaKey || e.altKey) return;
  const to = e.key === 'ArrowUp'
    ? beside(-1)
    : e.key === 'ArrowDown'
    ? beside(1)
    : e.key === 'Home'
    ? end(0)
    : e.key === 'End'
    ? end(1)
    : null;
  if (to === null) { column = null; return; }
  e.preventDefault();
  move(to, e.shiftKey);
}

/** From the first to behind the last letter of the word about a place. */
function wordAt(place: number): [number, number] {
  const text = field!.value;
  const letter = (i: number) => i >= 0 && i < text.length && /[^\s.,;:!?…“”"()]/u.test(text[i]!);
  let [from, to] = [place, place];
  while (letter(from - 1)) from--;
  while (letter(to)) to++;
  return [from, to];
}

function resize(way: 'larger' | 'smaller'): void {
  let [from, to] = [field!.selectionStart, field!.selectionEnd];
  if (from === to) {
    [from, to] = wordAt(from);
    field!.setSelectionRange(from, to);
    show();
    pickSoon();
  }
  if (to <= from) return;
  const all = from === 0 && to === field!.value.length;
  send({ is: 'write', path: all ? `item/${item}/size` : `item/${item}/size@${from}-${to}`, text: way }, { gesture });
}

function move(to: number, keep: boolean): void {
  const [from, back] = [field!.selectionStart, field!.selectionDirection === 'backward'];
  const anchor = back ? field!.selectionEnd : from;
  if (keep) field!.setSelectionRange(Math.min(anchor, to), Math.max(anchor, to), to < anchor ? 'backward' : 'forward');
  else field!.setSelectionRange(to, to);
  show();
  pickSoon();
}

const here = () => (field!.selectionDirection === 'backward' ? field!.selectionStart : field!.selectionEnd);

function beside(by: number): number {
  const all = stops(map());
  const now = stopOf(here(), all);
  if (!now) return here();
  column ??= along(now);
  const line = all.filter(s => s.line === now.line + by);
  if (line.length === 0) return by < 0 ? 0 : field!.value.length;
  return line.reduce((a, b) => (Math.abs(along(b) - column!) < Math.abs(along(a) - column!) ? b : a)).at;
}

function end(which: 0 | 1): number {
  const all = stops(map());
  const now = stopOf(here(), all);
  const line = all.filter(s => s.line === now?.line).map(s => s.at);
  return line.length === 0 ? here() : which === 0 ? Math.min(...line) : Math.max(...line);
}

/** The place in the words that a point of the screen is nearest to. */
function pointed(e: { clientX: number; clientY: number }): number {
  const hit = own();
  const surface = hit && surfaceNow(e);
  if (!hit || !surface) return field?.value.length ?? 0;
  const p = toSheet(surface, e);
  const q = at(hit.m.inverse(), p.x, p.y);
  return nearest(q, stops(map()), lines(map()), field?.value.length ?? 0);
}
function surfaceNow(e: { clientX: number; clientY: number }) {
  const under = document.elementsFromPoint(e.clientX, e.clientY).find(x => surfaceOf(x));
  return under ? surfaceOf(under) : sheet ? surfaceOf(sheet) : null;
}

/** Draws the caret, and what is picked, over the glyphs. */
function show(): void {
  document.getElementById('caret')?.remove();
  const hit = own();
  if (!field || !hit || !sheet || map().item !== item) return;
  const all = stops(map());
  const ls = lines(map());
  const g = draw(sheet, 'g', { id: 'caret', transform: `matrix(${hit.m.a} ${hit.m.b} ${hit.m.c} ${hit.m.d} ${hit.m.e} ${hit.m.f})` });
  const size = Number(map().size ?? 12);
  const bar = (s: Stop, wide: number, name: string) => {
    const l = ls[s.line] ?? { up: size * 0.8, down: size * 0.2 };
    draw(g, 'path', { class: name, transform: `translate(${s.x} ${s.y})rotate(${s.turn})`,
      d: wide === 0 ? `M0 ${-l.up}V${l.down}` : `M0 ${-l.up}H${wide}V${l.down}H0z` });
  };
  const [from, to] = [field.selectionStart, field.selectionEnd];
  for (const s of all) if (s.wide !== 0 && s.at >= from && s.at < to) bar(s, s.wide, 'over-letters');
  const now = stopOf(here(), all) ?? { at: 0, line: 0, x: 0, y: size, turn: 0, wide: 0 };
  bar(now, 0, 'bar under');
  bar(now, 0, 'bar');
}

/** What is picked is told to the settings a moment after the hand rests. */
function pickSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(() => {
    if (!field || drag >= 0) return;
    const [from, to] = [field.selectionStart, field.selectionEnd];
    void answered().then(() => { if (field) editing(from < to ? `${from}-${to}` : ''); });
  }, 160);
}

document.addEventListener('lumbeck:settled', () => {
  if (!field) return;
  if (!picked().includes(item)) return leave();
  const now = words();
  // Quotes and dashes may have been set otherwise than they were typed: the caret stays after the same letter.
  // What was typed since is ahead of what was answered, and what could not be taken is its maker's still.
  if (begun && !composing && holds.answered(field.id) && now !== known) {
    known = now;
    if (field.value === now) return show();
    const [back, from] = [field.value.length - field.selectionEnd, field.selectionStart === field.selectionEnd];
    field.value = now;
    const to = Math.max(0, now.length - back);
    if (from) field.setSelectionRange(to, to);
  }
  show();
});
document.addEventListener('lumbeck:seen', show);

/** While a text is typed in, the hand on its letters moves the caret, not the item. */
document.addEventListener('pointerdown', e => {
  if (!field || e.button !== 0 || !(e.target instanceof Element)) return;
  const on = surfaceOf(e.target);
  if (!on) return;
  const hit = own();
  const p = hit && at(hit.m.inverse(), toSheet(on, e).x, toSheet(on, e).y);
  const within = hit && p && p.x >= -4 && p.y >= -4 && p.x <= hit.w + 4 && p.y <= hit.h + 4;
  if (!within) return leaveSoon();
  e.stopPropagation();
  e.preventDefault();
  const to = pointed(e);
  field.focus();
  if (e.shiftKey) move(to, true); else { drag = to; move(to, false); }
}, true);
document.addEventListener('pointermove', e => {
  if (!field || drag < 0) return;
  e.stopPropagation();
  const to = pointed(e);
  field.setSelectionRange(Math.min(drag, to), Math.max(drag, to), to < drag ? 'backward' : 'forward');
  show();
}, true);
document.addEventListener('pointerup', e => {
  if (!field || drag < 0) return;
  e.stopPropagation();
  drag = -1;
  pickSoon();
}, true);
document.addEventListener('dblclick', e => {
  if (!(e.target instanceof Element)) return;
  if (field) {
    // A word, as everywhere.
    const to = pointed(e);
    const letter = (i: number) => /[\p{L}\p{N}\p{M}’']/u.test(field!.value[i] ?? '');
    let [a, b] = [to, to];
    while (a > 0 && letter(a - 1)) a--;
    while (b < field.value.length && letter(b)) b++;
    field.setSelectionRange(a, b);
    show();
    pickSoon();
    e.stopImmediatePropagation();
    return;
  }
  // What was hit may have been drawn anew between the two presses.
  const hit = document.elementsFromPoint(e.clientX, e.clientY).find(x =>
    x.matches('.hit, .grip')) as SVGElement | undefined;
  if (hit?.dataset.kind !== 'text' || hit.dataset.locked === 'true') return;
  e.stopImmediatePropagation();
  typeOn(hit.dataset.pick!, e);
}, true);
document.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-type]') : null;
  if (at) typeOn(at.dataset.type!);
});
