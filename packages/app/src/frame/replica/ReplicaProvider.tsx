import { mayManage, type May } from '@yellow-latch/core/sync';
import { createContext, use, useCallback, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';

import { useNotice } from '@/frame/Notices';

import { makeCurrentDevice, openCurrentDevice, type OpenedDevice } from '@yellow-latch/replica/storage/currentDevice';
import { newDeviceState } from '@yellow-latch/replica/storage/device';
import { readFirstKept, type FirstKept } from './firstKept';
import { keepForGood, NotKeptError, tellNotKept, tellOnlyUse } from './keeping';
import { changesNoList } from '@yellow-latch/replica/storage/write';
import { Replica } from '@yellow-latch/replica/storage/replica';
import { UnsavedForms, type UnsavedForm } from '@yellow-latch/replica/storage/unsaved';
import type { Write } from '@yellow-latch/replica/storage/write';
import type { ListView } from '@yellow-latch/replica/storage/view';
import { server } from '@yellow-latch/replica/sync/server';
import { Sync, type SyncState } from '@yellow-latch/replica/sync/sync';

export interface Opened {
  replica: Replica;
  sync: Sync;
  unsaved: UnsavedForms;
  firstKept: FirstKept;
}

/** This browser is in no list: it was in none yet (null), or is the device here no more. */
export interface Outside {
  device: OpenedDevice | null;
}

const ReplicaContext = createContext<Opened | null>(null);

/** Opens what this browser holds of the list. */
export async function openReplica(): Promise<Opened | Outside> {
  const device = (await openCurrentDevice()) ?? (await throughOpenDoor());
  if (device === null || device.state.out !== null) return { device };
  return openedOf(await Replica.open(device.db, device.state), false);
}

/** What is opened of a replica. `isAlone`: its list is on no server. */
export async function openedOf(replica: Replica, isAlone: boolean): Promise<Opened> {
  const sync = new Sync(replica, server, () => location.reload());
  if (isAlone) sync.stayAlone();
  else sync.start();
  const [unsaved, firstKept] = await Promise.all([UnsavedForms.open(replica.db), readFirstKept(replica.db)]);
  return { replica, sync, unsaved, firstKept };
}

/** The device that this browser becomes without being asked, where the server takes everybody into its one list. */
async function throughOpenDoor(): Promise<OpenedDevice | null> {
  const { open: isOpen } = await server.door().catch(() => ({ open: false }));
  return isOpen ? makeCurrentDevice(newDeviceState()) : null;
}

interface ReplicaProviderProps {
  children: ReactNode;
  /** Shown where the browser keeps no data for us. */
  renderError: (error: Error) => ReactNode;
  /** Shown while this browser is in no list. */
  renderStart: (outside: Outside) => ReactNode;
  /** What is being opened: begun before anything is drawn, so that neither waits for the other. */
  opening: Promise<Opened | Outside>;
}

/** Waits for this device's replica, keeps it in step, and lets the screens below read and write it. */
export function ReplicaProvider({ children, renderError, renderStart, opening }: ReplicaProviderProps) {
  const [opened, setOpened] = useState<Opened | Outside | Error | null>(null);
  useEffect(() => {
    opening.then(setOpened, (error: unknown) => setOpened(error instanceof Error ? error : new Error(String(error))));
  }, [opening]);
  if (opened === null) return null;
  if (opened instanceof Error) return renderError(opened);
  if ('device' in opened) return renderStart(opened);
  return <ReplicaContext value={opened}>{children}</ReplicaContext>;
}

export function useOpened(): Opened {
  const opened = use(ReplicaContext);
  if (!opened) throw new Error('outside of ReplicaProvider');
  return opened;
}

/** The list as it stands on this device. */
export function useList(): ListView {
  const { replica } = useOpened();
  return useSyncExternalStore(replica.subscribe, () => replica.read());
}

/** The forms that are not saved yet. */
export function useUnsavedForms(): readonly UnsavedForm[] {
  const { unsaved } = useOpened();
  return useSyncExternalStore(unsaved.subscribe, () => unsaved.all);
}

/** How this device stands to the server. */
export function useSyncState(): SyncState {
  const { sync } = useOpened();
  return useSyncExternalStore(sync.subscribe, () => sync.state);
}

/** Whether this device may edit the list or only use it. */
export function useMay(): May {
  return useSyncState().mayOnlyUse ? 'use' : 'edit';
}

/** Whether this device looks after the list: lets others in, sets what they may do, deletes it. */
export function useManages(): boolean {
  const { replica } = useOpened();
  return mayManage({ may: useMay(), subscribedSets: replica.state.subscribedSets });
}

/** Writes to the list. Resolves, with the ids written, when the outbox holds the changes. */
export function useWrite(): (...writes: Write[]) => Promise<string[]> {
  const { replica } = useOpened();
  const notify = useNotice();
  return useCallback(
    async (...writes) => {
      if (replica.state.may === 'use' && !writes.every((write) => replica.staysHere(write) || changesNoList(write))) {
        notify({ text: tellOnlyUse() });
        throw new NotKeptError('this device may only use the list');
      }
      const ids = await replica.write(writes).catch((error: unknown) => {
        notify({ text: tellNotKept(error) });
        throw new NotKeptError(error);
      });
      void keepForGood();
      return ids;
    },
    [replica, notify],
  );
}
