import { By } from 'selenium-webdriver';

import { journey } from '../journey';

journey('a code is judged while it is typed, by words, other codes and devices', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.tap('Paste or write…');
  await app.insert(await app.field('You get'), 'See you on Thursday.');
  await app.fill('You type', 'so');
  await app.seeText('so is taken by another shortcut');
  await app.fill('You type', 'ham');
  await app.seeText('ham is taken by another shortcut');
  await app.fill('You type', 'them');
  await app.seeText('them is a word: about');
  await app.seeText('misfires in 10,000 words');
  await app.expectAccessible();
  // One tap takes a free code near it.
  const before = app.taps;
  await app.tap('Take ;them');
  expect(app.taps - before).toBe(1);
  expect(await (await app.field('You type')).getAttribute('value')).toBe(';them');
  await app.seeText('No word, link or other code gets in its way.');
  await app.tap('Save');
  await app.seeText(';them is saved');
});

journey('a bad code is given up for a free one with the keyboard alone', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.pressByKey('Paste or write…', 200);
  // The caret stands there when a new shortcut is begun.
  const field = await app.field('You get');
  await app.until(
    async () => (await app.browser.driver.switchTo().activeElement().getId()) === (await field.getId()),
    'the caret to stand in “You get”',
  );
  await app.type('See you on Thursday.');
  await app.tabTo('You type');
  await app.type('them');
  await app.seeText('them is a word: about');
  await app.see(By.css('[aria-label="Take ;them"]'));
  await app.pressByKey('Take ;them');
  await app.seeText('No word, link or other code gets in its way.');
  await app.tabTo('Only on this device');
  await app.type(' ');
  await app.see(By.css('[role=checkbox][aria-checked=true]'));
  await app.type(' ');
  await app.see(By.css('[role=checkbox][aria-checked=false]'));
  await app.pressByKey('Save');
  await app.seeText(';them is saved');
});

journey('an account number is told of before it is copied to every device', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.tap('Paste or write…');
  await app.insert(await app.field('You get'), 'GB29 NWBK 6016 1331 9268 19');
  await app.fill('You type', ';acct');
  await app.seeText('What it gives looks like an account number; every device shows it.');
  expect(await app.browser.driver.findElements(By.css('[aria-label^="Take "]'))).toEqual([]);
  await app.tap('Keep it on this device only');
  await app.seeNoText('looks like an account number');
  await app.tap('Save');
  await app.seeText(';acct is saved');
  await app.fill('Find by code or text', ';acct');
  await app.seeText('••••••••, only on this device');
  await app.expectAccessible();
});

journey(
  'a verdict follows what was saved a moment before, and is there on a wide screen',
  'empty',
  async ({ open }) => {
    const app = await open('computer');
    await app.make(';ten', 'I am about ten minutes away.');
    await app.tap('Paste or write…');
    await app.insert(await app.field('You get'), 'Ten, and a place for the van.');
    await app.fill('You type', ';tenp');
    await app.seeText('At the start of a word ;ten expands first on the computer');
    await app.expectAccessible();
  },
);

journey('without its worker the page goes on, and says nothing it does not know', 'demo', async ({ open }) => {
  const app = await open('phone');
  const { driver } = app.browser;
  await app.browser.command('Page.addScriptToEvaluateOnNewDocument', {
    source: `window.Worker = class { constructor() { window.wasAsked = true; throw new Error('no worker'); } }`,
  });
  await driver.executeScript(
    'indexedDB.databases().then((all) => all.forEach(({ name }) => indexedDB.deleteDatabase(name)))',
  );
  await app.reload();
  await app.tap('Paste or write…');
  await app.insert(await app.field('You get'), 'See you on Thursday.');
  await app.fill('You type', 'them');
  await app.until(() => driver.executeScript('return window.wasAsked === true'), 'the worker to be asked for');
  expect(await app.text()).not.toMatch(/Safe|Risky|Breaks/);
  await app.fill('You type', ';thurs');
  await app.tap('Save');
  await app.seeText(';thurs is saved');
  expect(await driver.findElements(By.css('[role=alert]'))).toEqual([]);
});
