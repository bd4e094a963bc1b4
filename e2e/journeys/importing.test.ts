import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey, keepApp } from '../journey';

keepApp();

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-files-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function file(name: string, content: string | Buffer): string {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
}

/** Opens a file where a list is brought in. */
async function openFile(app: App, path: string): Promise<void> {
  await (await app.browser.driver.findElement(By.css('[role=main] input[type=file]'))).sendKeys(path);
}

/** The groups of the preview, as they are called. */
function groups(app: App): Promise<string[]> {
  return app.driverScript(
    `return [...document.querySelectorAll('[role=button][aria-expanded]')].map((group) => group.getAttribute('aria-label'))`,
  );
}

async function seeGroups(app: App, wanted: string[]): Promise<void> {
  await app
    .until(async () => (await groups(app)).join() === wanted.join(), `the groups ${wanted.join(', ')}`)
    .catch(async (error: Error) => {
      throw new Error(`${error.message}; there are ${(await groups(app)).join(', ')}`);
    });
}

/** As a spreadsheet of a country with decimal commas writes it: a marker that is the delimiter too stands in quotes. */
const TABLE = [
  'Shortcut;Phrase;Folder',
  '";ws";"Corrie & Vale Workshop\r\nUnit 4, Mill Lane";Us',
  '";cv";Corrie & Vale, travelling piano care;Us',
  '";loan";The loan piano is yours until the end of the month.;Loans',
  '";tune2";The second tuning is due in half a year.;',
  '";TEN";Ten past the hour.;',
  '";loan";Another of the same.;',
  '";sum";"\'=A1 plus the rest";',
  '";pay";4111 1111 1111 1111;',
  '";none";;',
  '";open";"never closed;',
].join('\r\n');

journey(
  'a table from a spreadsheet: seen row by row, decided, brought in and taken back at once',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('In step');
    const before = await app.kept();
    await app.tap('More about the list');
    await app.tap('Bring in a list or a file');
    await app.seeText('Up to 32 MB and 50,000 rows');
    await app.expectAccessible();
    await openFile(
      app,
      file('alte Liste.csv', execFileSync('iconv', ['-f', 'UTF-8', '-t', 'UTF-16'], { input: TABLE })),
    );
    await seeGroups(app, ['New: 4', 'Changed: 1', 'Code taken: 2', 'Refused: 2', 'The same: 1']);
    await app.seeText('a table, with semicolons, its first row a heading, UTF-16');
    await app.expectAccessible();
    await app.tap('New: 4');
    await app.seeText('Line 12: A quote opens at character 9 and is never closed.');
    await app.seeText('Line 11: There is no text for the code.');
    await app.seeText('your list has ;ten: stays out');
    await app.seeText('line 5 has this code: stays out');
    // The one whose code is taken gets another; that is taken too, and told.
    await app.tap('Decide on line 7, ;TEN');
    await app.fill('You type', ';cv');
    await app.tap('Done');
    await app.seeText(';cv is taken');
    await app.fill('You type', ';past');
    await app.expectAccessible();
    await app.tap('Done');
    await app.seeText('comes in as ;past');
    await app.tap('Code taken: 2');
    await app.tap('Changed: 1');
    await app.tap('New: 4');
    await app.press(await app.see(By.css('[role=checkbox][aria-label^="Line 6, ;tune2"]')));
    await app.choose('Those without a set go into', 'a new set…');
    await app.fill('The name of the new set', 'Old list');
    await app.tap('Bring in 5');
    await app.seeText('4 shortcuts are new, 1 shortcut is changed.');
    await app.fill('Find by code or text', 'old list');
    await app.until(async () => (await app.codes()).join() === ';past,;pay,;sum', 'those without a set in the new one');
    await app.seeText('=A1 plus the rest');
    // What looked like a secret has stayed on this device.
    expect(await app.kept()).not.toContain('4111 1111');
    await app.undo();
    await app.seeText('No code, text, note or set holds “old list”');
    await app.tap('Show all');
    await app.seeText('In step');
    await app.until(async () => (await app.text()).includes('The Ropewalk'), 'the old address to be back');
    expect(codesAndTexts(await app.kept())).toEqual(codesAndTexts(before));
  },
);

