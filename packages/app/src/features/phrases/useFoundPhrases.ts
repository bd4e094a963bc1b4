import { isMade } from '@yellow-latch/core/model';
import { markCode } from '@yellow-latch/core/convention/mark';
import { proxy } from 'comlink';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';

import { useNewMark } from '@/answers/effort/useNewMark';
import type { FoundPhrases, PhrasesWorkerApi, SentSource } from '@/answers/phrases/workerApi';
import { useEndableWorker } from '@/answers/useWorker';
import { useLatest } from '@/look/useLatest';
import { useList } from '@/frame/replica/ReplicaProvider';

import { useNever } from './useNever';

/** A code as long as most new ones are; what it is made of does not matter. */
const A_CODE = 'abc';

export type Phase = 'none' | 'reading' | 'read' | 'failed';

/** What somebody typed again and again in messages they opened, found in a worker; nothing is kept of it. */
export function useFoundPhrases() {
  const { ask, end } = useEndableWorker<PhrasesWorkerApi>('/phrases-worker.js');
  const { shortcuts, keyboards, ownKeyboards, languages } = useList();
  const mark = useNewMark();
  const never = useNever();
  const [phase, setPhase] = useState<Phase>('none');
  const [progress, setProgress] = useState(0);
  const [sources, setSources] = useState<readonly SentSource[]>([]);
  const [answer, setAnswer] = useState<FoundPhrases | null>(null);
  /** Counts questions: an answer that was overtaken or cancelled is not shown. */
  const latest = useRef(0);
  useEffect(() => {
    // It is fetched before there is anything to read, so that nothing goes over the network with messages at hand.
    ask((api) => api.ready()).catch(() => {});
  }, [ask]);
  const neverIds = useLatest(never.ids);
  const find = useCallback(
    (asked: readonly SentSource[], sender: string | null = null) => {
      latest.current += 1;
      const question = latest.current;
      setSources(asked);
      setPhase('reading');
      setProgress(0);
      const request = {
        sources: asked,
        list: shortcuts.flatMap(({ id, code, content }) =>
          isMade(content) ? [] : [{ id, code, text: content.expansion }],
        ),
        keyboards,
        ownKeyboards,
        languages,
        sampleCode: markCode(A_CODE, mark),
        never: [...neverIds.current],
        sender,
      };
      const onProgress = proxy((done: number) => {
        if (question === latest.current) setProgress(done);
      });
      ask((api) => api.find(request, onProgress)).then(
        (found) => {
          if (question !== latest.current) return;
          // Drawn piece by piece: many rows at once would hold the page up.
          startTransition(() => {
            setAnswer(found);
            setPhase('read');
          });
        },
        () => question === latest.current && setPhase('failed'),
      );
    },
    [ask, neverIds, shortcuts, keyboards, ownKeyboards, languages, mark],
  );
  const cancel = useCallback(() => {
    latest.current += 1;
    end();
    setPhase('none');
    setAnswer(null);
  }, [end]);
  return { phase, progress, sources, answer, find, cancel, never };
}

/** Files as sources; they are read in the worker. */
export function sourcesOf(files: readonly File[]): SentSource[] {
  return files.map((file) => ({ type: 'file', name: file.name, blob: file }));
}
