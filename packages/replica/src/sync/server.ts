import {
  DirectorySchema,
  DoorSchema,
  HistorySchema,
  InvitationSchema,
  PageSchema,
  ProblemSchema,
  SpareKeySchema,
  PushAnswerSchema,
  WelcomeSchema,
  type Change,
  type DeviceSettings,
  type Directory,
  type Door,
  type History,
  type Invitation,
  type NewDevice,
  type NewList,
  type Page,
  type Problem,
  type PushAnswer,
  type Welcome,
} from '@yellow-latch/core/sync';
import { MODEL_VERSION } from '@yellow-latch/core/model';
import type { z } from 'zod';

import type { Position } from '../storage/replica';
import { line } from './line';
import { reach } from './reach';

/** The server answered, and said no. */
export class RefusedError extends Error {
  readonly refusal = true;

  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }

  /** The last part of the problem's type. */
  get slug(): string {
    return this.problem.type.split('/').at(-1)!;
  }
}

export function isRefusal(error: unknown): error is RefusedError {
  return (error as Partial<RefusedError> | null)?.refusal === true;
}

/** No answer in this time, in ms, is no answer. */
const PATIENCE = 15_000;

interface Asked {
  method?: 'POST' | 'PATCH' | 'DELETE';
  body?: unknown;
}

async function ask<T>(path: string, schema: z.ZodType<T> | null, { method, body }: Asked = {}): Promise<T> {
  line.check();
  const { address, asking } = reach();
  const { headers, ...asked } = asking();
  const response = await fetch(`${address}/api${path}`, {
    ...asked,
    method,
    headers: body === undefined ? headers : { ...headers, 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
    signal: AbortSignal.timeout(PATIENCE),
  });
  if (!response.ok) throw new RefusedError(ProblemSchema.parse(await response.json()));
  return schema ? schema.parse(await response.json()) : (undefined as T);
}

const post = <T>(path: string, schema: z.ZodType<T>, body: unknown = {}) => ask(path, schema, { method: 'POST', body });

/** Asks to be let in, or to go on as another device. */
async function getIn(path: string, body: unknown): Promise<Welcome> {
  const welcome = await post(path, WelcomeSchema, body);
  await reach().onWelcome?.(welcome);
  return welcome;
}

function queryOf({ since, last }: Position): string {
  return `since=${since}${last === null ? '' : `&last=${last}`}&model=${MODEL_VERSION}`;
}

/** Settings as they are sent. */
function sent({ subscribedSets, ...settings }: DeviceSettings) {
  return subscribedSets === undefined ? settings : { ...settings, takes: subscribedSets };
}

/** The server as one device sees it. A failed connection rejects with the browser's own error. */
export const server = {
  door: (): Promise<Door> => ask('/door', DoorSchema),
  enter: (device: NewDevice): Promise<Welcome> => getIn('/devices', device),
  begin: (list: NewList['list'], device: NewDevice): Promise<Welcome> => getIn('/lists', { list, device }),
  join: (code: string, device: NewDevice): Promise<Welcome> => getIn('/joins', { code, device }),
  recover: (spareKey: string, device: NewDevice): Promise<Welcome> => getIn('/recoveries', { spareKey, device }),
  succeed: (device: string, next: NewDevice): Promise<Welcome> => getIn(`/d/${device}/successor`, next),

  push: (device: string, changes: Change[]): Promise<PushAnswer> =>
    post(`/d/${device}/changes`, PushAnswerSchema, { changes }),
  pull: (device: string, from: Position): Promise<Page> =>
    ask(`/d/${device}/pages?${queryOf(from)}`, PageSchema as z.ZodType<Page>),
  openStream: (device: string, from: Position) =>
    line.follow(() => reach().openStream(`${reach().address}/api/d/${device}/stream?${queryOf(from)}`)),

  history: (device: string, query: Record<string, string>): Promise<History> =>
    ask(
      `/d/${device}/history?${String(new URLSearchParams({ ...query, model: String(MODEL_VERSION) }))}`,
      HistorySchema as z.ZodType<History>,
    ),
  directory: (device: string): Promise<Directory> => ask(`/d/${device}/devices`, DirectorySchema),
  setDevice: (device: string, other: string, settings: DeviceSettings): Promise<Directory> =>
    ask(`/d/${device}/devices/${other}`, DirectorySchema, { method: 'PATCH', body: sent(settings) }),
  signOut: (device: string, other: string): Promise<Directory> =>
    ask(`/d/${device}/devices/${other}`, DirectorySchema, { method: 'DELETE' }),
  invite: (device: string): Promise<Invitation> => post(`/d/${device}/invitations`, InvitationSchema),
  withdraw: (device: string, code: string): Promise<void> =>
    ask<void>(`/d/${device}/invitations/${code}`, null, { method: 'DELETE' }),
  /** Deletes the list, for all of its devices. */
  deleteList: (device: string): Promise<void> => ask<void>(`/d/${device}/list`, null, { method: 'DELETE' }),
  makeSpareKey: async (device: string): Promise<string> =>
    (await post(`/d/${device}/spare-key`, SpareKeySchema)).spareKey,
};

export type Server = typeof server;
/** What of the server keeps a device in step. */
export type SyncServer = Pick<Server, 'door' | 'enter' | 'begin' | 'succeed' | 'push' | 'pull' | 'openStream'>;
