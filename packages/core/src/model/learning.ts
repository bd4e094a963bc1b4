import { z } from 'zod';

import { lineOf } from './checked';
import { LIMITS } from './limits';
import { RecordIdSchema } from './recordId';

/** Who learns: on a shared list each person does alone. `name` of the one who began the list may be empty until somebody else joins. */
export const LearnerFieldsSchema = z.strictObject({
  name: lineOf(LIMITS.deviceNameClusters, 0),
  /** How many new codes they take on at a time. */
  atOnce: z.int().min(1).max(LIMITS.newCodesAtOnce),
});
export type LearnerFields = Readonly<z.infer<typeof LearnerFieldsSchema>>;

/**
 * What a person did that tells how well they know a code. `typed`: from memory, at work; `drill`: in practice; `shown`: in practice,
 * after a look at it; `missed`: the text was typed out; `offer`: it was begun, and taken by a tap; `former`: the old code was typed.
 */
export const EVIDENCE = ['typed', 'drill', 'shown', 'missed', 'offer', 'former'] as const;
export type EvidenceKind = (typeof EVIDENCE)[number];

const MomentSchema = z.int().nonnegative();

/** A piece of evidence that counted. `seconds`: how long they hesitated; null: not known. */
export const ReviewSchema = z.strictObject({
  /** ms since 1970. */
  at: MomentSchema,
  how: z.enum(EVIDENCE),
  seconds: z.number().min(0).max(3_600).nullable(),
});
export type Review = Readonly<z.infer<typeof ReviewSchema>>;

/** What FSRS knows of a code (see core/learn): `stability` in days until nine in ten would still know it, `due` and `last` in ms since 1970. */
export const MemorySchema = z.strictObject({
  stability: z.number().positive().max(36_500),
  difficulty: z.number().min(1).max(10),
  due: MomentSchema,
  last: MomentSchema,
  reps: z.int().nonnegative(),
  lapses: z.int().nonnegative(),
  phase: z.enum(['learning', 'review', 'relearning']),
  step: z.int().nonnegative(),
});
export type Memory = Readonly<z.infer<typeof MemorySchema>>;

/** How well one person knows one code. One field for merging: its parts mean nothing apart. */
export const LearningStateSchema = z.strictObject({
  /** Of the code that this is about: of another code nothing is known. */
  digest: z.string().regex(/^[0-9a-f]{16}$/),
  /** Since when it is one of those they are learning; ms since 1970. Null: it was never chosen, only used. */
  chosenAt: MomentSchema.nullable(),
  /** What was known before `reviews`, and after them. */
  before: MemorySchema.nullable(),
  reviews: z.array(ReviewSchema).max(LIMITS.reviewsKept),
  memory: MemorySchema.nullable(),
  /** Since when it is known; null: it is not. */
  knownAt: MomentSchema.nullable(),
  /** The person does not want to learn it. */
  isDropped: z.boolean(),
});
export type LearningState = Readonly<z.infer<typeof LearningStateSchema>>;

export const LearningFieldsSchema = z.strictObject({
  learnerId: RecordIdSchema,
  shortcutId: RecordIdSchema,
  state: LearningStateSchema,
});
export type LearningFields = Readonly<z.infer<typeof LearningFieldsSchema>>;
