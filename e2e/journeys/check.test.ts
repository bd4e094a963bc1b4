import { By } from 'selenium-webdriver';

import type { App } from '../app';
import type { Device } from '../browser';
import { journey } from '../journey';
import { OtherDevice, type Pair } from '../otherDevice';

journey('from opening Check to a mended finding in at most three taps, and back in one', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('“so” needs fixing.');
  await app.expectAccessible();
  app.taps = 0;
  await app.goTo('Check');
  await app.openFinding('so, Needs fixing: “so” is an everyday word');
  await app.seeText('44 → 0.12 in 10,000 words');
  await app.tap('Fix it');
  await app.seeText('“so” is now “;so”.');
  console.log(`from opening Check to a mended finding: ${app.taps} taps`);
  expect(app.taps).toBeLessThanOrEqual(3);
  await app.until(async () => !(await app.findings()).some((words) => words.startsWith('so, ')), 'so to be gone');
  await app.expectAccessible();
  await app.tap('Undo');
  await app.until(async () => (await app.findings())[0]!.startsWith('so, '), 'so to be back');
});

journey('the first start leads through one finding, its evidence and its fix', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('“so” needs fixing. “so” is an everyday word');
  await app.tap('Show me');
  await app.seeText('1. Why');
  await app.seeText('This is what was found.');
  await app.seeText('This is what changes.');
  await app.expectAccessible();
  await app.tap('Fix it');
  await app.seeText('“so” is now “;so”.');
  // Once is enough.
  await app.goTo('Shortcuts');
  await app.reload();
  await app.seeText('Synced');
  await app.seeNoText('“so” needs fixing.');
  // The list shows the verdicts, and on request those of one kind alone.
  await app.tap('Needs fixing: 4');
  await app.until(async () => (await app.codes()).join() === ';tenp,;PK,ham,-----', 'only what breaks');
  await app.tap('Needs fixing: 4');
  await app.until(async () => (await app.codes()).length > 4, 'all again');
});

/** Shortcuts that between them have a finding of every type. */
const OF_EVERY_TYPE: readonly Pair[] = [
  [';pk', 'Parking for the van is in the yard.'],
  [';PK', 'At the hall it is by permit.'],
  [';fo0', 'Two sheets of green baize'],
  [';foo', 'Please keep the lid closed.'],
  [';ten', 'I am about ten minutes away.'],
  [';tenp', 'Could someone keep a space for me?'],
  [';tx', 'With many thanks'],
  [';a;txq', 'Your invoice is on its way.'],
  [';bw', 'Best wishes', { rules: { fires: 'instant' } }],
  [';bwc', 'Kind regards from both of us'],
  ['them', 'The museum, north entrance'],
  ['tun', 'A tuning sets the pitch of all strings.'],
  ['ttl', 'Total of the work agreed'],
  ['->', '→', { kind: 'symbol' }],
  ['baize', 'Cloth for the keybed'],
  [';la', 'look at ;lb'],
  [';lb', 'look at ;la'],
  ['/due', 'Payable within two weeks'],
  ['-----', '------------------------------', { kind: 'symbol' }],
  [';gat', 'Good afternoon to all of you'],
  [';hat', 'Half a turn of the pin'],
  [';rec', 'Payment recieved with thanks.'],
  [';iban', 'GB82 WEST 1234 5698 7654 32', { kind: 'contact' }],
];
const TYPES = [
  'Same code twice',
  'Look-alikes',
  'Another code expands first',
  'Another code inside',
  'Waits for the next key',
  'Everyday words',
  'Starts of words',
  'Inside words',
  'In links and prices',
  'Inside your other texts',
  'Endless loops',
  'Already used by apps',
  'Changed by a device',
  'One slip apart',
  'Look at the text',
  'Better kept private',
];

/** How a person opens a finding by its words, takes what is proposed, and takes it back. */
interface Hands {
  open(app: App, words: string): Promise<void>;
  take(app: App): Promise<void>;
  undo(app: App): Promise<void>;
}

const byTouch: Hands = {
  open: (app, words) => app.openFinding(words),
  take: (app) => app.tap('Fix it'),
  undo: (app) => app.tap('Undo'),
};

