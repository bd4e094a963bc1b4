import { DeviceSettingsSchema, NewDeviceSchema, type SentDirectory } from '@yellow-latch/core/sync';
import { Router } from 'express';

import { listDevices, refuseToManage, setDevice, signOut } from '../devices';
import { endList, invite, listOf, makeSpareKey, purgeSome, succeed, withdraw } from '../lists';
import { ProblemError } from '../problem';
import type { ApiOptions } from './options';
import { perHour, TRIES } from './rateLimits';
import { bodyOf, deviceOf, idOf, parse, welcome } from './request';

/** The devices of a list: seen, named, let in and signed out. */
export function directoryRoutes({
  db,
  streams,
  presence,
  erasure,
  now,
  publicUrl,
  wayIn = () => null,
  openList,
  tries,
}: ApiOptions): Router {
  const routes = Router({ mergeParams: true });

  const directory = (listId: string): SentDirectory => {
    const { id, name, spareKeyMadeAt } = listOf(db, listId);
    const way = wayIn();
    const devices = listDevices(db, listId, presence, (device) => streams.isOpen(device));
    return {
      list: { id, name },
      devices,
      spareKey: spareKeyMadeAt,
      address: publicUrl ?? way?.address ?? null,
      trust: way?.trust ?? null,
      open: listId === openList,
    };
  };

  routes.get('/devices', (request, response) => {
    const { listId } = deviceOf(db, request, idOf(request), now());
    response.set('Cache-Control', 'no-store').json(directory(listId));
  });

  routes.patch('/devices/:other', (request, response) => {
    const device = deviceOf(db, request, idOf(request), now());
    const settings = parse(DeviceSettingsSchema, bodyOf(request));
    const { other } = request.params;
    setDevice(db, device, other, settings);
    streams.tell(other);
    streams.announceDevices(device.listId);
    response.json(directory(device.listId));
  });

  routes.delete('/devices/:other', (request, response) => {
    const device = deviceOf(db, request, idOf(request), now());
    const { other } = request.params;
    signOut(db, device, other, now());
    streams.end(other);
    streams.announceDevices(device.listId);
    response.json(directory(device.listId));
  });

  routes.post('/invitations', (request, response) => {
    response
      .status(201)
      .set('Cache-Control', 'no-store')
      .json(invite(db, deviceOf(db, request, idOf(request), now()), now()));
  });

  routes.delete('/invitations/:code', (request, response) => {
    withdraw(db, deviceOf(db, request, idOf(request), now()), request.params.code);
    response.status(204).end();
  });

  routes.post('/spare-key', (request, response) => {
    const spareKey = makeSpareKey(db, deviceOf(db, request, idOf(request), now()), now());
    response.status(201).set('Cache-Control', 'no-store').json({ spareKey });
  });

  routes.post('/successor', perHour(tries?.successors ?? TRIES.successors), (request, response) => {
    const device = deviceOf(db, request, idOf(request), now());
    const next = parse(NewDeviceSchema, bodyOf(request));
    const admitted = succeed(db, device, next, now());
    streams.announceDevices(device.listId);
    welcome(request, response, next.id, admitted, publicUrl !== undefined);
  });

  routes.delete('/list', async (request, response) => {
    const device = deviceOf(db, request, idOf(request), now());
    refuseToManage(device);
    if (device.listId === openList)
      throw new ProblemError(409, 'open-list', 'This list is open to everyone and can’t be deleted');
    db.transaction((tx) => endList(tx, device.listId, now()));
    streams.endList(device.listId);
    while (purgeSome(db, device.listId)) await new Promise((resolve) => setImmediate(resolve));
    await erasure.finish();
    response.status(204).end();
  });

  return routes;
}
