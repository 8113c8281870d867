// Pictures dropped on the sheet, or picked for a frame: the file goes to the server as it is, with progress.
import { announce, refresh } from './queue';
import { upload } from './upload';
import { pointedAtScreen } from './view';
import { choose } from './app';

const body = document.body;
const onWrap = body.dataset.place === 'Wrap';
function take(file: File, where: Record<string, string>): void {
  upload(file, `${body.dataset.base}/picture`, { sheet: body.dataset.sheet ?? '', ...where }, 'Looking at', answer => {
    const { item } = JSON.parse(answer.responseText) as { item: string };
    announce(`${file.name} taken in`);
    // The item is picked once the page shows it.
    const shown = () => { if (!document.getElementById(`row-${item}`)) return; document.removeEventListener('lumbeck:settled', shown); choose([item]); };
    document.addEventListener('lumbeck:settled', shown);
    refresh();
  });
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
