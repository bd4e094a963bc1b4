import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
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
const LOOKS: Readonly<Record<Casing, MessageDescriptor>> = {
  lower: msg`lower case`,
  upper: msg`CAPITALS`,
  title: msg`Every Word`,
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
      aria-label={t`Selected text`}
      showsHorizontalScrollIndicator={false}
      style={styles.strip}
      contentContainerStyle={styles.row}
    >
      {CASINGS.map((casing) => (
        <Pressable
          key={casing}
          role="button"

          onPress={() => onCasing(casing)}
          {...keepingFocus}
          style={button}
        >
          <Text style={styles.text}>{i18n._(LOOKS[casing])}</Text>
        </Pressable>
      ))}
      {wrappers.length > 0 && (
        <Pressable role="button" aria-haspopup="dialog" onPress={() => setOpen(true)} {...keepingFocus} style={button}>
          <Text style={styles.text}>{t`Wrap in…`}</Text>
          <Icon name="chevron-down" size={16} color={palette.inkSoft} />
        </Pressable>
      )}
      <Sheet title={t`Wrap in a shortcut`} isOpen={isOpen} onClose={() => setOpen(false)}>
        {wrappers.map((shortcut) => (
          <Pressable
            key={shortcut.id}
            role="button"
            aria-label={t`Wrap in ${{ code: shortcut.code }}`}
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
