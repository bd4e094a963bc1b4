import { t } from '@lingui/core/macro';
import type { Device } from '@yellow-latch/core/model';
import type { DeviceInfo } from '@yellow-latch/core/sync';
import { addingJoined, linkingDevice, removingDevice, settingDevice } from '@yellow-latch/replica/commands/devices';
import { server } from '@yellow-latch/replica/sync/server';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { tellNotDone } from '@/frame/refusals';
import { useList, useOpened, useWrite } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { DeviceName } from '@/parts/DeviceName';
import { devicesIn, useDirectory } from '@/parts/directory';
import { KindChoice } from '@/parts/KindChoice';
import { tellMoment } from '@/wording/format';

import { Access } from './Access';
import { Ways } from './Ways';
import { Places } from './Places';
import { Share } from './Share';
import { tellStep } from './words';

/** One device: what it is, where one types on it, what fits there, and what it may do if it has joined. */
export function DevicePage({ id }: { id: string }) {
  const { directory, isAway } = useDirectory();
  const { replica } = useOpened();
  const { devices } = useList();
  const device = devices.find((one) => one.id === id || one.joined === id) ?? null;
  const joinedId = device ? device.joined : id;
  const joined = directory && (devicesIn(directory, replica.state.id).find((one) => one.id === joinedId) ?? null);
  if (!device && !joined) {
    const waiting = isAway ? t`You’re offline. Connect to see it.` : t`Loading…`;
    return (
      <DetailPage title={directory ? t`This device isn’t on your list` : t`Device`} about={id}>
        <Text variant="bodyLarge">{directory ? t`It was signed out or removed.` : waiting}</Text>
      </DetailPage>
    );
  }
  return <DeviceForm key={id} device={device} joined={joined} />;
}

function DeviceForm({ device, joined }: { device: Device | null; joined: DeviceInfo | null }) {
  const palette = usePalette();
  const notify = useNotice();
  const write = useWrite();
  const list = useList();
  const { replica } = useOpened();
  const { take } = useDirectory();
  const isSelf = joined?.id === replica.state.id;
  const { name, kind } = (device ?? joined)!;
  const setKind = async (next: Device['kind']) => {
    try {
      if (device) await write(...settingDevice(device, { kind: next }, list).writes);
      if (joined) take(await server.setDevice(replica.state.id, joined.id, { kind: next }));
      notify({ text: t`Changed the kind of ${name}.` });
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  return (
    <DetailPage title={name} about={device?.id ?? joined!.id}>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {isSelf && `${t`This device`} · `}
        {joined
          ? t`${{ state: tellStep(joined) }}. Joined ${{ moment: tellMoment(joined.joined) }}.`
          : t`It doesn’t run Yellow Latch. You copy your list to it.`}
      </Text>
      {device && <Ways device={device} />}
      {!device && joined && <NotTypedOn joined={joined} />}
      {device && <Places device={device} />}
      {device && list.devices.length > 1 && <Share device={device} />}
      <DeviceName key={name} name={name} joined={joined?.id ?? null} device={device} />
      <KindChoice value={kind} onChange={(next) => void setKind(next)} />
      {joined && <Access joined={joined} device={device} />}
      {device && !joined && <Remove device={device} />}
    </DetailPage>
  );
}

/** A browser that is in the list, and of which nobody has said that it is typed on. */
function NotTypedOn({ joined }: { joined: DeviceInfo }) {
  const list = useList();
  const run = useCommand();
  const same = list.devices.filter((device) => device.joined === null && device.kind === joined.kind);
  return (
    <View style={styles.block}>
      <Text variant="bodyLarge">{t`Do you type on this one, too? Then your list is checked for it.`}</Text>
      <LatchButton
        label={t`I type on it`}
        isQuiet
        onPress={() => void run(addingJoined(joined, list), t`Added ${{ name: joined.name }}.`)}
      />
      {same.map((device) => (
        <Button
          key={device.id}
          mode="outlined"
          onPress={() => void run(linkingDevice(device, joined.id, list), t`This is ${{ name: device.name }} now.`)}
          style={styles.button}
          contentStyle={styles.tall}
        >
          {t`It’s the one I call “${{ name: device.name }}”`}
        </Button>
      ))}
    </View>
  );
}

function Remove({ device }: { device: Device }) {
  const palette = usePalette();
  const router = useRouter();
  const list = useList();
  const run = useCommand();
  return (
    <Button
      icon="trash"
      mode="outlined"
      textColor={palette.alarm}
      style={styles.button}
      contentStyle={styles.tall}
      onPress={() => {
        void run(removingDevice(device, list), t`Removed ${{ name: device.name }}.`);
        router.navigate('/devices');
      }}
    >
      {t`Remove ${{ name: device.name }}`}
    </Button>
  );
}

const styles = StyleSheet.create({
  block: { gap: 8, alignItems: 'flex-start' },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
});
