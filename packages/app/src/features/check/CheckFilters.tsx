import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';

import { deviceLabel, GROUP_TITLES } from '@/answers/audit/sentences';
import { Choice } from '@/look/Choice';
import { FilterChips } from '@/look/FilterChips';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { useList } from '@/frame/replica/ReplicaProvider';
import { SeverityFilter } from '@/parts/findings/SeverityFilter';
import { tellCount } from '@/wording/format';

import { countShown, NO_FILTER, type CheckRows, type Filter } from './rows';

interface CheckFiltersProps {
  filter: Filter;
  rows: CheckRows;
  onFilter: (filter: Filter) => void;
}

/** Which of the shortcuts with problems are shown: by verdict at a tap, by problem, device and set in a sheet. */
export function CheckFilters({ filter, rows, onFilter }: CheckFiltersProps) {
  const { sets, profiles } = useList();
  const [isOpen, setOpen] = useState(false);
  const active = activeFilters(filter, sets);
  const count = countShown(rows, filter);
  return (
    <>
      <View style={styles.row}>
        <SeverityFilter
          counts={rows.counts}
          value={filter.severity === 'note' ? null : filter.severity}
          onChange={(severity) => onFilter({ ...filter, severity })}
        />
        <View style={styles.push} />
        <IconButton
          icon="filter"
          size={22}
          style={styles.button}
          accessibilityLabel={
            active.length === 0 ? t`Filters` : plural(active.length, { one: 'Filters, # on', other: 'Filters, # on' })
          }
          onPress={() => setOpen(true)}
        />
      </View>
      <FilterChips active={active} onChange={onFilter}>
        {plural(count, { one: '# shortcut', other: '# shortcuts' })}
      </FilterChips>
      <Sheet title={t`Filters`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView contentContainerStyle={styles.body}>
          <Choice
            label={t`Problem`}
            value={filter.type}
            choices={[
              { value: null, label: t`any` },
              ...rows.types.map((type) => ({ value: type, label: i18n._(GROUP_TITLES[type]) })),
            ]}
            onChange={(type) => onFilter({ ...filter, type })}
          />
          <Choice
            label={t`Device`}
            value={filter.device}
            choices={[
              { value: null, label: t`any` },
              ...profiles.map((key) => ({ value: key, label: deviceLabel(key) })),
            ]}
            onChange={(device) => onFilter({ ...filter, device })}
          />
          <Choice
            label={t`Set`}
            value={filter.setId}
            choices={[{ value: null, label: t`any` }, ...sets.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(setId) => onFilter({ ...filter, setId })}
          />
        </ScrollView>
        <View style={styles.foot}>
          <Button mode="text" onPress={() => onFilter(NO_FILTER)} contentStyle={styles.tall}>{t`Clear filters`}</Button>
          <View style={styles.push} />
          <LatchButton label={t`Show ${{ count: tellCount(count) }}`} onPress={() => setOpen(false)} />
        </View>
      </Sheet>
    </>
  );
}

/** The filters chosen in the sheet, in words, and all of them without each. */
function activeFilters(filter: Filter, sets: readonly { id: string; name: string }[]) {
  const { type, device, setId } = filter;
  return [
    ...(type === null ? [] : [{ words: i18n._(GROUP_TITLES[type]), without: { ...filter, type: null } }]),
    ...(device === null ? [] : [{ words: deviceLabel(device), without: { ...filter, device: null } }]),
    ...(setId === null
      ? []
      : [
          {
            words: sets.find(({ id }) => id === setId)?.name ?? t`a deleted set`,
            without: { ...filter, setId: null },
          },
        ]),
  ];
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center' },
  push: { flex: 1 },
  button: { width: 48, height: 48, margin: 0 },
  body: { paddingHorizontal: 20, gap: 12 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 20, paddingTop: 12 },
  tall: { minHeight: 48 },
});
