import type { Content } from '../model';
import { applyCasing } from './casing';
import { parseDuration } from './duration';
import { markdownToHtml, markdownToPlain } from './markdown';
import { nextWeekday, shift, yearOf } from './moment';
import { parseTemplate } from './parse';
import { formatMoment } from './pattern';
import { declaredBlanks, type OpenBlank } from './blanks';
import { nameOfGiven, type BlankSegment, type DateSegment, type Segment, type TemplateProblem } from './segment';

/** A shortcut as an expansion looks at it. */
export interface Expandable {
  readonly id: string;
  readonly code: string;
  readonly content: Content;
}

/** All that an expansion depends on. */
export interface ExpansionContext {
  /** The moment of firing, ms since 1970. */
  readonly now: number;
  /** BCP 47. */
  readonly locale: string;
  /** IANA. */
  readonly zone: string;
  /** What was given for blanks, by name; `nameOfGiven` for clipboard and selection. */
  readonly values: Readonly<Record<string, string>>;
  /** What is on the clipboard, and what is selected, if that may be read. */
  readonly clipboard?: string;
  readonly selection?: string;
  readonly shortcutOf: (id: string) => Expandable | undefined;
}

export interface Expanded {
  readonly type: 'expanded';
  readonly plain: string;
  /** Of a formatted one. */
  readonly html: string | null;
  /** Where the caret goes, in `plain`; null: behind it. */
  readonly caret: number | null;
  /** What is still to be asked for, in its order; its defaults stand in the text meanwhile. */
  readonly openBlanks: readonly OpenBlank[];
}

/** What keeps an expansion from being made. `path`: codes from the shortcut to that in which it is. */
export type ExpansionError =
  | { readonly type: 'template'; readonly path: readonly string[]; readonly problem: TemplateProblem }
  | { readonly type: 'missing'; readonly path: readonly string[]; readonly id: string }
  | { readonly type: 'circle'; readonly path: readonly string[] }
  | { readonly type: 'too-deep'; readonly path: readonly string[] }
  | { readonly type: 'date-out-of-range'; readonly path: readonly string[]; readonly pattern: string }
  | { readonly type: 'too-long'; readonly path: readonly string[] };

export type Expansion = Expanded | { readonly type: 'errors'; readonly errors: readonly ExpansionError[] };

/** Shortcuts may stand so deep inside one another, and give so many characters all in all. */
const DEEPEST = 16;
const LONGEST = 200_000;
/** Marks the caret until the text is whole: a character for private use, which no text of ours holds. */
const CARET = '\uf8ff\ue0c4\uf8ff';

/**
 * What a shortcut gives at a moment, with what is known of its blanks. Pure: everything comes in the context. Where
 * anything is wrong there is no text at all.
 */
export function expand(shortcut: Expandable, context: ExpansionContext): Expansion {
  const expanding = new Expanding(context);
  const source = expanding.textOf(shortcut, []);
  if (expanding.errors.length > 0) return { type: 'errors', errors: expanding.errors };
  const isFormatted = shortcut.content.format === 'markdown';
  const marked = isFormatted ? markdownToPlain(source) : source;
  const caret = marked.indexOf(CARET);
  const plain = marked.replaceAll(CARET, '');
  return {
    type: 'expanded',
    plain,
    html: isFormatted ? markdownToHtml(source.replaceAll(CARET, '')) : null,
    caret: caret < 0 ? null : caret,
    openBlanks: [...expanding.open.values()],
  };
}

class Expanding {
  readonly errors: ExpansionError[] = [];
  readonly open = new Map<string, OpenBlank>();
  private length = 0;
  private hasCaret = false;

  constructor(private readonly context: ExpansionContext) {}

