import { By } from 'selenium-webdriver';

import { OtherDevice } from '../otherDevice';
import { journey } from '../journey';

journey('a code is judged while it is typed, by words, other codes and devices', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), 'See you on Thursday.');
  await app.fill('You type', 'so');
  await app.seeText('Another shortcut already uses “so”');
  await app.fill('You type', 'ham');
  await app.seeText('Another shortcut already uses “ham”');
  await app.fill('You type', 'them');
  await app.seeText('“them” is an everyday word.');
  await app.seeText('times in 10,000 words');
  await app.expectAccessible();
  // One tap takes a free code near it.
  const before = app.taps;
  await app.tap('Use ;them');
  expect(app.taps - before).toBe(1);
  expect(await (await app.field('You type')).getAttribute('value')).toBe(';them');
  await app.seeText('No word, link or other code gets in the way.');
  await app.tap('Save');
  await app.seeText('“;them” works in Write.');
});

journey('a bad code is given up for a free one with the keyboard alone', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.pressByKey('New shortcut…', 200);
  // The caret stands there when a new shortcut is begun.
  const field = await app.field('You get');
  await app.until(
    async () => (await app.browser.driver.switchTo().activeElement().getId()) === (await field.getId()),
    'the caret to stand in “You get”',
  );
  await app.type('See you on Thursday.');
  await app.tabTo('You type');
  await app.type('them');
  await app.seeText('“them” is an everyday word.');
  await app.see(By.css('[aria-label="Use ;them"]'));
  await app.pressByKey('Use ;them');
  await app.seeText('No word, link or other code gets in the way.');
  await app.pressByKey('Kind, set and more');
  await app.tabTo('Only on this device');
  await app.type(' ');
  await app.see(By.css('[role=checkbox][aria-checked=true]'));
  await app.type(' ');
  await app.see(By.css('[role=checkbox][aria-checked=false]'));
  await app.pressByKey('Save');
  await app.seeText('“;them” works in Write.');
});

journey('an account number is told of before it is copied to every device', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), 'GB29 NWBK 6016 1331 9268 19');
  await app.fill('You type', ';acct');
  await app.seeText('Its text looks like an account number, and all your devices show it.');
  expect(await app.browser.driver.findElements(By.css('[aria-label^="Take "]'))).toEqual([]);
  await app.tap('Keep it only on this device');
  await app.seeNoText('looks like an account number');
  await app.tap('Save');
  await app.seeText('“;acct” works in Write.');
  await app.fill('Search your shortcuts', ';acct');
  await app.seeText('•••••••• Only on this device');
  await app.expectAccessible();
});

journey(
  'a verdict follows what was saved a moment before, and is there on a wide screen',
  'empty',
  async ({ open, stand }) => {
    await (await OtherDevice.join(stand.address)).typeOn('expander');
    const app = await open('computer');
    await app.make(';ten', 'I am about ten minutes away.');
    await app.tap('New shortcut…');
    await app.insert(await app.field('You get'), 'Ten, and a place for the van.');
    await app.fill('You type', ';tenp');
    await app.seeText('At the start of a word, “;ten” expands first on expander');
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
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), 'See you on Thursday.');
  await app.fill('You type', 'them');
  await app.until(() => driver.executeScript('return window.wasAsked === true'), 'the worker to be asked for');
  expect(await app.text()).not.toMatch(/Safe|Risky|Needs fixing/);
  await app.fill('You type', ';thurs');
  await app.tap('Save');
  await app.seeText('“;thurs” works in Write.');
  expect(await driver.findElements(By.css('[role=alert]'))).toEqual([]);
});
