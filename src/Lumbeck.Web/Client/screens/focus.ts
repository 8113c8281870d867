// The focus never falls to the page as a whole where what had it is gone (WCAG 2.4.3): it goes to what stands in its
// place, or to the nearest thing around that place that can have it.
const CAN = 'a[href],button:not([disabled]),input:not([disabled]):not([type=hidden]),' +
  'select:not([disabled]),textarea:not([disabled]),summary,[tabindex]';

interface Place { id: string; around: string[]; nth: number }
let had: { at: HTMLElement; place: Place; kept: Kept } | null = null;

const focusable = (within: ParentNode): HTMLElement[] =>
  [...within.querySelectorAll<HTMLElement>(CAN)].filter(e => e.checkVisibility({ visibilityProperty: true }));

/** Where an element stands: those around it that have names, the nearest first, and the how-manieth it is in the first. */
function placeOf(at: HTMLElement): Place {
  const around: string[] = [];
  for (let up = at.parentElement; up && up !== document.body; up = up.parentElement) if (up.id) around.push(up.id);
  const nearest = around[0] === undefined ? null : document.getElementById(around[0]);
  return { id: at.id, around, nth: nearest ? focusable(nearest).indexOf(at) : 0 };
}

document.addEventListener('focusin', e => {
  if (e.target instanceof HTMLElement && e.target !== document.body)
    had = { at: e.target, place: placeOf(e.target), kept: keptOf(e.target) };
});
// Who presses on what can't have the focus means to have it nowhere.
document.addEventListener('pointerdown', e => {
  if (e.target instanceof Element && !e.target.closest(CAN)) had = null;
});
document.addEventListener('keydown', e => { if (e.key === 'Escape') had = null; });

function give(to: HTMLElement): void {
  if (!to.matches(CAN)) to.tabIndex = -1;
  to.focus({ preventScroll: true });
}

function regain(): void {
  const now = document.activeElement;
  // What is greyed out keeps the focus until the page is drawn next.
  const isLost = now === null || now === document.body || now.matches(':disabled');
  if (!had || !isLost) return;
  if (had.at.isConnected && !had.at.matches(':disabled')) return;
  const { id, around, nth } = had.place;
  const same = id ? document.getElementById(id) : null;
  if (same) return give(same);
  for (const [n, name] of around.entries()) {
    const place = document.getElementById(name);
    if (!place) continue;
    // What shows what it would do as soon as it has the focus is not given it unasked.
    const all = focusable(place).filter(e => e.dataset.try === undefined);
    return give(n === 0 ? all[Math.min(Math.max(nth, 0), all.length - 1)] ?? place : all[0] ?? place);
  }
  const work = document.querySelector<HTMLElement>('#desk') ?? document.querySelector('main');
  if (work) give(work);
}
document.addEventListener('lumbeck:settled', () => requestAnimationFrame(regain));

// A page that is asked for again, by a form or when work has ended, has the focus where it was.
const KEPT = 'lumbeck-focus';
interface Kept { path: string; nth: number; tag: string; name: string; says: string }
const saysOf = (e: HTMLElement): string => (e.getAttribute('aria-label') ?? e.textContent).trim().slice(0, 60);
const nameOf = (e: HTMLElement): string => `${e.getAttribute('name') ?? ''} ${e.getAttribute('value') ?? ''}`;

const keptOf = (at: HTMLElement): Kept => ({ path: location.pathname, nth: focusable(document).indexOf(at), tag: at.tagName,
  name: nameOf(at), says: saysOf(at) });

window.addEventListener('pagehide', () => {
  if (had) sessionStorage.setItem(KEPT, JSON.stringify(had.kept)); else sessionStorage.removeItem(KEPT);
});

function regainAfter(text: string | null): void {
  sessionStorage.removeItem(KEPT);
  if (text === null) return;
  const kept = JSON.parse(text) as Kept;
  if (kept.path !== location.pathname || (document.activeElement && document.activeElement !== document.body)) return;
  const same = focusable(document).map((e, n) => ({ e, off: Math.abs(n - kept.nth) }))
    .filter(({ e }) => e.tagName === kept.tag && nameOf(e) === kept.name && saysOf(e) === kept.says);
  const nearest = same.sort((a, b) => a.off - b.off)[0];
  if (nearest) give(nearest.e);
}

// A form that came back with a fault begins where that is.
const fault = document.querySelector<HTMLElement>('[data-fault]:not([data-fault=""])');
if (fault) {
  const field = fault.closest('form')?.querySelector<HTMLElement>(`[name="${CSS.escape(fault.dataset.fault ?? '')}"]`);
  field?.setAttribute('aria-invalid', 'true');
  field?.setAttribute('aria-describedby', fault.id);
  give(field ?? fault);
}
regainAfter(sessionStorage.getItem(KEPT));
