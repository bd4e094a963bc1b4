import type { CannotCompare, Comparison, MarkCost } from '@yellow-latch/core/convention';
import { isInScope, markCode, markKey, mayBeMarked, partsOf, standsApart } from '@yellow-latch/core/convention/mark';
import type { Mark } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { counted } from '@/answers/audit/sentences/words';
import { useAnswer } from '@/answers/effort/useAnswer';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { tellDuration, tellMark } from '@/answers/effort/words';
import { ChoiceChip } from '@/look/ChoiceChip';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { MarkRow } from './MarkRow';
import { Own } from './Own';
import { Plot } from './Plot';
import { scopeChoices, scopeOf } from './scope';
import { tellFirstStep, tellRecommendation } from './words';

const SORTS = [
  { value: 'cost', label: 'Least cost first' },
  { value: 'taps', label: 'Fewest taps first' },
  { value: 'misfires', label: 'Fewest misfires first' },
  { value: 'changes', label: 'Fewest changes first' },
] as const;
type Sort = (typeof SORTS)[number]['value'];

const MEASURES: Record<Sort, (row: MarkCost) => number> = {
  cost: ({ secondsAWeek }) => secondsAWeek,
  taps: ({ effort }) => effort.taps,
  misfires: ({ misfires }) => misfires.aWeek,
  changes: ({ changes }) => changes,
};

const KINDS = [
  { value: 'signs', label: 'Signs' },
  { value: 'all', label: 'Letters too' },
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
      title="Conventions"
      about="conventions"
      back={{ label: 'Back to the findings', href: '/check' }}
      actions={<ChoiceChip label="For" value={scopeText} choices={scopeChoices(sets, shortcuts)} onChange={setScope} />}
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
            {!comparison && (
              <Text role="status" variant="bodyMedium">
                {tellNoComparison(answer)}
              </Text>
            )}
            {comparison && (
              <>
                {firstStep && (
                  <View style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}>
                    <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
                      Give {counted(firstStep.changes, 'code')} your own marker “{firstStep.mark.marker}”
                    </Text>
                    <Text variant="bodyMedium">{tellFirstStep(firstStep)}</Text>
                    <View style={styles.actions}>
                      <LatchButton
                        label={
                          firstStep.changes === 1
                            ? 'See the code'
                            : `See the ${firstStep.changes.toLocaleString('en')} codes`
                        }
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
                          <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
                            Take {tellMark(recommended.mark)}
                          </Text>
                          <CodePlate code={markCode(sample, recommended.mark)} />
                        </View>
                        <Text variant="bodyMedium">{tellRecommendation(comparison)}</Text>
                        <View style={styles.actions}>
                          <LatchButton
                            label="See what would change"
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
                  {isStale
                    ? 'Weighing again…'
                    : `${comparison.marks.toLocaleString('en')} markers weighed. As they are, your ${counted(comparison.codes, 'code')} cost ${tellDuration(comparison.present.secondsAWeek)} a week.${comparison.present.fromTable > 0 ? ' Some have signs that a keyboard in use lacks.' : ''}`}
                </Text>
                <Plot
                  comparison={comparison}
                  rows={rows}
                  chosen={rows.find(({ mark }) => markKey(mark) === openMark) ?? null}
                />
                <View style={styles.filters}>
                  <ChoiceChip label="Order" value={sort} choices={SORTS} onChange={setSort} />
                  <ChoiceChip label="Markers" value={kinds} choices={KINDS} onChange={setKinds} />
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
            <Button mode="text" onPress={() => setWhole(true)} contentStyle={styles.tall}>
              Show the other {(rows.length - AT_FIRST).toLocaleString('en')}
            </Button>
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

/** Why no comparison stands there (yet). */
function tellNoComparison(answer: object | null | undefined): string {
  if (answer === undefined) return 'Weighing every marker…';
  if (answer === null || !('type' in answer)) return 'The check has stopped by itself. Start it again under Check.';
  return answer.type === 'no codes'
    ? 'There is nothing here to mark: make some shortcuts first.'
    : 'Say first which keyboards you use.';
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
