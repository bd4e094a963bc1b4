import type { DeviceInfo, DeviceSettings, May, SubscribedSets } from '@yellow-latch/core/sync';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { KindChoice } from '@/parts/KindChoice';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { tellMoment } from '@/look/moment';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList, useManages, useOpened, useSyncState } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';

import { SignOutSheet } from './SignOutSheet';
import { devicesIn, useDirectory } from './useDirectory';
import { tellNotSet, tellStep } from './words';

/** One device: its name and kind, what it may and takes, and the way out. */
export function DevicePage({ id }: { id: string }) {
  const { directory, isAway } = useDirectory();
  const { replica } = useOpened();
  const device = directory && devicesIn(directory, replica.state.id).find((one) => one.id === id);
  if (!device) {
    const waiting = isAway ? 'It is shown when the server is there.' : 'Asking the server…';
    return (
      <DetailPage title={directory ? 'This device is not in the list' : 'A device'} about={id}>
        <Text variant="bodyLarge">{directory ? 'It was signed out.' : waiting}</Text>
      </DetailPage>
    );
  }
  const others = devicesIn(directory, id).filter((one) => one.id !== id);
  return <DeviceForm key={id} device={device} others={others} hasSpareKey={directory.spareKey !== null} />;
}

const MAY_WORDS: Record<May, [label: string, meaning: string]> = {
  edit: ['Edit', 'It changes the list as this device does.'],
  use: ['Only use', 'Codes fire and texts are copied there; the list is changed elsewhere.'],
};

function DeviceForm({
  device,
  others,
  hasSpareKey,
}: {
  device: DeviceInfo;
  others: readonly DeviceInfo[];
  hasSpareKey: boolean;
}) {
  const palette = usePalette();
  const router = useRouter();
  const notify = useNotice();
  const { replica } = useOpened();
  const { sets } = useList();
  const { take } = useDirectory();
  const { waiting } = useSyncState();
  const canManage = useManages();
  const [name, setName] = useState(device.name);
  const [isLeaving, setLeaving] = useState(false);
  const self = replica.state.id;
  const isSelf = device.id === self;

  const set = async (settings: DeviceSettings, done: string) => {
    try {
      take(await server.setDevice(self, device.id, settings));
      notify({ text: done });
    } catch (error) {
      notify({ text: tellNotSet(error) });
    }
  };
  const rename = () => {
    const next = name.trim();
    if (next === '' || next === device.name) setName(device.name);
    else void set({ name: next }, `It is called ${next} now.`);
  };
  const toggle = (setId: string | null) => {
    const all = [...sets.map(({ id }) => id), null];
    const now = device.subscribedSets ?? all;
    const next = now.includes(setId) ? now.filter((id) => id !== setId) : [...now, setId];
    const subscribedSets: SubscribedSets = all.every((id) => next.includes(id)) ? null : next;
    void set(
      { subscribedSets },
      subscribedSets === null
        ? `${device.name} takes all sets.`
        : `${device.name} takes ${subscribedSets.length} of ${all.length}.`,
    );
  };
  const signOut = async (heir: DeviceInfo | null) => {
    setLeaving(false);
    try {
      if (heir) await server.setDevice(self, heir.id, { may: 'edit', subscribedSets: null });
      take(await server.signOut(self, device.id));
      if (isSelf) {
        await replica.leave('left');
        location.replace('/');
      } else {
        notify({ text: `${device.name} is signed out.` });
        router.navigate('/devices');
      }
    } catch (error) {
      notify({ text: tellNotSet(error) });
    }
  };

  return (
    <DetailPage title={isSelf ? 'This device' : 'Device'} about={device.id}>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {`${tellStep(device)}. In the list since ${tellMoment(device.joined)}.`}
      </Text>
      <Field label="Name" value={name} onChangeText={setName} onBlur={rename} onSubmit={rename} />
      <KindChoice value={device.kind} onChange={(kind) => void set({ kind }, `${device.name} is a ${kind} now.`)} />

      {!isSelf && canManage && (
        <View role="radiogroup" aria-label="What it may do">
          <Text variant="titleMedium" role="heading" aria-level={2}>
            What it may do
          </Text>
          {(Object.keys(MAY_WORDS) as May[]).map((value) => (
            <Tick
              key={value}
              role="radio"
              isOn={device.may === value}
              onPress={() =>
                void set(
                  { may: value },
                  value === 'use' ? `${device.name} uses the list only.` : `${device.name} may edit the list.`,
                )
              }
            >
              <View style={styles.words}>
                <Text variant="bodyLarge" style={device.may === value && STRONG}>
                  {MAY_WORDS[value][0]}
                </Text>
                <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                  {MAY_WORDS[value][1]}
                </Text>
              </View>
            </Tick>
          ))}
        </View>
      )}

      {canManage && sets.length > 0 && (
        <View role="group" aria-label="What it takes">
          <Text variant="titleMedium" role="heading" aria-level={2}>
            What it takes
          </Text>
          {[...sets.map(({ id, name: label }) => ({ id: id, label })), { id: null, label: 'What is in no set' }].map(
            ({ id, label }) => (
              <Tick
                key={id ?? 'none'}
                role="checkbox"
                isOn={device.subscribedSets === null || device.subscribedSets.includes(id)}
                onPress={() => toggle(id)}
              >
                <Text variant="bodyLarge">{label}</Text>
              </Tick>
            ),
          )}
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            What is ticked off leaves that device; it stays in the list.
          </Text>
        </View>
      )}

      {(isSelf || canManage) && (
        <Button
          icon="sign-out"
          mode="outlined"
          textColor={palette.alarm}
          style={styles.out}
          contentStyle={styles.tall}
          onPress={() => setLeaving(true)}
        >
          {isSelf ? 'Sign this device out' : 'Sign it out'}
        </Button>
      )}
      <SignOutSheet
        device={device}
        isSelf={isSelf}
        isOpen={isLeaving}
        others={others}
        hasSpareKey={hasSpareKey}
        waiting={waiting}
        onClose={() => setLeaving(false)}
        onSignOut={(heir) => void signOut(heir)}
      />
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  words: { flex: 1, paddingVertical: 6 },
  out: { alignSelf: 'flex-start', marginTop: 8 },
  tall: { minHeight: 48 },
});
