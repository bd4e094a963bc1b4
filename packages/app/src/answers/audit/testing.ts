import type { AuditedShortcut, Brief } from '@yellow-latch/core/clash';

import { AuditWorkerApi, type AuditRequest } from './workerApi';

/** A finding about a shortcut, as tests need it. */
export function makeBrief(
  id: string,
  type: Brief['type'],
  severity: Brief['severity'],
  more: Partial<Brief> = {},
): Brief {
  return {
    type,
    severity,
    shortcuts: [id],
    devices: [],
    count: 1,
    evidence: null,
    about: `${severity} ${id}`,
    ...more,
  } as Brief;
}

export const VOCABULARY = {
  format: 1,
  kind: 'counted',
  language: 'en',
  source: 'test',
  words: 'so sound ham',
  total: 1_000,
  counts: '2s a 1',
};

export const shortcut = (id: string, code: string): AuditedShortcut => ({
  id,
  code,
  content: { expansion: `what ${id} gives`, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
});

export const request = (...shortcuts: AuditedShortcut[]): AuditRequest => ({
  list: { sets: [], shortcuts },
  devices: ['phone-list'],
  languages: ['en'],
});

/** What a worker does about a list, given these files of language data; `asked`: those it has asked for. */
export function deskWith(files: Record<string, unknown>) {
  const asked: string[] = [];
  const api = new AuditWorkerApi(
    (name) => {
      asked.push(name);
      return name in files ? Promise.resolve(files[name]) : Promise.reject(new Error('not there'));
    },
    () => Promise.resolve(),
  );
  return { api, asked };
}
