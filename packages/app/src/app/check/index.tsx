import { NothingChosen } from '@/features/check/NothingChosen';
import { useIsWide } from '@/look/useLook';

/** Beside the shortcuts with problems on a wide screen while none is open; on a phone they stand alone. */
export default function CheckIndex() {
  return useIsWide() ? <NothingChosen /> : null;
}
