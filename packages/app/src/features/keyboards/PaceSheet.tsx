import { plural, t } from '@lingui/core/macro';
import type { Keyboard, Pace } from '@yellow-latch/core/effort';
import { MEASURE_SECONDS, paceFrom } from '@yellow-latch/core/effort/pace';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { keyboardName } from '@/answers/effort/words';
import { tellCount, tellNumber } from '@/wording/format';

const prompt = () =>
  t`The felt on the hammers is worn but even. I would leave it for now and tune the piano twice a year, in spring and in autumn, when the heating goes off and comes on again. The pedals need a little oil, and one key sticks in wet weather.`;

interface PaceSheetProps {
  /** Null: closed. */
  keyboard: Keyboard | null;
  onClose: () => void;
  onKeep: (pace: number) => void;
}

/** Half a minute of typing, on the keyboard that is meant: a person's own pace beside the model's. */
export function PaceSheet({ keyboard, onClose, onKeep }: PaceSheetProps) {
  return (
    <Sheet title={t`Your typing speed`} isOpen={keyboard !== null} onClose={onClose}>
      {keyboard && <Measure keyboard={keyboard} onClose={onClose} onKeep={onKeep} />}
    </Sheet>
  );
}

function Measure({ keyboard, onClose, onKeep }: PaceSheetProps & { keyboard: Keyboard }) {
  const [typed, setTyped] = useState('');
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const [left, setLeft] = useState(MEASURE_SECONDS);
  const isOver = left <= 0;
  useEffect(() => {
    if (startedAt === null || isOver) return;
    const timer = setInterval(() => setLeft(Math.max(0, MEASURE_SECONDS - (Date.now() - startedAt) / 1_000)), 200);
    return () => clearInterval(timer);
  }, [startedAt, isOver]);
  const pace: Pace | null = isOver ? paceFrom(typed, MEASURE_SECONDS, keyboard) : null;
  const again = () => {
    setTyped('');
    setStartedAt(null);
    setLeft(MEASURE_SECONDS);
  };
  return (
    <View style={styles.body}>
      <Text variant="bodyMedium">{t`Type this the way you always do on ${{ keyboard: keyboardName(keyboard) }}, with predictive text off. The clock starts with your first key.`}</Text>
      <Text variant="bodyMedium" style={STRONG}>
        {prompt()}
      </Text>
      <Field
        label={t`Type here`}
        multiline
        startsHere
        value={typed}
        onChangeText={(text) => {
          if (isOver) return;
          if (startedAt === null) setStartedAt(Date.now());
          setTyped(text);
        }}
        onBlur={() => {}}
        onSubmit={() => {}}
      />
      <Text role="status" variant="bodyMedium">
        {isOver ? tellPace(pace) : tellLeft(startedAt === null ? null : left)}
      </Text>
      <View style={styles.actions}>
        {isOver && <Button mode="text" onPress={again} contentStyle={styles.tall}>{t`Try again`}</Button>}
        <Button mode="text" onPress={onClose} contentStyle={styles.tall}>{t`Cancel`}</Button>
        {pace && <LatchButton label={t`Save this speed`} icon="check" onPress={() => onKeep(pace.pace)} />}
      </View>
    </View>
  );
}

/** `left`: in s; null: nothing was typed yet. */
function tellLeft(left: number | null): string {
  return left === null
    ? plural(MEASURE_SECONDS, { one: '# second', other: '# seconds' })
    : plural(Math.ceil(left), { one: '# second left', other: '# seconds left' });
}

function tellPace(pace: { readonly wordsAMinute: number; readonly pace: number } | null | undefined): string {
  return pace
    ? t`${{ count: tellCount(Math.round(pace.wordsAMinute)) }} words a minute: ${{ pace: tellNumber(pace.pace) }} × the usual time.`
    : t`That was too short to tell. Try again.`;
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 8 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'flex-end', gap: 4 },
  tall: { minHeight: 48 },
});
