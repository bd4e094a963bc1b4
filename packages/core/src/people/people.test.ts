import { PhoneNumberFormat, PhoneNumberType, PhoneNumberUtil } from 'google-libphonenumber';
import { parseVCards } from 'vcard4-ts';

import { makeShortcut } from '../model/testing';
import { fromQuotedPrintable } from './property';
import { calledFor, COUNTRIES, countryOf, homeOf, matchCards, readCards, readPhone, writeAddress, type Card } from '.';

const card = (...lines: string[]) => ['BEGIN:VCARD', ...lines, 'END:VCARD', ''].join('\r\n');
const read = (text: string, home = 'GB') => readCards(text, home);
const textsOf = ({ parts }: Card) => Object.fromEntries(parts.map(({ id, text }) => [id, text]));

/** RFC 6350, section 8; from memory. */
const RFC_6350 = card(
  'VERSION:4.0',
  'FN:Simon Perreault',
  'N:Perreault;Simon;;;ing. jr,M.Sc.',
  'BDAY:--0203',
  'GENDER:M',
  'LANG;PREF=1:fr',
  'ORG;TYPE=work:Viagenie',
  'ADR;TYPE=work:;Suite D2-630;2875 Laurier;',
  ' Quebec;QC;G1V 2M2;Canada',
  'TEL;VALUE=uri;TYPE="work,voice";PREF=1:tel:+1-418-656-9254;ext=102',
  'TEL;VALUE=uri;TYPE="work,cell,voice,video,text":tel:+1-418-262-6501',
  'EMAIL;TYPE=work:simon.perreault@viagenie.ca',
  'GEO;TYPE=work:geo:46.772673,-71.282945',
  'KEY;TYPE=work;VALUE=uri:',
  ' http://www.viagenie.ca/simon.perreault/simon.asc',
  'TZ:-0500',
  'URL;TYPE=home:http://nomis80.org',
);

/** RFC 2426, section 7; from memory. */
const RFC_2426 = [
  'BEGIN:vCard',
  'VERSION:3.0',
  'FN:Frank Dawson',
  'ORG:Lotus Development Corporation',
  'ADR;TYPE=WORK,POSTAL,PARCEL:;;6544 Battleford Drive',
  ' ;Raleigh;NC;27613-3502;U.S.A.',
  'TEL;TYPE=VOICE,MSG,WORK:+1-919-676-9515',
  'TEL;TYPE=FAX,WORK:+1-919-676-9564',
  'EMAIL;TYPE=INTERNET,PREF:Frank_Dawson@Lotus.com',
  'EMAIL;TYPE=INTERNET:fdawson@earthlink.net',
  'URL:http://home.earthlink.net/~fdawson',
  'END:vCard',
  '',
  'BEGIN:vCard',
  'VERSION:3.0',
  'FN:Tim Howes',
  'TEL;TYPE=VOICE,MSG,WORK:+1-415-937-3419',
  'END:vCard',
].join('\n');

describe('example cards of the standards', () => {
  test('RFC 6350: numbers, mail, address in its country’s order, link', () => {
    const { cards, problems } = read(RFC_6350);
    expect(problems).toEqual([]);
    expect(cards[0]).toMatchObject({ name: 'Simon Perreault', hasUid: false, uid: 'name:simon perreault' });
    expect(textsOf(cards[0]!)).toEqual({
      mobile: '+1 418 262 6501',
      'phone-work': '+1 418 656 9254 ext. 102',
      'mail-work': 'simon.perreault@viagenie.ca',
      'address-work': 'Suite D2-630\n2875 Laurier\nQuebec, QC G1V 2M2\nCanada',
      link: 'http://nomis80.org',
      'name-number': 'Simon Perreault +1 418 262 6501',
    });
  });

  test('RFC 2426: two cards in a file; at home in the same country without it', () => {
    const { cards, problems, count } = read(RFC_2426, 'US');
    expect([problems, count]).toEqual([[], 2]);
    expect(textsOf(cards[0]!)).toMatchObject({
      'phone-work': '(919) 676-9515',
      fax: '(919) 676-9564',
      mail: 'Frank_Dawson@Lotus.com',
      'mail 2': 'fdawson@earthlink.net',
      'address-work': '6544 Battleford Drive\nRaleigh, NC 27613-3502',
    });
  });

  test('another reader, vcard4-ts, reads the same names, mails and numbers', () => {
    const other = parseVCards(RFC_6350).vCards![0];
    const [ours] = read(RFC_6350).cards;
    expect(ours!.name).toBe(other.FN[0].value);
    expect(textsOf(ours!)['mail-work']).toBe(other.EMAIL![0].value);
    const digits = (text: string) => text.replaceAll(/\D/gu, '');
    expect([textsOf(ours!)['phone-work'], textsOf(ours!).mobile].map((text) => digits(text!))).toEqual(
      other.TEL!.map(({ value }) => digits(value)),
    );
  });
});

