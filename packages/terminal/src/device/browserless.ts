/** What a replica finds in a browser, for a program without one: a database in memory, a place to note its id, cookies. */
import 'fake-indexeddb/auto';

import { noteIn } from '@yellow-latch/replica/storage/currentDevice';

const kept = new Map<string, string>();

// Which device the program is, it notes as long as it runs.
noteIn({
  getItem: (key) => kept.get(key) ?? null,
  setItem: (key, value) => void kept.set(key, value),
  removeItem: (key) => void kept.delete(key),
});

/** From now on the paths that a page would ask for go to this server, with the cookie that it gave. Returns what tells that cookie. */
export function pageOf(address: string, known = ''): () => string {
  const asked = globalThis.fetch;
  let cookie = known;
  globalThis.fetch = async (path, init) => {
    const headers = new Headers(init?.headers);
    if (cookie !== '') headers.set('cookie', cookie);
    const response = await asked(new URL(path as string, address), { ...init, headers });
    const [given] = response.headers.getSetCookie();
    if (given !== undefined) cookie = given.split(';')[0]!;
    return response;
  };
  return () => cookie;
}
