/** What the worker does beside the check: fetched when it is first asked for, so that the check comes sooner. */
import { CodePlanWorkerApi } from '@/answers/codePlan/workerApi';
import { EffortWorkerApi } from '@/answers/effort/workerApi';
import { FitWorkerApi } from '@/answers/fit/workerApi';
import { FixesWorkerApi } from '@/answers/fixes/workerApi';
import { OwnTextWorkerApi } from '@/answers/ownText/workerApi';
import { ProposeWorkerApi } from '@/answers/propose/workerApi';

import type { WorkerApis } from './client';
import type { AuditWorkerApi } from './workerApi';

export type FurtherApis = Omit<WorkerApis, 'audit'>;

/** `pause` lets messages in between two steps. */
export function furtherApis(audit: AuditWorkerApi, pause: () => Promise<void>): FurtherApis {
  const effort = new EffortWorkerApi(audit);
  return {
    fixes: new FixesWorkerApi(audit),
    ownText: new OwnTextWorkerApi(audit),
    effort,
    propose: new ProposeWorkerApi(audit, effort, pause),
    codePlan: new CodePlanWorkerApi(audit, effort, pause),
    fit: new FitWorkerApi(audit),
  };
}
