/** What a person learns: codes chosen and dropped, and evidence of how well they are known. */
import { afterEvidence, chosen, dropped, learningOf, type Evidence } from '@yellow-latch/core/learn';
import { codeDigest, learningId, learntBy } from '@yellow-latch/core/learn/names';
import type { Learning, LearningState, Shortcut } from '@yellow-latch/core/model';

import { forgetEvidence, learnerHere, readEvidence } from '../storage/evidence';
import type { Replica } from '../storage/replica';
import type { ListView } from '../storage/view';
import type { Write } from '../storage/write';
import type { Command } from './command';

/** Who learns, and what is known of their list. */
export interface Learnt {
  readonly learnerId: string;
  readonly learning: readonly Learning[];
}

/** What they know of the code that a shortcut has now. */
export function stateFor(
  { id, code }: Pick<Shortcut, 'id' | 'code'>,
  known: ReadonlyMap<string, Learning>,
): LearningState {
  return learningOf(known.get(id)?.versions ?? [], codeDigest(code));
}

/** Codes that become something else to their learner. */
function changing(
  shortcuts: readonly Shortcut[],
  learnt: Learnt,
  become: (state: LearningState) => LearningState,
): Command {
  const known = learntBy(learnt.learnerId, learnt.learning);
  const changed = shortcuts.filter((shortcut) => !shortcut.private);
  const write = (shortcutId: string, fields: object): Write => ({
    type: 'learning',
    id: learningId(learnt.learnerId, shortcutId),
    fields: { learnerId: learnt.learnerId, shortcutId, ...fields },
  });
  return {
    writes: changed.map((shortcut) => write(shortcut.id, { state: become(stateFor(shortcut, known)), deleted: false })),
    undo: () =>
      changed.map((shortcut) => {
        const before = known.get(shortcut.id);
        return before ? write(shortcut.id, { state: before.state }) : write(shortcut.id, { deleted: true });
      }),
  };
}

/** They are among those to learn from now on. */
export function choosingToLearn(shortcuts: readonly Shortcut[], learnt: Learnt, now: number): Command {
  return changing(shortcuts, learnt, (state) => chosen(state, now));
}

/** They are not to be learnt. */
export function droppingFromLearning(shortcuts: readonly Shortcut[], learnt: Learnt): Command {
  return changing(shortcuts, learnt, dropped);
}

/**
 * The writes that some evidence makes; what is about a shortcut that is gone, or private, is let go. Linear in the list and the
 * evidence.
 */
export function takingEvidence(
  evidence: readonly Evidence[],
  shortcuts: readonly Shortcut[],
  learnt: Learnt,
  now: number,
): Write[] {
  const known = learntBy(learnt.learnerId, learnt.learning);
  const byId = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const states = new Map<string, LearningState>();
  const touched = new Set<string>();
  for (const one of [...evidence].sort((a, b) => a.at - b.at)) {
    const shortcut = byId.get(one.shortcutId);
    if (!shortcut || shortcut.private) continue;
    const before = states.get(shortcut.id) ?? stateFor(shortcut, known);
    const after = afterEvidence(before, one, now);
    states.set(shortcut.id, after);
    if (after !== before) touched.add(shortcut.id);
  }
  return [...touched].map((shortcutId): Write => ({
    type: 'learning',
    id: learningId(learnt.learnerId, shortcutId),
    fields: { learnerId: learnt.learnerId, shortcutId, state: states.get(shortcutId)!, deleted: false },
  }));
}

/** What was seen on this device becomes part of what its learner knows. Resolves when that is in the outbox. */
export async function learnFromEvidence(
  replica: Pick<Replica, 'db' | 'state' | 'write' | 'clock'> & { read(): ListView },
): Promise<void> {
  const evidence = await readEvidence(replica.db);
  if (evidence.length === 0) return;
  const learnerId = await learnerHere(replica);
  const { shortcuts, learning } = replica.read();
  const writes = takingEvidence(evidence, shortcuts, { learnerId, learning }, replica.clock());
  if (writes.length > 0) await replica.write(writes);
  await forgetEvidence(replica.db, evidence);
}
