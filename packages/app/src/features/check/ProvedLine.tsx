import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { AuditResult } from '@/answers/audit/client';
import { counted } from '@/answers/audit/sentences';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { languageName } from '@/parts/languages';
import { ProvedAgainst } from './ProvedAgainst';

/** How far the proof is, against what and when it was made, and what could not be checked. */
export function ProvedLine() {
  const palette = usePalette();
  const { client, state } = useAudit();
  const { shortcuts } = useList();
  const [isChoosing, setChoosing] = useState(false);
  const { phase, result, progress, wasRestarted } = state;
  if (phase === 'failed') {
    return (
      <View role="alert" style={styles.block}>
        <Text variant="bodyMedium" style={{ color: palette.alarm }}>
          The check has stopped by itself twice running. Your list is not touched by that.
        </Text>
        <Button mode="outlined" onPress={() => client.restart()} style={styles.button} contentStyle={styles.tall}>
          Start it again
        </Button>
      </View>
    );
  }
  const unchecked = result?.unchecked ?? [];
  return (
    <View style={styles.block}>
      {wasRestarted && phase === 'working' && (
        <Text role="alert" variant="bodyMedium">
          The check stopped by itself and was started again.
        </Text>
      )}
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label="Proved against: choose languages and devices"
        onPress={() => setChoosing(true)}
        style={styles.line}
      >
        <View role="status" style={styles.told}>
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
            {tellProved(shortcuts.length, phase === 'working' ? null : result)}
          </Text>
        </View>
        <Icon name="chevron-down" size={18} color={palette.inkSoft} />
      </Pressable>
      {phase === 'working' && (
        <ProgressBar progress={progress} color={palette.ink} aria-label="How far the proof is" style={styles.bar} />
      )}
      {unchecked.length > 0 && (
        <View role="alert" style={styles.line}>
          <Text variant="bodyMedium" style={[styles.told, { color: palette.alarm }]}>
            Not checked, since it could not be loaded: {unchecked.join(', ')}.
          </Text>
          <Button mode="text" onPress={() => client.restart()} contentStyle={styles.tall}>
            Try again
          </Button>
        </View>
      )}
      <ProvedAgainst isOpen={isChoosing} onClose={() => setChoosing(false)} />
    </View>
  );
}

function tellTime(at: number): string {
  const isToday = new Date(at).toDateString() === new Date().toDateString();
  const clock = new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return isToday ? clock : `${new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}, ${clock}`;
}

function tellProved(count: number, result: AuditResult | null): string {
  if (count === 0) return 'The list is empty: there is nothing to prove.';
  if (!result) return `Proving ${counted(count, 'shortcut')}…`;
  const languages = result.languages.map(languageName).join(', ');
  return `Proved at ${tellTime(result.at)} against ${languages} on ${counted(result.devices.length, 'device')}`;
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  told: { flex: 1 },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
  bar: { height: 6, borderRadius: 3 },
});
