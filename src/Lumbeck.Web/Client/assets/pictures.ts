// Pictures dropped or pasted on the sheet, or picked for a frame: each file goes to the server as it is, with progress.
import { announce, refresh, seenNow, send } from '../queue/queue';
import { upload } from './upload';
import { pointedAtScreen, pointer, pointOfSheet } from '../sheet/view';
import { choose } from '../sheet/picking';

const body = document.body;
const onWrap = body.dataset.place === 'Wrap';

function take(file: File, where: Record<string, string>, ended?: () => void): void {
  const query = { sheet: body.dataset.sheet ?? '', ...seenNow(), ...where };
  upload(file, `${body.dataset.base}/picture`, query, 'Looking at', answer => {
    const { item } = JSON.parse(answer.responseText) as { item: string };
    announce(`${file.name} taken in`);
    // The item is picked once the page shows it.
    const shown = () => {
      if (!document.getElementById(`row-${item}`)) return;
      document.removeEventListener('lumbeck:settled', shown);
      choose([item]);
    };
    document.addEventListener('lumbeck:settled', shown);
    refresh();
  }, ended);
}

/** Takes files in one after the other, each aside of the one before. */
function takeAll(files: File[], at: { x: number; y: number }, panel: string | undefined, nth = 0): void {
  const file = files[nth];
  if (!file) return;
  const where = { x: String(at.x), y: String(at.y), nth: String(nth), ...(panel ? { panel } : {}) };
  take(file, where, () => takeAll(files, at, panel, nth + 1));
}

/** Takes files in where the pointer was last, or on the front. */
export function takeHere(files: File[]): void {
  const { panel, x, y } = pointer();
  if (panel) return takeAll(files, { x, y }, panel);
  const [first, ...more] = files;
  if (first) take(first, { panel: 'front' }, () => takeHere(more));
}

/** Takes files in where the pointer is. */
export function takeAt(files: File[], e: { clientX: number; clientY: number }): void {
  const panel = pointedAtScreen(e);
  takeAll(files, pointOfSheet(e), panel);
}

// Of the ticket: the imprint's mark, the author's picture.
document.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement && e.target.dataset.ticketPicture ? e.target : null;
  const file = input?.files?.[0];
  if (file) upload(file, `${body.dataset.base}/ticket-picture`, { which: input!.dataset.ticketPicture! }, 'Looking at', () => {
    announce(`${file.name} taken in`);
    refresh();
  });
  if (input) input.value = '';
});

document.addEventListener('click', e => {
  const off = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-ticket-picture-off]') : null;
  if (off) send({ is: 'put-ticket-picture', which: off.dataset.ticketPictureOff! });
});

document.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement && e.target.dataset.picture ? e.target : null;
  const file = input?.files?.[0];
  // Picked for a frame, it takes the place of what hangs there.
  if (file) take(file, { item: input!.dataset.picture!, replace: 'true' });
  if (input) input.value = '';
});

if (onWrap) {
  document.addEventListener('dragover', e => { if (e.dataTransfer?.types.includes('Files')) e.preventDefault(); });
  document.addEventListener('drop', e => {
    const files = [...(e.dataTransfer?.files ?? [])];
    if (files.length === 0) return;
    e.preventDefault();
    const frame = e.target instanceof Element ? e.target.closest<SVGElement>('.hit[data-kind=picture]') : null;
    // On an empty frame it is hung there; one that has a picture gets another only with Alt held.
    if (files.length === 1 && frame && (frame.classList.contains('empty') || e.altKey)) {
      const panel = pointedAtScreen(e);
      return take(files[0]!, { item: frame.dataset.pick!, replace: String(e.altKey), ...(panel ? { panel } : {}) });
    }
    takeAt(files, e);
  });
}
