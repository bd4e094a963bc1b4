/**
 * What people type for a symbol that their keyboard lacks, and what they mean by it; likeliest first. From memory, common
 * practice, no source.
 */
const TYPED: Readonly<Record<string, string>> = {
  '->': '→ ⟶ ➔',
  '-->': '⟶ →',
  '<-': '← ⟵',
  '<--': '⟵ ←',
  '<->': '↔ ⟷',
  '<-->': '⟷ ↔',
  '=>': '⇒ ⟹ ≥',
  '==>': '⟹ ⇒',
  '<=': '≤ ⇐',
  '<=>': '⇔ ⟺',
  '>=': '≥ ⇒',
  '|->': '↦',
  '^': '↑ ˆ',
  '|^': '↑',
  '!=': '≠',
  '/=': '≠',
  '<>': '≠ ◇',
  '=/=': '≠',
  '~=': '≈ ≃',
  '~~': '≈',
  '==': '≡ ＝',
  ':=': '≔',
  '+-': '±',
  '+/-': '±',
  '-+': '∓',
  '**': '※ ⁂',
  x: '× ✕ ✗',
  '/': '÷ ⁄',
  '-': '– — − ‐',
  '--': '– —',
  '---': '—',
  '...': '…',
  '..': '‥ …',
  '<<': '« ≪',
  '>>': '» ≫',
  '<': '‹ ≤',
  '>': '› ≥',
  ',,': '„',
  ',': '‚',
  '"': '“ ” „ ″',
  '``': '“',
  "''": '” ″',
  "'": '’ ‘ ′',
  '`': '‘',
  '(c)': '©',
  '(r)': '®',
  '(tm)': '™',
  tm: '™',
  '(p)': '℗',
  '(sm)': '℠',
  '^o': '°',
  o: '° ø',
  '^2': '²',
  '^3': '³',
  '!?': '‽ ⁉️',
  '?!': '‽ ⁉️',
  '!!': '‼️ ❗',
  '??': '⁇ ❓',
  '!': '¡ ❗',
  '?': '¿ ❓',
  '[]': '☐ □',
  '[ ]': '☐ □',
  '[x]': '☒ ☑',
  '[v]': '☑ ✓',
  v: '✓ ✔',
  'v/': '✓ √',
  '||': '‖ ∥',
  '|': '│ ¦',
  '#': '♯ №',
  b: '♭',
  'c|': '¢',
  'c/': '¢',
  'e=': '€',
  'c=': '€',
  'l-': '£',
  'y=': '¥',
  's!': '§',
  ss: 'ß',
  sz: 'ß',
  ae: 'ä æ',
  oe: 'ö œ ø',
  ue: 'ü',
  aa: 'å',
  'o/': 'ø 👋',
  '\\o/': '🙌',
  th: 'þ ð',
  oo: '∞',
  pi: 'π',
  mu: 'µ',
  u: 'µ',
  no: '№',
  'o/oo': '‰',
  '%o': '‰',
  '0/00': '‰',
  '<3': '❤️ ♥',
  '</3': '💔',
  ':)': '🙂 😊 ☺️',
  ':-)': '🙂 😊 ☺️',
  ':(': '🙁 😢 ☹️',
  ':-(': '🙁 😢 ☹️',
  ';)': '😉',
  ';-)': '😉',
  ':d': '😃 😁',
  ':-d': '😃 😁',
  ':p': '😛 😋',
  ':-p': '😛 😋',
  ':o': '😮',
  ':/': '😕',
  ':|': '😐',
  ":'(": '😢',
  'b)': '😎',
  '8)': '😎',
  xd: '😆',
  '*': '× • ∗ ★',
  '+': '＋ ➕',
  '::': '∷',
  '<|': '◁',
  '|>': '▷',
  '/\\': '∧ △',
  '\\/': '∨ ▽',
  '[>': '▶',
};

/** The marks that letters take, and what people type behind the letter for them. */
const MARKS: readonly (readonly [mark: string, typed: readonly string[]])[] = [
  ['\u0300', ['`']],
  ['\u0301', ["'", '´']],
  ['\u0302', ['^']],
  ['\u0303', ['~']],
  ['\u0308', ['"', ':']],
  ['\u030a', ['°', 'o']],
  ['\u030c', ['v', '<']],
  ['\u0327', [',']],
  ['\u0328', [';']],
  ['\u0304', ['-', '_']],
];

/**
 * The symbols that are typed so, likeliest first: those of our table, a letter and its mark ("e'"), what is made of these
 * characters (UAX #15, NFKD): a fraction of its figures ("1/2"), a raised or lowered figure by ^ or _ ("^2", "_2"), one for
 * several ("°C", "kg"). `madeOf`: characters by what they are made of, fractions with a plain slash.
 */
export function symbolsTypedAs(query: string, madeOf: ReadonlyMap<string, readonly string[]>): readonly string[] {
  const typed = query.toLowerCase();
  const script = /^([_^])([\p{L}\p{N}+=()-])$/u.exec(query);
  const raised = madeOf.get(script?.[2]!.replace('-', '\u2212') ?? '')?.filter((character) => {
    return (script![1] === '^' ? RAISED : LOWERED).test(character);
  });
  const whole = [...query].length > 1 ? (madeOf.get(query) ?? []) : [];
  const begun = /^\d+\/$/u.test(query)
    ? [...madeOf].flatMap(([parts, all]) => (parts.startsWith(query) ? all : []))
    : [];
  return [...new Set([...(TYPED[typed]?.split(' ') ?? []), ...byMark(query), ...begun, ...whole, ...(raised ?? [])])];
}

const FRACTION_SLASH = '\u2044';

/** Characters that are made of something else (UAX #15). */
export interface Parts {
  /** By all of what they are made of, without marks; fractions with a plain slash. */
  readonly made: ReadonlyMap<string, readonly string[]>;
  /** Letters with marks, by their letter. */
  readonly marked: ReadonlyMap<string, readonly string[]>;
}

/** What characters are made of. Linear. */
export function partsOf(characters: readonly string[]): Parts {
  const made = new Map<string, string[]>();
  const marked = new Map<string, string[]>();
  const put = (map: Map<string, string[]>, key: string, character: string) => {
    const others = map.get(key);
    if (others) others.push(character);
    else map.set(key, [character]);
  };
  for (const character of characters) {
    const parts = character.normalize('NFKD');
    if (parts === character) continue;
    if (!/\p{M}/u.test(parts)) put(made, parts.replace(FRACTION_SLASH, '/'), character);
    else if (/^\p{L}$/u.test(character)) put(marked, [...character.normalize('NFD')][0]!, character);
  }
  return { made, marked };
}

function byMark(query: string): string[] {
  const [letter, ...rest] = [...query];
  if (letter === undefined || rest.length !== 1 || !/^\p{L}$/u.test(letter)) return [];
  return MARKS.flatMap(([mark, typed]) => {
    const whole = `${letter}${mark}`.normalize('NFC');
    return typed.includes(rest[0]!) && [...whole].length === 1 ? [whole] : [];
  });
}

// Superscripts and Subscripts is one block; the three of Latin-1 and the modifier letters are raised.
const RAISED = /[\u00aa\u00b2\u00b3\u00b9\u00ba\u02b0-\u02b8\u2070-\u207f\u1d2c-\u1d61]/u;
const LOWERED = /[\u2080-\u209c\u1d62-\u1d6a\u2c7c]/u;
