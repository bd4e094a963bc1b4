import { JoinSchema, NewDeviceSchema, NewListSchema, RecoverySchema } from '@yellow-latch/core/sync';
import { Router, type Request, type Response } from 'express';
import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';

import { admitDevice } from '../devices';
import { beginList, join, listOf, recover, type Admitted } from '../lists';
import { answerWithProblem, ProblemError } from '../problem';
import type { ApiOptions } from '.';
import { bodyOf, parse, welcome } from './request';

/** How often codes and keys may be tried in vain in ten minutes, and lists be begun in an hour. */
export interface Tries {
  ofAddress: number;
  ofAll: number;
  lists: number;
}

const TRIES: Tries = { ofAddress: 10, ofAll: 100, lists: 20 };
const TEN_MINUTES = 10 * 60_000;

/** How one who is not in gets in: a list begun, a code, the spare key; or an open door. */
export function joiningRoutes({ db, streams, now, openList, tries = TRIES }: ApiOptions): Router {
  const routes = Router();
  const ofAddress = limitOf(TEN_MINUTES, tries.ofAddress);
  const ofAll = limitOf(TEN_MINUTES, tries.ofAll, () => 'all');
  const ofLists = rateLimit({ windowMs: 3_600_000, limit: tries.lists, standardHeaders: 'draft-8', legacyHeaders: false, handler: refuseMore });

  const letIn = (request: Request, response: Response, device: string, admitted: Admitted) => {
    welcome(request, response, device, admitted);
    streams.announceDevices(admitted.list.id);
  };

  routes.get('/door', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ open: openList !== undefined });
  });

  routes.post('/devices', (request, response) => {
    const device = parse(NewDeviceSchema, bodyOf(request));
    if (openList === undefined) {
      throw new ProblemError(403, 'closed', 'This server takes nobody in without a code', {
        detail: 'Begin a list, or join one with a code from a device that is in.',
      });
    }
    letIn(request, response, device.id, { list: listOf(db, openList), token: admitDevice(db, openList, device, now()) });
  });

  routes.post('/lists', ofLists, (request, response) => {
    const begun = parse(NewListSchema, bodyOf(request));
    letIn(request, response, begun.device.id, beginList(db, begun, now()));
  });

  routes.post('/joins', ofAll, ofAddress, (request, response) => {
    const { code, device } = parse(JoinSchema, bodyOf(request));
    letIn(request, response, device.id, join(db, code, device, now()));
  });

  routes.post('/recoveries', ofAll, ofAddress, (request, response) => {
    const { spareKey, device } = parse(RecoverySchema, bodyOf(request));
    letIn(request, response, device.id, recover(db, spareKey, device, now()));
  });

  return routes;
}

/** Counts the tries that were in vain. */
function limitOf(windowMs: number, limit: number, keyGenerator?: () => string): RateLimitRequestHandler {
  return rateLimit({
    windowMs,
    limit,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: refuseMore,
    ...(keyGenerator ? { keyGenerator } : {}),
  });
}

function refuseMore(request: Request, response: Response): void {
  const problem = new ProblemError(429, 'too-many-tries', 'Too many tries', { detail: 'Wait ten minutes, then try again with a new code.' });
  answerWithProblem(problem, request, response, () => {});
}
