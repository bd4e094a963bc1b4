/** Stand-ins: simulated devices on which a list is tried as it would be there. */
import { execFile } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';

import { By, Key } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';

const run = promisify(execFile);

/** A chip of a row. */
async function pick(app: App, label: string): Promise<void> {
  await app.press(await app.see(By.xpath(`//*[@role="radio" and normalize-space(.)="${label}"]`)));
}

async function flip(app: App, name: string): Promise<void> {
  await app.tap('Switches');
  await app.tick(name);
  await app.type(Key.ESCAPE);
  await app.seeNoText('Storage full');
}

journey(
  'a shortcut made in the app is carried to the stand-in phone by hand, and expands in its conversation',
  'empty',
  async ({ open }) => {
    const app = await open('computer');
    await app.make(';addr', 'Unit 3, The Ropewalk');
    await app.goTo('Devices');
    await app.tap('Phone');
    await app.goToWindow('phone');
    await app.seeText('Where do I park?');
    await app.seeText('Synced');
    await app.expectAccessible();

    // The app on it is in sync; its own list is empty but for what came with it.
    await app.typeInto('Your answer', ';addr asap ');
    await app.fieldHolds('Your answer', 'Unit 3, The Ropewalk asap ');
    await pick(app, 'Its own list');
    await app.typeInto('Your answer', ';addr asap ');
    await app.fieldHolds('Your answer', 'Unit 3, The Ropewalk asap ;addr as soon as possible ');

    // Carried by hand.
    await app.goToWindow('app');
    await app.follow('Stand-in phone');
    await app.follow('Copy your list over.');
    await app.tap('Do it by hand');
    await app.tap('Copy text');
    await app.seeText('Copied the text.');
    const text = await app.clipboard();
    await app.tap('Done, next');
    await app.seeText('That’s it');
    await app.goToWindow('phone');
    await pick(app, 'Edit its list');
    await app.insert(await app.field('Text'), text);
    await app.insert(await app.field('Code'), ';addr');
    await app.expectAccessible();

    // Cut off in the middle of it, nothing is half there; on a full device nothing is changed, and it says so.
    await app.reload();
    await app.seeText('Nothing here yet but what came with the device.');
    await flip(app, 'Storage full');
    await app.insert(await app.field('Text'), text);
    await app.insert(await app.field('Code'), ';addr');
    await app.tap('Save');
    await app.seeText('This device is full, so nothing was changed.');
    await flip(app, 'Storage full');
    await app.tap('Save');
    await app.seeText('1 entry, and what came with the device.');
    await pick(app, 'Conversation');
    await app.fill('Your answer', '');
    await app.typeInto('Your answer', ';addr ');
    await app.fieldHolds('Your answer', 'Unit 3, The Ropewalk ');
    await app.tap('Send');
    await app.seeText('What is your address?');
    await app.goToWindow('phone');

    // One file for two of them.
    const file = join(mkdtempSync(join(tmpdir(), 'yellow-latch-carried-')), 'list.csv');
    writeFileSync(file, 'code,text\n;sig,"Best wishes,\nRowena"\n;addr,Unit 4\n');
    for (const kind of ['phone', 'tablet']) {
      if (kind === 'tablet') await app.openBeside('/stand-in/tablet');
      await pick(app, 'Edit its list');
      await app.browser.driver.findElement(By.css('[role=main] input[type=file]')).sendKeys(file);
      await app.seeText(kind === 'phone' ? '1 entry added, 1 replaced, 1 put on one line.' : '2 entries added');
      await app.seeText('Best wishes, Rowena');
    }
    // An entry of another language is none on a tablet.
    await pick(app, 'Its own list');
    await pick(app, 'Note');
    await app.typeInto('Note', ';addr ');
    await app.fieldHolds('Note', 'Unit 4 ');
    await app.tap('Switches');
    await app.choose('Keyboard in', 'German');
    await app.type(Key.ESCAPE);
    await app.typeInto('Note', ';addr ');
    await app.fieldHolds('Note', 'Unit 4 ;addr ');
  },
  180_000,
);

