import { plural, t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { AuditResult } from '@/answers/audit/client';
import { deviceNames } from '@/answers/audit/sentences';
import { LatchGlyph } from '@/look/LatchGlyph';
import { useList } from '@/frame/replica/ReplicaProvider';

import { languageName, tellCount, tellList } from '@/wording/format';

/** What a list was tried with. */
function tellChecked(count: number, { languages, contexts, devices }: AuditResult): string {
  const shortcuts = plural(count, { one: '# shortcut', other: '# shortcuts' });
  const words = tellList(languages.map(languageName));
  const texts = tellCount(contexts);
  const where = deviceNames(devices);
  return t`${shortcuts} checked on ${where}: against every word of ${words}, ${texts} links, addresses and prices, and each other.`;
}

/** Nothing is left: what was checked, against what. When stands above. */
export function AllClear() {
  const { result } = useAudit().state;
  const { shortcuts } = useList();
  if (!result || shortcuts.length === 0) return null;
  return (
    <View style={styles.page}>
      <LatchGlyph verdict="safe" size={56} />
      <Text variant="titleLarge" role="heading" aria-level={2}>{t`No problems found`}</Text>
      <Text variant="bodyLarge">{tellChecked(shortcuts.length, result)}</Text>
      <Text variant="bodyMedium">{t`Every change is checked too. Check your own texts for what only you write.`}</Text>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 16, paddingTop: 32, gap: 12, maxWidth: 560 } });
