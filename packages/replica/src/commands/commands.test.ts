import type { Fix } from '@yellow-latch/core/clash';
import { planRecodes } from '@yellow-latch/core/convention/plan';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import type { Shortcut } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import { openDatabase } from '../storage/database';
import { keptState, newDeviceState } from '../storage/device';
import { Replica } from '../storage/replica';
import type { Command } from './command';
import { ignoring, lookingAgain } from './findings';
import { fixing } from './fixing';
import { deletingKeyboard, savingKeyboard } from './list';
import { keptUntil, recoding } from './recoding';
import { redoing } from './redoing';
import { saving } from './saving';
import { deleting, editing, fieldsOf, makingPrivate, sharing } from './shortcuts';
import { keepingBoth, settling } from './versions';

async function listOf(...codes: string[]): Promise<{ replica: Replica; shortcuts: Shortcut[] }> {
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
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

/** Does it, gives what then stands, and takes it back; does it once more, and takes that back too. */
async function tryOut(replica: Replica, command: Command) {
  const before = told(replica);
  const ids = await replica.write(command.writes);
  const after = told(replica);
  await replica.write(command.undo(ids));
  expect(told(replica)).toEqual(before);
  const again = redoing(command, ids);
  const newIds = await replica.write(again.writes);
  expect(told(replica)).toEqual(after);
  await replica.write(again.undo(newIds));
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
    const command = fixing(
      makeFix((code) => shortcuts.find((one) => one.code === code)!.id),
      shortcuts,
    )!;
    return tryOut(replica, command);
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
    const { recodes } = planRecodes(shortcuts, convention);
    const command = recoding(recodes, shortcuts, convention, replica.read().conventions, 1_000);
    const ids = await replica.write(command.writes);
    const { shortcuts: after, conventions } = replica.read();
    expect(after.map(({ code }) => code).sort()).toEqual([',a', ',b', ',own', ',tune', '->']);
    expect(after.find(({ code }) => code === ',a')!.former).toEqual({ code: ';a', until: 1_000 });
    expect(conventions).toMatchObject([convention]);
    await replica.write(command.undo(ids));
    expect(whole(replica)).toBe(before);
  });

  test('twice keeps one convention, and taking back the second brings the first', async () => {
    const { replica, shortcuts } = await listOf(';a');
    const first = recoding(planRecodes(shortcuts, convention).recodes, shortcuts, convention, [], null);
    await replica.write(first.writes);
    const before = whole(replica);
    const next = { ...convention, mark: { place: 'after', marker: '*' } } as const;
    const view = replica.read();
    expect(view.shortcuts[0]!.former).toBeNull();
    const second = recoding(
      planRecodes(view.shortcuts, next).recodes,
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

test('a new shortcut in a new set is saved and taken back with it; its id is known', async () => {
  const { replica } = await listOf(';a');
  const { code: _, ...fields } = fieldsOf(replica.read().shortcuts[0]!);
  const form = { before: null, seen: undefined, isPrivate: false, newSet: 'Autumn' };
  const command = saving({ ...form, fields: { ...fields, code: ';b' } }, replica.read().sets);
  const ids = await replica.write(command.writes);
  const { sets, shortcuts } = replica.read();
  expect(sets.map(({ id, name }) => [id, name])).toEqual([[command.setId, 'Autumn']]);
  expect(shortcuts.find(({ id }) => id === command.idOf(ids))).toMatchObject({ code: ';b', setId: command.setId });
  await replica.write(command.undo(ids));
  expect(replica.read()).toMatchObject({ sets: [], shortcuts: [{ code: ';a' }] });
});

test('a shortcut that is moved to this device while it goes into a new set is brought back by its own ids', async () => {
  const { replica, shortcuts } = await listOf(';a');
  const [before] = shortcuts;
  const form = { before: before!, seen: undefined, fields: { note: 'mine' }, isPrivate: true, newSet: 'Own' };
  const command = saving(form, []);
  const ids = await replica.write(command.writes);
  expect(replica.read().shortcuts).toMatchObject([{ id: command.idOf(ids), private: true, note: 'mine' }]);
  await replica.write(command.undo(ids));
  expect(replica.read()).toMatchObject({
    sets: [],
    shortcuts: [{ id: before!.id, private: false, note: '', setId: null }],
  });
});

test('a form in which nothing differs writes nothing', async () => {
  const { shortcuts } = await listOf(';a');
  const form = { before: shortcuts[0]!, seen: undefined, fields: {}, isPrivate: false, newSet: null };
  expect(saving(form, []).writes).toEqual([]);
});

test('a keyboard that is saved is in use from then on, one that is deleted is not', async () => {
  const { replica } = await listOf(';a');
  const id = uuid();
  const use = { keyboard: id, share: 1, pace: 1 };
  const on = replica.read().devices[0]!;
  const layout = LAYOUTS['hardware-en-gb']!;
  await tryOut(replica, savingKeyboard({ id, layout }, use, on, replica.read()));
  await replica.write(savingKeyboard({ id, layout }, use, on, replica.read()).writes);
  const inUse = () => replica.read().keyboards.map(({ keyboard }) => keyboard);
  expect(inUse().at(-1)).toBe(id);
  const remove = deletingKeyboard(id, replica.read());
  const ids = await replica.write(remove.writes);
  expect([replica.read().ownKeyboards, inUse().includes(id)]).toEqual([[], false]);
  await replica.write(remove.undo(ids));
  expect([replica.read().ownKeyboards.length, inUse().at(-1)]).toEqual([1, id]);
});

test('of two versions one is chosen, or both codes stand', async () => {
  const { replica, shortcuts } = await listOf(';a');
  const [shown] = shortcuts;
  const record = { type: 'shortcut', id: shown!.id } as const;
  expect(await tryOut(replica, settling(record, 'note', 'theirs', ''))).toMatchObject([{ note: 'theirs' }]);
  expect(await tryOut(replica, keepingBoth(shown!, ';other'))).toMatchObject([
    { code: ';a', content: shown!.content },
    { code: ';other', content: shown!.content },
  ]);
});

test('a finding that is ignored is so until it is looked at again', async () => {
  const { replica, shortcuts } = await listOf(';a');
  const left = { shortcutId: shortcuts[0]!.id, finding: 'word', about: 'so', reason: 'never typed' };
  await tryOut(replica, ignoring(left));
  await replica.write(ignoring(left).writes);
  expect(replica.read().ignored).toMatchObject([left]);
  await replica.write(lookingAgain(replica.read().ignored[0]!).writes);
  expect(replica.read().ignored).toEqual([]);
});
