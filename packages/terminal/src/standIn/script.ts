import type { Keystroke } from '@yellow-latch/core/fire';

/** What follows a backslash in a script of keys. */
const KEYS: Readonly<Record<string, Keystroke>> = {
  b: { type: 'backspace' },
  n: { type: 'key', text: '\n' },
  t: { type: 'key', text: '\t' },
  x: { type: 'keep' },
  '\\': { type: 'key', text: '\\' },
};

/**
 * A script of keys, one character a key: `\b` is Backspace, `\n` Return, `\t` Tab, `\x` turns down what is offered or corrected, `\1` to
 * `\9` take that suggestion, `\\` is a backslash. Throws an error that says where another stands.
 */
export function readScript(script: string): Keystroke[] {
  const keys: Keystroke[] = [];
  const characters = Array.from(script);
  for (let at = 0; at < characters.length; at += 1) {
    const character = characters[at]!;
    if (character !== '\\') {
      keys.push({ type: 'key', text: character });
      continue;
    }
    at += 1;
    const name = characters[at] ?? '';
    const key = /^[1-9]$/u.test(name) ? ({ type: 'take', nth: Number(name) - 1 } as const) : KEYS[name];
    if (!key)
      throw new Error(
        `\\${name} at character ${at} of the script is no key; \\b, \\n, \\t, \\x, \\1 to \\9 and \\\\ are`,
      );
    keys.push(key);
  }
  return keys;
}
