// A field that shows a fact sends its text when it is left, and some while they are typed.
import { pick, tryOut, untry, write, wrong } from './queue';

type Field = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
let gesture = '';
let timer = 0;

const fieldOf = (e: Event): Field | null => (e.target instanceof Element
  ? e.target.closest<Field>('input[data-fact],select[data-fact],textarea[data-fact]') : null);

function commit(field: Field, quiet: boolean): void {
  clearTimeout(timer);
  const path = field.dataset.fact!;
  if (field.value === field.dataset.value) {
    delete field.dataset.dirty;
    wrong(path, '');
    untry();
    return;
  }
  write(path, field.value, { gesture, quiet });
}

document.addEventListener('focusin', e => {
  // From here until the field is left is one step back.
  const field = fieldOf(e);
  if (!field) return;
  gesture = crypto.randomUUID();
  if (field.dataset.row) pick([field.dataset.row]);
});

document.addEventListener('input', e => {
  const field = fieldOf(e);
  if (!field || field instanceof HTMLSelectElement) return;
  field.dataset.dirty = 'true';
  clearTimeout(timer);
  // What moves the sheet is shown as it would be, and taken over when the field is left; words are taken over as they are typed.
  if (field.dataset.try === 'true')
    timer = window.setTimeout(() => void tryOut({ is: 'write', path: field.dataset.fact!, text: field.value }), 120);
  else if (field.dataset.live === 'true') timer = window.setTimeout(() => commit(field, true), 180);
});

document.addEventListener('change', e => {
  const field = fieldOf(e);
  if (!field) return;
  delete field.dataset.dirty;
  commit(field, false);
});

document.addEventListener('keydown', e => {
  const field = fieldOf(e);
  if (!field) return;
  if (e.key === 'Enter' && field instanceof HTMLInputElement) {
    delete field.dataset.dirty;
    commit(field, false);
    // On the wrap the keys go back to the sheet; elsewhere a field is left by Tab.
    if (document.getElementById('sheet')) field.blur();
    else field.select();
    e.preventDefault();
  }
  if (e.key === 'Escape') {
    // Back to what the sheet shows, without a step.
    field.value = field.dataset.value ?? '';
    delete field.dataset.dirty;
    wrong(field.dataset.fact!, '');
    clearTimeout(timer);
    untry();
    field.blur();
    e.stopPropagation();
  }
});
