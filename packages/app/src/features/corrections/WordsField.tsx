import { plural, t } from '@lingui/core/macro';
import type { CorrectionLine } from '@yellow-latch/core/corrections';
import { View } from 'react-native';
import { Text } from 'react-native-paper';

import { Field } from '@/look/Field';
import { usePalette } from '@/look/useLook';

import { tellLine } from './words';

interface WordsFieldProps {
  label: string;
  placeholder: string;
  value: string;
  onChange: (value: string) => void;
  lines: readonly CorrectionLine[];
  onSubmit: () => void;
}

/** So many lines are told of. */
const MOST_TOLD = 5;

/** A list of words, one a line, and what is wrong with its lines. */
export function WordsField({ label, placeholder, value, onChange, lines, onSubmit }: WordsFieldProps) {
  const palette = usePalette();
  const ready = lines.filter(({ problem }) => problem === null).length;
  const told = lines.flatMap((line) => tellLine(line) ?? []);
  return (
    <View>
      <Field
        label={label}
        multiline
        value={value}
        onChangeText={onChange}
        onBlur={() => {}}
        onSubmit={onSubmit}
        placeholder={placeholder}
      />
      {lines.length > 0 && (
        <View role="status">
          <Text variant="bodyMedium">{plural(ready, { one: '# word is ready.', other: '# words are ready.' })}</Text>
          {told.slice(0, MOST_TOLD).map((line) => (
            <Text key={line} variant="bodyMedium" style={{ color: palette.alarm }}>
              {line}
            </Text>
          ))}
          {told.length > MOST_TOLD && (
            <Text variant="bodyMedium" style={{ color: palette.alarm }}>
              {t`And ${{ count: told.length - MOST_TOLD }} more.`}
            </Text>
          )}
        </View>
      )}
    </View>
  );
}
