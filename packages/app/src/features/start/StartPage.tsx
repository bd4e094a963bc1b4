import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { readJoinCode, readSpareKey } from '@yellow-latch/core/join';
import type { DeviceKind } from '@yellow-latch/core/model';
import { Suspense, useEffect, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { fetched } from '@/frame/fetched';
import { nameOfStandIn } from '@/frame/standIn/name';
import { forgetPicture } from '@/frame/picture';
import { useShellGone } from '@/frame/shell';
import { standInTab, trySample } from '@/frame/standIn/tab';
import { UpdateOffer } from '@/frame/UpdateOffer';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { LatchMark } from '@/look/LatchMark';
import { usePalette } from '@/look/useLook';
import { guessDevice } from '@yellow-latch/replica/storage/device';
import { type OpenedDevice } from '@yellow-latch/replica/storage/currentDevice';
import { countUnsent, enter, type Entrance } from '@yellow-latch/replica/sync/entering';
import type { Outside } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';

import { Insecure } from '@/parts/Insecure';
import { KindChoice } from '@/parts/KindChoice';
import { WhereLink } from '@/parts/where/WhereLink';
import { usePageTitle } from '@/look/usePageTitle';
import { tellMisread, tellNoEntrance } from './words';

const LiveExample = fetched(async () => ({ default: (await import('@/bundles/write')).LiveExample }));

type Way = Entrance['type'];

/** The code that the address of an invitation carries, behind the # so that no server sees it in a log. */
function codeInAddress(): string {
  return location.pathname === '/join' ? decodeURIComponent(location.hash.slice(1)) : '';
}

/** Whether the address is that of a page which only opens in the list: a device's, a stand-in's. */
function isDevicePage(): boolean {
  return /^\/(devices|stand-in)\//u.test(location.pathname);
}

/** The first page of a browser that is in no list: what this is, and the three ways in. */
export default function StartPage({ device }: Outside) {
  useShellGone();
  useEffect(forgetPicture, []);
  const palette = usePalette();
  const [invited] = useState(codeInAddress);
  const [way, setWay] = useState<Way | null>(location.pathname === '/join' || isDevicePage() ? 'code' : null);
  const [code, setCode] = useState(invited);
  const [key, setKey] = useState('');
  const [guess] = useState(() => device?.state ?? asStandIn() ?? guessDevice());
  const [name, setName] = useState(guess.name);
  const [kind, setKind] = useState<DeviceKind>(guess.kind);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const takesLists = useTakesLists();
  usePageTitle(titleOf(way, device !== null));

  const go = async (entrance: Entrance) => {
    setBusy(true);
    setProblem(null);
    try {
      await enter(entrance, { name: name.trim() || guess.name, kind }, device);
      // A page of the list that was asked for, as by the code of a device, is there now.
      location.replace(isDevicePage() ? location.pathname : '/');
    } catch (error) {
      setProblem(tellNoEntrance(error));
      setBusy(false);
    }
  };
  const choose = (next: Way | null) => {
    setWay(next);
    setProblem(null);
  };
  const submit = () => {
    const read = way === 'code' ? readJoinCode(code) : readSpareKey(key);
    if (read.type !== 'read') setProblem(tellMisread(read, way === 'code' ? 'code' : 'spare key'));
    else void go(way === 'code' ? { type: 'code', code: read.code } : { type: 'spare key', key: read.code });
  };

  const form = (
    <View style={styles.form}>
      {way === 'code' ? (
        <Field
          label={t`Code`}
          isCode
          value={code}
          onChangeText={setCode}
          onBlur={() => {}}
          onSubmit={submit}
          error={problem ?? undefined}
          placeholder={t`like 4K7M-Q2ZD`}
          startsHere={invited === ''}
        />
      ) : (
        <Field
          label={t`Spare key`}
          isCode
          value={key}
          onChangeText={setKey}
          onBlur={() => {}}
          onSubmit={submit}
          error={problem ?? undefined}
          placeholder={t`five groups of five`}
          startsHere
        />
      )}
      <Field
        label={t`Name of this device`}
        value={name}
        onChangeText={setName}
        onBlur={() => {}}
        onSubmit={submit}
        placeholder={guess.name}
      />
      <KindChoice value={kind} onChange={setKind} />
      <LatchButton label={isBusy ? t`One moment…` : t`Get my list`} icon="check" onPress={() => !isBusy && submit()} />
      <TextButton label={t`Back`} onPress={() => choose(null)} />
    </View>
  );
  return (
    <View role="main" style={[styles.page, { backgroundColor: palette.ground }]}>
      <UpdateOffer />
      <ScrollView contentContainerStyle={styles.content}>
        <View style={styles.head}>
          <LatchMark size={44} />
          <Text variant="headlineSmall" role="heading" aria-level={1}>
            {titleOf(way, device !== null)}
          </Text>
        </View>
        {device && <WhyOut device={device} />}
        <Insecure />
        {way === 'code' && (
          <Text variant="bodyLarge">{t`On a device that has your list, open Devices and tap “Add a device”. You get a code that works for ten minutes.`}</Text>
        )}
        {way === 'spare key' && (
          <Text variant="bodyLarge">{t`It’s the key you printed or saved. It gets your list back when no device has it.`}</Text>
        )}
        {way === null && !device && <WhatItIs />}
        {way === null ? (
          <View style={styles.ways}>
            {takesLists ? (
              <LatchButton label={t`Start a new list`} onPress={() => !isBusy && void go({ type: 'new' })} />
            ) : (
              <Text variant="bodyLarge">{t`You can’t start a new list on this server. Join one with a code.`}</Text>
            )}
            <TextButton label={t`I have a list on another device`} onPress={() => choose('code')} />
            <TextButton label={t`I have a spare key`} onPress={() => choose('spare key')} />
            {!device && <TextButton label={t`Try it with a sample list`} onPress={() => trySample(guess.kind)} />}
          </View>
        ) : (
          form
        )}
        {problem && way === null && (
          <Text role="alert" variant="bodyLarge" style={{ color: palette.alarm }}>
            {problem}
          </Text>
        )}
      </ScrollView>
    </View>
  );
}

/** What a stand-in introduces itself as; null: this is none. */
function asStandIn(): { name: string; kind: DeviceKind } | null {
  const tab = standInTab();
  return tab && { name: nameOfStandIn(tab), kind: tab.kind };
}

function titleOf(way: Way | null, wasIn: boolean): string {
  if (way === 'code') return t`I have a list on another device`;
  if (way === 'spare key') return t`I have a spare key`;
  return wasIn ? t`This device is signed out` : t`Yellow Latch`;
}

/** What this is, in two lines and an example that works. */
function WhatItIs() {
  return (
    <View style={styles.words}>
      <Text variant="bodyLarge">{t`Type a short code, get a whole text. One list for all your devices, no account needed.`}</Text>
      <Suspense fallback={<View style={styles.example} />}>
        <LiveExample />
      </Suspense>
      <WhereLink />
    </View>
  );
}

/** Whether new lists may be started here: yes, until the server says otherwise. */
function useTakesLists(): boolean {
  const [takes, setTakes] = useState(true);
  useEffect(() => {
    server.door().then(
      ({ lists }) => setTakes(lists),
      () => undefined,
    );
  }, []);
  return takes;
}

function TextButton({ label, onPress }: { label: string; onPress: () => void }) {
  return (
    <Pressable role="button" onPress={onPress} style={styles.action}>
      <Text variant="bodyLarge" style={[STRONG, styles.underlined]}>
        {label}
      </Text>
    </Pressable>
  );
}

const WHY_OUT: Record<NonNullable<OpenedDevice['state']['out']>, MessageDescriptor> = {
  left: msg`You signed this device out, so your list isn’t on it. Private shortcuts and drafts still are.`,
  'signed-out': msg`Another device signed this one out, so your list isn’t on it. Private shortcuts and drafts still are.`,
  deleted: msg`This list was deleted on one of your devices. Private shortcuts and drafts are still here.`,
  forgotten: msg`The server lost its data, and another device started the list again. Join it there.`,
};

function WhyOut({ device }: { device: NonNullable<Outside['device']> }) {
  const [unsent, setUnsent] = useState(0);
  useEffect(() => {
    void countUnsent(device).then(setUnsent);
  }, [device]);
  return (
    <View role="status" style={styles.words}>
      <Text variant="bodyLarge">{i18n._(WHY_OUT[device.state.out ?? 'left'])}</Text>
      {unsent > 0 && (
        <Text variant="bodyLarge">
          {plural(unsent, {
            one: '# change here wasn’t sent. It will be sent when this device joins again.',
            other: '# changes here weren’t sent. They will be sent when this device joins again.',
          })}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1 },
  content: { padding: 20, gap: 16, width: '100%', maxWidth: 600, alignSelf: 'center' },
  head: { flexDirection: 'row', alignItems: 'center', gap: 14, paddingVertical: 8 },
  words: { gap: 12 },
  ways: { gap: 8, alignItems: 'flex-start' },
  // As high as what comes, so that nothing below it moves.
  example: { minHeight: 152 },
  action: { minHeight: 48, justifyContent: 'center' },
  underlined: { textDecorationLine: 'underline' },
  form: { gap: 12, paddingBottom: 8 },
});
