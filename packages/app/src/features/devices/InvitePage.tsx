import { inGroups, JOIN_CODE_LASTS } from '@yellow-latch/core/join';
import type { Invitation } from '@yellow-latch/core/sync';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Command } from '@/parts/Insecure';
import { DetailPage } from '@/frame/DetailPage';
import { copyText } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { isRefusal, server } from '@yellow-latch/replica/sync/server';

import { QrCode } from './QrCode';
import { useDirectory } from './useDirectory';
import { tellLeft } from './words';

/** A code for one new device, to be scanned or typed, while it holds. */
export function InvitePage() {
  const palette = usePalette();
  const { replica } = useOpened();
  const router = useRouter();
  const notify = useNotice();
  const { directory } = useDirectory();
  const self = replica.state.id;
  const [invitation, setInvitation] = useState<Invitation | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [now, setNow] = useState(() => Date.now());
  const before = useRef<ReadonlySet<string> | null>(null);
  const [round, setRound] = useState(0);

  useEffect(() => {
    let isOver = false;
    server.invite(self).then(
      (next) => {
        if (!isOver) setInvitation(next);
      },
      (error: unknown) => {
        if (!isOver) setProblem(isRefusal(error) ? error.message : 'A code is made by the server, which is away.');
      },
    );
    return () => {
      isOver = true;
    };
  }, [self, round]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1_000);
    return () => clearInterval(timer);
  }, []);
  // Whoever is in the list now and was not when this page was opened has come by this code.
  const ids = directory?.devices.map(({ id }) => id).join();
  const [joined, setJoined] = useState<string | null>(null);
  useEffect(() => {
    if (!directory) return;
    before.current ??= new Set(directory.devices.map(({ id }) => id));
    const newcomer = directory.devices.find(({ id }) => !before.current!.has(id));
    if (newcomer) setJoined(newcomer.name);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when a device has come or gone
  }, [ids]);

  const takeBack = async (code: string) => {
    try {
      await server.withdraw(self, code);
      notify({ text: 'The code lets nobody in any more.' });
      router.navigate('/devices');
    } catch {
      notify({ text: 'The server is away; the code lapses by itself.' });
    }
  };
  const again = () => {
    setProblem(null);
    setInvitation(null);
    setJoined(null);
    before.current = directory ? new Set(directory.devices.map(({ id }) => id)) : null;
    setRound(round + 1);
  };
  const origin = directory?.address ?? location.origin;
  const address = invitation && `${origin}/join#${invitation.code}`;
  const left = invitation && tellLeft(Math.min(invitation.until - now, JOIN_CODE_LASTS));
  const isHere = ['127.0.0.1', 'localhost', '[::1]'].includes(new URL(origin).hostname);

  const code = address && left ? 'code' : 'lapsed';
  const open = invitation ? code : 'asked';
  const unjoined = problem === null ? open : 'problem';
  const shown = joined === null ? unjoined : 'joined';
  return (
    <DetailPage title="Let a device in" about="invite">
      {joined !== null && (
        <View role="status" style={styles.joined}>
          <Icon name="check" size={28} color={palette.ink} />
          <Text variant="titleLarge" style={STRONG}>
            {joined} is in
          </Text>
          <Text variant="bodyLarge">
            It has the list now. What it may do and which sets it takes, you set under its name.
          </Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>
            Let another in
          </Button>
        </View>
      )}
      {shown === 'problem' && (
        <View style={styles.joined}>
          <Text role="alert" variant="bodyLarge">
            {problem}
          </Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>
            Try again
          </Button>
        </View>
      )}
      {shown === 'code' && invitation && address && (
        <>
          <Text variant="bodyLarge">
            Point the other device’s camera at this, or open the address there and type the code.
          </Text>
          <View style={styles.both}>
            <View style={[styles.qr, { borderColor: palette.ink }]}>
              <QrCode text={address} size={228} label="The address with the code, to be scanned" />
            </View>
            <View style={styles.words}>
              <Text variant="bodyMedium">Open</Text>
              <Text selectable variant="bodyLarge" style={STRONG}>
                {`${origin}/join`}
              </Text>
              <Text variant="bodyMedium">and type</Text>
              <View style={styles.plates} accessible aria-label={`Code ${inGroups(invitation.code)}`} role="img">
                {inGroups(invitation.code)
                  .split('-')
                  .map((group) => (
                    <CodePlate key={group} code={group} size="large" />
                  ))}
              </View>
              <Text role="timer" variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {`It lets one device in, and holds for ${left}.`}
              </Text>
              <Button
                icon="copy"
                mode="text"
                style={styles.start}
                contentStyle={styles.tall}
                onPress={() =>
                  void copyText(address).then((isDone) =>
                    notify({ text: isDone ? 'The address is copied.' : 'The browser did not let it be copied.' }),
                  )
                }
              >
                Copy the address
              </Button>
              <Button
                icon="close"
                mode="text"
                style={styles.start}
                contentStyle={styles.tall}
                onPress={() => void takeBack(invitation.code)}
              >
                Take the code back
              </Button>
            </View>
          </View>
          {isHere && (
            <View>
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                This address leads to this computer alone: other browsers here can open it. For phones and tablets start
                the server with the address at which they reach it:
              </Text>
              <Command />
            </View>
          )}
        </>
      )}
      {shown === 'lapsed' && (
        <View style={styles.joined}>
          <Text variant="bodyLarge">The code has lapsed. Nobody came by it.</Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>
            Make a new one
          </Button>
        </View>
      )}
      {shown === 'asked' && <Text variant="bodyLarge">Making a code…</Text>}
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  both: { flexDirection: 'row', flexWrap: 'wrap', gap: 20 },
  qr: { borderWidth: 1.5, borderRadius: 6, overflow: 'hidden', alignSelf: 'flex-start' },
  words: { gap: 4, minWidth: 220, flexShrink: 1 },
  plates: { flexDirection: 'row', gap: 8, paddingVertical: 4 },
  joined: { gap: 12, alignItems: 'flex-start' },
  start: { alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
