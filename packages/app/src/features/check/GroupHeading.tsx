import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

interface GroupHeadingProps {
  title: string;
  count: number;
  isOpen: boolean;
  onToggle: () => void;
}

/** The name of a group of findings and how many there are; a tap opens and closes it. */
export function GroupHeading({ title, count, isOpen, onToggle }: GroupHeadingProps) {
  const palette = usePalette();
  return (
    <View role="heading" aria-level={2}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${title}: ${count}`}
        onPress={onToggle}
        style={styles.row}
      >
        <Icon name={isOpen ? 'chevron-down' : 'chevron-right'} size={18} color={palette.inkSoft} />
        <Text variant="titleSmall" style={styles.name}>
          {title}
        </Text>
        <View style={[styles.rule, { backgroundColor: palette.line }]} />
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {tellCount(count)}
        </Text>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 16, minHeight: 48, paddingTop: 6 },
  name: { ...STRONG, fontSize: 15 },
  rule: { flex: 1, height: 1 },
});
