import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Icon } from './icons';
import { usePalette } from './useLook';

interface FilterChipsProps<Filters> {
  /** The filters that are on, in words, and all of them without each. */
  active: readonly { readonly words: string; readonly without: Filters }[];
  onChange: (filters: Filters) => void;
  /** What comes of them, said where it changes. */
  children: ReactNode;
}

/** The filters that are on; a tap takes one off. */
export function FilterChips<Filters>({ active, onChange, children }: FilterChipsProps<Filters>) {
  const palette = usePalette();
  if (active.length === 0) return null;
  return (
    <View style={styles.row}>
      {active.map(({ words, without }) => (
        <Pressable
          key={words}
          role="button"
          aria-label={t`Remove filter: ${words}`}
          onPress={() => onChange(without)}
          style={[styles.chip, { borderColor: palette.ink, backgroundColor: palette.surface }]}
        >
          <Text numberOfLines={1} style={styles.words}>
            {words}
          </Text>
          <Icon name="close" size={16} color={palette.ink} />
        </Pressable>
      ))}
      <Text variant="bodySmall" role="status">
        {children}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    minHeight: 48,
    maxWidth: '100%',
    paddingHorizontal: 10,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  words: { fontSize: 15, flexShrink: 1 },
});
