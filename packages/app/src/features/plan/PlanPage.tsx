import { plural, t } from '@lingui/core/macro';
import type { CodePlan } from '@yellow-latch/core/codePlan';
import type { Shortcut } from '@yellow-latch/core/model';
import { changingCodes, keptUntil } from '@yellow-latch/replica/commands/recoding';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Slider } from '@/look/Slider';
import { usePalette } from '@/look/useLook';
import { OldCodes } from '@/parts/OldCodes';
import { tellDuration, tellPercent } from '@/wording/format';

import { groupsOf, WEEKS_A_MONTH, type PlanItem } from './groups';
import { PlanRow } from './PlanRow';
import { usePlan } from './usePlan';

/** What a change has to save at the stops of the slider, in seconds a month; the last starts afresh, but for what nobody would notice. */
const STOPS = [1_200, 300, 120, 30, 3] as const;
const MIDDLE = 2;

/** A code for every shortcut that clashes with no other and takes least: seen before it is done. */
export default function PlanPage() {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets } = useList();
  const [stop, setStop] = useState(MIDDLE);
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set());
  const [keepsOld, setKeepsOld] = useState(true);
  const [isOpen, setOpen] = useState(false);
  const { plan, isCurrent, progress, cancel } = usePlan(STOPS[stop]! / WEEKS_A_MONTH, locked);
  const byId = useMemo(() => new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut])), [shortcuts]);
  const items = useMemo(() => (plan ? groupsOf(plan, locked, byId, sets) : []), [plan, locked, byId, sets]);
  const isWorking = progress !== null;
  const toggle = (...ids: readonly string[]) => {
    const next = new Set(locked);
    // Some of a set are still to change: all of it stays.
    const doLock = ids.some((id) => !next.has(id));
    for (const id of ids) {
      if (doLock) next.add(id);
      else next.delete(id);
    }
    setLocked(next);
  };
  const apply = async () => {
    const { moves } = plan!;
    const command = changingCodes(moves, shortcuts, keepsOld ? keptUntil() : null);
    await run(command, plural(moves.length, { one: 'Changed # code.', other: 'Changed # codes.' }));
    router.navigate('/check');
  };
  return (
    <DetailPage
      title={t`Plan my codes`}
      about="plan"
      back={{ label: t`Back to Check`, href: '/check' }}
      hasOwnScroll
      foot={
        plan && plan.moves.length > 0 && isCurrent && !isWorking ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <LatchButton
              label={plural(plan.moves.length, { one: 'Change # code', other: 'Change # codes' })}
              icon="check"
              onPress={() => void apply()}
            />
          </View>
        ) : undefined
      }
    >
      <FlatList<PlanItem>
        data={items}
        keyExtractor={({ key }) => key}
        initialNumToRender={16}
        extraData={locked}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          <View style={styles.head}>
            <Text variant="bodyMedium">{t`Short codes that are easy to remember and don’t clash. Nothing changes until you tap Change.`}</Text>
            <View>
              <Slider
                label={t`How much may change`}
                most={STOPS.length - 1}
                value={stop}
                valueText={tellStop(stop)}
                onChange={setStop}
              />
              <View style={styles.ends}>
                <Text variant="bodySmall">{t`Keep what I know`}</Text>
                <Text variant="bodySmall">{t`Start afresh`}</Text>
              </View>
              <Text variant="bodyMedium" style={styles.stop}>
                {tellStop(stop)}
              </Text>
            </View>
            <View role="status" style={styles.told}>
              {isWorking && (
                <View style={styles.working}>
                  <ProgressBar progress={progress} color={palette.ink} aria-label={t`Planning…`} style={styles.bar} />
                  <Button mode="text" onPress={cancel} contentStyle={styles.tall}>{t`Cancel`}</Button>
                </View>
              )}
              {!isWorking && (
                <Text variant="titleMedium" style={STRONG}>
                  {plan ? tellPlan(plan) : t`No plan yet. Move the slider to make one.`}
                </Text>
              )}
              {plan && plan.stuck.length > 0 && (
                <Text variant="bodyMedium" style={{ color: palette.alarm }}>
                  {tellStuck(plan, byId)}
                </Text>
              )}
            </View>
            {plan && plan.moves.length > 0 && (
              <>
                <OldCodes isKept={keepsOld} onChange={setKeepsOld} />
                <Fold title={t`How this is worked out`} summary="" isOpen={isOpen} onToggle={() => setOpen(!isOpen)}>
                  <Text variant="bodyMedium">{tellHow(plan)}</Text>
                </Fold>
              </>
            )}
          </View>
        }
        renderItem={({ item }) => <PlanRow item={item} onToggle={() => toggle(...item.ids)} />}
      />
    </DetailPage>
  );
}

function tellStop(stop: number): string {
  const seconds = STOPS[stop]!;
  if (stop === STOPS.length - 1) return t`Every code may change, as if the list were new.`;
  if (stop === 0) return t`Only what clashes changes, or what saves you ${{ time: tellDuration(seconds) }} a month.`;
  return t`A code changes if that saves you ${{ time: tellDuration(seconds) }} a month, or if it clashes.`;
}

/** What the plan comes to. */
function tellPlan({ moves, kept, before, after }: CodePlan): string {
  if (moves.length === 0) return t`Your codes are fine as they are.`;
  const changed = plural(moves.length, { one: '# code changes', other: '# codes change' });
  const stays = plural(kept, { one: '# stays', other: '# stay' });
  const month = (before - after) * WEEKS_A_MONTH;
  return month >= 1
    ? t`${changed}, ${stays}. You save ${{ time: tellDuration(month) }} a month.`
    : t`${changed}, ${stays}.`;
}

function tellStuck({ stuck }: CodePlan, byId: ReadonlyMap<string, Shortcut>): string {
  const [first] = stuck;
  const code = byId.get(first!)?.code ?? '';
  return plural(stuck.length, {
    one: `“${code}” keeps its problem: no other code was found for it.`,
    other: `# codes keep their problems: no others were found for them.`,
  });
}

function tellHow({ gap }: CodePlan): string {
  const how = t`Each code is weighed by the taps and the time it takes on your keyboards, how fast it comes to mind, and how often it would expand by mistake. No two may be the same, look alike, be one slip apart, or get in each other’s way on any of your devices.`;
  const far =
    gap === 0 ? t`There is no better plan.` : t`The best plan takes at most ${{ part: tellPercent(gap) }} less.`;
  return `${how} ${far}`;
}

const styles = StyleSheet.create({
  list: { paddingBottom: 24, maxWidth: 792 },
  head: { paddingHorizontal: 16, paddingBottom: 8, gap: 10 },
  ends: { flexDirection: 'row', justifyContent: 'space-between' },
  stop: { paddingTop: 6, minHeight: 46 },
  told: { minHeight: 52, justifyContent: 'center', gap: 4 },
  working: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  bar: { height: 6, borderRadius: 3, flex: 1, minWidth: 160 },
  tall: { minHeight: 48 },
  foot: { flexDirection: 'row', justifyContent: 'flex-end', padding: 10, borderTopWidth: 1 },
});
