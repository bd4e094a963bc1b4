import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useState, type ReactNode } from 'react';

import { openCurrentDevice } from './device';
import { Replica, type Write } from './replica';
import type { ListView } from './view';
import { server } from './server';
import { Sync, type SyncState } from './sync';

interface Opened {
  replica: Replica;
  sync: Sync;
}

const ReplicaContext = createContext<Opened | null>(null);

const queryClient = new QueryClient({
  defaultOptions: {
    // The replica is on this device: reading it never waits for a network.
    queries: { networkMode: 'always', staleTime: Infinity, retry: false },
  },
});

async function openReplica(): Promise<Opened> {
  const { db, state } = await openCurrentDevice();
  const replica = await Replica.open(db, state);
  const sync = new Sync(replica, server);
  sync.start();
  return { replica, sync };
}

interface ReplicaProviderProps {
  children: ReactNode;
  /** Shown where the browser keeps no data for us. */
  renderError: (error: Error) => ReactNode;
  open?: () => Promise<Opened>;
}

/** Opens this device's replica, keeps it in step, and lets the screens below read and write it. */
export function ReplicaProvider({ children, renderError, open = openReplica }: ReplicaProviderProps) {
  const [opened, setOpened] = useState<Opened | Error | null>(null);
  useEffect(() => {
    let unsubscribe = () => {};
    open().then(
      ({ replica, sync }) => {
        const stopList = replica.subscribe(() => queryClient.setQueryData(['list'], replica.read()));
        const stopSync = sync.subscribe(() => queryClient.setQueryData(['sync'], sync.state));
        unsubscribe = () => {
          stopList();
          stopSync();
        };
        queryClient.setQueryData(['list'], replica.read());
        queryClient.setQueryData(['sync'], sync.state);
        setOpened({ replica, sync });
      },
      (error: unknown) => setOpened(error instanceof Error ? error : new Error(String(error))),
    );
    return () => unsubscribe();
  }, [open]);
  if (opened === null) return null;
  if (opened instanceof Error) return renderError(opened);
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

/** Writes to the list. Resolves, with the ids written, when the outbox holds the changes. */
export function useWrite(): (...writes: Write[]) => Promise<string[]> {
  const { replica, sync } = useOpened();
  return useCallback(
    async (...writes) => {
      const ids = await replica.write(writes);
      sync.wrote();
      return ids;
    },
    [replica, sync],
  );
}
