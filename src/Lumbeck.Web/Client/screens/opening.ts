// The opening that is shown: whose page is at work, and how large it is.

/** The page at work. */
export const page = () => Number(document.body.dataset.sheet ?? 1);
/** The block as leaves, to be leafed by. */
export const leaves = () => document.getElementById('leaves') as SVGSVGElement | null;

// How large the opening is shown: 1 is as large as there is room.
type Look = 'spread' | 'page' | number;
let look: Look = 'spread';
/** Whether a page is shown alone, and leafed page by page. */
export const alone = () => look === 'page';
const MEASURED = 'lumbeck-pixels-a-millimetre';

/** The whole opening, or the half of it that the page at work is. */
function windowOf(svg: SVGSVGElement): { x: number; y: number; w: number; h: number } {
  svg.dataset.whole ??= svg.getAttribute('viewBox')!;
  const [x, y, w, h] = svg.dataset.whole.split(' ').map(Number) as [number, number, number, number];
  if (look !== 'page') return { x, y, w, h };
  const half = Number(svg.dataset.wide) / 2;
  return { x: onRight() ? half + x * 0.6 : x, y, w: half - x * 1.1, h };
}

export const rtl = (): boolean => leaves()?.dataset.rtl === 'true';
/** Whether the page at work lies right of the fold. */
const onRight = (): boolean => (page() % 2 === 1) !== rtl();

export function size(): void {
  const svg = document.getElementById('opening') as SVGSVGElement | null;
  const desk = document.getElementById('opening-desk');
  if (!svg || !desk) return;
  const view = windowOf(svg);
  svg.setAttribute('viewBox', `${view.x} ${view.y} ${view.w} ${view.h}`);
  const room = { w: desk.clientWidth - 18, h: desk.clientHeight - 18 };
  const whole = Math.min(room.w / view.w, room.h / view.h);
  const scale = typeof look === 'number' ? look : whole;
  svg.style.width = `${view.w * scale}px`;
  svg.style.height = `${view.h * scale}px`;
  const perPoint = ((Number(localStorage.getItem(MEASURED)) || 96 / 25.4) * 25.4) / 72;
  const near = document.getElementById('page-near');
  if (near) near.textContent = `${Math.round((scale / perPoint) * 100)} %`;
  for (const b of document.querySelectorAll<HTMLElement>('[data-look]'))
    b.setAttribute('aria-pressed', String(b.dataset.look === look));
}

const shown = (): number => {
  const svg = document.getElementById('opening') as SVGSVGElement | null;
  return svg ? svg.getBoundingClientRect().width / svg.viewBox.baseVal.width : 1;
};

export function seen(how: string): void {
  if (how === 'spread' || how === 'page') look = how;
  else if (how === 'true') look = ((Number(localStorage.getItem(MEASURED)) || 96 / 25.4) * 25.4) / 72;
  else look = Math.min(8, Math.max(0.2, shown() * (how === 'near' ? 1.25 : 0.8)));
  size();
}
