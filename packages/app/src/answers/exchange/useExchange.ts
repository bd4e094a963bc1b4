import { wrap, type ProxyMarked, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';

import type { ExchangeWorkerApi } from './workerApi';

/** The API as the page reaches it. */
export type RemoteApi = Remote<ExchangeWorkerApi & ProxyMarked>;

export type AskWorker = <Content>(question: (api: RemoteApi) => Promise<Content>) => Promise<Content>;

/**
 * The way to ask the worker of import and export. It is made for the first question and ended with the page; one that fails
 * is told of by the question, and the next one has a new worker.
 */
export function useExchange(): AskWorker {
  const held = useRef<{ worker: Worker; api: RemoteApi; failed: Promise<never> } | null>(null);
  useEffect(
    () => () => {
      held.current?.worker.terminate();
      held.current = null;
    },
    [],
  );
  return useCallback((question) => {
    held.current ??= start(() => {
      held.current = null;
    });
    const { api, failed } = held.current;
    return Promise.race([question(api), failed]);
  }, []);
}

function start(onFailed: () => void) {
  const worker = new Worker('/exchange-worker.js');
  const failed = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      onFailed();
      reject(new Error('the worker of import and export has ended'));
    });
  });
  failed.catch(() => {});
  return { worker, api: wrap<ExchangeWorkerApi & ProxyMarked>(worker) as RemoteApi, failed };
}
