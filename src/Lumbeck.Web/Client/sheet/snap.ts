// What a moving box is drawn to: lines of the sheet, edges and middles of other items, and gaps as wide as its neighbours'.
import { data, draw, frame, sheet, type Box, type Hit, type Panel } from './sheet';

export type Line = [at: number, says: string];
type Gap = { from: number; to: number; across: number };
/** How far to go, what was met, and the gaps to show. */
export type Drawn = { by: number; line: Line | null; gaps: Gap[] };

export class Snaps {
  readonly upright: Line[];
  readonly level: Line[];
  private readonly others: Box[];

  constructor(all: Hit[], moving: Set<string>) {
    const rest = all.filter(h => !moving.has(h.id));
    this.others = rest.map(h => h.box);
    this.upright = [...data<Line>('upright')];
    this.level = [...data<Line>('level')];
    for (const h of rest) {
      const name = document.querySelector(`#row-${CSS.escape(h.id)} [data-row] span`)?.textContent?.trim().toLowerCase() ?? 'item';
      const b = h.box;
      this.upright.push([b.x, `edge of the ${name}`], [b.x + b.w / 2, `middle of the ${name}`], [b.x + b.w, `edge of the ${name}`]);
      this.level.push([b.y, `edge of the ${name}`], [b.y + b.h / 2, `middle of the ${name}`], [b.y + b.h, `edge of the ${name}`]);
    }
  }

  /** For a box that moves by so much one way: the nearest line to its edges or middle, or an equal gap;
    as it was where none is near. */
  move(b: Box, by: number, down: boolean, near: number): Drawn {
    const [at, size] = down ? [b.y, b.h] : [b.x, b.w];
    let best: Drawn = { by, line: null, gaps: [] };
    let least = near;
    for (const share of [0.5, 0, 1])
      for (const line of down ? this.level : this.upright) {
        const off = Math.abs(line[0] - (at + size * share + by));
        if (off < least - 1e-6) { least = off; best = { by: line[0] - at - size * share, line, gaps: [] }; }
      }
    for (const g of this.gaps(b, by, down)) {
      const off = Math.abs(g.at - (at + by));
      if (off < least - 1e-6) { least = off; best = { by: g.at - at, line: null, gaps: g.gaps }; }
    }
    return best;
  }

  /** A point drawn to the nearest line. */
  point(p: number, down: boolean, near: number): { at: number; line: Line | null } {
    let best: { at: number; line: Line | null } = { at: p, line: null };
    for (const line of down ? this.level : this.upright)
      if (Math.abs(line[0] - p) < near - 1e-6) { near = Math.abs(line[0] - p); best = { at: line[0], line }; }
    return best;
  }

  /** Places at which gaps come out equal: between two neighbours, or beyond two that stand in a row. */
  private gaps(b: Box, by: number, down: boolean): { at: number; gaps: Gap[] }[] {
    const size = down ? b.h : b.w;
    const here = (down ? b.y : b.x) + by;
    const one = (o: Box): [number, number] => (down ? [o.y, o.y + o.h] : [o.x, o.x + o.w]);
    const row = this.others.filter(o =>
      (down ? o.x < b.x + b.w && b.x < o.x + o.w : o.y < b.y + b.h && b.y < o.y + o.h)).map(one);
    const across = down ? b.x + b.w / 2 : b.y + b.h / 2;
    const before = row.filter(o => o[1] <= here + size / 2).sort((p, q) => q[1] - p[1]);
    const after = row.filter(o => o[0] >= here + size / 2).sort((p, q) => p[0] - q[0]);
    const found: { at: number; gaps: Gap[] }[] = [];
    const [a, z] = [before[0], after[0]];
    if (a && z && z[0] - a[1] > size) {
      const g = (z[0] - a[1] - size) / 2;
      found.push({ at: a[1] + g, gaps: [{ from: a[1], to: a[1] + g, across }, { from: z[0] - g, to: z[0], across }] });
    }
    const second = a && before.find(o => o[1] < a[0]);
    if (a && second) { const g = a[0] - second[1];
      found.push({ at: a[1] + g, gaps: [{ from: second[1], to: a[0], across }, { from: a[1], to: a[1] + g, across }] });
      }
    const third = z && after.find(o => o[0] > z[1]);
    if (z && third) { const g = third[0] - z[1];
      found.push({ at: z[0] - g - size,
        gaps: [{ from: z[0] - g, to: z[0], across }, { from: z[1], to: third[0], across }] });
      }
    return found;
  }
}

