/** The audit's worker: heavy computation beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import { AuditDesk } from './desk';

const desk = new AuditDesk(
  async (name) => {
    const response = await fetch(`/language/${name}.json`);
    if (!response.ok) throw new Error(`${name}: ${response.status}`);
    return response.json() as Promise<unknown>;
  },
  () => new Promise((resolve) => setTimeout(resolve, 0)),
);

expose(desk);
