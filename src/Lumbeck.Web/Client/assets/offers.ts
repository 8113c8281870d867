// What an item offers, in a menu where it was pressed with the other button: the same presses that its settings have.
import { choose } from '../sheet/picking';
import { hits } from '../sheet/sheet';
import { picked } from '../queue/queue';

const PRESSES = '[data-arrange],[data-order],[data-remove],button[data-fact$="/locked"],button[data-fact$="/hidden"]';

function close(): void { document.getElementById('offers')?.remove(); }

/** The presses of what is picked, once its settings are there. */
const offered = () => [...document.querySelectorAll<HTMLButtonElement>(
  picked().length > 1 ? '#together button' : `#row-${CSS.escape(picked()[0] ?? '')} button`)]
  .filter(b => b.matches(PRESSES));

function show(x: number, y: number): void {
  const presses = offered();
  if (presses.length === 0) return;
  close();
  const menu = document.createElement('div');
  menu.id = 'offers';
  menu.setAttribute('role', 'menu');
  menu.className =
    'fixed z-30 bg-raised border border-edge shadow-lg py-1 grid grid-cols-2 gap-x-1 text-[0.92rem] max-w-[300px]';
  for (const press of presses) {
    const offer = press.cloneNode(true) as HTMLButtonElement;
    offer.className = 'text-left px-2.5 py-0.5 min-h-[25px] cursor-pointer hover:bg-deep';
    offer.setAttribute('role', 'menuitem');
    offer.textContent = (press.textContent ?? '').toLowerCase();
    if (press.dataset.arrange === 'copy-to') offer.textContent = `duplicate on ${press.textContent}`;
    menu.append(offer);
  }
  document.body.append(menu);
  menu.style.setProperty('left', `${Math.min(x, innerWidth - menu.offsetWidth - 6)}px`);
  menu.style.setProperty('top', `${Math.min(y, innerHeight - menu.offsetHeight - 6)}px`);
  menu.querySelector<HTMLElement>('button')?.focus();
}

document.addEventListener('contextmenu', e => {
  if (document.body.dataset.place !== 'Wrap' || !(e.target instanceof Element)) return;
  const id = e.target.closest<HTMLElement>('.hit[data-pick],[data-row][data-pick]')?.dataset.pick
    ?? hits().find(h =>
      document.elementsFromPoint(e.clientX, e.clientY).some(x => (x as SVGElement).dataset?.pick === h.id))?.id;
  if (!id) return;
  e.preventDefault();
  const { clientX: x, clientY: y } = e;
  if (picked().includes(id) && offered().length > 0) return show(x, y);
  const shown = () => {
    if (!picked().includes(id) || offered().length === 0) return;
    document.removeEventListener('lumbeck:settled', shown);
    show(x, y);
  };
  document.addEventListener('lumbeck:settled', shown);
  choose([id]);
});

document.addEventListener('pointerdown',
  e => { if (!(e.target instanceof Element && e.target.closest('#offers'))) close(); });
document.addEventListener('click',
  e => { if (e.target instanceof Element && e.target.closest('#offers button')) close(); });
document.addEventListener('keydown', e => {
  const menu = document.getElementById('offers');
  if (!menu) return;
  const all = [...menu.querySelectorAll<HTMLElement>('button')];
  const by = { ArrowDown: 1, ArrowUp: -1, ArrowRight: 1, ArrowLeft: -1 }[e.key];
  if (e.key === 'Escape') close();
  else if (by !== undefined)
    all[(all.indexOf(document.activeElement as HTMLElement) + by + all.length) % all.length]?.focus();
  else return;
  e.preventDefault();
  e.stopImmediatePropagation();
}, true);
