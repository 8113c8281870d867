// Pictures dropped on the sheet, or picked for a frame: the file goes to the server as it is, with progress.
import { announce, refresh, tell } from './queue';
import { pointedAtScreen } from './view';
import { choose } from './app';

const body = document.body;
const onWrap = body.dataset.place === 'Wrap';
let sending: XMLHttpRequest | null = null;

function take(file: File, where: Record<string, string>): void {
  if (sending) return tell('One picture at a time: the last is still on its way.');
  const request = new XMLHttpRequest();
  sending = request;
  const cancel = document.createElement('button');
  cancel.type = 'button';
  cancel.className = 'lift shrink-0';
  cancel.textContent = 'Leave it';
  cancel.onclick = () => request.abort();
  const progress = (text: string) => { tell(text); document.getElementById('notice')?.append(cancel); };
  request.upload.onprogress = p => progress(p.lengthComputable && p.loaded < p.total ? `Taking in ${file.name}: ${Math.floor((p.loaded * 100) / p.total)} %` : `Looking at ${file.name}…`);
  request.onerror = () => tell('The server does not answer.');
  request.onload = () => {
    document.getElementById('notice')?.remove();
    if (request.status === 200) {
      const { item } = JSON.parse(request.responseText) as { item: string };
      announce(`${file.name} taken in`);
      // The item is picked once the page shows it.
      const shown = () => { if (!document.getElementById(`row-${item}`)) return; document.removeEventListener('lumbeck:settled', shown); choose([item]); };
      document.addEventListener('lumbeck:settled', shown);
      return refresh();
    }
    let said = 'This picture could not be taken in.';
    try { said = (JSON.parse(request.responseText) as { detail?: string }).detail ?? said; } catch { /* no sentence came with it */ }
    tell(said);
  };
  request.onloadend = () => { sending = null; };
  request.onabort = () => document.getElementById('notice')?.remove();
  request.open('POST', `${body.dataset.base}/picture?${new URLSearchParams({ name: file.name, sheet: body.dataset.sheet ?? '0', ...where })}`);
  request.setRequestHeader('X-Lumbeck-Token', document.querySelector<HTMLMetaElement>('meta[name=lumbeck-token]')?.content ?? '');
  request.setRequestHeader('Content-Type', 'application/octet-stream');
  progress(`Taking in ${file.name}…`);
  request.send(file);
}

document.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement && e.target.dataset.picture ? e.target : null;
  const file = input?.files?.[0];
  if (file) take(file, { item: input!.dataset.picture! });
  if (input) input.value = '';
});

if (onWrap) {
  document.addEventListener('dragover', e => { if (e.dataTransfer?.types.includes('Files')) e.preventDefault(); });
  document.addEventListener('drop', e => {
    const file = e.dataTransfer?.files[0];
    if (!file) return;
    e.preventDefault();
    const frame = e.target instanceof Element ? e.target.closest<SVGElement>('.hit[data-kind=picture]')?.dataset.pick : undefined;
    const panel = pointedAtScreen(e);
    take(file, frame ? { item: frame } : panel ? { panel } : {});
  });
}
