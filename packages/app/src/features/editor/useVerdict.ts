import type { AuditedShortcut } from '@yellow-latch/core/clash';
import { conventionFor } from '@yellow-latch/core/convention/recognise';
import { checkCode, trimCode, type AskedRules, type Content, type Kind } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { Verdict } from '@/answers/audit/client';
import { useList } from '@/frame/replica/ReplicaProvider';

import { rulesOf } from './form';

/** A shortcut that is not saved yet is the youngest of all. */
const NEW_ID = '~new';
/** How long the code must rest before it is judged, in ms. */
const REST = 120;

/** A shortcut as it stands in the form. */
export interface Draft {
  readonly id: string | null;
  readonly code: string;
  readonly expansion: string;
  readonly template: boolean;
  readonly format: Content['format'];
  readonly kind: Kind;
  readonly setId: string | null;
  readonly fires: AskedRules['fires'] | null;
  readonly edge: AskedRules['edge'] | null;
  readonly isPrivate: boolean;
}

/** What the worker is told of it. */
export function draftOf({
  id,
  code,
  expansion,
  template,
  format,
  kind,
  setId,
  fires,
  edge,
  isPrivate,
}: Draft): AuditedShortcut {
  return {
    id: id ?? NEW_ID,
    code: trimCode(code),
    content: { expansion: expansion || ' ', template, format },
    kind,
    setId,
    rules: rulesOf({ fires: fires ?? null, edge: edge ?? null }),
    private: isPrivate,
  };
}

/** The verdict on a shortcut as it stands in the form; null: not judged (yet). */
export function useVerdict({
  id,
  code,
  expansion,
  template,
  format,
  kind,
  setId,
  fires,
  edge,
  isPrivate,
}: Draft): Verdict | null {
  const { client, state } = useAudit();
  const { conventions, keyboards, ownKeyboards } = useList();
  const version = state.result?.version;
  const [judged, setJudged] = useState<{ code: string; verdict: Verdict } | null>(null);
  const trimmed = trimCode(code);
  const isCode = checkCode(trimmed) === null;
  useEffect(() => {
    if (!isCode) return;
    let isOver = false;
    const timer = setTimeout(() => {
      const draft = draftOf({ id, code, expansion, template, format, kind, setId, fires, edge, isPrivate });
      const convention = conventionFor({ kind, setId }, conventions);
      void client.verdict(draft, { keyboards, ownKeyboards }, convention?.mark).then((verdict) => {
        if (!isOver) setJudged(verdict && { code: trimmed, verdict });
      });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [
    client,
    version,
    id,
    isCode,
    code,
    trimmed,
    expansion,
    template,
    format,
    kind,
    setId,
    fires,
    edge,
    isPrivate,
    conventions,
    keyboards,
    ownKeyboards,
  ]);
  return isCode && judged?.code === trimmed ? judged.verdict : null;
}
