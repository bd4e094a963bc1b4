import { parse as csvParse } from 'csv-parse/sync';
import Papa from 'papaparse';

import { KEYBOARDS } from '../effort/layouts';
import { unguardCell } from '../exchange/table';
import { writeList } from '../exchange';
import { entry } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { makeShortcut } from '../model/testing';
import { carrySteps, compileFor, digestOf, effortOfCarry, isNews, savedThere, UNKNOWN_DIGEST, type CarryStep } from '.';

const placed = (id: string, code: string, text: string) => ({ id, code, text, changes: [] });
const told = (steps: readonly CarryStep[]) => steps.map((step) => `${step.do} ${step.id}`);

describe('what is to be done in a place', () => {
  const now = [placed('a', ';a', 'one'), placed('b', ';b', 'two'), placed('c', ';c', 'three')];
  const there = now.map((one) => ({ shortcutId: one.id, code: one.code, digest: digestOf(one) }));

  test('nothing, where it holds what it should', () => {
    expect(carrySteps(now, there, () => 0)).toEqual([]);
  });

  test('what is new is added, what saves most first; what changed is changed; what is gone is removed, before all else', () => {
    const list = [{ ...now[0]!, text: 'one!' }, now[1]!, placed('d', ';d', 'four'), placed('e', ';e', 'five')];
    const steps = carrySteps(list, there, (id) => ({ d: 1, e: 5 })[id] ?? 0);
    expect(told(steps)).toEqual(['remove c', 'change a', 'add e', 'add d']);
    expect(steps[1]).toMatchObject({ codeThere: ';a', text: 'one!' });
  });

  test('another code is a change, and so is a text that nobody knows any more', () => {
    expect(told(carrySteps([{ ...now[0]!, code: ';x' }], there.slice(0, 1), () => 0))).toEqual(['change a']);
    const unknown = { shortcutId: 'p', code: '', digest: UNKNOWN_DIGEST };
    expect(carrySteps([], [unknown], () => 0)).toMatchObject([{ do: 'remove', code: '' }]);
  });

  test('what one had left out is no news, what was made since is', () => {
    const at = Date.UTC(2026, 10, 29);
    const id = (ms: number) =>
      `${ms
        .toString(16)
        .padStart(12, '0')
        .replace(/^(.{8})/u, '$1-')}-7000-8000-000000000000`;
    const step = (what: CarryStep['do'], made: number) =>
      ({ do: what, id: id(made), code: '', text: '', codeThere: null, saves: 0 }) as const;
    expect([isNews(step('add', at - 1), at), isNews(step('add', at + 1), at)]).toEqual([false, true]);
    expect([isNews(step('change', at - 1), at), isNews(step('remove', at - 1), at)]).toEqual([true, true]);
  });
});

test('digests differ where code or text do, and none is that of the unknown', () => {
  const some = [placed('', ';a', 'b'), placed('', ';ab', ''), placed('', ';a', 'c'), placed('', ';', 'ab')];
  const digests = some.map(digestOf);
  expect(new Set(digests).size).toBe(some.length);
  for (const digest of digests) expect(digest).toMatch(/^[0-9a-f]{16}$/u);
  expect(digests).not.toContain(UNKNOWN_DIGEST);
});

describe('what it takes', () => {
  const use = {
    keyboard: KEYBOARDS.find(({ id }) => id === 'phone-en')!,
    share: 1,
    pace: 1,
    device: DEVICE_PROFILES['phone-list'],
  };
  const step = (more: Partial<CarryStep>): CarryStep => ({
    do: 'add',
    id: 'a',
    code: ';ten',
    text: 'x',
    codeThere: null,
    saves: 0,
    ...more,
  });
  const of = (...steps: CarryStep[]) => effortOfCarry(steps, ({ code, text }) => entry(code, text), use);

  test('a code is typed where it is new, and at one’s own pace', () => {
    expect(of(step({})).taps).toBeGreaterThan(of(step({ do: 'change', codeThere: ';ten' })).taps);
    expect(of(step({ code: ';tenminutes' })).taps - of(step({ code: ';ten' })).taps).toBeCloseTo(7, 0);
    const slow = effortOfCarry([step({})], ({ code, text }) => entry(code, text), { ...use, pace: 2 });
    expect(slow.seconds / of(step({})).seconds).toBeCloseTo(2, 6);
  });

  test('what saves nothing there saves 0, not less', () => {
    expect(savedThere(entry(';long', 'x'), use, 5)).toBe(0);
    expect(savedThere(entry(';a', 'a long text that takes its time'), use, 2)).toBeGreaterThan(
      savedThere(entry(';a', 'a long text that takes its time'), use, 1),
    );
  });
});

test('a table made for a place gives other packages the same pairs', () => {
  const shortcuts = [
    makeShortcut(';addr', '12 Mill Lane\nHebden, “by the mill”', { id: 'a' }),
    makeShortcut('=x', 'a, b; "c"', { id: 'b' }),
    makeShortcut(';d', '{:today}', { id: 'c', content: { expansion: '{:today}', template: true, format: 'plain' } }),
  ];
  const { placed: held, out } = compileFor({ sets: [], shortcuts }, DEVICE_PROFILES['phone-list'], {
    now: 0,
    locale: 'en-GB',
    zone: 'UTC',
  });
  expect([...out]).toEqual([['c', 'date']]);
  const pairs = held.map(({ code, text }) => [code, text]);
  expect(pairs).toEqual([
    [';addr', '12 Mill Lane Hebden, “by the mill”'],
    ['=x', 'a, b; "c"'],
  ]);
  const whole = held.map(({ id, code, text }) => makeShortcut(code, text, { id }));
  const table = writeList({ shortcuts: whole, sets: [] }, 'csv', '2026-11-29T00:00:00.000Z');
  const [heading, ...rows]: string[][] = csvParse(table);
  const pairOf = (row: readonly string[]) =>
    ['code', 'expansion'].map((name) => unguardCell(row[heading!.indexOf(name)]!));
  expect(rows.map(pairOf)).toEqual(pairs);
  expect(Papa.parse<string[]>(table.trimEnd()).data.slice(1).map(pairOf)).toEqual(pairs);
});
