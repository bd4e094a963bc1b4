import { CompiledList, type FiringEntry } from '@yellow-latch/core/fire';
import type { Shortcut } from '@yellow-latch/core/model';
import { makeShortcut } from '@yellow-latch/core/model/testing';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';
import fc from 'fast-check';

import type { ListPart } from '../shared/messages';
import { PageList } from './pageList';

/** A frame of a page, as it takes in what it is told. */
class Frame {
  version: string | null = null;
  readonly entries = new Map<string, FiringEntry>();

  take(part: ListPart): ListPart['type'] {
    if (part.type === 'same') return part.type;
    this.version = part.version;
    if (part.type === 'whole') this.entries.clear();
    else for (const id of part.remove) this.entries.delete(id);
    for (const entry of part.type === 'whole' ? part.entries : part.put) this.entries.set(entry.id, entry);
    return part.type;
  }

  get texts() {
    return [...this.entries.values()].map(({ code, expansion }) => [code, expansion]).sort();
  }
}

const shortcuts = (texts: Readonly<Record<string, string>>): Shortcut[] =>
  Object.entries(texts).map(([code, expansion]) => makeShortcut(code, expansion));

test('a frame gets the whole list first, then what changed, then nothing', () => {
  const pages = new PageList();
  const frame = new Frame();
  pages.update(shortcuts({ ';a': 'one', ';b': 'two' }), 0);
  expect(frame.take(pages.partFor(frame.version))).toBe('whole');
  expect(frame.take(pages.partFor(frame.version))).toBe('same');
  pages.update(shortcuts({ ';a': 'one', ';b': 'three' }), 0);
  const part = pages.partFor(frame.version);
  expect(part).toMatchObject({ type: 'changes', put: [{ code: ';b' }], remove: [] });
  frame.take(part);
  expect(frame.texts).toEqual([
    [';a', 'one'],
    [';b', 'three'],
  ]);
});

test('a background that slept knows nothing of what it told before: the frame gets all of it anew', () => {
  const [before, after] = [new PageList(), new PageList()];
  const frame = new Frame();
  for (const pages of [before, after]) pages.update(shortcuts({ ';a': 'one' }), 0);
  frame.take(before.partFor(frame.version));
  expect(frame.take(after.partFor(frame.version))).toBe('whole');
});

test('however far frames fall behind, all come to the same list', () => {
  const state = fc.dictionary(fc.constantFrom(';a', ';b', ';c', ';d'), fc.constantFrom('one', 'two', 'three'), {
    noNullPrototype: true,
  });
  fc.assert(
    fc.property(fc.array(fc.tuple(state, fc.subarray([0, 1, 2])), { minLength: 1, maxLength: 12 }), (steps) => {
      const pages = new PageList();
      const frames = [new Frame(), new Frame(), new Frame()];
      for (const [texts, asking] of steps) {
        pages.update(shortcuts(texts), 0);
        for (const index of asking) frames[index]!.take(pages.partFor(frames[index]!.version));
      }
      for (const frame of frames) {
        frame.take(pages.partFor(frame.version));
        expect(frame.texts).toEqual(Object.entries(steps.at(-1)![0]).sort());
      }
    }),
  );
});

test('a long text is not held in pages: its code asks for it, and a short look at it is shown', () => {
  const pages = new PageList();
  pages.update([makeShortcut(';long', 'Dear all. '.repeat(200)), makeShortcut(';short', 'Hello')], 0);
  const part = pages.partFor(null);
  const [long, short] = part.type === 'whole' ? part.entries : [];
  expect(long).toMatchObject({ code: ';long', expansion: '', asks: true });
  expect(long!.shown!.length).toBe(120);
  expect(short!.asks).toBeUndefined();
  // As the engine takes it: the code is known, and asks.
  const list = CompiledList.compile([long!, short!], THIS_APP);
  expect(list.at(';long', 5).matches()[0]!.entry.asks).toBe(true);
});

test('a former code still works, and leads to the text of today', () => {
  const pages = new PageList();
  pages.update([makeShortcut(';new', 'Hello', { former: { code: ';old', until: 5_000 } })], 1_000);
  const part = pages.partFor(null);
  expect(part.type === 'whole' && part.entries.map(({ code, expansion }) => [code, expansion])).toEqual([
    [';new', 'Hello'],
    [';old', 'Hello'],
  ]);
});
