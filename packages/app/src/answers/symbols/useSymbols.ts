import { useEffect, useState } from 'react';

import { useWorker, type AskWorker } from '@/answers/useWorker';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { SymbolsWorkerApi } from './workerApi';

export interface Symbols {
  readonly ask: AskWorker<SymbolsWorkerApi>;
  /** `coming` while the index is fetched; `missing` where it could not be had. */
  readonly phase: 'coming' | 'ready' | 'missing';
  readonly retry: () => void;
}

/** The index of symbols in the languages of the list, fetched when it is first asked for. */
export function useSymbols(): Symbols {
  const ask = useWorker<SymbolsWorkerApi>('/symbols-worker.js');
  const { languages } = useList();
  const wanted = languages.join();
  const [phase, setPhase] = useState<Symbols['phase']>('coming');
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let isOver = false;
    ask((api) => api.open(wanted.split(','))).then(
      () => !isOver && setPhase('ready'),
      () => !isOver && setPhase('missing'),
    );
    return () => {
      isOver = true;
    };
  }, [ask, wanted, tries]);
  return {
    ask,
    phase,
    retry: () => {
      setPhase('coming');
      setTries(tries + 1);
    },
  };
}

/** What the index answers to a question; null until it has. `key` says when to ask anew. */
export function useSymbolAnswer<Answer>(
  { ask, phase }: Symbols,
  key: string | null,
  question: (api: Parameters<Parameters<typeof ask>[0]>[0]) => Promise<Answer>,
): { readonly key: string; readonly answer: Answer } | null {
  const [answered, setAnswered] = useState<{ key: string; answer: Answer } | null>(null);
  useEffect(() => {
    if (phase !== 'ready' || key === null) return;
    let isOver = false;
    ask(question).then(
      (answer) => !isOver && setAnswered({ key, answer }),
      () => {},
    );
    return () => {
      isOver = true;
    };
    // The key says what is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ask, phase, key]);
  return answered;
}
