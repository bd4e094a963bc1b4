/**
 * What a person carries from one device to another: the short code by which a device joins, and the spare key that
 * gets a lost list back. Both in Crockford's base 32 (https://www.crockford.com/base32.html): no I, L, O or U; capitals,
 * spaces and hyphens do not matter, and I, L and O are read as the digits they look like.
 */
import { base32crockford } from '@scure/base';

/** Random bytes of a join code: 8 characters. It lives ten minutes, and wrong tries are counted. */
export const JOIN_CODE_BYTES = 5;
/** Random bytes of a spare key: 24 characters and a check symbol. It works for ever, so it must be beyond guessing. */
export const SPARE_KEY_BYTES = 15;
/** How long a join code holds, in ms. */
export const JOIN_CODE_LASTS = 10 * 60_000;

const CHARACTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
/** The check symbol is the value modulo 37, which needs five more symbols than the 32 characters. */
const CHECK_SYMBOLS = `${CHARACTERS}*~$=U`;
const JOIN_CODE_LENGTH = 8;
const SPARE_KEY_LENGTH = 25;

/** Why what was typed is no such code. */
export type Misread =
  | { type: 'length'; has: number; wants: number }
  | { type: 'character'; character: string }
  /** Every character is allowed, but one of them must be wrong. */
  | { type: 'check' };

export type ReadCode = { type: 'read'; code: string } | Misread;

/** A join code as it is kept and sent: 8 characters. `bytes`: 5 random ones. */
export function joinCodeOf(bytes: Uint8Array): string {
  return base32crockford.encode(bytes);
}

/** A spare key as it is kept and sent: 25 characters, the last one to check the others. `bytes`: 15 random ones. */
export function spareKeyOf(bytes: Uint8Array): string {
  const characters = base32crockford.encode(bytes);
  return characters + checkSymbolOf(characters);
}

export function readJoinCode(typed: string): ReadCode {
  return read(typed, JOIN_CODE_LENGTH, CHARACTERS);
}

export function readSpareKey(typed: string): ReadCode {
  const answer = read(typed, SPARE_KEY_LENGTH, CHECK_SYMBOLS);
  if (answer.type !== 'read') return answer;
  const characters = answer.code.slice(0, -1);
  const wrong = [...characters].find((character) => !CHARACTERS.includes(character));
  if (wrong) return { type: 'character', character: wrong };
  return checkSymbolOf(characters) === answer.code.at(-1) ? answer : { type: 'check' };
}

/** In groups that can be read out: a join code in fours, a spare key in fives. */
export function inGroups(code: string): string {
  const size = code.length === JOIN_CODE_LENGTH ? 4 : 5;
  return code.match(new RegExp(`.{1,${size}}`, 'gu'))?.join('-') ?? '';
}

function read(typed: string, wants: number, characters: string): ReadCode {
  const code = typed
    .toUpperCase()
    .replaceAll(/[\s\u2010-\u2015-]/gu, '')
    .replaceAll('O', '0')
    .replaceAll(/[IL]/gu, '1');
  const foreign = [...code].find((character) => !characters.includes(character));
  if (foreign !== undefined) return { type: 'character', character: foreign };
  return code.length === wants ? { type: 'read', code } : { type: 'length', has: code.length, wants };
}

function checkSymbolOf(characters: string): string {
  let rest = 0;
  for (const character of characters) rest = (rest * 32 + CHARACTERS.indexOf(character)) % 37;
  return CHECK_SYMBOLS[rest]!;
}
