import { t } from '@lingui/core/macro';
import { Controller, useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { saidBy, usesChoices } from '@/answers/effort/usesChoices';
import { languageChoices } from '@/parts/languages';
import { ChoiceLine } from '@/look/ChoiceLine';
import { Field } from '@/look/Field';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import { Choice } from '@/look/Choice';
import type { FormValues } from './form';
import { wayChoices } from '@/parts/kinds';

const edgeChoices = () =>
  [
    { value: null, label: t`as usual` },
    { value: 'word', label: t`at the start of a word` },
    { value: 'anywhere', label: t`anywhere` },
  ] as const;

interface MoreFieldsProps {
  control: Control<FormValues>;
  setValue: UseFormSetValue<FormValues>;
  onSubmit: () => void;
}

/** What a shortcut may ask for itself: how it fires, where it may stand, that it stays on this device; how often it is used. */
export function MoreFields({ control, setValue, onSubmit }: MoreFieldsProps) {
  const palette = usePalette();
  const [fires, edge, usesAWeek, format, language, isPrivate] = useWatch({
    control,
    name: ['fires', 'edge', 'usesAWeek', 'format', 'language', 'isPrivate'],
  });
  return (
    <>
      <ChoiceLine>
        <Choice
          label={t`Expands`}
          value={fires}
          choices={wayChoices()}
          onChange={(value) => setValue('fires', value, { shouldDirty: true })}
        />
        <Choice
          label={t`Where`}
          value={edge}
          choices={edgeChoices()}
          onChange={(value) => setValue('edge', value, { shouldDirty: true })}
        />
      </ChoiceLine>
      <ChoiceLine>
        <Choice
          label={t`Used`}
          value={usesAWeek === null ? null : String(usesAWeek)}
          choices={usesChoices(usesAWeek)}
          onChange={(value) => setValue('usesAWeek', saidBy(value), { shouldDirty: true })}
        />
        <Choice
          label={t`Formatting`}
          value={format}
          choices={[
            { value: 'plain', label: t`none` },
            { value: 'markdown', label: t`Markdown` },
          ]}
          onChange={(value) => setValue('format', value, { shouldDirty: true })}
        />
      </ChoiceLine>
      <ChoiceLine>
        <Choice
          label={t`Language`}
          value={language}
          choices={[{ value: null, label: t`any` }, ...languageChoices(language === null ? [] : [language])]}
          onChange={(value) => setValue('language', value, { shouldDirty: true })}
        />
        <View style={styles.words} />
      </ChoiceLine>
      <Controller
        control={control}
        name="note"
        render={({ field, fieldState }) => (
          <Field
            label={t`Note`}
            inputRef={field.ref}
            value={field.value}
            onChangeText={field.onChange}
            onBlur={field.onBlur}
            onSubmit={onSubmit}
            error={fieldState.error?.message}
            placeholder={t`What it’s for, if that isn’t clear`}
          />
        )}
      />
      <Tick
        role="checkbox"
        isOn={isPrivate}
        onPress={() => setValue('isPrivate', !isPrivate, { shouldDirty: true })}
        style={styles.private}
      >
        <View style={styles.words}>
          <Text variant="bodyLarge">{t`Only on this device`}</Text>
          <Text
            variant="bodySmall"
            style={{ color: palette.inkSoft }}
          >{t`Hidden on screen, and deleted from the server and your other devices.`}</Text>
        </View>
      </Tick>
    </>
  );
}

const styles = StyleSheet.create({
  private: { minHeight: 56, paddingTop: 8 },
  words: { flex: 1 },
});
