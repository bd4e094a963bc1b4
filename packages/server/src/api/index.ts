/** The API: join, send changes, read pages, follow the stream, look after devices. Described in docs/formats.md. */
import express, { Router } from 'express';

import type { Database } from '../database';
import type { Presence } from '../devices';
import type { Intake } from '../ledger';
import type { Streams } from '../stream';
import { directoryRoutes } from './directory';
import { joiningRoutes, type Tries } from './joining';
import { listRoutes } from './list';
import { LARGEST_BODY, refuseForeignPages } from './request';

export interface ApiOptions {
  db: Database;
  streams: Streams;
  intake: Intake;
  presence: Presence;
  /** Wall time in ms since 1970; tests set it. */
  now: () => number;
  /** The one list that takes in every browser which reaches it: for the demo. */
  openList?: string;
  /** The address at which other devices reach this server, if it was told. */
  publicUrl?: string;
  /** How often wrong codes may be tried. */
  tries?: Tries;
}

export function createApi(options: ApiOptions): Router {
  const api = Router();
  api.use((request, _response, next) => {
    refuseForeignPages(request);
    next();
  });
  api.use(express.json({ limit: LARGEST_BODY }));
  api.use(joiningRoutes(options));
  // All that is below a device's own path shows its token first.
  api.use('/d/:device', listRoutes(options), directoryRoutes(options));
  return api;
}
