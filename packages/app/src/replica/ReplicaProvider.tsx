import { mayManage, type May } from '@yellow-latch/core/sync';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useState, type ReactNode } from 'react';

import { useNotice } from '@/frame/Notices';

import { makeCurrentDevice, newDeviceState, openCurrentDevice, type OpenedDevice } from './device';
import { keepForGood, NotKeptError, ONLY_USE, tellNotKept } from './keeping';
import { onlyCounts, Replica } from './replica';
import type { Write } from './write';
import type { ListView } from './view';
import { server } from './server';
import { Sync, type SyncState } from './sync';

interface Opened {
  replica: Replica;
  sync: Sync;
}

/** This browser is in no list: it was in none yet (null), or is the device here no more. */
export interface Outside {
  device: OpenedDevice | null;
}

const ReplicaContext = createContext<Opened | null>(null);

const queryClient = new QueryClient({
  defaultOptions: {
    // The replica is on this device: reading it never waits for a network.
    queries: { networkMode: 'always', staleTime: Infinity, retry: false },
  },
});

async function openReplica(): Promise<Opened | Outside> {
  const device = (await openCurrentDevice()) ?? (await throughOpenDoor());
  if (device === null || device.state.out !== null) return { device };
  const replica = await Replica.open(device.db, device.state);
  const sync = new Sync(replica, server);
  sync.start();
  return { replica, sync };
}

/** The device that this browser becomes without being asked, where the server takes everybody into its one list. */
async function throughOpenDoor(): Promise<OpenedDevice | null> {
  const { open } = await server.door().catch(() => ({ open: false }));
  return open ? makeCurrentDevice(newDeviceState()) : null;
}

interface ReplicaProviderProps {
  children: ReactNode;
  /** Shown where the browser keeps no data for us. */
  renderError: (error: Error) => ReactNode;
  /** Shown while this browser is in no list. */
  renderStart: (outside: Outside) => ReactNode;
  open?: () => Promise<Opened | Outside>;
}

/** Opens this device's replica, keeps it in step, and lets the screens below read and write it. */
export function ReplicaProvider({ children, renderError, renderStart, open = openReplica }: ReplicaProviderProps) {
  const [opened, setOpened] = useState<Opened | Outside | Error | null>(null);
  useEffect(() => {
    let unsubscribe = () => {};
    open().then(
      (result) => {
        if ('device' in result) {
          setOpened(result);
          return;
        }
        const { replica, sync } = result;
        const stopList = replica.subscribe(() => queryClient.setQueryData(['list'], replica.read()));
        const stopDevices = sync.onDevices(() => void queryClient.invalidateQueries({ queryKey: ['directory'] }));
        const stopSync = sync.subscribe(() => queryClient.setQueryData(['sync'], sync.state));
        unsubscribe = () => {
          stopList();
          stopSync();
          stopDevices();
        };
        queryClient.setQueryData(['list'], replica.read());
        queryClient.setQueryData(['sync'], sync.state);
        setOpened(result);
      },
      (error: unknown) => setOpened(error instanceof Error ? error : new Error(String(error))),
    );
    return () => unsubscribe();
  }, [open]);
  if (opened === null) return null;
  if (opened instanceof Error) return renderError(opened);
  if ('device' in opened) return renderStart(opened);
  return (
    <QueryClientProvider client={queryClient}>
      <ReplicaContext value={opened}>{children}</ReplicaContext>
    </QueryClientProvider>
  );
}

export function useOpened(): Opened {
  const opened = use(ReplicaContext);
  if (!opened) throw new Error('outside of ReplicaProvider');
  return opened;
}

/** The list as it stands on this device. */
export function useList(): ListView {
  const { replica } = useOpened();
  return useQuery({ queryKey: ['list'], queryFn: () => replica.read(), initialData: () => replica.read() }).data;
}

/** How this device stands to the server. */
export function useSyncState(): SyncState {
  const { sync } = useOpened();
  return useQuery({ queryKey: ['sync'], queryFn: () => sync.state, initialData: () => sync.state }).data;
}

/** Whether this device may edit the list or only use it. */
export function useMay(): May {
  return useSyncState().mayOnlyUse ? 'use' : 'edit';
}

/** Whether this device looks after the list: lets others in, sets what they may do, deletes it. */
export function useManages(): boolean {
  const { replica } = useOpened();
  return mayManage({ may: useMay(), takes: replica.state.takes });
}

/** Writes to the list. Resolves, with the ids written, when the outbox holds the changes. */
export function useWrite(): (...writes: Write[]) => Promise<string[]> {
  const { replica, sync } = useOpened();
  const notify = useNotice();
  return useCallback(
    async (...writes) => {
      if (replica.state.may === 'use' && !writes.every((write) => replica.staysHere(write) || onlyCounts(write))) {
        notify({ text: ONLY_USE });
        throw new NotKeptError(ONLY_USE);
      }
      const ids = await replica.write(writes).catch((error: unknown) => {
        notify({ text: tellNotKept(error) });
        throw new NotKeptError(error);
      });
      sync.wrote();
      void keepForGood();
      return ids;
    },
    [replica, sync, notify],
  );
}
