import type { ProblemSlug } from './problems';

/** What SQLite may run into on a disk (https://www.sqlite.org/rescode.html), and what is said of it. Nothing was taken. */
const TROUBLES: Record<string, [status: number, slug: ProblemSlug, title: string]> = {
  SQLITE_BUSY: [503, 'busy', 'Another program has locked the server’s data'],
  SQLITE_LOCKED: [503, 'busy', 'Another program has locked the server’s data'],
  SQLITE_FULL: [507, 'disk-full', 'The server’s disk is full'],
  SQLITE_READONLY: [503, 'read-only', 'The server can’t write its data'],
  SQLITE_CANTOPEN: [503, 'read-only', 'The server can’t write its data'],
  SQLITE_IOERR: [503, 'disk-fails', 'The server’s disk doesn’t respond'],
};

/** What an error says of the disk, or null if it is about something else. */
export function diskTrouble(error: unknown): { status: number; slug: ProblemSlug; title: string; code: string } | null {
  const code = (error as { code?: unknown } | null)?.code;
  if (typeof code !== 'string') return null;
  const trouble = Object.entries(TROUBLES).find(([start]) => code.startsWith(start))?.[1];
  if (!trouble) return null;
  const [status, slug, title] = trouble;
  return { status, slug, title, code };
}
