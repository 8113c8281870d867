// What is saved is what was typed: at every pace, however late the answers come.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { kinds, open } from './page.mjs';

const paces = [0, 40, 80, 120, 180, 250, 400];
const delays = [0, 60, 200, 800];
const long = process.env.LUMBECK_TEST_ALL === '1';
const words = 'A small book, of quiet mornings';

/** Ways of typing; each tells what should be saved at the end. */
const ways = {
  'letter by letter': async (p, pace) => { await p.user.type(words, pace); return words; },
  'with rests between words': async (p, pace) => {
    for (const word of words.split(/(?<= )/)) { await p.user.type(word, pace); await p.clock.pass(pace * 3); }
    return words;
  },
  'mended with backspace': async (p, pace) => {
    await p.user.type('A smoll', pace);
    for (let n = 0; n < 3; n++) { p.user.back(); await p.clock.pass(pace); }
    await p.user.type('all book', pace);
    return 'A small book';
  },
  'all of it taken out again': async (p, pace) => {
    await p.user.type('A small', pace);
    p.user.all();
    p.user.back();
    await p.clock.pass(pace);
    return '';
  },
  'pasted over': async (p, pace) => {
    await p.user.type('A draft', pace);
    p.user.all();
    p.user.key('The whole of it, ');
    await p.clock.pass(pace);
    await p.user.type('and more', pace);
    return 'The whole of it, and more';
  },
  'in the midst': async (p, pace) => {
    await p.user.type('A book', pace);
    p.document.activeElement.setSelectionRange(2, 2);
    await p.user.type('small ', pace);
    return 'A small book';
  },
  'composed': async (p, pace) => {
    await p.user.type('本 ', pace);
    const composing = p.user.compose();
    for (const sofar of ['あ', 'あs', 'あさ', '朝']) { composing.next(sofar); await p.clock.pass(pace + 190); }
    composing.end();
    await p.clock.pass(pace);
    return '本 朝';
  },
};

let n = 0;
const pairs = delays.flatMap(delay => paces.map(pace => [delay, pace]));
for (const kind of Object.keys(kinds))
  for (const [way, type] of Object.entries(ways))
    test(`${kind}: ${way}`, async () => {
      // A spread of the pairs, another for each way; all of them in a long run.
      const from = n++;
      for (const [delay, pace] of pairs.filter((_, i) => long || (i + from) % 4 === 0)) {
        for (const left of ['tab', 'enter', 'rest']) {
          // A field that is neither live nor left is not saved yet; a text has lines.
          if (left === 'enter' && kind === 'words' || left === 'rest' && (kind === 'tried' || kind === 'plain')) continue;
          const p = await open({ kind, delay });
          p.user.focus('one');
          const typed = await type(p, pace);
          const case_ = `pace ${pace}, answers after ${delay}, then ${left}`;
          assert.equal(p.text('one'), typed, case_);
          if (left === 'tab') p.user.focus('two');
          if (left === 'enter') p.user.press('Enter');
          await p.rest();
          assert.deepEqual({ shown: p.text('one'), saved: p.saved.one }, { shown: typed, saved: typed }, case_);
        }
      }
    });

test('what the server sets otherwise is shown once the field is left, not while it is typed in', async () => {
  for (const delay of delays) {
    const p = await open({ kind: 'live', delay, keeps: t => t.trim() });
    p.user.focus('one');
    await p.user.type('A ', 80);
    await p.clock.pass(2000);
    assert.equal(p.text('one'), 'A ');
    await p.user.type('book ', 80);
    await p.clock.pass(2000);
    assert.equal(p.text('one'), 'A book ');
    p.user.focus('two');
    await p.rest();
    assert.equal(p.text('one'), 'A book');
    assert.equal(p.saved.one, 'A book');
  }
});

