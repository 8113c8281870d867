// The folded book, made of the scene that lies on the sheet: front, spine, back and flaps, turned by hand.
import { data, type Panel } from './sheet';

const dialog = document.getElementById('book') as HTMLDialogElement | null;
const body = document.getElementById('book-body');
let [turn, tilt] = [0, 0];
/** 1 for a book bound at its right, −1 at its left, as its front is seen. */
let bound = -1;
let held: { x: number; y: number; turn: number; tilt: number } | null = null;

export function book(): void {
  if (!dialog || !body) return;
  build();
  aslant();
  pose();
  dialog.showModal();
  body.parentElement!.focus();
}

// Front and spine at once.
function aslant(): void { [turn, tilt] = [-bound * 32, -10]; }

function face(name: string, w: number, h: number, place: string, from?: number[]): HTMLElement {
  const e = document.createElement('div');
  e.className = `leaf leaf-${name}`;
  e.style.setProperty('width', `${w}px`);
  e.style.setProperty('height', `${h}px`);
  e.style.setProperty('margin', `${-h / 2}px 0 0 ${-w / 2}px`);
  e.style.setProperty('transform', place);
  if (from) {
    const [x, y] = from;
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('viewBox', `${x} ${y} ${from[2]} ${from[3]}`);
    svg.setAttribute('preserveAspectRatio', 'none');
    svg.setAttribute('width', String(w));
    svg.setAttribute('height', String(h));
    const use = document.createElementNS('http://www.w3.org/2000/svg', 'use');
    use.setAttribute('href', '#art');
    svg.append(use);
    e.append(svg);
  }
  return e;
}

function build(): void {
  body!.replaceChildren();
  const of = (part: string) => data<Panel>('panels').find(p => p.part === part)?.face;
  const [front, back, spine] = [of('front'), of('back'), of('spine')];
  const cover = front ?? back ?? data<Panel>('panels')[0]!.face;
  const k = Math.min(420 / cover[3]!, 330 / cover[2]!);
  const [w, h] = [cover[2]! * k, cover[3]! * k];
  const d = Math.max(2, (spine?.[2] ?? 3) * k);
  // Seen from the front of a book bound at its left, the spine is at the left; bound at its right, at the right.
  bound = spine && front ? (spine[0]! < front[0]! ? -1 : 1) : -1;
  body!.append(face('pages', d - 2, h - 4, `rotateY(90deg) translateZ(${-bound * (w / 2 - 3)}px)`));
  body!.append(
    face('pages', w - 4, d - 2, `rotateX(90deg) translateZ(${h / 2 - 3}px)`),
    face('pages', w - 4, d - 2, `rotateX(-90deg) translateZ(${h / 2 - 3}px)`));
  // A hair wider than they are, so that no paper shows between them.
  body!.append(
    face('front', w + 1, h, `translateZ(${d / 2}px)`, front),
    face('back', w + 1, h, `rotateY(180deg) translateZ(${d / 2}px)`, back));
  if (spine) body!.append(face('spine', d + 1.5, h, `rotateY(${bound * 90}deg) translateZ(${w / 2}px)`, spine));
  // Flaps stand open behind the covers they belong to; the one of the cover that is seen is shown, as they would meet.
  for (const [part, side] of [['front-flap', 1], ['back-flap', -1]] as [string, number][]) {
    const f = of(part);
    if (!f) continue;
    const fw = f[2]! * k;
    const out = -bound * (w / 2);
    const hinge = `translateX(${out}px) translateZ(${(side * d) / 2}px) rotateY(${side * -bound * 68}deg)`;
    body!.append(face(part, fw, h, `${hinge} translateX(${(-bound * fw) / 2}px) ${side < 0 ? 'rotateY(180deg)' : ''}`, f));
  }
}

function pose(): void {
  body!.style.setProperty('transform', `rotateX(${tilt}deg) rotateY(${turn}deg)`);
  const front = Math.cos((turn * Math.PI) / 180) > 0;
  for (const [flap, seen] of [['front', front], ['back', !front]])
    body!.querySelector(`.leaf-${flap}-flap`)?.toggleAttribute('hidden', !seen);
}

const stage = body?.parentElement;
stage?.addEventListener('pointerdown',
  e => { held = { x: e.clientX, y: e.clientY, turn, tilt }; stage.setPointerCapture(e.pointerId); });
stage?.addEventListener('pointermove', e => {
  if (!held) return;
  turn = held.turn + (e.clientX - held.x) * 0.5;
  tilt = Math.max(-80, Math.min(80, held.tilt - (e.clientY - held.y) * 0.4));
  pose();
});
for (const end of ['pointerup', 'pointercancel']) stage?.addEventListener(end, () => { held = null; });
stage?.addEventListener('keydown', e => {
  const by = ({ ArrowLeft: [-15, 0], ArrowRight: [15, 0], ArrowUp: [0, 10],
    ArrowDown: [0, -10] } as Record<string, [number, number]>)[e.key];
  if (!by) return;
  e.preventDefault();
  turn += by[0];
  tilt = Math.max(-80, Math.min(80, tilt + by[1]));
  pose();
});
document.addEventListener('click', e => {
  const to = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-book]')?.dataset.book : undefined;
  if (!to) return;
  if (to === 'aslant') aslant();
  else [turn, tilt] = to === 'front' ? [0, 0] : to === 'back' ? [180, 0] : [-bound * 90, 0];
  pose();
});
