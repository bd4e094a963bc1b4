/** What goes over the wire, parsed at both ends. Paths and meanings: docs/formats.md. */
import { z } from 'zod';

import { RECORD_TYPES, type RecordType } from '../model';
import { ChangeSchema, type Change } from './change';
import { ClockSchema } from './clock';
import type { StoredRecord } from './record';

/** At most this many changes in one push; the body stays under the server's limit. */
export const LARGEST_PUSH = 200;

export const PushSchema = z.strictObject({ changes: z.array(ChangeSchema).min(1).max(LARGEST_PUSH) });
export interface Push {
  changes: Change[];
}

const StoredRecordSchema = z.object({
  type: z.enum(Object.keys(RECORD_TYPES) as [RecordType, ...RecordType[]]),
  id: z.string(),
  fields: z.record(
    z.string(),
    z.array(
      z.object({
        id: z.string(),
        clock: ClockSchema,
        value: z.unknown(),
        saw: z.array(z.string()).optional(),
      }),
    ),
  ),
});

/**
 * Records as they stand, in the order of their last change: a page, an event of the stream, or
 * the answer to a push. `through`: all changes up to this number of the log are in it, or in what
 * came before. `taken`: the last number of this device's own changes that the server has.
 */
export const PageSchema = z.object({
  records: z.array(StoredRecordSchema),
  through: z.int().nonnegative(),
  taken: z.int().nonnegative(),
  more: z.boolean(),
});
export interface Page {
  records: StoredRecord[];
  through: number;
  taken: number;
  more: boolean;
}

/** A device introduces itself. Its id is its own choice, so that it can work before it is known. */
export const NewDeviceSchema = z.strictObject({
  id: z.uuid({ version: 'v7' }),
  name: z.string().trim().min(1).max(60),
  kind: z.enum(['phone', 'tablet', 'computer']),
});
export type NewDevice = z.infer<typeof NewDeviceSchema>;

export const WelcomeSchema = z.object({
  device: z.string(),
  list: z.object({ id: z.string(), name: z.string() }),
});
export type Welcome = z.infer<typeof WelcomeSchema>;

/** Problem details for HTTP APIs (RFC 9457); `errors` points at what in the body is wrong. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  expected: z.int().optional(),
  errors: z
    .array(z.object({ pointer: z.string(), detail: z.string(), index: z.int().optional() }))
    .optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;
