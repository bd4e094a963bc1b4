import { parseCST, type CST } from 'messageformat/cst';

import { applyCasing } from './casing';
import { isDuration } from './duration';
import { unknownLettersOf } from './pattern';
import {
  BLANK_KINDS,
  CASINGS,
  MOST_BLANKS,
  WEEKDAYS,
  type BlankKind,
  type BlankSegment,
  type Casing,
  type Segment,
  type TemplateProblem,
  type Weekday,
} from './segment';

/** A template read: its segments, or all that is wrong with it. */
export type ParsedTemplate =
  | { readonly type: 'template'; readonly segments: readonly Segment[] }
  | { readonly type: 'problems'; readonly problems: readonly TemplateProblem[] };

type Place = Pick<TemplateProblem, 'start' | 'end'>;

/**
 * Reads a template: a pattern of Unicode MessageFormat 2 (Unicode LDML part 9) with the functions of
 * docs/formats.md. Declarations and selection are none of ours. Linear.
 */
export function parseTemplate(source: string): ParsedTemplate {
  const cst = parseCST(source);
  // What follows the first error of syntax is its consequence.
  const problems: TemplateProblem[] = cst.errors.slice(0, 1).map(({ start, end }) => ({
    type: 'syntax',
    start: Math.min(start, source.length - 1),
    end: Math.max(end, start + 1),
    what: '',
  }));
  if (cst.type === 'select' || (cst.declarations ?? []).length > 0)
    problems.push({ type: 'syntax', start: 0, end: source.length, what: '' });
  if (problems.length > 0 || cst.type === 'select') return { type: 'problems', problems };
  const reader = new Reader(problems);
  const segments = cst.pattern.body.flatMap((part): Segment[] => {
    if (part.type === 'text') return part.value === '' ? [] : [{ type: 'text', text: part.value }];
    const segment = reader.read(part);
    return segment ? [segment] : [];
  });
  reader.checkWhole();
  return problems.length > 0 ? { type: 'problems', problems } : { type: 'template', segments };
}

const FUNCTIONS = [...BLANK_KINDS, ...CASINGS, 'today', 'now', 'clipboard', 'selection', 'shortcut'];

/** Makes segments of expressions, and notes what is wrong with them. */
class Reader {
  private readonly blanks = new Map<string, { segment: BlankSegment; place: Place; says: boolean }>();
  private carets = 0;

  constructor(private readonly problems: TemplateProblem[]) {}

  read(expression: CST.Expression): Segment | null {
    const { arg, functionRef, markup } = expression;
    if (markup) return this.readMarkup(markup, expression);
    if (functionRef?.type === 'junk') return this.fail('syntax', functionRef, '');
    const name = functionRef ? nameOf(functionRef.name) : 'text';
    const options = new Options(functionRef?.options ?? [], this.problems);
    if (!FUNCTIONS.includes(name)) return this.fail('unknown-function', functionRef ?? expression, name);
    const segment = this.segmentOf(name, arg, options, expression);
    options.checkAllUsed();
    return segment;
  }

  /** What is wrong with the template as a whole. */
  checkWhole(): void {
    if (this.blanks.size <= MOST_BLANKS) return;
    const { place } = [...this.blanks.values()][MOST_BLANKS]!;
    this.fail('too-many-blanks', place, String(this.blanks.size));
  }

  private segmentOf(name: string, arg: CST.Expression['arg'], options: Options, place: Place): Segment | null {
    if (arg?.type === 'variable') return this.readBlank(name, arg.name, options, place);
    if (arg?.type === 'literal') {
      // A literal stands for itself, its letters set if that is asked.
      const casing = casingOf(name);
      return functionTakesLiteral(name)
        ? { type: 'text', text: applyCasing(arg.value, casing, undefined) }
        : this.fail('bad-option', arg, name);
    }
    switch (name) {
      case 'today':
      case 'now':
        return this.readDate(name, options);
      case 'clipboard':
      case 'selection':
        return { type: name, casing: options.casing() };
      case 'shortcut': {
        const id = options.text('id', '');
        return id === '' ? this.fail('bad-option', place, 'id') : { type: 'shortcut', id, casing: options.casing() };
      }
      default:
        // A function of blanks without a name.
        return this.fail('bad-option', place, name);
    }
  }

