import type { StoredRecord } from '@yellow-latch/core/sync';
import { isNewPlace } from '@yellow-latch/replica/storage/unsaved';
import { useEffect, useState, type RefObject } from 'react';
import { useWatch, type UseFormReturn } from 'react-hook-form';

import { useOpened } from '@/frame/replica/ReplicaProvider';
import { useLatest, useOnLeaving } from '@/look/useLatest';

import type { FormValues } from './form';

/** A form is kept when nothing was typed into it for so long, in ms, and when the page is left. */
const REST = 300;

interface UnsavedProps {
  form: UseFormReturn<FormValues>;
  /** The id of the shortcut, or the place of a new one. */
  place: string;
  /** What it begins with instead, where something came along. */
  came: Partial<FormValues> | null;
  /** What of the record its owner has seen. */
  seen: RefObject<StoredRecord | undefined>;
  /** Whether it is saved, deleted, or went on elsewhere. */
  isDone: RefObject<boolean>;
}

/**
 * What is typed into a form is kept on this device until it is saved or discarded: leaving it, a reload and an update
 * of the app lose nothing. Returns the names of the fields that were typed into before.
 */
export function useUnsaved({ form, place, came, seen, isDone }: UnsavedProps): ReadonlySet<string> {
  const { unsaved } = useOpened();
  const { control, getValues, setValue, formState } = form;
  const { isDirty, dirtyFields } = formState;
  const [start] = useState(() => came ?? (unsaved.at(place)?.values as Partial<FormValues> | undefined) ?? {});
  useEffect(() => {
    for (const [name, value] of Object.entries(start)) {
      setValue(name as keyof FormValues, value as never, { shouldDirty: true });
    }
  }, [setValue, start]);

  const keep = useLatest(() => {
    if (isDone.current || !isDirty) {
      unsaved.drop(place);
      return;
    }
    const typed = Object.entries(getValues()).filter(([name]) => dirtyFields[name as keyof FormValues]);
    const record = isNewPlace(place) ? undefined : seen.current;
    unsaved.keep({
      place,
      values: Object.fromEntries(typed),
      changed: Date.now(),
      ...(record ? { seen: record } : {}),
    });
  });

  const values = useWatch({ control });
  const [first] = useState(values);
  useEffect(() => {
    // What has just been opened is not typed into yet.
    if (values === first) return;
    const timer = setTimeout(() => keep.current(), REST);
    return () => clearTimeout(timer);
  }, [values, first, isDirty, keep]);
  useEffect(() => {
    const hide = () => {
      if (document.visibilityState === 'hidden') keep.current();
    };
    document.addEventListener('visibilitychange', hide);
    return () => document.removeEventListener('visibilitychange', hide);
  }, [keep]);
  useOnLeaving(() => keep.current());
  return new Set(Object.keys(start));
}
