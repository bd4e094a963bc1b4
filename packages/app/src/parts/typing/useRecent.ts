import { useKept } from '@/frame/replica/useKept';

import type { Recent } from './recent';

const NONE: Recent = {};

export function useRecent(): [Recent, (next: Recent) => void] {
  return useKept('fillings', NONE);
}
