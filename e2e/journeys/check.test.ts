import { By } from 'selenium-webdriver';

import type { App } from '../app';
import type { Device } from '../browser';
import { journey } from '../journey';
import { OtherDevice, type Pair } from '../otherDevice';

journey('from opening Check to a mended finding in at most three taps, and back in one', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Your list was proved');
  await app.expectAccessible();
  app.taps = 0;
  await app.goTo('Check');
  await app.openFinding('so, Breaks: so is a word');
  await app.seeText('44 → 0.12 in 10,000 words');
  await app.tap('Do this');
  await app.seeText('so is now ;so.');
  console.log(`from opening Check to a mended finding: ${app.taps} taps`);
  expect(app.taps).toBeLessThanOrEqual(3);
  await app.until(async () => !(await app.findings()).some((words) => words.startsWith('so, ')), 'so to be gone');
  await app.expectAccessible();
  await app.tap('Undo');
  await app.until(async () => (await app.findings())[0]!.startsWith('so, '), 'so to be back');
});

journey('the first start leads through one finding, its evidence and its fix', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Your list was proved. so is a word');
  await app.tap('See why, and mend it');
  await app.seeText('1. Why');
  await app.seeText('Nothing is found without it');
  await app.seeText('This is what it would change');
  await app.expectAccessible();
  await app.tap('Do this');
  await app.seeText('so is now ;so.');
  // Once is enough.
  await app.goTo('Shortcuts');
  await app.reload();
  await app.seeText('In step');
  await app.seeNoText('Your list was proved');
  // The list shows the verdicts, and on request those of one kind alone.
  await app.tap('Breaks: 4');
  await app.until(async () => (await app.codes()).join() === ';tenp,;PK,ham,-----', 'only what breaks');
  await app.tap('Breaks: 4');
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
  'One code for two',
  'Look-alikes',
  'Cut short by another code',
  'Another code inside',
  'Waits for the next key',
  'A word of the language',
  'The beginning of words',
  'Inside words',
  'In links, prices and the like',
  'In your own texts',
  'Round in a circle',
  'Taken by programs',
  'Changed by a device',
  'One slip apart',
  'Something in the text',
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
  take: (app) => app.tap('Do this'),
  undo: (app) => app.tap('Undo'),
};

const byKeyboard: Hands = {
  open: (app, words) => app.pressByKey(words, 200),
  take: (app) => app.pressByKey('Do this', 30),
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
      await app.seeText('Proved at');
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
        await app.seeText('What would help');
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
    await app.openFinding('ham, Risky: ham is a word');
    await app.tap('Leave it…');
    await app.expectAccessible();
    await app.fill('Or in your own words', 'We never eat it');
    await app.tap('Leave it so');
    await app.seeText('ham is left as it is.');
    await other.tap('Left as they are: 1');
    await other.seeText('Left: We never eat it');
    await other.openFinding(
      'ham, Risky: ham is a word: about 0.12 misfires in 10,000 words, once in 3.4 to 280 weeks. Left: We never eat it',
    );
    await other.seeText('Left as it is: We never eat it');
    await other.tap('Take it up again');
    await app.until(
      async () => (await app.findings()).some((words) => words.startsWith('ham, Risky: ham is a word')),
      'it to be back',
    );
  },
);

journey('the list changes on another device while a fix is looked at', 'demo', async ({ open, stand }) => {
  const app = await open('phone', '/check');
  await app.openFinding('so, Breaks: so is a word');
  await app.see(By.css('[role=radio][aria-label^="Type ;so."]'));
  const other = await OtherDevice.join(stand.address);
  await other.make([';so', 'Sold, thank you.']);
  await app.seeText('worked out anew');
  await app.until(
    async () => (await app.browser.driver.findElements(By.css('[role=radio][aria-label^="Type ;so."]'))).length === 0,
    ';so not to be free any more',
  );
  await app.see(By.css('[role=radio][aria-checked=true]'));
  await app.tap('Do this');
  await app.seeText('so is now ');
});

journey('a fix that makes a new clash says so before it is taken', 'demo', async ({ open }) => {
  const app = await open('phone', '/check');
  await app.openFinding('#res, Safe, with a note: Networks take # for a tag.');
  await app.press(await app.see(By.css('[role=radio][aria-label^="Type ;res."]')));
  await app.seeText('New: At the start of a word ;res expands first on the computer, so ;resch does not.');
  await app.expectAccessible();
});

journey('nothing is left: what was checked, against what, and when', 'empty', async ({ open, stand }) => {
  const app = await open('phone', '/check');
  await app.seeText('there is nothing to prove');
  await (await OtherDevice.join(stand.address)).make([';ws', 'Corrie & Vale, The Ropewalk']);
  await app.seeText('Every latch is shut');
  await app.seeText('1 shortcut, tried with every word of English, with 452 links, addresses, prices and the like');
  await app.expectAccessible();
  // Another language and another device: proved anew.
  await app.tap('Proved against: choose languages and devices');
  await app.press(await app.see(By.xpath('//*[@role="checkbox" and contains(., "German")]')));
  await app.press(await app.see(By.xpath('//*[@role="checkbox" and contains(., "Keyboard with offers")]')));
  await app.expectAccessible();
  await app.tap('Done');
  await app.seeText('against English, German on 5 devices');
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
    await app.seeText('Not checked, since it could not be loaded: tlh.');
    await app.expectAccessible();
    await app.reload();
    await app.seeText('Proved at');
    await app.openFinding('so, Breaks: so is a word');
    await app.until(() => app.driverScript('return window.workers.length === 1'), 'a worker');
    const stop = () => app.driverScript<void>(`window.workers.at(-1).dispatchEvent(new Event('error'))`);
    await stop();
    await app.until(() => app.driverScript('return window.workers.length === 2'), 'another worker');
    await app.see(By.css('[role=radio][aria-checked=true]'));
    await app.tap('Back to the findings');
    await stop();
    await stop();
    await app.seeText('stopped by itself twice running');
    await app.expectAccessible();
    await app.tap('Start it again');
    await app.seeText('Proved at');
  },
);

journey('a secret is kept on this device only, and is gone from the others', 'demo', async ({ open }) => {
  const app = await open('phone', '/check');
  const other = await open('computer');
  await other.fill('Find by code or text', ';iban');
  await other.until(async () => (await other.codes()).join() === ';iban', ';iban');
  await app.openFinding(';iban, Risky');
  await app.seeText('•••• •••• •••• •••• •••4 32');
  await app.tap('Do this');
  await app.seeText(';iban is on this device only now.');
  await other.seeText('No code, text, note or set holds “;iban”');
  await app.goTo('Shortcuts');
  await app.fill('Find by code or text', ';iban');
  await app.until(async () => (await app.codes()).join() === ';iban', ';iban here');
  expect(await app.text()).not.toContain('GB82');
  await app.tap('Copy what ;iban gives');
  await app.seeText('Copied: ••••••••');
  expect(await app.clipboard()).toBe('GB82 WEST 1234 5698 7654 32');
  await app.openShortcut(';iban');
  await app.seeText('••••••••');
  await app.expectAccessible();
  await app.tap('Show it');
  expect(await (await app.field('You get')).getAttribute('value')).toBe('GB82 WEST 1234 5698 7654 32');
  // It works as any other, here.
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type(';iban ');
  await app.padHolds('GB82 WEST 1234 5698 7654 32 ');
});
