// Written from the server's own types by its tests (LUMBECK_KEEP=1 writes it anew): what a browser may send, and is told.

export type Place = 'Ticket' | 'Inside' | 'Wrap' | 'Check' | 'Press' | 'Colours' | 'Houses';
export type Way = 'back' | 'forward';
export type Beside = 'inside' | 'inside-pages' | 'inside-trim' | 'no-inside' | 'rules';
export type Laid = { item: string; x: number; y: number; w?: number | null; h?: number | null; turned?: number | null };
export type Copying = { items: string[] };
export type Problem = { path: string; detail: string; label?: string | null; theirs?: string | null; yours?: string | null };
export type Work = { id: string; kind: string; says: string; state: string; share: number; problem: string };
export type WorkList = { now: string; works: Work[] };

export type Ask =
  | { is: 'write'; path: string; text: string; caret?: number | null }
  | { is: 'write-each'; items: string[]; fact: string; text: string }
  | { is: 'span-words'; item: string; marks: number[] }
  | { is: 'add'; item: string; kind: string; panel: string }
  | { is: 'add-kept'; item: string; hash: string; panel: string }
  | { is: 'lay-motif'; hash: string; item?: string | null }
  | { is: 'move-paper'; right: number; down: number; larger: number; turned: number; item?: string | null }
  | { is: 'calm-again' }
  | { is: 'wear-livery'; livery: string; colourway: number; seed: string; new: string; letGo?: string[] | null }
  | { is: 'put-ticket-picture'; which: string; hash?: string | null }
  | { is: 'set-livery-again' }
  | { is: 'from-beside'; item: string; panel: string }
  | { is: 'add-words'; item: string; words: string; panel: string; x?: number | null; y?: number | null }
  | { is: 'add-swatch'; swatch: string }
  | { is: 'palette'; item: string; new: string }
  | { is: 'harmony'; swatch: string; number: number; new: string }
  | { is: 'remove-swatch'; swatch: string }
  | { is: 'take-over'; what: Beside }
  | { is: 'looked'; item?: string | null }
  | { is: 'new-take'; name?: string | null }
  | { is: 'choose-take'; take: string }
  | { is: 'paste'; text: string; new: string; panel?: string | null }
  | { is: 'arrange'; items: string[]; how: string; new?: string | null; panel?: string | null }
  | { is: 'swap-covers' }
  | { is: 'lay'; laid: Laid[] }
  | { is: 'carry'; items: string[]; right: number; down: number }
  | { is: 'push'; item: string; right: number; down: number }
  | { is: 'remove'; items: string[] }
  | { is: 'order'; items: string[]; steps: number }
  | { is: 'nudge'; items: string[]; right: number; down: number; far: boolean }
  | { is: 'add-run'; run: string; design: string; after?: string | null }
  | { is: 'drop-run'; run: string }
  | { is: 'shift-run'; run: string; by: number }
  | { is: 'double-run'; run: string; new: string }
  | { is: 'put-design'; run: string; place: number; design?: string | null }
  | { is: 'begin-inside'; name: string }
  | { is: 'put-runs-by'; by: boolean }
  | { is: 'hang-page'; run: string; place: number; hash?: string | null }
  | { is: 'back-pages'; run: string; hash?: string | null }
  | { is: 'lay-rows'; run: string; hash: string }
  | { is: 'lay-notes'; hash?: string | null }
  | { is: 'waive'; rule: string; reason: string }
  | { is: 'mend'; finding: string }
  | { is: 'step'; way: Way };

export type Sent = { id: string;
  session: string;
  base?: number | null;
  opened?: number | null;
  gesture?: string | null;
  seen: number;
  place: Place;
  open?: string | null;
  sheet?: string | null;
  tried: boolean;
  ask?: Ask | null };
