import { LIMITS, RECORD_TYPES, type RecordType } from '../model';
import { applyChange, ChangeSchema, draftChange, eraseFields, makeClock, type StoredRecord } from '.';

const DEVICE = '0193e0a0-0000-7000-8000-000000000001';
const ID = '0193e0a0-0000-7000-8000-000000000002';
const uuid = (n: number) => `0193e0a0-0000-7000-8000-${String(n).padStart(12, '0')}`;
const WHOLE = {
  code: ';a',
  content: { expansion: 'a', template: false, format: 'plain' as const },
  kind: 'message' as const,
  setId: null,
};

test('of a field written again and again without knowledge of the rest, the latest few versions stay', () => {
  let record: StoredRecord | undefined;
  for (let n = 1; n <= 50; n += 1) {
    const change = draftChange(
      { type: 'shortcut', id: ID },
      undefined,
      { ...WHOLE, code: `;${n}` },
      { id: uuid(100 + n), clock: makeClock(n, 0, DEVICE), device: DEVICE, n },
    );
    const result = applyChange(record, change);
    if (result.type === 'applied') record = result.record;
  }
  expect(record!.fields.code!.map(({ value }) => value)).toEqual(
    Array.from({ length: LIMITS.versionsPerField }, (_, index) => `;${50 - index}`),
  );
});

test('what may not be said of a device’s own uses is refused', () => {
  const count = (uses: number) =>
    ChangeSchema.safeParse({
      id: uuid(9),
      record: { type: 'shortcut', id: ID },
      fields: { used: { count: uses, since: 0 } },
      base: {},
      clock: makeClock(1, 0, DEVICE),
      device: DEVICE,
      n: 1,
    }).success;
  expect([count(LIMITS.usesInAll), count(LIMITS.usesInAll + 1), count(-1), count(0.5)]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

/** Something in every field that a person writes. */
const WRITTEN: Record<RecordType, Record<string, unknown>> = {
  shortcut: {
    code: ';heron',
    content: { ...WHOLE.content, expansion: 'heron' },
    former: { code: ';heron', until: 1 },
    note: 'heron',
  },
  set: { name: 'heron' },
  leftFinding: { about: 'heron', reason: 'heron' },
  list: {},
  convention: {},
  keyboard: {
    layout: {
      type: 'hardware',
      name: 'heron',
      language: 'en',
      form: 'ISO',
      base: ['h e r o n', 'x', 'x', 'x'],
      shift: ['x', 'x', 'x', 'x'],
      altGr: {},
      dead: '',
    },
  },
  device: { name: 'heron' },
  leftOut: {},
  carried: { code: ';heron', digest: '00000000000heron'.replace(/[^0-9a-f]/gu, 'f') },
  learner: { name: 'heron' },
  learning: {},
};

test.each(Object.keys(RECORD_TYPES) as RecordType[])(
  'of an erased %s nothing that was written is left, and what stands in its place is as the model wants it',
  (type) => {
    const { guarded, fields } = RECORD_TYPES[type];
    for (const field of guarded) expect(WRITTEN[type]).toHaveProperty(field);
    const erased = eraseFields(type, WRITTEN[type]);
    expect(JSON.stringify(erased)).not.toContain('heron');
    expect(fields.partial().safeParse(erased).error?.issues).toBeUndefined();
  },
);
