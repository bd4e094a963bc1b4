import { t } from '@lingui/core/macro';
import type { FoundSymbol } from '@yellow-latch/core/symbols';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useSymbolAnswer, useSymbols } from '@/answers/symbols/useSymbols';
import { Glyph, useSymbolFaces } from '@/look/Glyph';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';

import { SymbolSearchField } from './SymbolSearchField';

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
      <SymbolSearchField symbols={symbols} value={query} onChange={setQuery} />
      <View style={styles.list}>
        {found !== null && shown.length === 0 && (
          <Text variant="bodyMedium" style={styles.none}>
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
  list: { height: 380 },
  none: { padding: 16 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 52, paddingHorizontal: 16, borderTopWidth: 1 },
  name: { flex: 1, minWidth: 0, fontSize: 16 },
});
