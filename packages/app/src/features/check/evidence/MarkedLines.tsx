import { plural, t } from '@lingui/core/macro';
import type { Fault, PlaceExample } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { contextName, tellFault } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { MarkedText } from '@/look/MarkedText';
import type { Spot } from '@/look/spots';
import { usePalette } from '@/look/useLook';

import type { Codes } from '@/parts/findings/useCodes';
import { MASK } from '@/answers/audit/sentences';

/** How much of a long text stands on each side of a spot. */
const AROUND = 90;

type MarkedLinesProps =
  | { examples: readonly PlaceExample[]; count: number; codes?: Codes }
  /** `text` null: it is private. */
  | { faults: readonly Fault[]; text: string | null; count: number };

/** Texts with the spots marked at which a code fires, or something is wrong. */
export function MarkedLines(props: MarkedLinesProps) {
  const palette = usePalette();
  const lines = 'faults' in props ? faultLines(props) : placeLines(props);
  const left = props.count - lines.length;
  return (
    <View style={styles.block}>
      {lines.map(({ key, code, label, text, spot }) => (
        <View key={key} style={[styles.line, { borderColor: palette.line }]}>
          <View style={styles.of}>
            {code !== undefined && <CodePlate code={code} />}
            <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
              {label}
            </Text>
          </View>
          <MarkedText text={text} spots={spot ? [spot] : []} around={AROUND} />
        </View>
      ))}
      {left > 0 && (
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {plural(left, { one: 'and # more place', other: 'and # more places' })}
        </Text>
      )}
    </View>
  );
}

interface Line {
  key: string;
  code?: string;
  label: string;
  text: string;
  spot: Spot | null;
}

function placeLines({ examples, codes }: { examples: readonly PlaceExample[]; codes?: Codes }): Line[] {
  return examples.map(({ text, start, end, of }) => {
    const key = `${of} ${start} ${text}`;
    if (!codes) return { key, label: contextName(of), text, spot: { start, end } };
    const isPrivate = codes.shortcutOf(of)?.private ?? false;
    return {
      key,
      code: codes.codeOf(of),
      label: t`You get`,
      text: isPrivate ? MASK : text,
      spot: isPrivate ? null : { start, end },
    };
  });
}

function faultLines({ faults, text }: { faults: readonly Fault[]; text: string | null }): Line[] {
  return faults
    .filter(({ fault }) => fault !== 'same expansion')
    .map(({ fault, start, end, better }) => ({
      key: `${fault} ${start}`,
      label: tellFault({ fault, better: text === null ? undefined : better }),
      text: text ?? MASK,
      spot: text === null ? null : { start, end },
    }));
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  line: { borderTopWidth: 1, paddingVertical: 8, gap: 4 },
  of: { flexDirection: 'row', alignItems: 'center', gap: 8 },
});
