import type { BlankSegment, Segment } from './segment';

const ESCAPED = /[\\{}|]/gu;
/** What would begin a declaration, or be taken for white space before one. */
const NEEDS_QUOTES = /^[.\s\u061c\u200e\u200f\u2066-\u2069]/u;

/** The source of a template of these segments. Reading it gives the same segments, texts side by side joined. */
export function templateOf(segments: readonly Segment[]): string {
  const pattern = segments.map(sourceOf).join('');
  return NEEDS_QUOTES.test(pattern) || pattern.startsWith('{{') ? `{{${pattern}}}` : pattern;
}

/** A text as a template that gives the text. */
export function plainToTemplate(text: string): string {
  return templateOf(text === '' ? [] : [{ type: 'text', text }]);
}

/** The text of a template that is nothing but text; null: it holds more. */
export function templateToPlain(segments: readonly Segment[]): string | null {
  return segments.every(({ type }) => type === 'text')
    ? segments.map((segment) => (segment.type === 'text' ? segment.text : '')).join('')
    : null;
}

function sourceOf(segment: Segment): string {
  switch (segment.type) {
    case 'text':
      return segment.text.replaceAll(ESCAPED, '\\$&');
    case 'blank':
      return `{$${segment.name} ${`:${segment.kind} ${blankOptions(segment)}`.trim()}}`;
    case 'date': {
      const { of, pattern, plus, next } = segment;
      return `{:${[of, option('pattern', pattern), option('plus', plus), option('next', next ?? ''), caseOption(segment)].filter(isThere).join(' ')}}`;
    }
    case 'clipboard':
    case 'selection':
      return `{:${[segment.type, caseOption(segment)].filter(isThere).join(' ')}}`;
    case 'shortcut':
      return `{:${['shortcut', option('id', segment.id), caseOption(segment)].filter(isThere).join(' ')}}`;
    case 'caret':
      return '{#caret /}';
  }
}

function blankOptions(segment: BlankSegment): string {
  return [
    option('label', segment.label),
    option('default', segment.default),
    option('options', segment.options.join(',')),
    option('pattern', segment.pattern),
    caseOption(segment),
  ]
    .filter(isThere)
    .join(' ');
}

function option(name: string, value: string): string {
  return value === '' ? '' : `${name}=|${value.replaceAll(/[\\|{}]/gu, '\\$&')}|`;
}

function caseOption({ casing }: { readonly casing: string | null }): string {
  return casing === null ? '' : `case=${casing}`;
}

function isThere(text: string): boolean {
  return text !== '';
}
