import { plural, t } from '@lingui/core/macro';
import type { Card, CardPart, CardUpdate } from '@yellow-latch/core/people';
import { calledFor } from '@yellow-latch/core/people/codes';
import { partKey } from '@yellow-latch/core/people/update';
import type { Shortcut } from '@yellow-latch/core/model';
import { inOrder, type Command } from '@yellow-latch/replica/commands/command';
import { editing } from '@yellow-latch/replica/commands/shortcuts';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text } from 'react-native-paper';

import { tellDecodeProblem } from '@/answers/exchange/words';
import { DetailPage } from '@/frame/DetailPage';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { ChoiceChip } from '@/look/ChoiceChip';
import { FileButton } from '@/look/FileButton';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { SearchField } from '@/look/SearchField';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';
import { MakeShortcuts } from '@/parts/making/MakeShortcuts';
import type { WantedShortcut } from '@/parts/making/wanted';
import { compareTexts, regionName } from '@/wording/format';

import { ChangedRow } from './ChangedRow';
import { PersonRow } from './PersonRow';
import { usePeople } from './usePeople';
import { partName, tellCardProblem } from './words';

interface Chosen {
  readonly card: Card;
  readonly part: CardPart;
}

type Item =
  | { readonly type: 'heading'; readonly key: string; readonly words: string }
  | { readonly type: 'changed'; readonly key: string; readonly update: CardUpdate }
  | { readonly type: 'card'; readonly key: string; readonly card: Card };

const CARD_FILES = '.vcf,.vcard,text/vcard,text/x-vcard';
/** So many lines of the report are shown. */
const MOST_TOLD = 50;
/** About how high a row is, in px. */
const ROW = 61;

/** People out of a file of contacts: what of each becomes a shortcut, and what has changed since. */
export function PeoplePage() {
  const router = useRouter();
  const { step } = useLocalSearchParams<{ step?: string }>();
  const people = usePeople();
  const { shortcuts } = useList();
  const [chosen, setChosen] = useState<ReadonlyMap<string, Chosen>>(new Map());
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const byId = useMemo(() => new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut])), [shortcuts]);
  const updates = (people.match?.changed ?? []).filter(({ shortcutId }) => !kept.has(shortcutId));
  const wanted = useMemo(() => wantedOf([...chosen.values()]), [chosen]);
  const done = () => {
    setChosen(new Map());
    setKept(new Set());
  };
  if (step === 'save' && wanted.length > 0) {
    return (
      <MakeShortcuts
        title={t`New people`}
        back={{ label: t`Back to People`, href: '/people' }}
        wanted={wanted}
        setName={t`People`}
        also={updates.length > 0 ? updating(updates, byId) : null}
        alsoTold={tellUpdated(updates.length)}
        onMade={done}
      />
    );
  }
  return (
    <ChoosePeople
      people={people}
      byId={byId}
      chosen={chosen}
      onChoose={setChosen}
      kept={kept}
      onKeep={setKept}
      updates={updates}
      onMake={() => router.navigate('/people?step=save')}
      onUpdated={done}
    />
  );
}

/** What was chosen as shortcuts; the first of a person is called by the name alone. */
function wantedOf(chosen: readonly Chosen[]): readonly WantedShortcut[] {
  const named = new Set<string>();
  return chosen.map(({ card, part }) => {
    const isFirst = !named.has(card.uid);
    named.add(card.uid);
    return {
      key: partKey(card, part),
      text: part.text,
      // All that is of people is marked alike.
      kind: 'contact' as const,
      label: `${card.name}, ${partName(part)}`,
      called: calledFor(card, part, isFirst),
      isNamed: true,
      card: { uid: card.uid, part: part.id },
    };
  });
}

function updating(updates: readonly CardUpdate[], byId: ReadonlyMap<string, Shortcut>): Command {
  return inOrder(
    ...updates.flatMap(({ shortcutId, card, part }) => {
      const shortcut = byId.get(shortcutId);
      if (!shortcut || !part) return [];
      return editing(shortcut, {
        content: { ...shortcut.content, expansion: part.text },
        card: { uid: card.uid, part: part.id },
      });
    }),
  );
}

