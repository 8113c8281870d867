// What is picked, and one press on it. The rules are the server's.
import { reveal } from './hand';
import { pick, picked, send } from '../queue/queue';

/** Picks items, and brings them into view. */
export function choose(ids: string[]): void {
  pick(ids);
  reveal();
}

/** Presses that make items, which get an id of ours. */
const MAKING = ['copy', 'other-cover', 'copy-to', 'four-corners', 'words-in', 'take-apart'];

/** One press on what is picked; copies are picked in place of what they were made of. */
export function arrange(how: string, panel?: string): void {
  const items = picked();
  if (how === 'swap-covers') return send({ is: 'swap-covers' });
  if (!MAKING.includes(how)) return send({ is: 'arrange', items, how });
  const made = `${items[0]!.replace(/-[0-9a-f]{8}(-\d+)?$/, '').slice(0, 24)}-${crypto.randomUUID().slice(0, 8)}`;
  send({ is: 'arrange', items, how, new: made, panel: panel ?? null }, {
    done: () => {
      const ids = [...document.querySelectorAll<HTMLElement>(`[id^="row-${made}"]`)].map(r => r.id.slice(4));
      if (ids.length > 0) choose(ids);
    },
  });
}
