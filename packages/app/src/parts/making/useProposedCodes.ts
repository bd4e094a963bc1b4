import type { AuditedShortcut } from '@yellow-latch/core/clash';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { WantedShortcut } from './wanted';

/** As the check is told of one that is not made yet; its key is of no shortcut. */
function draftOf(
  { key, text, kind, isTemplate = false, rules = {} }: WantedShortcut,
  code: string,
  setId: string | null,
): AuditedShortcut {
  return {
    id: `~${key}`,
    code,
    content: { expansion: text, template: isTemplate, format: 'plain' },
    kind,
    setId,
    rules,
  };
}

interface ProposedCodes {
  /** Codes by key; null until they were proposed. */
  readonly codes: Readonly<Record<string, string>> | null;
  /** How many of them are proposed, from 0 to 1. */
  readonly progress: number;
}

/** Codes for all that are to be made, none of which gets in the way of another; those that come with one keep it. */
export function useProposedCodes(wanted: readonly WantedShortcut[], setId: string | null): ProposedCodes {
  const { client, state } = useAudit();
  const { conventions, keyboards, ownKeyboards } = useList();
  const [answer, setAnswer] = useState<{ wanted: readonly WantedShortcut[]; codes: Record<string, string> } | null>(
    null,
  );
  const [progress, setProgress] = useState(0);
  const isReady = state.result !== null;
  useEffect(() => {
    let isOver = false;
    const given = Object.fromEntries(wanted.flatMap(({ key, code }) => (code === undefined ? [] : [[key, code]])));
    const asked = wanted.filter(({ code }) => code === undefined);
    const take = (codes: readonly string[] | null) => {
      if (isOver) return;
      setAnswer({
        wanted,
        codes: { ...given, ...Object.fromEntries(asked.map(({ key }, at) => [key, codes?.[at] ?? ''])) },
      });
    };
    if (asked.length === 0) {
      take([]);
      return;
    }
    void client
      .ask(
        ({ propose }) =>
          propose.proposeAll(
            asked.map((one) => ({
              shortcut: draftOf(one, '', setId),
              called: one.called,
              isNamed: one.isNamed ?? false,
            })),
            { conventions, keyboards, ownKeyboards },
            proxy((done: number) => {
              if (!isOver) setProgress(done);
            }),
          ) as Promise<readonly string[] | null>,
      )
      .then(take);
    return () => {
      isOver = true;
      void client.ask(({ propose }) => propose.cancel());
    };
    // Asked again when the list was checked for the first time; a later edit changes nothing that one has seen.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, wanted, isReady]);
  return { codes: answer?.wanted === wanted ? answer.codes : null, progress };
}

/** More than these are not looked at together: they were proposed to be safe. */
const MOST_JUDGED = 300;
/** How long codes must rest before they are judged, in ms. */
const REST = 250;

/** The worst that the check would find about each, by key, if all were made so; those about which nothing is are not in it. */
export function useSeverities(
  wanted: readonly WantedShortcut[],
  codes: Readonly<Record<string, string>> | null,
  setId: string | null,
): ReadonlyMap<string, Severity> {
  const { client } = useAudit();
  const [found, setFound] = useState<ReadonlyMap<string, Severity>>(new Map());
  useEffect(() => {
    if (codes === null || wanted.length > MOST_JUDGED) return;
    let isOver = false;
    const timer = setTimeout(() => {
      const drafts = wanted.filter(({ key }) => codes[key]).map((one) => draftOf(one, codes[one.key]!, setId));
      void client
        .ask(({ propose }) => propose.judge(drafts) as Promise<readonly (Severity | null)[] | null>)
        .then((severities) => {
          if (isOver || !severities) return;
          setFound(new Map(drafts.flatMap(({ id }, at) => (severities[at] ? [[id.slice(1), severities[at]]] : []))));
        });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [client, wanted, codes, setId]);
  return found;
}
