import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { AuditResult } from '@/answers/audit/client';
import { counted, deviceNames } from '@/answers/audit/sentences';
import { LatchGlyph } from '@/look/LatchGlyph';
import { useList } from '@/frame/replica/ReplicaProvider';

import { languageName } from '@/parts/languages';

/** What a list was tried with. */
function tellProved(count: number, { languages, contexts, devices }: AuditResult): string {
  const words = `every word of ${languages.map(languageName).join(' and ')}`;
  const texts = `${contexts} links, addresses, prices and the like`;
  const many = count === 1 ? '' : ', with each other';
  return `${counted(count, 'shortcut')}, tried with ${words}, with ${texts}${many} and with your own texts, as ${deviceNames(devices)} would fire them.`;
}

/** Nothing is left: what was checked, against what. When stands above. */
export function AllClear() {
  const { result } = useAudit().state;
  const { shortcuts } = useList();
  if (!result || shortcuts.length === 0) return null;
  return (
    <View style={styles.page}>
      <LatchGlyph verdict="safe" size={56} />
      <Text variant="titleLarge" role="heading" aria-level={2}>
        Every latch is shut
      </Text>
      <Text variant="bodyLarge">{tellProved(shortcuts.length, result)}</Text>
      <Text variant="bodyMedium">
        A code is judged again when you change it. What only you write, your own text can tell.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 16, paddingTop: 32, gap: 12, maxWidth: 560 } });
