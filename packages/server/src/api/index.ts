/** The API: join, send changes, read pages, follow the stream, look after devices. Described in docs/formats.md. */
import express, { Router, type RequestHandler } from 'express';

import { aboutRoutes } from './about';
import { directoryRoutes } from './directory';
import { joiningRoutes } from './joining';
import { listRoutes } from './list';
import type { ApiOptions } from './options';
import { deviceOf, idOf, LARGEST_BODY, LARGEST_SMALL_BODY, refuseForeignPages } from './request';

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
  api.use(
    '/d/:device',
    showToken,
    express.json({ limit: LARGEST_BODY }),
    listRoutes(options),
    directoryRoutes(options),
  );
  api.use(aboutRoutes(options), express.json({ limit: LARGEST_SMALL_BODY }), joiningRoutes(options));
  return api;
}
