import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import { isOurs } from '@yellow-latch/core/profile';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';

import type { FitRequest } from './workerApi';

/** The name of a place among all of a list's. */
export function placeId({ device, profile }: Pick<PlaceOfDevice, 'device' | 'profile'>): string {
  return `${device.id}/${profile}`;
}

/** Every place that holds a copy of its own: all but this app, in the order of the devices. */
export function useOwnPlaces(): readonly PlaceOfDevice[] {
  const { places } = useList();
  return useMemo(() => places.filter(({ profile }) => !isOurs(profile)), [places]);
}

/** What the worker is asked about: those places, and what devices are to do without. */
export function useFitRequest(): FitRequest {
  const own = useOwnPlaces();
  const { leftOut } = useList();
  return useMemo(
    () => ({
      places: own.map((place) => ({ id: placeId(place), key: place.key, deviceId: place.device.id })),
      leftOut,
    }),
    [own, leftOut],
  );
}
