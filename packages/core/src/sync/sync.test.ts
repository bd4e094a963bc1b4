import fc from 'fast-check';
import { v7 as uuid } from 'uuid';

import {
  applyChange,
  asShortcut,
  ChangeSchema,
  canTakeBack,
  changedAt,
  countOf,
  changeGroupsOf,
  ClockSchema,
  draftChange,
  eraseChange,
  eraseRecord,
  isDeleted,
  isErased,
  laterClock,
  makeClock,
  nextClock,
  packRecord,
  otherVersions,
  readClock,
  takingBack,
  unpackRecord,
  unsettledFields,
  type Change,
  type FieldChanges,
  type LoggedChange,
  type StoredRecord,
} from '.';

const PHONE = uuid();
const COMPUTER = uuid();
const shortcut = { type: 'shortcut', id: uuid() } as const;
const whole = {
  code: ';w',
  content: { expansion: 'Workshop', template: false, format: 'plain' as const },
  kind: 'address' as const,
  setId: null,
};

let n = 0;
function write(
  known: StoredRecord | undefined,
  fields: FieldChanges<'shortcut'>,
  time: number,
  device = PHONE,
): Change {
  n += 1;
  return draftChange(shortcut, known, fields, {
    id: uuid(),
    clock: makeClock(time, 0, device),
    device,
    n,
  });
}

function apply(record: StoredRecord | undefined, ...changes: Change[]): StoredRecord {
  let current = record;
  for (const change of changes) {
    const result = applyChange(current, change);
    if (result.type !== 'applied') throw new Error(result.type);
    current = result.record;
  }
  return current!;
}

const made = apply(undefined, write(undefined, whole, 1_000));

describe('a clock', () => {
  test('sorts as a string the way time goes', () => {
    const clocks = [makeClock(9, 0, PHONE), makeClock(10, 0, PHONE), makeClock(10, 11, PHONE)];
    expect([...clocks].reverse().sort()).toEqual(clocks);
    expect(readClock(clocks[2]!)).toEqual({ time: 10, counter: 11, device: PHONE });
  });

  test('never runs backwards, even when the wall clock does', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(2 ** 40), { minLength: 2 }), (times) => {
        let last: string | null = null;
        for (const time of times) {
          const next: string = nextClock(last, time, PHONE);
          expect(ClockSchema.safeParse(next).success).toBe(true);
          if (last !== null) expect(next > last).toBe(true);
          last = next;
        }
      }),
    );
  });

  test('goes on after a full counter', () => {
    const full = makeClock(5, 0xffff, PHONE);
    expect(nextClock(full, 5, PHONE) > full).toBe(true);
    expect(laterClock(full, null)).toBe(full);
    expect(laterClock(full, makeClock(4, 0, PHONE))).toBe(full);
  });
});

describe('a change that had seen what it replaces', () => {
  test('leaves one version', () => {
    const edited = apply(made, write(made, { code: ';ws' }, 2_000));
    expect(asShortcut(edited).code).toBe(';ws');
    expect(edited.fields.code).toHaveLength(1);
    expect(changedAt(edited)).toBe(2_000);
  });

  test('replaces it even when its own clock is behind', () => {
    const edited = apply(made, write(made, { code: ';ws' }, 500, COMPUTER));
    expect(asShortcut(edited).code).toBe(';ws');
  });

  test('leaves the other fields alone', () => {
    const edited = apply(made, write(made, { kind: 'contact' }, 2_000));
    expect(asShortcut(edited)).toMatchObject({ ...whole, kind: 'contact' });
  });
});

