import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { counted } from '@/answers/audit/sentences';
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
      saveFile(fileName('yellow latch backup', new Date(), 'json'), text, 'application/json');
      setPassphrase('');
      setAgain('');
    } catch {
      notify({ text: 'Writing the backup has failed on this device. Your list is as it was; try again.' });
    }
    setWorking(false);
  };
  return (
    <View style={[styles.box, { borderColor: palette.line }]}>
      <Text variant="titleMedium" role="heading" aria-level={2}>
        Backup of everything
      </Text>
      <Text variant="bodyMedium">
        All shortcuts and sets, languages, devices and keyboards, conventions, findings left as they are. Keep it where
        you keep papers. “Bring in” restores it, and shows first what would change. The history stays with the server;
        drafts stay on this device.
      </Text>
      {versions > 0 && (
        <Text variant="bodySmall">
          {counted(versions, 'entry has', 'entries have')} two versions: the backup has the one that is shown. Settle
          them first, under Devices.
        </Text>
      )}
      {own > 0 && (
        <Tick role="checkbox" isOn={isSealing} isDisabled={!canSeal} onPress={() => setSealing(!isSealing)}>
          <Text variant="bodyLarge" style={styles.words}>
            {own === 1 ? 'The one that is' : `The ${own} that are`} only on this device too, under a passphrase
          </Text>
        </Tick>
      )}
      {own > 0 && !canSeal && (
        <Text variant="bodySmall">
          This address is not secure, so the browser seals nothing. Open the app by https.
        </Text>
      )}
      {isSealing && (
        <>
          <Field
            label="Passphrase"
            isSecret
            value={passphrase}
            onChangeText={setPassphrase}
            onBlur={() => {}}
            onSubmit={() => void save()}
            error={error}
          />
          <Field
            label="Again"
            isSecret
            value={again}
            onChangeText={setAgain}
            onBlur={() => {}}
            onSubmit={() => void save()}
          />
          <Text variant="bodySmall">Nobody can open them without it, and nobody can tell you what it was.</Text>
        </>
      )}
      <Button
        mode="outlined"
        icon="archive"
        loading={isWorking}
        onPress={() => void save()}
        style={styles.button}
        contentStyle={styles.tall}
      >
        Save a backup
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderTopWidth: 1, paddingTop: 14, gap: 10, marginTop: 6 },
  words: { flex: 1, minWidth: 0 },
  button: { borderRadius: 6, alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
