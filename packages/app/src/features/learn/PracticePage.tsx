import { plural, t } from '@lingui/core/macro';
import { DeviceList } from '@yellow-latch/core/compose';
import { formerCodes } from '@yellow-latch/core/convention/former';
import { CompiledList, entriesOf } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/profile';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { announce } from '@/frame/announce';
import { DetailPage } from '@/frame/DetailPage';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useKept } from '@/frame/replica/useKept';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { Working } from '@/parts/findings/Working';

import { MessageCard } from './MessageCard';
import { PickCard } from './PickCard';
import { TypeCard } from './TypeCard';
import { usePractice } from './usePractice';

/** The whole list, made ready for typing: as it expands in this app, old codes among it. */
function usePracticeDevice(): DeviceList {
  const { shortcuts, sets } = useList();
  const { clock } = useOpened().replica;
  const [now] = useState(() => clock());
  return useMemo(() => {
    const all = [...shortcuts, ...formerCodes(shortcuts, now)];
    return DeviceList.whole(CompiledList.compile(entriesOf(all, sets, THIS_APP), THIS_APP));
  }, [shortcuts, sets, now]);
}

/** One card after the other, two minutes at most; what was said of the last stands above the next. */
export function PracticePage() {
  const palette = usePalette();
  const router = useRouter();
  const practice = usePractice();
  const device = usePracticeDevice();
  const [line, setLine] = useState('');
  const [hasKeys, setKeys] = useKept('practice-keys', false);
  const { card, session, itemOf, items, note, answer } = practice;
  const done = (forgotten: readonly string[], told: string) => {
    setLine(told);
    announce(told);
    answer(forgotten);
  };
  const back = { label: t`Back to Learn`, href: '/learn' } as const;
  if (card === undefined || session === null) {
    return (
      <DetailPage title={t`Practice`} about="practice" back={back}>
        <Working text={t`Getting your codes ready…`} />
      </DetailPage>
    );
  }
  if (card === null) {
    const first = session.cards.filter(({ isAgain }) => !isAgain).length;
    return (
      <DetailPage title={t`Practice`} about="practice over" back={back}>
        <Text variant="titleMedium" role="status">
          {first === 0
            ? t`Nothing to practice right now.`
            : t`Done. You knew ${{ knew: session.knew }} of ${{ all: plural(first, { one: '# card', other: '# cards' }) }} at once.`}
        </Text>
        <Text variant="bodyMedium">{t`What you type at work counts as practice too.`}</Text>
        <View style={styles.start}>
          <LatchButton label={t`Back to Learn`} onPress={() => router.navigate('/learn')} />
        </View>
      </DetailPage>
    );
  }
  const asked = card.ids.map((id) => itemOf(id)!);
  const key = `${session.at} ${asked.map(({ shortcut }) => shortcut.code).join(' ')}`;
  return (
    <DetailPage
      title={t`Practice`}
      about="practice"
      back={back}
      actions={
        card.kind === 'pick' ? undefined : (
          <Button mode="text" icon="keyboard" contentStyle={styles.tall} onPress={() => setKeys(!hasKeys)}>
            {hasKeys ? t`Hide keys` : t`Show keys`}
          </Button>
        )
      }
    >
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {t`Card ${{ at: session.at + 1 }} of ${{ all: session.cards.length }}`}
        {line !== '' && ` · ${line}`}
      </Text>
      {card.kind === 'pick' && <PickCard key={key} item={asked[0]!} items={items} onDone={(told) => done([], told)} />}
      {(card.kind === 'type' || card.kind === 'situation') && (
        <TypeCard
          key={key}
          item={asked[0]!}
          isSituation={card.kind === 'situation'}
          device={device}
          hasKeys={hasKeys}
          note={note}
          onDone={(knew, told) => done(knew ? [] : [asked[0]!.shortcut.id], told)}
        />
      )}
      {card.kind === 'message' && (
        <MessageCard key={key} items={asked} device={device} hasKeys={hasKeys} note={note} onDone={done} />
      )}
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  start: { alignItems: 'flex-start' },
  tall: { minHeight: 48 },
});
