import { plural, t } from '@lingui/core/macro';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { AuditResult } from '@/answers/audit/client';
import { announce } from '@/frame/announce';
import { Fold } from '@/look/Fold';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCodes } from '@/parts/findings/useCodes';

import { languageName, tellList, tellMoment } from '@/wording/format';
import { CheckedFor } from './CheckedFor';
import { FigureChart } from './FigureChart';
import { tellListFigure } from './summary';

/**
 * How often the whole list expands by mistake, in a sentence, when and for what it was checked; behind it the chart,
 * and what to check for. How far a check is, and what could not be checked, stand below it.
 */
export function HowChecked() {
  const palette = usePalette();
  const { client, findings, state } = useAudit();
  const { shortcuts, devices } = useList();
  const { codeOf } = useCodes();
  const [isOpen, setOpen] = useState(false);
  const [isChoosing, setChoosing] = useState(false);
  const { phase, result, progress, wasRestarted } = state;
  const isWorking = phase === 'working';
  const wasWorking = useRef(isWorking);
  const told = tellChecked(shortcuts.length, devices.length, isWorking ? null : result);
  useEffect(() => {
    if (wasWorking.current && !isWorking) announce(told);
    wasWorking.current = isWorking;
  }, [isWorking, told]);
  if (phase === 'failed') {
    return (
      <View role="alert" style={styles.block}>
        <Text
          variant="bodyMedium"
          style={{ color: palette.alarm }}
        >{t`The check stopped twice. Your list is safe.`}</Text>
        <Button
          mode="outlined"
          onPress={() => client.restart()}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Start again`}</Button>
      </View>
    );
  }
  const unchecked = result?.unchecked ?? [];
  return (
    <View style={styles.block}>
      {wasRestarted && phase === 'working' && (
        <Text role="alert" variant="bodyMedium">{t`The check stopped and was started again.`}</Text>
      )}
      {result && shortcuts.length > 0 ? (
        <Fold
          title={tellListFigure(result.figures, findings.open, codeOf)}
          summary={told}
          isOpen={isOpen}
          onToggle={() => setOpen(!isOpen)}
        >
          <FigureChart figures={result.figures} />
          <Button
            mode="outlined"
            aria-haspopup="dialog"
            onPress={() => setChoosing(true)}
            style={styles.button}
            contentStyle={styles.tall}
          >{t`Choose languages and devices`}</Button>
        </Fold>
      ) : (
        <Text role="status" variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {told}
        </Text>
      )}
      {phase === 'working' && (
        <ProgressBar progress={progress} color={palette.ink} aria-label={t`Checking`} style={styles.bar} />
      )}
      {unchecked.length > 0 && (
        <View role="alert" style={styles.line}>
          <Text variant="bodyMedium" style={[styles.told, { color: palette.alarm }]}>
            {t`Not checked because it didn’t load: ${{ what: tellList(unchecked.map(tellUnchecked)) }}.`}
          </Text>
          <Button mode="text" onPress={() => client.restart()} contentStyle={styles.tall}>{t`Try again`}</Button>
        </View>
      )}
      <CheckedFor isOpen={isChoosing} onClose={() => setChoosing(false)} />
    </View>
  );
}

function tellUnchecked(what: string): string {
  return what === 'look-alikes' ? t`characters that look alike` : languageName(what);
}

function tellChecked(count: number, many: number, result: AuditResult | null): string {
  if (count === 0) return t`Nothing to check yet: your list is empty.`;
  if (!result) return plural(count, { one: 'Checking # shortcut…', other: 'Checking # shortcuts…' });
  const when = tellMoment(result.at);
  const languages = tellList(result.languages.map(languageName));
  const devices = plural(many, { one: 'your device', other: 'your # devices' });
  return t`Checked at ${when} for ${languages} and ${devices}.`;
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  told: { flex: 1 },
  button: { alignSelf: 'flex-start', borderRadius: 6, marginTop: 8 },
  tall: { minHeight: 48 },
  bar: { height: 6, borderRadius: 3 },
});
