import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { CodePlate } from '@/look/CodePlate';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

interface CodeRowProps {
  shortcut: Shortcut;
  /** How well its code is known. */
  told: string;
  onOpen: () => void;
  onDrop: () => void;
}

/** A code that is being learnt. */
export function CodeRow({ shortcut, told, onOpen, onDrop }: CodeRowProps) {
  const palette = usePalette();
  const { code } = shortcut;
  const text = shownExpansion(shortcut, 60);
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.line }]}>
      <PressLink onPress={onOpen} aria-label={`${code}, ${text}, ${told}`} style={styles.main}>
        <View style={styles.line}>
          <CodePlate code={code} />
          <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
            {text}
          </Text>
        </View>
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {told}
        </Text>
      </PressLink>
      <IconButton
        icon="close"
        size={20}
        style={styles.button}
        accessibilityLabel={t`Stop learning ${code}`}
        onPress={onDrop}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1 },
  main: { flex: 1, minWidth: 0, minHeight: 60, justifyContent: 'center', gap: 2, paddingVertical: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minWidth: 0 },
  text: { flex: 1, minWidth: 0 },
  button: { width: 48, height: 48, margin: 0 },
});
