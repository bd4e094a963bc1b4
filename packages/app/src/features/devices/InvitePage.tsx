import { t } from '@lingui/core/macro';
import { inGroups, JOIN_CODE_LASTS } from '@yellow-latch/core/join';
import type { Invitation } from '@yellow-latch/core/sync';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Command } from '@/parts/Insecure';
import { DetailPage } from '@/frame/DetailPage';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { isRefusal, server } from '@yellow-latch/replica/sync/server';
import { tellRefusal } from '@/frame/refusals';

import { LateQrCode } from '@/bundles/qr';
import { useDirectory } from '@/parts/directory';
import { queries } from '@/parts/queries';
import { TrustFirst } from './TrustFirst';
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
  const [isTrusted, setTrusted] = useState(false);

  useEffect(() => {
    let isOver = false;
    server.invite(self).then(
      (next) => {
        // Counted from when the answer came: the clock of this device may be wrong.
        if (!isOver) setInvitation({ ...next, until: Date.now() + JOIN_CODE_LASTS });
      },
      (error: unknown) => {
        if (!isOver)
          setProblem(isRefusal(error) ? tellRefusal(error.slug) : t`You’re offline. Connect to add a device.`);
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
      notify({ text: t`This code no longer works.` });
      router.navigate('/devices');
    } catch {
      notify({ text: t`You’re offline. The code expires by itself.` });
    }
  };
  const again = () => {
    setProblem(null);
    setInvitation(null);
    setJoined(null);
    before.current = directory ? new Set(directory.devices.map(({ id }) => id)) : null;
    setRound(round + 1);
  };
  const showCode = () => {
    // The phone may have found the computer by its name meanwhile.
    void queries.invalidateQueries({ queryKey: ['directory'] });
    setTrusted(true);
  };
  const origin = directory?.address ?? location.origin;
  const address = invitation && `${origin}/join#${invitation.code}`;
  const left = invitation && tellLeft(invitation.until - now);
  const isHere = ['127.0.0.1', 'localhost', '[::1]'].includes(new URL(origin).hostname);

  const code = address && left ? 'code' : 'lapsed';
  const open = invitation ? code : 'asked';
  const unjoined = problem === null ? open : 'problem';
  const trust = directory?.trust;
  const byNumber = trust ? `${trust.byNumber}/join` : '';
  const step = unjoined === 'code' && trust && !isTrusted ? 'trust' : unjoined;
  const shown = joined === null ? step : 'joined';
  return (
    <DetailPage title={t`Add a device`} about="invite">
      {joined !== null && (
        <View role="status" style={styles.joined}>
          <Icon name="check" size={28} color={palette.ink} />
          <Text variant="titleLarge" style={STRONG}>{t`${joined} has joined`}</Text>
          <Text variant="bodyLarge">{t`It has your list now. Open it under Devices to choose what it can do and which sets it gets.`}</Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>{t`Add another`}</Button>
        </View>
      )}
      {shown === 'problem' && (
        <View style={styles.joined}>
          <Text role="alert" variant="bodyLarge">
            {problem}
          </Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>{t`Try again`}</Button>
        </View>
      )}
      {shown === 'trust' && trust && <TrustFirst {...trust} onDone={showCode} />}
      {shown === 'code' && invitation && address && (
        <>
          <Text variant="bodyLarge">{t`On the other device, scan this with the camera. Or open the address and type the code.`}</Text>
          <View style={styles.both}>
            <View style={[styles.qr, { borderColor: palette.ink }]}>
              <LateQrCode text={address} size={228} label={t`QR code with the address and the code`} />
            </View>
            <View style={styles.words}>
              <Text variant="bodyMedium">{t`Open`}</Text>
              <Text selectable variant="bodyLarge" style={STRONG}>
                {`${origin}/join`}
              </Text>
              {trust && trust.byNumber !== origin && (
                <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                  {t`If that doesn’t open: ${byNumber}`}
                </Text>
              )}
              <Text variant="bodyMedium">{t`and type`}</Text>
              <View
                style={styles.plates}
                accessible
                aria-label={t`Code ${{ code: inGroups(invitation.code) }}`}
                role="img"
              >
                {inGroups(invitation.code)
                  .split('-')
                  .map((group) => (
                    <CodePlate key={group} code={group} size="large" />
                  ))}
              </View>
              <Text role="timer" variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {t`Works for one device. Expires in ${{ time: left ?? '' }}.`}
              </Text>
              <Button
                icon="copy"
                mode="text"
                style={styles.start}
                contentStyle={styles.tall}
                onPress={() =>
                  void copyText(address).then((isDone) =>
                    notify({ text: isDone ? t`Copied the link.` : tellNotCopied() }),
                  )
                }
              >{t`Copy the link`}</Button>
              <Button
                icon="close"
                mode="text"
                style={styles.start}
                contentStyle={styles.tall}
                onPress={() => void takeBack(invitation.code)}
              >{t`Cancel this code`}</Button>
              {trust && (
                <Button
                  mode="text"
                  style={styles.start}
                  contentStyle={styles.tall}
                  onPress={() => setTrusted(false)}
                >{t`The phone shows a warning`}</Button>
              )}
            </View>
          </View>
          {isHere && (
            <View>
              <Text
                variant="bodyMedium"
                style={{ color: palette.inkSoft }}
              >{t`This address only works on this computer. To add phones and tablets, start the server like this:`}</Text>
              <Command />
            </View>
          )}
        </>
      )}
      {shown === 'lapsed' && (
        <View style={styles.joined}>
          <Text variant="bodyLarge">{t`The code has expired and nobody used it.`}</Text>
          <Button mode="outlined" onPress={again} contentStyle={styles.tall}>{t`Make a new code`}</Button>
        </View>
      )}
      {shown === 'asked' && <Text variant="bodyLarge">{t`Making a code…`}</Text>}
      {joined === null && (
        <Button
          mode="text"
          style={styles.start}
          contentStyle={styles.tall}
          onPress={() => router.navigate('/devices/add')}
        >{t`It can’t run Yellow Latch`}</Button>
      )}
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
