import { useId, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from './fonts';
import { Icon } from './icons';
import { usePalette } from './useLook';

interface FoldProps {
  title: string;
  /** In a line, what is inside. */
  summary: string;
  isOpen: boolean;
  onToggle: () => void;
  /** Whether it follows another without a gap. */
  isNext?: boolean;
  children: ReactNode;
}

/** A part of a page that is closed until it is wanted, and says in a line what is in it. */
export function Fold({ title, summary, isOpen, onToggle, isNext = false, children }: FoldProps) {
  const palette = usePalette();
  const id = useId();
  return (
    <View style={[styles.fold, isNext && styles.next, { borderColor: palette.line }]}>
      <View role="heading" aria-level={2}>
        <Pressable
          role="button"
          aria-expanded={isOpen}
          aria-controls={isOpen ? id : undefined}
          aria-label={summary === '' ? title : `${title}: ${summary}`}
          onPress={onToggle}
          style={styles.head}
        >
          <View style={styles.words}>
            <Text style={styles.title}>{title}</Text>
            {summary !== '' && (
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {summary}
              </Text>
            )}
          </View>
          <Icon name={isOpen ? 'chevron-up' : 'chevron-down'} size={20} color={palette.inkSoft} />
        </Pressable>
      </View>
      {isOpen && (
        <View nativeID={id} style={styles.body}>
          {children}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  fold: { borderTopWidth: 1, borderBottomWidth: 1, marginTop: 12 },
  next: { borderTopWidth: 0, marginTop: 0 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 60, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0 },
  title: { ...STRONG, fontSize: 15 },
  body: { paddingBottom: 12 },
});
