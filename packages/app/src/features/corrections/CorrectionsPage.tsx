import { plural, t } from '@lingui/core/macro';
import type { OddWord } from '@yellow-latch/core/corrections';
import { readCorrections, type CorrectionLine } from '@yellow-latch/core/corrections/read';
import { matchKey } from '@yellow-latch/core/model';
import { making } from '@yellow-latch/replica/commands/making';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useKeptText } from '@/answers/ownText/useOwnText';
import { DetailPage } from '@/frame/DetailPage';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { Fold } from '@/look/Fold';
import { LatchButton } from '@/look/LatchButton';
import { SearchField } from '@/look/SearchField';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { byMatchKey } from '@/parts/making/wanted';

import { useSlips } from './useSlips';
import { WordsField } from './WordsField';

type Part = 'capitals' | 'alone' | 'slips';

/** So many slips are shown before one searches or asks for more. */
const A_PAGE = 40;

/** Words that are to look as they should: names with their capitals, words left alone, slips undone. */
export function CorrectionsPage() {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets } = useList();
  const canEdit = useMay() === 'edit';
  const used = useMemo(() => byMatchKey(shortcuts), [shortcuts]);
  const [open, setOpen] = useState<Part | null>('capitals');
  const [names, setNames] = useState('');
  const [alone, setAlone] = useState('');
  const [own, setOwn] = useState('');
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const found = useFound();
  const isUsed = (key: string) => used.has(key);
  const nameLines = readCorrections(names, 'capitals', isUsed);
  const taken = new Set(nameLines.map(({ code }) => matchKey(code)));
  const aloneLines = readCorrections(alone, 'alone', (key) => used.has(key) || taken.has(key));
  for (const { code } of aloneLines) taken.add(matchKey(code));
  const slipLines = readCorrections([...ticked, own].join('\n'), 'slips', (key) => used.has(key) || taken.has(key));
  const ownLines = readCorrections(own, 'slips', (key) => used.has(key) || taken.has(key));
  const ready = [...nameLines, ...aloneLines, ...slipLines].filter(({ problem }) => problem === null);
  const have = shortcuts.filter(({ kind }) => kind === 'correction').length;
  const save = async () => {
    if (ready.length === 0) return;
    const command = making(ready.map(asShortcut), { setId: null }, sets);
    await run(command, plural(ready.length, { one: 'Added # correction.', other: 'Added # corrections.' }));
    router.navigate('/');
  };
  const fold = (part: Part) => ({ isOpen: open === part, onToggle: () => setOpen(open === part ? null : part) });
  const count = (lines: readonly CorrectionLine[]) => {
    const good = lines.filter(({ problem }) => problem === null).length;
    return good === 0 ? '' : plural(good, { one: '# word', other: '# words' });
  };
  const addFound = (text: string) => setNames(names.trim() === '' ? text : `${names.trimEnd()}\n${text}`);
  const offered = found.filter(
    ({ text }) => !used.has(matchKey(text)) && !nameLines.some((line) => line.text === text),
  );
  return (
    <DetailPage
      title={t`Corrections`}
      about="corrections"
      back={{ label: t`Back to the list`, href: '/' }}
      gap={6}
      foot={
        canEdit && ready.length > 0 ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <LatchButton
              label={plural(ready.length, { one: 'Add # correction', other: 'Add # corrections' })}
              icon="plus"
              onPress={() => void save()}
            />
          </View>
        ) : undefined
      }
    >
      <Text variant="bodyMedium">{t`Words that should always look right. You type them as usual, without a marker.`}</Text>
      {have > 0 && (
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {plural(have, {
            one: '# correction on your list, at its end.',
            other: '# corrections on your list, at its end.',
          })}
        </Text>
      )}
      <Fold title={t`Names and capitals`} summary={count(nameLines)} {...fold('capitals')}>
        <WordsField
          label={t`One a line, as it should look`}
          placeholder={t`Corrie & Vale\nHarbourHall`}
          value={names}
          onChange={setNames}
          lines={nameLines}
          onSubmit={() => void save()}
        />
        {offered.length > 0 && (
          <View style={styles.found}>
            <Text variant="bodyMedium">{t`From your own texts:`}</Text>
            <View style={styles.chips}>
              {offered.slice(0, 12).map(({ text }) => (
                <Button
                  key={text}
                  mode="outlined"
                  icon="plus"
                  onPress={() => addFound(text)}
                  style={styles.chip}
                  contentStyle={styles.tall}
                >
                  {text}
                </Button>
              ))}
            </View>
          </View>
        )}
      </Fold>
      <Fold title={t`Leave these words alone`} summary={count(aloneLines)} isNext {...fold('alone')}>
        <Text variant="bodyMedium">{t`Your phone changes a word you mean? On the list, its own correction lets it be.`}</Text>
        <WordsField
          label={t`One a line`}
          placeholder={t`hrp\nropewalk`}
          value={alone}
          onChange={setAlone}
          lines={aloneLines}
          onSubmit={() => void save()}
        />
      </Fold>
      <Fold title={t`Typing slips`} summary={count(slipLines)} isNext {...fold('slips')}>
        <Slips isOpen={open === 'slips'} ticked={ticked} onTick={setTicked} isUsed={isUsed} />
        <WordsField
          label={t`Slips of your own`}
          placeholder={t`recieve -> receive`}
          value={own}
          onChange={setOwn}
          lines={ownLines}
          onSubmit={() => void save()}
        />
      </Fold>
    </DetailPage>
  );
}

