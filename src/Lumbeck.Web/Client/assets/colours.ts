// Swatches taken from pictures and from each other, and palettes as files.
import { announce, refresh, send } from '../queue/queue';
import { upload } from './upload';

const body = document.body;
document.addEventListener('click', e => {
  const at = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-colours]') : null;
  if (!at) return;
  const made = `swatch-${crypto.randomUUID().slice(0, 8)}`;
  const swatch = at.dataset.swatch ?? '';
  if (at.dataset.colours === 'palette')
    send({ is: 'palette', item: at.dataset.item ?? '', new: made },
      { done: () => announce('Its colours are swatches now') });
  else if (at.dataset.colours === 'remove') send({ is: 'remove-swatch', swatch });
  else send({ is: 'harmony', swatch, number: Number(at.dataset.orderOf ?? 0), new: made });
});

document.addEventListener('change', e => {
  const input = e.target instanceof HTMLInputElement ? e.target : null;
  const file = input?.files?.[0];
  if (!file) return;
  if (input.dataset.palette !== undefined) upload(file, `${body.dataset.base}/swatches`, {}, 'Reading', () => refresh());
  else if (input.dataset.profile !== undefined) upload(file, '/profiles', {}, 'Looking at', () => location.reload());
  else if (input.dataset.tracing !== undefined)
    upload(file, `${body.dataset.base}/tracing`, { sheet: body.dataset.sheet ?? '',
    page: document.querySelector<HTMLInputElement>('#tracing-page')?.value ?? '1' },
    'Looking at', () => refresh());
  else return;
  input.value = '';
});
