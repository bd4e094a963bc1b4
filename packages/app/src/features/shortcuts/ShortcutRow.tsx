import type { Severity } from '@yellow-latch/core/clash/finding';
import { countClusters, shownText, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS } from '@/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { LatchGlyph } from '@/look/LatchGlyph';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

import { CopyButton } from './CopyButton';
import { MASK } from '@/audit/sentences';

/** Codes longer than this, in clusters, stand above their expansion instead of beside it. */
const LONGEST_BESIDE = 9;

interface ShortcutRowProps {
  shortcut: Shortcut;
  isOpen: boolean;
  /** Null: not judged yet. */
  verdict: Severity | 'safe' | null;
  /** Whether two devices wrote different things of it and nobody has chosen yet. */
  isUnsettled?: boolean;
}

/** A pair of the list: what you type, what you get; one tap opens it, one on the right copies it. */
export const ShortcutRow = memo(function ShortcutRow({ shortcut, isOpen, verdict, isUnsettled = false }: ShortcutRowProps) {
  const palette = usePalette();
  const router = useRouter();
  const { id, code, kind } = shortcut;
  const shown = shortcut.private ? `${MASK}, only on this device` : shownText(shortcut);
  const isLong = countClusters(code) > LONGEST_BESIDE;
  return (
    <View style={[styles.row, isOpen && { backgroundColor: palette.surface }]}>
      <PressLink
        aria-label={`${code}: ${shown.slice(0, 200)}${verdict ? `. ${SEVERITY_WORDS[verdict]}` : ''}${isUnsettled ? '. Two versions' : ''}`}
        aria-current={isOpen ? 'true' : undefined}
        onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
        style={styles.link}
      >
        <View style={styles.glyph}>{verdict && <LatchGlyph verdict={verdict} size={20} />}</View>
        <View style={[styles.pair, isLong && styles.stacked]}>
        <View style={isLong ? null : styles.code}>
          <CodePlate code={code} />
        </View>
        <Text
          variant="bodyMedium"
          numberOfLines={2}
          style={[styles.expansion, kind === 'symbol' && styles.symbol]}
        >
          {shown.trim().replace(/\s*\n\s*/g, ' ↵ ')}
        </Text>
        </View>
        {isUnsettled && <Icon name="split" size={18} color={palette.ink} />}
      </PressLink>
      <CopyButton shortcut={shortcut} />
    </View>
  );
});

const styles = StyleSheet.create({
  symbol: { fontSize: 21, lineHeight: 26 },
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 10, paddingRight: 4 },
  link: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: 8, minWidth: 0 },
  glyph: { width: 20 },
  pair: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 56,
    paddingVertical: 6,
    minWidth: 0,
  },
  stacked: { flexDirection: 'column', alignItems: 'stretch', gap: 4 },
  code: { minWidth: 86 },
  expansion: { flex: 1, fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
});