journey(
  'made on the stand-in computer offline, edited on the stand-in phone, joined again: both are equal',
  'empty',
  async ({ open }) => {
    const app = await open('computer', '/stand-in/computer');
    await app.seeText('Synced');
    // Its clock is a day ahead, which must not matter.
    await app.tap('Switches');
    await app.tick('Offline');
    await app.choose('Clock', 'a day ahead');
    await app.type(Key.ESCAPE);
    await app.seeText('Offline');
    await app.tap('Its app');
    await app.seeText('Back to the stand-in');
    await app.make(';ten', 'I am ten minutes away.');
    await app.seeText('1 change to send');
    await app.expectAccessible();
    await app.tap('Back to the stand-in');
    await flip(app, 'Offline');
    await app.seeText('Synced');

    await app.openBeside('/stand-in/phone');
    await app.seeText('Synced');
    await app.typeInto('Your answer', ';ten ');
    await app.fieldHolds('Your answer', 'I am ten minutes away. ');
    // Each edits it without knowing of the other.
    await flip(app, 'Offline');
    await app.tap('Its app');
    await app.openShortcut(';ten');
    await app.fill('You get', 'I am about ten minutes away.');
    await app.tap('Save');
    await app.seeText('1 change to send');
    await app.goToWindow('computer');
    await app.tap('Its app');
    await app.openShortcut(';ten');
    await app.fill('You type', ';soon');
    await app.tap('Save');
    await app.seeText('Synced');
    await app.goToWindow('phone');
    await app.tap('Back to the stand-in');
    await flip(app, 'Offline');
    await app.seeText('Synced');
    await app.until(async () => (await app.kept('phone')) === (await app.kept('computer')), 'both to be equal');
    expect(await app.kept('phone')).toContain('I am about ten minutes away.');
    expect(await app.kept('phone')).toContain(';soon');
  },
  180_000,
);

journey(
  'the space in a mail field, a password, a corrected code, dictation, and nothing but taps',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/stand-in/phone');
    await app.seeText('Synced');
    await pick(app, 'Web form');
    await app.typeInto('Email', ';mail ');
    await app.fieldHolds('Email', 'ansel@corrieandvale.example ');
    await app.tap('Send the form');
    await app.seeText('There’s a space in this mail address.');
    await app.seeText('The space you typed to expand “;mail” is still there.');
    await app.expectAccessible();
    await app.tap('No space after “;mail”');
    await app.seeText('“;mail” leaves no space behind from now on.');
    await app.fieldHolds('Email', 'ansel@corrieandvale.example');
    await app.tap('Send the form');
    await app.seeText('The form went through.');
    await app.typeInto('Email', ';mail ');
    await app.fieldHolds('Email', 'ansel@corrieandvale.example');
    await app.typeInto('Password (nothing expands here)', ';mail ');
    await app.fieldHolds('Password (nothing expands here)', ';mail ');

    // The keyboard corrects what it takes for a slip, a code without a marker too; turned down, it stays.
    await pick(app, 'Note');
    await app.typeInto('Note', 'at hrp');
    await app.seeText('A space makes it “harp”');
    await app.expectAccessible();
    await app.type(' ');
    await app.fieldHolds('Note', 'At harp ');
    await app.seeText('The keyboard changed “hrp” to “harp”.');
    await app.type('hrp');
    await app.tap('Keep what I typed');
    await app.type('!');
    await app.fieldHolds('Note', 'At harp hrp!');

    await app.tap('Clear');
    await app.tap('Dictate');
    await app.tap('I was so glad to hear from you.');
    await app.until(
      async () => (await (await app.field('Note')).getAttribute('value'))!.includes('Sent from the road'),
      'the word in it that is a code',
    );

    // Nothing but taps: a key of a keyboard is none.
    await app.tap('Clear');
    await flip(app, 'Taps only, no keyboard');
    await app.typeInto('Note', 'x');
    await app.seeText('Taps only: use the keys on the screen.');
    for (const key of ['12, switch to numbers', ';', 'abc, switch to letters', 'w', 's', 'space'])
      await tapKey(app, key);
    await app.fieldHolds('Note', 'Corrie & Vale\nUnit 3, The Ropewalk\nTarnby ZZ4 7XX ');
    await app.seeText('6 taps');
  },
  180_000,
);

async function tapKey(app: App, key: string): Promise<void> {
  const upper = key.length === 1 ? key.toUpperCase() : key;
  const names = [key, upper].flatMap((name) => [
    `[role=button][aria-label="${name}"]`,
    `[role=button][aria-label^="${name}, hold for"]`,
  ]);
  await app.press(await app.see(By.css(names.join())));
}

/** What is typed and pressed in each job. */
const JOBS: readonly (readonly [
  title: string,
  fields: readonly (readonly [label: string, keys: string])[],
  end: string,
])[] = [
  [
    'Answer three customers',
    [
      ['Your answer', ';stn '],
      ['Your answer', ';mail '],
      ['Your answer', ';tom '],
    ],
    'Send',
  ],
  [
    'Say when you’ll be there',
    [
      ['Your answer', ';ten '],
      ['Your answer', ';quiet '],
    ],
    'Send',
  ],
  [
    'Give your address and number',
    [
      ['Your answer', ';ws '],
      ['Your answer', ';tel '],
    ],
    'Send',
  ],
  [
    'Write a mail to the diary',
    [
      ['To', ';diary '],
      ['Message', ';hum ;tt '],
    ],
    'Send',
  ],
  [
    'Fill in a web form',
    [
      ['Email', ';mail '],
      ['Phone', ';tel '],
    ],
    'Send the form',
  ],
  ['Tag a photo of a piano', [['Caption', '#tun ;upr ']], 'Post'],
  ['Write a report', [['Condition report', ';pitch ;pins ;ok ']], 'Done'],
  ['Note down four symbols', [['Note', ';hf ;x ;sh ;dg ']], 'Done'],
];

