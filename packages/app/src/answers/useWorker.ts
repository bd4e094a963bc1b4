import { wrap, type ProxyMarked, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';

/** Asks the worker something. Rejects where the worker fails; the next question has a new one. */
export type AskWorker<Api> = <Answer>(question: (api: Remote<Api & ProxyMarked>) => Promise<Answer>) => Promise<Answer>;

/** The way to ask a worker of the page’s own: it is made for the first question and ended with the page. `path`: its file. */
export function useWorker<Api>(path: string): AskWorker<Api> {
  const held = useRef<{ worker: Worker; api: Remote<Api & ProxyMarked>; failed: Promise<never> } | null>(null);
  useEffect(
    () => () => {
      held.current?.worker.terminate();
      held.current = null;
    },
    [],
  );
  return useCallback(
    (question) => {
      held.current ??= start<Api>(path, () => {
        held.current = null;
      });
      const { api, failed } = held.current;
      return Promise.race([question(api), failed]);
    },
    [path],
  );
}

function start<Api>(path: string, onFailed: () => void) {
  const worker = new Worker(path);
  const failed = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      onFailed();
      reject(new Error(`the worker ${path} has ended`));
    });
  });
  failed.catch(() => {});
  return { worker, api: wrap<Api & ProxyMarked>(worker), failed };
}
