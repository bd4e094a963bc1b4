import { planRemark, type CannotRemark, type Remark } from '@yellow-latch/core/convention/plan';
import { MarkSchema } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { counted } from '@/answers/audit/sentences/words';
import { useAnswer } from '@/answers/effort/useAnswer';
import { tellMark } from '@/answers/effort/words';
import { DetailHead } from '@/look/DetailHead';
import { FocusHeading } from '@/look/FocusHeading';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { keptUntil, remarking } from '@yellow-latch/replica/commands/recoding';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { CannotRow, RemarkRow } from './RemarkRow';
import { scopeOf, tellScope } from './scope';
import { Trial } from './Trial';

interface ApplyPageProps {
  place: string;
  marker: string;
  scope: string;
}

type Row = { type: 'remark'; remark: Remark; isTaken: boolean } | { type: 'cannot'; cannot: CannotRemark };

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
  const capitals = isSmall ? 'small' : 'as they are';
  // What was ticked out keeps its row, with what it would have been.
  const { plan, rows } = useMemo(() => {
    if (!mark) return { plan: null, rows: [] };
    const whole = planRemark(shortcuts, { scope, mark, capitals });
    const chosen = except.size === 0 ? whole : planRemark(shortcuts, { scope, mark, capitals }, except);
    const byId = new Map(chosen.remarks.map((remark) => [remark.id, remark]));
    const all: Row[] = [
      ...chosen.cannot.map((cannot): Row => ({ type: 'cannot', cannot })),
      ...whole.remarks
        .filter(({ id }) => byId.has(id) || except.has(id))
        .map((remark): Row => ({
          type: 'remark',
          remark: byId.get(remark.id) ?? remark,
          isTaken: byId.has(remark.id),
        })),
    ];
    return { plan: chosen, rows: all };
  }, [shortcuts, scope, mark, capitals, except]);
  const remarks = plan?.remarks ?? null;
  const { answer: trial, isStale } = useAnswer(remarks, ({ effort }) =>
    effort.tryCodes(remarks!.map(({ id, to }) => ({ id, to }))),
  );
  const back = () => router.navigate('/check/conventions');
  if (!mark || !plan) {
    return (
      <View style={styles.page}>
        <DetailHead back="Back to the conventions" onBack={back}>
          <FocusHeading focusOn="gone" variant="titleLarge" style={styles.title}>
            There is no such marker
          </FocusHeading>
        </DetailHead>
      </View>
    );
  }
  const toggle = (id: string) => {
    const next = new Set(except);
    if (!next.delete(id)) next.add(id);
    setExcept(next);
  };
  const apply = async () => {
    const command = remarking(
      plan.remarks,
      shortcuts,
      { scope, mark, capitals },
      conventions,
      keepsOld ? keptUntil() : null,
    );
    await run(command, `${counted(plan.remarks.length, 'code has', 'codes have')} ${tellMark(mark)} now.`);
    back();
  };
  return (
    <View style={styles.page}>
      <DetailHead back="Back to the conventions" onBack={back}>
        <FocusHeading focusOn={`${place} ${marker}`} variant="titleLarge" style={styles.title}>
          {`What would change: ${tellMark(mark)}`}
        </FocusHeading>
      </DetailHead>
      <FlatList<Row>
        data={rows}
        keyExtractor={(row) => (row.type === 'remark' ? row.remark.id : row.cannot.id)}
        initialNumToRender={16}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          <View style={styles.head}>
            <Text variant="bodyMedium">
              For {tellScope(scope, sets)}.{' '}
              {[
                plan.fitting.length > 0 ? `${counted(plan.fitting.length, 'code has', 'codes have')} it already.` : '',
                plan.exempt.length > 0
                  ? `${counted(plan.exempt.length, 'code')} of signs or corrections ${plan.exempt.length === 1 ? 'stays as it is' : 'stay as they are'}.`
                  : '',
              ]
                .filter((part) => part !== '')
                .join(' ')}
            </Text>
            <Tick role="checkbox" isOn={keepsOld} onPress={() => setKeepsOld(!keepsOld)}>
              <View style={styles.title}>
                <Text variant="bodyLarge">Old codes go on working for four weeks</Text>
                <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                  In Write, where each tells its new one.
                </Text>
              </View>
            </Tick>
            <Tick role="checkbox" isOn={isSmall} onPress={() => setSmall(!isSmall)}>
              <Text variant="bodyLarge">Codes in small letters</Text>
            </Tick>
            <Trial trial={trial} isStale={isStale} remarks={plan.remarks} />
            <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
              {counted(plan.remarks.length, 'code')}
              {except.size > 0 ? `, ${except.size} left out` : ''}
            </Text>
          </View>
        }
        renderItem={({ item }) =>
          item.type === 'remark' ? (
            <RemarkRow remark={item.remark} isTaken={item.isTaken} onToggle={() => toggle(item.remark.id)} />
          ) : (
            <CannotRow cannot={item.cannot} codeOf={(id) => shortcuts.find((one) => one.id === id)?.code ?? '?'} />
          )
        }
      />
      <View style={[styles.foot, { borderColor: palette.line }]}>
        <View style={styles.title} />
        {plan.remarks.length > 0 ? (
          <LatchButton
            label={`Change ${counted(plan.remarks.length, 'code')}`}
            icon="check"
            onPress={() => void apply()}
          />
        ) : (
          <Text variant="bodyMedium" style={styles.nothing}>
            Nothing would change.
          </Text>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  title: { flex: 1 },
  list: { paddingBottom: 24, maxWidth: 792 },
  head: { paddingHorizontal: 16, paddingBottom: 8, gap: 8 },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  nothing: { minHeight: 48, textAlignVertical: 'center', paddingTop: 14 },
});