describe('changes that had not seen each other', () => {
  const onPhone = write(made, { code: ';w1' }, 2_000, PHONE);
  const onComputer = write(made, { code: ';w2' }, 3_000, COMPUTER);

  test('the later by clock is shown, the other is kept', () => {
    const merged = apply(made, onPhone, onComputer);
    expect(asShortcut(merged).code).toBe(';w2');
    expect(otherVersions(merged, 'code').map(({ value }) => value)).toEqual([';w1']);
  });

  test('choosing cites both and leaves one', () => {
    const merged = apply(made, onPhone, onComputer);
    const chosen = apply(merged, write(merged, { code: ';w1' }, 4_000));
    expect(asShortcut(chosen).code).toBe(';w1');
    expect(otherVersions(chosen, 'code')).toEqual([]);
  });

  test('equal values are one', () => {
    const merged = apply(made, onPhone, write(made, { code: ';w1' }, 3_000, COMPUTER));
    expect(otherVersions(merged, 'code')).toEqual([]);
  });

  test('what a shortcut gives is one field: its parts never mix', () => {
    const plain = write(made, { content: { ...whole.content, expansion: '{x}' } }, 2_000, PHONE);
    const template = write(
      made,
      { content: { expansion: 'Hello {$name}', template: true, format: 'plain' } },
      3_000,
      COMPUTER,
    );
    expect(asShortcut(apply(made, template, plain)).content).toEqual(template.fields.content);
  });
});

describe('deleting', () => {
  test('hides a record, and undoing brings it back', () => {
    const gone = apply(made, write(made, { deleted: true }, 2_000));
    expect(isDeleted(made)).toBe(false);
    expect(isDeleted(gone)).toBe(true);
    const back = apply(gone, write(gone, { deleted: false }, 3_000));
    expect(isDeleted(back)).toBe(false);
    expect(asShortcut(back)).toMatchObject(whole);
  });

  test.each([
    ['edit first', false],
    ['delete first', true],
  ])('an edit it had not seen outlives it (%s)', (_name, deleteFirst) => {
    const edit = write(made, { code: ';ws' }, 2_000, PHONE);
    const remove = write(made, { deleted: true }, 3_000, COMPUTER);
    const merged = deleteFirst ? apply(made, remove, edit) : apply(made, edit, remove);
    expect(isDeleted(merged)).toBe(false);
    expect(asShortcut(merged).code).toBe(';ws');
  });

  test('an edit it had seen does not', () => {
    const edited = apply(made, write(made, { code: ';ws' }, 2_000, PHONE));
    expect(isDeleted(apply(edited, write(edited, { deleted: true }, 1_500, COMPUTER)))).toBe(true);
  });

  test('a change of kind or set, which nobody typed, does not outlive it', () => {
    const kind = write(made, { kind: 'contact' }, 4_000, PHONE);
    const remove = write(made, { deleted: true }, 3_000, COMPUTER);
    expect(isDeleted(apply(made, kind, remove))).toBe(true);
  });

  test('of something never heard of is nothing to do', () => {
    expect(applyChange(undefined, write(undefined, { deleted: true }, 1)).type).toBe('nothing-to-do');
  });
});

test('a change that would begin an incomplete record says what it lacks', () => {
  expect(applyChange(undefined, write(undefined, { code: ';x' }, 1))).toEqual({
    type: 'incomplete',
    missing: ['content', 'kind', 'setId'],
  });
});

