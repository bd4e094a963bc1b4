import { NothingOpen } from '@/features/devices/NothingOpen';
import { useIsWide } from '@/look/useLook';

/** Beside the devices on a wide screen while nothing is open; on a phone they stand alone. */
export default function DevicesIndex() {
  return useIsWide() ? <NothingOpen /> : null;
}
