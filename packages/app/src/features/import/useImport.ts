import { t } from '@lingui/core/macro';
import type { ImportChoice } from '@yellow-latch/core/exchange/choice';
import { useEffect, useMemo, useState } from 'react';

import type { Choices as ReadAs, FileProblem, Preview } from '@/answers/exchange/workerApi';
import { LARGEST_FILE } from '@/answers/exchange/limits';
import { useExchange } from '@/answers/exchange/useExchange';
import { addUses } from '@yellow-latch/replica/storage/uses';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { MANY_AT_ONCE, planOffer } from '@/parts/planOffer';

import {
  importing,
  REST_PARTS,
  type Choices,
  type Import,
  type RestPart,
} from '@yellow-latch/replica/commands/importing';

import { tellImported } from './words';

/** What is open: a file or a pasted text. `serial` tells one from the next. */
export interface Source {
  readonly name: string;
  readonly serial: number;
}

let serial = 0;
const NO_CHOICES: Choices = new Map();

/** A file on its way in: how it is read, what would become of each row, what a person decides of it, and the command of it all. */
export function useImport() {
  const current = useList();
  // While it is being imported, what is shown stays as it was: nothing is worked out anew against the list it has become.
  const [before, setBefore] = useState<typeof current | null>(null);
  const list = before ?? current;
  const { replica } = useOpened();
  const run = useCommand();
  const ask = useExchange();
  const [source, setSource] = useState<Source | null>(null);
  const [readAs, setReadAs] = useState<ReadAs>({});
  const [opened, setOpened] = useState(0);
  const [result, setResult] = useState<Preview | FileProblem | { type: 'failed' } | null>(null);
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const [into, setInto] = useState<Import['into']>(null);
  const [keepsSecrets, setKeepsSecrets] = useState(true);
  const [left, setLeft] = useState<readonly RestPart[]>([]);
  const { shortcuts, sets } = list;

  useEffect(() => {
    if (source === null) return;
    let isOver = false;
    ask((api) => api.preview(readAs, { shortcuts, sets }) as Promise<Preview | FileProblem>).then(
      (next) => {
        if (!isOver) setResult(next);
      },
      () => {
        if (!isOver) setResult({ type: 'failed' });
      },
    );
    return () => {
      isOver = true;
    };
  }, [ask, source, readAs, opened, shortcuts, sets]);

  const open = async (name: string, bytes: Uint8Array) => {
    serial += 1;
    setResult(null);
    setReadAs({});
    setChoices(NO_CHOICES);
    setLeft([]);
    await ask((api) => api.open(bytes)).catch(() => setResult({ type: 'failed' }));
    setSource({ name, serial });
  };
  const preview = result !== null && !('type' in result) ? result : null;
  const restParts = REST_PARTS.filter((part) => !left.includes(part));
  const plan = useMemo(
    () =>
      preview
        ? importing(
            {
              rows: preview.rows,
              choices,
              fileSets: preview.sets,
              into,
              keepsSecrets,
              rest: preview.rest,
              restParts: REST_PARTS.filter((part) => !left.includes(part)),
            },
            list,
            (type, id) => replica.recordOf(type, id) !== undefined,
          )
        : null,
    [preview, choices, into, keepsSecrets, left, list, replica],
  );

  return {
    source,
    result,
    preview,
    readAs,
    /** Another reading makes other rows: what was decided of the old ones goes. */
    readOtherwise: (next: ReadAs) => {
      setChoices(NO_CHOICES);
      setReadAs(next);
    },
    choices,
    choose: (rows: readonly number[], choice: ImportChoice | null) => {
      const next = new Map(choices);
      for (const row of rows) {
        if (choice === null) next.delete(row);
        else next.set(row, choice);
      }
      setChoices(next);
    },
    chooseEach: (some: ReadonlyMap<number, ImportChoice>) => setChoices(new Map([...choices, ...some])),
    into,
    setInto,
    keepsSecrets,
    setKeepsSecrets,
    restParts,
    setRestPart: (part: RestPart, isIncluded: boolean) =>
      setLeft(isIncluded ? left.filter((one) => one !== part) : [...left, part]),
    plan,
    openText: (text: string) => open(t`Pasted text`, new TextEncoder().encode(text)),
    openFile: async (file: File) => {
      if (file.size <= LARGEST_FILE) return open(file.name, new Uint8Array(await file.arrayBuffer()));
      serial += 1;
      setSource({ name: file.name, serial });
      setResult({ type: 'too-large', limit: LARGEST_FILE, found: file.size });
    },
    close: () => {
      setSource(null);
      setResult(null);
    },
    unseal: async (passphrase: string) => {
      const isRight = await ask((api) => api.unseal(passphrase));
      if (isRight) setOpened((count) => count + 1);
      return isRight;
    },
    /** Does all of it, or nothing. */
    bringIn: async () => {
      if (!plan || plan.command.writes.length === 0) return;
      const { made, changed } = plan;
      setBefore(current);
      try {
        await run(plan.command, tellImported(made, changed));
        if (made >= MANY_AT_ONCE) planOffer.set(made);
        await addUses(replica.db, plan.uses);
      } catch (error) {
        setBefore(null);
        throw error;
      }
    },
  };
}

export type Importer = ReturnType<typeof useImport>;