/** How far a box stands from the edges of the panel its middle lies on, across or down. */
export function fromEdges(b: Box, down: boolean): Gap[] {
  const [x, y] = [b.x + b.w / 2, b.y + b.h / 2];
  const face = data<Panel>('panels').find(({ face: [l, t, w, h] }) =>
    x >= l && x <= l + w && y >= t && y <= t + h)?.face;
  if (!face) return [];
  const [from, to, near, far, across] = down
    ? [face[1], face[1] + face[3], b.y, b.y + b.h, x]
    : [face[0], face[0] + face[2], b.x, b.x + b.w, y];
  return [{ from, to: near, across }, { from: far, to, across }].filter(g => g.to - g.from > 0.01);
}

/** A length in the job's unit. */
export function figure(points: number): string {
  const { unit, points: each, places } = frame();
  return `${Number((Math.abs(points) / Number(each)).toFixed(Number(places)))} ${unit}`;
}

/** Shows what was met, with its figures, and says how far the hand has come. */
export function show(e: { clientX: number; clientY: number }, px: number, said: (string | undefined)[],
  across: Drawn | Line | null, down: Drawn | Line | null, box: Box | null = null): void {
  clear();
  const view = sheet!.viewBox.baseVal;
  const over = draw(sheet!, 'g', { id: 'drawn-to' });
  // Pale under dark, to be seen on any art.
  const line =
    (d: string) => { for (const tone of ['drawn-to under', 'drawn-to']) draw(over, 'path', { class: tone, d });
    };
  const lineOf = (d: Drawn | Line | null) => (Array.isArray(d) ? d : d?.line ?? null);
  const [l, t] = [lineOf(across), lineOf(down)];
  if (l) line(`M${l[0]} ${view.y}v${view.height}`);
  if (t) line(`M${view.x} ${t[0]}h${view.width}`);
  const gaps: string[] = [];
  for (const [d, upright] of [[across, false], [down, true]] as [Drawn | Line | null, boolean][])
    if (d && !Array.isArray(d)) {
      const equal = d.gaps.length > 0;
      // Met by a line, the distances to the panel's edges are what is wanted.
      for (const g of equal ? d.gaps : d.line && box ? fromEdges(box, upright) : []) {
        const tick = 5 * px;
        line(upright
          ? `M${g.across - tick} ${g.from}h${2 * tick}m${-tick} 0V${g.to}m${-tick} 0h${2 * tick}`
          : `M${g.from} ${g.across - tick}v${2 * tick}m0 ${-tick}H${g.to}m0 ${-tick}v${2 * tick}`);
        const text = draw(over, 'text',
          { class: 'drawn-figure', 'font-size': 12 * px, 'text-anchor': 'middle',
            x: upright ? g.across + 26 * px : (g.from + g.to) / 2,
            y: upright ? (g.from + g.to) / 2 : g.across - 8 * px });
        text.textContent = figure(g.to - g.from);
        if (equal) gaps.push(`equal gaps of ${figure(g.to - g.from)}`);
      }
    }
  const told = document.createElement('div');
  told.id = 'carried';
  told.textContent = [...said, l?.[1], t?.[1], gaps[0]].filter(Boolean).join(' · ');
  document.body.append(told);
  // Where it stands is the pointer's, which no style sheet can know beforehand.
  told.style.setProperty('left', `${Math.min(e.clientX + 14, innerWidth - told.offsetWidth - 8)}px`);
  told.style.setProperty('top', `${Math.min(e.clientY + 18, innerHeight - 60)}px`);
}

export function clear(): void {
  document.getElementById('drawn-to')?.remove();
  document.getElementById('carried')?.remove();
}
