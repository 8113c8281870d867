// Keys of the Wrap screen, in the trade's words. The list behind ? is the server's, from the same letters.
import { book } from './sheet/book';
import { leave, tour, touring } from './sheet/tour';
import { alone, farther, fitItem, fitPanel, fitSheet, holdZones, nearer, next, pointedAt, push,
  trueSize } from './sheet/view';
import { hits } from './sheet/sheet';
import { picked, send } from './queue/queue';
import { arrange, choose } from './sheet/picking';
import { shop } from './sheet/matching';
import { typeOn } from './sheet/type';
import { isMute, showSwitch } from './letters';

export const onWrap = document.body.dataset.place === 'Wrap';

const arranges: Record<string, string> = { c: 'centre', m: 'middle', k: 'safe', j: 'spine', f: 'panel', b: 'bleed',
  w: 'sheet', q: 'quarter', d: 'copy', o: 'other-cover', g: 'group', u: 'ungroup' };
const sees: Record<string, () => void> = {
  '+': nearer, '=': nearer, '-': farther, s: fitSheet, p: fitPanel, i: fitItem, t: trueSize, a: () => alone(), y: book,
    v: words, '$': shop,
};
const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1],
  ArrowDown: [0, 1] };
let burst = { id: '', at: 0 };

/** The sheet in words, asked for when it is wanted. */
export async function words(): Promise<void> {
  const dialog = document.getElementById('in-words') as HTMLDialogElement;
  dialog.showModal();
  const at = document.getElementById('in-words-text')!;
  try { at.textContent = await (await fetch(`${document.body.dataset.base}/wrap.txt?sheet=${document.body.dataset.sheet ?? ''}`)).text(); }
  catch { at.textContent = 'The server does not answer.'; }
}

/** The next take of this wrap, on the bench. */
function nextTake(): boolean {
  const takes = [...document.querySelectorAll<HTMLElement>('#takes [data-design=choose]')];
  const now = takes.findIndex(t => t.getAttribute('aria-pressed') === 'true');
  const to = takes[(now + 1) % takes.length]?.dataset.take;
  if (to && takes.length > 1) send({ is: 'choose-take', take: to });
  return true;
}

/** The list of the panel that is pointed at, or of the front. */
function list(): boolean {
  const part = pointedAt() ?? 'front';
  document.querySelector<HTMLElement>(`#list-${part} button, #${part}-list button`)?.focus();
  return true;
}

const toggle = (fact: string): void => send({ is: 'write-each', items: picked(), fact,
  text: document.querySelector(`[data-fact$="/${fact}"][aria-pressed="true"]`) ? 'no' : 'yes' });

/** A key pressed on the sheet or a list; true where it did something. */
export function pressed(e: KeyboardEvent): boolean {
  const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
  const items = picked();
  if ((e.ctrlKey || e.metaKey) && key === 'a') { choose(hits().filter(h => !h.locked).map(h => h.id)); return true; }
  if (e.ctrlKey || e.metaKey || e.altKey || isMute(e)) return false;
  if (key === '?') { showSwitch(); (document.getElementById('keys') as HTMLDialogElement).showModal(); return true; }
  if (key === 'z') { holdZones(true); return true; }
  if (key === 'e') { tour(e.shiftKey ? -1 : 1); return true; }
  if (key === 'Escape') { if (touring()) leave(); else if (items.length > 0) choose([]); else return false; return true;
    }
  if (key === 'n') { const to = next(e.shiftKey ? -1 : 1); if (to) choose([to]); return true; }
  if (key === ',') return nextTake();
  if (key === ';') return list();
  if (key === 'x') { send({ is: 'swap-covers' }); return true; }
  if (!e.shiftKey || key === '+' || key === '$') if (sees[key]) { sees[key](); return true; }
  if (key === 'Enter' && items.length === 1
    && !(e.target instanceof HTMLButtonElement || e.target instanceof HTMLAnchorElement)
    && hits().find(h => h.id === items[0] && h.kind === 'text' && !h.locked)) { typeOn(items[0]!); return true; }
  const arrow = arrows[e.key];
  if (items.length === 0) { if (arrow) push(arrow[0], arrow[1], e.shiftKey); return arrow !== undefined; }
  if (!e.shiftKey && arranges[key]) { arrange(arranges[key]); return true; }
  if (key === '[' || key === ']') { send({ is: 'order', items, steps: key === ']' ? 1 : -1 }); return true; }
  if (key === 'r' && !e.shiftKey) {
    // Whatever its settings show just then: while it grows they show that.
    const pictures = hits().filter(h => h.kind === 'picture' && items.includes(h.id)).map(h => h.id);
    if (pictures.length > 0) send({ is: 'write-each', items: pictures, fact: 'grow', text: 'next' });
    return true;
  }
  if (key === 'l') { toggle('locked'); return true; }
  if (key === 'h') { toggle('hidden'); return true; }
  if (key === 'Delete' || key === 'Backspace') { send({ is: 'remove', items }); return true; }
  if (!arrow) return false;
  // A burst of keys is one step back.
  if (burst.id === '' || e.timeStamp - burst.at > 900) burst.id = crypto.randomUUID();
  burst.at = e.timeStamp;
  send({ is: 'nudge', items, right: arrow[0], down: arrow[1], far: e.shiftKey }, { gesture: burst.id });
  return true;
}

document.addEventListener('keyup', e => { if (e.key.toLowerCase() === 'z') holdZones(false); });
document.addEventListener('pointerdown',
  e => { if (e.target instanceof Element && e.target.closest('#hide-zones')) holdZones(true); });
for (const up of ['pointerup', 'pointercancel', 'blur']) window.addEventListener(up, () => holdZones(false));
