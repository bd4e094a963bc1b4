/**
 * What the worker of phrases does, without the worker: it reads what somebody sent and finds what was typed again and again. Nothing
 * leaves it but what was found. Runs in Node for tests.
 */
import { findingSteps, type Findings } from '@yellow-latch/core/mine';
import { sentMessages } from '@yellow-latch/core/scenario/sentMessages';
import { formatOf, readSent, type SentFormat, type SentMessage, type SentProblem } from '@yellow-latch/core/sent';

import { inUseOf, type KeyboardsAsked } from '@/answers/effort/keyboards';

import { LARGEST_SENT } from './limits';
import { neverKey } from './never';

/** Where messages are read from: a file, what was pasted, or the sample that the app brings along. */
export type SentSource =
  | {
      readonly type: 'file';
      readonly name: string;
      readonly blob: Pick<Blob, 'size' | 'arrayBuffer'>;
      readonly format?: SentFormat;
    }
  | { readonly type: 'pasted'; readonly text: string }
  | { readonly type: 'sample' };

export interface FindPhrasesRequest extends KeyboardsAsked {
  readonly sources: readonly SentSource[];
  /** The texts of the list that are no templates, by the ids of their shortcuts. */
  readonly list: readonly { readonly id: string; readonly code: string; readonly text: string }[];
  /** BCP 47. */
  readonly languages: readonly string[];
  readonly sampleCode: string;
  /** What is never to be shown, by `neverKey`. */
  readonly never: readonly string[];
  /** Whose mails are read; null: of those who sent most. */
  readonly sender: string | null;
}

/** How a source was read. */
export interface ReadSource {
  /** In the order of the sources. */
  readonly name: string;
  readonly format: SentFormat | null;
  readonly columns: readonly string[];
  readonly messages: number;
  readonly skipped: number;
  readonly problem: SentProblem | null;
}

export interface FoundPhrases {
  readonly read: readonly ReadSource[];
  /** Who sent mails, who sent most first. */
  readonly senders: readonly string[];
  /** Whose were read; null: the files do not say. */
  readonly sender: string | null;
  /** Mails of others that were passed over. */
  readonly ofOthers: number;
  /** Null: nothing could be read. */
  readonly findings: Findings | null;
}

/** Reading is this much of the work. */
const READING = 0.4;

export class PhrasesWorkerApi {
  constructor(
    /** Lets messages in between two steps. */
    private readonly pause: () => Promise<void>,
  ) {}

  /** Whether it is there: a page asks early, so that nothing is fetched later. */
  ready(): boolean {
    return true;
  }

  /** Reads the sources and finds what is typed again and again in them. `onProgress`: how much is done, from 0 to 1. */
  async find(request: FindPhrasesRequest, onProgress: (done: number) => void): Promise<FoundPhrases> {
    const read: ReadSource[] = [];
    const all: SentMessage[] = [];
    for (const [index, source] of request.sources.entries()) {
      const pause = async (done: number) => {
        onProgress((READING * (index + done)) / request.sources.length);
        await this.pause();
      };
      await pause(0);
      const { messages, report } = await readSource(source, pause);
      read.push(report);
      for (const message of messages) all.push(message);
    }
    const { messages, senders, sender } = ofOne(all, request.sender);
    const ofOthers = all.length - messages.length;
    if (messages.length === 0) return { read, senders, sender, ofOthers, findings: null };
    const never = new Set(request.never);
    const steps = findingSteps({
      messages,
      list: request.list,
      languages: request.languages,
      inUse: inUseOf(request),
      sampleCode: request.sampleCode,
      isNever: (key) => never.size > 0 && never.has(neverKey(key)),
    });
    for (;;) {
      const step = steps.next();
      if (step.done) return { read, senders, sender, ofOthers, findings: step.value };
      onProgress(READING + (1 - READING) * step.value);
      await this.pause();
    }
  }
}

async function readSource(
  source: SentSource,
  pause: (done: number) => Promise<void>,
): Promise<{ messages: readonly SentMessage[]; report: ReadSource }> {
  const report = { name: '', format: null, columns: [], messages: 0, skipped: 0, problem: null };
  if (source.type === 'sample') {
    const messages = sentMessages();
    return { messages, report: { ...report, messages: messages.length } };
  }
  const name = source.type === 'file' ? source.name : '';
  const refuse = (problem: SentProblem) => ({ messages: [], report: { ...report, name, problem } });
  const found = source.type === 'file' ? source.blob.size : 0;
  if (found > LARGEST_SENT) return refuse({ type: 'too-large', limit: LARGEST_SENT, found });
  const bytes =
    source.type === 'file' ? new Uint8Array(await source.blob.arrayBuffer()) : new TextEncoder().encode(source.text);
  const format = source.type === 'file' ? (source.format ?? formatOf(name, bytes)) : { type: 'text' as const };
  const file = await readSent(bytes, format, pause);
  if ('type' in file) return refuse(file);
  const { messages, skipped } = file.sent;
  return {
    messages,
    report: {
      ...report,
      name,
      format: file.format,
      columns: file.columns,
      messages: messages.length,
      skipped: skipped.length,
    },
  };
}

/** The messages of one sender, and those that do not say who sent them. `asked`: whose; null: of those who sent most. */
function ofOne(all: readonly SentMessage[], asked: string | null) {
  const counts = new Map<string, number>();
  for (const { from } of all) if (from !== null) counts.set(from, (counts.get(from) ?? 0) + 1);
  const senders = [...counts].sort(([, a], [, b]) => b - a).map(([sender]) => sender);
  const sender = asked !== null && counts.has(asked) ? asked : (senders[0] ?? null);
  return { messages: all.filter(({ from }) => from === null || from === sender), senders, sender };
}
