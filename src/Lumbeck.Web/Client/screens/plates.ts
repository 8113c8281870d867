// Pictures of what the plates have are asked for as fine as they are looked at.
import { sheet } from '../sheet/sheet';

const FINENESS = [72, 144, 288, 576, 1152];

function refine(): void {
  const m = sheet?.getScreenCTM();
  if (!m) return;
  const wanted = m.a * 72 * window.devicePixelRatio;
  const perInch = FINENESS.find(f => f >= wanted * 0.8) ?? FINENESS.at(-1)!;
  for (const image of document.querySelectorAll<SVGImageElement>('#art .by-plates')) {
    const href = image.getAttribute('href')!;
    const to = href.replace(/ppi=\d+/, `ppi=${perInch}`);
    if (to === href || image.dataset.asked === to) continue;
    // The coarser picture stays until the finer is here.
    image.dataset.asked = to;
    const finer = new Image();
    finer.onload = () => { if (image.dataset.asked === to) image.setAttribute('href', to); };
    finer.src = to;
  }
}

let timer = 0;
const soon = () => { clearTimeout(timer); timer = window.setTimeout(refine, 160); };
if (sheet) {
  for (const when of ['lumbeck:seen', 'lumbeck:settled']) document.addEventListener(when, soon);
  window.addEventListener('resize', soon);
  soon();
}
