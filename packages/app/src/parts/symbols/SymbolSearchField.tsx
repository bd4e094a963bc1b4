import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import type { Symbols } from '@/answers/symbols/useSymbols';
import { SearchField } from '@/look/SearchField';
import { usePalette } from '@/look/useLook';

interface SymbolSearchFieldProps {
  symbols: Symbols;
  value: string;
  onChange: (value: string) => void;
}

/** What symbols are searched with; below it, that the index is on its way, or could not be had. */
export function SymbolSearchField({ symbols, value, onChange }: SymbolSearchFieldProps) {
  const palette = usePalette();
  return (
    <View style={styles.search}>
      <SearchField
        label={t`Search symbols`}
        placeholder={t`arrow, 1/2, ->, heart, U+2192`}
        value={value}
        onChange={onChange}
      />
      {symbols.phase === 'coming' && (
        <ProgressBar indeterminate color={palette.ink} aria-label={t`Getting the symbols…`} style={styles.bar} />
      )}
      {symbols.phase === 'missing' && (
        <View style={styles.missing} role="alert">
          <Text variant="bodyMedium">{t`The symbols didn’t load. You seem to be offline.`}</Text>
          <Button mode="outlined" onPress={symbols.retry} style={styles.button} contentStyle={styles.tall}>
            {t`Try again`}
          </Button>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  search: { paddingHorizontal: 16, maxWidth: 792 },
  bar: { height: 6, borderRadius: 3, marginTop: 16 },
  missing: { paddingVertical: 16, gap: 12, alignItems: 'flex-start' },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
