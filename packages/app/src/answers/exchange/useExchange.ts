import { wrap, type ProxyMarked, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';

import type { ExchangeDesk } from './desk';

/** The desk as the page reaches it. */
export type RemoteDesk = Remote<ExchangeDesk & ProxyMarked>;

export type AskDesk = <Content>(question: (desk: RemoteDesk) => Promise<Content>) => Promise<Content>;

/**
 * The way to ask the worker of import and export. It is made for the first question and ended with the page; one that fails
 * is told of by the question, and the next one has a new worker.
 */
export function useExchange(): AskDesk {
  const held = useRef<{ worker: Worker; desk: RemoteDesk; failed: Promise<never> } | null>(null);
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
    const { desk, failed } = held.current;
    return Promise.race([question(desk), failed]);
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
  return { worker, desk: wrap<ExchangeDesk & ProxyMarked>(worker) as RemoteDesk, failed };
}
