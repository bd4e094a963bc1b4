/** What the parts of the extension say to each other. Pages know none of this: they cannot send messages to an extension. */
import type { FiredBy, FiringEntry } from '@yellow-latch/core/fire';
import type { Answer, Chord } from '@yellow-latch/field/guest';

/** What its owner has chosen. */
export interface Settings {
  /** `itself`: as the list says; `tap`: only what is picked. */
  readonly expands: 'itself' | 'tap';
  readonly suggests: boolean;
  /** The keys that take the first suggestion; null: none. */
  readonly take: Chord | null;
  /** By host: `off`, or `code`: in fields for program code too. */
  readonly sites: Readonly<Record<string, 'off' | 'code'>>;
  /** Until when nothing expands; ms since 1970. */
  readonly pausedUntil: number;
}

/** How a frame is to behave. */
export interface Conduct {
  readonly isOn: boolean;
  readonly evenCode: boolean;
  readonly expands: Settings['expands'];
  readonly suggests: boolean;
  readonly take: Chord | null;
}

/** What of the list a frame lacks. `version` names the state that it has then. */
export type ListPart =
  | { readonly type: 'same' }
  | { readonly type: 'whole'; readonly version: string; readonly entries: readonly FiringEntry[] }
  | {
      readonly type: 'changes';
      readonly version: string;
      readonly put: readonly FiringEntry[];
      readonly remove: readonly string[];
    };

/** From a frame of a page. Answered with what stands beside each. */
export interface FromPage {
  /** A field has the focus, and nothing is here yet to follow it. */
  field: { asked: { host: string }; answer: null };
  /** A field has, or still has, the focus: the list is to be fresh. */
  here: { asked: { host: string; version: string | null }; answer: { conduct: Conduct; list: ListPart } };
  text: {
    asked: { id: string; values: Readonly<Record<string, string>>; around: { selection: string; text: string } };
    answer: Answer;
  };
  /** A code expanded. `typed`: what of it; `seconds`: how long somebody hesitated over it, if that is known. */
  used: { asked: { id: string; by: FiredBy; typed: string; seconds: number | null }; answer: null };
  takenBack: { asked: { id: string }; answer: null };
}

/** To the frames of pages. */
export type ToPage =
  | { readonly type: 'changed' }
  | { readonly type: 'put'; readonly id: string; readonly code: string }
  | { readonly type: 'selected' };

/** How the extension stands to its list. */
export interface Standing {
  readonly phase: 'none' | 'synced' | 'away' | 'out';
  readonly listName: string;
  readonly address: string;
  readonly count: number;
  /** Changes that were made here and not sent. */
  readonly waiting: number;
  readonly mayOnlyUse: boolean;
}

export interface Listed {
  readonly id: string;
  readonly code: string;
  readonly text: string;
}

/** What a new shortcut cannot be, in short; the words are the page's. */
export type NotSaved = 'code' | 'in-use' | 'text' | 'only-use' | 'not-joined';

/** From our own pages: the panel and the options. */
export interface FromPanel {
  standing: { asked: object; answer: Standing };
  settings: { asked: object; answer: Settings };
  set: { asked: Partial<Settings>; answer: Settings };
  join: { asked: { address: string; code: string; name: string }; answer: { problem: string | null } };
  leave: { asked: object; answer: null };
  search: { asked: { words: string }; answer: { found: readonly Listed[]; of: number } };
  make: {
    asked: { code: string; text: string };
    answer: { problem: NotSaved | null; other: string | null; id: string | null };
  };
  unmake: { asked: { id: string }; answer: null };
}

export type Message<Kinds> = { [Type in keyof Kinds]: { type: Type } & AskedOf<Kinds, Type> }[keyof Kinds];
type AskedOf<Kinds, Type extends keyof Kinds> = Kinds[Type] extends { asked: infer Asked } ? Asked : never;
type AnswerOf<Kinds, Type extends keyof Kinds> = Kinds[Type] extends { answer: infer Answer } ? Answer : never;

/** Answers to every kind of message. */
export type Answers<Kinds, From> = {
  [Type in keyof Kinds]: (asked: AskedOf<Kinds, Type>, from: From) => Promise<AnswerOf<Kinds, Type>>;
};

/** A background that was just started, or is started anew, hears nothing for a moment: one of our own pages asks again. */
const AGAIN_AFTER = 200;
const MOST_TIMES = 40;
/** What is always answered with something: nothing means that it failed. */
const ANSWERED = new Set<string>(['standing', 'settings', 'search'] satisfies (keyof FromPanel)[]);

/** Asks the background from one of our own pages. */
export async function askForPanel<Type extends keyof FromPanel>(
  type: Type,
  asked: AskedOf<FromPanel, Type>,
): Promise<AnswerOf<FromPanel, Type>> {
  for (let times = 1; ; times += 1) {
    try {
      const answer = await ask<FromPanel, Type>(type, asked);
      if (answer !== undefined && (answer !== null || !ANSWERED.has(type))) return answer;
      if (times === MOST_TIMES) throw new Error(`no answer: ${type}`);
    } catch (error) {
      if (times === MOST_TIMES) throw error;
    }
    await new Promise((resolve) => setTimeout(resolve, AGAIN_AFTER));
  }
}

/** Asks the background. Rejects where the extension was updated or removed meanwhile: the asker belongs to none any more. */
export function ask<Kinds, Type extends keyof Kinds & string>(
  type: Type,
  asked: AskedOf<Kinds, Type>,
): Promise<AnswerOf<Kinds, Type>> {
  return chrome.runtime.sendMessage({ type, ...(asked as object) });
}
