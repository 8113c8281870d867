// The edge tour: stops round the sheet, seen closely, each with what is bare there in words and drawn.
import { announce } from '../queue/queue';
import { boxOf, data, draw, sheet, type Four } from './sheet';
import { fit, fitSheet } from './view';

type Stop = { name: string; window: Four; says: string; bare: Four[] };
let at = -1;

export const touring = () => at >= 0;

export function tour(by: number): void {
  const stops = data<Stop>('tour');
  at = at < 0 ? (by > 0 ? 0 : stops.length - 1) : at + by;
  if (at < 0 || at >= stops.length) return leave();
  const stop = stops[at]!;
  fit(boxOf(stop.window), 0);
  bare();
  const caption = document.getElementById('tour')!;
  caption.hidden = false;
  document.getElementById('tour-says')!.textContent = `${at + 1} of ${stops.length} · ${stop.name}: ${stop.says}`;
  caption.classList.toggle('wrong', stop.bare.length > 0);
  announce(`Edge tour, ${at + 1} of ${stops.length}: ${stop.name}, ${stop.says}`);
}

export function leave(): void {
  at = -1;
  document.getElementById('bare')?.remove();
  document.getElementById('tour')!.hidden = true;
  fitSheet();
}

/** What nothing covers is drawn in the findings' colour. */
function bare(): void {
  document.getElementById('bare')?.remove();
  const g = draw(sheet!, 'g', { id: 'bare' });
  for (const [x, y, width, height] of data<Stop>('tour')[at]?.bare ?? []) draw(g, 'rect', { x, y, width, height });
}

document.addEventListener('lumbeck:settled', () => {
  if (at < 0) return;
  const stop = data<Stop>('tour')[at];
  if (!stop) return leave();
  bare();
  document.getElementById('tour-says')!.textContent = `${at + 1} of ${data('tour').length} · ${stop.name}: ${stop.says}`;
  document.getElementById('tour')!.classList.toggle('wrong', stop.bare.length > 0);
});
