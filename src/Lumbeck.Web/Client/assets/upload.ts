// A file goes to the server as it is, one at a time, with its progress and a way to leave it.
import { postFile } from '../queue/post';
import { tell } from '../queue/queue';

let sending = false;

function saidOf(request: XMLHttpRequest): string {
  const none = 'This file could not be taken in.';
  try { return (JSON.parse(request.responseText) as { detail?: string }).detail ?? none; } catch { return none; }
}

/** Sends a file; `done` is given the answer where it is a good one. What goes wrong is told. */
export function upload(file: File, address: string, query: Record<string, string>, reading: string,
  done: (answer: XMLHttpRequest) => void, ended: () => void = () => {}): void {
  if (sending) return tell('One file at a time: the last is still on its way.');
  sending = true;
  let lost = false;
  const request = new XMLHttpRequest();
  const cancel = document.createElement('button');
  cancel.type = 'button';
  cancel.className = 'lift shrink-0';
  cancel.textContent = 'Leave it';
  cancel.onclick = () => request.abort();
  const progress = (text: string) => { tell(text); document.getElementById('notice')?.append(cancel); };
  request.upload.onprogress = p => progress(p.lengthComputable && p.loaded < p.total
    ? `Taking in ${file.name}: ${Math.floor((p.loaded * 100) / p.total)} %`
    : `${reading} ${file.name}…`);
  request.onloadend = () => {
    sending = false;
    document.getElementById('notice')?.remove();
    if (lost) tell('The server does not answer.');
    else if (request.status >= 300) tell(saidOf(request));
    else if (request.status > 0) done(request);
    ended();
  };
  request.onerror = () => { lost = true; };
  progress(`Taking in ${file.name}…`);
  postFile(request, `${address}?${new URLSearchParams({ name: file.name, ...query })}`, file);
}
