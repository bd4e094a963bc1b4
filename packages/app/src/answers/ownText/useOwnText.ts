import type { OwnTextProblem } from '@yellow-latch/core/sent/ownText';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useOpened } from '@/frame/replica/ReplicaProvider';

import type { OwnTextSource } from './source';
import type { ReadOwnText } from './workerApi';

const KEPT = 'own-text';

/** A text being read with the list as it stands, on one device. */
export function useReading(source: OwnTextSource | null, device: string) {
  const { client, state } = useAudit();
  const [read, setRead] = useState<{ source: OwnTextSource; answer: ReadOwnText | OwnTextProblem | null } | null>(null);
  const version = state.result?.version;
  useEffect(() => {
    if (!source) return;
    let isOver = false;
    void client.ownText(source.bytes, source.format, device).then((answer) => {
      if (!isOver) setRead({ source, answer });
    });
    return () => {
      isOver = true;
    };
  }, [client, source, device, version]);
  return read?.source === source ? read : null;
}

/** The columns or fields that a source has to choose from. */
export function useColumns(source: OwnTextSource | null): readonly string[] {
  const { client } = useAudit();
  const [columns, setColumns] = useState<{ bytes: Uint8Array; names: readonly string[] } | null>(null);
  const type = source?.format.type;
  const bytes = source?.bytes;
  useEffect(() => {
    if (!bytes || !type || type === 'text') return;
    let isOver = false;
    void client.columns(bytes, type).then((names) => {
      if (!isOver && Array.isArray(names)) setColumns({ bytes, names });
    });
    return () => {
      isOver = true;
    };
  }, [client, bytes, type]);
  return columns && columns.bytes === bytes ? columns.names : [];
}

/** The text that a person asked to keep on this device; nothing is kept unless asked. */
export function useKeptText() {
  const { db } = useOpened().replica;
  const [kept, setKept] = useState<OwnTextSource | null>(null);
  const [wasRead, setRead] = useState(false);
  useEffect(() => {
    const take = (source: unknown) => {
      setKept((source as OwnTextSource | undefined) ?? null);
      setRead(true);
    };
    db.get('kept', KEPT).then(take, () => take(undefined));
  }, [db]);
  return {
    kept,
    wasRead,
    keep: (source: OwnTextSource) => void db.put('kept', source, KEPT).then(() => setKept(source)),
    forget: () => void db.delete('kept', KEPT).then(() => setKept(null)),
  };
}