const byKeyboard: Hands = {
  open: (app, words) => app.pressByKey(words, 200),
  take: (app) => app.pressByKey('Fix it', 30),
  undo: (app) => app.pressByKey('Undo', 200),
};

/** The first finding below the heading of a group. */
function firstOf(title: string): By {
  return By.xpath(
    `(//*[@role="button" and starts-with(@aria-label, "${title}: ")]/following::*[@role="link" and contains(@aria-label, ": ")])[1]`,
  );
}

describe.each<[Device, string, Hands]>([
  ['phone', 'touch', byTouch],
  ['computer', 'keyboard', byKeyboard],
])('on a %s, by %s', (device, _way, hands) => {
  // By keyboard each is gone through as the first ones are; in the long runs all of them.
  const SOME = 4;
  journey(
    'one finding of each type is mended, and each mending is taken back',
    'empty',
    async ({ open, stand }) => {
      const other = await OtherDevice.join(stand.address);
      await other.choose({ languages: ['en'], devices: ['app', 'phone-list', 'computer-list', 'computer-again'] });
      await other.make(...OF_EVERY_TYPE);
      const app = await open(device, '/check');
      await app.seeText('Checked at');
      // One group is open at a time, so that its findings are near.
      const toggle = (which: string) =>
        app.driverScript(`document.querySelectorAll('[role=button][aria-expanded]').forEach((group) => {
          const title = group.getAttribute('aria-label').replace(/: .*/, '');
          if (${which}) group.click();
        })`);
      await app.until(async () => {
        await toggle(`group.getAttribute('aria-expanded') === 'true'`);
        return (await app.findings()).length === 0;
      }, 'all groups to be closed');
      for (const title of device === 'phone' || process.env.YELLOW_LATCH_SOAK ? TYPES : TYPES.slice(0, SOME)) {
        await toggle(`title === ${JSON.stringify(title)}`);
        const row = await app.see(firstOf(title));
        const words = (await row.getAttribute('aria-label'))!;
        const isFound = async () => (await app.findings()).includes(words);
        await hands.open(app, words);
        await app.seeText('Ways to fix it');
        await app.see(By.css('[role=radio][aria-checked=true]'));
        await hands.take(app);
        await app.until(async () => !(await isFound()), `“${words}” to be mended`);
        await hands.undo(app);
        await app.until(isFound, `“${words}” to be back`);
        await toggle(`title === ${JSON.stringify(title)}`);
      }
      await app.expectAccessible();
    },
    400_000,
  );
});

journey(
  'what is left keeps its reason on every device, and comes back when it is about something else',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/check');
    const other = await open('computer', '/check');
    await app.openFinding('ham, Risky: “ham” is a word');
    await app.tap('Ignore this');
    await app.expectAccessible();
    await app.fill('Or in your own words', 'We never eat it');
    await app.tap('Ignore');
    await app.seeText('Ignored for “ham”.');
    await other.tap('Ignored: 1');
    await other.seeText('Ignored: We never eat it');
    await other.openFinding(
      'ham, Risky: “ham” is a word. It would expand by mistake about every 4 months. Ignored: We never eat it',
    );
    await other.seeText('Ignored: We never eat it');
    await other.tap('Stop ignoring');
    await app.until(
      async () => (await app.findings()).some((words) => words.startsWith('ham, Risky: “ham” is a word')),
      'it to be back',
    );
  },
);

journey('the list changes on another device while a fix is looked at', 'demo', async ({ open, stand }) => {
  const app = await open('phone', '/check');
  await app.openFinding('so, Needs fixing: “so” is an everyday word');
  await app.see(By.css('[role=radio][aria-label^="Type ;so."]'));
  const other = await OtherDevice.join(stand.address);
  await other.make([';so', 'Sold, thank you.']);
  await app.seeText('Your list changed, so this was checked again.');
  await app.until(
    async () => (await app.browser.driver.findElements(By.css('[role=radio][aria-label^="Type ;so."]'))).length === 0,
    ';so not to be free any more',
  );
  await app.see(By.css('[role=radio][aria-checked=true]'));
  await app.tap('Fix it');
  await app.seeText('“so” is now ');
});

