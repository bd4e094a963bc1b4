import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { Stand } from '../stand';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-saved-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Files that the browser saves go into a folder of the test. */
async function savesHere(app: App, into = folder): Promise<void> {
  await app.browser.command('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: into });
}

/** Waits for a file to be saved whole, and gives its name and path. */
async function saved(ending: string, into: string, app: App): Promise<string> {
  const find = () => readdirSync(into).find((one) => one.endsWith(ending));
  await app.until(() => Promise.resolve(find() !== undefined), `a file ${ending}`);
  return join(into, find()!);
}

async function bringIn(app: App, path: string): Promise<void> {
  await app.open('/import');
  await (
    await app.see(By.css('[role=main]'))
  )
    .findElement(By.css('input[type=file]'))
    .then((input) => input.sendKeys(path));
}

journey('files out and in again: nothing is new, nothing is changed', 'demo', async ({ open }) => {
  const app = await open('phone');
  await savesHere(app);
  await app.seeText('Synced');
  await app.tap('More');
  await app.tap('Export and back up');
  await app.expectAccessible();
  for (const [label, ending] of [
    ['Table (CSV)', '.csv'],
    ['Yellow Latch list (JSON)', '.json'],
    ['Markdown table', '.md'],
    ['Plain text', '.txt'],
  ] as const) {
    await app.press(await app.see(By.xpath(`//*[@role="radio"][starts-with(normalize-space(.), "${label}")]`)));
    await app.tap('Save 64');
    const path = await saved(ending, folder, app);
    await bringIn(app, path);
    // Without a column that says what is a template, texts of those are taken as they stand.
    await app.seeText(ending === '.txt' ? 'The same 5' : 'The same 64');
    if (ending !== '.txt') await app.seeText('Nothing to import.');
    await app.open('/export');
  }
  // The list under our own format holds to the published schema's version, and says where it is.
  const json = JSON.parse(readFileSync(await saved('.json', folder, app), 'utf8')) as { $schema: string };
  const answer = await app.driverScript<string>(
    `return fetch('${json.$schema}').then((schema) => schema.json()).then((schema) => schema.$schema)`,
  );
  expect(answer).toBe('https://json-schema.org/draft/2020-12/schema');
  // A set alone, on the clipboard.
  await app.choose('Which shortcuts', 'Us (12)');
  await app.press(await app.see(By.xpath('//*[@role="radio"][starts-with(normalize-space(.), "Plain text")]')));
  await app.tap('Copy');
  await app.seeText('Copied 12 shortcuts.');
  const copied = await app.clipboard();
  expect(copied).toContain(';cv\tCorrie & Vale, travelling piano care\n');
  expect(copied).not.toContain('ten minutes away');
});

journey(
  'a backup restored into an empty list of another server, with the private ones under a passphrase',
  'demo',
  async ({ open }) => {
    const app = await open('computer');
    await savesHere(app);
    await app.seeText('Synced');
    await app.openShortcut(';mob');
    await app.openDetails();
    await app.tick('Only on this device');
    await app.tap('Save');
    await app.seeText('“;mob” works in Write.');
    await app.open('/export');
    await app.seeText('1 private shortcut isn’t included.');
    await app.tick('Include 1 private shortcut');
    await app.fill('Passphrase', 'short');
    await app.tap('Save a backup');
    await app.seeText('Use ten characters or more');
    await app.fill('Passphrase', 'seven felts under the lid');
    await app.fill('Passphrase again', 'seven felts under the lip');
    await app.tap('Save a backup');
    await app.seeText('The two don’t match.');
    await app.expectAccessible();
    await app.fill('Passphrase again', 'seven felts under the lid');
    await app.tap('Save a backup');
    const path = await saved('.json', folder, app);
    const text = readFileSync(path, 'utf8');
    expect(text).not.toContain('07700 900482');
    expect(JSON.parse(text)).toMatchObject({
      private: { count: 1, kdf: 'PBKDF2', iterations: 600_000 },
      rest: { list: { languages: ['en'] } },
    });
    // The same list without what tells when it was written.
    const whole = (backup: string) => {
      const { sets, shortcuts, rest } = JSON.parse(backup) as {
        sets: unknown[];
        shortcuts: { id: string }[];
        rest: unknown;
      };
      return { sets, shortcuts: [...shortcuts].sort((a, b) => (a.id < b.id ? -1 : 1)), rest };
    };

    // A new server that knows nothing, and another browser.
    const elsewhere = await Stand.start('empty');
    try {
      const other = await open('phone', '/import', elsewhere.address);
      const emptied = mkdtempSync(join(folder, 'elsewhere-'));
      await savesHere(other, emptied);
      await (await other.browser.driver.findElement(By.css('[role=main] input[type=file]'))).sendKeys(path);
      await other.seeText('backup from');
      await other.seeText('1 private shortcut in it is protected.');
      await other.fill('Passphrase', 'seven felts under the lip');
      await other.tap('Unlock');
      await other.seeText('This passphrase doesn’t work.');
      await other.expectAccessible();
      await other.fill('Passphrase', 'seven felts under the lid');
      await other.tap('Unlock');
      await other.seeText('New 64');
      await other.tap('Import 64');
      await other.seeText('Imported 64 new shortcuts.');
      await other.seeText('Synced');
      await other.fill('Search your shortcuts', ';mob');
      await other.seeText('Only on this device');
      await other.open('/export');
      await other.tap('Save a backup');
      const again = readFileSync(await saved('.json', emptied, other), 'utf8');
      expect(whole(again)).toEqual(whole(text));
      expect(whole(again).shortcuts).toHaveLength(63);
    } finally {
      await elsewhere.end();
    }
  },
);

journey(
  'the sheet: on paper of either size, in columns and as cards, and as a page by itself',
  'demo',
  async ({ open }) => {
    const app = await open('computer');
    await savesHere(app);
    await app.seeText('Synced');
    await app.tap('More');
    await app.tap('Print a sheet');
    await app.see(By.css('iframe[title="The sheet"]'));
    await app.expectAccessible();
    for (const [layout, paper, size] of [
      ['Two columns', 'A4', '595 842'],
      ['Wallet cards', 'Letter', '612 792'],
    ] as const) {
      await app.choose('Layout', layout);
      await app.choose('Paper', paper);
      await app.until(
        async () =>
          (await app.driverScript<string>(`return document.querySelector('iframe').srcdoc`)).includes(
            `size:${paper === 'A4' ? 'A4' : 'letter'};`,
          ),
        'the sheet on this paper',
      );
      await app.until(
        async () =>
          (await app.driverScript<string>(`return document.querySelector('iframe').srcdoc`)).includes(
            `<main class="${layout.split(' ')[0]!.toLowerCase()}">`,
          ),
        'the sheet in this layout',
      );
      await app.tap('Save as a file');
      const html = await saved('.html', folder, app);
      // As a reader opens it, from a disk, with no app and no server.
      const { data } = await printed(app, html);
      const pdf = Buffer.from(data, 'base64').toString('latin1');
      expect(
        [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(
          ([, width, height]) => `${Math.round(Number(width))} ${Math.round(Number(height))}`,
        ),
      ).toContain(size);
      expect([...pdf.matchAll(/\/Type \/Page\b/g)].length).toBeLessThanOrEqual(2);
      rmSync(html);
      await app.open('/sheet');
      await app.see(By.css('iframe[title="The sheet"]'));
    }
    // What is chosen alone.
    await app.goTo('Shortcuts');
    await app.tap('More');
    await app.tap('Select several');
    await app.press(await app.see(By.css('[role=checkbox][aria-label^=";cv, Safe: "]')));
    await app.tap('Sheet: 1 shortcut');
    await app.until(
      async () =>
        (await app.driverScript<string>(`return document.querySelector('iframe')?.srcdoc ?? ''`)).split('<dt>')
          .length === 2,
      'one code on the sheet',
    );
  },
);

/** A saved page, opened by itself, and printed to PDF with the size it asks for. */
async function printed(app: App, path: string): Promise<{ data: string }> {
  await app.browser.driver.get(`file://${path}`);
  await app.expectAccessible();
  return app.browser.command<{ data: string }>('Page.printToPDF', { preferCSSPageSize: true, printBackground: true });
}
