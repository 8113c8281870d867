// A field that shows a fact sends its text when it is left, and some while they are typed.
import { pick, showSaved, tryOut, untry, write } from './queue';
import { holds, keyOf } from './holds';
import { reread, wrong } from './notices';

type Field = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
let gesture = '';
let timer = 0;
// The field in hand, as it was last typed in: an answer may put another element in its place.
let inHand: { field: Field; text: string; from: number | null; to: number | null } | null = null;

const fieldOf = (e: Event): Field | null => (e.target instanceof Element
  ? e.target.closest<Field>('input[data-fact],select[data-fact],textarea[data-fact]') : null);

function commit(field: Field, quiet: boolean): void {
  clearTimeout(timer);
  const path = field.dataset.fact!;
  const key = keyOf(field);
  const same = field.value === (holds.last(key) ?? field.dataset.value);
  if (!same) write(path, field.value, { gesture, quiet, field: key });
  else if (!quiet) { wrong(path, ''); untry(); }
  // What was typed is saved, or on its way: once it is answered, the field shows how it is kept.
  if (!quiet) over(field);
}

/** The field is given over: how its text is kept is shown, at once where it is known. */
function over(field: Field): void {
  holds.over(keyOf(field));
  if (field.dataset.value !== undefined) showSaved(field);
}

document.addEventListener('focusin', e => {
  // From here until the field is left is one step back.
  const field = fieldOf(e);
  if (!field) return;
  gesture = crypto.randomUUID();
  if (field.dataset.row) pick([field.dataset.row]);
});

function typed(field: Field): void {
  clearTimeout(timer);
  reread(field.dataset.fact!);
  // What moves the sheet is shown as it would be, and taken over when the field is left; words are taken over as they are typed.
  if (field.dataset.try === 'true')
    timer = setTimeout(() => void tryOut({ is: 'write', path: field.dataset.fact!, text: field.value }), 120);
  else if (field.dataset.live === 'true') timer = setTimeout(() => commit(field, true), 180);
}

document.addEventListener('input', e => {
  const field = fieldOf(e);
  if (!field || field instanceof HTMLSelectElement) return;
  holds.touched(keyOf(field));
  inHand = { field, text: field.value, from: field.selectionStart, to: field.selectionEnd };
  // Letters that are still being composed are not what will stand there.
  if ((e as InputEvent).isComposing) clearTimeout(timer); else typed(field);
});
document.addEventListener('compositionend', e => { const field = fieldOf(e); if (field) typed(field); });

document.addEventListener('change', e => {
  const field = fieldOf(e);
  if (field) commit(field, false);
});

// Some of a list: what is ticked joins at its end, what is not leaves it.
document.addEventListener('change', e => {
  const box = e.target instanceof HTMLInputElement ? e.target : null;
  const list = box?.closest<HTMLElement>('[data-some-of]');
  if (!box || !list) return;
  const others = (list.dataset.value ?? '').split(', ').filter(w => w && w !== box.value);
  // One of them there is to be.
  if (others.length === 0 && !box.checked) { box.checked = true; return; }
  list.dataset.value = [...others, ...(box.checked ? [box.value] : [])].join(', ');
  write(list.dataset.someOf!, list.dataset.value, { gesture: crypto.randomUUID(), quiet: false, field: list.dataset.someOf! });
});

// What was typed goes with whatever leaves the field, also where the browser tells of no change.
const keep = (field: Field | null): void => { if (field && holds.unsent(keyOf(field))) commit(field, false); };
document.addEventListener('focusout', e => {
  const field = fieldOf(e);
  keep(field);
  if (field) over(field);
  inHand = null;
});
window.addEventListener('beforeunload', () => keep(inHand?.field ?? null), { capture: true });

document.addEventListener('lumbeck:settled', () => {
  if (!inHand || inHand.field.isConnected || !holds.mine(keyOf(inHand.field))) return;
  const { field: was, text, from, to } = inHand;
  inHand = null;
  const now = was.id ? document.getElementById(was.id) as Field | null : null;
  // Its item is gone: the server says so of what was typed last.
  if (!now) return keep(was);
  now.value = text;
  now.focus({ preventScroll: true });
  if (!(now instanceof HTMLSelectElement)) now.setSelectionRange(from, to);
  inHand = { field: now, text, from, to };
});

document.addEventListener('keydown', e => {
  const field = fieldOf(e);
  if (!field || e.isComposing) return;
  if (e.key === 'Enter' && field instanceof HTMLInputElement) {
    commit(field, false);
    // On the wrap the keys go back to the sheet; elsewhere a field is left by Tab.
    if (document.getElementById('sheet')) field.blur();
    else field.select();
    e.preventDefault();
  }
  if (e.key === 'Escape') {
    // Back to what the sheet shows, without a step.
    clearTimeout(timer);
    holds.over(keyOf(field));
    field.value = field.dataset.value ?? '';
    wrong(field.dataset.fact!, '');
    untry();
    field.blur();
    e.stopPropagation();
  }
});