journey('a fix that makes a new clash says so before it is taken', 'demo', async ({ open }) => {
  const app = await open('phone', '/check');
  await app.openFinding('#res, Safe, with a note: Social networks use “#” for tags.');
  await app.press(await app.see(By.css('[role=radio][aria-label^="Type ;res."]')));
  await app.seeText('New: At the start of a word, “;res” expands first on the computer. “;resch” never does.');
  await app.expectAccessible();
});

journey('nothing is left: what was checked, against what, and when', 'empty', async ({ open, stand }) => {
  const app = await open('phone', '/check');
  await app.seeText('Nothing to check yet: your list is empty.');
  await (await OtherDevice.join(stand.address)).make([';ws', 'Corrie & Vale, The Ropewalk']);
  await app.seeText('No problems found');
  await app.seeText('against every word of English, 452 links, addresses and prices');
  await app.expectAccessible();
  // Another language and another device: checked anew.
  await app.press(await app.see(By.css('[role=button][aria-label$="Choose languages and devices"]')));
  await app.press(await app.see(By.xpath('//*[@role="checkbox" and contains(., "German")]')));
  await app.press(await app.see(By.xpath('//*[@role="checkbox" and contains(., "Keyboard with suggestions")]')));
  await app.expectAccessible();
  await app.tap('Done');
  await app.seeText('for English and German and your 5 devices');
});

journey(
  'what cannot be loaded is said; a worker that stops is started again, then only when asked',
  'demo',
  async ({ open, stand }) => {
    const app = await open('phone', '/check');
    await app.browser.command('Page.addScriptToEvaluateOnNewDocument', {
      source: `window.workers = []; const Real = Worker;
      window.Worker = class extends Real { constructor(...args) { super(...args); window.workers.push(this); } };`,
    });
    await (await OtherDevice.join(stand.address)).choose({ languages: ['en', 'tlh'], devices: ['phone-list'] });
    await app.seeText('Not checked because it didn’t load: tlh.');
    await app.expectAccessible();
    await app.reload();
    await app.seeText('Checked at');
    await app.openFinding('so, Needs fixing: “so” is an everyday word');
    await app.until(() => app.driverScript('return window.workers.length === 1'), 'a worker');
    const stop = () => app.driverScript<void>(`window.workers.at(-1).dispatchEvent(new Event('error'))`);
    await stop();
    await app.until(() => app.driverScript('return window.workers.length === 2'), 'another worker');
    await app.see(By.css('[role=radio][aria-checked=true]'));
    await app.tap('Back to Check');
    await stop();
    await stop();
    await app.seeText('The check stopped twice.');
    await app.expectAccessible();
    await app.tap('Start again');
    await app.seeText('Checked at');
  },
);

journey('a secret is kept on this device only, and is gone from the others', 'demo', async ({ open }) => {
  const app = await open('phone', '/check');
  const other = await open('computer');
  await other.fill('Search your shortcuts', ';iban');
  await other.until(async () => (await other.codes()).join() === ';iban', ';iban');
  await app.openFinding(';iban, Risky');
  await app.seeText('•••• •••• •••• •••• •••4 32');
  await app.tap('Fix it');
  await app.seeText('“;iban” is now only on this device.');
  await other.seeText('Nothing found for “;iban”');
  await app.goTo('Shortcuts');
  await app.fill('Search your shortcuts', ';iban');
  await app.until(async () => (await app.codes()).join() === ';iban', ';iban here');
  expect(await app.text()).not.toContain('GB82');
  await app.tap('Copy the text of ;iban');
  await app.seeText('Copied: ••••••••');
  expect(await app.clipboard()).toBe('GB82 WEST 1234 5698 7654 32');
  await app.openShortcut(';iban');
  await app.seeText('••••••••');
  await app.expectAccessible();
  await app.tap('Show');
  expect(await (await app.field('You get')).getAttribute('value')).toBe('GB82 WEST 1234 5698 7654 32');
  // It works as any other, here.
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type(';iban ');
  await app.padHolds('GB82 WEST 1234 5698 7654 32 ');
});