  private readBlank(name: string, variable: string, options: Options, place: Place): Segment | null {
    const casing = casingOf(name);
    const kind: BlankKind = casing === null ? (name as BlankKind) : 'text';
    if (casing === null && !(BLANK_KINDS as readonly string[]).includes(name))
      return this.fail('unknown-function', place, name);
    const choices = options
      .text('options', '')
      .split(',')
      .map((option) => option.trim())
      .filter((option) => option !== '');
    const says = options.hasAny;
    const segment: BlankSegment = {
      type: 'blank',
      name: variable,
      kind,
      label: options.text('label', ''),
      default: options.text('default', ''),
      options: choices,
      pattern: kind === 'date' ? options.text('pattern', 'd MMMM y') : '',
      casing: casing ?? options.casing(),
    };
    const letters = unknownLettersOf(segment.pattern);
    if (letters !== '') return this.fail('unknown-letters', options.placeOf('pattern'), letters);
    const known = this.blanks.get(variable);
    const isPlainAgain = !says && (name === 'text' || casing !== null);
    if (!known) this.blanks.set(variable, { segment, place, says });
    else if (known.says && !isPlainAgain && !isAlike(known.segment, segment))
      return this.fail('different-blanks', place, variable);
    else if (!known.says && says) this.blanks.set(variable, { segment, place, says });
    if (kind === 'choice' && choices.length === 0 && !(known && isPlainAgain))
      return this.fail('choice-without-options', place, variable);
    return segment;
  }

  private readDate(of: 'today' | 'now', options: Options): Segment | null {
    const pattern = options.text('pattern', of === 'today' ? 'd MMMM y' : 'HH:mm');
    const plus = options.text('plus', '');
    const next = options.text('next', '');
    const letters = unknownLettersOf(pattern);
    if (letters !== '') return this.fail('unknown-letters', options.placeOf('pattern'), letters);
    if (plus !== '' && !isDuration(plus)) return this.fail('bad-duration', options.placeOf('plus'), plus);
    if (next !== '' && !(WEEKDAYS as readonly string[]).includes(next))
      return this.fail('bad-option', options.placeOf('next'), next);
    return { type: 'date', of, pattern, plus, next: next === '' ? null : (next as Weekday), casing: options.casing() };
  }

  private readMarkup(markup: CST.Markup, place: Place): Segment | null {
    const name = nameOf(markup.name);
    if (name !== 'caret' || !markup.close) return this.fail('unknown-function', place, `#${name}`);
    this.carets += 1;
    return this.carets > 1 ? this.fail('several-carets', place, '') : { type: 'caret' };
  }

  private fail(type: TemplateProblem['type'], { start, end }: Place, what: string): null {
    this.problems.push({ type, start, end, what });
    return null;
  }
}

/** The options of a function: each is asked for once, and what nobody asked for is an error. */
class Options {
  private readonly used = new Set<string>();

  constructor(
    private readonly options: readonly CST.Option[],
    private readonly problems: TemplateProblem[],
  ) {}

  get hasAny(): boolean {
    return this.options.length > 0;
  }

  text(name: string, otherwise: string): string {
    this.used.add(name);
    const value = this.find(name)?.value;
    return value?.type === 'literal' ? value.value : otherwise;
  }

  casing(): Casing | null {
    const casing = this.text('case', '');
    if (casing === '' || (CASINGS as readonly string[]).includes(casing))
      return casing === '' ? null : (casing as Casing);
    this.problems.push({ type: 'bad-option', ...this.placeOf('case'), what: casing });
    return null;
  }

  placeOf(name: string): Place {
    const { start, end } = this.find(name)!.value;
    return { start, end };
  }

  checkAllUsed(): void {
    for (const { name, value, start, end } of this.options) {
      if (!this.used.has(nameOf(name))) this.problems.push({ type: 'unknown-option', start, end, what: nameOf(name) });
      else if (value.type === 'variable') this.problems.push({ type: 'bad-option', start, end, what: nameOf(name) });
    }
  }

  private find(name: string): CST.Option | undefined {
    return this.options.find((option) => nameOf(option.name) === name);
  }
}

function nameOf(identifier: CST.Identifier): string {
  return identifier.map(({ value }) => value).join('');
}

function casingOf(name: string): Casing | null {
  return (CASINGS as readonly string[]).includes(name) ? (name as Casing) : null;
}

function functionTakesLiteral(name: string): boolean {
  return name === 'text' || casingOf(name) !== null;
}

function isAlike(a: BlankSegment, b: BlankSegment): boolean {
  return (
    a.kind === b.kind &&
    a.label === b.label &&
    a.default === b.default &&
    a.options.join('\n') === b.options.join('\n') &&
    a.pattern === b.pattern
  );
}
