import { z } from 'zod';

import { RECORD_TYPES, RecordIdSchema, UsedSchema, type RecordType } from '../model';
import { ClockSchema } from './clock';

/** One write to one record: the only thing a device ever sends about its list. */
export interface Change {
  /** UUIDv7: the change's own name, under which the versions it gives are known. */
  id: string;
  record: { type: RecordType; id: string };
  /** The fields given a value. `deleted` is a field like any other. */
  fields: Record<string, unknown>;
  /** For each field it concerns, the versions its device had seen: the change replaces them. */
  base: Record<string, string[]>;
  clock: string;
  device: string;
  /** The device's own number for it, from 1, without gaps. */
  n: number;
  /** UUIDv7: changes that were made in one go carry the same, and are taken back together. */
  together?: string;
}

/** Whether a record is deleted: yes, no longer, or erased, so that what was written in it is gone too. */
const deleted = z.union([z.boolean(), z.literal('erased')]).optional();
const fieldSchemas: Record<RecordType, z.ZodType> = {
  shortcut: RECORD_TYPES.shortcut.fields.partial().extend({ deleted, used: UsedSchema.optional() }),
  set: RECORD_TYPES.set.fields.partial().extend({ deleted }),
  leftFinding: RECORD_TYPES.leftFinding.fields.partial().extend({ deleted }),
  list: RECORD_TYPES.list.fields.partial().extend({ deleted }),
  convention: RECORD_TYPES.convention.fields.partial().extend({ deleted }),
  keyboard: RECORD_TYPES.keyboard.fields.partial().extend({ deleted }),
  device: RECORD_TYPES.device.fields.partial().extend({ deleted }),
  leftOut: RECORD_TYPES.leftOut.fields.partial().extend({ deleted }),
  carried: RECORD_TYPES.carried.fields.partial().extend({ deleted }),
  learner: RECORD_TYPES.learner.fields.partial().extend({ deleted }),
  learning: RECORD_TYPES.learning.fields.partial().extend({ deleted }),
};

/** Versions of one field that a change may have seen: more than a record keeps, since some were made before it kept few. */
const MOST_SEEN = 200;

/** Parses a change off the wire; the fields by the schema of its record's type. */
export const ChangeSchema = z
  .strictObject({
    id: z.uuid({ version: 'v7' }),
    record: z.strictObject({
      type: z.enum(Object.keys(RECORD_TYPES) as [RecordType, ...RecordType[]]),
      id: RecordIdSchema,
    }),
    fields: z.record(z.string(), z.unknown()),
    base: z.record(z.string().max(32), z.array(z.uuid({ version: 'v7' })).max(MOST_SEEN)),
    clock: ClockSchema,
    device: z.uuid({ version: 'v7' }),
    n: z.int().positive(),
    together: z.uuid({ version: 'v7' }).optional(),
  })
  .superRefine(({ record, fields }, context) => {
    if (Object.keys(fields).length === 0) {
      context.addIssue({ code: 'custom', path: ['fields'], message: 'must give some field a value' });
    }
    const parsed = fieldSchemas[record.type].safeParse(fields);
    for (const issue of parsed.error?.issues ?? []) {
      context.addIssue({
        code: 'custom',
        path: ['fields', ...issue.path],
        message: issue.message,
      });
    }
  });
