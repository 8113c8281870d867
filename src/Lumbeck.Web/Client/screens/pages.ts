// The Inside screen: leafing through openings by hand and by keys, runs, tables. The rules are the server's.
import { isMute } from '../letters';
import { htmx } from '../queue/htmx';
import { answered, pause, pick, picked, refresh, send, tell } from '../queue/queue';
import { upload } from '../assets/upload';
import { alone, leaves, page, rtl, seen, size } from './opening';

const body = document.body;
const onInside = body.dataset.place === 'Inside';
const base = body.dataset.base ?? '';
const printed = () => Number(leaves()?.dataset.pages ?? 1);
const rows = () => [...document.querySelectorAll<HTMLElement>('#run-list [data-pick]')];
const fresh = (word: string) => `${word}-${crypto.randomUUID().slice(0, 8)}`;

let leafing = false, next = 0;

/** Shows the opening of a page. The hand may be faster than the server: what was passed meanwhile is left out. */
async function leaf(to: number): Promise<void> {
  next = Math.min(Math.max(1, to), printed());
  body.dataset.sheet = String(next);
  mark();
  if (leafing) return;
  leafing = true;
  try {
    for (let at = 0; at !== next;) {
      at = next;
      const open = picked()[0];
      const answer = await fetch(`${base}/opening?page=${at}${open ? `&open=${encodeURIComponent(open)}` : ''}`);
      if (!answer.ok) break;
      const text = await answer.text();
      if (at === next) await htmx.swap({ text, target: body, sourceElement: body, swap: 'none' });
    }
  } catch { tell('The server does not answer.'); } finally { leafing = false; }
  document.dispatchEvent(new Event('lumbeck:settled'));
}

/** The leaf that is open stands out of the block. */
function mark(): void {
  const svg = leaves();
  if (!svg) return;
  const first = Math.max(1, Math.floor(page() / 2) * 2);
  let at: Element | null = null;
  for (const g of svg.querySelectorAll<SVGElement>('[data-leaf]')) {
    const here = Number(g.dataset.leaf) === first;
    g.classList.toggle('open-leaf', here);
    if (here) at = g;
  }
  const last = Math.min(first === 1 ? 1 : first + 1, printed());
  const says = document.getElementById('leaf-says');
  if (says) {
    says.textContent = first === last ? `${first}` : `${first} | ${last}`;
    const r = at?.getBoundingClientRect();
    const way = document.getElementById('block')!.getBoundingClientRect();
    if (r) says.style.left = `${Math.max(2, r.left + r.width / 2 - way.left - says.offsetWidth / 2)}px`;
  }
  svg.setAttribute('aria-valuenow', String(Math.floor(page() / 2) + 1));
  svg.setAttribute('aria-valuetext', says?.textContent ?? '');
  const one = document.getElementById('try-page') as HTMLAnchorElement | null;
  if (one) one.href = `${base}/page.pdf?n=${page()}`;
}

/** The run before or after the one that is shown. */
function run(by: number): void {
  const all = rows().filter(r => r.dataset.first);
  const at = all.filter(r => Number(r.dataset.first) <= page()).length - 1;
  const to = all[Math.min(Math.max(0, by < 0 && Number(all[at]?.dataset.first) < page() ? at : at + by), all.length - 1)];
  if (!to) return;
  pick([to.dataset.pick!]);
  void leaf(Number(to.dataset.first));
}

/** The leaf under a point of the block. */
function under(e: PointerEvent): number | undefined {
  const svg = leaves();
  if (!svg) return undefined;
  const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
  const all = [...svg.querySelectorAll<SVGElement>('[data-leaf]')];
  let best: SVGElement | undefined, least = Infinity;
  for (const g of all) {
    const r = (g.firstElementChild as SVGRectElement);
    const off = Math.abs(p.x - (r.x.baseVal.value + r.width.baseVal.value / 2));
    if (off < least) (least = off), (best = g);
  }
  return best ? Number(best.dataset.leaf) : undefined;
}

