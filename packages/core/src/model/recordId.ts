import { z } from 'zod';

/** A UUIDv7 (RFC 9562): its first 48 bits are the time the record was made, so ids sort by age. */
export const RecordIdSchema = z.uuid({ version: 'v7' });
