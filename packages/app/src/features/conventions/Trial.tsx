import { plural, t } from '@lingui/core/macro';
import type { Recode } from '@yellow-latch/core/convention/plan';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellEffects, tellFigures, tellFinding } from '@/answers/audit/sentences';
import type { TriedCodes } from '@/answers/effort/workerApi';
import { useCodes } from '@/parts/findings/useCodes';
import { Working } from '@/parts/findings/Working';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';

interface TrialProps {
  trial: TriedCodes | null | undefined;
  isStale: boolean;
  recodes: readonly Recode[];
}

/** What the change was found to come to, tried on the list before it is done. */
export function Trial({ trial, isStale, recodes }: TrialProps) {
  const { codeOf } = useCodes();
  if (trial === undefined) return <Working text={t`Trying it on your list…`} />;
  if (trial === null)
    return <Text role="alert" variant="bodyMedium">{t`The check has stopped. Open Check to start it again.`}</Text>;
  const newCodes = new Map(recodes.map(({ id, to }) => [id, to]));
  const after = (id: string) => newCodes.get(id) ?? codeOf(id);
  const { goneCount, cameCount, came } = trial;
  return (
    <View role="status" style={styles.trial}>
      {tellFigures(trial).map((line) => (
        <Text key={line} variant="bodyMedium" style={STRONG}>
          {line}
        </Text>
      ))}
      <Text variant="bodyMedium">{isStale ? t`Checking again…` : tellEffects(goneCount, cameCount)}</Text>
      {came.map((finding) => (
        <View key={`${finding.type} ${finding.shortcuts[0]}`} style={styles.came}>
          <LatchGlyph verdict={finding.severity} size={20} />
          <Text variant="bodyMedium" style={styles.words}>
            {t`New: ${{ finding: tellFinding(finding, after(finding.shortcuts[0]!), after) }}`}
          </Text>
        </View>
      ))}
      {cameCount > came.length && (
        <Text variant="bodyMedium">{plural(cameCount - came.length, { other: 'And # more.' })}</Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  trial: { gap: 4 },
  came: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  words: { flex: 1, minWidth: 0 },
});