function keys(e: KeyboardEvent): boolean {
  const open = picked()[0];
  // A page alone is leafed page by page.
  const on = (by: number) => leaf(alone() ? page() + by : Math.max(1, Math.floor(page() / 2) * 2 + by * 2));
  switch (e.key) {
    case 'ArrowRight': case 'ArrowLeft': {
      const by = (e.key === 'ArrowRight') !== rtl() ? 1 : -1;
      if (e.shiftKey) run(by); else void on(by);
      return true;
    }
    case 'ArrowDown': case 'ArrowUp':
      if (e.altKey && open) send({ is: 'shift-run', run: open, by: e.key === 'ArrowUp' ? -1 : 1 });
      else run(e.key === 'ArrowUp' ? -1 : 1);
      return true;
    case 'PageDown': void on(8); return true;
    case 'PageUp': void on(-8); return true;
    case 'Home': void leaf(1); return true;
    case 'End': void leaf(printed()); return true;
    case 'Enter': {
      if (!open) { run(0); return true; }
      document.querySelector<HTMLElement>(`[data-run-settings="${CSS.escape(open)}"] .field`)?.focus();
      return true;
    }
    case 'Escape': pick([]); return true;
    case 'Delete': case 'Backspace': if (open) send({ is: 'drop-run', run: open }); return true;
    case '+': case '=': seen('near'); return true;
    case '-': seen('far'); return true;
  }
  switch (e.key.toLowerCase()) {
    case 's': seen('spread'); return true;
    case 'p': seen('page'); return true;
    case 't': seen('true'); return true;
    case 'd': if (open) send({ is: 'double-run', run: open, new: fresh('run') }); return true;
    case 'g': document.getElementById('to-page')?.focus(); return true;
    case 'a': document.querySelector<HTMLElement>('#add-run summary')?.click(); return true;
  }
  return false;
}

let watching = false, made = 0;

/** While puzzles are being made their pages are not what they will be: how far it is, is said, and then they are
  drawn anew. */
async function watch(): Promise<void> {
  if (watching || leaves()?.dataset.puzzles !== 'true') return;
  watching = true;
  const says = document.getElementById('making')!;
  try {
    for (;;) {
      const answer = await fetch(`${base}/making`);
      if (answer.status !== 200) {
        says.hidden = answer.status !== 422;
        const now = Number(answer.headers.get('X-Made'));
        if (now > Math.max(made, Number(leaves()?.dataset.made))) anew();
        made = Math.max(made, now);
        if (answer.status === 422) says.textContent = ((await answer.json()) as { detail: string }).detail;
        break;
      }
      says.textContent = `making puzzles: ${await answer.text()}`;
      says.hidden = false;
      await pause(300);
    }
  } catch { says.hidden = true; } finally { watching = false; }
}

/** Draws the pages that are seen once more. */
function anew(): void {
  for (const page of document.querySelectorAll<SVGImageElement | HTMLImageElement>('image[href*="page.svg"], img[src*="page.svg"]')) {
    const name = page instanceof HTMLImageElement ? 'src' : 'href';
    page.setAttribute(name, `${page.getAttribute(name)!.replace(/&made$/, '')}&made`);
  }
}

/** A CSV file is kept in the Drawer, and makes the picked run's pages. */
function table(file: File): void {
  const open = picked()[0];
  upload(file, `${base}/table`, {}, 'Reading', answer => {
    const told = JSON.parse(answer.responseText) as { hash: string; says: string };
    if (open) send({ is: 'lay-rows', run: open, hash: told.hash });
    else { tell(`${told.says}: it lies in the Drawer. Pick a run to make its pages of its rows.`); refresh(); }
  });
}

/** A table of dates, or a calendar file, is kept in the Drawer and printed in the calendars' days. */
function notes(file: File): void {
  upload(file, `${base}/table`, {}, 'Reading', answer =>
    send({ is: 'lay-notes', hash: (JSON.parse(answer.responseText) as { hash: string }).hash }));
}

