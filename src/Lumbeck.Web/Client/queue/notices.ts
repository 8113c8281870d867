// What is said: at a field, at the foot of the page, and to those who do not see it.

const body = document.body;

/** Texts that can't be read stay in their fields with what was said of them, whatever else changes meanwhile. */
const refused = new Map<string, { text: string; sentence: string }>();

const says = (path: string) => document.querySelector<HTMLElement>(`[data-says="${CSS.escape(path)}"]`);
const fieldOf = (path: string) =>
  document.querySelector<HTMLInputElement>(`:is(input, textarea, select)[data-fact="${CSS.escape(path)}"]`);

/** The text that a fact's field keeps although it can't be read. */
export const unread = (path: string) => refused.get(path);

/** The field's text is another now: what was said of the one before is of the past. */
export function reread(path: string): void { refused.delete(path); }

/** Says what is wrong at its field (or at the one that was typed in), or takes the sentence away again. */
export function wrong(path: string, sentence: string, typed = '', text?: string): void {
  const at = says(path) ? path : typed;
  const field = fieldOf(at);
  if (sentence && field) refused.set(at, { text: at === typed && text !== undefined ? text : field.value, sentence });
  else refused.delete(path);
  if (!says(at)) { if (sentence) tell(sentence); return; }
  told(at, sentence);
}

export function told(path: string, sentence: string): void {
  const at = says(path);
  if (!at) return;
  const field = fieldOf(path);
  at.textContent = sentence || at.dataset.hint || '';
  at.classList.toggle('wrong', sentence !== '');
  if (sentence) { field?.setAttribute('aria-invalid', 'true'); at.setAttribute('role', 'alert'); }
  else { field?.removeAttribute('aria-invalid'); at.removeAttribute('role'); }
}

/** The one notice of the page, emptied. */
export function notice(): HTMLElement {
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

export const clearNotice = (): void => { document.querySelector('#notice:not([data-asks])')?.remove(); };

export function tell(sentence: string): void {
  const n = notice();
  delete n.dataset.asks;
  n.append(sentence);
}
