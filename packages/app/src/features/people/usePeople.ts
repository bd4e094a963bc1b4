import type { DecodeProblem } from '@yellow-latch/core/exchange';
import type { CardMatch } from '@yellow-latch/core/people';
import { matchCards } from '@yellow-latch/core/people/update';
import { useEffect, useMemo, useState } from 'react';

import { LARGEST_CARDS } from '@/answers/people/limits';
import type { People, PeopleWorkerApi } from '@/answers/people/workerApi';
import { useWorker } from '@/answers/useWorker';
import { useList } from '@/frame/replica/ReplicaProvider';

interface PeopleState {
  readonly phase: 'none' | 'reading' | 'read' | 'failed';
  readonly people: People | null;
  readonly problem: DecodeProblem | null;
  /** What of it is on the list, and what has changed. */
  readonly match: CardMatch | null;
  /** Those with numbers of their own; ISO 3166-1. */
  readonly countries: readonly string[];
  readonly home: string;
  readonly setHome: (home: string) => void;
  readonly open: (file: File) => Promise<void>;
}

/** Where a browser’s language says nothing of a country; ISO 3166-1. */
// eslint-disable-next-line lingui/no-unlocalized-strings -- a code
const BRITAIN = 'GB';

/** The country whose numbers are written without it: that of the browser’s language. */
function usualHome(): string {
  return new Intl.Locale(navigator.language).maximize().region ?? BRITAIN;
}

/** A file of cards, read in the worker; read anew when the country is another. */
export function usePeople(): PeopleState {
  const ask = useWorker<PeopleWorkerApi>('/people-worker.js');
  const { shortcuts } = useList();
  const [home, setHome] = useState(usualHome);
  const [countries, setCountries] = useState<readonly string[]>([]);
  const [serial, setSerial] = useState(0);
  const [phase, setPhase] = useState<PeopleState['phase']>('none');
  const [answer, setAnswer] = useState<People | DecodeProblem | null>(null);
  useEffect(() => {
    // Without them the usual one can be left, and no other chosen.
    ask((api) => api.countries()).then(setCountries, () => {});
  }, [ask]);
  useEffect(() => {
    if (serial === 0) return;
    let isOver = false;
    ask((api) => api.read(home) as Promise<People | DecodeProblem | null>).then(
      (read) => {
        if (isOver) return;
        setAnswer(read);
        setPhase('read');
      },
      () => !isOver && setPhase('failed'),
    );
    return () => {
      isOver = true;
    };
  }, [ask, serial, home]);
  const people = answer !== null && 'cards' in answer ? answer : null;
  const cards = people?.cards;
  const match = useMemo(() => (cards ? matchCards(cards, shortcuts) : null), [cards, shortcuts]);
  return {
    phase,
    people,
    problem: answer !== null && 'type' in answer ? answer : null,
    match,
    countries,
    home,
    setHome,
    open: async (file) => {
      setAnswer(null);
      if (file.size > LARGEST_CARDS) {
        setAnswer({ type: 'too-large', limit: LARGEST_CARDS, found: file.size });
        setPhase('read');
        return;
      }
      setPhase('reading');
      try {
        const bytes = new Uint8Array(await file.arrayBuffer());
        const likely = await ask((api) => api.open(bytes));
        if (likely !== null) setHome(likely);
        setSerial((before) => before + 1);
      } catch {
        setPhase('failed');
      }
    },
  };
}
