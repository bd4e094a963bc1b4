import type { SymbolTable } from './table';

/** What people look for symbols for. */
export const USES = [
  'punctuation',
  'arrows',
  'fractions',
  'currency',
  'maths',
  'music',
  'letters',
  'greek',
  'signs',
  'boxes',
] as const;
export type Use = (typeof USES)[number];

/** Those asked for most, in the order in which they stand; the others of the use follow by code point. From memory. */
const FIRST: Readonly<Record<Use, string>> = {
  punctuation: '– — … “ ” ‘ ’ „ ‚ « » ‹ › • · ¡ ¿ § ¶ † ‡ ′ ″ ‰ ※ ‽ № ª º',
  arrows: '→ ← ↑ ↓ ↔ ↕ ⇒ ⇐ ⇔ ↗ ↘ ↙ ↖ ↵ ↩ ↪ ↻ ↺ ⟶ ⟵ ➔ ➜ ↦ ⇧ ⇩',
  fractions: '½ ¼ ¾ ⅓ ⅔ ⅛ ⅜ ⅝ ⅞ ⅕ ⅖ ⅗ ⅘ ⅙ ⅚ ⅐ ⅑ ⅒ ⁄ ¹ ² ³ ⁴ ⁵ ⁶ ⁷ ⁸ ⁹ ⁰ ₀ ₁ ₂ ₃ ₄ ₅ ₆ ₇ ₈ ₉',
  currency: '€ £ $ ¥ ¢ ₹ ₽ ₩ ₺ ₿ ƒ ¤',
  maths: '× ÷ ± − ≠ ≈ ≤ ≥ ∞ √ ∑ ∏ ∫ ∂ ∆ π µ ° ² ³ ‰ ∈ ∉ ∅ ∩ ∪ ⊂ ⊃ ∀ ∃ ¬ ∧ ∨ ∴ ∝ ∠ ⊥ ∥ ≡',
  music: '♯ ♭ ♮ ♩ ♪ ♫ ♬ 𝄞 𝄢 𝄡 𝄐 𝄪 𝄫',
  letters: 'ä ö ü ß Ä Ö Ü ẞ é è ê ë à â ç ù û î ï ô œ æ ñ á í ó ú å ø ł š ž č ð þ',
  greek: 'α β γ δ ε ζ η θ ι κ λ μ ν ξ ο π ρ σ ς τ υ φ χ ψ ω Α Β Γ Δ Ε Ζ Η Θ Ι Κ Λ Μ Ν Ξ Ο Π Ρ Σ Τ Υ Φ Χ Ψ Ω',
  signs: '✓ ✔ ✗ ✘ ★ ☆ ♥ ☎ ✉ ☞ ☜ ⚠ ✂ ✎ ☀ ☁ ☂ ☺ ☹ ♀ ♂ ⚙ © ® ™ ℠ ℗ ☐ ☑ ☒',
  boxes: '■ □ ● ○ ▲ △ ▼ ▽ ▶ ◀ ◆ ◇ │ ─ ┌ ┐ └ ┘ ├ ┤ ┬ ┴ ┼ ═ ║ █ ▓ ▒ ░',
};

/** Blocks whose characters belong to a use, as Unicode calls them. */
const BLOCKS: Readonly<Partial<Record<Use, readonly string[]>>> = {
  arrows: ['Arrows', 'Supplemental Arrows A', 'Supplemental Arrows B', 'Supplemental Arrows C'],
  maths: ['Mathematical Operators', 'Supplemental Mathematical Operators', 'Miscellaneous Mathematical Symbols A'],
  music: ['Musical Symbols'],
  signs: ['Miscellaneous Symbols', 'Dingbats', 'Letterlike Symbols', 'Miscellaneous Technical'],
  boxes: ['Box Drawing', 'Block Elements', 'Geometric Shapes', 'Geometric Shapes Extended'],
};

const IS_OF: Readonly<Partial<Record<Use, (character: string, name: string) => boolean>>> = {
  punctuation: (character) => /^\p{P}$/u.test(character) && !/^[\p{ASCII}]$/u.test(character),
  arrows: (_character, name) => /\barrow\b/u.test(name),
  fractions: (character) => /^\d+\u2044\d*$/u.test(character.normalize('NFKD')),
  currency: (character) => /^\p{Sc}$/u.test(character),
  // Letters of the alphabets we write in, with a mark or joined.
  letters: (character, name) => /^\p{L}$/u.test(character) && /^latin .*\bwith\b/u.test(name),
  greek: (character) => /^\p{Script=Greek}$/u.test(character) && /^\p{L}$/u.test(character),
};

/** The symbols of a use that a shipped face draws, those asked for most first. */
export function symbolsOfUse(use: Use, table: SymbolTable): readonly string[] {
  const first = FIRST[use].split(' ');
  const ranges = table.blocks.filter(({ name }) => BLOCKS[use]?.includes(name));
  const isOf = IS_OF[use];
  const others = table.characters.filter((character, index) => {
    const codePoint = character.codePointAt(0)!;
    if (!table.drawn.has(codePoint) || /^\p{M}$/u.test(character)) return false;
    return (
      ranges.some((block) => codePoint >= block.first && codePoint <= block.last) ||
      (isOf?.(character, table.names[index]!) ?? false)
    );
  });
  return [...new Set([...first, ...others])];
}

/** Those that are asked for most, of all uses: a search shows them before others. */
export function usualSymbols(): readonly string[] {
  return [...new Set(USES.flatMap((use) => FIRST[use].split(' ')))];
}
