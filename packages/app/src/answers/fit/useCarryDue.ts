import { useMemo } from 'react';

import { useAnswer } from '@/answers/effort/useAnswer';
import { useList } from '@/frame/replica/ReplicaProvider';

import { useFitRequest } from './useFit';

/** How many things are to be done on devices to which something was carried over; 0 until that is known. */
export function useCarryDue(): number {
  const { carried } = useList();
  const request = useFitRequest();
  const asked = useMemo(() => (carried.length > 0 ? { request, carried } : null), [request, carried]);
  const { answer } = useAnswer(asked, ({ fit }) => fit.due(request, carried));
  return asked === null ? 0 : (answer ?? 0);
}
