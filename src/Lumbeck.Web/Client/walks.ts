// What is chosen by looking: papers, vistas and ornaments as small pictures. Arrows walk from one to the next, Enter
// takes it, space shows another twelve seeds, Escape puts back what lay there before the book was opened.
import { send, write } from './queue/queue';

const BOOK = '#papers, details[data-book]';
/** All that is taken while a book is open is one step. */
let gesture = '', taken = 0;

document.addEventListener('toggle', e => {
  if (!(e.target instanceof HTMLDetailsElement) || !e.target.matches(BOOK)) return;
  if (!e.target.open) return;
  if (!gesture) gesture = crypto.randomUUID();
  e.target.querySelector<HTMLElement>('[aria-pressed="true"]')?.scrollIntoView({ block: 'nearest' });
}, true);

/** Takes what was pressed in a book; false where it was none of a book's. */
export function chosen(button: HTMLElement): boolean {
  if (!button.closest('[data-walks]')) return false;
  const before = document.body.dataset.tick;
  // What lay there already, or was refused, is no step that could be put back.
  write(button.dataset.fact!, button.dataset.text ?? '', { gesture,
    done: () => { if (document.body.dataset.tick !== before) taken++; } });
  return true;
}

// A setting that is typed in a book is a step of its own: what is taken after it begins anew.
document.addEventListener('change', e => {
  if (e.target instanceof Element && e.target.closest(BOOK)) (gesture = crypto.randomUUID()), (taken = 0);
});

/** Closes the open book; with Escape, what was taken since it was opened, or since a setting was typed, is put back. */
export function closed(book: HTMLDetailsElement, back: boolean): void {
  book.open = false;
  if (!book.matches(BOOK)) return;
  if (back && taken > 0) send({ is: 'step', way: 'back' });
  (gesture = ''), (taken = 0);
}

/** Another twelve seeds, or the twelve before them. */
function onward(seeds: HTMLElement, by: bigint): void {
  for (const button of seeds.querySelectorAll<HTMLElement>('[data-text]')) {
    const next = BigInt.asUintN(64, BigInt(button.dataset.text!) + by).toString();
    const img = button.querySelector('img')!;
    img.src = img.src.replace(/seed=\d+/, `seed=${next}`);
    button.dataset.text = next;
    button.title = `Seed ${next}`;
    button.setAttribute('aria-label', button.title);
  }
}

document.addEventListener('keydown', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-walks] button') : null;
  if (!at || e.ctrlKey || e.metaKey || e.altKey) return;
  const group = at.closest<HTMLElement>('[data-walks]')!;
  const all = [...group.querySelectorAll<HTMLElement>('button')];
  const n = all.indexOf(at);
  const across = all.filter(b => b.offsetTop === all[0]!.offsetTop).length;
  const to = { ArrowRight: n + 1, ArrowLeft: n - 1, ArrowDown: n + across, ArrowUp: n - across }[e.key];
  if (to !== undefined) {
    // Past a group's end lies the next one.
    const groups = [...document.querySelectorAll<HTMLElement>('details[open] [data-walks]')];
    const other = groups[groups.indexOf(group) + (to < 0 ? -1 : 1)];
    (all[to] ?? other?.querySelector<HTMLElement>('button'))?.focus();
  } else if (e.key === ' ' && group.dataset.walks === 'seeds') onward(group, e.shiftKey ? -12n : 12n);
  else return;
  e.preventDefault();
  e.stopPropagation();
}, true);
