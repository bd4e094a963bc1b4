/** Takes the pictures of docs/screenshots/ from the demo list: each main view, in some of its looks. */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import { App } from './app';
import { Browser, type Device, type Scheme } from './browser';
import { Extended } from './extended';
import { FieldSite } from './fieldSite';
import { OtherDevice } from './otherDevice';
import { Stand } from './stand';

const FOLDER = join(__dirname, '../docs/screenshots');

/** Brings a view to the screen. */
type Pose = (app: App) => Promise<void>;

const shortcuts: Pose = async (app) => {
  await app.seeText('Synced');
  await app.see(By.css('[role=button][aria-label="Needs fixing: 5"]'));
  if (app.browser.device === 'computer') {
    await app.openShortcut(';cv');
    await app.seeText('Try it here');
  }
};

/** A code that would fire where nobody wants it. */
const verdict: Pose = async (app) => {
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), 'Somebody will be there to let you in.');
  await app.insert(await app.field('You type'), 'them');
  await app.seeText('“them” is an everyday word');
  await app.see(By.css('[aria-label="Use ;them"]'));
};

const write: Pose = async (app) => {
  await app.goTo('Write');
  await app.intoPad();
  await app.type('Dear Rowena,\n\n;pitch \n\n;sun ;six \n\n#tun \n;te');
  await app.see(By.css('[role=option]'));
  await app.see(By.css('[aria-label="Remove #pianotuner"]'));
};

/** A message put together by taps alone. */
const board: Pose = async (app) => {
  await app.goTo('Write');
  await app.tap('Tap board');
  await app.putIn(';ten');
  await app.tap('New line');
  await app.putIn('book*');
  await app.seeText('“book*” inserted.');
};

/** A question answered by a code, and a code that the keyboard takes for a slip. */
const standIn: Pose = async (app) => {
  await app.open('/stand-in/phone');
  await app.typeInto('Your answer', ';pk ');
  await app.tap('Send');
  await app.seeText('What is your address?');
  await app.typeInto('Your answer', ';ws. By hrp');
  await app.seeText('A space makes it “harp”');
};

const check: Pose = async (app) => {
  await app.goTo('Check');
  await app.see(By.css('[role=button][aria-label^="Use ;so"]'));
  if (app.browser.device === 'computer') await app.openProblem(';tenp, Needs fixing');
  if (app.browser.device === 'computer') await app.see(By.css('[role=radio][aria-checked=true]'));
};

/** Two days after the first practice: what is ready, and what is being learnt. */
const learn: Pose = async (app) => {
  await app.open('/learn');
  await app.tap('Practice');
  await app.seeText('Card 1 of');
  while (!(await app.text()).includes('Done.')) await answerCard(app);
  await app.browser.moveClock(2.2);
  await app.open('/learn');
  await app.seeText('2 codes to practice');
};

/** Answers a card of the first practice: a text that is right, or the code that Show me shows. */
async function answerCard(app: App): Promise<void> {
  const before = (await app.text()).slice(0, 400);
  if (before.includes('What does this code')) {
    await app.press(await app.see(By.css('[role=main] [role=listitem] [role=button]:not([aria-disabled=true])')));
  } else {
    await app.tap('Show me');
    const plate = await app.see(By.css('[role=main] [role=img][aria-label^="Code "]'));
    await app.type(`${(await plate.getAttribute('aria-label'))!.slice('Code '.length)} `);
  }
  await app.until(async () => (await app.text()).slice(0, 400) !== before, 'the next card');
}

/** A device that does not run the app. */
const device: Pose = async (app) => {
  await app.openUnderDevices('Ansel’s phone');
  await app.seeText('don’t');
  await app.seeText('by hand');
};

/** One step of copying a list over. */
const carry: Pose = async (app) => {
  await device(app);
  await app.follow('Copy your list over.');
  await app.tap('Start with the 10 that save most');
  await app.tap('Done, next');
  await app.seeText('2 of 10');
};

const fit: Pose = async (app) => {
  await app.open('/devices/table');
  await app.seeText('Becomes one line there.');
};

/** A text with chips in it, and what it gives now. */
const template: Pose = async (app) => {
  await app.openShortcut(';conf');
  await app.see(By.css('.chip'));
  await app.seeText('You get now');
};

/** What two other devices have written of one shortcut, without knowing of each other. */
async function writtenTwice(app: App): Promise<void> {
  const [tablet, phone] = [
    await OtherDevice.join(app.address),
    await OtherDevice.join(app.address, 'Mara’s phone', 'phone'),
  ];
  const seen = await tablet.recordOf(';ten');
  const content = (expansion: string) => ({ content: { expansion, template: false, format: 'plain' as const } });
  await tablet.edit(seen, content('I am about ten minutes away, behind a tractor.'));
  await phone.edit(seen, content('Ten minutes away, just past the bridge.'));
  await phone.catchUp();
  await tablet.catchUp();
  await app.see(By.css('[aria-label="Devices, 1 thing with two versions"]'));
}

const devices: Pose = async (app) => {
  await writtenTwice(app);
  await app.goTo('Devices');
  await app.seeText('Mara’s phone');
};

