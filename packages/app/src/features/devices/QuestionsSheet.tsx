import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Answers, Device, DevicePlace } from '@yellow-latch/core/model';
import { contradictionOf } from '@yellow-latch/core/profile';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useList } from '@/frame/replica/ReplicaProvider';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { RadioGroup } from '@/look/RadioGroup';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import { QUESTIONS, tellContradiction, type Question } from './questions';

interface QuestionsSheetProps {
  device: Device;
  /** The place that is asked about; null: none. */
  place: DevicePlace | null;
  onClose: () => void;
  onAnswer: (answers: Answers) => void;
}

/** Asks what happens in a place. Whoever does not know leaves it as it is assumed. */
export function QuestionsSheet({ device, place, onClose, onAnswer }: QuestionsSheetProps) {
  return (
    <Sheet title={t`What happens on ${{ name: device.name }}?`} isOpen={place !== null} onClose={onClose}>
      {place && <Questions key={place.profile} place={place} onAnswer={onAnswer} />}
    </Sheet>
  );
}

/** One question after the other. */
function Questions({ place, onAnswer }: { place: DevicePlace; onAnswer: (answers: Answers) => void }) {
  const palette = usePalette();
  const { shortcuts } = useList();
  const [answers, setAnswers] = useState<Answers>(place.answers);
  const [at, setAt] = useState(0);
  const wrong = contradictionOf({ ...place, answers });
  const code = shortcuts.find((shortcut) => /^\p{P}?\p{L}{2,5}$/u.test(shortcut.code))?.code ?? t`;ten`;
  const question = QUESTIONS[at]!;
  const isLast = at === QUESTIONS.length - 1;
  return (
    <>
      <ScrollView contentContainerStyle={styles.body}>
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {t`${{ at: at + 1 }} of ${{ all: QUESTIONS.length }}. Try it out there and say what you see.`}
        </Text>
        <Asked
          key={question.asks}
          question={question}
          code={code}
          value={answers[question.asks] ?? null}
          onChange={(value) => {
            const { [question.asks]: _before, ...rest } = answers;
            setAnswers(value === null ? rest : { ...rest, [question.asks]: value });
          }}
        />
        {wrong && (
          <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
            {tellContradiction(wrong)}
          </Text>
        )}
      </ScrollView>
      <View style={styles.foot}>
        {at > 0 && <Button mode="text" onPress={() => setAt(at - 1)} contentStyle={styles.tall}>{t`Back`}</Button>}
        <View style={styles.push} />
        <LatchButton
          label={isLast ? t`Done` : t`Next`}
          icon={isLast ? 'check' : undefined}
          onPress={() => (isLast ? onAnswer(answers) : setAt(at + 1))}
        />
      </View>
    </>
  );
}

interface AskedProps {
  question: Question;
  code: string;
  value: string | null;
  onChange: (value: string | null) => void;
}

function Asked({ question, code, value, onChange }: AskedProps) {
  const text = question.text(code);
  const choices = [
    ...question.answers.map((answer) => ({ value: answer.value, label: i18n._(answer.label) })),
    { value: null, label: t`Not sure` },
  ];
  return (
    <RadioGroup label={text} hasChosen>
      <Text variant="bodyLarge" style={STRONG}>
        {text}
      </Text>
      {choices.map((choice) => (
        <Tick key={choice.label} role="radio" isOn={choice.value === value} onPress={() => onChange(choice.value)}>
          <Text variant="bodyLarge" style={styles.label}>
            {choice.label}
          </Text>
        </Tick>
      ))}
    </RadioGroup>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 14 },
  label: { flex: 1 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 20, paddingTop: 12 },
  push: { flex: 1 },
  tall: { minHeight: 48 },
});
