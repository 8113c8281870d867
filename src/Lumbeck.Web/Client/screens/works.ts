// Long work done beside the page: how far it is, and a way to leave it.
import { post } from '../queue/post';
import { tell } from '../queue/queue';
import type { Work, WorkList } from '../queue/wire';

const base = document.body.dataset.base ?? '';
const onJob = base.startsWith('/jobs/');
// A page that shows what work has made asks from when it was written.
let since = document.body.dataset.now ?? '';
let first = since !== '';
let asking = false;
// What was seen waiting or under way; its end is told.
const seen = new Map<string, Work>();

/** Asks how the job's work gets on, and goes on asking while there is any. */
export async function watch(): Promise<void> {
  if (!onJob || asking) return;
  asking = true;
  try {
    for (;;) {
      const answer = await fetch(`${base}/works${since ? `?since=${encodeURIComponent(since)}` : ''}`);
      if (!answer.ok) return;
      const { now, works } = (await answer.json()) as WorkList;
      // Until the end of what was seen is told, nothing that ended since then is passed over.
      if (seen.size === 0) since = now;
      const going = works.filter(w => w.state === 'waiting' || w.state === 'running');
      (first ? works : going).forEach(w => seen.set(w.id, w));
      first = false;
      show(going);
      // What is not told of at all any more was under way when it was asked for, and had ended before: the clock of its
      // end is read before that is written.
      const gone = [...seen.values()].filter(w => !works.some(x => x.id === w.id)).map(w => ({ ...w, state: 'done' }));
      for (const w of [...works, ...gone].filter(x => !going.includes(x) && seen.delete(x.id))) {
        if (w.state === 'failed') tell(`${w.says}: ${w.problem}`);
        if (w.state === 'done' && w.kind !== 'grow') return location.reload();
        document.dispatchEvent(new CustomEvent('lumbeck:worked', { detail: w }));
      }
      if (going.length === 0) return;
      await new Promise(r => setTimeout(r, 350));
    }
  } catch { /* the server does not answer: the page's own queue says so */ } finally { asking = false; }
}

function show(going: Work[]): void {
  let box = document.getElementById('works');
  if (going.length === 0) return void box?.remove();
  if (!box) {
    box = document.createElement('div');
    box.id = 'works';
    box.setAttribute('role', 'status');
    document.body.append(box);
  }
  box.replaceChildren(...going.slice(0, 4).map(w => {
    const row = document.createElement('p');
    const bar = document.createElement('progress');
    bar.max = 1;
    bar.setAttribute('aria-label', w.says);
    if (w.state === 'running') bar.value = w.share;
    const says = document.createElement('span');
    says.textContent = `${w.says}${w.state === 'waiting' ? ', waiting' : ` ${Math.floor(w.share * 100)} %`}`;
    const leave = document.createElement('button');
    leave.type = 'button';
    leave.className = 'plain';
    leave.textContent = 'leave it';
    leave.onclick = () => void post(`/works/${w.id}/leave`);
    row.append(bar, says, leave);
    return row;
  }));
}

if (onJob) {
  void watch();
  document.addEventListener('lumbeck:settled', () => { if (document.querySelector('#art image.grown')) void watch(); });
}
