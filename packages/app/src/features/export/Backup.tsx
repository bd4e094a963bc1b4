import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import type { AskWorker } from '@/answers/exchange/useExchange';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { Field } from '@/look/Field';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

import { restOf } from './rest';
import { faultOfPassphrase, fileName } from '@/parts/leaving/what';

/** One file with everything: shortcuts, sets, what was chosen for the list; private ones only under a passphrase. */
export function Backup({ ask }: { ask: AskWorker }) {
  const palette = usePalette();
  const notify = useNotice();
  const list = useList();
  const { replica } = useOpened();
  const own = list.shortcuts.filter((shortcut) => shortcut.private).length;
  const canSeal = typeof crypto !== 'undefined' && 'subtle' in crypto && crypto.subtle !== undefined;
  const [isSealing, setSealing] = useState(false);
  const [passphrase, setPassphrase] = useState('');
  const [again, setAgain] = useState('');
  const [error, setError] = useState<string>();
  const [isWorking, setWorking] = useState(false);
  const versions = list.unsettled.length;
  const save = async () => {
    const fault = isSealing ? faultOfPassphrase(passphrase, again) : null;
    setError(fault ?? undefined);
    if (fault !== null || isWorking) return;
    setWorking(true);
    try {
      const rest = restOf(list, replica);
      const text = await ask((api) =>
        api.backup(
          { shortcuts: list.shortcuts, sets: list.sets },
          rest,
          isSealing ? passphrase : null,
          new Date().toISOString(),
        ),
      );
      saveFile(fileName(t`yellow latch backup`, new Date(), 'json'), text, 'application/json');
      setPassphrase('');
      setAgain('');
    } catch {
      notify({ text: t`The backup couldn’t be made. Your list is safe: try again.` });
    }
    setWorking(false);
  };
  return (
    <View style={[styles.box, { borderColor: palette.line }]}>
      <Text variant="titleMedium" role="heading" aria-level={2}>{t`Back up everything`}</Text>
      <Text variant="bodyMedium">{t`A file with your whole list and settings. To restore it, open it under Import.`}</Text>
      {versions > 0 && (
        <Text variant="bodySmall">
          {plural(versions, {
            one: '# thing has two versions. The backup gets the one in use. Choose first, under Devices.',
            other: '# things have two versions. The backup gets the ones in use. Choose first, under Devices.',
          })}
        </Text>
      )}
      {own > 0 && (
        <Tick role="checkbox" isOn={isSealing} isDisabled={!canSeal} onPress={() => setSealing(!isSealing)}>
          <Text variant="bodyLarge" style={styles.words}>
            {plural(own, {
              one: 'Include # private shortcut, protected by a passphrase',
              other: 'Include # private shortcuts, protected by a passphrase',
            })}
          </Text>
        </Tick>
      )}
      {own > 0 && !canSeal && (
        <Text variant="bodySmall">{t`This address isn’t secure, so private shortcuts can’t be protected. Open the app with https.`}</Text>
      )}
      {isSealing && (
        <>
          <Field
            label={t`Passphrase`}
            isSecret
            value={passphrase}
            onChangeText={setPassphrase}
            onBlur={() => {}}
            onSubmit={() => void save()}
            error={error}
          />
          <Field
            label={t`Passphrase again`}
            isSecret
            value={again}
            onChangeText={setAgain}
            onBlur={() => {}}
            onSubmit={() => void save()}
          />
          <Text variant="bodySmall">{t`Without it nobody can open them, not even you.`}</Text>
        </>
      )}
      <Button
        mode="outlined"
        icon="archive"
        loading={isWorking}
        onPress={() => void save()}
        style={styles.button}
        contentStyle={styles.tall}
      >{t`Save a backup`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderTopWidth: 1, paddingTop: 14, gap: 10, marginTop: 6 },
  words: { flex: 1, minWidth: 0 },
  button: { borderRadius: 6, alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
