import { t } from '@lingui/core/macro';
import type { FoundSymbol } from '@yellow-latch/core/symbols';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { Glyph } from '@/look/Glyph';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

interface SymbolRowProps {
  symbol: FoundSymbol;
  isTicked: boolean;
  /** The code it has on the list; undefined: it is not there. */
  code: string | undefined;
  onToggle: () => void;
  onLook: () => void;
}

/** A symbol by its look and its name; ticked, it becomes a shortcut. */
export function SymbolRow({ symbol, isTicked, code, onToggle, onLook }: SymbolRowProps) {
  const palette = usePalette();
  const { text, name, isDrawn } = symbol;
  const said = name === '' ? text : name;
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Tick
        role="checkbox"
        isOn={isTicked}
        label={code === undefined ? said : t`${said}, on your list as ${code}`}
        onPress={onToggle}
        style={styles.tick}
      >
        <Glyph text={text} isDrawn={isDrawn} />
        <Text numberOfLines={2} style={styles.name}>
          {said}
        </Text>
        {code !== undefined && (
          <View>
            <CodePlate code={code} />
          </View>
        )}
      </Tick>
      <IconButton
        icon="info"
        size={20}
        iconColor={palette.inkSoft}
        style={styles.button}
        accessibilityLabel={t`More about ${said}`}
        onPress={onLook}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderTopWidth: 1, marginLeft: 16, marginRight: 4, maxWidth: 760 },
  tick: { flex: 1, minHeight: 56, minWidth: 0 },
  name: { flex: 1, minWidth: 0, fontSize: 16, lineHeight: 21 },
  button: { width: 48, height: 48, margin: 0 },
});
