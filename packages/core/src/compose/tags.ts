import type { Range } from '../fire';

/** A tag in a text: its stretch, its text with the sign, and the key under which tags are one. */
export interface Tag extends Range {
  readonly text: string;
  readonly key: string;
}

/**
 * Hashtag identifiers after UAX #31, UAX31-D2 (from memory): the sign, then letters, digits, connectors and emoji.
 * Hyphen and plus, which it also lets in, end a tag here, as they do where tags are posted (common practice, no
 * source); a number alone (#4) is no tag.
 */
const TAG = /(?<![\p{L}\p{N}\p{M}_#＃﹟&/])[#＃﹟]([\p{L}\p{N}\p{M}\p{Pc}\p{Extended_Pictographic}\u200d\ufe0f]+)/gu;

/** The tags of a text, in their order. Linear. */
export function tagsIn(text: string): Tag[] {
  if (!/[#＃﹟]/u.test(text)) return [];
  const tags: Tag[] = [];
  for (const { 0: found, 1: name, index: start } of text.matchAll(TAG)) {
    if (/^\p{N}+$/u.test(name!)) continue;
    tags.push({ start, end: start + found.length, text: found, key: name!.normalize('NFKC').toLowerCase() });
  }
  return tags;
}

/** A block of tags without those that stand elsewhere already (`present`: their keys), none twice; and what was left out. */
export function withoutTags(block: string, present: ReadonlySet<string>): { text: string; dropped: Tag[] } {
  const seen = new Set(present);
  const dropped: Tag[] = [];
  for (const tag of tagsIn(block)) {
    if (seen.has(tag.key)) dropped.push(tag);
    seen.add(tag.key);
  }
  return { text: withoutAll(block, dropped), dropped };
}

/** A block of tags as it stands: how many, which stand there twice, and which are more than its limit. */
export interface TagBlock {
  readonly tags: readonly Tag[];
  readonly doubles: readonly Tag[];
  /** Those behind the limit, doubles not counted. */
  readonly over: readonly Tag[];
}

/** What is to be said about a block of tags. `limit` null: there is none. */
export function readTagBlock(block: string, limit: number | null): TagBlock {
  const { dropped: doubles } = withoutTags(block, new Set());
  const isDouble = new Set(doubles.map(({ start }) => start));
  const tags = tagsIn(block).filter(({ start }) => !isDouble.has(start));
  return { tags, doubles, over: limit === null ? [] : tags.slice(limit) };
}

/** A block without the tags at some places: its doubles, or those behind its limit. */
export function dropTags(block: string, dropped: readonly Tag[]): string {
  return withoutAll(block, dropped).trim();
}

function withoutAll(text: string, dropped: readonly Tag[]): string {
  return [...dropped]
    .sort((a, b) => b.start - a.start)
    .reduce((left, tag) => {
      const { start, end } = withoutTag(left, tag);
      return left.slice(0, start) + left.slice(end);
    }, text);
}

/** Several blocks as one, no tag twice; each goes on behind the one before it. */
export function joinTagBlocks(blocks: readonly string[]): string {
  const present = new Set<string>();
  const parts = blocks.map((block) => {
    const { text } = withoutTags(block.trim(), present);
    for (const { key } of tagsIn(block)) present.add(key);
    return text.trim();
  });
  return parts.filter((part) => part !== '').join(' ');
}

/** What goes with a tag that is taken out: the blank before it, or behind it where it begins a line. */
export function withoutTag(text: string, { start, end }: Range): Range {
  if (/[^\S\n]/u.test(text.charAt(start - 1))) return { start: start - 1, end };
  const beginsLine = start === 0 || text.charAt(start - 1) === '\n';
  return { start, end: beginsLine && /[^\S\n]/u.test(text.charAt(end)) ? end + 1 : end };
}
