import { t } from '@lingui/core/macro';
import type { FoundSymbol } from '@yellow-latch/core/symbols';
import { writeCodePoints } from '@yellow-latch/core/symbols/codePoint';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useSymbolAnswer, type Symbols } from '@/answers/symbols/useSymbols';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { Glyph } from '@/look/Glyph';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import type { Ticked } from './chosen';

interface SymbolSheetProps {
  symbols: Symbols;
  symbol: FoundSymbol;
  ticked: Ticked;
  onToggle: (symbol: FoundSymbol) => void;
  onClose: () => void;
}

/** A symbol looked at closely: its code point, its block, its other looks. */
export function SymbolSheet({ symbols, symbol, ticked, onToggle, onClose }: SymbolSheetProps) {
  const palette = usePalette();
  const notify = useNotice();
  const found = useSymbolAnswer(symbols, symbol.text, (api) => api.details(symbol.text));
  const details = found?.key === symbol.text ? found.answer : null;
  const copy = async () => {
    const isCopied = await copyText(symbol.text);
    notify({ text: isCopied ? t`Copied ${{ symbol: symbol.text }}` : tellNotCopied() });
  };
  const title = symbol.name === '' ? writeCodePoints(symbol.text) : symbol.name;
  return (
    <Sheet title={title} isOpen onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <View style={styles.head}>
          <Glyph text={symbol.text} isDrawn={symbol.isDrawn} size={48} />
          <View style={styles.facts}>
            <Text variant="bodyMedium">{writeCodePoints(symbol.text)}</Text>
            {details?.block && (
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {t`Unicode block: ${{ block: details.block }}`}
              </Text>
            )}
          </View>
          <Button
            mode="outlined"
            icon="copy"
            onPress={() => void copy()}
            style={styles.button}
            contentStyle={styles.tall}
          >
            {t`Copy`}
          </Button>
        </View>
        {details !== null && details.variants.length > 0 && (
          <Text variant="titleSmall" role="heading" aria-level={3}>{t`Others like it`}</Text>
        )}
        {details?.variants.map((one) => (
          <Tick
            key={one.text}
            role="checkbox"
            isOn={ticked.has(one.text)}
            label={`${one.name} ${writeCodePoints(one.text)}`}
            onPress={() => onToggle(one)}
          >
            <Glyph text={one.text} isDrawn={one.isDrawn} />
            <Text numberOfLines={2} style={styles.name}>
              {one.name}
            </Text>
          </Tick>
        ))}
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, paddingBottom: 8, gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingBottom: 8 },
  facts: { flex: 1, minWidth: 0 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
  name: { flex: 1, minWidth: 0 },
});
