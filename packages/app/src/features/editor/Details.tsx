import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';

import { usesChoices } from '@/answers/effort/usesChoices';
import { Fold } from '@/look/Fold';
import { kindName, wayChoices } from '@/parts/kinds';
import { languageChoices } from '@/parts/languages';

import { NEW_SET } from './form';
import { KindAndSet } from './KindAndSet';
import { MoreFields } from './MoreFields';
import type { Editor } from './useEditor';

/** All that most shortcuts do without, closed until it is wanted; in a line, what of it is set. */
export function Details({ editor }: { editor: Editor }) {
  const { control, formState, setValue } = editor.form;
  const { errors } = formState;
  const [isOpen, setOpen] = useState(false);
  // What is wrong in it is seen.
  const hasError = errors.newSet !== undefined || errors.note !== undefined;
  const [hadError, setHadError] = useState(hasError);
  if (hasError !== hadError) {
    setHadError(hasError);
    if (hasError) setOpen(true);
  }
  const [kind, setId, newSet, fires, usesAWeek, format, language, note, isPrivate] = useWatch({
    control,
    name: ['kind', 'setId', 'newSet', 'fires', 'usesAWeek', 'format', 'language', 'note', 'isPrivate'],
  });
  const uses = usesAWeek === null ? null : String(usesAWeek);
  const set = setId === NEW_SET ? newSet : editor.sets.find(({ id }) => id === setId)?.name;
  const parts = [
    kindName(kind),
    set ?? '',
    fires === null ? '' : (wayChoices().find(({ value }) => value === fires)?.label ?? ''),
    uses === null ? '' : (usesChoices(usesAWeek).find(({ value }) => value === uses)?.label ?? ''),
    format === 'markdown' ? t`Markdown` : '',
    language === null ? '' : (languageChoices([language]).find(({ value }) => value === language)?.label ?? ''),
    note.trim(),
    isPrivate ? t`only on this device` : '',
  ].filter((part) => part !== '');
  return (
    <Fold title={t`Kind, set and more`} summary={parts.join(' · ')} isOpen={isOpen} onToggle={() => setOpen(!isOpen)}>
      <KindAndSet editor={editor} />
      <MoreFields control={control} setValue={setValue} onSubmit={editor.save} />
    </Fold>
  );
}
