/** Blanks of a template: what is asked for before a text goes in. */
import type { BlankSegment, Segment } from './segment';

/** Something that is asked for before an expansion is whole. */
export interface OpenBlank {
  readonly name: string;
  readonly kind: BlankSegment['kind'];
  readonly label: string;
  readonly default: string;
  readonly options: readonly string[];
  readonly pattern: string;
}

/** Blanks by their names, as the one that says most has them. */
export function declaredBlanks(segments: readonly Segment[]): Map<string, BlankSegment> {
  const blanks = new Map<string, BlankSegment>();
  const says = ({ kind, label, default: otherwise, options }: BlankSegment) =>
    (kind === 'text' ? 0 : 1) + (label ? 1 : 0) + (otherwise ? 1 : 0) + (options.length > 0 ? 1 : 0);
  for (const segment of segments) {
    if (segment.type !== 'blank') continue;
    const known = blanks.get(segment.name);
    if (!known || says(segment) > says(known)) blanks.set(segment.name, segment);
  }
  return blanks;
}
