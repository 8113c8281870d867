// Edits leave the page one after the other, in the order they were made, and none is dropped:
// what the server has not answered is sent again under its own id, which it applies only once.
import { htmx } from './htmx';
import { post } from './post';
import type { Ask, Place, Problem, Sent } from './wire';

/** Whether its maker still types, what follows once it is answered, and the gesture it is a part of. */
export type How = { quiet?: boolean; done?: () => void; gesture?: string };
type Entry = { id: string; ask: Ask; how: How; over?: boolean; failed?: number };

const session = crypto.randomUUID();
const body = document.body;
const base = body.dataset.base ?? ''; // the job's or house's own address

let tick = Number(body.dataset.tick ?? 0);
/** The tick that this page was opened at. */
const opened = tick;
// Ids of picked items, parted by commas, the one picked last at the end; after an @ the letters that are picked in it,
// while it is typed in.
let shown: string | null = body.dataset.open || null; // what the page shows as picked
let wanted: string | null = shown;                    // what it should show
const waiting: Entry[] = [];
// Texts that can't be read stay in their fields with what was said of them, whatever else changes meanwhile.
const refused = new Map<string, { text: string; sentence: string }>();
let busy = false;
// Something not saved is shown in place of what is: the next answer brings the saved parts back.
let tried = false;
let trying = 0;
let outdated = false;

/** The picked items, the one picked last at the end. */
export const picked = (): string[] => wanted?.split('@')[0]?.split(',') ?? [];

/** Which letters are picked in the text that is typed in; '' for a caret alone. */
export function editing(letters: string): void {
  if (!wanted?.includes('@')) return;
  wanted = `${wanted.split('@')[0]}@${letters}`;
  void drain();
}

/** Begins typing in a text, or leaves it (null). */
export function typeIn(id: string, letters: string | null): void {
  if (letters === null && wanted?.split('@')[0] !== id) return;
  wanted = letters === null ? id : `${id}@${letters}`;
  document.dispatchEvent(new Event('lumbeck:picked'));
  void drain();
}

/** Puts an edit in the queue. A quiet one is sent while its maker still types: what it can't read is not told yet. */
export function send(ask: Ask, how: How = {}): void {
  // A newer text for the same fact makes an older one that has not left yet unnecessary.
  const same = fact(ask)
    ? waiting.findIndex((e, i) => i > 0 && fact(e.ask) === fact(ask) && e.how.gesture === how.gesture)
    : 0;
  if (same > 0) waiting.splice(same, 1);
  document.dispatchEvent(new CustomEvent('lumbeck:asked', { detail: ask.is }));
  put({ id: crypto.randomUUID(), ask, how });
}

function put(entry: Entry): void {
  trying++;
  waiting.push(entry);
  void drain();
}

/** The fact that an asking writes. */
const fact = (ask: Ask): string => (ask.is === 'write' ? ask.path : ask.is === 'write-each' ? `items/${ask.fact}` : '');

/** Writes a fact, or the same one of all that is picked. */
export function write(path: string, text: string, how: How = {}): void {
  send(path.startsWith('items/') ? { is: 'write-each', items: picked(), fact: path.slice(6),
    text } : { is: 'write', path, text },
    how);
}

/** What is asked, with what the page shows meanwhile. */
const sent = (id: string, ask: Ask, more: Partial<Sent> = {}): Sent =>
  ({ id, session, seen: tick, place: body.dataset.place as Place, sheet: body.dataset.sheet ?? '', tried: false, ask,
    ...more });

/** What the page shows, for whatever is sent by another way. */
export const seenNow = () => ({ session, base: String(tick) });

/** Whether anything has not been answered yet. */
export const pending = () => waiting.length > 0;

/** Whether nothing waits behind what is being answered. */
export const caughtUp = () => waiting.length <= 1;

/** Waits until all that was sent has been answered. */
export async function answered(): Promise<void> {
  while (pending()) await pause(20);
}

/** Shows other items as picked, or none. */
export function pick(items: string[]): void {
  wanted = items.length > 0 ? items.join(',') : null;
  document.dispatchEvent(new Event('lumbeck:picked'));
  void drain();
}

/** Shows what an edit would do, without making it. */
export async function tryOut(ask: Ask): Promise<void> {
  const mine = ++trying;
  try {
    const answer = await post(`${base}/try`, sent(crypto.randomUUID(), ask));
    // Overtaken by another try, or by the edit itself.
    if (!answer.ok || mine !== trying || waiting.length > 0) return;
    const text = await answer.text();
    // It lies over what is saved, so what is being asked of that is shown first.
    while (busy && mine === trying) await pause(10);
    if (mine !== trying || waiting.length > 0) return;
    tried = true;
    await htmx.swap({ text, target: body, sourceElement: body, swap: 'none' });
    settle();
  } catch { /* what is saved stays shown */ }
}