function tellUpdated(count: number): string {
  return count === 0 ? '' : plural(count, { one: 'Updated # shortcut.', other: 'Updated # shortcuts.' });
}

interface ChoosePeopleProps {
  people: ReturnType<typeof usePeople>;
  byId: ReadonlyMap<string, Shortcut>;
  chosen: ReadonlyMap<string, Chosen>;
  onChoose: (chosen: ReadonlyMap<string, Chosen>) => void;
  kept: ReadonlySet<string>;
  onKeep: (kept: ReadonlySet<string>) => void;
  updates: readonly CardUpdate[];
  onMake: () => void;
  onUpdated: () => void;
}

function ChoosePeople(props: ChoosePeopleProps) {
  const { people, byId, chosen, onChoose, kept, onKeep, updates, onMake, onUpdated } = props;
  const { phase, people: read, problem, match, home, setHome } = people;
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const canEdit = useMay() === 'edit';
  const [query, setQuery] = useState('');
  const [openUid, setOpenUid] = useState<string | null>(null);
  const [isTold, setTold] = useState(false);
  const items = useMemo(() => itemsOf(read?.cards ?? [], match?.changed ?? [], query), [read, match, query]);
  const update = async () => {
    await run(updating(updates, byId), tellUpdated(updates.length));
    onUpdated();
    router.navigate('/');
  };
  const toggle = (card: Card, part: CardPart) => {
    const next = new Map(chosen);
    if (!next.delete(partKey(card, part))) next.set(partKey(card, part), { card, part });
    onChoose(next);
  };
  const keep = (id: string) => {
    const next = new Set(kept);
    if (!next.delete(id)) next.add(id);
    onKeep(next);
  };
  const problems = read?.problems ?? [];
  return (
    <DetailPage
      title={t`People`}
      about="people"
      back={{ label: t`Back to the list`, href: '/' }}
      hasOwnScroll
      foot={
        canEdit && chosen.size + updates.length > 0 ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            {chosen.size > 0 ? (
              <LatchButton label={tellMake(chosen.size, updates.length)} icon="plus" onPress={onMake} />
            ) : (
              <LatchButton
                label={plural(updates.length, { one: 'Update # shortcut', other: 'Update # shortcuts' })}
                icon="check"
                onPress={() => void update()}
              />
            )}
          </View>
        ) : undefined
      }
    >
      <View style={styles.head}>
        {read === null && (
          <Text variant="bodyMedium">
            {t`Export contacts from your phone or mail program as a .vcf file, and open it here. It stays on this device; only what you choose goes on your list.`}
          </Text>
        )}
        <View style={styles.buttons}>
          <FileButton
            label={read ? t`Another file` : t`Open a contacts file`}
            onFile={(file) => void people.open(file)}
            accept={CARD_FILES}
          />
          <ChoiceChip
            label={t`Write numbers as in`}
            value={home}
            choices={countryChoices(people.countries, home)}
            onChange={setHome}
          />
        </View>
        {phase === 'reading' && (
          <ProgressBar indeterminate color={palette.ink} aria-label={t`Reading…`} style={styles.bar} />
        )}
        {phase === 'failed' && <Text role="alert">{t`The file couldn’t be read. Try again.`}</Text>}
        {problem && <Text role="alert">{tellDecodeProblem(problem, t`Choose a .vcf file.`)}</Text>}
        {read && (
          <Text variant="bodyMedium" role="status">
            {tellRead(read.cards.length, match?.same ?? 0)}
          </Text>
        )}
        {read && read.unread > 0 && (
          <Text variant="bodyMedium" style={{ color: palette.alarm }}>
            {plural(read.unread, {
              one: '# character can’t be read: the file is damaged or in another encoding.',
              other: '# characters can’t be read: the file is damaged or in another encoding.',
            })}
          </Text>
        )}
        {problems.length > 0 && (
          <Fold
            title={plural(problems.length, { one: '# line needs a look', other: '# lines need a look' })}
            summary=""
            isOpen={isTold}
            onToggle={() => setTold(!isTold)}
          >
            {problems.slice(0, MOST_TOLD).map((one) => (
              <Text key={`${one.line} ${one.type}`} variant="bodyMedium">
                {tellCardProblem(one)}
              </Text>
            ))}
          </Fold>
        )}
        {match && match.gone.length > 0 && (
          <Text variant="bodyMedium">
            {plural(match.gone.length, {
              one: '# shortcut gives something that’s no longer in this file. It stays as it is.',
              other: '# shortcuts give something that’s no longer in this file. They stay as they are.',
            })}
          </Text>
        )}
        {read && read.cards.length > 8 && <SearchField label={t`Search people`} value={query} onChange={setQuery} />}
      </View>
      <View style={styles.list}>
        {items.length > 0 && (
          <VirtualList<Item>
            label={t`People`}
            items={items}
            keyOf={({ key }) => key}
            estimate={() => ROW}
            renderItem={(item) => {
              if (item.type === 'heading')
                return (
                  <Text variant="titleMedium" role="heading" aria-level={2} style={styles.heading}>
                    {item.words}
                  </Text>
                );
              if (item.type === 'changed') {
                const { shortcutId } = item.update;
                return (
                  <ChangedRow
                    update={item.update}
                    code={byId.get(shortcutId)?.code ?? ''}
                    isTicked={!kept.has(shortcutId)}
                    onToggle={() => keep(shortcutId)}
                  />
                );
              }
              const { card } = item;
              return (
                <PersonRow
                  card={card}
                  isOpen={openUid === card.uid}
                  onOpen={() => setOpenUid(openUid === card.uid ? null : card.uid)}
                  isTicked={(part) => chosen.has(partKey(card, part))}
                  codeOf={(part) => byId.get(match?.known.get(partKey(card, part)) ?? '')?.code}
                  onToggle={(part) => toggle(card, part)}
                />
              );
            }}
          />
        )}
      </View>
    </DetailPage>
  );
}

