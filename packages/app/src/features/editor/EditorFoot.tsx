import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

interface EditorFootProps {
  isReadOnly: boolean;
  onSave: () => void;
  /** Null: it is not saved yet. */
  onDelete: (() => void) | null;
}

export function EditorFoot({ isReadOnly, onSave, onDelete }: EditorFootProps) {
  const palette = usePalette();
  return (
    <View style={[styles.foot, { borderColor: palette.line }]}>
      {isReadOnly && <Text variant="bodyMedium">{t`This device can use the list but not change it.`}</Text>}
      {onDelete && !isReadOnly && (
        <Button icon="trash" mode="text" textColor={palette.alarm} onPress={onDelete} contentStyle={styles.tall}>
          {t`Delete`}
        </Button>
      )}
      <View style={styles.push} />
      {!isReadOnly && <LatchButton label={t`Save`} icon="check" onPress={onSave} />}
    </View>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  tall: { minHeight: 48 },
  push: { flex: 1 },
});
