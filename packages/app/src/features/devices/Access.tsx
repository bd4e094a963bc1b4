import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Device } from '@yellow-latch/core/model';
import { isOurs } from '@yellow-latch/core/profile';
import type { DeviceInfo, DeviceSettings, May, SubscribedSets } from '@yellow-latch/core/sync';
import { removingDevice, settingDevice } from '@yellow-latch/replica/commands/devices';
import { server } from '@yellow-latch/replica/sync/server';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { tellNotDone } from '@/frame/refusals';
import { useList, useManages, useOpened, useSyncState, useWrite } from '@/frame/replica/ReplicaProvider';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { devicesIn, useDirectory } from '@/parts/directory';
import { tellCount } from '@/wording/format';

import { SignOutSheet } from './SignOutSheet';
import { whenSent } from './whenSent';
import { tellBounds } from './words';

const MAY_WORDS: Record<May, [label: MessageDescriptor, meaning: MessageDescriptor]> = {
  edit: [msg`Edit the list`, msg`It can change everything.`],
  use: [msg`Only use it`, msg`Codes expand there, but it can’t change the list.`],
};

/** What a device that has joined may do and gets, and the way out. `device`: what is typed on it. */
export function Access({ joined, device }: { joined: DeviceInfo; device: Device | null }) {
  const palette = usePalette();
  const router = useRouter();
  const notify = useNotice();
  const { replica, sync } = useOpened();
  const list = useList();
  const write = useWrite();
  const { directory, take } = useDirectory();
  const { waiting } = useSyncState();
  const canManage = useManages();
  const [isOpen, setOpen] = useState(false);
  const [isLeaving, setLeaving] = useState(false);
  const { sets } = list;
  const self = replica.state.id;
  const isSelf = joined.id === self;
  const others = directory ? devicesIn(directory, joined.id).filter((one) => one.id !== joined.id) : [];

  const set = async (settings: DeviceSettings, done: string) => {
    try {
      take(await server.setDevice(self, joined.id, settings));
      notify({ text: done });
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  const toggle = (setId: string | null) => {
    const all = [...sets.map(({ id }) => id), null];
    const now = joined.subscribedSets ?? all;
    const next = now.includes(setId) ? now.filter((id) => id !== setId) : [...now, setId];
    const subscribedSets: SubscribedSets = all.every((id) => next.includes(id)) ? null : next;
    void set(
      { subscribedSets },
      subscribedSets === null
        ? t`${{ name: joined.name }} gets all sets.`
        : t`${{ name: joined.name }} gets ${{ count: tellCount(subscribedSets.length) }} of ${{ all: tellCount(all.length) }} sets.`,
    );
  };
  const signOut = async (heir: DeviceInfo | null, keeps: boolean) => {
    setLeaving(false);
    try {
      if (device) {
        const stays = device.places.filter(({ profile }) => !isOurs(profile));
        const left = { joined: null, places: stays.length > 0 ? stays : device.places };
        await write(...(keeps ? settingDevice(device, left, list) : removingDevice(device, list)).writes);
        if (isSelf) await whenSent(sync);
      }
      if (heir) await server.setDevice(self, heir.id, { may: 'edit', subscribedSets: null });
      take(await server.signOut(self, joined.id));
      if (isSelf) {
        await replica.leave('left');
        location.replace('/');
      } else {
        notify({ text: t`Signed out ${{ name: joined.name }}.` });
        router.navigate('/devices');
      }
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  return (
    <>
      <Fold
        title={t`What it can do`}
        summary={tellBounds(joined) ?? t`can edit, gets all sets`}
        isOpen={isOpen}
        onToggle={() => setOpen(!isOpen)}
      >
        <View style={styles.parts}>
          {!isSelf && canManage && (
            <RadioGroup label={t`This device can`} hasChosen>
              <Text variant="titleMedium" role="heading" aria-level={3}>{t`This device can`}</Text>
              {(Object.keys(MAY_WORDS) as May[]).map((value) => (
                <Tick
                  key={value}
                  role="radio"
                  isOn={joined.may === value}
                  onPress={() =>
                    void set(
                      { may: value },
                      value === 'use'
                        ? t`${{ name: joined.name }} can only use the list.`
                        : t`${{ name: joined.name }} can edit the list.`,
                    )
                  }
                >
                  <View style={styles.words}>
                    <Text variant="bodyLarge" style={joined.may === value && STRONG}>
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
              <Text variant="titleMedium" role="heading" aria-level={3}>{t`This device gets`}</Text>
              {[
                ...sets.map(({ id, name: label }) => ({ id: id, label })),
                { id: null, label: t`Shortcuts in no set` },
              ].map(({ id, label }) => (
                <Tick
                  key={id ?? 'none'}
                  role="checkbox"
                  isOn={joined.subscribedSets === null || joined.subscribedSets.includes(id)}
                  onPress={() => toggle(id)}
                >
                  <Text variant="bodyLarge">{label}</Text>
                </Tick>
              ))}
              <Text
                variant="bodySmall"
                style={{ color: palette.inkSoft }}
              >{t`Sets you untick leave this device but stay on your list.`}</Text>
            </View>
          )}
        </View>
      </Fold>
      {(isSelf || canManage) && (
        <Button
          icon="sign-out"
          mode="outlined"
          textColor={palette.alarm}
          style={styles.out}
          contentStyle={styles.tall}
          onPress={() => setLeaving(true)}
        >
          {isSelf ? t`Sign out this device` : t`Sign out ${{ name: joined.name }}`}
        </Button>
      )}
      <SignOutSheet
        device={joined}
        isTypedOn={device !== null}
        isSelf={isSelf}
        isOpen={isLeaving}
        others={others}
        hasSpareKey={directory?.spareKey !== null}
        waiting={waiting}
        onClose={() => setLeaving(false)}
        onSignOut={(heir, keeps) => void signOut(heir, keeps)}
      />
    </>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 14 },
  words: { flex: 1, paddingVertical: 6 },
  out: { alignSelf: 'flex-start', marginTop: 8 },
  tall: { minHeight: 48 },
});
