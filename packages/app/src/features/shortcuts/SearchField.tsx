import { t } from '@lingui/core/macro';
import { StyleSheet, TextInput, View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { FACES } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';

interface SearchFieldProps {
  value: string;
  onChange: (value: string) => void;
}

/** A search line that answers to each letter. */
export function SearchField({ value, onChange }: SearchFieldProps) {
  const palette = usePalette();
  return (
    <View style={[styles.line, { borderColor: palette.inkSoft }]}>
      <Icon name="search" size={20} color={palette.inkSoft} />
      <TextInput
        value={value}
        onChangeText={onChange}
        aria-label={t`Search your shortcuts`}
        placeholder={t`Search your shortcuts`}
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