/** Shows what is saved again. */
export function untry(): void {
  trying++;
  if (tried) refresh();
}

/** Asks for what changed, by whatever way. */
export function refresh(): void {
  outdated = true;
  void drain();
}

async function drain(): Promise<void> {
  if (busy) return;
  busy = true;
  try {
    while (waiting.length > 0 || wanted !== shown || outdated) {
      if (waiting.length === 0) { const back = outdated; outdated = false; await news(back); continue; }
      const entry = waiting[0]!;
      const settled = await leave(entry);
      if (!settled) { await pause(1000); continue; }
      waiting.shift();
      entry.how.done?.();
    }
  } finally {
    busy = false;
  }
}

async function leave(entry: Entry): Promise<boolean> {
  const { id, ask, how, over } = entry;
  let answer: Response;
  try {
    answer = await post(`${base}/edit`,
      sent(id, ask, { base: over ? null : tick, opened, gesture: how.gesture ?? null, open: shown, tried }));
  } catch {
    tell('The server does not answer. What you did is kept here and sent again.');
    return false;
  }
  if (answer.ok) {
    await show(answer);
    announce(decodeURIComponent(answer.headers.get('X-Says') ?? ''));
    if (fact(ask)) wrong(fact(ask), '');
    clearNotice();
    return true;
  }
  if (answer.status === 507) {
    // There may be room again at any moment: nothing is left out for want of it.
    tell('The disk is full. What you did is kept here, and sent again until there is room.');
    return false;
  }
  if (answer.status >= 500) {
    // What the server stumbles over time and again must not hold up what comes after it.
    entry.failed = (entry.failed ?? 0) + 1;
    if (entry.failed < 4) { tell('The server could not do this just now; it is tried again.'); return false; }
    tell('The server could not do this last step, and it was left out; all before it is kept.');
    return true;
  }
  if (answer.status === 413) { tell('That is more than a cover holds; nothing was changed.'); return true; }
  const said = (await answer.json().catch(() => ({ path: '', detail: 'This can’t be done.' }))) as Problem;
  if (answer.status === 409) conflict(said, ask, how);
  else if (!how.quiet) wrong(said.path || fact(ask), said.detail, fact(ask));
  return true;
}

/** Asks for what others changed, and for the settings of the picked item. */
async function news(back = false): Promise<void> {
  const was = shown;
  const open = wanted;
  const query = new URLSearchParams({ seen: String(tick), place: body.dataset.place ?? '',
    sheet: body.dataset.sheet ?? '' });
  if (back && tried) query.set('tried', 'true');
  if (open) query.set('open', open);
  if (was) query.set('was', was);
  try {
    const answer = await fetch(`${base}/news?${query}`);
    if (answer.ok) {
      shown = open;
      if (answer.status !== 204) await show(answer, back);
      return;
    }
    shown = wanted = was;
  } catch {
    shown = wanted = was;
    tell('The server does not answer.');
  }
}

/** Shows what the plates say of what is shown, once they were looked at; false where something was done meanwhile,
  so that it is to be asked again. */
export async function plated(): Promise<boolean> {
  const at = tick;
  const open = shown;
  const query = new URLSearchParams({ seen: String(at), place: body.dataset.place ?? '',
    sheet: body.dataset.sheet ?? '' });
  if (open) query.set('open', open);
  const answer = await fetch(`${base}/plated?${query}`);
  if (answer.status === 204) return false;
  // What can't be painted now is said, unless something is asked, and asked for again after the next edit.
  if (!answer.ok) {
    const said = (await answer.json().catch(() => null)) as Problem | null;
    if (said?.detail && !document.querySelector('#notice[data-asks]'))
      tell(said.detail.charAt(0).toUpperCase() + said.detail.slice(1) + '.');
    return true;
  }
  const text = await answer.text();
  if (busy || waiting.length > 0 || tick !== at || shown !== open || wanted !== open || tried) return false;
  await swap(text);
  settle();
  return true;
}

/** Puts parts of the page in place of those there; what is unfolded stays unfolded. */
async function swap(text: string): Promise<void> {
  const open = [...document.querySelectorAll<HTMLDetailsElement>('details[id][open]')].map(d => d.id);
  await htmx.swap({ text, target: body, sourceElement: body, swap: 'none' });
  for (const id of open) (document.getElementById(id) as HTMLDetailsElement | null)?.setAttribute('open', '');
}

async function show(answer: Response, whole = true): Promise<void> {
  const now = Number(answer.headers.get('X-Tick'));
  const text = await answer.text();
  if (now < tick) return;
  tick = now;
  if (whole) tried = false;
  if (text) await swap(text);
  settle();
  body.dataset.tick = String(tick);
}

/** Morphing leaves a touched field as its user left it; what the server says is what it shows,
  but for the one being typed in. */
