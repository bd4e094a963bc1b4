import { t } from '@lingui/core/macro';
import type { Tag } from '@yellow-latch/core/compose';
import { Pressable, ScrollView, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { useLive, type Live } from '@/frame/live';
import { Icon } from '@/look/icons';
import { keepingFocus } from '@/look/keepingFocus';
import { usePalette } from '@/look/useLook';

/** The tags of the text, each to be taken out by a tap. */
export function TagChips({ live, onRemove }: { live: Live<readonly Tag[]>; onRemove: (tag: Tag) => void }) {
  const palette = usePalette();
  const tags = useLive(live);
  if (tags.length === 0) return null;
  return (
    <ScrollView
      horizontal
      role="group"
      aria-label={t`Tags in the text`}
      showsHorizontalScrollIndicator={false}
      style={styles.strip}
      contentContainerStyle={styles.row}
    >
      {tags.map((tag) => (
        <Pressable
          key={tag.start}
          role="button"
          aria-label={t`Remove ${{ tag: tag.text }}`}
          onPress={() => onRemove(tag)}
          {...keepingFocus}
          style={[styles.chip, { borderColor: palette.inkSoft }]}
        >
          <Text style={styles.text}>{tag.text}</Text>
          <Icon name="close" size={15} color={palette.inkSoft} />
        </Pressable>
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  strip: { flexGrow: 0, flexShrink: 0 },
  row: { gap: 6, paddingHorizontal: 10, paddingTop: 6 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    minHeight: 48,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 6,
    borderStyle: 'dashed',
  },
  text: { fontSize: 15 },
});
