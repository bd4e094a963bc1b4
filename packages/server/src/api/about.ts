/** What the server says of itself: how it is, and what can be asked of it. */
import { Router } from 'express';

import { version } from '../../package.json';
import { healthOf } from '../health';
import { describeApi } from './description';
import type { ApiOptions } from './options';

const LOOPBACK = /^(127\.|::1$|::ffff:127\.)/u;

export function aboutRoutes({ state }: ApiOptions): Router {
  const routes = Router();
  routes.get('/health', (request, response) => {
    const isLive = 'live' in request.query;
    const health = healthOf(state, LOOPBACK.test(request.ip ?? ''));
    response
      .status(isLive || health.status === 'ready' ? 200 : 503)
      .set('Cache-Control', 'no-store')
      .json(health);
  });
  let described: string | undefined;
  routes.get('/openapi.json', (_request, response) => {
    described ??= JSON.stringify(describeApi(version));
    response.type('json').send(described);
  });
  return routes;
}
