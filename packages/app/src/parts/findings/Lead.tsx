import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { LatchButton } from '@/look/LatchButton';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { useOpened } from '@/frame/replica/ReplicaProvider';

import { pathOfChecked } from './path';
import { useCodes } from './useCodes';

const KEPT = 'was-led';

/**
 * Once, below a list with something that breaks: leads through the worst of it, its evidence and its fix.
 * Below, so that no row moves when it comes.
 */
export function Lead() {
  const palette = usePalette();
  const router = useRouter();
  const { db } = useOpened().replica;
  const { codeOf } = useCodes();
  const { findings } = useAudit();
  const [wasLed, setWasLed] = useState(true);
  useEffect(() => {
    void db.get('kept', KEPT).then((was) => setWasLed(was === true));
  }, [db]);
  // The one that is easiest to see: a code that is a word.
  const first =
    findings.open.find(({ type, severity }) => type === 'word' && severity === 'breaks') ?? findings.open[0];
  if (wasLed || !first || first.severity !== 'breaks') return null;
  const end = () => {
    setWasLed(true);
    void db.put('kept', true, KEPT);
  };
  const code = codeOf(first.shortcuts[0]!);
  return (
    <View style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}>
      <View style={styles.line}>
        <LatchGlyph verdict={first.severity} size={32} />
        <Text variant="bodyMedium" style={styles.words}>{t`“${code}” needs fixing.`}</Text>
      </View>
      <View style={styles.actions}>
        <Button mode="text" onPress={end} contentStyle={styles.tall}>{t`Not now`}</Button>
        <LatchButton
          label={t`Show me`}
          isQuiet
          onPress={() => {
            end();
            router.navigate(pathOfChecked(first.shortcuts[0]!, true));
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    borderWidth: 1.5,
    borderRadius: 8,
    marginHorizontal: 10,
    marginTop: 8,
    padding: 4,
    paddingLeft: 12,
    gap: 4,
  },
  line: { flexGrow: 1, flexDirection: 'row', gap: 12, alignItems: 'center' },
  words: { flexShrink: 1 },
  actions: { flexGrow: 1, flexDirection: 'row', justifyContent: 'flex-end', gap: 4 },
  tall: { minHeight: 48 },
});
