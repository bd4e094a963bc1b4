import { plural, t } from '@lingui/core/macro';
import type { Found } from '@yellow-latch/core/mine';
import type { Href } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import type { FoundPhrases, SentSource } from '@/answers/phrases/workerApi';
import { neverKey } from '@/answers/phrases/never';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { useMay } from '@/frame/replica/ReplicaProvider';
import { LatchButton } from '@/look/LatchButton';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';
import { useProposedCodes } from '@/parts/making/useProposedCodes';
import type { WantedShortcut } from '@/parts/making/wanted';

import { Capitals } from './Capitals';
import { contentOf, draftOf, type Draft } from './draft';
import { FoundRow, type FoundActions } from './FoundRow';
import { HowRead } from './HowRead';
import { TypedOut } from './TypedOut';
import type { useNever } from './useNever';
import { tellRead } from './words';

interface FoundListProps {
  back: { label: string; href: Href };
  answer: FoundPhrases;
  sources: readonly SentSource[];
  /** The keys of what shortcuts were made of. */
  made: ReadonlySet<string>;
  never: ReturnType<typeof useNever>;
  onFind: (sources: readonly SentSource[], sender?: string | null) => void;
  onMake: (chosen: readonly WantedShortcut[]) => void;
  onStartOver: () => void;
}

/** So many are shown before one asks for more. */
const A_PAGE = 12;
const NONE: ReadonlySet<string> = new Set();

/** What was found, what saves most first; ticked, they are made shortcuts in one go. */
export function FoundList(props: FoundListProps) {
  const { back, answer, sources, made, never, onFind, onMake, onStartOver } = props;
  const palette = usePalette();
  const notify = useNotice();
  const canEdit = useMay() === 'edit';
  const [pages, setPages] = useState(1);
  const [ticked, setTicked] = useState(NONE);
  const [capitals, setCapitals] = useState(NONE);
  const [shown, setShown] = useState(NONE);
  const [openKey, setOpenKey] = useState<string | null>(null);
  const [drafts, setDrafts] = useState<ReadonlyMap<string, Draft>>(new Map());
  const findings = answer.findings!;
  const left = useMemo(
    () => findings.found.filter(({ key }) => !never.ids.has(neverKey(key)) && !made.has(key)),
    [findings, never.ids, made],
  );
  const rows = useMemo(() => left.slice(0, pages * A_PAGE), [left, pages]);
  const found = useMemo(() => new Map(rows.map((one) => [one.key, draftOf(one)])), [rows]);
  const asFound = useMemo(() => rows.map((one) => wantedOf(one, found.get(one.key)!)), [rows, found]);
  const { codes } = useProposedCodes(asFound, null);
  const draftFor = (one: Found) => drafts.get(one.key) ?? found.get(one.key) ?? draftOf(one);
  const hide = useLatest(({ key }: Found) => {
    const before = never.ids;
    never.put(new Set([...before, neverKey(key)]));
    setTicked(new Set([...ticked].filter((one) => one !== key)));
    notify({ text: t`You won’t see that again.`, action: { label: t`Undo`, onPress: () => never.put(before) } });
  });
  const actions = useMemo<FoundActions>(
    () => ({
      tick: ({ key }) => setTicked((before) => toggle(before, key)),
      open: ({ key }) => setOpenKey((before) => (before === key ? null : key)),
      show: ({ key }) => setShown((before) => toggle(before, key)),
      draft: ({ key }, draft) => setDrafts((before) => new Map(before).set(key, draft)),
      never: (one) => hide.current(one),
    }),
    [hide],
  );
  const count = left.filter(({ key }) => ticked.has(key)).length + capitals.size;
  const make = () =>
    onMake([
      ...left
        .filter(({ key }) => ticked.has(key))
        .map((one) => {
          const code = codes?.[one.key];
          return { ...wantedOf(one, draftFor(one)), ...(code ? { code } : {}) };
        }),
      ...[...capitals].map(correctionOf),
    ]);
  return (
    <DetailPage
      title={t`Find phrases`}
      about="found phrases"
      back={back}
      gap={10}
      foot={
        canEdit && count > 0 ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <LatchButton
              label={plural(count, { one: 'Make # shortcut', other: 'Make # shortcuts' })}
              icon="plus"
              onPress={make}
            />
          </View>
        ) : undefined
      }
    >
      <View style={styles.head}>
        <Text role="status" variant="bodyMedium" style={styles.read}>
          {tellRead(findings)} {left.length === 0 ? t`Nothing here is worth a shortcut.` : t`Tick what you want.`}
        </Text>
        <Button mode="text" onPress={onStartOver} contentStyle={styles.tall}>{t`Other messages`}</Button>
      </View>
      <HowRead answer={answer} sources={sources} onFind={onFind} />
      <View role="list" aria-label={t`Found phrases`}>
        {rows.map((one) => (
          <FoundRow
            key={one.key}
            found={one}
            draft={draftFor(one)}
            code={codes?.[one.key] ?? null}
            isTicked={ticked.has(one.key)}
            isOpen={openKey === one.key}
            isMasked={one.concern !== null && !shown.has(one.key)}
            canEdit={canEdit}
            actions={actions}
          />
        ))}
      </View>
      {left.length > rows.length && (
        <Button mode="outlined" onPress={() => setPages(pages + 1)} style={styles.button} contentStyle={styles.tall}>
          {t`Show more`}
        </Button>
      )}
      <TypedOut typedOut={findings.typedOut} />
      <Capitals
        words={findings.capitals}
        ticked={capitals}
        canEdit={canEdit}
        onTick={(word) => setCapitals(toggle(capitals, word))}
      />
    </DetailPage>
  );
}

function toggle(set: ReadonlySet<string>, key: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(key)) next.add(key);
  return next;
}

function wantedOf({ key, kind }: Found, draft: Draft): WantedShortcut {
  return { key, ...contentOf(draft), kind, label: '', called: [] };
}

/** A word that is typed without its capitals and comes out with them. */
function correctionOf(word: string): WantedShortcut {
  return {
    key: `capitals ${word}`,
    text: word,
    kind: 'correction',
    label: '',
    called: [],
    code: word.toLowerCase(),
    rules: { fires: 'delimiter', edge: 'word' },
  };
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', justifyContent: 'flex-end', padding: 10, borderTopWidth: 1 },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 8 },
  read: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
  button: { borderRadius: 6, alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
