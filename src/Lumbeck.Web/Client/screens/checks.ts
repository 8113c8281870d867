// Rules that look at inks follow a moment after the hand rests.
import { plated } from '../queue/queue';
import { four } from '../sheet/sheet';
import { fit } from '../sheet/view';

let waiting: ReturnType<typeof setTimeout> | undefined;
let asking = false;

const wants = () => document.getElementById('docket')?.dataset.plated === 'false';

function soon(): void {
  clearTimeout(waiting);
  if (wants()) waiting = setTimeout(() => void ask(), 350);
}

async function ask(): Promise<void> {
  if (asking) return soon();
  asking = true;
  let told = true;
  try { told = await plated(); } catch { /* the server does not answer: the page's own queue says so */ } finally { asking = false; }
  if (!told) { clearTimeout(waiting); waiting = setTimeout(() => void ask(), 1000); }
}

document.addEventListener('lumbeck:settled', soon);
soon();

// Whoever comes from a finding has its spot in view.
const spot = document.body.dataset.spot;
if (spot) {
  const [x, y, w, h] = four(spot);
  const least = 110;
  const [fw, fh] = [Math.max(w, least), Math.max(h, least)];
  fit({ x: x + w / 2 - fw / 2, y: y + h / 2 - fh / 2, w: fw, h: fh }, 0.25);
}
