import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Kind } from '@yellow-latch/core/model';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { kindChoices, kindName } from '@/parts/kinds';
import { languageChoices } from '@/parts/languages';
import { languageName, tellCount } from '@/wording/format';
import { Choice } from '@/look/Choice';
import { ChoiceLine } from '@/look/ChoiceLine';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { useList } from '@/frame/replica/ReplicaProvider';

import { NO_FILTERS, SORTS, type Filters, type Sort } from './arrange';

const SORT_WORDS: Record<Sort, MessageDescriptor> = {
  set: msg`By set`,
  code: msg`By code`,
  expansion: msg`By text`,
  newest: msg`Newest first`,
  'most used': msg`Most used first`,
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
    <Sheet title={t`Order and filters`} isOpen={isOpen} onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <Text variant="labelLarge" style={styles.label}>{t`Order`}</Text>
        <RadioGroup label={t`Order`} hasChosen>
          {SORTS.map((value) => (
            <Tick key={value} role="radio" isOn={value === sort} onPress={() => onSort(value)}>
              <Text variant="bodyLarge" style={value === sort && STRONG}>
                {i18n._(SORT_WORDS[value])}
              </Text>
            </Tick>
          ))}
        </RadioGroup>
        <ChoiceLine>
          <Choice
            label={t`Kind`}
            value={filters.kind}
            choices={[{ value: null, label: t`any` }, ...kindChoices()]}
            onChange={(kind: Kind | null) => set({ kind })}
          />
          <Choice
            label={t`Set`}
            value={filters.setId}
            choices={[
              { value: null, label: t`any` },
              { value: '', label: t`No set` },
              ...sets.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(setId: string | null) => set({ setId })}
          />
        </ChoiceLine>
        <ChoiceLine>
          <Choice
            label={t`Language`}
            value={filters.language}
            choices={[{ value: null, label: t`any` }, { value: '', label: t`not set` }, ...languageChoices(inUse)]}
            onChange={(language: string | null) => set({ language })}
          />
          <View style={styles.push} />
        </ChoiceLine>
        <Tick role="checkbox" isOn={filters.neverUsed} onPress={() => set({ neverUsed: !filters.neverUsed })}>
          <Text variant="bodyLarge">{t`Never used`}</Text>
        </Tick>
        <Tick role="checkbox" isOn={filters.privateOnly} onPress={() => set({ privateOnly: !filters.privateOnly })}>
          <Text variant="bodyLarge">{t`Only on this device`}</Text>
        </Tick>
      </ScrollView>
      <View style={styles.foot}>
        <Button mode="text" onPress={() => onFilters(NO_FILTERS)} contentStyle={styles.tall}>{t`Clear filters`}</Button>
        <View style={styles.push} />
        <LatchButton label={t`Show ${{ count: tellCount(count) }}`} onPress={onClose} />
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
    ...(kind === null ? [] : [{ words: kindName(kind), without: { ...filters, kind: null } }]),
    ...(setId === null
      ? []
      : [
          {
            words: setId === '' ? t`no set` : (sets.find(({ id }) => id === setId)?.name ?? t`a deleted set`),
            without: { ...filters, setId: null },
          },
        ]),
    ...(language === null
      ? []
      : [
          {
            words: language === '' ? t`no language` : languageName(language),
            without: { ...filters, language: null },
          },
        ]),
    ...(neverUsed ? [{ words: t`never used`, without: { ...filters, neverUsed: false } }] : []),
    ...(privateOnly ? [{ words: t`only on this device`, without: { ...filters, privateOnly: false } }] : []),
  ];
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  label: { ...STRONG, fontSize: 15 },
  push: { flex: 1 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 20, paddingTop: 8 },
  tall: { minHeight: 48 },
});
