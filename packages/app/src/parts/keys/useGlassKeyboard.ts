import { usualKeyboards } from '@yellow-latch/core/devices';
import type { Keyboard } from '@yellow-latch/core/effort';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { placeOfKey } from '@yellow-latch/core/profile';

import { keyboardOf, layoutOf } from '@/answers/effort/keyboards';
import { useList } from '@/frame/replica/ReplicaProvider';

/** The keyboard that is in use on a device; where none on glass is, the generic one in the first language. */
export function useGlassKeyboard(device: string): Keyboard {
  const { keyboards, ownKeyboards, languages } = useList();
  const form = placeOfKey(device).profile.startsWith('tablet') ? 'tablet' : 'phone';
  const own = keyboards.find(
    (use) => use.device === device && layoutOf(use.keyboard, ownKeyboards)?.type === 'glass',
  )?.keyboard;
  const id = own ?? usualKeyboards(form, languages)[0]!.keyboard;
  return keyboardOf(id, layoutOf(id, ownKeyboards) ?? LAYOUTS['phone-en']!);
}
