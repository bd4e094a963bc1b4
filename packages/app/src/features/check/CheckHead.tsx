import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';

import { useAudit } from '@/answers/audit/AuditProvider';
import { deviceLabel } from '@/answers/audit/sentences';
import { ChoiceChip } from '@/look/ChoiceChip';
import { FocusHeading } from '@/look/FocusHeading';
import { useList } from '@/frame/replica/ReplicaProvider';

import { FigureChart } from './FigureChart';
import { Benches } from './Benches';
import type { Filter } from '@/answers/audit/groups';
import { CheckedLine } from './CheckedLine';
import { SeverityFilter } from '@/parts/findings/SeverityFilter';
import { usePageTitle } from '@/look/usePageTitle';

interface CheckHeadProps {
  filter: Filter;
  onFilter: (filter: Filter) => void;
  /** Whether what was open has just been closed. */
  isComingBack: boolean;
}

/** What stands above the findings: how the list was checked, its figures, the filters. */
export function CheckHead({ filter, onFilter, isComingBack }: CheckHeadProps) {
  const { findings, state } = useAudit();
  usePageTitle(t`Check`);
  const { sets, devices } = useList();
  const { result } = state;
  return (
    <View style={styles.head}>
      <FocusHeading focusOn={isComingBack ? 'check' : null} variant="headlineSmall">{t`Check`}</FocusHeading>
      <Benches />
      <CheckedLine />
      {result && <FigureChart figures={result.figures} />}
      {result && findings.open.length + findings.left.length > 0 && (
        <View style={styles.filters}>
          <SeverityFilter
            counts={findings.counts}
            value={filter.severity}
            onChange={(severity) => onFilter({ ...filter, severity })}
          />
          <ChoiceChip
            label={t`Device`}
            placeholder={t`Devices`}
            value={filter.device}
            choices={[
              { value: null, label: t`All devices` },
              ...devices.map((id) => ({ value: id, label: deviceLabel(id) })),
            ]}
            onChange={(device) => onFilter({ ...filter, device })}
          />
          <ChoiceChip
            label={t`Set`}
            placeholder={t`Sets`}
            value={filter.setId}
            choices={[{ value: null, label: t`All sets` }, ...sets.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(setId) => onFilter({ ...filter, setId })}
          />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { paddingHorizontal: 16, paddingTop: 12, gap: 8 },
  filters: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
});
