import { t } from '@lingui/core/macro';
import { StyleSheet, TextInput, View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { FACES } from './fonts';
import { Icon } from './icons';
import { usePalette } from './useLook';

interface SearchFieldProps {
  label: string;
  /** What stands in it while it is empty, where that says more than the label. */
  placeholder?: string;
  value: string;
  onChange: (value: string) => void;
}

/** A search line that answers to each letter. */
export function SearchField({ label, placeholder = label, value, onChange }: SearchFieldProps) {
  const palette = usePalette();
  return (
    <View style={[styles.line, { borderColor: palette.inkSoft }]}>
      <Icon name="search" size={20} color={palette.inkSoft} />
      <TextInput
        value={value}
        onChangeText={onChange}
        aria-label={label}
        placeholder={placeholder}
        placeholderTextColor={palette.inkSoft}
        autoCapitalize="none"
        autoCorrect={false}
        spellCheck={false}
        style={[styles.input, { color: palette.ink }]}
      />
      {value !== '' && (
        <IconButton
          icon="close"
          size={20}
          style={styles.clear}
          accessibilityLabel={t`Clear the search`}
          onPress={() => onChange('')}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, borderBottomWidth: 1.5, height: 48 },
  input: { flex: 1, height: 48, fontSize: 17, fontFamily: FACES.text, minWidth: 0 },
  clear: { width: 48, height: 48, margin: 0 },
});
