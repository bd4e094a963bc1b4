import type { Evidence } from '@yellow-latch/core/learn';
import { FIRST_LEARNER, learnerOfDevice, learningId } from '@yellow-latch/core/learn/names';
import { stageOf } from '@yellow-latch/core/learn/stage';
import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { EvidenceKind, Shortcut } from '@yellow-latch/core/model';

import { openDatabase } from '../storage/database';
import { keptState, newDeviceState } from '../storage/device';
import { learnerHere, noteEvidence, readEvidence, withdrawEvidence } from '../storage/evidence';
import { Replica } from '../storage/replica';
import { plainFields } from '../storage/write';
import { importing } from './importing';
import { choosingToLearn, droppingFromLearning, learnFromEvidence, stateFor, takingEvidence } from './learning';
import { changingCodes } from './recoding';
import { deleting, makingPrivate } from './shortcuts';

const START = Date.UTC(2026, 10, 30, 9);
const HOUR = 60 * 60 * 1_000;
let now = START;
let replica: Replica;
beforeEach(async () => {
  now = START;
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
  replica = await Replica.open(db, state, () => now);
  await replica.write(
    [';rope', ';ten', ';own'].map((code) => ({
      type: 'shortcut',
      isPrivate: code === ';own',
      fields: { ...fieldsFor(code) },
    })),
  );
});

function fieldsFor(code: string) {
  const { content, kind, setId } = makeShortcut(code);
  return { code, content, kind, setId };
}

const shortcut = (code: string): Shortcut => replica.read().shortcuts.find((one) => one.code === code)!;
const learnt = (learnerId = FIRST_LEARNER) => ({ learnerId, learning: replica.read().learning });
const knownOf = (code: string, learnerId = FIRST_LEARNER) => {
  const record = replica.read().learning.find((one) => one.id === learningId(learnerId, shortcut(code).id));
  return stateFor(shortcut(code), new Map(record ? [[shortcut(code).id, record]] : []));
};
const see = async (how: EvidenceKind, code: string, hours = 0) => {
  now += hours * HOUR;
  await noteEvidence(replica.db, { how, shortcutId: shortcut(code).id, at: now, seconds: 1.5 });
};
const learn = () => learnFromEvidence(replica);

test('what was seen becomes what is known, once, and is then forgotten', async () => {
  await see('typed', ';rope');
  await see('typed', ';rope', 49);
  await learn();
  expect(stageOf(knownOf(';rope'))).toBe('known');
  expect(await readEvidence(replica.db)).toEqual([]);
  const before = replica.read().learning;
  await learn();
  expect(replica.read().learning).toBe(before);
});

test('what is noted while it is taken in waits for the next time', async () => {
  await see('typed', ';rope');
  const taking = learn();
  await see('typed', ';ten', 1);
  await taking;
  expect((await readEvidence(replica.db)).length + replica.read().learning.length).toBe(2);
  await learn();
  expect(replica.read().learning).toHaveLength(2);
});

test('a code that was taken back straight away tells nothing', async () => {
  await see('typed', ';rope');
  await withdrawEvidence(replica.db, shortcut(';rope').id);
  await learn();
  expect(replica.read().learning).toEqual([]);
});

test('a private shortcut, and one that is gone, leave no trace', async () => {
  await see('typed', ';own');
  await see('typed', ';ten');
  await replica.write(deleting([shortcut(';ten')]).writes);
  await learn();
  expect(replica.read().learning).toEqual([]);
  expect(choosingToLearn([shortcut(';own')], learnt(), now).writes).toEqual([]);
});

test('a text typed out brings a known code back', async () => {
  await see('typed', ';rope');
  await see('typed', ';rope', 49);
  await see('missed', ';rope', 24);
  await learn();
  expect(knownOf(';rope')).toMatchObject({ knownAt: null, memory: { phase: 'relearning', lapses: 1 } });
});

test('chosen, then stopped, each with its way back', async () => {
  const choose = choosingToLearn([shortcut(';rope')], learnt(), now);
  await replica.write(choose.writes);
  expect(knownOf(';rope').chosenAt).toBe(now);
  const drop = droppingFromLearning([shortcut(';rope')], learnt());
  await replica.write(drop.writes);
  expect(knownOf(';rope')).toMatchObject({ chosenAt: null, isDropped: true });
  await replica.write(drop.undo([]));
  expect(knownOf(';rope').chosenAt).toBe(now);
  await replica.write(choose.undo([]));
  expect(replica.read().learning).toEqual([]);
});

