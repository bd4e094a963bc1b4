import { useMemo } from 'react';

import { useKept } from '@/frame/replica/useKept';

/** How Write is set up on this device. */
export interface WriteSettings {
  /** What tells of a firing. */
  readonly flash: boolean;
  readonly sound: boolean;
  /** Whether a text that was typed out although a code gives it is told of. */
  readonly missed: boolean;
  /** Whether the codes that are being learnt stand in sight. */
  readonly learning: boolean;
  /** Written as in this place; the key of a profile. */
  readonly device: string;
  /** What stands below the page: the stand-in keyboard where the device has one, the tap board, or neither. */
  readonly below: 'keys' | 'board' | null;
}

const USUAL: WriteSettings = { flash: true, sound: false, missed: true, learning: true, device: 'app', below: null };

export function useWriteSettings(): [WriteSettings, (next: WriteSettings) => void] {
  const [settings, set] = useKept('writing', USUAL);
  // What was kept by an earlier version lacks what came since.
  return [useMemo(() => ({ ...USUAL, ...settings }), [settings]), set];
}
