/** What the server tells whoever runs it. Nothing that a person wrote, no token, no code and no address goes in. */
import { pino, type Logger } from 'pino';
import pretty from 'pino-pretty';

import { diskTrouble } from './disk';
import type { Settings } from './settings';

const STANDARD_ERROR = 2;

let current: Logger = pino({ level: 'silent' });

/** The log, as it was opened last; until then it is silent. */
export function log(): Logger {
  return current;
}

/** Takes another log; for tests. */
export function setLog(other: Logger): void {
  current = other;
}

/** Logs to standard error from now on: readable lines in a terminal, else one JSON document a line. */
export function openLog({ level, format }: Settings['log'], isTerminal: boolean): void {
  const isPretty = (format ?? (isTerminal ? 'pretty' : 'json')) === 'pretty';
  const options = { level: level ?? (isTerminal ? 'warn' : 'info'), base: undefined };
  current = isPretty
    ? pino(options, pretty({ destination: STANDARD_ERROR, sync: true, colorize: isTerminal, singleLine: true }))
    : pino(
        { ...options, timestamp: pino.stdTimeFunctions.isoTime },
        pino.destination({ dest: STANDARD_ERROR, sync: true }),
      );
}

/** Logs what failed, by its kind alone. `more`: what else may be told of it. */
export function logFailure(
  what: string,
  error: unknown,
  more: Readonly<Record<string, string | undefined>> = {},
): void {
  const trouble = diskTrouble(error);
  const { name, code } = error as { name?: string; code?: string };
  current.error({ ...more, error: trouble?.title ?? name ?? 'error', code: trouble?.code ?? code }, what);
}
