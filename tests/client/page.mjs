// A page with fields, a server that answers late, and a clock that only the test moves.
import { build } from '../../src/Lumbeck.Web/node_modules/esbuild/lib/main.js';
import { Window } from '../../src/Lumbeck.Web/node_modules/happy-dom/lib/index.js';
import { fileURLToPath } from 'node:url';

const here = path => fileURLToPath(new URL(path, import.meta.url));
const { outputFiles: [script] } = await build({
  entryPoints: [here('entry.ts')], bundle: true, write: false, format: 'iife', globalName: 'page', target: 'es2022',
  logLevel: 'warning',
  plugins: [{ name: 'morph', setup: b => { b.onResolve({ filter: /^\.\.?\/htmx$/ }, () => ({ path: here('morph.ts') })); } }],
});

/** Lets everything happen that waits for no time. */
const settle = async () => { for (let i = 0; i < 6; i++) await new Promise(r => setImmediate(r)); };

/** Time that passes when it is told to, each due thing in its turn. */
class Clock {
  now = 0; #due = new Map(); #id = 0;
  set = (act, ms = 0) => { this.#due.set(++this.#id, { at: this.now + Math.max(0, ms), act, id: this.#id }); return this.#id; };
  every = (act, ms) => { const again = () => { act(); this.#due.set(id, { at: this.now + ms, act: again, id }); };
    const id = this.set(again, ms); return id; };
  clear = id => { this.#due.delete(id); };
  async pass(ms) {
    const until = this.now + ms;
    for (;;) {
      await settle();
      const next = [...this.#due.values()].filter(d => d.at <= until).sort((a, b) => a.at - b.at || a.id - b.id)[0];
      if (!next) break;
      this.now = Math.max(this.now, next.at);
      this.#due.delete(next.id);
      next.act();
    }
    this.now = until;
  }
}

/** A field that is live, tried, or neither: what it says is saved, as the server sets it. */
export const kinds = {
  live: { tag: 'input', more: 'data-live="true"' },
  words: { tag: 'textarea', more: 'data-live="true"' },
  tried: { tag: 'input', more: 'data-try="true"' },
  plain: { tag: 'input', more: '' },
};

/**
 * @param {object} o
 * @param {string} o.kind  what its first field is
 * @param {number} o.delay  milliseconds from an edit to its answer
 * @param {(text: string) => string | Error} o.keeps  what the server makes of a text
 */
export async function open({ kind = 'live', delay = 0, keeps = t => t } = {}) {
  const clock = new Clock();
  const window = new Window({ url: 'http://here/jobs/a/ticket' });
  const { document } = window;
  const saved = { one: '', two: '' };
  const steps = [];
  let tick = 1;
  const escape = t => t.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');
  const fields = () => '<div id="facts">' + Object.entries(saved).map(([name, text]) => {
    const { tag, more } = name === 'one' ? kinds[kind] : kinds.plain;
    const told = `data-fact="ticket/${name}" data-value="${escape(text)}" ${more}`;
    return (tag === 'input' ? `<input id="f-${name}" value="${escape(text)}" ${told}>` : `<textarea id="f-${name}" ${told}>${escape(text)}</textarea>`)
      + `<p data-says="ticket/${name}" data-hint=""></p>`;
  }).join('') + '</div>';
  document.body.innerHTML = fields() + '<p id="announced"></p>';
  Object.assign(document.body.dataset, { base: '/jobs/a', tick: '1', place: 'Ticket', sheet: '' });

  const answer = (status, text = '', extra = {}) => ({ ok: status < 300, status, text: async () => text,
    json: async () => JSON.parse(text), headers: { get: name => ({ 'X-Tick': String(tick), 'X-Says': '', ...extra })[name] ?? null } });
  const serve = (address, body) => {
    if (address.includes('/news')) return new URL(address, 'http://here').searchParams.get('seen') === String(tick) ? answer(204) : answer(200, fields());
    if (address.endsWith('/try')) return answer(200, fields());
    const { ask } = body;
    if (ask.is === 'step') { const last = steps.pop(); if (last) { Object.assign(saved, last.before); tick++; } return answer(200, fields()); }
    const name = ask.path.split('/')[1];
    const kept = keeps(ask.text);
    if (kept instanceof Error) return answer(422, JSON.stringify({ path: ask.path, detail: kept.message }));
    if (kept !== saved[name]) {
      if (steps.at(-1)?.gesture !== body.gesture) steps.push({ gesture: body.gesture, before: { ...saved } });
      saved[name] = kept; tick++;
    }
    return answer(200, fields());
  };
  const fetch = (address, init) => new Promise(done => clock.set(() => {
    const told = serve(address, init?.body ? JSON.parse(init.body) : null);
    clock.set(() => done(told), delay / 2);
  }, delay / 2));

  const given = { window, document, fetch, setTimeout: clock.set, clearTimeout: clock.clear, setInterval: clock.every,
    performance: { now: () => clock.now }, location: window.location };
  for (const name of ['CSS', 'Event', 'CustomEvent', 'Element', 'HTMLElement', 'HTMLInputElement', 'HTMLSelectElement',
    'HTMLTextAreaElement']) given[name] = window[name];
  const api = new Function(...Object.keys(given), `${script.text}; return page;`)(...Object.values(given));
  await clock.pass(1);

  const at = name => document.getElementById(`f-${name}`);
  const told = (field, type, more = {}) => field.dispatchEvent(new window.InputEvent(type, { bubbles: true, ...more }));
  const user = {
    began: '',
    focus(name) { user.leave(); at(name).focus(); user.began = at(name).value; },
    /** What the browser does when a field is left: a change is told where the text is another than at first. */
    leave() {
      const field = document.activeElement;
      if (!field?.dataset?.fact) return;
      if (field.value !== user.began) told(field, 'change');
      field.blur();
    },
    put(text, from, to = from, more) {
      const field = document.activeElement;
      field.value = field.value.slice(0, from) + text + field.value.slice(to);
      field.setSelectionRange(from + text.length, from + text.length);
      told(field, 'input', more);
    },
    key(letter) { const f = document.activeElement; user.put(letter, f.selectionStart, f.selectionEnd); },
    back() { const f = document.activeElement; user.put('', Math.max(0, f.selectionStart - (f.selectionStart === f.selectionEnd ? 1 : 0)), f.selectionEnd); },
    all() { const f = document.activeElement; f.setSelectionRange(0, f.value.length); },
    press(key, more = {}) { document.activeElement.dispatchEvent(new window.KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })); },
    compose(texts) {
      const f = document.activeElement;
      const from = f.selectionStart;
      let to = from;
      f.dispatchEvent(new window.Event('compositionstart', { bubbles: true }));
      return { next(text) { user.put(text, from, to, { isComposing: true }); to = from + text.length; },
        end() { f.dispatchEvent(new window.Event('compositionend', { bubbles: true })); } };
    },
    async type(text, pace) { for (const letter of text) { user.key(letter); await clock.pass(pace); } },
  };
  return { clock, window, document, saved, steps, user, api, at, text: name => at(name).value,
    said: name => document.querySelector(`[data-says="ticket/${name}"]`).textContent,
    /** Somebody else changes a fact. */
    elsewhere(name, text) { saved[name] = text; tick++; },
    /** All that was sent is answered. */
    async rest() { await clock.pass(delay * 40 + 5000); } };
}
