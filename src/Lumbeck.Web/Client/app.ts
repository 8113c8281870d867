// What a hand does on a job's pages: picking, adding, nudging, stepping back. The rules are the server's.
import './carry';
import './fields';
import './insides';
import './sums';
import { answered, pending, pick, picked, send, tryOut, untry } from './queue';

const closest = (e: Event, selector: string) => (e.target instanceof Element ? e.target.closest<HTMLElement>(selector) : null);
const onJob = document.body.dataset.base !== undefined;
const onWrap = document.body.dataset.place === 'Wrap';

document.addEventListener('click', e => {
  if (!onJob) return;
  let at: HTMLElement | null;
  // A link out of this page waits for what was typed just before it was pressed.
  if ((at = closest(e, 'a[href]')) && pending() && !e.ctrlKey && !e.metaKey && !e.shiftKey) {
    e.preventDefault();
    const href = at.getAttribute('href')!;
    return void answered().then(() => { location.href = href; });
  }
  if ((at = closest(e, '[data-step]'))) return send({ step: at.dataset.step });
  if ((at = closest(e, 'button[data-fact]'))) {
    closest(e, 'details[data-picks]')?.removeAttribute('open');
    return send({ path: at.dataset.fact, text: at.dataset.text });
  }
  if ((at = closest(e, '[data-take]'))) return send({ take: at.dataset.take });
  if ((at = closest(e, '[data-order]'))) return send({ item: at.dataset.item, order: Number(at.dataset.order) });
  if ((at = closest(e, '[data-arrange]'))) return arrange(at.dataset.item!, at.dataset.arrange!);
  if ((at = closest(e, '[data-remove]'))) return send({ item: at.dataset.remove, remove: true });
  if ((at = closest(e, '[data-add]'))) {
    const id = `${at.dataset.add}-${crypto.randomUUID().slice(0, 8)}`;
    const swatch = at.dataset.add === 'swatch';
    return send({ item: id, add: at.dataset.add, panel: at.dataset.panel }, false, () => { if (!swatch) choose(id); });
  }
  if ((at = closest(e, '[data-pick]'))) {
    const id = at.dataset.pick!;
    return choose(at.dataset.row && picked() === id ? null : id);
  }
  if (closest(e, '#sheet,#lens-drawing')) choose(null);
});

/** One press on an item; a copy is picked in place of what it was made of. */
function arrange(item: string, how: string): void {
  if (how !== 'copy' && how !== 'other-cover') return send({ item, arrange: how });
  const id = `${item.replace(/-[0-9a-f]{8}$/, '').slice(0, 30)}-${crypto.randomUUID().slice(0, 8)}`;
  send({ item, arrange: how, new: id }, false, () => { if (document.getElementById(`row-${id}`)) choose(id); });
}

// The trade's words: centre, middle, fill the panel, bleed, whole sheet, double, other cover.
const keys: Record<string, string> = { c: 'centre', m: 'middle', f: 'panel', b: 'bleed', w: 'sheet', d: 'copy', o: 'other-cover' };

// A list that something is picked from closes when it is left.
const leave = (e: Event): void => {
  const into = e.type === 'focusout' ? (e as FocusEvent).relatedTarget : e.target;
  if (e.type === 'focusout' && !into) return;
  for (const list of document.querySelectorAll<HTMLDetailsElement>('details[data-picks][open]')) if (!(into instanceof Node && list.contains(into))) list.open = false;
};
document.addEventListener('pointerdown', leave);
document.addEventListener('focusout', leave);

function choose(id: string | null): void {
  pick(id);
  if (id) document.getElementById(`row-${id}`)?.scrollIntoView({ block: 'nearest' });
}

// What a press would do to the sheet is shown while it is pointed at.
const tries = 'button[data-try]';
const show = (e: Event): void => {
  const at = onJob ? closest(e, tries) : null;
  if (at) void tryOut(at.dataset.take ? { take: at.dataset.take } : { path: at.dataset.fact, text: at.dataset.text });
};
const hide = (e: Event): void => { if (onJob && closest(e, tries)) untry(); };
document.addEventListener('pointerenter', show, true);
document.addEventListener('pointerleave', hide, true);
document.addEventListener('focusin', show);
document.addEventListener('focusout', hide);

let burst = { id: '', at: 0 };
const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

document.addEventListener('keydown', e => {
  if (!onJob) return;
  const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
  const select = e.target instanceof HTMLSelectElement;
  const key = e.key.toLowerCase();
  if ((e.ctrlKey || e.metaKey) && (key === 'z' || key === 'y')) {
    // In a field with words not sent yet, the browser's own undo is what is meant.
    if (typing && (e.target as HTMLElement).dataset.dirty === 'true') return;
    e.preventDefault();
    return send({ step: key === 'y' || e.shiftKey ? 'forward' : 'back' });
  }
  const book = document.querySelector<HTMLDetailsElement>('#swatch-book[open],details[data-picks][open]');
  if (e.key === 'Escape' && book) return void (book.open = false);
  if (typing || select || !onWrap || e.ctrlKey || e.metaKey || e.altKey) return;
  if (key === 'z') return zones(false);
  const item = picked();
  if (e.key === 'Escape' && item) return choose(null);
  if (item && !e.shiftKey && keys[key]) { e.preventDefault(); return arrange(item, keys[key]); }
  const arrow = arrows[e.key];
  if (!item || !arrow) return;
  e.preventDefault();
  // A burst of keys is one step back.
  if (burst.id === '' || e.timeStamp - burst.at > 900) burst.id = crypto.randomUUID();
  burst.at = e.timeStamp;
  send({ item, right: arrow[0], down: arrow[1], far: e.shiftKey, gesture: burst.id });
});

document.addEventListener('keyup', e => { if (e.key.toLowerCase() === 'z') zones(true); });

function zones(shown: boolean): void {
  for (const g of document.querySelectorAll('.zones')) g.toggleAttribute('hidden', !shown);
}

document.addEventListener('pointerdown', e => { if (closest(e, '#hide-zones')) zones(false); });
for (const up of ['pointerup', 'pointercancel', 'blur']) window.addEventListener(up, () => zones(true));

// Long work says that it is under way.
document.addEventListener('submit', e => {
  const form = e.target as HTMLFormElement;
  if (pending()) {
    e.preventDefault();
    return void answered().then(() => form.requestSubmit());
  }
  const button = form.querySelector<HTMLButtonElement>('[data-busy]');
  if (button) { button.textContent = button.dataset.busy!; button.disabled = true; }
});

// A form that is only a file is sent as soon as one is picked.
document.addEventListener('change', e => {
  if (e.target instanceof HTMLInputElement && e.target.dataset.sends !== undefined) e.target.form?.requestSubmit();
});
