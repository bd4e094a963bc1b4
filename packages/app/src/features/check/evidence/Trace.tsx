import { t } from '@lingui/core/macro';
import type { Reach } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { deviceNames, MASK, shortened, tellTraceLine } from '@/answers/audit/sentences';
import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

import type { Codes } from '@/parts/findings/useCodes';

interface TraceProps {
  reach: Reach;
  devices: readonly string[];
  /** Whether what stands there then is private. */
  isPrivate: boolean;
  codes: Codes;
}

/** What the engine did, key by key, when the code was typed, and what came of it. */
export function Trace({ reach: { typed, result, trace }, devices, isPrivate, codes }: TraceProps) {
  const palette = usePalette();
  const keys = Array.from(typed);
  const happened = new Map(trace.map((line) => [line.at, line]));
  return (
    <View style={styles.block}>
      <Text variant="bodyMedium">{t`Typed on ${{ devices: deviceNames(devices) }}:`}</Text>
      <View style={styles.keys} role="img" aria-label={t`Typed: ${typed}`}>
        {keys.map((key, at) => {
          const isSpot = happened.get(at)?.rule.startsWith('fired') ?? false;
          return (
            <View
              key={at}
              style={[
                styles.key,
                { borderColor: palette.ink, backgroundColor: isSpot ? palette.ink : palette.surface },
              ]}
            >
              <Text style={[styles.sign, { color: isSpot ? palette.ground : palette.ink }]}>
                {key === ' ' ? '␣' : key}
              </Text>
            </View>
          );
        })}
      </View>
      {trace.map((line) => (
        <Text key={`${line.at} ${line.rule}`} variant="bodyMedium">
          {line.at >= keys.length
            ? t`At the end: ${{ what: tellTraceLine(line, codes.codeOf, line.id) }}.`
            : t`Key ${{ number: line.at + 1 }}: ${{ what: tellTraceLine(line, codes.codeOf, line.id) }}.`}
        </Text>
      ))}
      <View style={[styles.result, { borderColor: palette.line, backgroundColor: palette.surface }]}>
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>{t`You get`}</Text>
        <Text style={styles.text}>{isPrivate ? MASK : shortened(result, 200)}</Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 8 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
  key: {
    minWidth: 28,
    height: 34,
    borderWidth: 1.5,
    borderRadius: 5,
    alignItems: 'center',
    justifyContent: 'center',
    paddingHorizontal: 4,
  },
  sign: { fontFamily: FACES.code, fontSize: 17, lineHeight: 22 },
  result: { borderWidth: 1, borderRadius: 6, padding: 10, gap: 4 },
  text: { fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
});
