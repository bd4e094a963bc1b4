import { readJoinCode, readSpareKey } from '@yellow-latch/core/join';
import type { DeviceKind } from '@yellow-latch/core/sync';
import { useEffect, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { UpdateOffer } from '@/frame/UpdateOffer';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
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
import { tellMisread, tellNoEntrance } from './words';

type Way = Entrance['type'];

/** The code that the address of an invitation carries, behind the # so that no server sees it in a log. */
function codeInAddress(): string {
  return location.pathname === '/join' ? decodeURIComponent(location.hash.slice(1)) : '';
}

/** The first page of a browser that is in no list: begin one in one tap, join one, or get one back. */
export default function StartPage({ device }: Outside) {
  const palette = usePalette();
  const [invited] = useState(codeInAddress);
  const [way, setWay] = useState<Way | null>(location.pathname === '/join' ? 'code' : null);
  const [code, setCode] = useState(invited);
  const [key, setKey] = useState('');
  const [guess] = useState(() => device?.state ?? guessDevice());
  const [name, setName] = useState(guess.name);
  const [kind, setKind] = useState<DeviceKind>(guess.kind);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const takesLists = useTakesLists();

  const go = async (entrance: Entrance) => {
    setBusy(true);
    setProblem(null);
    try {
      await enter(entrance, { name: name.trim() || guess.name, kind }, device);
      location.replace('/');
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

  const verb = way === 'code' ? 'Join' : 'Get the list back';
  const form = (
    <View style={styles.form}>
      {way === 'code' ? (
        <Field
          label="Code"
          isCode
          value={code}
          onChangeText={setCode}
          onBlur={() => {}}
          onSubmit={submit}
          error={problem ?? undefined}
          placeholder="such as 4K7M-Q2ZD"
          startsHere={invited === ''}
        />
      ) : (
        <Field
          label="Spare key"
          isCode
          value={key}
          onChangeText={setKey}
          onBlur={() => {}}
          onSubmit={submit}
          error={problem ?? undefined}
          placeholder="five groups of five"
          startsHere
        />
      )}
      <Field
        label="This device is called"
        value={name}
        onChangeText={setName}
        onBlur={() => {}}
        onSubmit={submit}
        placeholder={guess.name}
      />
      <KindChoice value={kind} onChange={setKind} />
      <LatchButton label={isBusy ? 'One moment' : verb} icon="check" onPress={() => !isBusy && submit()} />
    </View>
  );
  return (
    <View role="main" style={[styles.page, { backgroundColor: palette.ground }]}>
      <UpdateOffer />
      <ScrollView contentContainerStyle={styles.content}>
        <View style={styles.head}>
          <LatchMark size={44} />
          <Text variant="headlineSmall" role="heading" aria-level={1}>
            {device ? 'Out of the list' : 'Where is your list?'}
          </Text>
        </View>
        {device && <WhyOut device={device} />}
        <Insecure />
        {way === null && !takesLists && (
          <Text variant="bodyLarge">This server doesn’t take new lists. Join one with a code.</Text>
        )}
        {way === null && takesLists && (
          <Row
            icon="plus"
            title="Nowhere yet"
            action="Begin a new list"
            isPrimary
            onPress={() => !isBusy && void go({ type: 'new' })}
          >
            No account and no password. It is on this device at once; others join it when you want.
          </Row>
        )}
        {way !== 'spare key' && (
          <Row
            icon="devices"
            title="On another device"
            action="Join it with a code"
            isOpen={way === 'code'}
            onPress={() => choose('code')}
          >
            On a device that is in, open Devices and choose “Let a device in”. It shows a code for ten minutes.
          </Row>
        )}
        {way !== 'code' && (
          <Row
            icon="key"
            title="On no device any more"
            action="Get it back with the spare key"
            isOpen={way === 'spare key'}
            onPress={() => choose('spare key')}
          >
            The key you printed or saved when you had the list.
          </Row>
        )}
        {way !== null && form}
        {way !== null && (
          <Pressable role="button" onPress={() => choose(null)} style={styles.action}>
            <Text variant="bodyLarge" style={styles.underlined}>
              Other ways
            </Text>
          </Pressable>
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

interface RowProps {
  icon: IconName;
  title: string;
  action: string;
  onPress: () => void;
  isPrimary?: boolean;
  isOpen?: boolean;
  children: string;
}

function Row({ icon, title, action, onPress, isPrimary = false, isOpen = false, children }: RowProps) {
  const palette = usePalette();
  return (
    <View style={[styles.row, { borderColor: palette.ink, backgroundColor: isOpen ? palette.surface : 'transparent' }]}>
      <Icon name={icon} size={26} color={palette.ink} />
      <View style={styles.words}>
        <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
          {title}
        </Text>
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {children}
        </Text>
        {isPrimary && (
          <View style={styles.primary}>
            <LatchButton label={action} onPress={onPress} />
          </View>
        )}
        {!isPrimary && !isOpen && (
          <Pressable role="button" onPress={onPress} style={styles.action}>
            <Text variant="bodyLarge" style={[STRONG, styles.underlined]}>
              {action}
            </Text>
          </Pressable>
        )}
      </View>
    </View>
  );
}

const WHY_OUT: Record<NonNullable<OpenedDevice['state']['out']>, string> = {
  left: 'You signed this device out. The list is not on it any more; private shortcuts and drafts are.',
  'signed-out': 'Another device signed this one out. The list is not on it any more; private shortcuts and drafts are.',
  deleted: 'This list was deleted on one of your devices. Private shortcuts and drafts are still here.',
  forgotten: 'The server had lost its data, and another device has begun the list anew. Join it there.',
};

function WhyOut({ device }: { device: NonNullable<Outside['device']> }) {
  const [unsent, setUnsent] = useState(0);
  useEffect(() => {
    void countUnsent(device).then(setUnsent);
  }, [device]);
  const what = unsent === 1 ? '1 shortcut or set' : `${unsent} shortcuts and sets`;
  return (
    <View role="status" style={styles.words}>
      <Text variant="bodyLarge">{WHY_OUT[device.state.out ?? 'left']}</Text>
      {unsent > 0 && (
        <Text variant="bodyLarge">
          {what} written here had not been sent. They are kept, and go along when this device joins the list again.
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1 },
  content: { padding: 20, gap: 16, width: '100%', maxWidth: 600, alignSelf: 'center' },
  head: { flexDirection: 'row', alignItems: 'center', gap: 14, paddingVertical: 8 },
  row: { flexDirection: 'row', gap: 14, borderTopWidth: 1.5, paddingTop: 14, paddingBottom: 4, paddingHorizontal: 4 },
  words: { flex: 1, gap: 4 },
  primary: { alignSelf: 'flex-start', paddingVertical: 8 },
  action: { minHeight: 48, justifyContent: 'center' },
  underlined: { textDecorationLine: 'underline' },
  form: { gap: 12, paddingBottom: 8 },
});