journey(
  'the sample list: eight jobs done with codes, their taps counted, and gone with one tap',
  'closed',
  async ({ open }) => {
    const app = await open('phone');
    await app.tap('Try it with a sample list');
    await app.seeText('Sample list, only on this device');
    await app.expectAccessible();
    await app.tap('Jobs');
    await app.expectAccessible();
    await app.tap('1. Answer three customers');
    let all = 0;
    for (const [at, [title, fields, end]] of JOBS.entries()) {
      await app.seeText(title);
      let taps = 0;
      for (const [index, [label, keys]] of fields.entries()) {
        await app.typeInto(label, keys);
        taps += Array.from(keys).length;
        if (label === 'Your answer') {
          await app.tap(end);
          await app.fieldHolds(label, '');
          // Half done, left and opened again.
          if (at === 0 && index === 0) {
            await app.reload();
            await app.seeText('Which mail address do I write to?');
          }
        }
      }
      if (fields[0]![0] !== 'Your answer') await app.tap(end);
      // The space that is left in a mail field, mended for good.
      const spaced = { 'Write a mail to the diary': ';diary', 'Fill in a web form': ';mail' }[title];
      if (spaced) {
        await app.tap(`No space after “${spaced}”`);
        await app.seeText(`“${spaced}” leaves no space behind from now on.`);
        await app.tap(end);
      }
      await app.seeText(`Done in ${taps} taps.`);
      all += taps;
      const next = JOBS[at + 1];
      if (next) await app.tap(`Next: ${next[0]}`);
    }
    await app.tap('All jobs');
    await app.seeText(`8 jobs done in ${all} taps instead of 1,`);

    // The same typed out: no code expands then. Opened again, a job begins anew.
    await app.type(Key.ESCAPE);
    await app.tap('All jobs');
    await app.press(await app.see(By.xpath('(//*[normalize-space(.)="Try it without codes" and @role="button"])[8]')));
    await app.typeInto('Note', ';hf ');
    await app.fieldHolds('Note', ';hf ');
    await app.insert(await app.field('Note'), '½ × ♯ °');
    await app.tap('Done');
    await app.seeText('Done in 4 taps.');
    await app.tap('All jobs');
    await app.seeText('Without codes: 4 taps');
    await app.tap('8. Note down four symbols');
    await app.fieldHolds('Note', '');
    await app.tap('Leave this job');
    await app.seeText('Codes from');

    // The whole app is there with it.
    await app.tap('Its app');
    await app.seeText('Sample list');
    await app.openShortcut(';cv');
    await app.expectAccessible();
    await app.tap('Remove the sample list');
    await app.seeText('Start a new list');
    const left = await app.driverScript<string>(
      `return indexedDB.databases().then((all) => JSON.stringify([all.map(({ name }) => name), Object.keys(localStorage).filter((key) => key.startsWith('yellow-latch.'))]))`,
    );
    expect(left).toBe('[[],[]]');
  },
  240_000,
);

journey(
  'a list that asks for codes: a stand-in opened from Devices, and one without a browser',
  'closed',
  async ({ open, stand }) => {
    const app = await open('computer');
    await app.tap('Start a new list');
    await app.make(';ten', 'I am ten minutes away.');
    await app.seeText('Synced');
    await app.goTo('Devices');
    await app.tap('Tablet');
    await app.goToWindow('tablet');
    await app.seeText('Synced');
    await app.typeInto('Your answer', ';te');
    await app.see(By.css('[role=option][aria-label^=";ten: "]'));
    await app.takeOffer(';ten');
    await app.fieldHolds('Your answer', 'I am ten minutes away.');

    await app.goToWindow('app');
    await app.tap('Add a device');
    await app.seeText('Works for one device');
    const code = await app.shownCode();
    const { stdout } = await run(
      process.execPath,
      [
        'scripts/stand-in.mjs',
        ...['--server', stand.address, '--kind', 'computer', '--join', code, '--type', 'see you, ;ten \\b\\b'],
      ],
      { cwd: join(__dirname, '../..') },
    );
    expect(stdout).toBe('see you, ;ten\n');
  },
  180_000,
);
