// What a hand does on a job's pages: picking, adding, nudging, stepping back. The rules are the server's.
import { isMute } from './letters';
import './assets/clip';
import './assets/colours';
import { fitting } from './sheet/fitting';
import './assets/faces';
import './sheet/type';
import './screens/checks';
import './sheet/drift';
import './queue/fields';
import './screens/insides';
import './assets/offers';
import './assets/pictures';
import './screens/pages';
import './screens/plates';
import './screens/skip';
import './screens/focus';
import './screens/sums';
import './screens/works';
import { book } from './sheet/book';
import { toggled, withGroup } from './sheet/hand';
import { arrange, choose } from './sheet/picking';
import { onWrap, pressed, words } from './keys';
import { shop } from './sheet/matching';
import { patternByHand } from './sheet/pattern';
import { chosen, closed } from './walks';
import { answered, pending, picked, send, tryOut, untry, write } from './queue/queue';
import { holds, keyOf } from './queue/holds';
import { tour, leave as leaveTour } from './sheet/tour';
import { lensNearer } from './sheet/sheet';
import { alone, farther, fitItem, fitPanel, fitSheet, measureScreen, nearer, trueSize } from './sheet/view';
import type { Beside } from './queue/wire';

const closest = (e: Event, selector: string) => (e.target instanceof Element ? e.target.closest<HTMLElement>(selector)
  : null);
const onJob = document.body.dataset.base !== undefined;

// What can be seen otherwise, by the button's word.
const sees: Record<string, () => void> = {
  sheet: fitSheet, panel: fitPanel, item: fitItem, 'true': trueSize, measure: measureScreen, alone: () => alone(),
  near: nearer, far: farther, lens: lensNearer, tour: () => tour(1), paper: () => patternByHand(), 'tour-back': () => tour(-1),
    'tour-leave': leaveTour, book, words, shop, fitting: () => fitting(),
  keys: () => (document.getElementById('keys') as HTMLDialogElement).showModal(),
};

document.addEventListener('click', e => {
  if (!onJob) return;
  let at: HTMLElement | null;
  // A link out of this page waits for what was typed just before it was pressed.
  if ((at = closest(e, 'a[href]')) && pending() && !e.ctrlKey && !e.metaKey && !e.shiftKey) {
    e.preventDefault();
    const href = at.getAttribute('href')!;
    return void answered().then(() => { location.href = href; });
  }
  if ((at = closest(e, '[data-step]')))
    return send({ is: 'step', way: at.dataset.step === 'forward' ? 'forward' : 'back' });
  if ((at = closest(e, 'button[data-fact]'))) {
    closest(e, 'details[data-picks]')?.removeAttribute('open');
    if (chosen(at)) return;
    return write(at.dataset.fact!, at.dataset.text ?? '');
  }
  if (closest(e, '[data-set-again]')) return send({ is: 'set-livery-again' });
  if ((at = closest(e, '[data-beside]')))
    return send({ is: 'from-beside', item: at.dataset.beside!, panel: at.dataset.panel ?? '' });
  if ((at = closest(e, '[data-see]'))) return sees[at.dataset.see!]?.();
  if ((at = closest(e, '[data-mend]'))) return send({ is: 'mend', finding: at.dataset.mend! });
  if ((at = closest(e, '[data-heed]'))) return send({ is: 'waive', rule: at.dataset.heed!, reason: '' });
  if ((at = closest(e, '[data-looked]')))
    return send({ is: 'looked', item: at.dataset.looked === 'all' ? null : at.dataset.looked! });
  if ((at = closest(e, '[data-design]'))) { closest(e, 'details[data-picks]')?.removeAttribute('open');
    return send(at.dataset.design === 'new' ? { is: 'new-take' } : { is: 'choose-take', take: at.dataset.take ?? '' });
    }
  if ((at = closest(e, '[data-take]'))) return send({ is: 'take-over', what: at.dataset.take as Beside });
  if ((at = closest(e, '[data-put-by]'))) return send({ is: 'put-runs-by', by: at.dataset.putBy === 'true' });
  if ((at = closest(e, '[data-order]'))) return send({ is: 'order', items: picked(), steps: Number(at.dataset.order) });
  if ((at = closest(e, '[data-arrange]'))) return arrange(at.dataset.arrange!, at.dataset.panel);
  if ((at = closest(e, '[data-remove]'))) return send({ is: 'remove', items: picked() });
  if ((at = closest(e, '[data-kept]'))) {
    const hash = at.dataset.kept!;
    if (at.dataset.motif) return send({ is: 'lay-motif', hash, item: at.dataset.item ?? '' });
    const id = `picture-${crypto.randomUUID().slice(0, 8)}`;
    closest(e, 'details')?.removeAttribute('open');
    return send({ is: 'add-kept', item: id, hash, panel: at.dataset.panel ?? '' },
      { done: () => { choose([id]); focusRow(id); } });
  }
  if ((at = closest(e, '[data-add]'))) {
    const id = `${at.dataset.add}-${crypto.randomUUID().slice(0, 8)}`;
    if (at.dataset.add === 'swatch') return send({ is: 'add-swatch', swatch: id });
    return send({ is: 'add', item: id, kind: at.dataset.add!, panel: at.dataset.panel ?? '' },
      { done: () => { choose([id]); focusRow(id); } });
  }
  if ((at = closest(e, '[data-group][data-row]'))) {
    e.preventDefault();
    const first = document.querySelector<SVGElement>(`#hits [data-group="${CSS.escape(at.dataset.group!)}"]`)?.dataset.pick;
    return first ? choose(toggled(withGroup(first), e.shiftKey)) : undefined;
  }
  if ((at = closest(e, '[data-pick][data-row]'))) {
    const id = at.dataset.pick!;
    const now = picked();
    return choose(e.shiftKey || e.ctrlKey || e.metaKey ? toggled([id], true) : now.length === 1 && now[0] === id ? []
      : [id]);
  }
});

