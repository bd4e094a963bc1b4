import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { useIsWide } from './useLook';

interface DetailHeadProps {
  /** What the way back is called. */
  back: string;
  onBack: () => void;
  /** The heading, and what stands beside it. */
  children: ReactNode;
}

/** The head of what is open over a list (phone: an arrow leads back) or beside it (wide: a cross closes it). */
export function DetailHead({ back, onBack, children }: DetailHeadProps) {
  const isWide = useIsWide();
  return (
    <View style={styles.head}>
      <IconButton
        icon={isWide ? 'close' : 'arrow-left'}
        size={22}
        style={styles.back}
        accessibilityLabel={back}
        onPress={onBack}
      />
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 4, paddingTop: 6 },
  back: { width: 48, height: 48, margin: 0 },
});
