import { t } from '@lingui/core/macro';
import { placeOfKey } from '@yellow-latch/core/profile';

import { deviceLabel } from '@/answers/audit/sentences';
import { ChoiceChip } from '@/look/ChoiceChip';
import { useList } from '@/frame/replica/ReplicaProvider';

/** Whether a place has a keyboard on glass, for which one on the page stands in. */
export function standsIn(place: string): boolean {
  return /^(phone|tablet|keyboard)/u.test(placeOfKey(place).profile);
}

/** The place that the page writes as: this app, or one of a device of the list. */
export function WriteAs({ device, onChange }: { device: string; onChange: (device: string) => void }) {
  const { profiles } = useList();
  return (
    <ChoiceChip
      label={t`Write as`}
      value={device}
      choices={[...new Set(['app', ...profiles])].map((value) => ({ value, label: deviceLabel(value) }))}
      onChange={onChange}
    />
  );
}
