import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { placesFor } from '@yellow-latch/core/devices';
import type { Device, DevicePlace } from '@yellow-latch/core/model';
import { contradictionOf, isOurs, keyOfPlace, profileOf, type ProfileId } from '@yellow-latch/core/profile';
import { settingDevice } from '@yellow-latch/replica/commands/devices';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { tellProfile } from '@/answers/fit/words';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import { QuestionsSheet } from './QuestionsSheet';
import { tellContradiction } from './questions';

const PLACE_NAMES: Readonly<Record<ProfileId, MessageDescriptor>> = {
  app: msg`Yellow Latch`,
  browser: msg`Any web page, with the browser extension`,
  'phone-list': msg`Its own list of shortcuts`,
  'tablet-list': msg`Its own list of shortcuts`,
  'computer-list': msg`Its own list of shortcuts`,
  'keyboard-with-offers': msg`A keyboard with suggestions`,
  expander: msg`A program that expands right away`,
  'computer-again': msg`A program that also expands inside texts`,
};

/** Where one types on a device, and what is taken to be so there. */
export function Places({ device }: { device: Device }) {
  const palette = usePalette();
  const list = useList();
  const write = useWrite();
  const [asked, setAsked] = useState<DevicePlace | null>(null);
  const set = (places: DevicePlace[]) => void write(...settingDevice(device, { places }, list).writes);
  const known = placesFor(device.kind);
  // A place of another kind of device, or of a later version, stays as it is.
  const shown = [...known, ...device.places.map(({ profile }) => profile as ProfileId)].filter(
    (profile, index, all) => all.indexOf(profile) === index && Object.hasOwn(PLACE_NAMES, profile),
  );
  const toggle = (profile: ProfileId) => {
    const rest = device.places.filter((place) => place.profile !== profile);
    const places = rest.length < device.places.length ? rest : [...device.places, { profile, answers: {} }];
    if (places.length > 0)
      set([...places].sort((a, b) => shown.indexOf(a.profile as ProfileId) - shown.indexOf(b.profile as ProfileId)));
  };
  return (
    <View role="group" aria-label={t`Where you type on it`}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`Where you type on it`}</Text>
      {shown.map((profile) => {
        const place = device.places.find((one) => one.profile === profile);
        const name = i18n._(PLACE_NAMES[profile]);
        const wrong = place && contradictionOf(place);
        return (
          <View key={profile}>
            <Tick
              role="checkbox"
              isOn={place !== undefined}
              isDisabled={place !== undefined && device.places.length === 1}
              onPress={() => toggle(profile)}
            >
              <Text variant="bodyLarge" style={[styles.name, place && STRONG]}>
                {name}
              </Text>
            </Tick>
            {place && !isOurs(profile) && (
              <View style={styles.about}>
                <Text variant="bodyMedium" style={{ color: wrong ? palette.alarm : palette.inkSoft }}>
                  {wrong ? tellContradiction(wrong) : tellProfile(profileOf(keyOfPlace(place)))}
                </Text>
                <Button
                  mode="text"
                  compact
                  onPress={() => setAsked(place)}
                  accessibilityLabel={t`Is that right? ${name}`}
                  style={styles.ask}
                  contentStyle={styles.tall}
                >{t`Is that right?`}</Button>
              </View>
            )}
          </View>
        );
      })}
      <QuestionsSheet
        device={device}
        place={asked}
        onClose={() => setAsked(null)}
        onAnswer={(answers) => {
          set(device.places.map((one) => (one.profile === asked!.profile ? { ...one, answers } : one)));
          setAsked(null);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  name: { flex: 1 },
  about: { marginLeft: 36, marginBottom: 4 },
  ask: { alignSelf: 'flex-start', marginLeft: -8 },
  tall: { minHeight: 48 },
});
