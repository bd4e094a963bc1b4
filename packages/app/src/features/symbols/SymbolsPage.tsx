import { plural, t } from '@lingui/core/macro';
import type { FoundSymbol, Starter, SymbolSearch } from '@yellow-latch/core/symbols';
import { STARTERS } from '@yellow-latch/core/symbols/starters';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useSymbolAnswer, useSymbols, type Symbols } from '@/answers/symbols/useSymbols';
import type { Shelf } from '@/answers/symbols/workerApi';
import { announce } from '@/frame/announce';
import { DetailPage } from '@/frame/DetailPage';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { Glyph, useSymbolFaces } from '@/look/Glyph';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { VirtualList, type VirtualListHandle } from '@/look/VirtualList';
import { MakeShortcuts } from '@/parts/making/MakeShortcuts';
import type { WantedShortcut } from '@/parts/making/wanted';
import { SymbolSearchField } from '@/parts/symbols/SymbolSearchField';

import { MOST_TICKED, toggled, type Ticked } from './chosen';
import { Shelves } from './Shelves';
import { SymbolRow } from './SymbolRow';
import { SymbolSheet } from './SymbolSheet';
import { emojiName, starterName, tellSearch, nameOfUse } from './words';

const NONE: Ticked = new Map();
/** About how high a row is, in px. */
const ROW = 57;
/** So many of those ticked are shown beside the button. */
const SHOWN = 4;

/** Any character found, several ticked, and made shortcuts in one go. */
export function SymbolsPage() {
  useSymbolFaces();
  const router = useRouter();
  const { step } = useLocalSearchParams<{ step?: string }>();
  const symbols = useSymbols();
  const [ticked, setTicked] = useState(NONE);
  const [setName, setSetName] = useState(() => t`Symbols`);
  const wanted = useWanted(symbols, step === 'save' ? ticked : NONE);
  if (step === 'save' && ticked.size > 0) {
    return (
      <MakeShortcuts
        title={t`New symbols`}
        back={{ label: t`Back to Symbols`, href: '/symbols' }}
        wanted={wanted}
        setName={setName}
        onMade={() => setTicked(NONE)}
      />
    );
  }
  return (
    <ChooseSymbols
      symbols={symbols}
      ticked={ticked}
      onTick={setTicked}
      onStarter={(starter) => setSetName(starterName(starter))}
      onMake={() => router.navigate('/symbols?step=save')}
    />
  );
}

/** Those ticked as shortcuts that are to be made, with what each is called. */
function useWanted(symbols: Symbols, ticked: Ticked): readonly WantedShortcut[] {
  const texts = useMemo(() => [...ticked.keys()], [ticked]);
  const found = useSymbolAnswer(symbols, texts.length === 0 ? null : texts.join(' '), (api) => api.called(texts));
  return useMemo(() => {
    if (found?.key !== texts.join(' ')) return NO_WANTED;
    return [...ticked.values()].map(({ text, name }, at) => ({
      key: text,
      text,
      kind: 'symbol' as const,
      label: name,
      called: found.answer[at] ?? [],
    }));
  }, [found, texts, ticked]);
}

const NO_WANTED: readonly WantedShortcut[] = [];

interface ChooseSymbolsProps {
  symbols: Symbols;
  ticked: Ticked;
  onTick: (ticked: Ticked) => void;
  onStarter: (starter: Starter) => void;
  onMake: () => void;
}

