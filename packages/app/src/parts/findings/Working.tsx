import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { usePalette } from '@/look/useLook';

/** Waits shorter than this show nothing, in ms: what flashes up only disturbs. */
const NOTICED = 400;

/**
 * Says that something is being worked out, where it takes long enough to be noticed. Most answers wait for the check of
 * the list, and how far that is is known.
 */
export function Working({ text }: { text: string }) {
  const palette = usePalette();
  const { phase, progress } = useAudit().state;
  const [isLong, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), NOTICED);
    return () => clearTimeout(timer);
  }, []);
  const isChecking = phase === 'working';
  return (
    // A screen reader reads what comes into a place that was there before.
    <View role="status" style={styles.block}>
      {isLong && (
        <>
          <Text variant="bodyMedium">{isChecking ? t`Checking your list…` : text}</Text>
          <ProgressBar
            progress={progress}
            indeterminate={!isChecking}
            color={palette.ink}
            aria-label={text}
            style={styles.bar}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 8, minHeight: 40, maxWidth: 480 },
  bar: { height: 6, borderRadius: 3 },
});