/** What stands of the kept records: code and text of each that is not deleted. */
function codesAndTexts(kept: string): string[] {
  const records = JSON.parse(kept) as { type: string; fields: Record<string, { value: unknown; saw?: unknown }[]> }[];
  return records
    .filter(({ type, fields }) => type === 'shortcut' && fields.deleted?.[0]?.value !== true)
    .map(
      ({ fields }) =>
        `${String(fields.code![0]!.value)} ${(fields.content![0]!.value as { expansion: string }).expansion}`,
    );
}

journey('what is pasted: notes, Markdown, several copied lines; columns said by hand', 'empty', async ({ open }) => {
  const app = await open('phone');
  await app.tap('Bring in what you have');
  await app.insert(await app.field('Or paste a list'), '- ;ws = Mill Lane\n- ;ten = Ten minutes\n');
  await app.tap('Look at it');
  await seeGroups(app, ['New: 2']);
  await app.tap('Bring in 2');
  await app.seeText('2 shortcuts are new.');
  await app.until(async () => (await app.codes()).join() === ';ten,;ws', 'both');

  await app.open('/import');
  await app.insert(
    await app.field('Or paste a list'),
    '| You type | You get |\n|---|---|\n| ;ws | Mill Lane |\n| ;bye | Best wishes<br>Ansel |\n',
  );
  await app.tap('Look at it');
  await seeGroups(app, ['New: 1', 'The same: 1']);
  await app.seeText('Best wishes ↵ Ansel');
  await app.tap('Bring in 1');

  // Four columns of which it cannot be told what they hold.
  await app.seeText('1 shortcut is new.');
  await app.open('/import');
  await app.insert(
    await app.field('Or paste a list'),
    'x1,;key,The key is under the mat.,2019\nx2,;gate,The gate is open from ten.,2020\n',
  );
  await app.tap('Look at it');
  await app.seeText('What does each column hold?');
  await app.expectAccessible();
  await app.choose('Column 1', 'nothing that is read');
  await app.choose('Column 2', 'You type (the code)');
  await app.choose('Column 3', 'You get (the text)');
  await app.choose('Column 4', 'Note');
  await app.tap('Go on');
  await seeGroups(app, ['New: 2']);
  await app.tap('Bring in 2');
  await app.fill('Find by code or text', '2019');
  await app.until(async () => (await app.codes()).join() === ';key', 'the note to be found');

  // Lines that were copied together, from the bar at the foot.
  await app.open('/');
  await app.copyToClipboard('Please leave the lid open.\nParking is behind the hall.\nThe bench comes with it.\n');
  await app.tap('Paste');
  await app.seeText('3 lines came along.');
  await app.tap('Each its own');
  await seeGroups(app, ['New: 3']);
  await app.seeText('the code was made for it');
  await app.tap('Bring in 3');
  await app.seeText('3 shortcuts are new.');
  await app.seeText('Parking is behind the hall.');
});

