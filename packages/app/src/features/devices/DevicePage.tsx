import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { DeviceInfo, DeviceSettings, May, SubscribedSets } from '@yellow-latch/core/sync';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DeviceName } from '@/parts/DeviceName';
import { KindChoice } from '@/parts/KindChoice';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { STRONG } from '@/look/fonts';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList, useManages, useOpened, useSyncState } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';

import { SignOutSheet } from './SignOutSheet';
import { devicesIn, useDirectory } from '@/parts/directory';
import { tellNotDone } from '@/frame/refusals';
import { tellCount, tellMoment } from '@/wording/format';

import { tellStep } from './words';

/** One device: its name and kind, what it may and takes, and the way out. */
export function DevicePage({ id }: { id: string }) {
  const { directory, isAway } = useDirectory();
  const { replica } = useOpened();
  const device = directory && devicesIn(directory, replica.state.id).find((one) => one.id === id);
  if (!device) {
    const waiting = isAway ? t`You’re offline. Connect to see it.` : t`Loading…`;
    return (
      <DetailPage title={directory ? t`This device isn’t on your list` : t`Device`} about={id}>
        <Text variant="bodyLarge">{directory ? t`It was signed out.` : waiting}</Text>
      </DetailPage>
    );
  }
  const others = devicesIn(directory, id).filter((one) => one.id !== id);
  return <DeviceForm key={id} device={device} others={others} hasSpareKey={directory.spareKey !== null} />;
}

const MAY_WORDS: Record<May, [label: MessageDescriptor, meaning: MessageDescriptor]> = {
  edit: [msg`Edit the list`, msg`It can change everything.`],
  use: [msg`Only use it`, msg`Codes expand there, but it can’t change the list.`],
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
  const [isLeaving, setLeaving] = useState(false);
  const self = replica.state.id;
  const isSelf = device.id === self;

  const set = async (settings: DeviceSettings, done: string) => {
    try {
      take(await server.setDevice(self, device.id, settings));
      notify({ text: done });
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  const toggle = (setId: string | null) => {
    const all = [...sets.map(({ id }) => id), null];
    const now = device.subscribedSets ?? all;
    const next = now.includes(setId) ? now.filter((id) => id !== setId) : [...now, setId];
    const subscribedSets: SubscribedSets = all.every((id) => next.includes(id)) ? null : next;
    void set(
      { subscribedSets },
      subscribedSets === null
        ? t`${{ name: device.name }} gets all sets.`
        : t`${{ name: device.name }} gets ${{ count: tellCount(subscribedSets.length) }} of ${{ all: tellCount(all.length) }} sets.`,
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
        notify({ text: t`Signed out ${{ name: device.name }}.` });
        router.navigate('/devices');
      }
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };

  return (
    <DetailPage title={device.name} about={device.id}>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {isSelf && `${t`This device`} · `}
        {t`${{ state: tellStep(device) }}. Joined ${{ moment: tellMoment(device.joined) }}.`}
      </Text>
      <DeviceName device={device} />
      <KindChoice
        value={device.kind}
        onChange={(kind) => void set({ kind }, t`Changed the kind of ${{ name: device.name }}.`)}
      />

      {!isSelf && canManage && (
        <RadioGroup label={t`This device can`} hasChosen>
          <Text variant="titleMedium" role="heading" aria-level={2}>{t`This device can`}</Text>
          {(Object.keys(MAY_WORDS) as May[]).map((value) => (
            <Tick
              key={value}
              role="radio"
              isOn={device.may === value}
              onPress={() =>
                void set(
                  { may: value },
                  value === 'use'
                    ? t`${{ name: device.name }} can only use the list.`
                    : t`${{ name: device.name }} can edit the list.`,
                )
              }
            >
              <View style={styles.words}>
                <Text variant="bodyLarge" style={device.may === value && STRONG}>
                  {i18n._(MAY_WORDS[value][0])}
                </Text>
                <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                  {i18n._(MAY_WORDS[value][1])}
                </Text>
              </View>
            </Tick>
          ))}
        </RadioGroup>
      )}

      {canManage && sets.length > 0 && (
        <View role="group" aria-label={t`This device gets`}>
          <Text variant="titleMedium" role="heading" aria-level={2}>{t`This device gets`}</Text>
          {[...sets.map(({ id, name: label }) => ({ id: id, label })), { id: null, label: t`Shortcuts in no set` }].map(
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
          <Text
            variant="bodySmall"
            style={{ color: palette.inkSoft }}
          >{t`Sets you untick leave this device but stay on your list.`}</Text>
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
          {isSelf ? t`Sign out this device` : t`Sign out ${{ name: device.name }}`}
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