function asShortcut({ code, text }: CorrectionLine) {
  // Inside a longer word it is no slip, wherever one types.
  return { code, text, kind: 'correction' as const, rules: { fires: 'delimiter', edge: 'word' } as const };
}

/** Words with unusual capitals in the text that a person asked to keep on this device. */
function useFound(): readonly OddWord[] {
  const { client } = useAudit();
  const { kept } = useKeptText();
  const [found, setFound] = useState<readonly OddWord[]>([]);
  useEffect(() => {
    if (!kept) return;
    let isOver = false;
    void client
      .ask(({ ownText }) => ownText.capitals(kept.bytes, kept.format))
      .then((words) => !isOver && setFound(words ?? []));
    return () => {
      isOver = true;
    };
  }, [client, kept]);
  return found;
}

interface SlipsProps {
  isOpen: boolean;
  ticked: ReadonlySet<string>;
  onTick: (ticked: ReadonlySet<string>) => void;
  isUsed: (key: string) => boolean;
}

/** Common slips of English, those of the commonest words first; one tick each. */
function Slips({ isOpen, ticked, onTick, isUsed }: SlipsProps) {
  const slips = useSlips(isOpen);
  const [query, setQuery] = useState('');
  const [pages, setPages] = useState(1);
  if (slips === 'coming') return <Text variant="bodyMedium">{t`Getting common slips…`}</Text>;
  if (slips === 'missing') return <Text role="alert">{t`Common slips didn’t load. You seem to be offline.`}</Text>;
  const asked = query.trim().toLowerCase();
  const shown = slips.filter(
    ({ typed, meant }) => (typed.includes(asked) || meant.includes(asked)) && !isUsed(matchKey(typed)),
  );
  return (
    <View>
      <SearchField label={t`Search common slips`} value={query} onChange={setQuery} />
      {shown.slice(0, pages * A_PAGE).map(({ typed, meant }) => {
        const line = `${typed} -> ${meant}`;
        return (
          <Tick
            key={typed}
            role="checkbox"
            isOn={ticked.has(line)}
            label={t`“${typed}” becomes “${meant}”`}
            onPress={() => {
              const next = new Set(ticked);
              if (!next.delete(line)) next.add(line);
              onTick(next);
            }}
          >
            <Text style={styles.slip}>{typed}</Text>
            <Text style={styles.slip}>→ {meant}</Text>
          </Tick>
        );
      })}
      {shown.length > pages * A_PAGE && (
        <Button mode="text" onPress={() => setPages(pages + 1)} contentStyle={styles.tall}>{t`Show more`}</Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', justifyContent: 'flex-end', padding: 10, borderTopWidth: 1 },
  found: { gap: 8, paddingTop: 8 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  chip: { borderRadius: 6 },
  tall: { minHeight: 48 },
  slip: { flex: 1, minWidth: 0, fontSize: 16 },
});