describe('cards as phones and mail programs write them', () => {
  test('quoted-printable in Latin-1 over several lines, types without a name (vCard 2.1)', () => {
    const { cards, problems } = read(
      card(
        'VERSION:2.1',
        'N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:M=FCller;J=F6rg',
        'TEL;CELL:+49 1511 2345678',
        'ADR;HOME;ENCODING=QUOTED-PRINTABLE;CHARSET=UTF-8:;;Hafenstra=C3=9Fe 5;Kiel=',
        ';;24103;Deutschland',
      ),
    );
    expect(problems).toEqual([]);
    expect(cards[0]!.name).toBe('Jörg Müller');
    expect(textsOf(cards[0]!)).toMatchObject({
      mobile: '+49 1511 2345678',
      address: 'Hafenstraße 5\n24103 Kiel\nDeutschland',
    });
    // RFC 2045, section 6.7.
    expect(fromQuotedPrintable('=3D=\tx=zz', 'utf-8')).toBe('==\tx=zz');
    expect(fromQuotedPrintable('=E4', 'no-such-charset')).toBe('\ufffd');
  });

  test('grouped properties, commas that are escaped, a comma in quotes', () => {
    const [ann] = read(
      card(
        'VERSION:3.0',
        'FN:Ann Corrie',
        'item1.TEL;TYPE=pref:07700 900123',
        'item1.X-ABLabel:_$!<Mobile>!$_',
        String.raw`item2.ADR;TYPE=home:;;Unit 3\, The Ropewalk;Larkmouth;;ZZ1 2AB;UK`,
      ),
    ).cards;
    expect(textsOf(ann!)).toMatchObject({
      phone: '07700 900123',
      address: 'Unit 3, The Ropewalk\nLarkmouth\nZZ1 2AB',
    });
  });

  test('a picture of a megabyte, 200 numbers, no name', () => {
    const picture = Array.from({ length: 14_000 }, () => ` ${'A'.repeat(74)}`).join('\r\n');
    const numbers = Array.from({ length: 200 }, (_, index) => `TEL;TYPE=CELL:+44 7700 ${900_000 + index}`);
    const { cards, problems } = read(
      card('VERSION:3.0', `PHOTO;ENCODING=b;TYPE=JPEG:AAAA\r\n${picture}`, ...numbers) +
        card('VERSION:3.0', 'NOTE:nobody'),
    );
    expect(cards).toHaveLength(1);
    expect(cards[0]!.parts).toHaveLength(200);
    expect(cards[0]!.parts[199]!.id).toBe('mobile 200');
    expect(cards[0]!.name).toBe('07700 900000');
    expect(problems).toEqual([{ line: expect.any(Number) as number, type: 'empty', name: '' }]);
  });

  test('what is wrong is told with its line, and the rest is read', () => {
    const { cards, problems, count } = read(
      `stray\nBEGIN:VCARD\nFN:Ann\nGARBAGE\nTEL:07700 900123\nBEGIN:VCARD\nFN:Mara\nUID:1\nTEL:07700 900456\nEND:VCARD\n${card('FN:Mara Vale', 'UID:1', 'TEL:07700 900789')}`,
    );
    expect(count).toBe(3);
    expect(cards.map(({ name, uid }) => [name, uid])).toEqual([
      ['Ann', 'name:ann'],
      ['Mara', '1'],
      ['Mara Vale', '1#2'],
    ]);
    expect(problems.map(({ type, line }) => [type, line])).toEqual([
      ['outside', 1],
      ['no-end', 2],
      ['bad-line', 4],
      ['same-uid', 11],
    ]);
  });
});

