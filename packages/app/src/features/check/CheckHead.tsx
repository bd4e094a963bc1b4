import { StyleSheet, View } from 'react-native';

import { useAudit } from '@/answers/audit/AuditProvider';
import { deviceLabel } from '@/answers/audit/sentences';
import { ChoiceChip } from '@/look/ChoiceChip';
import { FocusHeading } from '@/look/FocusHeading';
import { useList } from '@/frame/replica/ReplicaProvider';

import { FigureChart } from './FigureChart';
import { Benches } from './Benches';
import type { Filter } from '@/answers/audit/groups';
import { ProvedLine } from './ProvedLine';
import { SeverityFilter } from '@/parts/findings/SeverityFilter';

interface CheckHeadProps {
  filter: Filter;
  onFilter: (filter: Filter) => void;
  /** Whether what was open has just been closed. */
  isComingBack: boolean;
}

/** What stands above the findings: how the list was proved, its figures, the filters. */
export function CheckHead({ filter, onFilter, isComingBack }: CheckHeadProps) {
  const { findings, state } = useAudit();
  const { sets, devices } = useList();
  const { result } = state;
  return (
    <View style={styles.head}>
      <FocusHeading focusOn={isComingBack ? 'check' : null} variant="headlineSmall">
        Check
      </FocusHeading>
      <Benches />
      <ProvedLine />
      {result && <FigureChart figures={result.figures} />}
      {result && findings.open.length + findings.left.length > 0 && (
        <View style={styles.filters}>
          <SeverityFilter
            counts={findings.counts}
            value={filter.severity}
            onChange={(severity) => onFilter({ ...filter, severity })}
          />
          <ChoiceChip
            label="Device"
            placeholder="Devices"
            value={filter.device}
            choices={[
              { value: null, label: 'All devices' },
              ...devices.map((id) => ({ value: id, label: deviceLabel(id) })),
            ]}
            onChange={(device) => onFilter({ ...filter, device })}
          />
          <ChoiceChip
            label="Set"
            placeholder="Sets"
            value={filter.setId}
            choices={[{ value: null, label: 'All sets' }, ...sets.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(setId) => onFilter({ ...filter, setId })}
          />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { paddingHorizontal: 16, paddingTop: 12, gap: 8 },
  filters: { flexDirection: 'row', gap: 4 },
});
