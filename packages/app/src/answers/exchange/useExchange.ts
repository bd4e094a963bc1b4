import { useWorker, type AskWorker as Ask } from '@/answers/useWorker';

import type { ExchangeWorkerApi } from './workerApi';

export type AskWorker = Ask<ExchangeWorkerApi>;

/** The way to ask the worker of import and export. */
export function useExchange(): AskWorker {
  return useWorker<ExchangeWorkerApi>('/exchange-worker.js');
}
