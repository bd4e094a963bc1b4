import { isRefusal } from '@yellow-latch/replica/sync/server';

/** Why a program could not go on, in one sentence. */
export function tellFailure(error: unknown): string {
  if (isRefusal(error)) return error.message;
  const { message, cause, code, path } = error as NodeJS.ErrnoException;
  if (code === 'ENOENT') return `${path} is not there`;
  return cause instanceof Error ? `${message} (${cause.message})` : message;
}
