import { t } from '@lingui/core/macro';
import { JOBS, TALK, type Ask } from '@yellow-latch/core/scenario/jobs';
import { hasWanted } from '@yellow-latch/core/standIn';
import { useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import { FieldBox } from '../FieldBox';
import { useJudging } from '../useJudging';
import { useFinish } from '../useFinish';
import { useStandIn } from '../useStandIn';
import type { Memory, Said, TalkState } from '../memory';

const FIELD = 'talk';
const SILENCE: TalkState = { said: [], answered: 0 };

/** A conversation, written down line by line: the other side asks, and answers what is sent. */
export function Talk() {
  const palette = usePalette();
  const scroll = useRef<ScrollView>(null);
  const { memory, typing, kept } = useStandIn();
  const judging = useJudging();
  const finish = useFinish();
  const asks = asksOf(memory);
  const talk = kept.talks[memory.scope] ?? SILENCE;
  const said = [...opening(asks, talk), ...talk.said];
  const send = () => {
    const text = memory.textOf(FIELD).trim();
    const ask = asks[talk.answered];
    if (text === '') return typing.say(t`There’s nothing to send yet.`, true);
    const isAnswer = ask !== undefined && hasWanted(ask.want, text, judging);
    const answered = talk.answered + (isAnswer ? 1 : 0);
    const next: TalkState = {
      said: [...said, { who: null, text }, ...reply(ask, isAnswer, asks[answered])],
      answered,
    };
    memory.send({ [FIELD]: text });
    memory.set({ talks: { ...memory.value.talks, [memory.scope]: next } });
    typing.empty([FIELD]);
    typing.focus(FIELD);
    if (answered === asks.length && isAnswer) finish();
  };
  return (
    <View style={styles.place}>
      <ScrollView
        ref={scroll}
        role="log"
        aria-label={t`Conversation`}
        tabIndex={0}
        style={styles.said}
        contentContainerStyle={styles.lines}
        onContentSizeChange={() => scroll.current?.scrollToEnd({ animated: false })}
      >
        {said.map((one, at) => (
          <View key={at} style={[styles.line, { borderLeftColor: one.who === null ? palette.latch : palette.inkSoft }]}>
            <Text variant="bodySmall" style={[STRONG, { color: palette.inkSoft }]}>
              {one.who ?? t`You`}
            </Text>
            <Text variant="bodyLarge">{one.text}</Text>
          </View>
        ))}
      </ScrollView>
      <View style={styles.foot}>
        <View style={styles.field}>
          <FieldBox key={memory.scope} name={FIELD} label={t`Your answer`} type="lines" />
        </View>
        <LatchButton label={t`Send`} icon="send" onPress={send} />
      </View>
    </View>
  );
}

export function asksOf(memory: Memory): readonly Ask[] {
  const job = JOBS.find(({ id }) => id === memory.value.job?.id);
  return job?.place === 'talk' ? job.asks : TALK;
}

/** The first question stands there before anything was said. */
function opening(asks: readonly Ask[], { said }: TalkState): readonly Said[] {
  const [first] = asks;
  return said.length === 0 && first ? [{ who: first.who, text: first.says }] : [];
}

function reply(ask: Ask | undefined, isAnswer: boolean, next: Ask | undefined): readonly Said[] {
  if (!ask) return [];
  if (!isAnswer) return [{ who: ask.who, text: t`Sorry, that’s not what I asked.` }];
  const thanks: Said = { who: ask.who, text: t`Thank you!` };
  return next ? [thanks, { who: next.who, text: next.says }] : [thanks];
}

const styles = StyleSheet.create({
  place: { flex: 1, minHeight: 0 },
  said: { flex: 1, minHeight: 60 },
  lines: { padding: 16, gap: 10, flexGrow: 1, justifyContent: 'flex-end' },
  line: { borderLeftWidth: 4, paddingLeft: 10 },
  foot: { flexDirection: 'row', alignItems: 'flex-end', gap: 10, paddingHorizontal: 16, paddingBottom: 8 },
  field: { flex: 1, minWidth: 0 },
});
