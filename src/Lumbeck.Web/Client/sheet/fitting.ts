// Trying on: this job's own sheet wears one livery after the other, all of them small along its foot. What is tried is a
// picture over the sheet; nothing is kept until it is taken.
import { picked, send } from '../queue/queue';
import { draw, sheet } from './sheet';

const room = document.getElementById('fitting');
const list = room ? [...room.querySelectorAll<HTMLButtonElement>('[data-fit=this]')] : [];
const base = document.body.dataset.base ?? '';

/** Which livery, which of its colours from 0, and which seed; 0 is its own. */
const on = { livery: -1, way: 0, seed: 0 };
const seeds = ['its own', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12'];
/** The revision that the small ones show. */
let filled = '';

const ways = (n: number) => list[n]!.dataset.ways!.split(', ');
const seedOf = (n: number) => (n === 0 ? '' : seeds[n]!);
const addressOf = (n: number, way: number, seed: number, wide: number) => `${base}/worn.jpg?${new URLSearchParams({
  livery: list[n]!.dataset.livery!, way: String(way + 1), seed: seedOf(seed), wide: String(wide),
  sheet: document.body.dataset.sheet ?? '', tick: document.body.dataset.tick ?? '' })}`;

/** Opens the room, or leaves it. */
export function fitting(open = room?.hidden ?? false): void {
  if (!room || !sheet) return;
  room.hidden = !open;
  document.getElementById('see-fitting')?.setAttribute('aria-pressed', String(open));
  if (!open) { bare(); on.livery = -1; told(); return; }
  void fill();
  told();
  full();
  list[0]?.focus({ preventScroll: true });
}

export const isFitting = () => room !== null && !room.hidden;

/** The sheet as it is. */
function bare(): void {
  document.getElementById('worn')?.remove();
  sheet?.classList.remove('trying');
}

/** All of them small, four at a time. */
async function fill(): Promise<void> {
  const now = document.body.dataset.tick ?? '';
  if (filled === now) return;
  filled = now;
  let next = 0;
  const worker = async () => {
    for (let n = next++; n < list.length && filled === now; n = next++) await small(n);
  };
  await Promise.all([worker(), worker(), worker(), worker()]);
}

async function small(n: number): Promise<void> {
  try {
    const answer = await fetch(addressOf(n, 0, 0, 180));
    if (!answer.ok) return;
    const image = list[n]!.querySelector('img')!;
    image.src = answer.url;
    list[n]!.dataset.unfit = decodeURIComponent(answer.headers.get('X-Unfit') ?? '');
    list[n]!.classList.toggle('unfit', list[n]!.dataset.unfit !== '');
  } catch { /* stays without its picture */ }
}

let asked = 0;
/** Pixels of what is tried on: enough to see it whole, few enough to answer at once. */
const MOST = 700;

/** Puts the chosen one on the sheet. */
async function wear(): Promise<void> {
  const mine = ++asked;
  told();
  const box = sheet!.viewBox.baseVal;
  const [wide, high] = [Number(sheet!.dataset.wide), Number(sheet!.dataset.high)];
  const screen = sheet!.getBoundingClientRect().width / box.width * wide * devicePixelRatio;
  const answer = await fetch(addressOf(on.livery, on.way, on.seed, Math.round(Math.min(MOST, screen)))).catch(() => null);
  if (!answer?.ok || mine !== asked || !isFitting()) return;
  const was = document.getElementById('worn');
  const image = draw(document.getElementById('art')!, 'image',
    { id: 'worn', href: answer.url, x: 0, y: 0, width: wide, height: high, preserveAspectRatio: 'none' });
  // The one before lies there until this one is seen.
  image.addEventListener('load', () => { was?.remove(); sheet!.classList.add('trying'); });
  told(decodeURIComponent(answer.headers.get('X-Unfit') ?? ''));
}

function told(unfit = ''): void {
  const says = (id: string, text: string) => { document.getElementById(id)!.textContent = text; };
  const at = list[on.livery];
  says('fit-livery', at?.dataset.name ?? 'none yet');
  says('fit-way', at ? ways(on.livery)[on.way]! : '');
  says('fit-seed', at ? (on.seed === 0 ? 'seed' : `seed ${seeds[on.seed]}`) : '');
  const line = document.getElementById('fit-for')!;
  line.textContent = !at ? 'A whole look with this book’s own words. Arrows try one on; what lies here stays as it is.'
    : unfit ? `No room for ${unfit}.` : `for ${at.dataset.for}`;
  line.classList.toggle('wrong', unfit !== '');
  for (const [n, b] of list.entries()) b.setAttribute('aria-selected', String(n === on.livery));
  if (at) { at.focus({ preventScroll: true }); at.scrollIntoView({ block: 'nearest' }); }
}

type Full = { wrap: string; takes: [string, string][] };

/** Where a wrap holds as many takes as it can, which one to let go is asked before another is laid. */
function full(): void {
  const at = document.getElementById('fit-full')!;
  const told = document.getElementById('see-fitting')?.dataset.full ?? '[]';
  // What was chosen meanwhile stays chosen.
  if (at.dataset.told === told) return;
  at.dataset.told = told;
  const wraps = JSON.parse(told) as Full[];
  at.hidden = wraps.length === 0;
  at.replaceChildren(...wraps.map(({ wrap, takes }) => {
    const label = document.createElement('label');
    const select = document.createElement('select');
    select.className = 'field max-w-[130px]';
    select.append(...takes.map(([id, name]) => new Option(name, id)));
    label.append(`${takes.length} takes are as many as the ${wrap} holds: let go `, select);
    return label;
  }));
}

const letGo = () => [...document.querySelectorAll<HTMLSelectElement>('#fit-full select')].map(s => s.value);

const round = (n: number, of: number) => ((n % of) + of) % of;

function step(what: string, by: number): void {
  if (what === 'livery') {
    on.livery = on.livery < 0 ? (by > 0 ? 0 : list.length - 1) : round(on.livery + by, list.length);
    on.way = 0;
    on.seed = 0;
  }
  else if (on.livery < 0) on.livery = 0;
  else if (what === 'way') on.way = round(on.way + by, ways(on.livery).length);
  else on.seed = round(on.seed + by, seeds.length);
  void wear();
}

function take(): void {
  const at = list[on.livery];
  if (!at) return;
  send({ is: 'wear-livery', livery: at.dataset.livery!, colourway: on.way + 1, seed: seedOf(on.seed),
    new: `take-${crypto.randomUUID().slice(0, 8)}`, letGo: letGo().length > 0 ? letGo() : null }, { done: () => fitting(false) });
}

room?.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-fit]') : null;
  if (!at) return;
  const what = at.dataset.fit!;
  if (what === 'leave') return fitting(false);
  if (what === 'take') return take();
  if (what !== 'this') return step(what, Number(at.dataset.by));
  on.livery = list.indexOf(at as HTMLButtonElement);
  on.way = 0;
  on.seed = 0;
  void wear();
});

