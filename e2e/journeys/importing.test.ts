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
    await app.seeText('Synced');
    const before = await app.kept();
    await app.tap('More');
    await app.tap('Import');
    await app.seeText('Up to 32 MB and 50,000 rows');
    await app.expectAccessible();
    await openFile(
      app,
      file('alte Liste.csv', execFileSync('iconv', ['-f', 'UTF-8', '-t', 'UTF-16'], { input: TABLE })),
    );
    await seeGroups(app, ['New 4', 'Changed 1', 'Code in use 2', 'Can’t be imported 2', 'The same 1']);
    await app.seeText('table, semicolons, with a header, UTF-16');
    await app.expectAccessible();
    await app.tap('New 4');
    await app.seeText('Line 12: The quote at position 9 is never closed.');
    await app.seeText('Line 11: There’s no text for this code.');
    await app.seeText('you already use this code: you keep yours');
    await app.seeText('line 5 has this code: skipped');
    // The one whose code is taken gets another; that is taken too, and told.
    await app.press(
      await app.see(By.css('[role=radiogroup][aria-label="What to do with line 7"] [role=radio]:nth-child(3)')),
    );
    await app.fill('You type', ';cv');
    await app.tap('Done');
    await app.seeText('“;cv” is in use');
    await app.fill('You type', ';past');
    await app.expectAccessible();
    await app.tap('Done');
    await app.seeText('imported as ;past');
    await app.tap('Code in use 2');
    // One's own text stays unless one says otherwise.
    await app.seeText('Yours: ');
    await app.seeText('Import 5');
    await app.press(
      await app.see(By.css('[role=radiogroup][aria-label="What to do with line 2"] [role=radio]:nth-child(2)')),
    );
    await app.seeText('Import 6');
    await app.tap('Changed 1');
    await app.tap('New 4');
    await app.press(await app.see(By.css('[role=checkbox][aria-label^="Line 6, ;tune2"]')));
    await app.choose('Put shortcuts without a set into', 'new set…');
    await app.fill('Name of the new set', 'Old list');
    await app.tap('Import 5');
    await app.seeText('Imported 4 new shortcuts, 1 changed.');
    await app.fill('Search your shortcuts', 'old list');
    await app.until(async () => (await app.codes()).join() === ';past,;pay,;sum', 'those without a set in the new one');
    await app.seeText('=A1 plus the rest');
    // What looked like a secret has stayed on this device.
    expect(await app.kept()).not.toContain('4111 1111');
    await app.undo();
    await app.seeText('Nothing found for “old list”');
    await app.tap('Show all');
    await app.seeText('Synced');
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
  await app.tap('Import a list you have');
  await app.insert(await app.field('Or paste a list'), '- ;ws = Mill Lane\n- ;ten = Ten minutes\n');
  await app.tap('Preview');
  await seeGroups(app, ['New 2']);
  await app.tap('Import 2');
  await app.seeText('Imported 2 new shortcuts.');
  await app.until(async () => (await app.codes()).join() === ';ten,;ws', 'both');

  await app.open('/import');
  await app.insert(
    await app.field('Or paste a list'),
    '| You type | You get |\n|---|---|\n| ;ws | Mill Lane |\n| ;bye | Best wishes<br>Ansel |\n',
  );
  await app.tap('Preview');
  await seeGroups(app, ['New 1', 'The same 1']);
  await app.seeText('Best wishes ↵ Ansel');
  await app.tap('Import 1');

  // Four columns of which it cannot be told what they hold.
  await app.seeText('Imported 1 new shortcut.');
  await app.open('/import');
  await app.insert(
    await app.field('Or paste a list'),
    'x1,;key,The key is under the mat.,2019\nx2,;gate,The gate is open from ten.,2020\n',
  );
  await app.tap('Preview');
  await app.seeText('What’s in each column?');
  await app.expectAccessible();
  await app.choose('Column 1', 'Ignore this column');
  await app.choose('Column 2', 'You type (code)');
  await app.choose('Column 3', 'You get (text)');
  await app.choose('Column 4', 'Note');
  await app.tap('Next');
  await seeGroups(app, ['New 2']);
  await app.tap('Import 2');
  await app.fill('Search your shortcuts', '2019');
  await app.until(async () => (await app.codes()).join() === ';key', 'the note to be found');

  // Lines that were copied together, from the bar at the foot.
  await app.open('/');
  await app.copyToClipboard('Please leave the lid open.\nParking is behind the hall.\nThe bench comes with it.\n');
  await app.tap('Paste');
  await app.seeText('You pasted 3 lines.');
  await app.tap('Make each a shortcut');
  await seeGroups(app, ['New 3']);
  await app.seeText('new code');
  await app.tap('Import 3');
  await app.seeText('Imported 3 new shortcuts.');
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
  await refuses(big, 'This file is 50 MB. The limit is 32 MB');
  await refuses(
    file('rows.csv', Array.from({ length: 100_000 }, (_, index) => `;r${index},x`).join('\n')),
    'more than 50,000 rows',
  );
  await refuses(file('empty.csv', ''), 'There’s nothing in it to import.');
  await refuses(file('heading.csv', 'code,expansion\n'), 'It has a header but no rows.');
  await refuses(file('zeros.csv', ';a,b\n;c\0,d\n'), 'This file isn’t text.');
  await refuses(file('picture.csv', Buffer.from('89504e470d0a1a0a0000', 'hex')), 'This file is a picture, not text.');
  await refuses(
    file('later.json', '{"format": "yellow-latch list", "version": 2, "shortcuts": []}'),
    'comes from a newer version',
  );
  await refuses(file('other.json', '{"name": "something else"}'), 'not from Yellow Latch');
  await refuses(
    file('broken.json', '{"format": "yellow-latch list",\n "version": 1,,'),
    'breaks at line 2, position 15',
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
  await seeGroups(app, ['New 1']);
  await app.tap('Change');
  await app.choose('Encoding', 'UTF-8');
  await app.seeText('couldn’t be read');
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
  await seeGroups(app, ['New 1']);
  await app.tap('Import 1');
  await app.seeText('Imported 1 new shortcut.');
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
    await app.until(async () => (await app.browser.driver.getCurrentUrl()).includes('/new'), 'the new shortcut');
    expect(await (await app.field('You get')).getAttribute('value')).toBe(
      'Book here: https://corrieandvale.example/book?utm_source=app&slot=2',
    );
    await app.openDetails();
    expect(await (await app.field('Note')).getAttribute('value')).toBe('Booking page');
    // What the link carries is told with the reason, and goes with one tap.
    await app.seeText('utm_source shows which campaign you came from');
    await app.expectAccessible();
    await app.tap('Remove it');
    expect(await (await app.field('You get')).getAttribute('value')).toBe(
      'Book here: https://corrieandvale.example/book?slot=2',
    );
    await app.insert(await app.field('You type'), ';bookhere');
    await app.tap('Save');
    await app.seeText('“;bookhere” works in Write.');

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
    await seeGroups(app, ['New 1']);
    await app.seeText('shared.csv');
    // It is fetched once, and nothing of it stays behind.
    expect(
      await app.driverScript(`return caches.open('shared').then((cache) => cache.keys()).then((keys) => keys.length)`),
    ).toBe(0);

    await share('');
    await app.seeText('Nothing was shared');
    await app.expectAccessible();
  },
);
