import { compareSeverity, type Finding } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS, tellFinding } from '@/audit/sentences';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { useList } from '@/replica/ReplicaProvider';

/** What is told of the code while it is chosen; faults of the text are told when it is saved. */
const ABOUT_TEXT = new Set<Finding['type']>(['faulty expansion', 'own expansion']);

/** The worst that is to be said about a code, in one sentence beside its glyph. */
export function Verdict({ code, findings }: { code: string; findings: readonly Finding[] }) {
  const palette = usePalette();
  const { shortcuts } = useList();
  const codeOf = (id: string) => shortcuts.find((shortcut) => shortcut.id === id)?.code ?? 'another code';
  const aboutCode = findings.filter(({ type }) => !ABOUT_TEXT.has(type));
  const worst = [...aboutCode].sort((a, b) => compareSeverity(b.severity, a.severity))[0];
  const verdict = worst?.severity ?? 'safe';
  const more = aboutCode.length - 1;
  return (
    <View role="status" style={styles.verdict}>
      <LatchGlyph verdict={verdict} size={28} />
      <View style={styles.words}>
        <Text variant="bodyMedium" style={[styles.name, { color: verdict === 'breaks' ? palette.alarm : palette.ink }]}>
          {SEVERITY_WORDS[verdict]}
        </Text>
        <Text variant="bodyMedium" style={{ color: palette.ink }}>
          {worst ? tellFinding(worst, code, codeOf) : 'No word, link or other code gets in its way.'}
          {more > 0 && ` ${more} more.`}
        </Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  verdict: { flexDirection: 'row', gap: 12, alignItems: 'flex-start', minHeight: 48, paddingVertical: 4 },
  words: { flex: 1 },
  name: { ...STRONG },
});
