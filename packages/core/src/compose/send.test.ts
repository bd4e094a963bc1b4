import fc from 'fast-check';

import { fileNameOf, mailtoUri, smsUri, textToSend, titleOf } from '.';

/** The examples of RFC 6068, sections 6.1 to 6.3, as far as their words can be made here; from memory. */
describe('mail drafts as in RFC 6068', () => {
  test.each([
    [{ to: ['chris@example.com'], body: '' }, 'mailto:chris@example.com'],
    [
      { to: ['infobot@example.com'], subject: 'current-issue', body: '' },
      'mailto:infobot@example.com?subject=current-issue',
    ],
    [
      { to: ['infobot@example.com'], body: 'send current-issue' },
      'mailto:infobot@example.com?body=send%20current-issue',
    ],
    [
      { to: ['infobot@example.com'], body: 'send current-issue\nsend index' },
      'mailto:infobot@example.com?body=send%20current-issue%0D%0Asend%20index',
    ],
    [{ to: ['gorby%kremvax@example.com'], body: '' }, 'mailto:gorby%25kremvax@example.com'],
    [{ to: ['unlikely?address@example.com'], body: '' }, 'mailto:unlikely%3Faddress@example.com'],
    [{ to: ['Mike&family@example.org'], body: '' }, 'mailto:Mike%26family@example.org'],
    [{ to: ['"not@me"@example.org'], body: '' }, 'mailto:%22not%40me%22@example.org'],
    [{ to: ['"oh\\\\no"@example.org'], body: '' }, 'mailto:%22oh%5C%5Cno%22@example.org'],
    [{ to: ['user@example.org'], subject: 'caf\u00e9', body: '' }, 'mailto:user@example.org?subject=caf%C3%A9'],
    [
      { to: ['user@example.org'], subject: 'caf\u00e9', body: 'caf\u00e9' },
      'mailto:user@example.org?subject=caf%C3%A9&body=caf%C3%A9',
    ],
    [
      { to: ['user@\u7d0d\u8c46.example.org'], subject: 'Test', body: 'NATTO' },
      'mailto:user@%E7%B4%8D%E8%B1%86.example.org?subject=Test&body=NATTO',
    ],
  ])('%j', (draft, uri) => {
    expect(mailtoUri(draft)).toBe(uri);
  });

  test('several who get it are parted by commas', () => {
    expect(mailtoUri({ to: ['a@corrieandvale.example', 'b@corrieandvale.example'], body: '' })).toBe(
      'mailto:a@corrieandvale.example,b@corrieandvale.example',
    );
  });

  test('any text is read back by the URL standard as it was, with the line breaks of mail', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.string({ unit: 'binary' }), (subject, body) => {
        const read = new URL(mailtoUri({ subject, body })).searchParams;
        expect(read.get('body') ?? '').toBe(body.replaceAll(/\r\n?|\n/gu, '\r\n'));
        expect(read.get('subject') ?? '').toBe(subject.replaceAll(/\s+/gu, ' '));
      }),
    );
  });

  test('half a sign does not keep a draft from being made', () => {
    expect(mailtoUri({ body: 'a\ud83d' })).toBe('mailto:?body=a%EF%BF%BD');
  });
});

/** The examples of RFC 5724, section 2.5, from memory. */
describe('text messages as in RFC 5724', () => {
  test.each([
    [{ to: ['+15105550101'], body: '' }, 'sms:+15105550101'],
    [{ to: ['+15105550101', '+15105550102'], body: '' }, 'sms:+15105550101,+15105550102'],
    [{ to: ['+15105550101'], body: 'hello there' }, 'sms:+15105550101?body=hello%20there'],
    [{ to: ['+44 (1632) 960-147'], body: '' }, 'sms:+441632960147'],
    [{ body: 'Ça va' }, 'sms:?body=%C3%87a%20va'],
  ])('%j', (draft, uri) => {
    expect(smsUri(draft)).toBe(uri);
  });
});

test('the space left after a single address is not sent along; that of a sentence is', () => {
  expect(textToSend('ansel@corrieandvale.example ')).toBe('ansel@corrieandvale.example');
  expect(textToSend('Yes, gladly ')).toBe('Yes, gladly ');
  expect(textToSend('ansel@corrieandvale.example\n')).toBe('ansel@corrieandvale.example\n');
});

describe('what a draft is called', () => {
  test('its first line with something on it, shortened', () => {
    expect(titleOf('\n\n  Dear Rowena,\nthe piano')).toBe('Dear Rowena,');
    expect(titleOf(' \n')).toBe('');
    const title = titleOf('👩‍👩‍👧'.repeat(200));
    expect(title).toBe(`${'👩‍👩‍👧'.repeat(59)}…`);
  });

  test('a file name that every system takes', () => {
    expect(fileNameOf('Re: 3/4 "size" <now>…', 'txt')).toBe('Re 3 4 size now.txt');
    expect(fileNameOf('…', 'html')).toBe('Draft.html');
    expect(fileNameOf('..hidden. ', 'txt')).toBe('hidden.txt');
  });
});
