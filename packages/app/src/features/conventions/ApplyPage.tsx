import { plural, t } from '@lingui/core/macro';
import { planRecodes, type CannotRecode, type Recode } from '@yellow-latch/core/convention/plan';
import { MarkSchema } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import type { ConventionFields } from '@yellow-latch/core/model';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAnswer } from '@/answers/effort/useAnswer';
import { tellMark } from '@/answers/effort/words';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { OldCodes } from '@/parts/OldCodes';
import { keptUntil, recoding } from '@yellow-latch/replica/commands/recoding';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { CannotRow, RecodeRow } from './RecodeRow';
import { scopeOf, tellScope } from './scope';
import { Trial } from './Trial';

interface ApplyPageProps {
  place: string;
  marker: string;
  scope: string;
}

type Row = { type: 'recode'; recode: Recode; isIncluded: boolean } | { type: 'cannot'; cannot: CannotRecode };

/** A part of the list set in another mark, seen before it is done: each code, exceptions, what goes and comes. */
export default function ApplyPage({ place, marker, scope: scopeText }: ApplyPageProps) {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets, conventions } = useList();
  const [except, setExcept] = useState<ReadonlySet<string>>(new Set());
  const [isSmall, setSmall] = useState(false);
  const [keepsOld, setKeepsOld] = useState(true);
  const scope = useMemo(() => scopeOf(scopeText), [scopeText]);
  const mark = useMemo(() => MarkSchema.safeParse({ place, marker }).data ?? null, [place, marker]);
  const capitals: ConventionFields['capitals'] = isSmall ? 'small' : 'as they are';
  // What was ticked out keeps its row, with what it would have been.
  const { plan, rows } = useMemo(() => {
    if (!mark) return { plan: null, rows: [] };
    const whole = planRecodes(shortcuts, { scope, mark, capitals });
    const chosen = except.size === 0 ? whole : planRecodes(shortcuts, { scope, mark, capitals }, except);
    const byId = new Map(chosen.recodes.map((recode) => [recode.id, recode]));
    const all: Row[] = [
      ...chosen.cannot.map((cannot): Row => ({ type: 'cannot', cannot })),
      ...whole.recodes
        .filter(({ id }) => byId.has(id) || except.has(id))
        .map((recode): Row => ({
          type: 'recode',
          recode: byId.get(recode.id) ?? recode,
          isIncluded: byId.has(recode.id),
        })),
    ];
    return { plan: chosen, rows: all };
  }, [shortcuts, scope, mark, capitals, except]);
  const recodes = plan?.recodes ?? null;
  const { answer: trial, isStale } = useAnswer(recodes, ({ effort }) =>
    effort.tryCodes(recodes!.map(({ id, to }) => ({ id, to }))),
  );
  const back = () => router.navigate('/check/conventions');
  if (!mark || !plan) {
    return (
      <DetailPage
        title={t`This marker doesn’t exist`}
        about="gone"
        back={{ label: t`Back to Markers`, href: '/check/conventions' }}
      ></DetailPage>
    );
  }
  const toggle = (id: string) => {
    const next = new Set(except);
    if (!next.delete(id)) next.add(id);
    setExcept(next);
  };
  const apply = async () => {
    const command = recoding(
      plan.recodes,
      shortcuts,
      { scope, mark, capitals },
      conventions,
      keepsOld ? keptUntil() : null,
    );
    await run(command, plural(plan.recodes.length, { one: 'Changed # code.', other: 'Changed # codes.' }));
    back();
  };
  return (
    <DetailPage
      title={t`What changes: ${{ marker: tellMark(mark) }}`}
      about={`${place} ${marker}`}
      back={{ label: t`Back to Markers`, href: '/check/conventions' }}
      hasOwnScroll
    >
      <FlatList<Row>
        data={rows}
        keyExtractor={(row) => (row.type === 'recode' ? row.recode.id : row.cannot.id)}
        initialNumToRender={16}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          <View style={styles.head}>
            <Text variant="bodyMedium">
              {[
                `${tellScope(scope, sets)}.`,
                ...(plan.fitting.length > 0
                  ? [plural(plan.fitting.length, { one: '# code has it already.', other: '# codes have it already.' })]
                  : []),
                ...(plan.exempt.length > 0
                  ? [
                      plural(plan.exempt.length, {
                        one: '# symbol or correction stays as it is.',
                        other: '# symbols and corrections stay as they are.',
                      }),
                    ]
                  : []),
              ].join(' ')}
            </Text>
            <OldCodes isKept={keepsOld} onChange={setKeepsOld} />
            <Tick role="checkbox" isOn={isSmall} onPress={() => setSmall(!isSmall)}>
              <Text variant="bodyLarge">{t`Codes in lower case`}</Text>
            </Tick>
            <Trial trial={trial} isStale={isStale} recodes={plan.recodes} />
            <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
              {tellChosen(plan.recodes.length, except.size)}
            </Text>
          </View>
        }
        renderItem={({ item }) =>
          item.type === 'recode' ? (
            <RecodeRow recode={item.recode} isIncluded={item.isIncluded} onToggle={() => toggle(item.recode.id)} />
          ) : (
            <CannotRow cannot={item.cannot} />
          )
        }
      />
      <View style={[styles.foot, { borderColor: palette.line }]}>
        <View style={styles.title} />
        {plan.recodes.length > 0 ? (
          <LatchButton
            label={plural(plan.recodes.length, { one: 'Change # code', other: 'Change # codes' })}
            icon="check"
            onPress={() => void apply()}
          />
        ) : (
          <Text variant="bodyMedium" style={styles.nothing}>{t`Nothing changes.`}</Text>
        )}
      </View>
    </DetailPage>
  );
}

function tellChosen(codes: number, leftOut: number): string {
  const all = plural(codes, { one: '# code', other: '# codes' });
  if (leftOut === 0) return all;
  const without = plural(leftOut, { one: '# left out', other: '# left out' });
  return t`${all}, ${without}`;
}

const styles = StyleSheet.create({
  title: { flex: 1 },
  list: { paddingBottom: 24, maxWidth: 792 },
  head: { paddingHorizontal: 16, paddingBottom: 8, gap: 8 },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  nothing: { minHeight: 48, textAlignVertical: 'center', paddingTop: 14 },
});
