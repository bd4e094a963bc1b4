import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Field } from '@/look/Field';
import { usePalette } from '@/look/useLook';

/** The private shortcuts of a backup, still under their passphrase. */
export function Sealed({ count, onOpen }: { count: number; onOpen: (passphrase: string) => Promise<boolean> }) {
  const palette = usePalette();
  const [passphrase, setPassphrase] = useState('');
  const [isWorking, setWorking] = useState(false);
  const [error, setError] = useState<string>();
  const open = async () => {
    if (passphrase === '' || isWorking) return;
    setWorking(true);
    const isRight = await onOpen(passphrase).catch(() => false);
    setWorking(false);
    if (!isRight)
      setError(t`This passphrase doesn’t work. Check capitals and spaces. If it’s right, the file is damaged.`);
  };
  return (
    <View style={[styles.box, { borderColor: palette.line, backgroundColor: palette.surface }]}>
      <Text variant="bodyMedium">
        {plural(count, {
          one: '# private shortcut in it is protected. Enter the passphrase to import it too.',
          other: '# private shortcuts in it are protected. Enter the passphrase to import them too.',
        })}
      </Text>
      <Field
        label={t`Passphrase`}
        isSecret
        value={passphrase}
        onChangeText={setPassphrase}
        onBlur={() => {}}
        onSubmit={() => void open()}
        error={error}
      />
      <Button
        mode="outlined"
        icon="key"
        loading={isWorking}
        onPress={() => void open()}
        style={styles.button}
        contentStyle={styles.tall}
      >{t`Unlock`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1.5, borderRadius: 8, padding: 12, gap: 8 },
  button: { borderRadius: 6, alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