const keys: Record<string, [string, number]> = { ArrowRight: ['livery', 1], ArrowLeft: ['livery', -1],
  ArrowDown: ['way', 1], ArrowUp: ['way', -1], s: ['seed', 1], S: ['seed', -1] };

// Before the sheet's own keys: while something is tried on they are of that.
addEventListener('keydown', e => {
  if (!isFitting() || e.ctrlKey || e.metaKey || e.altKey || e.target instanceof HTMLInputElement
    || e.target instanceof HTMLTextAreaElement || e.target instanceof HTMLSelectElement || document.querySelector('dialog[open]')) return;
  const key = keys[e.key];
  if (key) step(...key);
  else if (e.key === 'Escape') fitting(false);
  else if (e.key === 'Enter' && on.livery >= 0 && !(e.target instanceof HTMLElement && e.target.dataset.fit !== 'this'
    && e.target.closest('button,a'))) take();
  else return;
  e.preventDefault();
  e.stopPropagation();
}, true);

// Whoever begins by hand has left the room.
document.addEventListener('lumbeck:asked', () => { if (isFitting()) fitting(false); });
document.addEventListener('lumbeck:picked', () => { if (isFitting() && picked().length > 0) fitting(false); });

// What changed meanwhile is tried on as it is now.
document.addEventListener('lumbeck:settled', () => { if (isFitting()) { void fill(); full(); } });

// The first thing that an empty sheet offers.
if (room && document.body.dataset.bare === 'true') fitting(true);
