import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';

import { useAudit } from '@/answers/audit/AuditProvider';
import { FocusHeading } from '@/look/FocusHeading';
import { usePageTitle } from '@/look/usePageTitle';

import { Benches } from './Benches';
import { CheckFilters } from './CheckFilters';
import { HowChecked } from './HowChecked';
import type { CheckRows, Filter } from './rows';

interface CheckHeadProps {
  filter: Filter;
  rows: CheckRows;
  onFilter: (filter: Filter) => void;
  /** Whether what was open has just been closed. */
  isComingBack: boolean;
}

/** What stands above the shortcuts with problems: how often the list expands by mistake, how it was checked, the filters. */
export function CheckHead({ filter, rows, onFilter, isComingBack }: CheckHeadProps) {
  const { findings, state } = useAudit();
  usePageTitle(t`Check`, { isList: true });
  return (
    <View style={styles.head}>
      <FocusHeading focusOn={isComingBack ? 'check' : null} variant="headlineSmall">{t`Check`}</FocusHeading>
      <Benches />
      <HowChecked />
      {state.result && findings.open.length + findings.left.length > 0 && (
        <CheckFilters filter={filter} rows={rows} onFilter={onFilter} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ head: { paddingHorizontal: 16, paddingTop: 12, gap: 8 } });
