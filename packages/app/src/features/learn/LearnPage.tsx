import { plural, t } from '@lingui/core/macro';
import { droppingFromLearning } from '@yellow-latch/replica/commands/learning';
import type { Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { useCommand } from '@/frame/replica/useCommand';
import { useList } from '@/frame/replica/ReplicaProvider';
import { STRONG } from '@/look/fonts';
import { CodePlate } from '@/look/CodePlate';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { usePageTitle } from '@/look/usePageTitle';
import { Working } from '@/parts/findings/Working';
import { tellDay } from '@/wording/format';

import { CodeRow } from './CodeRow';
import { OptionsSheet } from './OptionsSheet';
import { Stuck } from './Stuck';
import { useLearn, type Learn } from './useLearn';
import { tellStage } from './words';

/** A few codes at a time: what to practise today, what is being learnt, and what does not stick. */
export function LearnPage() {
  usePageTitle(t`Learn`);
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { learning: records } = useList();
  const learn = useLearn();
  const [isChoosing, setChoosing] = useState(false);
  const { learnerId, learning, stuck, items, now } = learn;
  const drop = (shortcut: Shortcut) =>
    void run(
      droppingFromLearning([shortcut], { learnerId, learning: records }),
      t`Stopped learning “${{ code: shortcut.code }}”.`,
    );
  const hasBegun = items.some(({ state }) => state.memory !== null || state.chosenAt !== null);
  return (
    <ScrollView style={styles.page} contentContainerStyle={styles.parts}>
      <View style={styles.head}>
        <Text variant="headlineSmall" role="heading" aria-level={1} style={styles.title}>{t`Learn`}</Text>
        <IconButton
          icon="more"
          style={styles.button}
          accessibilityLabel={t`Learning options`}
          onPress={() => setChoosing(true)}
        />
      </View>
      <Today learn={learn} onPractice={() => router.navigate('/learn/practice')} />
      {stuck.map((item) => (
        <Stuck key={item.shortcut.id} item={item} onDrop={() => drop(item.shortcut)} />
      ))}
      {learning.length > 0 && (
        <View>
          <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`Learning now`}</Text>
          <View role="list">
            {learning.map(({ shortcut, state }) => (
              <CodeRow
                key={shortcut.id}
                shortcut={shortcut}
                told={tellStage(state, now)}
                onOpen={() => router.navigate({ pathname: '/shortcut/[id]', params: { id: shortcut.id } })}
                onDrop={() => drop(shortcut)}
              />
            ))}
          </View>
          <Text variant="bodyMedium" style={[styles.also, { color: palette.inkSoft }]}>
            {t`They also stand above your list and in Write until you know them.`}
          </Text>
        </View>
      )}
      {hasBegun && (
        <View style={styles.ways}>
          {learning.length > 0 && (
            <Button
              mode="outlined"
              icon="phone"
              contentStyle={styles.tall}
              onPress={() => router.navigate('/learn/picture')}
            >{t`Take them along`}</Button>
          )}
          <Button
            mode="outlined"
            icon="chart"
            contentStyle={styles.tall}
            onPress={() => router.navigate('/learn/progress')}
          >{t`Progress`}</Button>
        </View>
      )}
      <OptionsSheet learn={learn} isOpen={isChoosing} onClose={() => setChoosing(false)} />
    </ScrollView>
  );
}

/** What there is to practise, and why there is nothing where there is not. */
function Today({ learn, onPractice }: { learn: Learn; onPractice: () => void }) {
  const palette = usePalette();
  const { items, learning, due, next, now } = learn;
  const card = [styles.today, { borderColor: palette.ink, backgroundColor: palette.surface }];
  if (items.length === 0) {
    return <Text variant="bodyLarge">{t`Add a few shortcuts first. Then learn their codes here.`}</Text>;
  }
  if (next === undefined) return <Working text={t`Choosing what to learn first…`} />;
  const count = new Set([...due.map(({ shortcut }) => shortcut.id), ...unheldOf(learn), ...next.map(({ id }) => id)])
    .size;
  if (count === 0) {
    const back = Math.min(...items.flatMap(({ state }) => (state.memory ? [state.memory.due] : [])));
    return (
      <View style={card}>
        <Text variant="titleMedium" style={STRONG}>{t`Nothing to practice today`}</Text>
        <Text variant="bodyMedium">
          {Number.isFinite(back)
            ? t`The next code is back on ${{ day: tellDay(back, now) }}.`
            : t`There are no codes to learn that would save you time.`}
        </Text>
      </View>
    );
  }
  return (
    <View style={card}>
      <Text variant="titleMedium" style={STRONG}>
        {learning.length === 0 && due.length === 0
          ? plural(next.length, { one: 'Start with this one', other: 'Start with these #' })
          : plural(count, { one: '# code to practice', other: '# codes to practice' })}
      </Text>
      {next.map((shortcut) => (
        <View key={shortcut.id} style={styles.fresh}>
          <CodePlate code={shortcut.code} />
          <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
            {shownExpansion(shortcut, 60)}
          </Text>
        </View>
      ))}
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {next.length > 0
          ? plural(next.length, { one: 'New. It saves you the most.', other: 'New. They save you the most.' })
          : t`It takes two minutes at most.`}
      </Text>
      <LatchButton label={t`Practice`} onPress={onPractice} />
    </View>
  );
}

/** What is learnt and not held yet is practised even before it is due. */
function unheldOf({ learning }: Learn): string[] {
  return learning.filter(({ state }) => state.memory === null).map(({ shortcut }) => shortcut.id);
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  parts: { paddingHorizontal: 16, paddingBottom: 24, gap: 18, maxWidth: 760, width: '100%' },
  head: { flexDirection: 'row', alignItems: 'center', minHeight: 60, paddingTop: 6 },
  title: { flex: 1 },
  button: { width: 48, height: 48, margin: 0 },
  today: { borderWidth: 1.5, borderRadius: 8, padding: 16, gap: 10, alignItems: 'flex-start' },
  fresh: { flexDirection: 'row', alignItems: 'center', gap: 10, alignSelf: 'stretch' },
  text: { flex: 1, minWidth: 0 },
  also: { paddingTop: 10 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  tall: { minHeight: 48 },
});
