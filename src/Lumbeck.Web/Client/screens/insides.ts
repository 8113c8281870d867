// An inside PDF dropped or picked goes to the server as it is, with progress; what it says comes back with the page.
import { refresh } from '../queue/queue';
import { upload } from '../assets/upload';

const zoneOf = (e: Event): HTMLElement | null => (e.target instanceof Element
  ? e.target.closest<HTMLElement>('[data-inside]') : null);

function take(zone: HTMLElement, file: File): void {
  const query: Record<string, string> = {};
  const form = zone.closest('form');
  for (const key of ['house', 'title']) {
    const field = form?.querySelector<HTMLInputElement | HTMLSelectElement>(`[name=${key}]`);
    if (field) query[key] = field.value;
  }
  upload(file, zone.dataset.inside!, query, 'Reading', answer => {
    if (answer.status === 200) location.href = (JSON.parse(answer.responseText) as { href: string }).href;
    else refresh();
  });
}

document.addEventListener('change', e => {
  const zone = zoneOf(e);
  const input = e.target;
  if (!zone || !(input instanceof HTMLInputElement) || input.type !== 'file') return;
  const file = input.files?.[0];
  if (file) take(zone, file);
  input.value = '';
});
// Anywhere on a page with one place for an inside, a dropped file goes there; none is ever opened in its stead.
document.addEventListener('dragover', e => {
  if (!e.dataTransfer?.types.includes('Files')) return;
  e.preventDefault();
  document.querySelectorAll('[data-inside]').forEach(z => z.setAttribute('data-over', ''));
});
for (const over of ['dragleave', 'drop', 'dragend'])
  document.addEventListener(over,
    () => document.querySelectorAll('[data-inside]').forEach(z => z.removeAttribute('data-over')));
document.addEventListener('drop', e => {
  const file = e.dataTransfer?.files[0];
  if (!file) return;
  e.preventDefault();
  const zone = zoneOf(e) ?? document.querySelector<HTMLElement>('[data-inside]');
  if (zone) take(zone, file);
});
