import { plural, t } from '@lingui/core/macro';
import { tellCount, tellDuration } from '@/wording/format';
import type { CannotCompare, Comparison, FirstStep, MarkCost } from '@yellow-latch/core/convention';
import { isInScope, markCode, markKey, mayBeMarked, partsOf, standsApart } from '@yellow-latch/core/convention/mark';
import type { Mark } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAnswer } from '@/answers/effort/useAnswer';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { tellMark } from '@/answers/effort/words';
import { ChoiceChip } from '@/look/ChoiceChip';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { Working } from '@/parts/findings/Working';
import { useList } from '@/frame/replica/ReplicaProvider';

import { MarkRow } from './MarkRow';
import { Own } from './Own';
import { Plot } from './Plot';
import { scopeChoices, scopeOf } from './scope';
import { tellFirstStep, tellRecommendation } from './words';

const sorts = () =>
  [
    { value: 'cost', label: t`Least time first` },
    { value: 'taps', label: t`Fewest taps first` },
    { value: 'misfires', label: t`Fewest misfires first` },
    { value: 'changes', label: t`Fewest changes first` },
  ] as const;
type Sort = ReturnType<typeof sorts>[number]['value'];

const MEASURES: Record<Sort, (row: MarkCost) => number> = {
  cost: ({ secondsAWeek }) => secondsAWeek,
  taps: ({ effort }) => effort.taps,
  misfires: ({ misfires }) => misfires.aWeek,
  changes: ({ changes }) => changes,
};

const kindsOfMarker = () =>
  [
    { value: 'signs', label: t`No letters` },
    { value: 'all', label: t`Letters too` },
  ] as const;

const AT_FIRST = 12;

/** Every marker weighed for this person: what their codes show, what would be better, and all the others. */
export default function ConventionsPage() {
  const palette = usePalette();
  const router = useRouter();
  const { shortcuts, sets, conventions } = useList();
  const [scopeText, setScope] = useState('list');
  const [sort, setSort] = useState<Sort>('cost');
  const [kinds, setKinds] = useState<'signs' | 'all'>('signs');
  const [openMark, setOpenMark] = useState<string | null>(null);
  const [isWhole, setWhole] = useState(false);
  const scope = useMemo(() => scopeOf(scopeText), [scopeText]);
  const request = useEffortRequest();
  const question = useMemo(() => request && { request, scope }, [request, scope]);
  const { answer, isStale } = useAnswer(
    question,
    ({ effort }) => effort.compare(question!.request, question!.scope) as Promise<Comparison | CannotCompare | null>,
  );
  const inScope = useMemo(() => shortcuts.filter((shortcut) => isInScope(shortcut, scope)), [shortcuts, scope]);
  const comparison = answer && !('type' in answer) ? answer : null;
  // The marker that most codes have stands first: every other is looked at beside it.
  const rows = useMemo(() => {
    const all = sorted(comparison, sort, kinds);
    const own = all.filter((row) => isOwn(row, comparison));
    return [...own, ...all.filter((row) => !own.includes(row))];
  }, [comparison, sort, kinds]);
  const mnemonics = inScope.filter(mayBeMarked).map(({ code }) => partsOf(code)!.mnemonic);
  const sample = mnemonics.find((mnemonic) => /^\p{L}{2,5}$/u.test(mnemonic)) ?? mnemonics[0] ?? 'code';
  const apply = ({ place, marker }: Mark) =>
    router.navigate({ pathname: '/check/conventions/apply', params: { place, marker, scope: scopeText } });
  const recommended = comparison?.recommendation;
  const firstStep = comparison?.firstStep ?? null;
  return (
    <DetailPage
      title={t`Markers`}
      about="conventions"
      back={{ label: t`Back to Check`, href: '/check' }}
      actions={
        <ChoiceChip label={t`For`} value={scopeText} choices={scopeChoices(sets, shortcuts)} onChange={setScope} />
      }
      hasOwnScroll
    >
      <FlatList<MarkCost>
        data={isWhole ? rows : rows.slice(0, AT_FIRST)}
        keyExtractor={({ mark }) => markKey(mark)}
        initialNumToRender={AT_FIRST}
        extraData={openMark}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          <View style={styles.head}>
            <Own
              shortcuts={inScope}
              conventions={conventions}
              onOpen={(id) => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
            />
            {answer === undefined && <Working text={t`Comparing markers…`} />}
            {answer !== undefined && !comparison && (
              <Text role="status" variant="bodyMedium">
                {tellNoComparison(answer)}
              </Text>
            )}
            {comparison && (
              <>
                {firstStep && (
                  <View style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}>
                    <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
                      {tellFirstTitle(firstStep)}
                    </Text>
                    <Text variant="bodyMedium">{tellFirstStep(firstStep)}</Text>
                    <View style={styles.actions}>
                      <LatchButton
                        label={plural(firstStep.changes, { one: 'Show the code', other: 'Show the # codes' })}
                        onPress={() => apply(firstStep.mark)}
                      />
                    </View>
                  </View>
                )}
                {(recommended || !firstStep) && (
                  <View style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}>
                    {recommended ? (
                      <>
                        <View style={styles.line}>
                          <Text
                            variant="titleMedium"
                            role="heading"
                            aria-level={2}
                            style={STRONG}
                          >{t`Use ${{ marker: tellMark(recommended.mark) }}`}</Text>
                          <CodePlate code={markCode(sample, recommended.mark)} />
                        </View>
                        <Text variant="bodyMedium">{tellRecommendation(comparison)}</Text>
                        <View style={styles.actions}>
                          <LatchButton
                            label={t`See what changes`}
                            isQuiet={firstStep !== null}
                            onPress={() => apply(recommended.mark)}
                          />
                        </View>
                      </>
                    ) : (
                      <Text variant="bodyMedium">{tellRecommendation(comparison)}</Text>
                    )}
                  </View>
                )}
                <Text role="status" variant="bodySmall" style={{ color: palette.inkSoft }}>
                  {isStale ? t`Comparing again…` : tellCompared(comparison)}
                </Text>
                <Plot
                  comparison={comparison}
                  rows={rows}
                  chosen={rows.find(({ mark }) => markKey(mark) === openMark) ?? null}
                />
                <View style={styles.filters}>
                  <ChoiceChip label={t`Order`} value={sort} choices={sorts()} onChange={setSort} />
                  <ChoiceChip label={t`Markers`} value={kinds} choices={kindsOfMarker()} onChange={setKinds} />
                </View>
              </>
            )}
          </View>
        }
        renderItem={({ item }) => {
          const key = markKey(item.mark);
          return (
            <MarkRow
              row={item}
              sample={sample}
              collide={comparison?.present.collisions ?? 0}
              isOwn={isOwn(item, comparison)}
              isOpen={openMark === key}
              onToggle={() => setOpenMark(openMark === key ? null : key)}
              onApply={() => apply(item.mark)}
            />
          );
        }}
        ListFooterComponent={
          comparison && !isWhole && rows.length > AT_FIRST ? (
            <Button
              mode="text"
              onPress={() => setWhole(true)}
              contentStyle={styles.tall}
            >{t`Show ${{ count: tellCount(rows.length - AT_FIRST) }} more`}</Button>
          ) : null
        }
      />
    </DetailPage>
  );
}

