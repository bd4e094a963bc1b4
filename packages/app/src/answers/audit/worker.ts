/** The page's worker: heavy computation beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import { CodePlanWorkerApi } from '@/answers/codePlan/workerApi';
import { EffortWorkerApi } from '@/answers/effort/workerApi';
import { FitWorkerApi } from '@/answers/fit/workerApi';
import { ProposeWorkerApi } from '@/answers/propose/workerApi';

import { AuditWorkerApi } from './workerApi';
import type { WorkerApis } from './client';

const pause = () => new Promise<void>((resolve) => setTimeout(resolve, 0));
const audit = new AuditWorkerApi(async (name) => {
  const response = await fetch(`/language/${name}.json`);
  if (!response.ok) throw new Error(`${name}: ${response.status}`);
  return response.json() as Promise<unknown>;
}, pause);

const effort = new EffortWorkerApi(audit);
const apis: WorkerApis = {
  audit,
  effort,
  propose: new ProposeWorkerApi(audit, effort, pause),
  codePlan: new CodePlanWorkerApi(audit, effort, pause),
  fit: new FitWorkerApi(audit),
};
expose(apis);
