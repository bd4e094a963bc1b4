import { keyboardsInUse } from '@yellow-latch/core/devices';
import type { Device } from '@yellow-latch/core/model';
import { usesFrom } from '@yellow-latch/replica/storage/uses';
import { useMemo } from 'react';

import { useAnswer } from '@/answers/effort/useAnswer';
import { useCounted } from '@/answers/effort/useCounted';
import { useList } from '@/frame/replica/ReplicaProvider';

import { placeId, useFitRequest, useOwnPlaces } from './useFit';
import type { CarryPlan, CarryRequest } from './workerApi';

/** What is to be carried over to a device: to the first of its places that holds a copy of its own. */
export function useCarryRequest(device: Device): CarryRequest | null {
  const { shortcuts, carried, languages, places, ownKeyboards } = useList();
  const request = useFitRequest();
  const place = useOwnPlaces().find((one) => one.device.id === device.id);
  const counted = useCounted();
  return useMemo(() => {
    if (!place || !counted) return null;
    const [keyboard] = keyboardsInUse([device], languages, places);
    return keyboard
      ? {
          ...request,
          place: placeId(place),
          carried: carried.filter((one) => one.deviceId === device.id && one.profile === place.profile),
          keyboard,
          ownKeyboards,
          uses: usesFrom(shortcuts, counted.counts, counted.at),
        }
      : null;
  }, [device, place, counted, request, carried, languages, places, ownKeyboards, shortcuts]);
}

export interface CarryState {
  readonly request: CarryRequest | null;
  /** Undefined: not worked out yet; null: no answer is to be had. */
  readonly plan: CarryPlan | null | undefined;
  readonly isStale: boolean;
  /** Whether anything is there already. */
  readonly has: boolean;
}

/** What is to be done on a device so that it holds what it should. */
export function useCarryPlan(device: Device): CarryState {
  const request = useCarryRequest(device);
  const { answer, isStale } = useAnswer(request, ({ fit }) => fit.carry(request!) as Promise<CarryPlan | null>);
  return { request, plan: answer, isStale, has: (request?.carried.length ?? 0) > 0 };
}
