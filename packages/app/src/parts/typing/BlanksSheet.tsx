import { t } from '@lingui/core/macro';
import type { OpenBlank } from '@yellow-latch/core/expansion';
import { GAP } from '@yellow-latch/core/expansion/segment';
import { useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { nameOfBlank } from '@/answers/expansion/words';
import { CodePlate } from '@/look/CodePlate';
import { DateField } from '@/look/DateField';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';

import { recentOf, withFilled } from './recent';
import { useRecent } from './useRecent';
import type { Filling } from './useFilling';

interface BlanksSheetProps {
  filling: Filling;
  onDone: (values: Readonly<Record<string, string>>) => void;
  /** The typed code stays as it was. */
  onCancel: () => void;
}

/** The blanks of a shortcut that has fired, one after the other, with the text as it grows above. */
export function BlanksSheet({ filling: { asked, shortcut, blanks, make }, onDone, onCancel }: BlanksSheetProps) {
  const palette = usePalette();
  const [recent, keepRecent] = useRecent();
  const [values, setValues] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(blanks.map(({ name, default: otherwise }) => [name, otherwise])),
  );
  const [at, setAt] = useState(0);
  const blank = blanks[at]!;
  const isLast = at === blanks.length - 1;
  const scroll = useRef<ScrollView>(null);
  const set = (value: string) => setValues((before) => ({ ...before, [blank.name]: value }));
  const next = (value = values[blank.name] ?? '') => {
    const now = { ...values, [blank.name]: value };
    setValues(now);
    if (!isLast) return setAt(at + 1);
    // What a private shortcut is filled with stays as private as its text.
    if (!shortcut.private) keepRecent(withFilled(recent, blanks, now));
    onDone(now);
  };
  return (
    <Sheet
      title={
        blanks.length === 1
          ? t`Fill in the blank`
          : t`Fill in blank ${{ number: at + 1 }} of ${{ count: blanks.length }}`
      }
      isOpen
      onClose={onCancel}
    >
      <View style={styles.body}>
        <View style={styles.code}>
          <CodePlate code={shortcut.code} />
        </View>
        <ScrollView
          ref={scroll}
          role="status"
          aria-label={t`You get`}
          style={[styles.preview, { borderColor: palette.line, backgroundColor: palette.ground }]}
          onContentSizeChange={() => scroll.current?.scrollToEnd({ animated: false })}
        >
          <Text variant="bodyMedium" style={styles.text}>
            {make(withGaps(values))?.plain ?? ''}
          </Text>
        </ScrollView>
        <BlankInput
          key={blank.name}
          blank={blank}
          value={values[blank.name] ?? ''}
          recent={recentOf(recent, blank)}
          onChange={set}
          onNext={next}
        />
        <View style={styles.actions}>
          <Button mode="text" onPress={onCancel} contentStyle={styles.tall}>
            {asked.typed === shortcut.code ? t`Keep the code` : t`Cancel`}
          </Button>
          <View style={styles.push} />
          {at > 0 && <Button mode="text" onPress={() => setAt(at - 1)} contentStyle={styles.tall}>{t`Back`}</Button>}
          <LatchButton
            label={isLast ? t`Insert` : t`Next`}
            icon={isLast ? 'check' : undefined}
            onPress={() => next()}
          />
        </View>
      </View>
    </Sheet>
  );
}

/** What is not filled in yet shows as a gap. */
function withGaps(values: Readonly<Record<string, string>>): Record<string, string> {
  return Object.fromEntries(Object.entries(values).map(([name, value]) => [name, value === '' ? GAP : value]));
}

interface BlankInputProps {
  blank: OpenBlank;
  value: string;
  /** What was filled in here before. */
  recent: readonly string[];
  onChange: (value: string) => void;
  /** Goes on, with this value where it was chosen by going on. */
  onNext: (value?: string) => void;
}

function BlankInput({ blank, value, recent, onChange, onNext }: BlankInputProps) {
  const name = nameOfBlank(blank);
  if (blank.kind === 'choice') {
    return (
      <View role="group" aria-label={name} style={styles.choice}>
        <Text variant="labelLarge" style={STRONG}>
          {name}
        </Text>
        <Options options={blank.options} value={value} onTake={onNext} />
      </View>
    );
  }
  if (blank.kind === 'date')
    return <DateField label={name} value={value} onChange={onChange} onSubmit={() => onNext()} />;
  return (
    <>
      <Field
        label={name}
        startsHere
        multiline={blank.kind === 'lines'}
        inputMode={blank.kind === 'number' ? 'decimal' : 'text'}
        value={value}
        onChangeText={onChange}
        onBlur={() => {}}
        onSubmit={() => onNext()}
      />
      {recent.length > 0 && (
        <View role="group" aria-label={t`Used before`}>
          <Options options={recent} value={value} onTake={onNext} />
        </View>
      )}
    </>
  );
}

/** Values to choose from; taking one goes on. */
function Options({
  options,
  value,
  onTake,
}: {
  options: readonly string[];
  value: string;
  onTake: (value: string) => void;
}) {
  const palette = usePalette();
  return (
    <View style={styles.options}>
      {options.map((option) => (
        <Pressable
          key={option}
          role="button"
          aria-pressed={option === value}
          onPress={() => onTake(option)}
          style={[
            styles.option,
            { borderColor: palette.ink, backgroundColor: option === value ? palette.ground : 'transparent' },
          ]}
        >
          <Text variant="bodyLarge">{option}</Text>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 10 },
  code: { flexDirection: 'row' },
  preview: { maxHeight: 160, borderWidth: 1, borderRadius: 6, paddingHorizontal: 12, paddingVertical: 8 },
  text: { lineHeight: 22 },
  choice: { gap: 6 },
  options: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  option: {
    minHeight: 52,
    minWidth: 96,
    paddingHorizontal: 16,
    borderWidth: 1.5,
    borderRadius: 6,
    alignItems: 'center',
    justifyContent: 'center',
  },
  actions: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  push: { flex: 1 },
  tall: { minHeight: 48 },
});
