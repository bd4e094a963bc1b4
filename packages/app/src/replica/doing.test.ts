import type { Fix } from '@yellow-latch/core/clash';
import { planRemark } from '@yellow-latch/core/convention/plan';
import type { Shortcut } from '@yellow-latch/core/model';

import { openDatabase } from './database';
import { newDeviceState } from './device';
import { deleting, editing, fieldsOf, fixing, keptUntil, makingPrivate, remarking, sharing, type Doing } from './doing';
import { Replica } from './replica';

async function listOf(...codes: string[]): Promise<{ replica: Replica; shortcuts: Shortcut[] }> {
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', state, 'device');
  const replica = await Replica.open(db, state);
  await replica.write(
    codes.map((code) => ({
      type: 'shortcut',
      isPrivate: code === 'own',
      fields: {
        code,
        content: { expansion: `what ${code} gives`, template: false, format: 'plain' },
        kind: 'message',
        setId: null,
        rules: { capitals: 'match' },
      },
    })),
  );
  return { replica, shortcuts: replica.read().shortcuts };
}

const told = (replica: Replica) => replica.read().shortcuts.map((one) => ({ ...fieldsOf(one), private: one.private }));

/** Does it, gives what then stands, and takes it back. */
async function tryOut(replica: Replica, doing: Doing) {
  const before = told(replica);
  const ids = await replica.write(doing.writes);
  const after = told(replica);
  await replica.write(doing.undo(ids));
  expect(told(replica)).toEqual(before);
  return after;
}

test('an edit, a deletion, a move to this device and one away from it are each done and taken back', async () => {
  const { replica, shortcuts } = await listOf(';a', 'own');
  const shared = shortcuts.find(({ code }) => code === ';a')!;
  const own = shortcuts.find(({ code }) => code === 'own')!;
  expect(await tryOut(replica, editing(shared, { code: ';b' }))).toMatchObject([{ code: ';b' }, { code: 'own' }]);
  expect(await tryOut(replica, deleting([shared, own]))).toEqual([]);
  expect(await tryOut(replica, makingPrivate(shared, { code: ';c' }))).toMatchObject([
    { code: ';c', private: true },
    { code: 'own' },
  ]);
  expect(await tryOut(replica, sharing(own))).toMatchObject([{ code: ';a' }, { code: 'own', private: false }]);
});

describe('a fix', () => {
  const on = async (makeFix: (id: (code: string) => string) => Fix) => {
    const { replica, shortcuts } = await listOf(';a', ';b');
    const doing = fixing(
      makeFix((code) => shortcuts.find((one) => one.code === code)!.id),
      shortcuts,
    )!;
    return tryOut(replica, doing);
  };

  test('by another code', async () => {
    const after = await on((id) => ({ type: 'other code', id: id(';a'), code: ';aa', how: 'doubled' }));
    expect(after.map(({ code }) => code)).toEqual([';aa', ';b']);
  });

  test('by other rules, with those it asked for before', async () => {
    const after = await on((id) => ({ type: 'other rules', id: id(';a'), rules: { fires: 'offer' }, asks: 'offer' }));
    expect(after[0]!.rules).toEqual({ fires: 'offer', capitals: 'match' });
  });

  test('by a better text', async () => {
    const after = await on((id) => ({ type: 'correct text', id: id(';a'), expansion: 'better' }));
    expect(after[0]!.content).toEqual({ expansion: 'better', template: false, format: 'plain' });
  });

  test('by merging', async () => {
    const after = await on((id) => ({ type: 'merge', keep: id(';b'), drop: [id(';a')] }));
    expect(after.map(({ code }) => code)).toEqual([';b']);
  });

  test('by keeping it on this device', async () => {
    const after = await on((id) => ({ type: 'make private', id: id(';b') }));
    expect(after.map((one) => one.private)).toEqual([false, true]);
  });

  test('of what is gone does nothing', async () => {
    const { shortcuts } = await listOf(';a');
    expect(fixing({ type: 'other code', id: 'gone', code: ';x', how: 'marked' }, shortcuts)).toBeNull();
    expect(fixing({ type: 'merge', keep: 'gone', drop: [shortcuts[0]!.id] }, shortcuts)).toBeNull();
  });
});

describe('a list set in another mark', () => {
  const convention = {
    scope: { of: 'list' },
    mark: { place: 'before', marker: ',' },
    capitals: 'as they are',
  } as const;
  /** All that a person has of a list, in its order; when things changed is not theirs. */
  const whole = (replica: Replica) =>
    JSON.stringify(replica.read(), (name, value: unknown) => (name === 'changed' ? undefined : value));

  test('and taken back is the same byte for byte, private ones too', async () => {
    const { replica, shortcuts } = await listOf(';a', '#b', 'own', '->', 'ttune');
    const before = whole(replica);
    const { remarks } = planRemark(shortcuts, convention);
    const doing = remarking(remarks, shortcuts, convention, replica.read().conventions, 1_000);
    const ids = await replica.write(doing.writes);
    const { shortcuts: after, conventions } = replica.read();
    expect(after.map(({ code }) => code).sort()).toEqual([',a', ',b', ',own', ',tune', '->']);
    expect(after.find(({ code }) => code === ',a')!.former).toEqual({ code: ';a', until: 1_000 });
    expect(conventions).toMatchObject([convention]);
    await replica.write(doing.undo(ids));
    expect(whole(replica)).toBe(before);
  });

  test('twice keeps one convention, and taking back the second brings the first', async () => {
    const { replica, shortcuts } = await listOf(';a');
    const first = remarking(planRemark(shortcuts, convention).remarks, shortcuts, convention, [], null);
    await replica.write(first.writes);
    const before = whole(replica);
    const next = { ...convention, mark: { place: 'after', marker: '*' } } as const;
    const view = replica.read();
    expect(view.shortcuts[0]!.former).toBeNull();
    const second = remarking(
      planRemark(view.shortcuts, next).remarks,
      view.shortcuts,
      next,
      view.conventions,
      keptUntil(),
    );
    const ids = await replica.write(second.writes);
    expect(replica.read().conventions).toMatchObject([next]);
    expect(replica.read().shortcuts[0]).toMatchObject({ code: 'a*', former: { code: ',a' } });
    await replica.write(second.undo(ids));
    expect(whole(replica)).toBe(before);
  });
});
