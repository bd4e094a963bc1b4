import { execFileSync } from 'node:child_process';

import { decodeText } from './decode';
import type { Encoding } from './encodings';

/** Written by iconv (GNU libc), the same texts as a person would have them. */
const written = (text: string, encoding: string) =>
  execFileSync('iconv', ['-f', 'UTF-8', '-t', encoding], { input: text });

describe('files that do not say how they are written', () => {
  test.each<[Encoding, string, string]>([
    ['windows-1251', 'CP1251', ';ws\tМастерская на Мельничной улице\n;ten\tБуду через десять минут\n'],
    [
      'windows-1251',
      'CP1251',
      'code,text\n;ma,Мастерская на Мельничной улице\n;de,Буду через десять минут\n;ws,"Mill Lane, Corrie"\n',
    ],
    ['koi8-r', 'KOI8-R', ';ws\tМастерская на Мельничной улице\n;ten\tБуду через десять минут\n'],
    [
      'iso-8859-2',
      'ISO-8859-2',
      ';ws\tDziękuję, przyjadę około południa. Proszę zostawić klucz\n;ten\tJestem za dziesięć minut\n',
    ],
    ['shift_jis', 'SHIFT_JIS', ';ws\t工房は水車小路にあります\n;ten\t十分で着きます\n'],
    ['euc-jp', 'EUC-JP', ';ws\t工房は水車小路にあります\n;ten\t十分で着きます\n'],
    ['gb18030', 'GB18030', ';ws\t工作室在磨坊巷\n;ten\t我十分钟后到\n'],
    ['big5', 'BIG5', ';ws\t工作室在磨坊巷\n;ten\t我十分鐘後到\n'],
    ['euc-kr', 'EUC-KR', ';ws\t작업실은 방앗간 골목에 있습니다\n;ten\t십 분 뒤에 도착합니다\n'],
    ['windows-1252', 'CP1252', 'Kürzel;Text\n;gr;Grüße aus der Werkstatt, bis später\n'],
    ['windows-1252', 'CP1252', 'café\tCafé crème\n'],
  ])('%s is found likely, and told as a guess', (encoding, name, text) => {
    expect(decodeText(written(text, name))).toEqual({ text, encoding, unread: 0, isGuess: true });
  });

  test.each(['UTF-16LE', 'UTF-16BE'] as const)('%s without a byte order mark, in any script', (name) => {
    for (const text of [
      '工作室在磨坊巷，靠近旧水坝。钥匙在门边的盒子里。\n',
      ';ws\t工作室在磨坊巷\n;ten\t我十分钟后到\n',
      ';ws\tМастерская на Мельничной\n',
      ';ws\tMill Lane\n',
      ';ws\t작업실은 방앗간 골목\n',
      '工房は水車小路にあります\n鍵は箱の中です\n',
    ]) {
      expect(decodeText(written(text, name))).toEqual({
        text,
        encoding: name.toLowerCase(),
        unread: 0,
        isGuess: false,
      });
    }
  });

  test('bytes with zeros that make no text are none', () => {
    for (const bytes of [
      [0, 1, 2, 3],
      [0x41, 0, 0, 0x42, 0x43],
      [0x20, 0, 0x07, 0, 0x01, 0, 0x0a, 0],
    ])
      expect(decodeText(Uint8Array.from(bytes))).toMatchObject({ type: 'binary' });
  });
});

describe('files that say it, by their bytes or by a person', () => {
  const text = 'code;expansion\n;str;Prüfstraße 5, Zürich\n;eur;12 € – “früh”\n';
  test.each([
    ['UTF-8', 'utf-8'],
    ['UTF-16LE', 'utf-16le'],
    ['UTF-16BE', 'utf-16be'],
    ['UTF-16', 'utf-16le'],
    ['WINDOWS-1252', 'windows-1252'],
  ])('%s is found out', (encoding, found) =>
    expect(decodeText(written(text, encoding))).toEqual({
      text,
      encoding: found,
      unread: 0,
      isGuess: found === 'windows-1252',
    }),
  );

  test.each([
    ['ISO-8859-15', 'iso-8859-15', text.replaceAll('–', '-').replaceAll(/[“”]/g, '"')],
    ['WINDOWS-1250', 'windows-1250', text],
    ['MACINTOSH', 'macintosh', text],
    ['GB18030', 'gb18030', text],
  ] as const)('%s is read when a person says so', (encoding, label, wanted) => {
    expect(decodeText(written(wanted, encoding), label)).toMatchObject({ text: wanted, unread: 0 });
  });

  test('signs that an encoding does not have are counted', () => {
    expect(decodeText(written('Zürich, Prüfstraße', 'ISO-8859-1'), 'utf-8')).toMatchObject({ unread: 3 });
  });

  test('Latin-1 is found out', () => {
    const latin = 'Zürich, Prüfstraße';
    expect(decodeText(execFileSync('iconv', ['-f', 'UTF-8', '-t', 'ISO-8859-1'], { input: latin }))).toMatchObject({
      text: latin,
    });
  });

  test.each([
    ['a picture', Buffer.from('89504e470d0a1a0a0000', 'hex'), 'a picture'],
    ['a spreadsheet', Buffer.from('504b0304', 'hex'), 'a packed file, as spreadsheets and word processors keep theirs'],
    ['zero bytes', Buffer.from('a,b\nc\0,d'), null],
  ])('%s is no text', (_name, bytes, looksLike) =>
    expect(decodeText(bytes)).toMatchObject({ type: 'binary', looksLike }),
  );
});
