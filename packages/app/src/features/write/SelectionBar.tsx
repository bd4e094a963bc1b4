import { CASINGS, type Casing } from '@yellow-latch/core/expansion/segment';
import type { Shortcut } from '@yellow-latch/core/model';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { keepingFocus } from '@/look/keepingFocus';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';

/** What a casing is called by, in itself. */
const LOOKS: Readonly<Record<Casing, { text: string; label: string }>> = {
  lower: { text: 'small', label: 'Small letters' },
  upper: { text: 'CAPITALS', label: 'Capitals' },
  title: { text: 'Each Word', label: 'A capital for each word' },
};

interface SelectionBarProps {
  /** The shortcuts that take what is selected into their text. */
  wrappers: readonly Shortcut[];
  onCasing: (casing: Casing) => void;
  onWrap: (shortcut: Shortcut) => void;
}

/** What can be made of selected text: other capitals, or the inside of a shortcut. */
export function SelectionBar({ wrappers, onCasing, onWrap }: SelectionBarProps) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  const button = [styles.button, { borderColor: palette.inkSoft, backgroundColor: palette.surface }];
  return (
    <ScrollView
      horizontal
      role="group"
      aria-label="What is selected"
      showsHorizontalScrollIndicator={false}
      style={styles.strip}
      contentContainerStyle={styles.row}
    >
      {CASINGS.map((casing) => (
        <Pressable
          key={casing}
          role="button"
          aria-label={LOOKS[casing].label}
          onPress={() => onCasing(casing)}
          {...keepingFocus}
          style={button}
        >
          <Text style={styles.text}>{LOOKS[casing].text}</Text>
        </Pressable>
      ))}
      {wrappers.length > 0 && (
        <Pressable role="button" aria-haspopup="dialog" onPress={() => setOpen(true)} {...keepingFocus} style={button}>
          <Text style={styles.text}>Put into…</Text>
          <Icon name="chevron-down" size={16} color={palette.inkSoft} />
        </Pressable>
      )}
      <Sheet title="Put what is selected into" isOpen={isOpen} onClose={() => setOpen(false)}>
        {wrappers.map((shortcut) => (
          <Pressable
            key={shortcut.id}
            role="button"
            aria-label={`Put it into ${shortcut.code}`}
            onPress={() => {
              setOpen(false);
              onWrap(shortcut);
            }}
            style={styles.wrapper}
          >
            <CodePlate code={shortcut.code} />
            <Text numberOfLines={1} style={styles.sketch}>
              {shortcut.sketch}
            </Text>
          </Pressable>
        ))}
      </Sheet>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  strip: { height: 56, flexGrow: 0 },
  row: { gap: 8, paddingHorizontal: 10, alignItems: 'center' },
  button: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    minHeight: 48,
    paddingHorizontal: 14,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  text: { fontSize: 16 },
  wrapper: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 52, paddingHorizontal: 20 },
  sketch: { flex: 1, fontSize: 15 },
});
