import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { countClusters, shownText, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { MASK, SEVERITY_WORDS } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { LatchGlyph } from '@/look/LatchGlyph';
import type { Held } from '@/look/PressLink';
import { TickMark } from '@/look/Tick';
import { useTabIndex } from '@/look/tabStop';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

import { choosing } from '@/parts/choosing';
import { CopyButton } from '@/parts/CopyButton';

/** Codes longer than this, in clusters, stand above their expansion instead of beside it. */
const LONGEST_BESIDE = 9;

interface ShortcutRowProps {
  shortcut: Shortcut;
  isOpen: boolean;
  /** Null: not judged yet. */
  verdict: Severity | 'safe' | null;
  /** Whether two devices wrote different things of it and nobody has chosen yet. */
  isUnsettled?: boolean;
  /** Null: nothing is being chosen, and it opens. */
  isChosen: boolean | null;
  /** Where it is of no set's group, the name of its set. */
  setName?: string;
}

/** Whether a press with these keys held chooses rather than opens; if so, it is done. */
function choosesWith({ shiftKey, ctrlKey, metaKey }: Held, id: string): boolean {
  if (shiftKey) choosing.extendTo(id);
  else if (ctrlKey || metaKey) choosing.toggle(id);
  return shiftKey || ctrlKey || metaKey;
}

/**
 * A pair of the list: what you type, what you get; one tap opens it, one on the right copies it. Pressed long, or with Shift or
 * Ctrl, it is chosen; while some are being chosen a tap chooses.
 */
export const ShortcutRow = memo(function ShortcutRow({
  shortcut,
  isOpen,
  verdict,
  isUnsettled = false,
  isChosen,
  setName,
}: ShortcutRowProps) {
  const palette = usePalette();
  const router = useRouter();
  const tabIndex = useTabIndex();
  const { id, code } = shortcut;
  // The text stands last, since it ends as it ends.
  const about = [
    code,
    ...(verdict ? [i18n._(SEVERITY_WORDS[verdict])] : []),
    ...(isUnsettled ? [t`Two versions`] : []),
  ].join(', ');
  const label = `${about}: ${wordsOf(shortcut).slice(0, 200)}`;
  const isChoosing = isChosen !== null;
  const press = (held: Held) => {
    if (choosesWith(held, id)) return;
    if (isChoosing) choosing.toggle(id);
    else router.navigate({ pathname: '/shortcut/[id]', params: { id } });
  };
  const onKeyDown = (event: Held & { key: string; preventDefault: () => void }) => {
    if (event.key !== (isChoosing ? ' ' : 'Enter')) return;
    event.preventDefault();
    press(event);
  };
  return (
    <View
      style={[
        styles.row,
        isChoosing && styles.choosing,
        (isChoosing ? isChosen : isOpen) && { backgroundColor: palette.surface },
      ]}
    >
      {/* One element whether it opens or is chosen, so that a long press ends where it began, and the focus stays. */}
      <Pressable
        role={isChoosing ? 'checkbox' : 'link'}
        tabIndex={tabIndex}
        aria-label={label}
        aria-checked={isChoosing ? isChosen : undefined}
        aria-current={!isChoosing && isOpen ? 'true' : undefined}
        onPress={({ nativeEvent }) => press(nativeEvent as unknown as Held)}
        onLongPress={() => (isChoosing ? choosing.extendTo(id) : choosing.begin(id))}
        {...({ onKeyDown } as object)}
        style={styles.link}
      >
        {isChoosing ? (
          <TickMark role="checkbox" isOn={isChosen} />
        ) : (
          <View style={styles.glyph}>{verdict && <LatchGlyph verdict={verdict} size={20} />}</View>
        )}
        <Pair shortcut={shortcut} setName={setName} />
        {isUnsettled && <Icon name="split" size={18} color={palette.ink} />}
      </Pressable>
      {!isChoosing && <CopyButton shortcut={shortcut} tabIndex={-1} />}
    </View>
  );
});

function wordsOf(shortcut: Shortcut): string {
  return shortcut.private ? t`${MASK} Only on this device` : shownText(shortcut);
}

function Pair({ shortcut, setName }: { shortcut: Shortcut; setName?: string }) {
  const palette = usePalette();
  const { code, kind } = shortcut;
  const isLong = countClusters(code) > LONGEST_BESIDE;
  return (
    <View style={[styles.pair, isLong && styles.stacked]}>
      <View style={isLong ? null : styles.code}>
        <CodePlate code={code} />
      </View>
      <View style={styles.words}>
        <Text variant="bodyMedium" numberOfLines={2} style={[styles.expansion, kind === 'symbol' && styles.symbol]}>
          {wordsOf(shortcut)
            .trim()
            .replace(/\s*\n\s*/g, ' ↵ ')}
        </Text>
        {setName !== undefined && (
          <Text variant="bodySmall" numberOfLines={1} style={{ color: palette.inkSoft }}>
            {setName}
          </Text>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  symbol: { fontSize: 21, lineHeight: 26 },
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 10, paddingRight: 4 },
  // A press with Shift chooses, and selects no text on its way.
  choosing: { paddingRight: 14, userSelect: 'none' },
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
  words: { flex: 1, minWidth: 0 },
  expansion: { fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
});
