import { t } from '@lingui/core/macro';
import { cleanEnd, withUnixNewlines, type Shortcut, type ShortcutFields } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';

import { guessKindOf } from '@/answers/kind';
import { useNotice } from '@/frame/Notices';
import { useIsWide } from '@/look/useLook';
import { handOver, useIncoming } from '@/parts/incoming';
import { justSaved } from '@/parts/justSaved';
import { tellCleaned } from '@/parts/kinds';
import { joined, useStillThere } from '@/parts/useStillThere';
import { saving } from '@yellow-latch/replica/commands/saving';
import { deleting } from '@yellow-latch/replica/commands/shortcuts';
import { useList, useOpened, useWrite } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { formValuesOf, makeResolver, NEW_SET, newFormValues, rulesOf, tidy, type FormValues } from './form';
import { useCleaning } from './useCleaning';
import { useUnsaved } from './useUnsaved';
import type { Draft } from './useVerdict';

/** The form over one shortcut, or over a new one: its values, what was cleaned, and its actions. */
export function useEditor(saved: Shortcut | null, place: string) {
  const list = useList();
  const { shortcuts, sets } = list;
  const stillThere = useStillThere();
  const { replica, unsaved } = useOpened();
  const write = useWrite();
  const run = useCommand();
  const notify = useNotice();
  const router = useRouter();
  const isWide = useIsWide();

  const incoming = useIncoming(!saved);
  const [start] = useState(() => {
    const text = incoming?.type === 'text' ? withUnixNewlines(incoming.text) : null;
    const note = incoming?.type === 'text' ? (incoming.note ?? '') : '';
    return { note, cleaned: text === null ? null : cleanEnd(text), text };
  });
  // What of the list's record the person has seen: what comes in while they edit is kept beside.
  const seen = useRef(unsaved.at(place)?.seen ?? (saved ? replica.recordOf('shortcut', saved.id) : undefined));

  const form = useForm<FormValues>({
    defaultValues: saved ? formValuesOf(saved) : newFormValues(),
    resolver: makeResolver(shortcuts, saved),
    reValidateMode: 'onChange',
  });
  const { getValues, setValue, reset, formState } = form;
  const { isDirty } = formState;
  const isDone = useRef(false);
  const { forget, ...cleaning } = useCleaning(form, start.text);
  const [came] = useState(() => (start.cleaned ? { ...newFormValues(start.cleaned.text), note: start.note } : null));
  const typedBefore = useUnsaved({ form, place, came, seen, isDone });
  const isKindChosen = useRef(came === null && typedBefore.has('kind'));

  // While nothing is typed here, the form follows what other devices write.
  const changed = saved?.changed;
  const shownChange = useRef(changed);
  useEffect(() => {
    if (!saved || isDirty || shownChange.current === changed) return;
    shownChange.current = changed;
    seen.current = replica.recordOf('shortcut', saved.id);
    reset(formValuesOf(saved));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the record has changed
  }, [changed]);

  /** A first guess at the kind follows the text until the person chooses one. */
  const followExpansion = (expansion: string) => {
    forget();
    setValue('keepsEnd', false);
    void followKind(expansion);
  };
  const followKind = async (expansion: string) => {
    if (saved || isKindChosen.current) return;
    const kind = await guessKindOf(expansion, getValues('code'));
    // It may have been chosen, or typed on, meanwhile.
    if (kind !== null && !isKindChosen.current && getValues('expansion') === expansion) setValue('kind', kind);
  };
  const begunWith = came?.expansion;
  useEffect(() => {
    if (begunWith) void followKind(begunWith);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, for the text that the form begins with
  }, [begunWith]);
  const saveValid = async (typed: FormValues) => {
    const tidied = tidy(typed);
    // The code may have come after the text.
    const isGuessed = !saved && !isKindChosen.current && !tidied.template;
    const guessed = isGuessed ? await guessKindOf(tidied.expansion, tidied.code) : null;
    const values = guessed === null ? tidied : { ...tidied, kind: guessed };
    const note = typed.keepsEnd || typed.template ? null : tellCleaned(cleanEnd(withUnixNewlines(typed.expansion)));
    const { isPrivate } = values;
    const newSet = values.setId === NEW_SET ? values.newSet : null;
    const setId = newSet === null ? values.setId : null;
    const fields = changedFields({ ...values, setId }, saved);
    const command = saving({ before: saved, seen: seen.current, fields, isPrivate, newSet, about: list }, sets);
    const { writes } = command;
    // What was carried over by hand is as it was.
    const isOther =
      saved !== null && (fields.code !== undefined || fields.content !== undefined || isPrivate !== saved.private);
    const ids = writes.length > 0 ? await write(...writes) : [];
    const id = command.idOf(ids);
    isDone.current = true;
    unsaved.drop(place);
    reset({ ...values, setId: command.setId ?? setId });
    justSaved.set({ id });
    if (!isWide) router.navigate('/');
    else if (id !== saved?.id) router.replace({ pathname: '/shortcut/[id]', params: { id } });
    // It stays open, and may be typed into again.
    else isDone.current = false;
    notify({
      text: joined(
        tellSaved(values.code, note),
        isOther ? stillThere([saved.id], isPrivate ? 'deleted' : 'changed') : null,
      ),
      action: { label: t`Use it elsewhere`, onPress: () => router.navigate('/where') },
    });
  };

  /** What came along is several lines, each of which may be a shortcut of its own. */
  const lines = start.cleaned === null ? 0 : start.cleaned.text.split('\n').filter((line) => line.trim() !== '').length;
  const bringInLines = () => {
    isDone.current = true;
    handOver({ type: 'text', text: start.text! });
    router.navigate('/import');
  };

  const remove = async () => {
    if (!saved) return;
    isDone.current = true;
    await run(deleting([saved]), joined(t`Deleted “${{ code: saved.code }}”.`, stillThere([saved.id], 'deleted')));
    router.navigate('/');
  };

  return {
    form,
    sets,
    wasRefused: incoming?.type === 'refused',
    /** Whether a code was typed before, and came back. */
    hadCode: came === null && typedBefore.has('code'),
    startsWithText: start.cleaned !== null && start.cleaned.text !== '',
    lines,
    bringInLines,
    ...cleaning,
    followExpansion,
    chooseKind: (kind: FormValues['kind']) => {
      isKindChosen.current = true;
      setValue('kind', kind, { shouldDirty: true });
    },
    save: () => void form.handleSubmit(saveValid)(),
    remove: () => void remove(),
  };
}

