import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import { App } from '../app';
import { Browser } from '../browser';
import { journey, keepApp } from '../journey';
import { Stand } from '../stand';

keepApp();

journey(
  'with no server the app opens at any place and works; back again all are equal',
  'demo',
  async ({ open, stand }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await app.isKeptOnDevice();
    const other = await open('computer');
    await stand.stop();

    await app.reload();
    await app.seeText('Offline');
    expect((await app.codes()).length).toBeGreaterThan(3);
    // What was never opened before is there as well.
    await app.open('/check/savings');
    await app.seeText('Save most');
    await app.open('/write');
    await app.intoPad();
    await app.type('Hello, ;ten ');
    await app.padHolds('Hello, I am about ten minutes away. ');
    await app.goTo('Shortcuts');
    await app.make(';cellar', 'No network down here.');
    await app.seeText('1 change to send');
    await app.reload();
    await app.seeText('1 change to send');
    await app.expectAccessible();

    await stand.start();
    await app.seeText('Synced');
    await other.insert(await other.field('Search your shortcuts'), ';cellar');
    await other.seeText('No network down here.');
  },
);

test('a later version is offered, never forced, and what is being typed is kept', async () => {
  const site = mkdtempSync(join(tmpdir(), 'yellow-latch-site-'));
  cpSync(join(__dirname, '../../packages/app/dist'), site, { recursive: true });
  const stand = await Stand.start('demo', site);
  const browser = await Browser.start('phone');
  const app = new App(browser, stand.address);
  try {
    await app.open('/write');
    await app.isKeptOnDevice();
    // The next version: another page, which the worker's list of files tells by its hash.
    const worker = join(site, 'service-worker.js');
    const list = readFileSync(worker, 'utf8');
    const revision = /url:\s*"\/index\.html",\s*revision:\s*"([0-9a-f]+)"/u.exec(list)?.[1];
    expect(revision).toBeDefined();
    writeFileSync(worker, list.replace(revision!, `later-${revision!}`));
    const page = join(site, 'index.html');
    writeFileSync(page, readFileSync(page, 'utf8').replace('<html', '<html data-version="later"'));

    const version = () => app.driverScript<string | null>('return document.documentElement.dataset.version ?? null');
    await app.intoPad();
    await app.type('half a sent');
    await app.driverScript(`document.dispatchEvent(new Event('visibilitychange')); return true`);
    await app.seeText('A new version is ready.');
    await app.expectAccessible();
    // Nothing has changed by itself, nor does a reload change it.
    await app.reload();
    await app.padHolds('half a sent');
    expect(await version()).toBeNull();
    await app.seeText('A new version is ready.');
    await app.intoPad();
    await app.type('ence');
    await app.tap('Update');
    await app.until(async () => (await version()) === 'later', 'the later version');
    await app.see(By.css('textarea.write-pad'));
    await app.padHolds('half a sentence');
    await app.seeNoText('A new version is ready.');
    expect(await app.loggedErrors()).toEqual([]);
  } catch (error) {
    await browser.keepFailure('a later version');
    throw error;
  } finally {
    await browser.end();
    await stand.end();
    rmSync(site, { recursive: true, force: true });
  }
});

test('what a browser asks before it offers to install the app', async () => {
  // Web Application Manifest (W3C): name, start_url, display, icons of 192 and 512 px; what its icons say they are, they are.
  const root = join(__dirname, '../../packages/app/public');
  const manifest = JSON.parse(readFileSync(join(root, 'manifest.webmanifest'), 'utf8')) as {
    icons: { src: string; sizes: string; type: string }[];
  } & Record<string, string>;
  expect(manifest).toMatchObject({ name: 'Yellow Latch', start_url: '/', display: 'standalone' });
  const png = manifest.icons.filter(({ type }) => type === 'image/png');
  expect(png.map(({ sizes }) => sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
  for (const { src, sizes } of png) {
    const file = readFileSync(join(root, src));
    // PNG (ISO/IEC 15948): width and height in the first chunk.
    expect(`${file.readUInt32BE(16)}x${file.readUInt32BE(20)}`).toBe(sizes);
  }
  const browser = await Browser.start('computer');
  const stand = await Stand.start('empty');
  try {
    await new App(browser, stand.address).open();
    const { errors } = await browser.command<{ errors: { message: string }[] }>('Page.getAppManifest');
    expect(errors).toEqual([]);
    const { installabilityErrors } = await browser.command<{ installabilityErrors: { errorId: string }[] }>(
      'Page.getInstallabilityErrors',
    );
    // A headless browser is "in incognito": that is its own and no fault of the app.
    expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([]);
  } finally {
    await browser.end();
    await stand.end();
  }
});