  /** The text of a shortcut inside others, whose codes and ids are the path. */
  textOf(shortcut: Expandable, outer: readonly Expandable[]): string {
    const path = [...outer, shortcut];
    const codes = path.map(({ code }) => code);
    if (outer.some(({ id }) => id === shortcut.id)) return this.fail({ type: 'circle', path: codes });
    if (path.length > DEEPEST) return this.fail({ type: 'too-deep', path: codes });
    const { expansion, template } = shortcut.content;
    if (!template) return this.take(expansion, codes);
    const parsed = parseTemplate(expansion);
    if (parsed.type === 'problems') {
      return this.fail(...parsed.problems.map((problem) => ({ type: 'template', path: codes, problem }) as const));
    }
    const kinds = declaredBlanks(parsed.segments);
    return parsed.segments.map((segment) => this.segmentText(segment, path, codes, kinds)).join('');
  }

  private segmentText(
    segment: Segment,
    path: readonly Expandable[],
    codes: readonly string[],
    kinds: ReadonlyMap<string, BlankSegment>,
  ): string {
    const { locale, clipboard, selection } = this.context;
    switch (segment.type) {
      case 'text':
        return this.take(segment.text, codes);
      case 'caret':
        // That of an inner shortcut gives way to one that came before.
        if (this.hasCaret) return '';
        this.hasCaret = true;
        return CARET;
      case 'blank': {
        const declared = kinds.get(segment.name)!;
        return this.take(applyCasing(this.valueOf(declared), segment.casing, locale), codes);
      }
      case 'clipboard':
      case 'selection': {
        const at = segment.type === 'clipboard' ? clipboard : selection;
        const blank = {
          name: nameOfGiven(segment),
          kind: 'lines',
          label: '',
          default: at ?? '',
          options: [],
          pattern: '',
        } as const;
        return this.take(applyCasing(this.valueOf(blank), segment.casing, locale), codes);
      }
      case 'date':
        return this.take(applyCasing(this.dateText(segment, codes), segment.casing, locale), codes);
      case 'shortcut': {
        const inner = this.context.shortcutOf(segment.id);
        if (!inner) return this.fail({ type: 'missing', path: codes, id: segment.id });
        const text = this.textOf(inner, path);
        return segment.casing === null ? text : applyCasing(text, segment.casing, locale);
      }
    }
  }

  private valueOf(blank: OpenBlank): string {
    const { name, kind, label, default: otherwise, options, pattern } = blank;
    const given = this.context.values[name];
    if (given !== undefined) return kind === 'date' ? this.dayText(given, pattern) : given;
    if (!this.open.has(name)) this.open.set(name, { name, kind, label, default: otherwise, options, pattern });
    return otherwise;
  }

  /** A day as a picker gives it (ISO 8601, year-month-day) in a pattern; anything else as it is. */
  private dayText(given: string, pattern: string): string {
    const day = /^(\d{4})-(\d\d)-(\d\d)$/u.exec(given);
    if (!day) return given;
    return formatMoment(
      Date.UTC(Number(day[1]), Number(day[2]) - 1, Number(day[3])),
      pattern,
      this.context.locale,
      'UTC',
    );
  }

  private dateText({ pattern, plus, next }: DateSegment, path: readonly string[]): string {
    const { now, zone, locale } = this.context;
    const shifted = plus === '' ? now : shift(now, parseDuration(plus)!, zone);
    const moment = next === null ? shifted : nextWeekday(shifted, next, zone);
    const year = Number.isNaN(moment) ? NaN : yearOf(moment, zone);
    if (!(year >= 1 && year <= 9999)) return this.fail({ type: 'date-out-of-range', path, pattern });
    return formatMoment(moment, pattern, locale, zone);
  }

  private take(text: string, path: readonly string[]): string {
    this.length += text.length;
    if (this.length <= LONGEST) return text;
    if (!this.errors.some(({ type }) => type === 'too-long')) this.fail({ type: 'too-long', path });
    return '';
  }

  private fail(...errors: ExpansionError[]): string {
    this.errors.push(...errors);
    return '';
  }
}
