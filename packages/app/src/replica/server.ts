import {
  PageSchema,
  ProblemSchema,
  WelcomeSchema,
  type Change,
  type NewDevice,
  type Page,
  type Problem,
  type Welcome,
} from '@yellow-latch/core/sync';

/** The server answered, and said no. */
export class RefusedError extends Error {
  readonly refusal = true;

  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }
}

export function isRefusal(error: unknown): error is RefusedError {
  return (error as Partial<RefusedError> | null)?.refusal === true;
}

/** No answer in this time, in ms, is no answer. */
const PATIENCE = 15_000;

async function ask<T>(
  path: string,
  schema: { parse(value: unknown): unknown },
  body?: unknown,
): Promise<T> {
  const response = await fetch(path, {
    method: body === undefined ? 'GET' : 'POST',
    headers: body === undefined ? undefined : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
    credentials: 'same-origin',
    signal: AbortSignal.timeout(PATIENCE),
  });
  const answer: unknown = await response.json();
  if (!response.ok) throw new RefusedError(ProblemSchema.parse(answer));
  return schema.parse(answer) as T;
}

/** The server as one device sees it. A failed connection rejects with the browser's own error. */
export const server = {
  join: (device: NewDevice) => ask<Welcome>('/api/devices', WelcomeSchema, device),
  push: (device: string, since: number, changes: Change[]) =>
    ask<Page>(`/api/d/${device}/changes?since=${since}`, PageSchema, { changes }),
  pull: (device: string, since: number) =>
    ask<Page>(`/api/d/${device}/pages?since=${since}`, PageSchema),
  follow: (device: string, since: number) =>
    new EventSource(`/api/d/${device}/stream?since=${since}`),
};

export type Server = typeof server;
