import { DEVICE_PROFILES, THIS_APP } from '../profile';
import {
  applyEdit,
  CompiledList,
  applyInputOnDevice,
  keysOf,
  simulate,
  startSession,
  type DeviceOutcome,
  type Input,
  type TypingSession,
} from '.';
import { entry } from './testing';

const entries = [entry(';ten', 'ten minutes'), entry('--x', 'never')];
const phone = CompiledList.compile(entries, DEVICE_PROFILES['phone-list']);

/** Follows inputs as a field shows them: the field does its own part first, then the edit is applied to it. */
function inField(inputs: readonly ((session: TypingSession) => Input)[], on = phone) {
  let session = startSession();
  let field = '';
  let last: DeviceOutcome | null = null;
  for (const make of inputs) {
    const input = make(session);
    if (input.type === 'edit') field = applyEdit(field, { range: input.range, replacement: input.text });
    last = applyInputOnDevice(session, input, on);
    if (last.edit) field = applyEdit(field, last.edit);
    session = last.session;
    expect(field).toBe(session.text);
  }
  return { session, field, told: last!.told };
}
const keys = (text: string) =>
  Array.from(text, (key) => (session: TypingSession): Input => ({
    type: 'edit',
    range: session.caret,
    text: key,
    how: 'typing',
  }));

describe('a field on a device', () => {
  test('shows what the device makes of the keys, and the caret is where its text ends', () => {
    const { field, session } = inField(keys('"so" -- it is... ;ten  yes'));
    expect(field).toBe('“so” — it is… ten minutes. Yes');
    expect(session.caret.start).toBe(field.length);
  });

  test('is what the simulator says, key by key', () => {
    const text = 'hello "there"  ;ten. --x and ;ten -- so...';
    for (const profile of Object.values(DEVICE_PROFILES)) {
      const on = CompiledList.compile(entries, profile);
      expect(inField(keys(text), on).field).toBe(simulate(keysOf(text), on, profile).text);
    }
  });

  test('changes what was composed, or dictated at once, as if it were typed', () => {
    const dictated = inField([
      () => ({ type: 'edit', range: { start: 0, end: 0 }, text: 'so ;ten  and', how: 'typing' }),
    ]);
    expect(dictated.field).toBe('So ten minutes. And');
    const composed = inField([
      () => ({ type: 'edit', range: { start: 0, end: 0 }, text: 's', how: 'composing' }),
      () => ({ type: 'edit', range: { start: 0, end: 1 }, text: 'so', how: 'composing' }),
      () => ({ type: 'composition-end' }),
    ]);
    expect(composed.field).toBe('So');
  });

  test('tells of a sentence far back as of one near: the length of the text is no matter', () => {
    const before = `${'word '.repeat(100)}`;
    const session = startSession(before);
    const { session: next } = applyInputOnDevice(
      session,
      { type: 'edit', range: session.caret, text: 'x', how: 'typing' },
      phone,
    );
    expect(next.text).toBe(`${before}x`);
  });
});

test('what was offered and rejected is told, and why a code did nothing', () => {
  const app = CompiledList.compile(entries, THIS_APP);
  const rejected = inField(
    [...keys(';te'), ({ caret }) => ({ type: 'keep', range: { start: 0, end: caret.start } })],
    app,
  );
  expect(rejected.told).toEqual([{ rule: 'kept', id: ';ten', typed: ';te' }]);
  expect(inField(keys('x;ten '), app).told).toEqual([{ rule: 'no-edge', id: ';ten', typed: ';ten' }]);
});
