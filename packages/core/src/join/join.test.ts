import { CrockfordBase32 } from 'crockford-base32';
import fc from 'fast-check';

import { inGroups, JOIN_CODE_BYTES, joinCodeOf, readJoinCode, readSpareKey, SPARE_KEY_BYTES, spareKeyOf } from '.';

const bytes = (length: number) => fc.uint8Array({ minLength: length, maxLength: length });

describe('Crockford’s base 32', () => {
  test('is written as another package writes it (crockford-base32 2.1.0)', () => {
    fc.assert(
      fc.property(bytes(JOIN_CODE_BYTES), (random) => {
        expect(joinCodeOf(random)).toBe(CrockfordBase32.encode(Buffer.from(random)).padStart(8, '0'));
      }),
    );
  });

  test('its check symbol is the number modulo 37, one of *~$=U from 32 on (crockford.com/base32.html, from memory)', () => {
    fc.assert(
      fc.property(bytes(SPARE_KEY_BYTES), (random) => {
        const value = random.reduce((sum, byte) => sum * 256n + BigInt(byte), 0n);
        expect(spareKeyOf(random).at(-1)).toBe('0123456789ABCDEFGHJKMNPQRSTVWXYZ*~$=U'[Number(value % 37n)]);
      }),
    );
  });
});

describe('a join code', () => {
  const code = joinCodeOf(Uint8Array.of(0x04, 0x20, 0xff, 0x00, 0x1f));

  test('is read however it is typed', () => {
    for (const typed of [code, inGroups(code), code.toLowerCase(), ` ${code.slice(0, 3)} ${code.slice(3)} `]) {
      expect(readJoinCode(typed)).toEqual({ type: 'read', code });
    }
    expect(readJoinCode('oOiI-lL01')).toEqual({ type: 'read', code: '00111101' });
    expect(inGroups(code)).toMatch(/^\w{4}-\w{4}$/u);
  });

  test('says what is wrong with it', () => {
    expect(readJoinCode('K7QF')).toEqual({ type: 'length', has: 4, wants: 8 });
    expect(readJoinCode('')).toEqual({ type: 'length', has: 0, wants: 8 });
    expect(readJoinCode('K7QF3MZ!')).toEqual({ type: 'character', character: '!' });
    expect(readJoinCode('K7QF3MZU')).toEqual({ type: 'character', character: 'U' });
    expect(readJoinCode('K7QF3MZ💛')).toEqual({ type: 'character', character: '💛' });
  });
});

describe('a spare key', () => {
  test('comes back from paper, and one wrong character or two changed places are found', () => {
    fc.assert(
      fc.property(bytes(SPARE_KEY_BYTES), fc.nat(23), fc.nat(30), (random, at, by) => {
        const key = spareKeyOf(random);
        expect(readSpareKey(inGroups(key).toLowerCase())).toEqual({ type: 'read', code: key });
        const characters = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
        const other = characters[(characters.indexOf(key[at]!) + 1 + by) % 32]!;
        expect(readSpareKey(key.slice(0, at) + other + key.slice(at + 1))).toEqual({ type: 'check' });
        if (at < 23 && key[at] !== key[at + 1]) {
          const swapped = key.slice(0, at) + key[at + 1] + key[at] + key.slice(at + 2);
          expect(readSpareKey(swapped)).toEqual({ type: 'check' });
        }
      }),
    );
  });

  test('has its check symbol at the end alone', () => {
    expect(readSpareKey(`*${'0'.repeat(24)}`)).toEqual({ type: 'character', character: '*' });
    expect(readSpareKey('0'.repeat(25))).toEqual({ type: 'read', code: '0'.repeat(25) });
  });
});