function begin(): void {
  document.addEventListener('click', e => {
    const at = (selector: string) => (e.target instanceof Element ? e.target.closest<HTMLElement>(selector) : null);
    const open = picked()[0] ?? '';
    let b: HTMLElement | null;
    if ((b = at('[data-look]'))) return seen(b.dataset.look!);
    if ((b = at('#run-list [data-first]'))) return void leaf(Number(b.dataset.first));
    if ((b = at('[data-ready]'))) { b.closest('details')?.removeAttribute('open');
      return send({ is: 'begin-inside', name: b.dataset.ready! }, { done: () => void leaf(1) }); }
    if ((b = at('[data-add-run]'))) {
      const id = fresh('run');
      b.closest('details')?.removeAttribute('open');
      return send({ is: 'add-run', run: id, design: b.dataset.addRun!, after: open || null }, { done: () => {
        pick([id]);
        const first = document.querySelector<HTMLElement>(`#row-${CSS.escape(id)} [data-first]`)?.dataset.first;
        if (first) void leaf(Number(first));
      } });
    }
    if ((b = at('[data-lay-notes]'))) return send({ is: 'lay-notes', hash: b.dataset.layNotes || null });
    if (!open) return;
    if ((b = at('[data-shift-run]'))) return send({ is: 'shift-run', run: open, by: Number(b.dataset.shiftRun) });
    if (at('[data-double-run]')) return send({ is: 'double-run', run: open, new: fresh('run') });
    if (at('[data-drop-run]')) return send({ is: 'drop-run', run: open });
    if ((b = at('[data-put-design]'))) return send({ is: 'put-design', run: open, place: Number(b.dataset.putDesign), design: 'ruled' });
    if ((b = at('[data-drop-design]'))) return send({ is: 'put-design', run: open, place: Number(b.dataset.dropDesign), design: null });
    if ((b = at('[data-hang]'))) return send({ is: 'hang-page', run: open, place: Number(b.dataset.placeOf), hash: b.dataset.hang! });
    if ((b = at('[data-back-pages]'))) return send({ is: 'back-pages', run: open, hash: b.dataset.backPages || null });
    if ((b = at('[data-lay-rows]'))) return send({ is: 'lay-rows', run: open, hash: b.dataset.layRows! });
  });
  document.addEventListener('change', e => {
    if (!(e.target instanceof HTMLInputElement)) return;
    if (e.target.matches('[data-table-file]') && e.target.files?.[0]) { table(e.target.files[0]); e.target.value = ''; }
    if (e.target.matches('[data-notes-file]') && e.target.files?.[0]) { notes(e.target.files[0]); e.target.value = ''; }
    if (e.target.id === 'to-page') {
      const to = Number(e.target.value);
      e.target.value = '';
      if (Number.isInteger(to) && to >= 1 && to <= printed()) void leaf(to);
      else tell(`There is no such page: from 1 to ${printed()}.`);
    }
  });
  document.addEventListener('dragover', e => { if (e.dataTransfer?.types.includes('Files')) e.preventDefault(); });
  document.addEventListener('drop', e => {
    const file = e.dataTransfer?.files[0];
    if (!file) return;
    e.preventDefault();
    if (/\.(csv|tsv|txt)$/i.test(file.name)) table(file);
    else if (/\.ics$/i.test(file.name)) notes(file);
    else tell('Only tables (CSV) and calendar files can be dropped here. Pictures come from the Drawer; ' +
      'a finished inside is laid on the ticket.');
  });
  document.addEventListener('keydown', e => {
    const into = e.target instanceof HTMLInputElement || e.target instanceof HTMLSelectElement || e.target instanceof HTMLTextAreaElement;
    if (into || e.ctrlKey || e.metaKey || document.querySelector('details[data-picks][open]')) return;
    // Enter on a button is the button's.
    const own = e.target instanceof Element && e.target.closest('button:not([data-pick]),a,summary');
    if ((e.key === 'Enter' || e.key === ' ') && own) return;
    if (!isMute(e) && keys(e)) e.preventDefault();
  });
  // The hand runs along the block.
  let held = false;
  document.addEventListener('pointerdown', e => {
    if (!(e.target instanceof Element) || !e.target.closest('#leaves')) return;
    held = true;
    const to = under(e);
    if (to) void leaf(to);
  });
  document.addEventListener('pointermove', e => {
    if (!held) return;
    const to = under(e);
    if (to && to !== next) void leaf(to);
  });
  document.addEventListener('pointerup', () => { held = false; });
  window.addEventListener('resize', () => { size(); mark(); });
  document.addEventListener('lumbeck:settled', () => {
    // A shorter book has fewer pages to be at.
    if (page() > printed()) body.dataset.sheet = String(printed());
    size();
    mark();
    void watch();
  });
  next = page();
  size();
  mark();
  void watch();
  void answered();
}

if (onInside) begin();
