// Items carried as text on the clipboard, between panels, takes and jobs.
import { post } from '../queue/post';
import { picked, send, tell } from '../queue/queue';
import type { Copying } from '../queue/wire';
import { takeHere } from './pictures';
import { pointedAt, pointer } from '../sheet/view';
import { choose } from '../sheet/picking';

const typing = (e: Event) => e.target instanceof Element && e.target.closest('input,textarea,select') !== null;
const onWrap = document.body.dataset.place === 'Wrap';

async function copy(remove: boolean): Promise<void> {
  const items = picked();
  const asked: Copying = { items };
  const text = post(`${document.body.dataset.base}/clip`, asked).then(a => { if (!a.ok) throw new Error(); return a.text(); });
  try {
    // The browser wants to be asked before the answer is there.
    await navigator.clipboard.write([new ClipboardItem({ 'text/plain': text.then(t =>
      new Blob([t], { type: 'text/plain' })) })]);
    if (remove) send({ is: 'remove', items });
  } catch {
    tell('This browser did not let the items onto the clipboard.');
  }
}

for (const way of ['copy', 'cut'])
  document.addEventListener(way, e => {
    if (!onWrap || typing(e) || picked().length === 0 || !document.getSelection()?.isCollapsed) return;
    e.preventDefault();
    void copy(way === 'cut');
  });

document.addEventListener('paste', e => {
  if (!onWrap || typing(e)) return;
  const text = e.clipboardData?.getData('text/plain') ?? '';
  const files = [...(e.clipboardData?.files ?? [])].filter(f => f.type.startsWith('image/'));
  if (text.includes('lumbeck-items')) { e.preventDefault(); return paste(text); }
  // From elsewhere: a picture, or words, onto the panel pointed at.
  if (files.length > 0) { e.preventDefault(); return takeHere(files); }
  if (text.trim().length === 0) return;
  e.preventDefault();
  const id = `text-${crypto.randomUUID().slice(0, 8)}`;
  const { panel, x, y } = pointer();
  send({ is: 'add-words', item: id, words: text, panel: panel ?? 'front', ...(panel ? { x, y } : {}) },
    { done: () => choose([id]) });
});

/** Pastes items, onto the panel pointed at where the pointer lies on one. */
function paste(text: string): void {
  if (text.length > 3_500_000) return tell('What was pasted is more than a cover holds; nothing was changed.');
  const made = `paste-${crypto.randomUUID().slice(0, 8)}`;
  send({ is: 'paste', text, new: made, panel: pointedAt() ?? null }, {
    done: () => {
      const ids = [...document.querySelectorAll<HTMLElement>(`[id^="row-${made}-"]`)].map(r => r.id.slice(4));
      if (ids.length > 0) choose(ids);
    },
  });
}