test('another code for the text: learning it begins anew; typing the old one is a slip', async () => {
  await replica.write(choosingToLearn([shortcut(';rope')], learnt(), now).writes);
  await see('typed', ';rope');
  await learn();
  const { id } = shortcut(';rope');
  await replica.write(changingCodes([{ id, to: ';shop' }], replica.read().shortcuts, now + 9 * HOUR).writes);
  expect(knownOf(';shop')).toMatchObject({ memory: null, chosenAt: START });
  await see('former', ';shop', 1);
  await learn();
  expect(knownOf(';shop').reviews).toMatchObject([{ how: 'former' }]);
});

test('two devices practise at once: what both saw counts', async () => {
  await see('drill', ';rope');
  await learn();
  const there = takingEvidence(
    [{ how: 'drill', shortcutId: shortcut(';rope').id, at: START + 30 * HOUR, seconds: 2 } satisfies Evidence],
    replica.read().shortcuts,
    learnt(),
    START + 30 * HOUR,
  );
  const seen = replica.recordOf('learning', there[0]!.id!);
  await see('drill', ';rope', 26);
  await learn();
  // It comes from a device that had not heard of the second time here.
  await replica.write(there.map((write) => ({ ...write, seen })));
  expect(replica.read().learning[0]!.versions).toHaveLength(2);
  expect(knownOf(';rope').reviews.map(({ at }) => (at - START) / HOUR)).toEqual([0, 26, 30]);
  now = START + 32 * HOUR;
  await see('drill', ';rope');
  await learn();
  expect(replica.read().learning[0]!.versions).toHaveLength(1);
  expect(knownOf(';rope').memory!.reps).toBe(4);
});

test('each learns alone', async () => {
  await see('typed', ';rope');
  await learn();
  await replica.db.put('kept', learnerOfDevice('other'), 'learner');
  expect(await learnerHere(replica)).toBe(learnerOfDevice('other'));
  await see('typed', ';rope', 24);
  await learn();
  expect(replica.read().learning).toHaveLength(2);
  expect([knownOf(';rope').memory!.reps, knownOf(';rope', learnerOfDevice('other')).memory!.reps]).toEqual([1, 1]);
});

test('a device that may not edit all of the list is somebody else’s', async () => {
  expect(await learnerHere(replica)).toBe(FIRST_LEARNER);
  const { db, state } = replica;
  const helper = learnerOfDevice(state.id);
  expect(await learnerHere({ db, state: { ...state, may: 'use' } })).toBe(helper);
  expect(await learnerHere({ db, state: { ...state, subscribedSets: [null] } })).toBe(helper);
});

test('of a shortcut made private nothing that was learnt is left, and with Undo it is back', async () => {
  await see('typed', ';rope');
  await learn();
  const record = replica.recordOf('learning', learningId(FIRST_LEARNER, shortcut(';rope').id))!;
  const command = makingPrivate(shortcut(';rope'), {}, replica.read());
  const ids = await replica.write(command.writes);
  expect(replica.read().learning).toEqual([]);
  expect(JSON.stringify(replica.waiting)).not.toContain(String(START + 0.5));
  const erased = replica.recordOf('learning', record.id)!;
  expect(plainFields(erased)).not.toEqual(plainFields(record));
  await replica.write(command.undo(ids));
  expect(knownOf(';rope').memory).toMatchObject({ reps: 1 });
});

test('a backup brings back what was learnt, but not over what was learnt since', async () => {
  await see('typed', ';rope');
  await learn();
  const kept = replica
    .read()
    .learning.map(({ id, learnerId, shortcutId, state }) => ({ id, learnerId, shortcutId, state }));
  await see('typed', ';rope', 49);
  await learn();
  const { command } = importing(
    {
      rows: [],
      choices: new Map(),
      fileSets: [],
      into: null,
      keepsSecrets: true,
      rest: {
        list: null,
        conventions: [],
        keyboards: [],
        leftFindings: [],
        devices: [],
        leftOut: [],
        carried: [],
        learners: [{ id: FIRST_LEARNER, name: 'Ansel', atOnce: 3 }],
        learning: kept,
      },
      restParts: ['learning'],
    },
    replica.read(),
    () => false,
  );
  await replica.write(command.writes);
  expect(knownOf(';rope').memory!.reps).toBe(2);
  expect(replica.read().learners).toMatchObject([{ name: 'Ansel', atOnce: 3 }]);
});
