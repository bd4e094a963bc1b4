import { t } from '@lingui/core/macro';
import type { FoundSymbol } from '@yellow-latch/core/symbols';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import { useSymbolAnswer, useSymbols } from '@/answers/symbols/useSymbols';
import { Glyph, useSymbolFaces } from '@/look/Glyph';
import { SearchField } from '@/look/SearchField';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';

interface SymbolPickerProps {
  onPick: (text: string) => void;
  onClose: () => void;
}

/** About how high a row is, in px. */
const ROW = 52;

/** One symbol, found and put in where one types. */
export function SymbolPicker({ onPick, onClose }: SymbolPickerProps) {
  useSymbolFaces();
  const palette = usePalette();
  const symbols = useSymbols();
  const [query, setQuery] = useState('');
  const found = useSymbolAnswer(symbols, query, async (api) =>
    query.trim() === '' ? api.usual() : ((await api.search(query))?.symbols ?? null),
  );
  const shown = found?.answer ?? [];
  return (
    <Sheet title={t`Insert a symbol`} isOpen onClose={onClose}>
      <View style={styles.search}>
        <SearchField
          label={t`Search symbols`}
          placeholder={t`arrow, 1/2, ->, heart, U+2192`}
          value={query}
          onChange={setQuery}
        />
      </View>
      <View style={styles.list}>
        {symbols.phase === 'coming' && (
          <ProgressBar indeterminate color={palette.ink} aria-label={t`Getting the symbols…`} style={styles.bar} />
        )}
        {symbols.phase === 'missing' && (
          <View style={styles.missing} role="alert">
            <Text variant="bodyMedium">{t`The symbols didn’t load. You seem to be offline.`}</Text>
            <Button mode="outlined" onPress={symbols.retry} contentStyle={styles.tall}>{t`Try again`}</Button>
          </View>
        )}
        {found !== null && shown.length === 0 && (
          <Text variant="bodyMedium" style={styles.missing}>
            {t`Nothing found for “${{ query: query.trim() }}”. Try a simpler word, or paste the symbol.`}
          </Text>
        )}
        {shown.length > 0 && (
          <VirtualList<FoundSymbol>
            label={t`Symbols`}
            items={shown}
            keyOf={({ text }) => text}
            estimate={() => ROW}
            renderItem={({ text, name, isDrawn }) => (
              <Pressable
                role="button"
                aria-label={name === '' ? text : name}
                onPress={() => onPick(text)}
                style={[styles.row, { borderColor: palette.line }]}
              >
                <Glyph text={text} isDrawn={isDrawn} />
                <Text numberOfLines={1} style={styles.name}>
                  {name}
                </Text>
              </Pressable>
            )}
          />
        )}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  search: { paddingHorizontal: 20 },
  list: { height: 380 },
  bar: { height: 6, borderRadius: 3, margin: 20 },
  missing: { padding: 20, gap: 12, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 52, paddingHorizontal: 16, borderTopWidth: 1 },
  name: { flex: 1, minWidth: 0, fontSize: 16 },
});
