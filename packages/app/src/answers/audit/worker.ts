/** The page's worker: heavy computation beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import { EffortDesk } from '@/answers/effort/desk';

import { AuditDesk } from './desk';
import type { Desks } from './client';

const audit = new AuditDesk(
  async (name) => {
    const response = await fetch(`/language/${name}.json`);
    if (!response.ok) throw new Error(`${name}: ${response.status}`);
    return response.json() as Promise<unknown>;
  },
  () => new Promise((resolve) => setTimeout(resolve, 0)),
);

const desks: Desks = { audit, effort: new EffortDesk(audit) };
expose(desks);