test('devices that send their changes in any interleaving end with equal records', () => {
  const edit = fc.record({
    device: fc.nat(2),
    fields: fc.oneof(
      fc.record({ code: fc.constantFrom(';a', ';b', ';c') }),
      fc.record({ kind: fc.constantFrom('link' as const, 'message' as const) }),
      fc.record({ deleted: fc.boolean() }),
    ),
    time: fc.nat(10_000),
  });
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 12 }), fc.infiniteStream(fc.nat(2)), (edits, picks) => {
      // Each device edits what it alone has seen, offline; then all is sent, in two interleavings.
      const queues: Change[][] = [[], [], []];
      const views = [made, made, made];
      for (const { device, fields, time } of edits) {
        const change = write(views[device], fields, time, [PHONE, COMPUTER, shortcut.id][device]);
        views[device] = apply(views[device], change);
        queues[device]!.push(change);
      }
      const interleave = (next: () => number) => {
        const waiting = queues.map((queue) => [...queue]);
        const sent: Change[] = [];
        while (waiting.some((queue) => queue.length > 0)) {
          const from = waiting[next()]!;
          if (from.length > 0) sent.push(from.shift()!);
        }
        return sent;
      };
      let turn = 0;
      const inTurn = apply(made, ...interleave(() => turn++ % 3));
      const atRandom = apply(made, ...interleave(() => picks.next().value as number));
      expect(atRandom).toEqual(inTurn);
      // Nothing typed is lost: the last code each device gave is shown or kept.
      const kept = inTurn.fields.code!.map(({ value }) => value);
      for (const queue of queues) {
        const last = queue.filter(({ fields }) => 'code' in fields).at(-1);
        if (last) expect(kept).toContain(last.fields.code);
      }
    }),
    { numRuns: 200 },
  );
});

describe('the schema of a change', () => {
  const good = write(undefined, whole, 1_000);

  test('takes what a device drafts', () => {
    expect(ChangeSchema.parse(JSON.parse(JSON.stringify(good)))).toEqual(good);
  });

  test.each([
    ['an unknown field', { ...good, fields: { ...whole, colour: 1 } }, 'fields'],
    ['a wrong type', { ...good, fields: { code: 7 } }, 'fields.code'],
    ['no fields', { ...good, fields: {} }, 'fields'],
    [
      'a bad expansion',
      { ...good, fields: { content: { ...whole.content, expansion: '\u0000' } } },
      'fields.content.expansion',
    ],
    ['an unknown type', { ...good, record: { ...shortcut, type: 'poem' } }, 'record.type'],
    ['an id of another version', { ...good, id: '4a5a3f57-8f3c-4d2b-9e7a-0f1d2c3b4a59' }, 'id'],
    ['a clock that is none', { ...good, clock: 'noon' }, 'clock'],
    ['an extra key', { ...good, extra: true }, ''],
  ])('refuses %s and points at it', (_name, change, path) => {
    const paths = ChangeSchema.safeParse(change).error?.issues.map((issue) => issue.path.join('.'));
    expect(paths).toContain(path);
  });
});

describe('a field that came to the model later', () => {
  test('has its default in a record that was made without it', () => {
    expect(asShortcut(made).rules).toEqual({});
    const asked = apply(made, write(made, { rules: { fires: 'offer' } }, 2_000));
    expect(asShortcut(asked).rules).toEqual({ fires: 'offer' });
  });
});

describe('what is erased', () => {
  const erasing = write(made, { deleted: 'erased' }, 2_000);

  test('is deleted whatever was written meanwhile, in either order', () => {
    const edit = write(made, { content: { ...whole.content, expansion: 'GB82' } }, 3_000, COMPUTER);
    for (const record of [apply(made, erasing, edit), apply(made, edit, erasing)]) {
      expect(isErased(record)).toBe(true);
      expect(isDeleted(record)).toBe(true);
    }
  });

  test('leaves nothing of what a person wrote, in the record or in a change', () => {
    const edit = write(
      made,
      { content: { ...whole.content, expansion: 'GB82 WEST' }, kind: 'contact' },
      3_000,
      COMPUTER,
    );
    const erased = JSON.stringify(eraseRecord(apply(made, erasing, edit)));
    for (const written of ['GB82 WEST', 'Workshop', ';w"']) expect(erased).not.toContain(written);
    expect(JSON.stringify(eraseChange(edit))).not.toContain('GB82');
    expect(ChangeSchema.safeParse(eraseChange(edit)).success).toBe(true);
    // A code it had before was written too.
    const moved = write(made, { former: { code: ';bank', until: 9 } }, 3_000);
    expect(JSON.stringify([eraseChange(moved), eraseRecord(apply(made, moved))])).not.toContain(';bank');
  });

  test('comes back whole when that is taken back', () => {
    const record = eraseRecord(apply(made, erasing));
    const back = apply(record, write(record, { deleted: false, ...whole }, 4_000));
    expect(isDeleted(back)).toBe(false);
    expect(asShortcut(back)).toMatchObject(whole);
    expect(otherVersions(back, 'content')).toEqual([]);
  });
});

