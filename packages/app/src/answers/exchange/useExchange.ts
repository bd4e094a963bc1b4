import { useEffect } from 'react';

import { useWorker, type AskWorker as Ask } from '@/answers/useWorker';
import { whenIdle } from '@/frame/moments';

import type { ExchangeWorkerApi } from './workerApi';

export type AskWorker = Ask<ExchangeWorkerApi>;

/** The way to ask the worker of import and export. It starts while somebody still looks for a file, or chooses. */
export function useExchange(): AskWorker {
  const ask = useWorker<ExchangeWorkerApi>('/exchange-worker.js');
  useEffect(() => whenIdle(() => void ask(() => Promise.resolve()).catch(() => {})), [ask]);
  return ask;
}
