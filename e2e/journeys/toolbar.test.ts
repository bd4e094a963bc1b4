/** The panel behind the button of the toolbar, and the options. */
import { By, Key } from 'selenium-webdriver';

import { App } from '../app';
import { Extended } from '../extended';
import { FieldSite } from '../fieldSite';
import { OtherDevice } from '../otherDevice';
import { Stand } from '../stand';

let stand: Stand;
let site: FieldSite;
let browser: Extended;
let tablet: OtherDevice;

beforeEach(async () => {
  [stand, site] = await Promise.all([Stand.start('empty'), FieldSite.start()]);
  tablet = await OtherDevice.join(stand.address);
  await tablet.make([';ws', 'Unit 3, The Ropewalk'], [';hf', '½'], [';hi', '', BLANK]);
  browser = await Extended.start();
});
const BLANK = { content: { expansion: 'Dear {$name},', template: true, format: 'plain' as const } };
afterEach(async () => {
  await browser?.browser.keepFailure(expect.getState().currentTestName ?? 'toolbar').catch(() => {});
  await browser?.end();
  await site?.stop();
  await stand?.end();
});

test('what is picked from the list goes in where the cursor was, with its blanks', async () => {
  await browser.join(stand.address);
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';hf', '½');
  await browser.clear();
  await browser.type('At , at ten.');
  for (let back = 0; back < ', at ten.'.length; back += 1) await browser.type(Key.ARROW_LEFT);
  const close = await browser.openPanel();
  await browser.see('Synced');
  await browser.driver.findElement(By.css('input[type=search]')).sendKeys('rope');
  await browser.until('one row', async () => (await browser.driver.findElements(By.css('.found button'))).length === 1);
  await browser.driver.findElement(By.css('.found button')).click();
  await close();
  await browser.holds('At Unit 3, The Ropewalk, at ten.');

  const closeAgain = await browser.openPanel();
  await browser.driver.findElement(By.css('input[type=search]')).sendKeys(';hi');
  await browser.until('one row', async () => (await browser.driver.findElements(By.css('.found button'))).length === 1);
  await browser.driver.findElement(By.css('.found button')).click();
  await closeAgain();
  await browser.typeIntoPanel('Mara');
  await browser.holds('At Unit 3, The RopewalkDear Mara,, at ten.');
}, 90_000);

test('a shortcut made of what is selected, taken back, and codes that cannot be', async () => {
  await browser.join(stand.address);
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';hf', '½');
  await browser.clear();
  await browser.type('The piano settles in two weeks.');
  await browser.chord(Key.CONTROL, 'a');
  const close = await browser.openPanel();
  const text = await browser.driver.findElement(By.id('new-text')).getAttribute('value');
  expect(text).toBe('The piano settles in two weeks.');
  const save = async (code: string) => {
    await browser.fillIn('You type', code);
    await browser.press('Save');
  };
  await save(';ws');
  await browser.see('“;ws” is in your list already');
  await save('');
  await browser.see('A code has 1 to 40 characters.');
  await save(';settle');
  await browser.see('Saved “;settle”.');
  await close();
  await browser.untilExpands(';settle', 'The piano settles in two weeks.');
  const closeAgain = await browser.openPanel();
  await browser.unfold('New shortcut');
  await browser.fillIn('You get', 'Gone again');
  await save(';gone');
  await browser.see('Saved “;gone”.');
  await browser.press('Undo');
  await browser.see('Undone.');
  await closeAgain();
  await browser.clear();
  await browser.type(';gone ;hf ');
  await browser.holds(';gone ½ ');
}, 90_000);

test('off on one site, paused for an hour, only by tap; all of it under Options too', async () => {
  await browser.join(stand.address);
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';hf', '½');
  const stays = async () => {
    await browser.until('that nothing expands', async () => {
      await browser.clear();
      await browser.type(';hf ');
      return (await browser.text()) === ';hf ';
    });
  };
  const inPanel = async (press: () => Promise<void>) => {
    const close = await browser.openPanel();
    await press();
    await browser.settle();
    await close();
  };
  await inPanel(() => browser.choose('On at 127.0.0.1'));
  await stays();
  await inPanel(() => browser.choose('On at 127.0.0.1'));
  await browser.untilExpands(';hf', '½');
  await inPanel(async () => {
    await browser.press('Pause for an hour');
    await browser.see('Paused until');
  });
  await stays();
  await inPanel(async () => {
    await browser.press('Turn it on again');
    await browser.see('Pause for an hour');
  });
  await browser.untilExpands(';hf', '½');

  await browser.openOwn('options.html');
  await browser.choose('Only when I pick a suggestion');
  await browser.until('the choice', () => browser.isChosen('Only when I pick a suggestion'));
  await browser.choose('Ctrl + Space');
  await browser.until('the choice', () => browser.isChosen('Ctrl + Space'));
  await browser.openField(site.at('textarea'));
  await browser.untilSuggests(';hf');
  await browser.type(' ');
  await browser.holds(';hf ');
  await browser.clear();
  await browser.type(';hf');
  await browser.seeSuggestion();
  await browser.chord(Key.CONTROL, ' ');
  await browser.holds('½');
}, 90_000);

test('what does not join is told with what to do; everybody can use panel and options, as far as a machine can tell', async () => {
  const everybodyCan = async () => {
    for (const scheme of ['light', 'dark'] as const) {
      await browser.browser.scheme(scheme);
      await new App(browser.browser, stand.address).expectAccessible();
    }
  };
  await browser.openOwn('options.html');
  await everybodyCan();
  const join = async (address: string, code = '') => {
    await browser.fillIn('Address', address);
    await browser.fillIn('Code', code);
    await browser.press('Get my list');
  };
  await join('not an address');
  await browser.see('That isn’t an address.');
  await join('127.0.0.1:9');
  await browser.see('Nothing answers at that address.');
  await join(stand.address, 'AAAA-BBBB');
  await browser.see('That code doesn’t work.');
  await join(stand.address);
  await browser.see('Synced');
  await everybodyCan();
  await browser.openField(site.at('textarea'));
  const close = await browser.openPanel();
  await everybodyCan();
  await close();
  await browser.openOwn('options.html');
  await browser.press('Sign out');
  await browser.see('Get my list');
}, 90_000);
