// Edits leave the page one after the other, in the order they were made, and none is dropped:
// what the server has not answered is sent again under its own id, which it applies only once.
import { htmx } from './htmx';
import { post } from './post';
import { holds, keyOf, type Given } from './holds';
import { askWhich } from './conflicts';
import { announce, clearNotice, tell, told, unread, wrong } from './notices';
import type { Ask, Place, Problem, Sent } from './wire';

export { announce, tell } from './notices';

type Field = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;

/** Whether its maker still types, what follows once it is answered, the gesture it is a part of, the field it is of. */
export type How = { quiet?: boolean; done?: () => void; gesture?: string; field?: string };
type Entry = { id: string; ask: Ask; how: How; given?: Given; over?: boolean; failed?: number };

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
  // A newer text for the same fact makes an older one unnecessary that was put in just before and has not left yet.
  const last = waiting.length > 1 ? waiting.at(-1) : undefined;
  if (last && fact(ask) && fact(last.ask) === fact(ask) && last.how.gesture === how.gesture) {
    waiting.pop();
    last.given?.done();
  }
  // What is stepped back to is what the field in hand shows, until keys change it again.
  if (ask.is === 'step' && document.activeElement instanceof HTMLElement) holds.over(keyOf(document.activeElement));
  document.dispatchEvent(new CustomEvent('lumbeck:asked', { detail: ask.is }));
  put({ id: crypto.randomUUID(), ask, how });
}

function put(entry: Entry): void {
  trying++;
  if (entry.how.field && 'text' in entry.ask) entry.given = holds.give(entry.how.field, entry.ask.text);
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
      const end = await leave(entry);
      if (end === 'again') { await pause(1000); continue; }
      waiting.shift();
      if (end === 'done') entry.how.done?.();
    }
  } finally {
    busy = false;
  }
}

/** Sends an edit: it was made, it could not be made, or it is to be sent again. */
async function leave(entry: Entry): Promise<'done' | 'refused' | 'again'> {
  const { id, ask, how, over } = entry;
  let answer: Response;
  try {
    answer = await post(`${base}/edit`,
      sent(id, ask, { base: over ? null : tick, opened, gesture: how.gesture ?? null, open: shown, tried }));
  } catch {
    tell('The server does not answer. What you did is kept here and sent again.');
    return 'again';
  }
  if (answer.ok) {
    // Another text that could not be read is of the past, before its field is set.
    if (fact(ask)) wrong(fact(ask), '');
    entry.given?.done();
    await show(answer);
    announce(decodeURIComponent(answer.headers.get('X-Says') ?? ''));
    clearNotice();
    return 'done';
  }
  if (answer.status === 507) {
    // There may be room again at any moment: nothing is left out for want of it.
    tell('The disk is full. What you did is kept here, and sent again until there is room.');
    return 'again';
  }
  if (answer.status >= 500) {
    // What the server stumbles over time and again must not hold up what comes after it.
    entry.failed = (entry.failed ?? 0) + 1;
    if (entry.failed < 4) { tell('The server could not do this just now; it is tried again.'); return 'again'; }
    tell('The server could not do this last step, and it was left out; all before it is kept.');
    entry.given?.failed();
    return 'refused';
  }
  const said = answer.status === 413 ? { path: '', detail: 'That is more than a cover holds; nothing was changed.' }
    : (await answer.json().catch(() => ({ path: '', detail: 'This can’t be done.' }))) as Problem;
  // What is said of a text that its maker has changed since would be said of another.
  const same = entry.given?.failed() ?? true;
  if (answer.status === 409) conflict(said, ask, how);
  else if (!how.quiet && same) wrong(said.path || fact(ask), said.detail, fact(ask), 'text' in ask ? ask.text : undefined);
  return 'refused';
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

/** Shows what is saved in a field, or the text that was refused there; not in one that is its maker's. */
export function showSaved(field: Field): void {
  if (holds.mine(keyOf(field))) return;
  const kept = unread(field.dataset.fact ?? '');
  const value = kept?.text ?? field.dataset.value ?? '';
  if (field.value !== value) field.value = value;
  if (kept) told(field.dataset.fact!, kept.sentence);
}

/** Morphing leaves a touched field as its user left it; what the server says is what it shows, but for those that
  their maker types in, and those whose text is on its way. */
function settle(): void {
  for (const field of document.querySelectorAll<Field>('[data-value]')) showSaved(field);
  for (const box of document.querySelectorAll<HTMLInputElement>('[data-toggle]'))
    if (!holds.mine(keyOf(box))) box.checked = box.hasAttribute('checked');
  const gone = wanted ? picked().filter(id => !document.getElementById(`row-${id}`)) : [];
  if (gone.length > 0) wanted = shown = picked().filter(id => !gone.includes(id)).join(',') || null;
  document.dispatchEvent(new Event('lumbeck:settled'));
}

/** Somebody else changed the same fact: what is on the bench stays, or the edit is made over it. */
function conflict(problem: Problem, ask: Ask, how: How): void {
  askWhich(problem, ask.is === 'step', () => void news().then(settle),
    () => put({ id: crypto.randomUUID(), ask, how, over: true }));
  void news();
}

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