describe('the logical clock, as Kulkarni et al. 2014 ask of it', () => {
  // Two devices whose wall clocks are wrong by up to a day, and events of which some tell the other device.
  const event = fc.record({ on: fc.nat(1), passes: fc.nat(60_000), tells: fc.boolean() });
  const skew = fc.integer({ min: -86_400_000, max: 86_400_000 });

  test('what happened after something that a device had seen has a later clock, and it stays near the fastest wall clock', () => {
    fc.assert(
      fc.property(fc.array(event, { minLength: 2, maxLength: 40 }), skew, skew, (events, a, b) => {
        const devices = [PHONE, COMPUTER];
        const last: (string | null)[] = [null, null];
        let now = 1_800_000_000_000;
        for (const { on, passes, tells } of events) {
          now += passes;
          const wall = now + [a, b][on]!;
          const clock = nextClock(last[on]!, wall, devices[on]!);
          if (last[on] !== null) expect(clock > last[on]!).toBe(true);
          last[on] = clock;
          // Never behind its own wall clock; never ahead of the fastest one but by what full counters carry over, 1 ms an event at most.
          expect(readClock(clock).time).toBeGreaterThanOrEqual(wall);
          expect(readClock(clock).time).toBeLessThanOrEqual(now + Math.max(a, b) + events.length);
          if (tells)
            last[1 - on] = laterClock(last[1 - on]!, makeClock(readClock(clock).time, 0xffff, devices[1 - on]!));
        }
      }),
    );
  });
});

describe('a counter', () => {
  const used = (count: number, since = 1_000) => ({ used: { count, since } });

  test('sums what each device counted for itself, whatever comes twice or late', () => {
    const changes = [
      write(made, used(3), 2_000, PHONE),
      write(made, used(5, 500), 2_100, COMPUTER),
      write(made, used(7), 3_000, PHONE),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray([...changes, ...changes], { minLength: 6, maxLength: 6 }), (order) => {
        const record = apply(made, ...order);
        expect(asShortcut(record).used).toEqual({ count: 12, since: 500 });
        expect([
          countOf(record, 'used', PHONE),
          countOf(record, 'used', COMPUTER),
          countOf(record, 'used', uuid()),
        ]).toEqual([7, 5, 0]);
        expect(record).toEqual(apply(made, ...changes));
      }),
    );
  });

  test('is no change to what a person sees, keeps no delete from standing, and makes no version', () => {
    const counted = apply(made, write(made, used(3), 9_000));
    expect(changedAt(counted)).toBe(changedAt(made));
    const gone = apply(made, write(made, { deleted: true }, 2_000, COMPUTER));
    expect(isDeleted(apply(gone, write(made, used(4), 3_000)))).toBe(true);
    expect(unsettledFields(apply(made, write(made, used(4), 3_000), write(made, used(9), 3_000, COMPUTER)))).toEqual(
      [],
    );
    expect(applyChange(undefined, write(undefined, used(1), 1)).type).toBe('nothing-to-do');
  });
});

describe('what is to be settled', () => {
  const both = apply(
    made,
    write(made, { code: ';p', pinned: 'a0', kind: 'link' }, 2_000),
    write(made, { code: ';c', pinned: 'a1', kind: 'link' }, 3_000, COMPUTER),
  );

  test('are fields that a person wrote in two ways; not order, nor what is equal', () => {
    expect(unsettledFields(both)).toEqual(['code']);
    expect(unsettledFields(made)).toEqual([]);
    expect(unsettledFields(apply(both, write(both, { deleted: true }, 4_000)))).toEqual([]);
  });

  test('is settled by choosing, on whichever device', () => {
    expect(unsettledFields(apply(both, write(both, { code: ';p' }, 4_000)))).toEqual([]);
  });

  test('two who choose differently without knowing of each other leave two versions again', () => {
    const chosen = apply(both, write(both, { code: ';p' }, 4_000), write(both, { code: ';other' }, 5_000, COMPUTER));
    expect(chosen.fields.code!.map(({ value }) => value)).toEqual([';other', ';p']);
  });
});

