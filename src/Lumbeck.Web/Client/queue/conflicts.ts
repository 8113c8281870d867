// Two changed one thing: both values, and a way on.
import { notice } from './notices';
import type { Problem } from './wire';

/** Asks which of two values is to stand.
 * @param step  the last step was another's, and is to be taken back or left
 * @param keep  what is on the bench stays
 * @param use  the edit is made over it */
export function askWhich(problem: Problem, step: boolean, keep: () => void, use: () => void): void {
  const [theirs, yours] = [problem.theirs ?? '', problem.yours ?? ''];
  const n = notice();
  n.dataset.asks = 'true';
  const words = document.createElement('p');
  words.textContent = step
    ? `The last step was made elsewhere: ${problem.label}.`
    : `${problem.label} was changed elsewhere in the meantime: it now says ${theirs || 'nothing'}; you typed ${yours || 'nothing'}.`;
  const choice = (text: string, act: () => void) => {
    const b = document.createElement('button');
    b.type = 'button';
    b.className = 'lift shrink-0';
    b.textContent = text;
    b.onclick = () => { n.remove(); act(); };
    return b;
  };
  if (step) n.append(words, choice('Leave it', () => {}), choice('Take it back', use));
  else n.append(words, choice(`Keep ${short(theirs)}`, keep), choice(`Use ${short(yours)}`, use));
}

const short = (s: string) => (s.length > 24 ? s.slice(0, 23) + '…' : s || 'nothing');
