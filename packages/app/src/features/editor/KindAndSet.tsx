import { t } from '@lingui/core/macro';

import { Controller, useWatch } from 'react-hook-form';

import { Choice } from '@/look/Choice';
import { ChoiceLine } from '@/look/ChoiceLine';
import { Field } from '@/look/Field';

import { kindChoices } from '@/parts/kinds';

import { NEW_SET } from './form';
import type { Editor } from './useEditor';

/** The kind of a shortcut and its set; a new set gets its name here. */
export function KindAndSet({ editor }: { editor: Editor }) {
  const { control, formState, setValue } = editor.form;
  const { errors } = formState;
  const [kind, setId] = useWatch({ control, name: ['kind', 'setId'] });
  const setChoices = [
    { value: null, label: t`None` },
    ...editor.sets.map(({ id, name }) => ({ value: id, label: name })),
    { value: NEW_SET, label: t`New set…` },
  ];
  return (
    <>
      <ChoiceLine>
        <Choice label={t`Kind`} value={kind} choices={kindChoices()} onChange={editor.chooseKind} />
        <Choice
          label={t`Set`}
          value={setId}
          choices={setChoices}
          onChange={(value) => setValue('setId', value, { shouldDirty: true })}
        />
      </ChoiceLine>
      {setId === NEW_SET && (
        <Controller
          control={control}
          name="newSet"
          render={({ field }) => (
            <Field
              label={t`Name of the new set`}
              inputRef={field.ref}
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              onSubmit={editor.save}
              error={errors.newSet?.message}
              startsHere
            />
          )}
        />
      )}
    </>
  );
}
