import { t } from '@lingui/core/macro';
import type { DeviceKeyboard } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { tellNumber, tellPercent } from '@/wording/format';

const MOST_PARTS = 20;

interface UseCardProps {
  use: DeviceKeyboard;
  name: string;
  /** How much of the typing on its device is done on it, in whole percent; null: all of it. */
  percent: number | null;
  isShown: boolean;
  /** Null: it is the only one. */
  onRemove: (() => void) | null;
  onShow: () => void;
  onChange: (use: DeviceKeyboard) => void;
  onMeasure: () => void;
}

/** A keyboard of a device: how much it is used, at what pace. */
export function UseCard({ use, name, percent, isShown, onRemove, onShow, onChange, onMeasure }: UseCardProps) {
  const palette = usePalette();
  const { share, pace } = use;
  const isShared = percent !== null;
  return (
    <View
      style={[
        styles.card,
        { borderColor: isShown ? palette.ink : palette.line },
        isShown && { backgroundColor: palette.surface },
      ]}
    >
      <View style={styles.line}>
        <Tick role="radio" isOn={isShown} onPress={onShow} label={t`Show ${name}`} style={styles.name}>
          <Text variant="bodyLarge" style={isShown && STRONG} numberOfLines={2}>
            {name}
          </Text>
        </Tick>
        {isShared && isShown && (
          <IconButton
            icon="minus"
            size={18}
            style={styles.square}
            accessibilityLabel={t`Use ${name} less`}
            disabled={share <= 1}
            onPress={() => onChange({ ...use, share: share - 1 })}
          />
        )}
        {isShared && (
          <Text style={[STRONG, styles.percent]} role="status">
            {tellPercent(percent / 100)}
          </Text>
        )}
        {isShared && isShown && (
          <IconButton
            icon="plus"
            size={18}
            style={styles.square}
            accessibilityLabel={t`Use ${name} more`}
            disabled={share >= MOST_PARTS}
            onPress={() => onChange({ ...use, share: share + 1 })}
          />
        )}
      </View>
      {isShown && (
        <View style={[styles.line, styles.wrapped]}>
          <Button
            mode="text"
            icon="timer"
            onPress={onMeasure}
            contentStyle={styles.tall}
            accessibilityLabel={t`${{ pace: tellPace(pace) }} on ${name}`}
          >
            {tellPace(pace)}
          </Button>
          <View style={styles.name} />
          {onRemove && (
            <IconButton
              icon="close"
              size={20}
              style={styles.square}
              accessibilityLabel={t`Remove ${name}`}
              onPress={onRemove}
            />
          )}
        </View>
      )}
    </View>
  );
}

function tellPace(pace: number): string {
  if (pace === 1) return t`Measure my speed`;
  return pace > 1
    ? t`${{ number: tellNumber(pace) }} × the usual time`
    : t`${{ number: tellNumber(1 / pace) }} × as fast`;
}

const styles = StyleSheet.create({
  card: { borderWidth: 1.5, borderRadius: 8, paddingLeft: 12, paddingRight: 4, paddingVertical: 2 },
  line: { flexDirection: 'row', alignItems: 'center', minWidth: 0, gap: 2 },
  wrapped: { flexWrap: 'wrap' },
  name: { flex: 1, minWidth: 0 },
  square: { width: 48, height: 48, margin: 0 },
  percent: { minWidth: 48, textAlign: 'center' },
  tall: { minHeight: 48 },
});