describe('numbers', () => {
  const google = PhoneNumberUtil.getInstance();

  test('every country’s example of a mobile number, by google-libphonenumber, is written as there and from abroad', () => {
    let compared = 0;
    for (const region of COUNTRIES) {
      const example = google.getExampleNumberForType(region, PhoneNumberType.MOBILE);
      if (!example) continue;
      const written = google.format(example, PhoneNumberFormat.E164);
      const abroad = readPhone(written, region === 'GB' ? 'DE' : 'GB');
      expect([region, abroad.isPossible]).toEqual([region, true]);
      // Small islands share the code of a larger country, and are at home there.
      if (readPhone(written, 'GB').text.startsWith('+')) {
        expect([region, abroad.text.replaceAll(/\D/gu, '')]).toEqual([region, written.slice(1)]);
      }
      const national = readPhone(written, region).text.replaceAll(/\D/gu, '');
      expect([region, national]).toEqual([
        region,
        google.format(example, PhoneNumberFormat.NATIONAL).replaceAll(/\D/gu, ''),
      ]);
      compared += 1;
    }
    expect(compared).toBeGreaterThan(220);
  });

  test('what can be no number stays as it was written', () => {
    expect(readPhone('ask at the desk', 'GB')).toEqual({ text: 'ask at the desk', isPossible: false, isMobile: null });
    expect(readPhone('07700 900123', 'GB').text).toBe('07700 900123');
    expect(readPhone('+44 7700 900123', 'DE').text).toBe('+44 7700 900123');
    expect(readPhone('01632 960123', 'ZZ').isPossible).toBe(false);
  });

  test('the country of a file is that of most of its numbers', () => {
    expect(homeOf(RFC_2426)).toBe('US');
    expect(homeOf(card('FN:x', 'TEL:+44 7700 900123'))).toBe('GB');
    expect(homeOf(card('FN:x', 'TEL:07700 900123'))).toBeNull();
  });
});

describe('addresses', () => {
  const parts = { box: '', more: '', street: '12 Hafenweg', town: 'Larkmouth', region: '', code: '12345', country: '' };

  // Line orders as the postal services of these countries ask for them; from memory.
  test.each([
    ['Germany', '12 Hafenweg\n12345 Larkmouth\nGermany'],
    ['France', '12 Hafenweg\n12345 Larkmouth\nFrance'],
    ['USA', '12 Hafenweg\nLarkmouth, ZZ 12345\nUnited States of America'],
    ['Hungary', '12345 Larkmouth\n12 Hafenweg\nHungary'],
  ])('%s', (country, lines) => {
    const region = country === 'USA' ? 'ZZ' : '';
    expect(writeAddress({ ...parts, country, region }, 'GB')).toBe(lines);
  });

  test('countries by code and by name, in several languages', () => {
    expect(['DE', 'Deutschland', 'Allemagne', 'UK', 'Royaume-Uni', 'Narnia', ''].map(countryOf)).toEqual([
      'DE',
      'DE',
      'DE',
      'GB',
      'GB',
      null,
      null,
    ]);
    expect(writeAddress({ ...parts, country: 'Narnia' }, 'GB')).toContain('Narnia');
  });
});

describe('a later file', () => {
  const before = read(card('FN:Ann Corrie', 'UID:1', 'TEL;TYPE=CELL:07700 900123', 'EMAIL:ann@corrie.example')).cards;
  const list = [
    makeShortcut('@ann', '07700 900123', { card: { uid: '1', part: 'mobile' } }),
    makeShortcut('@anne', 'ann@corrie.example', { card: { uid: '1', part: 'mail' } }),
    makeShortcut(';x', '07700 900999'),
  ];

  test('of the same people: nothing to do, and nothing twice', () => {
    const match = matchCards(before, list);
    expect([match.same, match.changed, match.gone]).toEqual([2, [], []]);
    expect([...match.known]).toEqual([
      ['1 mobile', '@ann'],
      ['1 mail', '@anne'],
    ]);
  });

  test('a number that changed, one that is gone, one in another order, one that stands on the list by itself', () => {
    const { cards } = read(
      card('FN:Ann Corrie', 'UID:1', 'TEL;TYPE=CELL:07700 900555', 'TEL;TYPE=CELL:07700 900999') +
        card('FN:Mara', 'TEL:07700 900123'),
    );
    const { changed, gone, same, known } = matchCards(cards, list);
    expect(changed.map(({ shortcutId, was, part }) => [shortcutId, was, part?.text])).toEqual([
      ['@ann', '07700 900123', '07700 900555'],
    ]);
    expect(gone.map(({ shortcutId }) => shortcutId)).toEqual(['@anne']);
    expect(same).toBe(0);
    expect(known.get('1 mobile 2')).toBe(';x');
    const swapped = read(card('FN:Ann', 'UID:1', 'TEL;TYPE=CELL:07700 900555', 'TEL;TYPE=CELL:07700 900123')).cards;
    expect(matchCards(swapped, list)).toMatchObject({ same: 1, changed: [] });
  });
});

test('what people are called: the first thing by name, others with a letter behind or before it', () => {
  const [ann] = read(
    card('FN:Ann Corrie', 'N:Corrie;Ann;;;', 'NICKNAME:Annie', 'TEL:07700 900123', 'EMAIL:a@b.example'),
  ).cards;
  const [number, mail] = ann!.parts;
  expect(calledFor(ann!, number!, true)).toEqual(['annie', 'ann', 'annc', 'corrie', 'ac']);
  expect(calledFor(ann!, mail!, false).slice(0, 4)).toEqual(['anniee', 'eannie', 'anne', 'eann']);
});
