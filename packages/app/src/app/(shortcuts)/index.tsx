import { NothingOpen } from '@/features/shortcuts/NothingOpen';
import { useIsWide } from '@/look/useLook';

/** Beside the list on a wide screen while nothing is open; on a phone the list stands alone. */
export default function ShortcutsIndex() {
  return useIsWide() ? <NothingOpen /> : null;
}
