// What a moving box is drawn to: lines of the sheet, its neighbours' edges and middles, and gaps as wide as theirs.
import { test } from 'node:test';
import assert from 'node:assert/strict';
import { fileURLToPath } from 'node:url';
import { build } from '../../src/Lumbeck.Web/node_modules/esbuild/lib/main.js';
import { Window } from '../../src/Lumbeck.Web/node_modules/happy-dom/lib/index.js';

const here = path => fileURLToPath(new URL(path, import.meta.url));
const { outputFiles: [script] } = await build({
  entryPoints: [here('../../src/Lumbeck.Web/Client/sheet/snap.ts')], bundle: true, write: false, format: 'iife',
  globalName: 'snap', target: 'es2022', logLevel: 'warning',
  plugins: [{ name: 'alone', setup: b => {
    b.onResolve({ filter: /\/htmx$/ }, () => ({ path: here('morph.ts') }));
  } }],
});

/** A page with lines to be drawn to, and other items on it. */
function open(lines = {}, items = []) {
  const window = new Window({ url: 'http://here/jobs/a/wrap' });
  const { document } = window;
  const of = name => JSON.stringify(lines[name] ?? []).replaceAll('"', '&quot;');
  document.body.innerHTML = `<div id="frame" data-upright="${of('upright')}" data-level="${of('level')}"
    data-panels="${of('panels')}" data-unit="mm" data-points="2" data-places="1"></div>`
    + items.map(i => `<li id="row-${i.id}"><button data-row><span>${i.name}</span></button></li>`).join('');
  Object.assign(document.body.dataset, { base: '/jobs/a', tick: '1' });
  const given = { window, document, location: window.location, fetch: async () => ({ ok: false }), setInterval: () => 0 };
  for (const name of ['CSS', 'Event', 'CustomEvent', 'Element', 'HTMLElement', 'HTMLInputElement', 'HTMLSelectElement',
    'HTMLTextAreaElement']) given[name] = window[name];
  const api = new Function(...Object.keys(given), `${script.text}; return snap;`)(...Object.values(given));
  const hits = items.map(i => ({ id: i.id, box: i.box }));
  return { api, snaps: moving => new api.Snaps(hits, new Set(moving)) };
}

const box = (x, y, w = 10, h = 10) => ({ x, y, w, h });

test('a box is drawn to the nearest line by its edges or its middle, within reach alone', () => {
  const s = open({ upright: [[100, 'fold'], [104, 'trim']] }).snaps([]);
  for (const [by, want, says] of [[89, 90, 'fold'], [96.5, 95, 'fold'], [101.2, 100, 'fold'], [93.9, 94, 'trim']]) {
    const d = s.move(box(0, 0), by, false, 2);
    assert.equal(d.by, want, `moved by ${by}`);
    assert.equal(d.line?.[1], says, `moved by ${by}`);
  }
  assert.deepEqual(s.move(box(0, 0), 80, false, 2), { by: 80, line: null, gaps: [] });
  assert.deepEqual(s.move(box(0, 0), 80, true, 2), { by: 80, line: null, gaps: [] }, 'upright lines draw nothing up or down');
});

test('the middle comes before an edge that is as near', () => {
  const s = open({ upright: [[50, 'middle of the front']] }).snaps([]);
  assert.equal(s.move(box(0, 0), 44.9, false, 6).by, 45);
});

test('what does not move with it draws by name, what moves draws nothing', () => {
  const page = open({}, [{ id: 'a', name: 'Title', box: box(100, 20, 40, 10) }, { id: 'b', name: 'Rule', box: box(300, 300) }]);
  const d = page.snaps(['b']).move(box(0, 0), 99.5, false, 2);
  assert.equal(d.by, 100);
  assert.equal(d.line[1], 'edge of the title');
  assert.equal(page.snaps(['a', 'b']).move(box(0, 0), 99.5, false, 2).line, null);
});

test('gaps come out equal: in the midst of two neighbours, and beyond two in a row', () => {
  const items = [{ id: 'a', name: 'A', box: box(0, 0) }, { id: 'b', name: 'B', box: box(30, 0) }];
  const row = open({}, items);
  const after = row.snaps([]).move(box(0, 0), 59.4, false, 2);
  assert.equal(after.by, 60);
  assert.deepEqual(after.gaps.map(g => [g.from, g.to]), [[10, 30], [40, 60]]);
  const apart = open({}, [items[0], { id: 'b', name: 'B', box: box(61, 0) }]);
  const midst = apart.snaps([]).move(box(0, 0), 30, false, 2);
  assert.equal(midst.by, 30.5);
  assert.deepEqual(midst.gaps.map(g => g.to - g.from), [20.5, 20.5]);
  // Beside the row there are no gaps.
  assert.equal(row.snaps([]).move(box(0, 40), 59.4, false, 2).gaps.length, 0);
});

test('a point is drawn to the nearest line', () => {
  const s = open({ level: [[10, 'head'], [12, 'safe']] }).snaps([]);
  assert.deepEqual(s.point(11.4, true, 3), { at: 12, line: [12, 'safe'] });
  assert.deepEqual(s.point(20, true, 3), { at: 20, line: null });
});

test('distances are told from the edges of the panel that the middle lies on, in the job’s unit', () => {
  const { api } = open({ panels: [{ part: 'front', face: [100, 0, 50, 80], edge: [0, 0, 0, 0], turn: 0 }] });
  assert.deepEqual(api.fromEdges(box(110, 10), false).map(g => g.to - g.from), [10, 30]);
  assert.deepEqual(api.fromEdges(box(110, 10), true).map(g => g.to - g.from), [10, 60]);
  assert.deepEqual(api.fromEdges(box(0, 10), false), []);
  assert.equal(api.figure(-25), '12.5 mm');
});
