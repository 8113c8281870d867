// Choosing a face: every one shows the item's own words; lists are narrowed here, without asking anew.
import { pick, picked, tell, write } from '../queue/queue';
import { upload } from './upload';

const dialog = document.getElementById('faces') as HTMLDialogElement | null;
const body = document.getElementById('faces-body');
let asked = '';

async function fill(): Promise<void> {
  try {
    const answer = await fetch(asked);
    if (!answer.ok) throw new Error();
    body!.innerHTML = await answer.text();
    narrow();
    body!.querySelector<HTMLElement>('[aria-selected=true]')?.scrollIntoView({ block: 'center' });
  } catch { body!.textContent = 'The server does not answer.'; }
}

function open(item: string, range: string): void {
  asked = `${document.body.dataset.base}/faces?item=${encodeURIComponent(item)}&range=${range}`;
  dialog!.showModal();
  void fill();
}

function narrow(): void {
  const name = body!.querySelector<HTMLInputElement>('[data-face-name]')?.value.trim().toLowerCase() ?? '';
  const by = [...body!.querySelectorAll<HTMLSelectElement>('[data-face-by]')].filter(s => s.value);
  let n = 0;
  for (const row of body!.querySelectorAll<HTMLElement>('.face-row')) {
    const says = (key: string) => ` ${row.dataset[key] ?? ''} `;
    row.hidden = !(row.dataset.name!.includes(name) &&
      by.every(s => (s.dataset.faceBy === 'kind' ? row.dataset.kind === s.value :
      says(s.dataset.faceBy!).includes(` ${s.value} `))));
    if (!row.hidden) n++;
  }
  const count = body!.querySelector('[data-face-count]');
  if (count) count.textContent = String(n);
}

document.addEventListener('click', e => {
  if (!(e.target instanceof Element)) return;
  const opener = e.target.closest<HTMLElement>('[data-faces]');
  if (opener) return open(opener.dataset.faces!, opener.dataset.range ?? '');
  const row = e.target.closest<HTMLElement>('[data-face-id]');
  if (!row) return;
  write(body!.querySelector<HTMLElement>('#face-list')!.dataset.path!, row.dataset.faceId!);
  dialog!.close();
});
body?.addEventListener('input', narrow);
body?.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement && e.target.dataset.faceFile !== undefined ? e.target : null;
  const file = input?.files?.[0];
  if (!file) return;
  dialog!.close();
  upload(file, '/faces', {}, 'Looking at', answer => {
    const { id, name } = JSON.parse(answer.responseText) as { id: string; name: string };
    const path = body!.querySelector<HTMLElement>('#face-list')?.dataset.path;
    if (path) write(path, id);
    tell(`${name} is in the drawer.`);
    pick(picked());
  });
});
body?.addEventListener('keydown', e => {
  const rows = [...body.querySelectorAll<HTMLElement>('.face-row:not([hidden])')];
  const now = rows.indexOf(document.activeElement as HTMLElement);
  if (e.key !== 'ArrowDown' && e.key !== 'ArrowUp') return;
  e.preventDefault();
  rows[Math.max(0, Math.min(rows.length - 1, now + (e.key === 'ArrowDown' ? 1 : -1)))]?.focus();
});

// In the drawer a face comes in by itself.
document.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement && e.target.dataset.face !== undefined ? e.target : null;
  const file = input?.files?.[0];
  if (file) upload(file, '/faces', {}, 'Looking at', () => location.reload());
});
