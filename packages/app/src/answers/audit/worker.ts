/** The page's worker: heavy computation beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import type { WorkerApis } from './client';
import type { FurtherApis } from './furtherApis';
import { AuditWorkerApi } from './workerApi';

const pause = () => new Promise<void>((resolve) => setTimeout(resolve, 0));
const audit = new AuditWorkerApi(async (name) => {
  const response = await fetch(`/language/${name}.json`);
  if (!response.ok) throw new Error(`${name}: ${response.status}`);
  return response.json() as Promise<unknown>;
}, pause);

let fetching: Promise<FurtherApis> | null = null;

function further(): Promise<FurtherApis> {
  fetching ??= import('./furtherApis').then(({ furtherApis }) => furtherApis(audit, pause));
  // What could not be fetched is asked for again the next time, where the browser does not remember that it failed.
  fetching.catch(() => (fetching = null));
  return fetching;
}

/** An API whose methods wait for it to be fetched. The page waits for any answer of a worker, so it sees no difference. */
function later<Name extends keyof FurtherApis>(name: Name): FurtherApis[Name] {
  return new Proxy({} as FurtherApis[Name], {
    get:
      (_target, method) =>
      async (...given: unknown[]) => {
        const api = (await further())[name];
        return Reflect.apply(Reflect.get(api, method) as (...given: unknown[]) => unknown, api, given);
      },
  });
}

const apis: WorkerApis = {
  audit,
  fixes: later('fixes'),
  ownText: later('ownText'),
  effort: later('effort'),
  propose: later('propose'),
  codePlan: later('codePlan'),
  fit: later('fit'),
};
expose(apis);
