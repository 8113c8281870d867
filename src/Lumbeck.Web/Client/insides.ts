// An inside PDF dropped or picked goes to the server as it is, with progress; what it says comes back with the page.
import { refresh, tell } from './queue';

const token = document.querySelector<HTMLMetaElement>('meta[name=lumbeck-token]')?.content ?? '';
const zoneOf = (e: Event): HTMLElement | null => (e.target instanceof Element ? e.target.closest<HTMLElement>('[data-inside]') : null);
let sending = false;

function take(zone: HTMLElement, file: File): void {
  if (sending) return;
  sending = true;
  const query = new URLSearchParams({ name: file.name });
  const form = zone.closest('form');
  for (const key of ['house', 'title']) {
    const field = form?.querySelector<HTMLInputElement | HTMLSelectElement>(`[name=${key}]`);
    if (field) query.set(key, field.value);
  }
  const request = new XMLHttpRequest();
  const cancel = document.createElement('button');
  cancel.type = 'button';
  cancel.className = 'lift shrink-0';
  cancel.textContent = 'Leave it';
  cancel.onclick = () => request.abort();
  const progress = (text: string) => { tell(text); document.getElementById('notice')?.append(cancel); };
  request.upload.onprogress = p => progress(p.lengthComputable && p.loaded < p.total ? `Taking in ${file.name}: ${Math.floor(p.loaded * 100 / p.total)} %` : `Reading ${file.name}…`);
  request.onloadend = () => {
    sending = false;
    document.getElementById('notice')?.remove();
    if (request.status === 200) { location.href = (JSON.parse(request.responseText) as { href: string }).href; return; }
    if (request.status === 204) { refresh(); return; }
    if (request.status === 0) return;
    let said = 'This file could not be taken in.';
    try { said = (JSON.parse(request.responseText) as { detail?: string }).detail ?? said; } catch { /* no sentence came with it */ }
    tell(said);
  };
  request.onerror = () => tell('The server does not answer.');
  request.open('POST', `${zone.dataset.inside}?${query}`);
  request.setRequestHeader('X-Lumbeck-Token', token);
  request.setRequestHeader('Content-Type', 'application/octet-stream');
  progress(`Taking in ${file.name}…`);
  request.send(file);
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
for (const over of ['dragleave', 'drop', 'dragend']) document.addEventListener(over, () => document.querySelectorAll('[data-inside]').forEach(z => z.removeAttribute('data-over')));
document.addEventListener('drop', e => {
  const file = e.dataTransfer?.files[0];
  if (!file) return;
  e.preventDefault();
  const zone = zoneOf(e) ?? document.querySelector<HTMLElement>('[data-inside]');
  if (zone) take(zone, file);
});
