import { t } from '@lingui/core/macro';
import { spentOn, writtenOut } from '@yellow-latch/core/standIn';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { useLive } from '@/frame/live';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellDuration } from '@/wording/format';

import { useStandIn } from './useStandIn';

/** What it has just done and why, and what was spent beside what writing it all out takes. */
export function Told() {
  const palette = usePalette();
  const { typing, memory, keyboard, kept } = useStandIn();
  const line = useLive(typing.line);
  const spent = spentOn(memory.tally, keyboard);
  const written = writtenOut(memory.written, keyboard);
  const isCounting = memory.tally.taps > 0 && spent !== null && written !== null;
  return (
    <View style={[styles.told, { borderColor: palette.line }]}>
      <Text
        role="status"
        variant="bodyMedium"
        numberOfLines={2}
        style={{ color: line?.isAlarm ? palette.alarm : palette.ink }}
      >
        {line?.text ?? firstLine(kept.source)}
      </Text>
      {isCounting && (
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          <Text variant="bodySmall" style={[STRONG, { color: palette.ink }]}>
            {tellTaps(spent.taps)}
          </Text>
          {' · '}
          {t`about ${{ time: tellDuration(spent.seconds) }}. Typed out: ${{ taps: tellTaps(written.taps) }}, ${{ long: tellDuration(written.seconds) }}`}
        </Text>
      )}
    </View>
  );
}

function firstLine(source: 'app' | 'own'): string {
  return source === 'app' ? t`Your list expands here.` : t`Only what you copied over expands here.`;
}

const styles = StyleSheet.create({
  told: { minHeight: 44, justifyContent: 'center', paddingHorizontal: 16, paddingVertical: 4, borderTopWidth: 1 },
});
