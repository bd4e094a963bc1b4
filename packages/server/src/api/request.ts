/** What is read of a request, before anything is done for it. */
import type { IncomingMessage } from 'node:http';

import { EXTENSION_ORIGIN, type Welcome } from '@yellow-latch/core/sync';
import { parseCookie, stringifySetCookie } from 'cookie';
import type { Request, Response } from 'express';
import type { z } from 'zod';

import type { Database } from '../database';
import { recogniseDevice, type Device } from '../devices';
import type { Admitted } from '../lists';
import { invalidBody, ProblemError } from '../problem';

const COOKIE = 'yellow-latch-token';
const YEAR = 365 * 24 * 3_600;

/** Tells a device that it is in, and gives it its token: in a cookie, or in the answer where our extension asks. `isPublic`: it has a public address, which is https whatever a proxy says or omits. */
export function welcome(
  request: Request,
  response: Response,
  device: string,
  { list, token }: Admitted,
  isPublic: boolean,
): void {
  const body: Welcome = { device, list: { id: list.id, name: list.name } };
  response.status(201);
  if (isOurExtension(request)) response.json({ ...body, token } satisfies Welcome);
  else response.setHeader('Set-Cookie', tokenCookie(device, token, isPublic || request.secure)).json(body);
}

/** The cookie that a device shows from now on, on its own path and nowhere else. */
function tokenCookie(device: string, token: string, secure: boolean): string {
  return stringifySetCookie({
    name: COOKIE,
    value: token,
    path: `/api/d/${device}`,
    httpOnly: true,
    sameSite: 'strict',
    secure,
    maxAge: YEAR,
  });
}

/** What of a request the checks look at, whoever reads the rest of it. */
export type Asking = Pick<IncomingMessage, 'headers'>;

/** The largest body that is read, in bytes; and of one who has shown no token, or asks for no push. */
export const LARGEST_BODY = 1_048_576;
export const LARGEST_SMALL_BODY = 65_536;

/** The device whose path it is; whether it is that device that asks, its token tells. */
export function idOf(request: Request): string {
  return (request.params as { device: string }).device;
}

/** The device that asks, by its token. */
export function deviceOf(db: Database, request: Asking, id: string, now: number): Device {
  return recogniseDevice(db, id, tokenOf(request), now);
}

/**
 * The token that a request shows: in its cookie or, as no page could send it from elsewhere, in a header (RFC 6750). A request
 * that shows two is refused: it would not be clear who asks.
 */
export function tokenOf({ headers }: Asking): string | undefined {
  const { cookie = '', authorization = '' } = headers;
  const shown = cookie.split(';').filter((pair) => pair.trim().startsWith(`${COOKIE}=`));
  const bearer = /^Bearer ([\w.~+/-]+=*)$/iu.exec(authorization)?.[1];
  if (shown.length + (bearer === undefined ? 0 : 1) > 1)
    throw new ProblemError(400, 'two-identities', 'This request shows two tokens');
  return bearer ?? parseCookie(cookie)[COOKIE];
}

export function parse<T>(schema: z.ZodType<T>, value: unknown): T {
  const result = schema.safeParse(value);
  if (!result.success) throw invalidBody(result.error);
  return result.data;
}

export function bodyOf(request: Request): unknown {
  if (!isJson(request.headers['content-type'])) {
    throw new ProblemError(415, 'not-json', 'Send the request body as application/json');
  }
  return request.body as unknown;
}

/** Whether a body says that it is JSON. A page of another site can send other types without asking first. */
export function isJson(contentType: string | undefined): boolean {
  return contentType !== undefined && /^application\/json\s*(;|$)/iu.test(contentType);
}

/** A page of another site may not write here, even where its browser sends the cookie along. Our extension may. */
export function refuseForeignPages(request: Asking): void {
  if (isOurExtension(request)) return;
  const { headers } = request;
  const { origin, host } = headers;
  const site = headers['sec-fetch-site'];
  if ((origin !== undefined && hostOf(origin) !== host) || site === 'cross-site' || site === 'same-site') {
    throw new ProblemError(403, 'foreign-origin', 'This page belongs to another address');
  }
}

function isOurExtension({ headers: { origin } }: Asking): boolean {
  return origin === EXTENSION_ORIGIN;
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
