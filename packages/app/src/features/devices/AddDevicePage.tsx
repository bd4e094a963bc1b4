import { t } from '@lingui/core/macro';
import type { DeviceKind } from '@yellow-latch/core/model';
import { addingDevice, kindsMissing } from '@yellow-latch/replica/commands/devices';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { KindChoice, nameOfDeviceKind } from '@/parts/KindChoice';

/** A device that does not run the app: what it is, and what it is called. */
export function AddDevicePage() {
  const router = useRouter();
  const list = useList();
  const run = useCommand();
  const [kind, setKind] = useState<DeviceKind>(() => kindsMissing(list)[0] ?? 'phone');
  const [given, setGiven] = useState<string | null>(null);
  const name = given ?? nameOfDeviceKind(kind);
  const isNamed = name.trim() !== '';
  const add = async () => {
    if (!isNamed) return;
    const command = addingDevice({ name: name.trim(), kind }, list);
    await run(command, t`Added ${{ name: name.trim() }}.`);
    router.replace({ pathname: '/devices/[id]', params: { id: command.id } });
  };
  return (
    <DetailPage title={t`Add a device by hand`} about="add">
      <Text variant="bodyLarge">{t`For a device that only has its own list of shortcuts. You copy your list to it, and Yellow Latch remembers what’s there.`}</Text>
      <KindChoice value={kind} onChange={setKind} />
      <Field
        label={t`Name`}
        value={name}
        onChangeText={setGiven}
        onBlur={() => {}}
        onSubmit={() => void add()}
        error={isNamed ? undefined : t`Give it a name.`}
      />
      <View style={styles.row}>
        <LatchButton label={t`Add it`} icon="check" onPress={() => void add()} />
      </View>
    </DetailPage>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row' } });
