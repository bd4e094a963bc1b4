/** For tests: shortcuts with templates, and the circumstances in which they fire. */
import type { Expandable, Expansion, ExpansionContext } from './expand';

/** Wednesday, 25 November 2026, 16:50:09 in London. */
export const NOW = Date.UTC(2026, 10, 25, 16, 50, 9);

export function shortcut(
  code: string,
  expansion: string,
  format: 'plain' | 'markdown' = 'plain',
  template = true,
): Expandable {
  return { id: `id-${code}`, code, content: { expansion, template, format } };
}

export function contextOf(values: Record<string, string> = {}, others: readonly Expandable[] = []): ExpansionContext {
  return {
    now: NOW,
    locale: 'en-GB',
    zone: 'Europe/London',
    values,
    shortcutOf: (id) => others.find((one) => one.id === id),
  };
}

/** The plain text, or why there is none. */
export function told(expansion: Expansion): unknown {
  return expansion.type === 'expanded' ? expansion.plain : expansion.errors;
}
