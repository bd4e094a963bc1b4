import { JoinSchema, NewDeviceSchema, NewListSchema, RecoverySchema, type Door } from '@yellow-latch/core/sync';
import { Router, type Request, type Response } from 'express';

import { admitDevice } from '../devices';
import { beginList, join, listOf, recover, type Admitted } from '../lists';
import { ProblemError } from '../problem';
import type { ApiOptions } from './options';
import { perHour, TRIES, triesInVain } from './rateLimits';
import { bodyOf, parse, welcome } from './request';

/** How one who is not in gets in: a list begun, a code, the spare key; or an open door. */
export function joiningRoutes({
  db,
  streams,
  now,
  openList,
  publicUrl,
  isInviteOnly = false,
  tries,
}: ApiOptions): Router {
  const routes = Router();
  const limits = { ...TRIES, ...tries };
  const inVain = triesInVain(limits);

  const letIn = (request: Request, response: Response, device: string, admitted: Admitted) => {
    welcome(request, response, device, admitted, publicUrl !== undefined);
    streams.announceDevices(admitted.list.id);
  };

  routes.get('/door', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .json({ open: openList !== undefined, lists: !isInviteOnly } satisfies Door);
  });

  routes.post('/devices', (request, response) => {
    const device = parse(NewDeviceSchema, bodyOf(request));
    if (openList === undefined) {
      throw new ProblemError(403, 'closed', 'You need a code to join a list here', {
        detail: 'Start a new list, or join one with a code from one of its devices.',
      });
    }
    letIn(request, response, device.id, {
      list: listOf(db, openList),
      token: admitDevice(db, openList, device, now()),
    });
  });

  routes.post('/lists', perHour(limits.lists), (request, response) => {
    if (isInviteOnly)
      throw new ProblemError(403, 'invite-only', 'New lists can’t be started on this server', {
        detail: 'Join a list with a code from one of its devices.',
      });
    const begun = parse(NewListSchema, bodyOf(request));
    letIn(request, response, begun.device.id, beginList(db, begun, now()));
  });

  routes.post('/joins', ...inVain, (request: Request, response: Response) => {
    const { code, device } = parse(JoinSchema, bodyOf(request));
    letIn(request, response, device.id, join(db, code, device, now()));
  });

  routes.post('/recoveries', ...inVain, (request: Request, response: Response) => {
    const { spareKey, device } = parse(RecoverySchema, bodyOf(request));
    letIn(request, response, device.id, recover(db, spareKey, device, now()));
  });

  return routes;
}
