import { PushSchema } from '@yellow-latch/core/sync';
import { RECORD_TYPES, RecordIdSchema, type RecordType } from '@yellow-latch/core/model';
import { Router } from 'express';
import { z } from 'zod';

import { readHistory } from '../history';
import { readPage } from '../ledger';
import type { ApiOptions } from '.';
import { bodyOf, deviceOf, parse } from './request';

const LARGEST_PAGE = 1_000;

const SinceSchema = z.object({
  since: z.coerce.number().int().nonnegative().default(0),
  limit: z.coerce.number().int().positive().max(LARGEST_PAGE).default(LARGEST_PAGE),
});

const HistoryQuerySchema = z.object({
  type: z.enum(Object.keys(RECORD_TYPES) as [RecordType, ...RecordType[]]).optional(),
  id: RecordIdSchema.optional(),
  together: z.uuid({ version: 'v7' }).optional(),
  deleted: z.literal('1').optional(),
  before: z.coerce.number().int().nonnegative().optional(),
  limit: z.coerce.number().int().positive().max(500).default(50),
});

/** What a device does with its list: send changes, read pages, follow the stream, look back. */
export function listRoutes({ db, streams, intake, presence, now }: ApiOptions): Router {
  const routes = Router({ mergeParams: true });

  routes.post('/changes', async (request, response) => {
    const device = deviceOf(db, request, now());
    const { changes } = parse(PushSchema, bodyOf(request));
    const { since } = parse(SinceSchema, request.query);
    const { changed } = await intake.take({ device, changes, now: now() });
    if (changed) streams.announce(device.listId);
    presence.note(device.id, since, now());
    response.type('json').send(readPage(db, device, since, LARGEST_PAGE).json);
  });

  routes.get('/pages', (request, response) => {
    const device = deviceOf(db, request, now());
    const { since, limit } = parse(SinceSchema, request.query);
    presence.note(device.id, since, now());
    response.set('Cache-Control', 'no-store').type('json').send(readPage(db, device, since, limit).json);
  });

  routes.get('/stream', (request, response) => {
    const device = deviceOf(db, request, now());
    const query = parse(SinceSchema, request.query);
    const last = request.headers['last-event-id'];
    const { since } = last === undefined ? query : parse(SinceSchema, { since: last });
    presence.note(device.id, since, now());
    streams.start(request, response, device, since);
  });

  routes.get('/history', (request, response) => {
    const device = deviceOf(db, request, now());
    const { type, id, deleted, ...query } = parse(HistoryQuerySchema, request.query);
    const record = type && id ? { type, id } : undefined;
    response.set('Cache-Control', 'no-store').json(readHistory(db, device, { ...query, record, isDeletedOnly: deleted !== undefined }));
  });

  return routes;
}
