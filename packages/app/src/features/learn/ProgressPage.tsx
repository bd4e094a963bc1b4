import { plural, t } from '@lingui/core/macro';
import { fitPracticeLaw, progressOf, stageOf } from '@yellow-latch/core/learn';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { Bar } from '@/look/Bar';
import { STRONG } from '@/look/fonts';
import { tellCount, tellDuration } from '@/wording/format';

import { useLearn, type Learn } from './useLearn';
import { WeekChart } from './WeekChart';

const WEEKS = 12;

/** How learning goes: codes known, how soon they come, and what that saves. */
export function ProgressPage() {
  const learn = useLearn();
  const { items, now } = learn;
  const progress = useMemo(
    () =>
      progressOf(
        items.map(({ state }) => state),
        now,
        WEEKS,
      ),
    [items, now],
  );
  const { weeks, known, learning, times } = progress;
  const ends = weeks.map(({ end }) => end);
  const law = useMemo(() => fitPracticeLaw(times), [times]);
  const latest = weeks.flatMap(({ seconds }) => (seconds === null ? [] : [seconds])).at(-1);
  const toldKnown = plural(known, { one: 'You know # code', other: 'You know # codes' });
  const toldLearning = plural(learning, { one: 'are learning # more', other: 'are learning # more' });
  return (
    <DetailPage title={t`Progress`} about="progress" back={{ label: t`Back to Learn`, href: '/learn' }} gap={26}>
      <WeekChart
        title={t`Codes you know`}
        told={learning > 0 ? t`${toldKnown} and ${toldLearning}.` : t`${toldKnown}.`}
        values={weeks.map((week) => week.known)}
        ends={ends}
        as="bars"
        tell={tellCount}
      />
      <WeekChart
        title={t`How soon a code comes to mind`}
        told={
          law === null || latest === undefined
            ? t`A few more times, and you’ll see how fast you are.`
            : t`A new code takes you about ${{ first: tellDuration(law.first) }}. Lately it was ${{ latest: tellDuration(latest) }}.`
        }
        values={weeks.map((week) => week.seconds)}
        ends={ends}
        as="line"
        tell={tellDuration}
      />
      <Saved learn={learn} />
    </DetailPage>
  );
}

/** Minutes that known codes save a week, beside what all could. */
function Saved({ learn: { savings, items } }: { learn: Learn }) {
  if (!savings) return null;
  const known = new Set(items.filter(({ state }) => stageOf(state) === 'known').map(({ shortcut }) => shortcut.id));
  const paying = savings.each.filter(({ week }) => (week?.seconds ?? 0) > 0);
  const could = paying.reduce((sum, { week }) => sum + week!.seconds, 0);
  const saved = paying.filter(({ id }) => known.has(id)).reduce((sum, { week }) => sum + week!.seconds, 0);
  const told =
    could === 0
      ? t`Use your codes for a week, and you’ll see what they save.`
      : t`The codes you know save you ${{ saved: tellDuration(saved) }} a week. All of them could save ${{ could: tellDuration(could) }}.`;
  return (
    <View style={styles.saved}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`Time saved`}</Text>
      <Text variant="bodyMedium">{told}</Text>
      {could > 0 && (
        <View style={styles.bar}>
          <Bar part={saved / could} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  saved: { gap: 6 },
  bar: { flexDirection: 'row', maxWidth: 560 },
});
