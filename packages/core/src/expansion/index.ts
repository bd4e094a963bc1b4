/**
 * Expansions beyond plain text: blanks, dates, the clipboard, other shortcuts inside, the caret, formatting.
 *
 * `parseTemplate` reads a template into segments and `templateOf` writes them; `expand` gives what a shortcut gives at a
 * moment, or why it cannot; `expandFor` what a simpler device would be given. Functions and syntax: docs/formats.md.
 */
export type { OpenBlank } from './blanks';
export { applyCasing } from './casing';
export { expandFor, type ForDevice, type Loss } from './degrade';
export { isDuration, parseDuration, type Duration } from './duration';
export {
  expand,
  type Expandable,
  type Expanded,
  type Expansion,
  type ExpansionContext,
  type ExpansionError,
} from './expand';
export { markdownToHtml, markdownToPlain } from './markdown';
export { nextWeekday, shift } from './moment';
export { parseTemplate, type ParsedTemplate } from './parse';
export { formatMoment, unknownLettersOf } from './pattern';
export {
  BLANK_KINDS,
  CASINGS,
  GAP,
  MOST_BLANKS,
  nameOfGiven,
  WEEKDAYS,
  type BlankKind,
  type BlankSegment,
  type Casing,
  type DateSegment,
  type Segment,
  type TemplateProblem,
  type Weekday,
} from './segment';
export { sketchOf } from './sketch';
export { plainToTemplate, templateOf, templateToPlain } from './write';
