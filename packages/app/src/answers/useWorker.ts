import { wrap, type ProxyMarked, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef } from 'react';

/** Asks the worker something. Rejects where the worker fails; the next question has a new one. */
export type AskWorker<Api> = <Answer>(question: (api: Remote<Api & ProxyMarked>) => Promise<Answer>) => Promise<Answer>;

/** The way to ask a worker of the page’s own: it is made for the first question and ended with the page. `path`: its file. */
export function useWorker<Api>(path: string): AskWorker<Api> {
  return useEndableWorker<Api>(path).ask;
}

/** The same with the way to end it in the middle of its work: what was asked is not answered, the next question has a new one. */
export function useEndableWorker<Api>(path: string): { readonly ask: AskWorker<Api>; readonly end: () => void } {
  const held = useRef<{ worker: Worker; api: Remote<Api & ProxyMarked>; failed: Promise<never> } | null>(null);
  useEffect(
    () => () => {
      held.current?.worker.terminate();
      held.current = null;
    },
    [],
  );
  const ask: AskWorker<Api> = useCallback(
    (question) => {
      held.current ??= start<Api>(path, () => {
        held.current = null;
      });
      const { api, failed } = held.current;
      return Promise.race([question(api), failed]);
    },
    [path],
  );
  const end = useCallback(() => {
    held.current?.worker.terminate();
    held.current = null;
  }, []);
  return useMemo(() => ({ ask, end }), [ask, end]);
}

function start<Api>(path: string, onFailed: () => void) {
  const worker = new Worker(path, { type: 'module' });
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
