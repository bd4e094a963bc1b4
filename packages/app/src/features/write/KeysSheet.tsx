import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES, STRONG } from '@/look/fonts';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import type { WriteSettings } from './settings';

/** Every key that does something on the page. */
const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Down, Up', 'into the offers and out of them'],
  ['Left, Right', 'along the offers'],
  ['Enter', 'takes the offer the arrows came to; else a new line'],
  ['Escape', 'keeps what you typed'],
  ['Tab, Shift Tab', 'to the next gap, and back; where none is left, on to the buttons'],
  ['Backspace', 'straight after a firing: what you typed comes back'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['Ctrl Enter', 'send on'],
  ['Ctrl B', 'tap board'],
  ['Ctrl O', 'drafts'],
  ['Ctrl /', 'this sheet'],
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
    <Sheet title="Keys and signs" isOpen={isOpen} onClose={onClose}>
      <ScrollView>
        {tick('flash', 'A short light when a code fires')}
        {tick('sound', 'A short sound when a code fires')}
        {tick('missed', 'Tell me when a code would have done')}
        <View style={[styles.keys, { borderColor: palette.line }]} role="list" aria-label="Keys">
          {KEYS.map(([keys, does]) => (
            <View key={keys} role="listitem" style={styles.line}>
              <Text style={styles.key}>{keys}</Text>
              <Text variant="bodyMedium" style={styles.does}>
                {does}
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
