/** The API: join, send changes, read pages, follow the stream, look after devices. Described in docs/formats.md. */
import express, { Router, type RequestHandler } from 'express';

import type { Database } from '../database';
import type { Presence } from '../devices';
import type { Erasure } from '../erasure';
import type { Intake } from '../intake';
import type { Streams } from '../stream';
import { directoryRoutes } from './directory';
import { joiningRoutes } from './joining';
import { listRoutes } from './list';
import type { Tries } from './rates';
import { deviceOf, idOf, LARGEST_BODY, LARGEST_SMALL_BODY, refuseForeignPages } from './request';

export interface ApiOptions {
  db: Database;
  streams: Streams;
  intake: Intake;
  presence: Presence;
  erasure: Erasure;
  /** Wall time in ms since 1970; tests set it. */
  now: () => number;
  /** The one list that takes in every browser which reaches it: for the demo. */
  openList?: string;
  /** The address at which other devices reach this server, if it was told. */
  publicUrl?: string;
  /** How often wrong codes may be tried, and lists and successors be asked for. */
  tries?: Partial<Tries>;
  /** Whether nobody may start a list here. */
  isInviteOnly?: boolean;
}

export function createApi(options: ApiOptions): Router {
  const { db, now } = options;
  const api = Router();
  api.use((request, _response, next) => {
    refuseForeignPages(request);
    next();
  });
  // All that is below a device's own path shows its token first: until then nothing of a body is read.
  const showToken: RequestHandler = (request, _response, next) => {
    deviceOf(db, request, idOf(request), now());
    next();
  };
  api.use('/d/:device', showToken, express.json({ limit: LARGEST_BODY }), listRoutes(options), directoryRoutes(options));
  api.use(express.json({ limit: LARGEST_SMALL_BODY }), joiningRoutes(options));
  return api;
}
