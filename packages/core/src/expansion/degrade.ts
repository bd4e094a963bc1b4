import { refusalOf, textHeld, type DeviceProfile, type Refusal } from '../profile';
import { expand, type Expandable, type ExpansionContext, type ExpansionError } from './expand';
import { parseTemplate } from './parse';
import { GAP, nameOfGiven, type Segment } from './segment';

/** What a device would be given of a shortcut, and what of it is lost there. */
export type ForDevice =
  | { readonly type: 'text'; readonly text: string; readonly lost: readonly Loss[] }
  /** A device that knows no blanks cannot have a date: it would stay what it was on the day it was taken over. */
  | { readonly type: 'refused'; readonly why: 'date' | Refusal }
  | { readonly type: 'errors'; readonly errors: readonly ExpansionError[] };

export type Loss = 'formatting' | 'lines' | 'blanks' | 'caret' | 'given';

/**
 * What a device that may know no blanks, lines or formatting would get: gaps of underscores, lines joined by a
 * space, plain text. A template that only holds other shortcuts is given as its text.
 */
export function expandFor(
  shortcut: Expandable,
  profile: DeviceProfile,
  context: Omit<ExpansionContext, 'values'>,
): ForDevice {
  const segments = allSegments(shortcut, context.shortcutOf, new Set());
  const has = (...types: Segment['type'][]) => segments.some(({ type }) => types.includes(type));
  if (!profile.blanks && has('date')) return { type: 'refused', why: 'date' };
  const values: Record<string, string> = {};
  for (const segment of segments) {
    if (segment.type === 'blank') values[segment.name] = segment.default || GAP;
    if (segment.type === 'clipboard' || segment.type === 'selection') values[nameOfGiven(segment)] = GAP;
  }
  const expanded = expand(shortcut, { ...context, values });
  if (expanded.type === 'errors') return expanded;
  const lost: Loss[] = [];
  if (shortcut.content.format === 'markdown' && !profile.formatting) lost.push('formatting');
  if (profile.lines === 'joined' && expanded.plain.includes('\n')) lost.push('lines');
  if (!profile.blanks && has('blank')) lost.push('blanks');
  if (!profile.blanks && has('caret')) lost.push('caret');
  if (!profile.blanks && has('clipboard', 'selection')) lost.push('given');
  const text = textHeld(expanded.plain, profile);
  const why = refusalOf({ code: shortcut.code, text }, profile);
  if (why !== null) return { type: 'refused', why };
  return { type: 'text', text, lost };
}

/** The segments of a shortcut and of those inside it. What cannot be read has none: `expand` says so. */
function allSegments(
  { id, content }: Expandable,
  shortcutOf: ExpansionContext['shortcutOf'],
  seen: Set<string>,
): Segment[] {
  if (seen.has(id) || !content.template) return [];
  seen.add(id);
  const parsed = parseTemplate(content.expansion);
  if (parsed.type === 'problems') return [];
  return parsed.segments.flatMap((segment) => {
    const inner = segment.type === 'shortcut' ? shortcutOf(segment.id) : undefined;
    return inner ? [segment, ...allSegments(inner, shortcutOf, seen)] : [segment];
  });
}