export type Editor = ReturnType<typeof useEditor>;

/** What each part of the form is given: the form, what stands in it, and what is saved. */
export interface EditorPartProps {
  editor: Editor;
  draft: Draft;
  saved: Shortcut | null;
  /** Whether this device may only use the list: what is there can be read and copied. */
  isReadOnly: boolean;
}

/** Only what differs from what is saved is written, so that devices do not undo each other. */
function changedFields(values: FormValues, saved: Shortcut | null): Partial<ShortcutFields> {
  const { code, expansion, template, format, kind, setId } = values;
  const fields: Partial<ShortcutFields> = {};
  if (code !== saved?.code) fields.code = code;
  const was = saved?.content;
  if (expansion !== was?.expansion || template !== was.template || format !== was.format) {
    fields.content = { expansion, template, format };
  }
  if (kind !== saved?.kind) fields.kind = kind;
  if (!saved || setId !== saved.setId) fields.setId = setId;
  const isAsked = values.fires !== (saved?.rules.fires ?? null) || values.edge !== (saved?.rules.edge ?? null);
  if (!saved || isAsked) fields.rules = rulesOf(values, saved?.rules);
  if (values.usesAWeek !== (saved?.usesAWeek ?? null)) fields.usesAWeek = values.usesAWeek;
  if (values.note !== (saved?.note ?? '')) fields.note = values.note;
  if (values.language !== (saved?.language ?? null)) fields.language = values.language;
  if (values.tagLimit !== (saved?.tagLimit ?? null)) fields.tagLimit = values.tagLimit;
  return fields;
}

/** What is said when a shortcut is kept; `cleaned`: what was cut from its text, if anything was. */
function tellSaved(code: string, cleaned: string | null): string {
  return cleaned === null ? t`“${code}” works in Write.` : t`“${code}” works in Write. ${cleaned}`;
}
