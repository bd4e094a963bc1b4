import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { useEffect, useState, type RefObject } from 'react';
import type { UseFormReturn } from 'react-hook-form';

import { useNotice } from '@/frame/Notices';
import { useOnLeaving } from '@/look/useLatest';

import type { FormValues } from './form';

/** What was typed into forms that were left without saving, by shortcut id or 'new'. */
const left = new Map<string, FormValues>();

/**
 * Leaving a form loses nothing: it can be opened again as it was. `came`: what it begins with instead, where something
 * came along; `isDone`: it is saved, deleted, or went on elsewhere.
 */
export function useUnsaved(
  { getValues, setValue, formState }: UseFormReturn<FormValues>,
  place: string,
  came: FormValues | null,
  isDone: RefObject<boolean>,
): void {
  const notify = useNotice();
  const router = useRouter();
  const { isDirty } = formState;
  const [start] = useState(() => came ?? left.get(place));
  useEffect(() => {
    left.delete(place);
    for (const [name, value] of Object.entries(start ?? {})) {
      setValue(name as keyof FormValues, value as never, { shouldDirty: true });
    }
  }, [place, setValue, start]);

  useOnLeaving(() => {
    if (!isDirty || isDone.current) return;
    left.set(place, getValues());
    notify({
      text: t`Not saved yet.`,
      action: {
        label: t`Keep editing`,
        onPress: () =>
          router.navigate(place === 'new' ? '/new' : { pathname: '/shortcut/[id]', params: { id: place } }),
      },
    });
  });
}