/** Whether most codes have a mark now. */
function isOwn({ changes }: MarkCost, comparison: Comparison | null): boolean {
  return comparison !== null && changes < comparison.codes / 2;
}

function sorted(comparison: Comparison | null, sort: Sort, kinds: 'signs' | 'all'): MarkCost[] {
  if (!comparison) return [];
  const measure = MEASURES[sort];
  return comparison.rows
    .filter(({ mark }) => kinds === 'all' || standsApart(mark))
    .sort((a, b) => measure(a) - measure(b) || a.secondsAWeek - b.secondsAWeek);
}

/** Why no comparison stands there. */
function tellNoComparison(answer: object | null): string {
  if (answer === null || !('type' in answer)) return t`The check has stopped. Open Check to start it again.`;
  return answer.type === 'no codes' ? t`Add some shortcuts first.` : t`Choose your keyboards first, under Check.`;
}

function tellFirstTitle({ changes, mark: { marker } }: FirstStep): string {
  return plural(changes, { one: `Give # code your marker “${marker}”`, other: `Give # codes your marker “${marker}”` });
}

function tellCompared({ marks, codes, present }: Comparison): string {
  const time = tellDuration(present.secondsAWeek);
  const compared = plural(marks, { one: '# marker compared.', other: '# markers compared.' });
  const cost = plural(codes, {
    one: `Your # code takes ${time} a week now.`,
    other: `Your # codes take ${time} a week now.`,
  });
  return `${compared} ${cost}`;
}

const styles = StyleSheet.create({
  list: { paddingBottom: 24, maxWidth: 792 },
  head: { paddingHorizontal: 16, paddingBottom: 8, gap: 12 },
  card: { borderWidth: 1.5, borderRadius: 8, padding: 14, gap: 8 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
  actions: { flexDirection: 'row' },
  filters: { flexDirection: 'row', gap: 6 },
  tall: { minHeight: 48 },
});
