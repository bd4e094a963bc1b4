/** What stands after the ? of a path. */
import { RECORD_TYPES, RecordIdSchema, type RecordType } from '@yellow-latch/core/model';
import { z } from 'zod';

const LARGEST_PAGE = 2_500;

/** The version of the model that the device knows; the first one did not say. */
const ModelSchema = z.coerce.number().int().positive().default(1);

export const SinceSchema = z.object({
  since: z.coerce.number().int().nonnegative().default(0),
  /** The id of the change that the device knows under that number. */
  last: z.uuid({ version: 'v7' }).optional(),
  limit: z.coerce.number().int().positive().max(LARGEST_PAGE).default(LARGEST_PAGE),
  model: ModelSchema,
});

export const HistoryQuerySchema = z.object({
  type: z.enum(Object.keys(RECORD_TYPES) as [RecordType, ...RecordType[]]).optional(),
  id: RecordIdSchema.optional(),
  together: z.uuid({ version: 'v7' }).optional(),
  deleted: z.literal('1').optional(),
  before: z.coerce.number().int().nonnegative().optional(),
  limit: z.coerce.number().int().positive().max(500).default(50),
  model: ModelSchema,
});
