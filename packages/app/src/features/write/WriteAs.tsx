import { t } from '@lingui/core/macro';
import { DEVICE_PROFILES, type ProfileId } from '@yellow-latch/core/fit';

import { deviceLabel } from '@/answers/audit/sentences';
import { ChoiceChip } from '@/look/ChoiceChip';
import { useList } from '@/frame/replica/ReplicaProvider';

/** Whether a device has a keyboard on glass, for which one on the page stands in. */
export function standsIn(device: ProfileId): boolean {
  return /^(phone|tablet|keyboard)/u.test(device);
}

/** The device that the page writes as: first this app and those in use, then the others. */
export function WriteAs({ device, onChange }: { device: ProfileId; onChange: (device: ProfileId) => void }) {
  const { devices } = useList();
  const known = Object.keys(DEVICE_PROFILES) as ProfileId[];
  const own = known.filter((id) => id !== 'app' && devices.includes(id));
  const others = known.filter((id) => id !== 'app' && !own.includes(id));
  return (
    <ChoiceChip
      label={t`Write as`}
      value={device}
      choices={(['app', ...own, ...others] as const).map((value) => ({ value, label: deviceLabel(value) }))}
      onChange={onChange}
    />
  );
}
