import { DeviceSettingsSchema, NewDeviceSchema, type Directory } from '@yellow-latch/core/sync';
import { Router } from 'express';

import { listDevices, setDevice, signOut } from '../devices';
import { invite, listOf, makeSpareKey, succeed, withdraw } from '../lists';
import type { ApiOptions } from '.';
import { bodyOf, deviceOf, idOf, parse, welcome } from './request';

/** The devices of a list: seen, named, let in and signed out. */
export function directoryRoutes({ db, streams, presence, now, publicUrl }: ApiOptions): Router {
  const routes = Router({ mergeParams: true });

  const directory = (listId: string): Directory => {
    const { id, name, spareKeyMadeAt } = listOf(db, listId);
    const devices = listDevices(db, listId, presence, (device) => streams.isOpen(device));
    return { list: { id, name }, devices, spareKey: spareKeyMadeAt, address: publicUrl ?? null };
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
    response.status(201).set('Cache-Control', 'no-store').json(invite(db, deviceOf(db, request, idOf(request), now()), now()));
  });

  routes.delete('/invitations/:code', (request, response) => {
    withdraw(db, deviceOf(db, request, idOf(request), now()), (request.params).code);
    response.status(204).end();
  });

  routes.post('/spare-key', (request, response) => {
    const spareKey = makeSpareKey(db, deviceOf(db, request, idOf(request), now()), now());
    response.status(201).set('Cache-Control', 'no-store').json({ spareKey });
  });

  routes.post('/successor', (request, response) => {
    const device = deviceOf(db, request, idOf(request), now());
    const next = parse(NewDeviceSchema, bodyOf(request));
    const admitted = succeed(db, device, next, now());
    streams.end(device.id);
    streams.announceDevices(device.listId);
    welcome(request, response, next.id, admitted);
  });

  return routes;
}

