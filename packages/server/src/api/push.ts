import type { IncomingMessage, ServerResponse } from 'node:http';

import { PushSchema } from '@yellow-latch/core/sync';

import { recognisePusher } from '../devices';
import { asProblem, ProblemError } from '../problem';
import { requestIdHeader } from '../requests';
import type { ApiOptions } from './options';
import { isJson, LARGEST_BODY, parse, tokenOf, type Asking } from './request';

const PATH = /^\/api\/d\/([0-9a-f-]{36})\/changes(?:\?|$)/u;

/** Receives a push and tells the streams of it. */
export async function receivePush(
  { db, intake, streams, now }: ApiOptions,
  request: Asking,
  deviceId: string,
  body: () => unknown,
): Promise<{ taken: number; through: number }> {
  const device = recognisePusher(db, deviceId, tokenOf(request), now());
  const { changes } = parse(PushSchema, await body());
  const { changed, acknowledged, through, erased } = await intake.enqueue({ device, changes, now: now() });
  if (changed) streams.announce(device.listId);
  await erased;
  return { taken: acknowledged, through };
}

/**
 * A push is what is asked far more often than all else. It is answered before Express: the same checks by the same
 * functions, without the work of routing and parsing that Express does for any request (bench `commits`). Returns whether
 * the request was a push.
 */
export function pushLane(
  api: ApiOptions,
  guards: readonly ((request: Asking) => void)[],
  headers: Readonly<Record<string, string>>,
) {
  const ours = Object.entries(headers).flat();
  return (request: IncomingMessage, response: ServerResponse): boolean => {
    const device = request.method === 'POST' ? PATH.exec(request.url ?? '')?.[1] : undefined;
    if (device === undefined) return false;
    const answer = (status: number, type: string, body: unknown) => {
      const text = JSON.stringify(body);
      response
        .writeHead(status, [
          ...ours,
          ...Object.entries(requestIdHeader(response)).flat(),
          'Content-Type',
          type,
          'Content-Length',
          String(Buffer.byteLength(text)),
        ])
        .end(text);
    };
    const push = async () => {
      for (const guard of guards) guard(request);
      return receivePush(api, request, device, () => readJson(request));
    };
    push().then(
      (received) => answer(200, 'application/json; charset=utf-8', received),
      (error: unknown) => {
        const problem = asProblem(error, response);
        // What is still to come of the body is of no use any more.
        request.resume();
        if (problem.status === 413) response.setHeader('Connection', 'close');
        answer(problem.status, 'application/problem+json', problem.body);
      },
    );
    return true;
  };
}

async function readJson(request: IncomingMessage): Promise<unknown> {
  if (!isJson(request.headers['content-type']))
    throw new ProblemError(415, 'not-json', 'Send the request body as application/json');
  if (request.headers['content-encoding'] !== undefined)
    throw new ProblemError(415, 'encoded', 'Send the request body as it is, not compressed');
  if (Number(request.headers['content-length'] ?? 0) > LARGEST_BODY) throw tooLarge();
  const text = await new Promise<string>((resolve, reject) => {
    const chunks: Buffer[] = [];
    let size = 0;
    request.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size > LARGEST_BODY) reject(tooLarge());
      else chunks.push(chunk);
    });
    request.on('end', () => resolve(Buffer.concat(chunks).toString('utf8')));
    request.on('close', () => {
      if (!request.complete) reject(new ProblemError(400, 'cut', 'The request was cut off'));
    });
    request.on('error', reject);
  });
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new ProblemError(400, 'not-json', 'The request body is not JSON');
  }
}

function tooLarge(): ProblemError {
  return new ProblemError(413, 'too-large', 'The request body is too large', {
    detail: 'At most 1 MB is taken at once; send fewer changes.',
  });
}
