import { plural, t } from '@lingui/core/macro';
import { isLineTooLong, LIMITS, trimCode } from '@yellow-latch/core/model';
import { inOrder, type Command } from '@yellow-latch/replica/commands/command';
import { making } from '@yellow-latch/replica/commands/making';
import { useRouter, type Href } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text } from 'react-native-paper';

import { announce } from '@/frame/announce';
import { DetailPage } from '@/frame/DetailPage';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { ChoiceChip } from '@/look/ChoiceChip';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { VirtualList, type VirtualListHandle } from '@/look/VirtualList';
import { tellTooLong } from '@/parts/kinds';

import { NewRow } from './NewRow';
import { useProposedCodes, useSeverities } from './useProposedCodes';
import { byMatchKey, codeProblems, type WantedShortcut } from './wanted';

interface MakeShortcutsProps {
  title: string;
  back: { label: string; href: Href };
  wanted: readonly WantedShortcut[];
  /** What a new set for them would be called. */
  setName: string;
  /** What is done along with it, and undone with it. */
  also?: Command | null;
  /** What of that is said, in a sentence; '' where there is nothing. */
  alsoTold?: string;
  onMade: () => void;
}

const NEW = ' new';
/** About how high a row is, in px. */
const ROW = 92;

/** New shortcuts, each with a code that may be changed: one Save for all of them, one Undo. */
export function MakeShortcuts({ title, back, wanted, setName, also, alsoTold = '', onMade }: MakeShortcutsProps) {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets } = useList();
  const canEdit = useMay() === 'edit';
  const [into, setInto] = useState<string | null>(null);
  const [newSet, setNewSet] = useState(setName);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [isAsked, setAsked] = useState(false);
  const handle = useRef<VirtualListHandle>(null);
  const setId = into === NEW ? null : into;
  const { codes: proposed, progress } = useProposedCodes(wanted, setId);
  const codes = useMemo(() => (proposed === null ? null : { ...proposed, ...typed }), [proposed, typed]);
  const used = useMemo(() => byMatchKey(shortcuts), [shortcuts]);
  const problems = useMemo(
    () => (codes === null ? new Map<string, string>() : codeProblems(wanted, codes, used)),
    [wanted, codes, used],
  );
  const severities = useSeverities(wanted, codes, setId);
  const setProblem = isLineTooLong(newSet.trim(), LIMITS.setNameClusters)
    ? tellTooLong(LIMITS.setNameClusters)
    : undefined;
  const save = async () => {
    setAsked(true);
    const first = wanted.findIndex(({ key }) => problems.has(key));
    if (codes === null || setProblem !== undefined) return;
    if (first >= 0) {
      announce(problems.get(wanted[first]!.key)!);
      handle.current?.show(first);
      return;
    }
    const command = making(
      wanted.map((one) => ({ ...one, code: trimCode(codes[one.key]!) })),
      into === NEW ? { newSet: newSet.trim() || setName } : { setId: into },
      sets,
    );
    const made = plural(wanted.length, { one: 'Added # shortcut.', other: 'Added # shortcuts.' });
    const told = wanted.length === 0 ? alsoTold : [made, alsoTold].filter((one) => one !== '').join(' ');
    await run(also ? inOrder(also, command) : command, told);
    onMade();
    router.navigate('/');
  };
  return (
    <DetailPage
      title={title}
      about={`make ${title}`}
      back={back}
      hasOwnScroll
      foot={
        canEdit ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <ChoiceChip
              label={t`Set`}
              value={into}
              choices={[
                { value: null, label: t`No set` },
                ...sets.map(({ id, name }) => ({ value: id, label: name })),
                { value: NEW, label: t`New set…` },
              ]}
              onChange={setInto}
            />
            <View style={styles.push} />
            <LatchButton
              label={plural(wanted.length, { one: 'Save # shortcut', other: 'Save # shortcuts' })}
              icon="check"
              onPress={() => void save()}
            />
          </View>
        ) : undefined
      }
    >
      {into === NEW && (
        <View style={styles.set}>
          <Field
            label={t`Name of the new set`}
            value={newSet}
            onChangeText={setNewSet}
            onBlur={() => newSet.trim() === '' && setNewSet(setName)}
            onSubmit={() => void save()}
            error={setProblem}
          />
        </View>
      )}
      <View role="status" style={styles.told}>
        {codes === null ? (
          <>
            <Text variant="bodyMedium">{t`Finding codes…`}</Text>
            <ProgressBar progress={progress} color={palette.ink} aria-label={t`Finding codes…`} style={styles.bar} />
          </>
        ) : (
          <Text variant="bodyMedium">{t`Each code is free and safe. Change any you like.`}</Text>
        )}
      </View>
      <View style={styles.list}>
        {codes !== null && (
          <VirtualList<WantedShortcut>
            label={title}
            items={wanted}
            keyOf={({ key }) => key}
            estimate={() => ROW}
            handle={handle}
            renderItem={(one) => (
              <NewRow
                wanted={one}
                code={codes[one.key] ?? ''}
                problem={isAsked || typed[one.key] !== undefined ? problems.get(one.key) : undefined}
                severity={severities.get(one.key) ?? null}
                onChange={(code) => setTyped({ ...typed, [one.key]: code })}
                onSubmit={() => void save()}
              />
            )}
          />
        )}
      </View>
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', alignItems: 'center', gap: 10, padding: 10, borderTopWidth: 1 },
  push: { flex: 1 },
  set: { paddingHorizontal: 16 },
  told: { paddingHorizontal: 16, paddingBottom: 8, gap: 6, minHeight: 32 },
  bar: { height: 6, borderRadius: 3 },
  list: { flex: 1, minHeight: 0 },
});
