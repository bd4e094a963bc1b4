import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES, STRONG } from '@/look/fonts';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import type { WriteSettings } from './settings';

/** Every key that does something on the page. */
const KEYS: readonly (readonly [keys: MessageDescriptor, does: MessageDescriptor])[] = [
  [msg`Down, Up`, msg`go to the suggestions and back`],
  [msg`Left, Right`, msg`move along the suggestions`],
  [msg`Enter`, msg`use the suggestion, or start a new line`],
  [msg`Escape`, msg`keep what you typed`],
  [msg`Tab, Shift Tab`, msg`next gap, previous gap`],
  [msg`Backspace`, msg`right after a code expands: get the code back`],
  [msg`Ctrl Z, Ctrl Y`, msg`undo, redo`],
  [msg`Ctrl Enter`, msg`send`],
  [msg`Ctrl B`, msg`tap board`],
  [msg`Ctrl O`, msg`drafts`],
  [msg`Ctrl /`, msg`this sheet`],
];

interface KeysSheetProps {
  settings: WriteSettings;
  onChange: (settings: WriteSettings) => void;
  isOpen: boolean;
  onClose: () => void;
}

/** What tells of a firing, and all keys. */
export function KeysSheet({ settings, onChange, isOpen, onClose }: KeysSheetProps) {
  const palette = usePalette();
  const tick = (name: 'flash' | 'sound' | 'missed', label: string) => (
    <Tick
      role="checkbox"
      isOn={settings[name]}
      onPress={() => onChange({ ...settings, [name]: !settings[name] })}
      style={styles.tick}
    >
      <Text variant="bodyLarge">{label}</Text>
    </Tick>
  );
  return (
    <Sheet title={t`Keys and signals`} isOpen={isOpen} onClose={onClose}>
      <ScrollView>
        {tick('flash', t`Flash when a code expands`)}
        {tick('sound', t`Play a sound when a code expands`)}
        {tick('missed', t`Tell me when I type out something I have a code for`)}
        <View style={[styles.keys, { borderColor: palette.line }]} role="list" aria-label={t`Keys`}>
          {KEYS.map(([keys, does]) => (
            <View key={keys.id} role="listitem" style={styles.line}>
              <Text style={styles.key}>{i18n._(keys)}</Text>
              <Text variant="bodyMedium" style={styles.does}>
                {i18n._(does)}
              </Text>
            </View>
          ))}
        </View>
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  tick: { paddingHorizontal: 20 },
  keys: { marginTop: 8, paddingVertical: 8, borderTopWidth: 1 },
  line: { flexDirection: 'row', gap: 12, paddingHorizontal: 20, paddingVertical: 4 },
  key: { ...STRONG, width: 124, fontFamily: FACES.code, fontSize: 14, lineHeight: 21 },
  does: { flex: 1 },
});