// A list that something is picked from closes when it is left.
const PASSING = 'details[data-picks][open],#papers[open],details[data-book][open],#tracing-book[open],#swatch-book[open],#looks[open]';
const leave = (e: Event): void => {
  const into = e.type === 'focusout' ? (e as FocusEvent).relatedTarget : e.target;
  if (e.type === 'focusout' && !into) return;
  for (const list of document.querySelectorAll<HTMLDetailsElement>(PASSING))
    if (!(into instanceof Node && list.contains(into))) closed(list, false);
};
document.addEventListener('pointerdown', leave);
document.addEventListener('focusout', leave);

/** What was added has the keys, so that Enter is of it and not of what added it. */
function focusRow(id: string): void {
  const shown = () => {
    const row = document.querySelector<HTMLElement>(`#row-${CSS.escape(id)} [data-row]`);
    if (!row || !picked().includes(id)) return;
    document.removeEventListener('lumbeck:settled', shown);
    // A list that the hand has opened meanwhile stays open.
    if (document.querySelector(PASSING)) return;
    row.focus({ preventScroll: true });
  };
  document.addEventListener('lumbeck:settled', shown);
}

// What a press would do to the sheet is shown while it is pointed at.
const tries = 'button[data-try]';
// The words on a button are entered and left within it.
const tried = (e: Event): HTMLElement | null =>
  onJob && e.target instanceof HTMLElement && e.target.matches(tries) ? e.target : null;
const show = (e: Event): void => {
  const at = tried(e);
  if (at)
    void tryOut(at.dataset.take ? { is: 'take-over', what: at.dataset.take as Beside }
      : { is: 'write', path: at.dataset.fact!, text: at.dataset.text ?? '' });
};
const hide = (e: Event): void => { if (tried(e)) untry(); };
document.addEventListener('pointerenter', show, true);
document.addEventListener('pointerleave', hide, true);
document.addEventListener('focusin', show);
document.addEventListener('focusout', hide);

document.addEventListener('keydown', e => {
  if (!onJob) return;
  const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
  const select = e.target instanceof HTMLSelectElement;
  const key = e.key.toLowerCase();
  if ((e.ctrlKey || e.metaKey) && (key === 'z' || key === 'y')) {
    // In a field with words not sent yet, the browser's own undo is what is meant.
    if (typing && holds.unsent(keyOf(e.target as HTMLElement))) return;
    e.preventDefault();
    return send({ is: 'step', way: key === 'y' || e.shiftKey ? 'forward' : 'back' });
  }
  const book = document.querySelector<HTMLDetailsElement>(PASSING);
  if (e.key === 'Escape' && book) return closed(book, true);
  // From place to place, as they stand in the docket.
  if (!typing && !select && !e.ctrlKey && !e.metaKey && !e.altKey && /^[1-9]$/.test(e.key) && !isMute(e)
    && !document.querySelector('dialog[open]')) {
    const place = document.querySelectorAll<HTMLAnchorElement>('#docket nav a')[Number(e.key) - 1];
    if (place) return void (e.preventDefault(), place.click());
  }
  // A dialog keeps its keys to itself.
  if (typing || select || !onWrap || document.querySelector('dialog[open]')) return;
  if (pressed(e)) e.preventDefault();
});

// Long work says that it is under way.
document.addEventListener('submit', e => {
  const form = e.target as HTMLFormElement;
  if (form.dataset.waive) {
    e.preventDefault();
    const reason = form.querySelector<HTMLInputElement>('input')!;
    if (!reason.value.trim()) return reason.focus();
    return send({ is: 'waive', rule: form.dataset.waive, reason: reason.value });
  }
  if (pending()) {
    e.preventDefault();
    return void answered().then(() => form.requestSubmit());
  }
  const button = form.querySelector<HTMLButtonElement>('[data-busy]');
  if (button) { button.textContent = button.dataset.busy!; button.disabled = true; }
});

// A box that is ticked or not sends itself.
document.addEventListener('change', e => {
  const box = e.target instanceof HTMLInputElement && e.target.dataset.toggle ? e.target : null;
  if (box) write(box.dataset.toggle!, box.checked ? 'yes' : 'no', { field: keyOf(box) });
});

// A form that is only a file is sent as soon as one is picked.
document.addEventListener('change', e => {
  if (e.target instanceof HTMLInputElement && e.target.dataset.sends !== undefined) e.target.form?.requestSubmit();
});
