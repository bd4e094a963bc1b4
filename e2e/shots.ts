/** Takes the pictures of docs/screenshots/ from the demo list: each main view, phone and wide. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import { App } from './app';
import { Browser, type Device, type Scheme } from './browser';
import { Stand } from './stand';

const FOLDER = join(__dirname, '../docs/screenshots');

/** Brings a view to the screen. */
type Pose = (app: App) => Promise<void>;

const shortcuts: Pose = async (app) => {
  await app.seeText('In step');
  if (app.browser.device === 'computer') await app.openShortcut(';ws');
};

const editor: Pose = async (app) => {
  await app.copyToClipboard('https://corrieandvale.example/book/saltmarsh \n');
  await app.tap('Paste');
  await app.field('You type');
  await app.insert(await app.field('You type'), ';bk');
  await app.seeText('gets in its way');
};

/** A code that would fire where nobody wants it. */
const verdict: Pose = async (app) => {
  await app.tap('Paste or write…');
  await app.insert(await app.field('You get'), 'Somebody will be there to let you in.');
  await app.insert(await app.field('You type'), 'them');
  await app.seeText('is a word');
};

const write: Pose = async (app) => {
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type('Dear Rowena,\n\n;pitch \n\n;sun ;six \n\n;bye\n');
  await app.seeText(';bye fired');
};

const POSES: [name: string, pose: Pose][] = [
  ['shortcuts', shortcuts],
  ['editor', editor],
  ['verdict', verdict],
  ['write', write],
];

async function take(device: Device, scheme: Scheme): Promise<void> {
  for (const [name, pose] of POSES) {
    const stand = await Stand.start('demo');
    const browser = await Browser.start(device);
    try {
      await browser.clipboard('granted');
      await browser.scheme(scheme);
      const app = await new App(browser, stand.address).open();
      await pose(app);
      await browser.driver.executeScript('return document.fonts.ready.then(() => true)');
      const file = `${name}-${device}-${scheme}.png`;
      writeFileSync(join(FOLDER, file), await browser.picture());
      console.log(file);
    } finally {
      await browser.end();
      await stand.end();
    }
  }
}

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  for (const device of ['phone', 'computer'] as const) {
    for (const scheme of ['light', 'dark'] as const) await take(device, scheme);
  }
}

void main();
