import { markdownShown } from '@yellow-latch/core/model';

/** The address that was typed, whole: a page without a scheme gets one. Null: it leads nowhere. */
export function addressOf(typed: string): string | null {
  const trimmed = typed.trim();
  if (/^(mailto|tel):\S+$/iu.test(trimmed)) return trimmed;
  const whole = /^[a-z][a-z\d+.-]*:/iu.test(trimmed) ? trimmed : `https://${trimmed}`;
  try {
    const { protocol, hostname } = new URL(whole);
    return /^https?:$/u.test(protocol) && hostname.includes('.') ? whole : null;
  } catch {
    return null;
  }
}

/** A link in CommonMark: its words without meaning of their own, its address so that it ends where it should. */
export function linkOf(words: string, address: string): string {
  const target = address.replaceAll(/[<>\s]/gu, (one) => encodeURIComponent(one));
  return `[${escaped(words)}](${/[()]/u.test(target) ? `<${target}>` : target})`;
}

/** A plain text as CommonMark that reads the same: signs that would mean something there lose their meaning. */
export function asMarkdown(text: string): string {
  return markdownShown(text) === text ? text : escaped(text);
}

function escaped(text: string): string {
  return text.replaceAll(/[\\`*_[\]<>#]/gu, String.raw`\$&`);
}
