import { cleanEnd, withUnixNewlines } from '@yellow-latch/core/model';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';

import { tellCleaned } from '@/parts/kinds';

import type { FormValues } from './form';

/** White space cut from the end of the text, told, and put back if it was meant. `text`: what the form begins with. */
export function useCleaning({ getValues, setValue }: UseFormReturn<FormValues>, text: string | null) {
  const [cut, setCut] = useState<{ note: string; original: string } | null>(() => {
    const note = text === null ? null : tellCleaned(cleanEnd(text));
    return note ? { note, original: text! } : null;
  });
  const cleanExpansion = () => {
    if (getValues('keepsEnd') || getValues('template')) return;
    const original = withUnixNewlines(getValues('expansion'));
    const cleaned = cleanEnd(original);
    const note = tellCleaned(cleaned);
    if (!note) return;
    setCut({ note, original });
    setValue('expansion', cleaned.text, { shouldDirty: true });
  };

  const putBack = () => {
    if (!cut) return;
    setValue('keepsEnd', true);
    setValue('expansion', cut.original, { shouldDirty: true });
    setCut(null);
  };

  return { note: cut?.note ?? null, putBack, cleanExpansion, forget: () => setCut(null) };
}
