import type { Shortcut } from '@yellow-latch/core/model';
import type { Proposal } from '@yellow-latch/core/propose';
import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { TextInput } from 'react-native';

import { useLatest } from '@/look/useLatest';

import type { Editor } from './useEditor';
import { useProposals } from './useProposals';
import type { Draft } from './useVerdict';

/** So many stand below the one in the field. */
const MOST_OTHERS = 4;

/** The code that stands in the field before one has thought of one. */
export interface ProposedCode {
  /** Whether what stands in the field is a proposal: it is chosen when one comes there, so that typing replaces it. */
  readonly isProposed: boolean;
  /** Other proposals; none once a code was typed. */
  readonly others: readonly Proposal[];
  /** Whether none was found for the text. */
  readonly hasNone: boolean;
  /** Told of what a person types into the field. */
  readonly type: () => void;
  readonly take: (code: string) => void;
  /** Saves; a code that is still worked out is waited for. */
  readonly save: () => void;
  readonly input: RefObject<TextInput | null>;
}

/** Proposes a code for a new shortcut as its text is typed, until a person types or takes one. */
export function useProposedCode(
  editor: Editor,
  draft: Draft,
  saved: Shortcut | null,
  isReadOnly: boolean,
): ProposedCode {
  const { setValue, formState } = editor.form;
  const { code, expansion } = draft;
  const isNew = saved === null && !isReadOnly;
  // What was typed before a reload is the person's own.
  const [isOwn, setOwn] = useState(editor.hadCode);
  // Known in the moment of the key: a proposal that was drawn just before it must not take its place.
  const isOwnNow = useRef(isOwn);
  const own = () => {
    isOwnNow.current = true;
    setOwn(true);
  };
  const { proposals: found, areCurrent } = useProposals(draft, isNew, editor.startsWithText);
  const proposals = found ?? [];
  const input = useRef<TextInput | null>(null);
  const isSaveWanted = useRef(false);
  const isSubmitted = useLatest(formState.isSubmitted);
  const save = useLatest(editor.save);
  const first = areCurrent ? proposals[0]?.code : undefined;
  const hasText = expansion.trim() !== '';
  useEffect(() => {
    if (!isNew || isOwn || isOwnNow.current) return;
    if (hasText && first === undefined) {
      // None is to be had: saving says what is missing.
      if (areCurrent && isSaveWanted.current) {
        isSaveWanted.current = false;
        save.current();
      }
      return;
    }
    setValue('code', first ?? '', { shouldDirty: true, shouldValidate: isSubmitted.current });
    if (isSaveWanted.current) {
      isSaveWanted.current = false;
      save.current();
    }
  }, [isNew, isOwn, hasText, areCurrent, first, setValue, isSubmitted, save]);
  const isProposed = isNew && !isOwn && code !== '';
  // Whoever is in the field already types over it: it is chosen in the moment in which it comes there.
  useLayoutEffect(() => {
    const field = input.current as unknown as HTMLInputElement | null;
    if (isProposed && field !== null && document.activeElement === field) field.select();
  }, [isProposed, code]);
  const isAmong = proposals.some((one) => one.code === code);
  return {
    isProposed,
    others: isNew && (code === '' || isAmong) ? proposals.filter((one) => one.code !== code).slice(0, MOST_OTHERS) : [],
    hasNone: isNew && hasText && areCurrent && found?.length === 0 && code === '',
    type: own,
    take: (taken) => {
      own();
      setValue('code', taken, { shouldDirty: true, shouldValidate: formState.isSubmitted });
    },
    save: () => {
      if (isNew && !isOwn && code === '' && hasText && !areCurrent) isSaveWanted.current = true;
      else editor.save();
    },
    input,
  };
}
