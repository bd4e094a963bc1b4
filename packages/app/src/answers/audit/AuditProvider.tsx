import { createContext, use, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';

import { afterPaint, whenIdle } from '@/frame/moments';
import { useList, useOpened, useSyncState } from '@/frame/replica/ReplicaProvider';

import { AuditClient, type AuditResult, type AuditState } from './client';
import { sortFindings, type Findings } from '@yellow-latch/core/clash/sorted';
import { nameByDevices } from './sentences/places';

interface Audited {
  client: AuditClient;
  state: AuditState;
  findings: Findings;
}

const AuditContext = createContext<Audited | null>(null);

const KEPT = 'audit';
const NONE: AuditResult['findings'] = [];
/** How long a result must stand before it is kept, in ms. */
const REST = 1_000;

/**
 * Checks the list in the background: at the start what an earlier visit found is taken, if it is of the
 * list as it stands; else, and after an edit, it is worked out. What is found is kept on this device.
 */
export function AuditProvider({
  children,
  makeClient = () => new AuditClient(),
}: {
  children: ReactNode;
  makeClient?: () => AuditClient;
}) {
  const list = useList();
  nameByDevices(list.places);
  const { replica, firstKept } = useOpened();
  const { db } = replica;
  const [client] = useState(() => {
    const made = makeClient();
    made.observe(list);
    made.take(firstKept.get(KEPT) as AuditResult | undefined);
    return made;
  });
  const state = useSyncExternalStore(client.subscribe, () => client.state);
  const { result } = state;

  useEffect(() => client.observe(list), [client, list]);

  // Behind the first screen, whose scripts come first.
  useEffect(() => (client.isCurrent ? undefined : whenIdle(() => client.prepare())), [client]);

  // It may have failed for want of its files: when the server is back, they can be had.
  const { phase } = useSyncState();
  useEffect(() => {
    if (phase === 'in-step' && client.state.phase === 'failed') client.restart();
  }, [client, phase]);

  const isEmpty = list.shortcuts.length === 0;
  useEffect(() => {
    if (isEmpty || client.isCurrent) return;
    // While the list is still coming in it is not checked at each step.
    return phase === 'in-step' ? afterPaint(() => client.start()) : whenIdle(() => client.start());
  }, [client, isEmpty, list, phase]);

  useEffect(() => {
    if (!result) return;
    let callOff = () => {};
    const timer = setTimeout(() => {
      // On a device that is full it is worked out again at the next visit.
      callOff = whenIdle(() => void db.put('kept', result, KEPT).catch(() => {}));
    }, REST);
    return () => {
      clearTimeout(timer);
      callOff();
    };
  }, [db, result]);

  const findings = useMemo(() => sortFindings(result?.findings ?? NONE, list), [result, list]);
  const audited = useMemo(() => ({ client, state, findings }), [client, state, findings]);
  return <AuditContext value={audited}>{children}</AuditContext>;
}

/** The audit of the list: its state, what it found, and the client to ask. */
export function useAudit(): Audited {
  const audited = use(AuditContext);
  if (!audited) throw new Error('outside of AuditProvider');
  return audited;
}