/** A table looked at before anything of it is written. */
const importing: Pose = async (app) => {
  await app.open('/import');
  await app.insert(
    await app.field('Or paste a list'),
    'code,expansion,set\n;ten,I am ten minutes away.,Visits\n;loan,The loan piano is yours until the end of the month.,Loans\n;lid,"Please leave the lid open, and the window shut.",Visits\n;TEN,Ten past the hour.,\n;cv,"Corrie & Vale, travelling piano care",Us\n;none,,\n',
  );
  await app.tap('Preview');
  await app.see(By.css('[aria-label^="Can’t be imported 1"]'));
};

/** Other codes for the list, seen before anything changes. */
const plan: Pose = async (app) => {
  await app.open('/check/plan');
  await app.see(By.css('[role=checkbox][aria-label^="“so” becomes"]'));
};

/** Several looked for one after the other, and ticked. */
const symbols: Pose = async (app) => {
  await app.open('/symbols');
  await app.fill('Search symbols', '3/4');
  await app.press(await app.see(By.css('[role=checkbox][aria-label^="vulgar fraction three quarters"]')));
  await app.fill('Search symbols', 'arrow');
  for (const name of ['right-pointing arrow', 'rightwards double arrow']) {
    await app.press(await app.see(By.css(`[role=checkbox][aria-label^="${name}"]`)));
  }
  await app.seeText('Add 3 symbols');
};

const phrases: Pose = async (app) => {
  await app.open('/phrases');
  await app.tap('Try sample messages');
  for (const text of ['Thank you for booking', 'The invoice is attached'])
    await app.press(await app.see(By.css(`[role=checkbox][aria-label^="${text}"][aria-label*=", ;"]`)));
};

interface Shot {
  name: string;
  pose: Pose;
  /** Which of the four looks are kept. */
  of: readonly `${Device}-${Scheme}`[];
}

const SHOTS: readonly Shot[] = [
  { name: 'shortcuts', pose: shortcuts, of: ['phone-light', 'computer-dark'] },
  { name: 'verdict', pose: verdict, of: ['phone-light'] },
  { name: 'write', pose: write, of: ['phone-light'] },
  { name: 'board', pose: board, of: ['phone-light'] },
  { name: 'stand-in', pose: standIn, of: ['phone-light'] },
  { name: 'check', pose: check, of: ['phone-light'] },
  { name: 'learn', pose: learn, of: ['phone-light'] },
  { name: 'template', pose: template, of: ['phone-light'] },
  { name: 'importing', pose: importing, of: ['phone-light'] },
  { name: 'plan', pose: plan, of: ['phone-light'] },
  { name: 'symbols', pose: symbols, of: ['phone-light'] },
  { name: 'phrases', pose: phrases, of: ['phone-light'] },
  { name: 'devices', pose: devices, of: ['phone-light'] },
  { name: 'device', pose: device, of: ['phone-light'] },
  { name: 'carry', pose: carry, of: ['phone-light'] },
  { name: 'fit', pose: fit, of: ['computer-light'] },
];

async function take({ name, pose }: Shot, device: Device, scheme: Scheme): Promise<void> {
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

/** A message in a page of somebody else, and the panel over it, in a browser with the extension. */
async function takeAnywhere(): Promise<void> {
  const [stand, site] = await Promise.all([Stand.start('demo'), FieldSite.start({ mail: MAIL })]);
  const extended = await Extended.start();
  const keep = async (name: string) => {
    await extended.settle();
    writeFileSync(join(FOLDER, `${name}-computer-light.png`), await extended.browser.picture());
    console.log(`${name}-computer-light.png`);
  };
  try {
    await extended.join(stand.address);
    await extended.openField(site.at('mail'));
    await extended.untilExpands(';ten', 'I am about ten minutes away.');
    await extended.clear();
    await extended.type('Good morning! ;hum The hall piano is due in spring. ;t');
    await extended.seeSuggestion();
    await keep('anywhere');
    await extended.openPanel();
    const size = { width: 380, height: 600, deviceScaleFactor: 1, mobile: false };
    await extended.browser.command('Emulation.setDeviceMetricsOverride', size);
    await keep('panel');
  } finally {
    await extended.end();
    await site.stop();
    await stand.end();
  }
}

/** A page as a hall might have it. */
const MAIL = `<style>
    body { font: 17px/1.6 Georgia, serif; margin: 48px auto; max-width: 760px; color: #2b2622; background: #fbf8f3 }
    label { display: block; margin: 18px 0 4px }
    input, textarea { font: inherit; box-sizing: border-box; width: 100%; padding: 12px; border: 1px solid #b9ab98; background: #fff }
  </style>
  <h1>Write to Tarnby Hall</h1>
  <label>Your name <input name="from" value="Mara Vale"></label>
  <label>Message <textarea rows="10"></textarea></label>
  <script>
    window.textOf = () => document.querySelector('textarea').value;
    window.focusField = () => (document.querySelector('textarea').focus(), true);
  </script>`;

/** Takes all, in an empty folder, or those whose names are asked for. */
async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  if (asked.length === 0) rmSync(FOLDER, { recursive: true, force: true });
  mkdirSync(FOLDER, { recursive: true });
  for (const shot of SHOTS.filter(({ name }) => asked.length === 0 || asked.includes(name))) {
    for (const look of shot.of) {
      const [device, scheme] = look.split('-') as [Device, Scheme];
      await take(shot, device, scheme);
    }
  }
  if (asked.length === 0 || asked.includes('anywhere')) await takeAnywhere();
}

void main();
