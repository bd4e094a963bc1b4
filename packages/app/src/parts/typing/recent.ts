import type { OpenBlank } from '@yellow-latch/core/expansion';

/** What was filled in lately, by what the blank is called, the newest first. Of this device alone. */
export type Recent = Readonly<Record<string, readonly string[]>>;

const MOST = 5;
/** Longer ones are hardly filled in twice. */
const LONGEST = 60;

function nameOf({ label, name }: Pick<OpenBlank, 'label' | 'name'>): string {
  return label === '' ? name : label;
}

/** What was filled in before, with what is filled in now. What the device itself gives, and what one chooses, is not kept. */
export function withFilled(
  recent: Recent,
  blanks: readonly OpenBlank[],
  values: Readonly<Record<string, string>>,
): Recent {
  const next = { ...recent };
  for (const blank of blanks) {
    const value = (values[blank.name] ?? '').trim();
    const isTyped = (blank.kind === 'text' || blank.kind === 'number') && !blank.name.startsWith(' ');
    if (!isTyped || value === '' || value === blank.default || value.length > LONGEST || value.includes('\n')) continue;
    const name = nameOf(blank);
    next[name] = [value, ...(next[name] ?? []).filter((one) => one !== value)].slice(0, MOST);
  }
  return next;
}

export function recentOf(recent: Recent, blank: OpenBlank): readonly string[] {
  return recent[nameOf(blank)] ?? [];
}