function settle(): void {
  for (const field of document.querySelectorAll<HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement>('[data-value]')) {
    const value = field.dataset.value ?? '';
    if (field === document.activeElement && field.dataset.dirty === 'true') continue;
    const kept = refused.get(field.dataset.fact ?? '');
    if (kept) {
      field.value = kept.text;
      told(field.dataset.fact!, kept.sentence);
    } else if (field.value !== value) field.value = value;
  }
  for (const box of document.querySelectorAll<HTMLInputElement>('[data-toggle]'))
    box.checked = box.hasAttribute('checked');
  const gone = wanted ? picked().filter(id => !document.getElementById(`row-${id}`)) : [];
  if (gone.length > 0) wanted = shown = picked().filter(id => !gone.includes(id)).join(',') || null;
  document.dispatchEvent(new Event('lumbeck:settled'));
}

/** Says what is wrong at its field (or at the one that was typed in), or takes the sentence away again. */
export function wrong(path: string, sentence: string, typed = ''): void {
  const at = says(path) ? path : typed;
  const field = fieldOf(at);
  if (sentence && field) refused.set(at, { text: field.value, sentence });
  else refused.delete(path);
  if (!says(at)) { if (sentence) tell(sentence); return; }
  told(at, sentence);
}

const says = (path: string) => document.querySelector<HTMLElement>(`[data-says="${CSS.escape(path)}"]`);
const fieldOf = (path: string) =>
  document.querySelector<HTMLInputElement>(`:is(input, textarea, select)[data-fact="${CSS.escape(path)}"]`);

function told(path: string, sentence: string): void {
  const at = says(path)!;
  const field = fieldOf(path);
  at.textContent = sentence || at.dataset.hint || '';
  at.classList.toggle('wrong', sentence !== '');
  if (sentence) { field?.setAttribute('aria-invalid', 'true'); at.setAttribute('role', 'alert');
    } else { field?.removeAttribute('aria-invalid'); at.removeAttribute('role'); }
}

function notice(): HTMLElement {
  let n = document.getElementById('notice');
  if (!n) {
    n = document.createElement('div');
    n.id = 'notice';
    n.className = 'fixed left-1/2 -translate-x-1/2 bottom-11 z-30 bg-raised text-ink border border-edge border-l-4 '
      + 'border-l-brass px-4 py-2 shadow-lg max-w-[760px] flex items-center gap-3';
    n.setAttribute('role', 'alert');
    body.append(n);
  }
  n.replaceChildren();
  return n;
}

/** Says what was done to those who do not see it. */
export function announce(sentence: string): void {
  const at = document.getElementById('announced');
  if (at && sentence) at.textContent = sentence;
}

function clearNotice(): void { document.querySelector('#notice:not([data-asks])')?.remove(); }

export function tell(sentence: string): void {
  const n = notice();
  delete n.dataset.asks;
  n.append(sentence);
}

/** Somebody else changed the same fact: both values, and a way on. */
function conflict(c: Problem, ask: Ask, how: How): void {
  const [theirs, yours] = [c.theirs ?? '', c.yours ?? ''];
  const n = notice();
  n.dataset.asks = 'true';
  const words = document.createElement('p');
  const step = ask.is === 'step';
  words.textContent = step
    ? `The last step was made elsewhere: ${c.label}.`
    : `${c.label} was changed elsewhere in the meantime: it now says ${theirs || 'nothing'}; you typed ${yours || 'nothing'}.`;
  const choice = (text: string, act: () => void) => {
    const b = document.createElement('button');
    b.type = 'button';
    b.className = 'lift shrink-0';
    b.textContent = text;
    b.onclick = () => { n.remove(); act(); };
    return b;
  };
  const again = () => put({ id: crypto.randomUUID(), ask, how, over: true });
  if (step) n.append(words, choice('Leave it', () => {}), choice('Take it back', again));
  else n.append(words,
    choice(`Keep ${short(theirs)}`, () => { undirty(); void news().then(settle); }),
    choice(`Use ${short(yours)}`, again));
  undirty();
  void news();
}

const short = (s: string) => (s.length > 24 ? s.slice(0, 23) + '…' : s || 'nothing');
const undirty = () => document.querySelectorAll<HTMLElement>('[data-dirty]').forEach(f => delete f.dataset.dirty);
export const pause = (ms: number) => new Promise(r => setTimeout(r, ms));

// Whoever leaves with something unanswered is asked first.
window.addEventListener('beforeunload', e => { if (pending()) e.preventDefault(); });

// Another tab, or the command line, may have changed the job.
if (base) setInterval(() => {
  // What a hand carries is not drawn anew under it.
  if (busy || waiting.length > 0 || document.hidden || document.querySelector('.carrying')) return;
  busy = true;
  void news().finally(() => { busy = false; void drain(); });
}, 1000);
