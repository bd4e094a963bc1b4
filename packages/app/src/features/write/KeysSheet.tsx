import { t } from '@lingui/core/macro';
import { ScrollView, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { KeyList } from '@/parts/KeyList';

import type { WriteSettings } from '@/parts/writeSettings';

interface KeysSheetProps {
  settings: WriteSettings;
  onChange: (settings: WriteSettings) => void;
  isOpen: boolean;
  onClose: () => void;
}

/** What tells of a firing, and all keys. */
export function KeysSheet({ settings, onChange, isOpen, onClose }: KeysSheetProps) {
  const tick = (name: 'flash' | 'sound' | 'missed' | 'learning', label: string) => (
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
        {tick('learning', t`Show the codes I’m learning`)}
        <KeyList of="write" />
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({ tick: { paddingHorizontal: 20 } });
