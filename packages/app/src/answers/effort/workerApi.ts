/**
 * What the worker does about effort and conventions: the list under audit, priced on the keyboards in use.
 * Runs in Node for tests.
 */
import {
  countWords,
  WORDS_A_WEEK,
  type AuditedShortcut,
  type Finding,
  type ListFigures,
} from '@yellow-latch/core/clash';
import { compareMarks, usualMark, type CannotCompare, type Comparison } from '@yellow-latch/core/convention';
import {
  compareEffort,
  countTypedOut,
  meanSaved,
  measureRecallOf,
  savingsOf,
  type OnKeyboard,
  type Saved,
  type Savings,
  type Uses,
} from '@yellow-latch/core/effort';
import { settleRules, type FiringEntry } from '@yellow-latch/core/fire';
import type { Mark, Scope } from '@yellow-latch/core/model';
import { mainMark } from '@yellow-latch/core/propose';
import { readOwnText } from '@yellow-latch/core/sent/ownText';

import type { OwnTextSource } from '@/answers/ownText/source';
import type { AuditWorkerApi } from '@/answers/audit/workerApi';

import { inUseOf, type KeyboardsAsked } from './keyboards';

/** What a list is priced with: keyboards, uses by shortcut as far as they are known, and own text if some is kept. */
export interface EffortRequest extends KeyboardsAsked {
  readonly uses: Readonly<Record<string, Uses>>;
  readonly ownText: Pick<OwnTextSource, 'bytes' | 'format'> | null;
}

/** Code against expansion of one shortcut, and what one use saves; null where it can be typed on none. */
export interface EffortOfOne {
  readonly on: readonly OnKeyboard[];
  /** What the keyboards are called, by their ids. */
  readonly names: Readonly<Record<string, string>>;
  readonly saved: Saved | null;
}

/** What comes of codes that became others: figures, and findings that go and come, the worst of these told. */
export interface TriedCodes {
  readonly before: ListFigures;
  readonly after: ListFigures;
  readonly goneCount: number;
  readonly cameCount: number;
  readonly came: readonly Finding[];
}

/** At most so many of what comes are told in full. */
const MOST_TOLD = 8;

/** What is filled in takes as long beside a code as in a text that is written out: gaps count on neither side. */
function withoutGaps(entry: FiringEntry): FiringEntry {
  return { ...entry, expansion: entry.expansion.replaceAll(/_{3,}/gu, '') };
}

/** What use is taken to be where it is not known, in a week: only that marks be weighed for every code. */
const USES_UNKNOWN = 1;

export class EffortWorkerApi {
  /** The own text that was read last, and its words and texts typed out, since it is asked about again. */
  private own: { readonly bytes: Uint8Array; readonly text: string; readonly words: number } | null = null;

  /** The mark that was asked for last: it takes a second to find, and keyboards seldom change. */
  private usual: { readonly question: string; readonly mark: Mark | null } | null = null;

  constructor(private readonly audit: Pick<AuditWorkerApi, 'checked' | 'asText'>) {}

  /** The effort of a shortcut as it would be if it were saved so. Null: nothing has been checked yet. */
  one(shortcut: AuditedShortcut, keyboards: KeyboardsAsked): EffortOfOne | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { list } = checked.audit;
    const [entry] = settleRules({ ...list, shortcuts: [this.audit.asText(shortcut)] });
    const inUse = inUseOf(keyboards);
    const measured = measureRecallOf(keyboards.hesitations ?? {}, [...checked.audit.entries, entry!]);
    const on = compareEffort(withoutGaps(entry!), inUse, measured);
    const names = Object.fromEntries(inUse.map(({ keyboard: { id, name } }) => [id, name]));
    return { on, names, saved: meanSaved(on, inUse) };
  }

  /** What the list saves in a week. */
  savings(request: EffortRequest): Savings | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { entries, list } = checked.audit;
    const setOf = new Map(list.shortcuts.map(({ id, setId }) => [id, setId]));
    const usesOf = this.usesOf(request, entries);
    const measured = measureRecallOf(request.hesitations ?? {}, entries);
    return savingsOf(entries.map(withoutGaps), usesOf, (id) => setOf.get(id) ?? null, inUseOf(request), measured);
  }

  /** Every mark weighed for a part of the list. */
  compare(request: EffortRequest, scope: Scope): Comparison | CannotCompare | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit, vocabularies } = checked;
    const usesOf = this.usesOf(request, audit.entries);
    const own = this.read(request.ownText);
    return compareMarks({
      list: audit.list,
      scope,
      inUse: inUseOf(request),
      languages: vocabularies.map((vocabulary) => ({ vocabulary })),
      usesAWeek: (id) => usesOf(id)?.aWeek ?? USES_UNKNOWN,
      ...(own ? { ownText: own.text } : {}),
    });
  }

  /** The mark for new codes while none of the list has one: the one that is recommended for these keyboards. Null: the list has its own, or there is none. */
  usualMark(keyboards: KeyboardsAsked): Mark | null {
    const checked = this.audit.checked();
    if (!checked || mainMark(checked.audit.entries.map(({ code }) => code)) !== null) return null;
    const { vocabularies } = checked;
    const question = JSON.stringify([keyboards, vocabularies.map(({ language }) => language)]);
    if (this.usual?.question !== question) this.usual = { question, mark: usualMark(inUseOf(keyboards), vocabularies) };
    return this.usual.mark;
  }

  /** What would go and come if codes became others. */
  tryCodes(codes: readonly { readonly id: string; readonly to: string }[]): TriedCodes | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit } = checked;
    const put = codes.flatMap(({ id, to }): AuditedShortcut[] => {
      const shortcut = audit.shortcutOf(id);
      return shortcut ? [{ ...shortcut, code: to }] : [];
    });
    const { before, after, gone, came } = audit.tryMany({ put });
    return { before, after, goneCount: gone.length, cameCount: came.length, came: came.slice(0, MOST_TOLD) };
  }

  /** Uses as said or counted; else from how often the text was typed out in what the person wrote. */
  usesOf(
    { uses, ownText }: EffortRequest,
    entries: readonly { readonly id: string; readonly expansion: string }[],
  ): (id: string) => Uses | null {
    const own = this.read(ownText);
    if (!own || own.words === 0) return (id) => uses[id] ?? null;
    const counts = countTypedOut(own.text, new Map(entries.map(({ id, expansion }) => [id, expansion])));
    return (id) => {
      const count = counts.get(id);
      return uses[id] ?? (count ? { aWeek: (count / own.words) * WORDS_A_WEEK, from: 'own text' } : null);
    };
  }

  private read(source: EffortRequest['ownText']): { readonly text: string; readonly words: number } | null {
    if (!source) return null;
    const { own } = this;
    if (own && isSame(own.bytes, source.bytes)) return own;
    const read = readOwnText(source.bytes, source.format);
    if ('type' in read) return null;
    this.own = { bytes: source.bytes, text: read.text, words: countWords(read.text) };
    return this.own;
  }
}

function isSame(a: Uint8Array, b: Uint8Array): boolean {
  return a.length === b.length && a.every((byte, at) => byte === b[at]);
}
