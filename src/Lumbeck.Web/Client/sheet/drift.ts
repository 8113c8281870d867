// The drift test: what is cut and folded, moved as far as knife and folds may wander.
import { four } from './sheet';

const drift = () => document.getElementById('drift-now') as SVGSVGElement | null;
const slider = (name: string) => document.getElementById(`drift-${name}`) as HTMLInputElement | null;

/** How far a slider stands, in points: its steps are shares of what the house allows. */
function at(name: string): number {
  const s = slider(name);
  return s ? (Number(s.value) / Number(s.max)) * Number(s.dataset.most) : 0;
}

function show(): void {
  const svg = drift();
  if (!svg) return;
  const [x, y, w, h] = four(svg.dataset.trim);
  const [across, down, fold] = [at('across'), at('down'), at('fold')];
  svg.setAttribute('viewBox', `${x + across} ${y + down} ${w} ${h}`);
  document.getElementById('drift-folds')?.setAttribute('transform', `translate(${fold} 0)`);
  for (const n of ['across', 'down', 'fold']) {
    const says = document.getElementById(`drift-${n}-says`);
    const s = slider(n);
    if (says && s) says.textContent = says.dataset.figures!.split('|')[Number(s.value) - Number(s.min)] ?? '';
  }
}

document.addEventListener('input',
  e => { if (e.target instanceof HTMLInputElement && e.target.id.startsWith('drift-')) show(); });

// A shake goes from end to end and comes to rest where it began.
let shaking = 0;
document.addEventListener('click', e => {
  if (!(e.target instanceof Element) || !e.target.closest('[data-shake]')) return;
  const names = ['across', 'down', 'fold'];
  const began = performance.now();
  const mine = ++shaking;
  const step = (now: number): void => {
    const t = (now - began) / 1400;
    if (mine !== shaking || !drift()) return;
    names.forEach((n, i) =>
      { const s = slider(n);
        if (s) s.value = String(t >= 1 ? 0 : Number(s.max) * Math.sin(t * Math.PI * (6 + i * 2)) * (1 - t * 0.3)); });
    show();
    if (t < 1) requestAnimationFrame(step);
  };
  requestAnimationFrame(step);
});

document.addEventListener('lumbeck:settled', show);