test('a text that could not be read is gone once it was corrected', async () => {
  const keeps = t => /^[0-9]/.test(t) || t === '' ? t : new Error(`\`${t}\` is no length`);
  for (const kind of ['plain', 'tried'])
    for (const delay of delays)
      for (const pace of paces) {
        const p = await open({ kind, delay, keeps });
        p.user.focus('one');
        await p.user.type('tall', pace);
        p.user.press('Enter');
        await p.rest();
        assert.equal(p.said('one'), '`tall` is no length');
        p.user.all();
        await p.user.type('0.6 in', pace);
        p.user.press('Enter');
        // It does not come back for a moment either.
        for (let t = 0; t < 5000; t += 20) { await p.clock.pass(20); assert.equal(p.text('one'), '0.6 in', `${kind} ${delay} ${pace} ${t}`); }
        assert.equal(p.said('one'), '');
        assert.equal(p.saved.one, '0.6 in');
      }
});

test('what is said of a text is not said of the next', async () => {
  const p = await open({ kind: 'plain', delay: 800, keeps: t => (t.startsWith('0') ? t : new Error('no length')) });
  p.user.focus('one');
  await p.user.type('tall', 40);
  p.user.press('Enter');
  p.user.all();
  await p.user.type('0.6 in', 100);
  await p.clock.pass(1000);
  assert.equal(p.text('one'), '0.6 in');
  assert.equal(p.said('one'), '');
  p.user.press('Enter');
  await p.rest();
  assert.deepEqual([p.text('one'), p.said('one'), p.saved.one], ['0.6 in', '', '0.6 in']);
});

test('a refused text stays where it was typed, whatever else is answered', async () => {
  const p = await open({ kind: 'plain', keeps: t => (t === 'tall' ? new Error('no length') : t) });
  p.user.focus('one');
  await p.user.type('tall', 40);
  p.user.focus('two');
  await p.user.type('other', 40);
  p.user.focus('one');
  await p.rest();
  assert.deepEqual([p.text('one'), p.said('one'), p.saved], ['tall', 'no length', { one: '', two: 'other' }]);
});

test('a step back is shown in the field it is taken in, unless keys come before the answer', async () => {
  for (const delay of delays) {
    const p = await open({ kind: 'live', delay });
    p.user.focus('one');
    await p.user.type('first', 80);
    await p.rest();
    p.api.send({ is: 'step', way: 'back' });
    await p.rest();
    assert.deepEqual([p.text('one'), p.saved.one], ['', '']);
    await p.user.type('second', 80);
    await p.rest();
    p.api.send({ is: 'step', way: 'back' });
    p.user.key('!');
    await p.rest();
    assert.deepEqual([p.text('one'), p.saved.one], ['second!', 'second!']);
  }
});

test('news of others does not touch the field that is typed in', async () => {
  for (const delay of delays)
    for (const pace of paces) {
      const p = await open({ kind: 'live', delay });
      p.user.focus('one');
      for (const letter of words) { p.elsewhere('two', `theirs at ${letter}`); await p.user.type(letter, pace); }
      p.user.leave();
      await p.rest();
      assert.deepEqual([p.text('one'), p.saved.one, p.text('two')], [words, words, `theirs at ${words.at(-1)}`]);
    }
});

test('a field that is left while its text is on its way does not show an older one', async () => {
  for (const delay of delays) {
    const p = await open({ kind: 'live', delay });
    p.user.focus('one');
    await p.user.type('A small', 190);
    p.user.focus('two');
    for (let t = 0; t < 3000; t += 20) { await p.clock.pass(20); assert.equal(p.text('one'), 'A small'); }
  }
});

test('a page that is closed takes along what was typed last', async () => {
  const p = await open({ kind: 'plain', delay: 60 });
  p.user.focus('one');
  await p.user.type('A small book', 40);
  const leaving = new p.window.Event('beforeunload', { cancelable: true });
  p.window.dispatchEvent(leaving);
  assert.ok(leaving.defaultPrevented);
  await p.rest();
  assert.equal(p.saved.one, 'A small book');
});
