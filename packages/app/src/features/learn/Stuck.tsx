import { t } from '@lingui/core/macro';
import { changingCodes, keptUntil } from '@yellow-latch/replica/commands/recoding';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useAnswer } from '@/answers/effort/useAnswer';
import { useHesitations } from '@/answers/learn/useHesitations';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import type { LearnItem } from './useLearn';

/** A code that lapses again and again: another one for its text, or no more of it. */
export function Stuck({ item: { shortcut }, onDrop }: { item: LearnItem; onDrop: () => void }) {
  const palette = usePalette();
  const run = useCommand();
  const canEdit = useMay() === 'edit';
  const { shortcuts, conventions, keyboards, ownKeyboards } = useList();
  const hesitations = useHesitations();
  const [question] = useState({});
  const { answer } = useAnswer(question, ({ propose }) => {
    const request = { conventions, keyboards, ownKeyboards, hesitations };
    return propose.propose(shortcut, request);
  });
  const { code, id } = shortcut;
  const other = answer?.find((proposal) => proposal.code !== code)?.code;
  const change = (to: string) =>
    void run(changingCodes([{ id, to }], shortcuts, keptUntil()), t`“${code}” is now “${to}”.`);
  return (
    <View role="group" aria-label={t`${code} doesn’t stick`} style={[styles.card, { borderColor: palette.ink }]}>
      <Text variant="titleMedium" style={STRONG}>{t`“${code}” doesn’t stick`}</Text>
      <Text variant="bodyMedium">
        {other !== undefined && canEdit
          ? t`“${other}” may be easier to remember. The old code keeps working for four weeks.`
          : t`You keep forgetting it. You can stop learning it: the shortcut stays in your list.`}
      </Text>
      <View style={styles.actions}>
        <Button mode="text" contentStyle={styles.tall} onPress={onDrop}>{t`Stop learning it`}</Button>
        {other !== undefined && canEdit && (
          <LatchButton isQuiet label={t`Use ${other}`} onPress={() => change(other)} />
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1.5, borderRadius: 8, padding: 14, gap: 8 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'flex-end', gap: 8 },
  tall: { minHeight: 48 },
});
