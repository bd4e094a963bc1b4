import { plural, t } from '@lingui/core/macro';
import { JOBS, type Job, type JobWant } from '@yellow-latch/core/scenario/jobs';
import { hasWanted } from '@yellow-latch/core/standIn';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { tellDuration } from '@/wording/format';

import { tellWant, titleOfJob } from './jobs';
import type { JobResult, Kept, Way } from './memory';
import { useJudging } from './useJudging';
import { useStandIn } from './useStandIn';

/** The eight jobs: what they took with codes, and what without. */
export function Jobs({ onOpen }: { onOpen: () => void }) {
  const palette = usePalette();
  const { memory, kept, typing } = useStandIn();
  const open = (job: Job, way: Way) => {
    const isSame = kept.job?.id === job.id && kept.job.way === way;
    if (isSame && memory.isFinished) typing.emptyAll();
    memory.openJob(job, way);
    typing.line.set(null);
    onOpen();
  };
  return (
    <ScrollView contentContainerStyle={styles.list}>
      <Text variant="bodyMedium">{t`Do each with the codes shown. You see what it took, and what typing it out takes.`}</Text>
      <Sums results={kept.results} />
      {JOBS.map((job, at) => {
        const result = kept.results[job.id];
        return (
          <View key={job.id} style={[styles.job, { borderColor: palette.line }]}>
            <Pressable role="button" onPress={() => open(job, 'with')} style={styles.title}>
              <Text variant="bodyLarge" style={STRONG}>{`${at + 1}. ${titleOfJob(job.id)}`}</Text>
              {result?.with && <Icon name="check" size={20} color={palette.ink} />}
            </Pressable>
            {result?.with && <Result {...result.with} />}
            {result?.with && (
              <Button mode="text" contentStyle={styles.tall} onPress={() => open(job, 'without')}>
                {result.without
                  ? t`Without codes: ${{ taps: tellTaps(result.without.spent.taps) }}`
                  : t`Try it without codes`}
              </Button>
            )}
          </View>
        );
      })}
    </ScrollView>
  );
}

function Result({ spent, written }: JobResult) {
  const palette = usePalette();
  return (
    <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
      {t`${{ taps: tellTaps(spent.taps) }} instead of ${{ all: tellTaps(written.taps) }}; saves about ${{ time: tellDuration(Math.max(0, written.seconds - spent.seconds)) }}`}
    </Text>
  );
}

/** All jobs done so far in one sentence. */
function Sums({ results }: Pick<Kept, 'results'>) {
  const done = Object.values(results).flatMap((one) => (one.with ? [one.with] : []));
  if (done.length === 0) return null;
  const taps = sum(done, ({ spent }) => spent.taps);
  const all = sum(done, ({ written }) => written.taps);
  const seconds = sum(done, ({ spent, written }) => written.seconds - spent.seconds);
  return (
    <Text role="status" variant="titleMedium">
      {plural(done.length, {
        one: `# job done in ${tellTaps(taps)} instead of ${tellTaps(all)}: about ${tellDuration(seconds)} saved.`,
        other: `# jobs done in ${tellTaps(taps)} instead of ${tellTaps(all)}: about ${tellDuration(seconds)} saved.`,
      })}
    </Text>
  );
}

function sum<Item>(items: readonly Item[], of: (item: Item) => number): number {
  return items.reduce((all, item) => all + of(item), 0);
}

/** The open job above its place: what is wanted, with the codes that give it. */
export function OpenJob({ onList }: { onList: (() => void) | null }) {
  const palette = usePalette();
  const { kept, memory, typing } = useStandIn();
  const job = JOBS.find(({ id }) => id === kept.job?.id);
  if (!job || !kept.job) return null;
  const { way } = kept.job;
  const isDone = memory.isFinished;
  const at = JOBS.indexOf(job);
  const next = JOBS[at + 1];
  const talk = kept.talks[memory.scope];
  const wants: readonly Pick<JobWant, 'want' | 'codes'>[] =
    job.place === 'talk' ? job.asks.slice(talk?.answered ?? 0, (talk?.answered ?? 0) + 1) : job.wants;
  return (
    <View style={[styles.open, { borderColor: palette.line, backgroundColor: palette.surface }]}>
      <View style={styles.title}>
        <Text variant="bodyMedium" role="heading" aria-level={2} style={[STRONG, styles.words]}>
          {`${at + 1}. ${titleOfJob(job.id)}`}
        </Text>
        {onList && <Button mode="text" compact contentStyle={styles.tall} onPress={onList}>{t`All jobs`}</Button>}
        <Pressable
          role="button"
          aria-label={t`Leave this job`}
          onPress={() => {
            memory.openJob(null, way);
            typing.line.set(null);
          }}
          style={styles.leave}
        >
          <Icon name="close" size={20} color={palette.ink} />
        </Pressable>
      </View>
      {!isDone &&
        wants.map((one, index) => (
          <Wanted key={index} {...one} isShown={way === 'without'} field={fieldOf(job, index)} />
        ))}
      {isDone && next && (
        <Button
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => memory.openJob(next, 'with')}
        >{t`Next: ${{ title: titleOfJob(next.id) }}`}</Button>
      )}
    </View>
  );
}

function fieldOf(job: Job, index: number): string | null {
  return job.place === 'talk' ? null : (job.wants[index]?.field ?? null);
}

function Wanted({
  want,
  codes,
  field,
  isShown,
}: Pick<JobWant, 'want' | 'codes'> & { field: string | null; isShown: boolean }) {
  const palette = usePalette();
  const { memory } = useStandIn();
  const judging = useJudging();
  const isThere = field !== null && hasWanted(want, memory.textOf(field), judging);
  return (
    <View style={styles.want}>
      {isThere && <Icon name="check" size={16} color={palette.ink} />}
      {codes.map((code) => !isShown && <CodePlate key={code} code={code} />)}
      <Text variant="bodySmall" numberOfLines={isShown ? 4 : 1} style={styles.words}>
        {tellWant(want, judging)}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { paddingHorizontal: 20, paddingBottom: 16, gap: 10 },
  job: { borderTopWidth: 1, paddingTop: 4 },
  title: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  open: { paddingHorizontal: 16, paddingBottom: 8, borderBottomWidth: 1, gap: 4 },
  want: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, minWidth: 0 },
  leave: { width: 48, height: 48, alignItems: 'center', justifyContent: 'center' },
  tall: { minHeight: 48 },
});
