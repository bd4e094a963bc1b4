import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/audit/AuditProvider';
import { counted, deviceNames } from '@/audit/sentences';
import { LatchGlyph } from '@/look/LatchGlyph';
import { useList } from '@/replica/ReplicaProvider';

import { languageName } from './languages';

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
      <Text variant="bodyLarge">
        {counted(shortcuts.length, 'shortcut')} were tried with every word of {result.languages.map(languageName).join(', ')}, with {result.contexts}
        links, addresses, prices and the like, with each other and with all your own texts, as {deviceNames(result.devices)} would
        fire them.
      </Text>
      <Text variant="bodyMedium">A code is judged again when you change it. What only you write, your own text can tell.</Text>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 16, paddingTop: 32, gap: 12, maxWidth: 560 } });