describe('a log told', () => {
  const logged = (
    number: number,
    id: string,
    fields: Record<string, unknown>,
    before: LoggedChange['before'],
    together?: string,
  ): LoggedChange => ({
    number,
    id: `change ${number}`,
    record: { type: 'shortcut', id },
    fields,
    before,
    clock: makeClock(number, 0, PHONE),
    device: PHONE,
    together: together === undefined ? null : { id: together, size: 2, shortcuts: 2 },
  });

  test('puts together what was done in one', () => {
    const groups = changeGroupsOf([
      logged(4, 'a', { code: 'x' }, { code: 'y' }, 't'),
      logged(3, 'b', { code: 'x' }, { code: 'y' }, 't'),
      logged(2, 'b', {}, {}),
      logged(1, 'a', {}, {}),
    ]);
    expect(groups.map(({ id, changes, size }) => [id, changes.length, size])).toEqual([
      ['t', 2, 2],
      ['change 2', 1, 1],
      ['change 1', 1, 1],
    ]);
  });

  test('is taken back to what was there before the first of several changes of one record', () => {
    const group = {
      changes: [
        logged(3, 'a', { code: 'z', kind: 'link' }, { code: 'y', kind: 'message' }),
        logged(2, 'a', { code: 'y' }, { code: 'x' }),
      ],
    };
    expect(takingBack(group)).toEqual([{ type: 'shortcut', id: 'a', fields: { code: 'x', kind: 'message' } }]);
  });

  test('what was made is deleted, also if it was edited in the same group', () => {
    expect(
      takingBack({ changes: [logged(3, 'a', { code: 'z' }, { code: 'y' }), logged(2, 'a', { code: 'y' }, null)] }),
    ).toEqual([{ type: 'shortcut', id: 'a', fields: { deleted: true } }]);
  });

  test.each([
    ['it erased', { deleted: 'erased' }, { deleted: false }, false],
    ['it brought back what was erased', { deleted: false }, { deleted: 'erased' }, false],
    ['what was there before is not known', { code: 'x' }, {}, false],
    ['it deleted', { deleted: true }, { deleted: false }, true],
    ['it made something', { code: 'x' }, null, true],
  ])('whether it can be: %s', (_name, fields, before, can) => {
    expect(canTakeBack({ changes: [logged(1, 'a', fields, before)] })).toBe(can);
  });
});

describe('a packed record', () => {
  test('is the same record, whatever its versions, and smaller where one change made it', () => {
    const edits = fc.array(
      fc.record({
        device: fc.constantFrom(PHONE, COMPUTER),
        fields: fc.oneof(
          fc.record({ code: fc.constantFrom(';a', ';b') }),
          fc.record({ deleted: fc.boolean() }),
          fc.record({ used: fc.record({ count: fc.nat(9), since: fc.nat(9) }) }),
        ),
        knows: fc.boolean(),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(edits, (some) => {
        let record = made;
        for (const { device, fields, knows } of some)
          record = apply(record, write(knows ? record : made, fields, 2_000, device));
        const sent = JSON.parse(JSON.stringify(packRecord(record))) as ReturnType<typeof packRecord>;
        expect(unpackRecord(sent)).toEqual(record);
      }),
    );
    expect(JSON.stringify(packRecord(made)).length).toBeLessThan(JSON.stringify(made).length / 1.7);
    expect(unpackRecord(made)).toBe(made);
  });
});
