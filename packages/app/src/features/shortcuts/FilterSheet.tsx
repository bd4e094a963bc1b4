import { KINDS, type Kind } from '@yellow-latch/core/model';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { languageChoices, languageName } from '@/parts/languages';
import { Choice } from '@/look/Choice';
import { ChoiceLine } from '@/look/ChoiceLine';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { useList } from '@/frame/replica/ReplicaProvider';

import { NO_FILTERS, SORTS, type Filters, type Sort } from './arrange';

const SORT_WORDS: Record<Sort, string> = {
  set: 'Set, then code',
  code: 'Code',
  expansion: 'What you get',
  newest: 'Newest first',
  'most used': 'Most used first',
};

interface FilterSheetProps {
  isOpen: boolean;
  onClose: () => void;
  sort: Sort;
  onSort: (sort: Sort) => void;
  filters: Filters;
  onFilters: (filters: Filters) => void;
  /** How many are shown with all that. */
  count: number;
}

/** The order of the list, and which of it is shown. */
export function FilterSheet({ isOpen, onClose, sort, onSort, filters, onFilters, count }: FilterSheetProps) {
  const { sets, shortcuts } = useList();
  const inUse = [...new Set(shortcuts.flatMap(({ language }) => language ?? []))];
  const set = (some: Partial<Filters>) => onFilters({ ...filters, ...some });
  return (
    <Sheet title="Order and filters" isOpen={isOpen} onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <Text variant="labelLarge" style={styles.label}>
          In the order of
        </Text>
        <View role="radiogroup" aria-label="In the order of">
          {SORTS.map((value) => (
            <Tick key={value} role="radio" isOn={value === sort} onPress={() => onSort(value)}>
              <Text variant="bodyLarge" style={value === sort && STRONG}>
                {SORT_WORDS[value]}
              </Text>
            </Tick>
          ))}
        </View>
        <ChoiceLine>
          <Choice
            label="Kind"
            value={filters.kind}
            choices={[{ value: null, label: 'any' }, ...KINDS.map((kind) => ({ value: kind, label: kind }))]}
            onChange={(kind: Kind | null) => set({ kind })}
          />
          <Choice
            label="Set"
            value={filters.setId}
            choices={[
              { value: null, label: 'any' },
              { value: '', label: 'In no set' },
              ...sets.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(setId: string | null) => set({ setId })}
          />
        </ChoiceLine>
        <ChoiceLine>
          <Choice
            label="Language"
            value={filters.language}
            choices={[{ value: null, label: 'any' }, { value: '', label: 'none said' }, ...languageChoices(inUse)]}
            onChange={(language: string | null) => set({ language })}
          />
          <View style={styles.push} />
        </ChoiceLine>
        <Tick role="checkbox" isOn={filters.neverUsed} onPress={() => set({ neverUsed: !filters.neverUsed })}>
          <Text variant="bodyLarge">Never used</Text>
        </Tick>
        <Tick role="checkbox" isOn={filters.privateOnly} onPress={() => set({ privateOnly: !filters.privateOnly })}>
          <Text variant="bodyLarge">Only on this device</Text>
        </Tick>
      </ScrollView>
      <View style={styles.foot}>
        <Button mode="text" onPress={() => onFilters(NO_FILTERS)} contentStyle={styles.tall}>
          No filters
        </Button>
        <View style={styles.push} />
        <LatchButton label={`Show ${count.toLocaleString('en')}`} onPress={onClose} />
      </View>
    </Sheet>
  );
}

/** A filter that is on, in words, and the filters without it. */
export function filterWords(
  filters: Filters,
  sets: readonly { id: string; name: string }[],
): { words: string; without: Filters }[] {
  const { kind, setId, language, neverUsed, privateOnly } = filters;
  return [
    ...(kind === null ? [] : [{ words: kind, without: { ...filters, kind: null } }]),
    ...(setId === null
      ? []
      : [
          {
            words: setId === '' ? 'in no set' : (sets.find(({ id }) => id === setId)?.name ?? 'a set that is gone'),
            without: { ...filters, setId: null },
          },
        ]),
    ...(language === null
      ? []
      : [
          {
            words: language === '' ? 'no language said' : languageName(language),
            without: { ...filters, language: null },
          },
        ]),
    ...(neverUsed ? [{ words: 'never used', without: { ...filters, neverUsed: false } }] : []),
    ...(privateOnly ? [{ words: 'only on this device', without: { ...filters, privateOnly: false } }] : []),
  ];
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  label: { ...STRONG, fontSize: 15 },
  push: { flex: 1 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 20, paddingTop: 8 },
  tall: { minHeight: 48 },
});
