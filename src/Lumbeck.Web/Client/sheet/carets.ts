// Where a caret can stand among set words, in points of their box, as the server tells it with the words.

/** A place in the words: before which letter, on which line, where on its baseline, how that is turned there in degrees
  clockwise, and how far along it the letter reaches. */
export type Stop = { at: number; line: number; x: number; y: number; turn: number; wide: number };
/** How far a line's letters reach above its baseline and below it. */
export type Line = { up: number; down: number };

export function stops(map: DOMStringMap): Stop[] {
  return (map.stops ?? '').split(';').filter(s => s).map(s =>
    { const [a = 0, line = 0, x = 0, y = 0, turn = 0, wide = 0] = s.split(' ').map(Number);
      return { at: a, line, x, y, turn, wide }; });
}

export function lines(map: DOMStringMap): Line[] {
  return (map.lines ?? '').split(';').filter(s => s).map(s =>
    { const [up = 0, down = 0] = s.trim().split(' ').map(Number); return { up, down }; });
}

/** The stop of a place in the words: the one there, or the nearest before it. */
export function stopOf(place: number, all: Stop[]): Stop | undefined {
  let best: Stop | undefined;
  for (const s of all)
    if (s.at <= place && (!best || s.at > best.at || (s.at === best.at && s.line > best.line))) best = s;
  return best ?? all[0];
}

/** How far along its line a stop stands. */
export const along = (s: Stop) => s.x * Math.cos((s.turn * Math.PI) / 180) + s.y * Math.sin((s.turn * Math.PI) / 180);

/** The place in the words that a point of their box is nearest to. */
export function nearest(q: { x: number; y: number }, all: Stop[], ls: Line[], otherwise: number): number {
  let best = otherwise;
  let least = Infinity;
  for (const s of all) {
    const [c, n] = [Math.cos((s.turn * Math.PI) / 180), Math.sin((s.turn * Math.PI) / 180)];
    const [dx, dy] = [q.x - s.x, q.y - s.y];
    const [a, d] = [dx * c + dy * n, -dx * n + dy * c];
    const l = ls[s.line] ?? { up: 10, down: 3 };
    const off = Math.max(0, d - l.down, -l.up - d);
    // On the letter's nearer half the caret stands before it, on the other after it.
    const [to, way] = Math.abs(a - s.wide) < Math.abs(a) && s.wide !== 0
      ? [after(s, all), Math.abs(a - s.wide)]
      : [s.at, Math.abs(a)];
    const far = off * 1000 + way;
    if (far < least) { least = far; best = to; }
  }
  return best;
}

function after(s: Stop, all: Stop[]): number {
  const next = all.filter(o => o.at > s.at).map(o => o.at);
  return next.length > 0 ? Math.min(...next) : s.at;
}
