import type { ReactNode } from 'react';
import { Modal, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useIsWide, usePalette } from './useLook';

interface SheetProps {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet over the screen: from below on a phone, in the middle when wide. Escape closes it. */
export function Sheet({ title, isOpen, onClose, children }: SheetProps) {
  const palette = usePalette();
  const isWide = useIsWide();
  return (
    <Modal transparent visible={isOpen} onRequestClose={onClose} aria-label={title}>
      <View style={[styles.stage, isWide && styles.middle]}>
        {/* No stop for the focus: Escape closes the sheet by keyboard. */}
        <View aria-hidden {...({ onClick: onClose } as object)} style={[StyleSheet.absoluteFill, styles.shade]} />
        <View
          style={[
            styles.sheet,
            isWide && styles.wideSheet,
            { backgroundColor: palette.surface, borderColor: palette.ink },
          ]}
        >
          {/* The first that can take the focus does. */}
          <View role="heading" aria-level={2} tabIndex={-1} style={styles.title}>
            <Text variant="titleMedium">{title}</Text>
          </View>
          {children}
        </View>
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  stage: { flex: 1, justifyContent: 'flex-end' },
  middle: { justifyContent: 'center', alignItems: 'center' },
  shade: { backgroundColor: 'rgba(5, 24, 28, 0.55)' },
  sheet: {
    maxHeight: '80%',
    borderTopWidth: 1.5,
    borderTopLeftRadius: 14,
    borderTopRightRadius: 14,
    paddingBottom: 12,
  },
  wideSheet: { width: 380, borderWidth: 1.5, borderRadius: 10 },
  title: { paddingHorizontal: 20, paddingTop: 16, paddingBottom: 8 },
});
