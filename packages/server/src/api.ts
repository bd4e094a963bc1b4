import { NewDeviceSchema, PushSchema, type Welcome } from '@yellow-latch/core/sync';
import { parseCookie, stringifySetCookie } from 'cookie';
import express, { Router, type Request } from 'express';
import { z } from 'zod';

import type { Database } from './database';
import { admitDevice, recogniseDevice, type Device } from './devices';
import { readPage, takeChanges } from './ledger';
import { invalidBody, ProblemError } from './problem';
import { lists } from './schema';
import type { Streams } from './stream';

const COOKIE = 'yellow-latch-token';
const LARGEST_PAGE = 1_000;
const YEAR = 365 * 24 * 3_600;

export interface ApiOptions {
  db: Database;
  streams: Streams;
  /** Wall time in ms since 1970; tests set it. */
  now: () => number;
}

/** The API: join, send changes, read pages, follow the stream. Described in docs/formats.md. */
export function createApi({ db, streams, now }: ApiOptions): Router {
  const api = Router();
  api.use(refuseForeignPages);
  api.use(express.json({ limit: '1mb' }));

  api.post('/devices', (request, response) => {
    const device = parse(NewDeviceSchema, bodyOf(request));
    const list = db.select().from(lists).limit(1).get()!;
    const token = admitDevice(db, list.id, device, now());
    const cookie = stringifySetCookie({
      name: COOKIE,
      value: token,
      path: `/api/d/${device.id}`,
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      maxAge: YEAR,
    });
    const welcome: Welcome = { device: device.id, list: { id: list.id, name: list.name } };
    response.status(201).setHeader('Set-Cookie', cookie).json(welcome);
  });

  const deviceOf = (request: Request<{ device: string }>): Device => {
    const token = parseCookie(request.headers.cookie ?? '')[COOKIE];
    return recogniseDevice(db, request.params.device, token, now());
  };

  api.post('/d/:device/changes', (request, response) => {
    const device = deviceOf(request);
    const push = parse(PushSchema, bodyOf(request));
    const since = Number(parse(SinceSchema, request.query).since);
    const { changed } = takeChanges(db, device, push.changes, now());
    if (changed) streams.announce(device.listId);
    response.type('json').send(readPage(db, device, since, LARGEST_PAGE).json);
  });

  api.get('/d/:device/pages', (request, response) => {
    const device = deviceOf(request);
    const { since, limit } = parse(SinceSchema, request.query);
    response.set('Cache-Control', 'no-store').type('json');
    response.send(readPage(db, device, since, limit).json);
  });

  api.get('/d/:device/stream', (request, response) => {
    const device = deviceOf(request);
    const query = parse(SinceSchema, request.query);
    const last = request.headers['last-event-id'];
    const since = last === undefined ? query.since : parse(SinceSchema, { since: last }).since;
    streams.start(request, response, device, since);
  });

  return api;
}

const SinceSchema = z.object({
  since: z.coerce.number().int().nonnegative().default(0),
  limit: z.coerce.number().int().positive().max(LARGEST_PAGE).default(LARGEST_PAGE),
});

function parse<T>(schema: z.ZodType<T>, value: unknown): T {
  const result = schema.safeParse(value);
  if (!result.success) throw invalidBody(result.error);
  return result.data;
}

function bodyOf(request: Request): unknown {
  if (!request.is('application/json')) {
    throw new ProblemError(415, 'not-json', 'Send the request body as application/json');
  }
  return request.body as unknown;
}

/** A page of another site may not write here, even where its browser sends the cookie along. */
function refuseForeignPages(request: Request, _response: unknown, next: () => void): void {
  const { origin, host } = request.headers;
  if (origin !== undefined && hostOf(origin) !== host) {
    throw new ProblemError(403, 'foreign-origin', 'This page belongs to another address');
  }
  next();
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
