import compression from 'compression';
import { Router } from 'express';

import { readHistory } from '../history';
import { readPage } from '../reading';
import type { ApiOptions } from './options';
import type { Position } from '../stream';
import { receivePush } from './push';
import { HistoryQuerySchema, SinceSchema } from './queries';
import { bodyOf, deviceOf, idOf, parse } from './request';

/** Quick rather than small: a first copy is ten megabytes, and to press them hard takes longer than to send them. */
const QUICK = { level: 1 };

/** Where a stream goes on, as its events say it; see `positionOf`. */
function resumedAt(lastEventId: string, query: object): Position {
  const [since, last] = lastEventId.split('/');
  return parse(SinceSchema, { ...query, since, last });
}

/** What a device does with its list: send changes, read pages, follow the stream, look back. */
export function listRoutes(api: ApiOptions): Router {
  const { db, streams, presence, erasure, now } = api;
  const routes = Router({ mergeParams: true });

  routes.post('/changes', async (request, response) => {
    response.json(await receivePush(api, request, idOf(request), () => bodyOf(request)));
  });

  routes.get('/pages', compression(QUICK), (request, response) => {
    const asking = deviceOf(db, request, idOf(request), now());
    const asked = parse(SinceSchema, request.query);
    presence.note(asking.id, asked.since, now());
    response
      .set('Cache-Control', 'no-store')
      .type('json')
      .send(readPage(db, erasure, asking, asked).json);
  });

  routes.get('/stream', (request, response) => {
    const asking = deviceOf(db, request, idOf(request), now());
    const lastEventId = request.headers['last-event-id'];
    const from =
      typeof lastEventId === 'string' ? resumedAt(lastEventId, request.query) : parse(SinceSchema, request.query);
    presence.note(asking.id, from.since, now());
    streams.start(request, response, asking, from, (reached) => presence.note(asking.id, reached, now()));
  });

  routes.get('/history', compression(QUICK), (request, response) => {
    const asking = deviceOf(db, request, idOf(request), now());
    const { type, id, deleted, ...query } = parse(HistoryQuerySchema, request.query);
    const record = type && id ? { type, id } : undefined;
    response
      .set('Cache-Control', 'no-store')
      .json(readHistory(db, asking, { ...query, record, isDeletedOnly: deleted !== undefined }));
  });

  return routes;
}