function ChooseSymbols({ symbols, ticked, onTick, onStarter, onMake }: ChooseSymbolsProps) {
  const palette = usePalette();
  const canEdit = useMay() === 'edit';
  const [query, setQuery] = useState('');
  const [shelf, setShelf] = useState<Shelf | Starter | null>(null);
  const [looked, setLooked] = useState<FoundSymbol | null>(null);
  const handle = useRef<VirtualListHandle>(null);
  const asked = query.trim();
  const shelves = useSymbolAnswer(symbols, 'shelves', (api) => api.shelves());
  const searched = useSymbolAnswer(symbols, asked === '' ? null : query, (api) => api.search(query));
  const shelfKey = shelf === null ? null : JSON.stringify(shelf);
  const shelved = useSymbolAnswer(symbols, shelfKey, (api) =>
    typeof shelf === 'string' ? api.describe(STARTERS[shelf]) : api.browse(shelf!),
  );
  const search: SymbolSearch | null = asked === '' ? null : (searched?.answer ?? null);
  const onShelf = shelved?.key === shelfKey ? (shelved?.answer ?? null) : null;
  const shown = asked === '' ? onShelf : (search?.symbols ?? null);
  const told = search && tellSearch(search, asked);
  const count = shown?.length ?? 0;
  const counted = plural(count, { one: '# symbol', other: '# symbols' });
  useEffect(() => {
    if (search) announce(told ?? counted);
  }, [search, told, counted]);
  useEffect(() => handle.current?.toTop(), [query, shelfKey]);
  const codes = useCodes();
  const chosen = [...ticked.values()];
  const isList = asked !== '' || shelf !== null;
  const tickNew = (found: readonly FoundSymbol[] | null) => {
    const added = (found ?? []).filter(({ text }) => !codes.has(text));
    onTick(new Map([...ticked, ...added.map((one) => [one.text, one] as const)]));
  };
  const openStarter = (starter: Starter) => {
    setShelf(starter);
    onStarter(starter);
    // If the index can’t answer, the shelf stays empty as well.
    void symbols.ask((api) => api.describe(STARTERS[starter])).then(tickNew, () => {});
  };
  return (
    <DetailPage
      title={t`Symbols`}
      about="symbols"
      back={{ label: t`Back to the list`, href: '/' }}
      hasOwnScroll
      foot={
        ticked.size > 0 && canEdit ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <View style={styles.chosen}>
              {chosen.slice(-SHOWN).map(({ text, isDrawn }) => (
                <Glyph key={text} text={text} isDrawn={isDrawn} size={20} />
              ))}
            </View>
            <Button mode="text" compact onPress={() => onTick(NONE)} contentStyle={styles.tall}>{t`Clear`}</Button>
            <LatchButton
              label={plural(ticked.size, { one: 'Add # symbol', other: 'Add # symbols' })}
              icon="plus"
              onPress={onMake}
            />
          </View>
        ) : undefined
      }
    >
      <SymbolSearchField symbols={symbols} value={query} onChange={setQuery} />
      {asked === '' && shelf !== null && (
        <View style={styles.shelf}>
          <Text variant="titleMedium" role="heading" aria-level={2} style={styles.push}>
            {shelfName(shelf)}
          </Text>
          {shown !== null && count > 0 && count <= MOST_TICKED && (
            <Button mode="text" compact onPress={() => onTick(toggled(ticked, shown))} contentStyle={styles.tall}>
              {shown.every(({ text }) => ticked.has(text)) ? t`Untick all` : t`Tick all`}
            </Button>
          )}
          <Button
            mode="text"
            compact
            onPress={() => setShelf(null)}
            contentStyle={styles.tall}
          >{t`All symbols`}</Button>
        </View>
      )}
      {told !== null && asked !== '' && (
        <Text variant="bodyMedium" style={styles.told}>
          {told}
        </Text>
      )}
      {!isList && shelves?.answer && <Shelves shelves={shelves.answer} onStarter={openStarter} onOpen={setShelf} />}
      <View style={isList ? styles.list : undefined}>
        {isList && shown !== null && count > 0 && (
          <VirtualList<FoundSymbol>
            label={t`Symbols`}
            items={shown}
            keyOf={({ text }) => text}
            estimate={() => ROW}
            handle={handle}
            isRow={isRow}
            renderItem={(symbol) => (
              <SymbolRow
                symbol={symbol}
                isTicked={ticked.has(symbol.text)}
                code={codes.get(symbol.text)}
                onToggle={() => onTick(toggled(ticked, [symbol]))}
                onLook={() => setLooked(symbol)}
              />
            )}
          />
        )}
      </View>
      {looked && (
        <SymbolSheet
          symbols={symbols}
          symbol={looked}
          ticked={ticked}
          onToggle={(symbol) => onTick(toggled(ticked, [symbol]))}
          onClose={() => setLooked(null)}
        />
      )}
    </DetailPage>
  );
}

const isRow = () => true;

/** The code of each symbol that is on the list. */
function useCodes(): ReadonlyMap<string, string> {
  const { shortcuts } = useList();
  return useMemo(() => new Map(shortcuts.map(({ code, content }) => [content.expansion, code])), [shortcuts]);
}

function shelfName(shelf: Shelf | Starter): string {
  if (typeof shelf === 'string') return starterName(shelf);
  if (shelf.of === 'use') return nameOfUse(shelf.use);
  return shelf.of === 'emoji' ? emojiName(shelf.group) : shelf.block;
}

const styles = StyleSheet.create({
  tall: { minHeight: 48 },
  shelf: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', paddingHorizontal: 16, maxWidth: 792 },
  told: { paddingHorizontal: 16, paddingVertical: 10, maxWidth: 792 },
  push: { flex: 1, minWidth: 120 },
  list: { flex: 1, minHeight: 0 },
  foot: { flexDirection: 'row', alignItems: 'center', gap: 2, padding: 10, borderTopWidth: 1 },
  chosen: { flex: 1, minWidth: 0, flexDirection: 'row', overflow: 'hidden' },
});
