import { t } from '@lingui/core/macro';
import type { DeviceInfo, Directory } from '@yellow-latch/core/sync';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect } from 'react';

import { useKept } from '@/frame/replica/useKept';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';

import { queries } from './queries';

/** How often it is asked anew while it is on the screen, in ms; a device that joins is told of at once. */
const EVERY = 10_000;

export interface DirectoryState {
  /** As the server last told it, which may be a while ago; null: it never has. */
  directory: Directory | null;
  isAway: boolean;
  /** Takes in what the server answered to a change. */
  take: (directory: Directory) => void;
}

/** The devices of the list, from the server, or as they were when it was last there. */
export function useDirectory(): DirectoryState {
  const { replica, sync } = useOpened();
  useEffect(() => sync.onDevices(() => void queries.invalidateQueries({ queryKey: ['directory'] })), [sync]);
  const [kept, keep] = useKept<Directory | null>('directory', null);
  const { data, isError } = useQuery(
    {
      queryKey: ['directory'],
      queryFn: async () => {
        const directory = await server.directory(replica.state.id);
        keep(directory);
        return directory;
      },
      staleTime: 0,
      refetchInterval: EVERY,
    },
    queries,
  );
  const take = useCallback(
    (directory: Directory) => {
      queries.setQueryData(['directory'], directory);
      keep(directory);
    },
    [keep],
  );
  return { directory: data ?? kept, isAway: isError, take };
}

/** The devices that are in, this one first, then by when they were seen last. */
export function devicesIn({ devices }: Directory, self: string): DeviceInfo[] {
  const seen = ({ isHere, seen: at }: DeviceInfo) => (isHere ? Infinity : (at ?? 0));
  return devices
    .filter(({ signedOut }) => signedOut === null)
    .sort((a, b) => Number(b.id === self) - Number(a.id === self) || seen(b) - seen(a) || (a.id < b.id ? -1 : 1));
}

/** How history names a device. */
export function useDeviceName(): (id: string) => string {
  const { directory } = useDirectory();
  const { replica } = useOpened();
  return (id) =>
    id === replica.state.id
      ? t`this device`
      : (directory?.devices.find((device) => device.id === id)?.name ?? t`another device`);
}