journey('what cannot be brought in says why, and the list is as it was', 'demo', async ({ open }) => {
  const app = await open('phone', '/import');
  const refuses = async (path: string, told: string) => {
    await openFile(app, path);
    await app.seeText(told);
    await app.tap('Another file');
  };
  const big = file('big.csv', '');
  truncateSync(big, 50 * 1024 * 1024);
  await refuses(big, 'It has 50 MB; at most 32 MB are read');
  await refuses(
    file('rows.csv', Array.from({ length: 100_000 }, (_, index) => `;r${index},x`).join('\n')),
    'more than 50,000 rows',
  );
  await refuses(file('empty.csv', ''), 'There is nothing in it to bring in.');
  await refuses(file('heading.csv', 'code,expansion\n'), 'It has a heading and nothing below it.');
  await refuses(file('zeros.csv', ';a,b\n;c\0,d\n'), 'byte 8 is a zero');
  await refuses(file('picture.csv', Buffer.from('89504e470d0a1a0a0000', 'hex')), 'This is a picture, no text.');
  await refuses(
    file('later.json', '{"format": "yellow-latch list", "version": 2, "shortcuts": []}'),
    'written by a later version',
  );
  await refuses(file('other.json', '{"name": "something else"}'), 'no list of Yellow Latch');
  await refuses(
    file('broken.json', '{"format": "yellow-latch list",\n "version": 1,,'),
    'breaks at line 2, character 15',
  );

  // Read in the wrong encoding: told, and mended by choosing another.
  await openFile(
    app,
    file(
      'latin.csv',
      execFileSync('iconv', ['-f', 'UTF-8', '-t', 'MACINTOSH'], {
        input: 'code,expansion\n;str,"Prüfstraße 5, Zürich"\n',
      }),
    ),
  );
  await seeGroups(app, ['New: 1']);
  await app.tap('Read otherwise');
  await app.choose('Encoding', 'UTF-8');
  await app.seeText('signs could not be read');
  await app.choose('Encoding', 'Western European (Mac)');
  await app.tap('Done');
  await app.seeText('Prüfstraße 5');
  await app.expectAccessible();
  // A script is a text like any other.
  await app.tap('Another file');
  await openFile(
    app,
    file(
      'script.csv',
      'code,expansion\n;js,<script>document.title = "run"</script><img src=x onerror="document.title = 1">\n',
    ),
  );
  await seeGroups(app, ['New: 1']);
  await app.tap('Bring in 1');
  await app.seeText('1 shortcut is new.');
  expect(await app.browser.driver.getTitle()).not.toBe('run');
});

journey(
  'shared from another program: a text begins a shortcut, a file is looked at; neither goes by an address or to a server',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.isKeptOnDevice();
    const share = (fields: string) =>
      app.driverScript(`
      const form = Object.assign(document.createElement('form'), { method: 'POST', action: '/share', enctype: 'multipart/form-data' });
      const add = (name, value) => form.append(Object.assign(document.createElement('textarea'), { name, value }));
      ${fields}
      document.body.append(form);
      form.submit();`);
    await share(
      `add('title', 'Booking page'); add('text', 'Book here: https://corrieandvale.example/book?utm_source=app&slot=2');`,
    );
    await app.until(async () => (await app.browser.driver.getCurrentUrl()).endsWith('/new'), 'the new shortcut');
    expect(await (await app.field('You get')).getAttribute('value')).toBe(
      'Book here: https://corrieandvale.example/book?utm_source=app&slot=2',
    );
    expect(await (await app.field('Note')).getAttribute('value')).toBe('Booking page');
    // What the link carries is told with the reason, and goes with one tap.
    await app.seeText('utm_source says which campaign led here');
    await app.expectAccessible();
    await app.tap('Take out');
    expect(await (await app.field('You get')).getAttribute('value')).toBe(
      'Book here: https://corrieandvale.example/book?slot=2',
    );
    await app.insert(await app.field('You type'), ';bookhere');
    await app.tap('Save');
    await app.seeText(';bookhere is saved');

    await share(`
    const input = Object.assign(document.createElement('input'), { type: 'file', name: 'file' });
    const data = new DataTransfer();
    data.items.add(new File(['code,expansion\\n;sf,From a shared file\\n'], 'shared.csv', { type: 'text/csv' }));
    input.files = data.files;
    form.append(input);`);
    await app.until(
      async () => (await app.browser.driver.getCurrentUrl()).endsWith('/import'),
      'the file to be looked at',
    );
    await seeGroups(app, ['New: 1']);
    await app.seeText('shared.csv');
    // It is fetched once, and nothing of it stays behind.
    expect(
      await app.driverScript(`return caches.open('shared').then((cache) => cache.keys()).then((keys) => keys.length)`),
    ).toBe(0);

    await share('');
    await app.seeText('Nothing came along');
    await app.expectAccessible();
  },
);