function itemsOf(cards: readonly Card[], changed: readonly CardUpdate[], query: string): readonly Item[] {
  const asked = query.trim().toLowerCase();
  const shown = cards
    .filter(({ name, parts }) => `${name}\n${parts.map(({ text }) => text).join('\n')}`.toLowerCase().includes(asked))
    .sort((a, b) => compareTexts(a.name, b.name));
  return [
    ...(changed.length === 0 ? [] : [{ type: 'heading' as const, key: 'heading changed', words: t`Changed since` }]),
    ...changed.map((update) => ({ type: 'changed' as const, key: `changed ${update.shortcutId}`, update })),
    ...(changed.length === 0 || shown.length === 0
      ? []
      : [{ type: 'heading' as const, key: 'heading all', words: t`Everyone in the file` }]),
    ...shown.map((card) => ({ type: 'card' as const, key: card.uid, card })),
  ];
}

/** Countries by name, the chosen one first. */
function countryChoices(countries: readonly string[], chosen: string): { value: string; label: string }[] {
  const others = countries.filter((code) => code !== chosen).map((value) => ({ value, label: regionName(value) }));
  others.sort((a, b) => compareTexts(a.label, b.label));
  return [{ value: chosen, label: regionName(chosen) }, ...others];
}

function tellRead(count: number, same: number): string {
  const people = plural(count, { one: '# person.', other: '# people.' });
  if (same === 0) return t`${people} Choose whose number, mail or address you type.`;
  const known = plural(same, {
    one: '# of your shortcuts is up to date.',
    other: '# of your shortcuts are up to date.',
  });
  return `${people} ${known}`;
}

function tellMake(made: number, updated: number): string {
  if (updated === 0) return plural(made, { one: 'Add # shortcut', other: 'Add # shortcuts' });
  return t`Add ${made}, update ${updated}`;
}

const styles = StyleSheet.create({
  head: { paddingHorizontal: 16, paddingBottom: 8, gap: 10, maxWidth: 792 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 10 },
  bar: { height: 6, borderRadius: 3 },
  heading: { ...STRONG, paddingHorizontal: 16, paddingTop: 14, paddingBottom: 6 },
  list: { flex: 1, minHeight: 0 },
  foot: { flexDirection: 'row', justifyContent: 'flex-end', padding: 10, borderTopWidth: 1 },
});
