import { By, Key } from 'selenium-webdriver';

import { journey } from '../journey';

journey(
  'savings: what pays and what does not, use said and taken back, and counted in Write',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.bench('Savings');
    // How much depends on the day: some texts hold its date.
    await app.until(
      async () => /\d+ min a week, \d+ h a year/.test(await app.text()),
      'what is saved in a week and a year',
    );
    await app.seeText('from 44 of 64 shortcuts');
    await app.seeText('Save most');
    await app.expectAccessible();
    await app.goTo('Shortcuts');
    await app.openShortcut(';salt');
    await app.seeText('Saves');
    await app.choose('Used', 'About once a day');
    await app.tap('Save');
    await app.seeText(';salt is saved');
    await app.goTo('Write');
    await app.press(await app.see(By.css('textarea.write-pad')));
    await app.type(';moth ');
    await app.seeText(';moth fired');
    await app.bench('Savings');
    await app.seeText('from 46 of 64 shortcuts');
    await app.choose('Use of ;conf', 'Not said');
    await app.seeText('from 45 of 64 shortcuts');
    await app.tap('Undo');
    await app.seeText('from 46 of 64 shortcuts');
  },
);

journey(
  'keyboards: the way lit up, parts, one more, one of one’s own, and rows that are none',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.bench('Keyboards');
    await app.fill('Type something to see its way', '!');
    await app.seeText('2 taps');
    await app.control('Press 1: 12');
    await app.tap('Press 2: !');
    await app.see(By.css('[role=img][aria-label^="Phone, English: figures; 1 pressed"]'));
    await app.tap('Press 1: 12');
    await app.see(By.css('[role=img][aria-label^="Phone, English: letters; 1 pressed"]'));
    await app.fill('Type something to see its way', 'so 🎹');
    await app.seeText('🎹 is not on this keyboard.');
    await app.expectAccessible();

    await app.tap('Phone, English: used more');
    await app.seeText('64 %');
    await app.tap('Another keyboard');
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Keyboard, German"]')));
    await app.seeText('58 %');
    await app.press(await app.see(By.css('[role=radio][aria-label="Show Keyboard, German"]')));
    await app.fill('Type something to see its way', '@');
    await app.control('Press 1: alt gr');
    await app.tap('Keyboard, German is not used');
    await app.seeText('64 %');

    await app.press(await app.see(By.css('[role=radio][aria-label="Show Phone, English"]')));
    await app.tap('Mine has other keys');
    await app.fill('Letters, first row', 'qwertyuiop,');
    await app.fill('Figures, third row', 'a b');
    await app.seeText('This row holds a blank or a control character.');
    await app.seeText('Set the rows right to save.');
    await app.fill('Figures, third row', '!?@#%*+=');
    await app.expectAccessible();
    await app.fill('Name', 'My phone');
    await app.tap('Save');
    await app.press(await app.see(By.css('[role=radio][aria-label="Show My phone"]')));
    await app.tap('Change its keys');
    await app.tap('Delete');
    await app.seeText('My phone is deleted.');
    await app.seeText('64 %');
  },
);

journey(
  'the own pace is measured in half a minute, by keyboard alone',
  'demo',
  async ({ open }) => {
    const app = await open('computer', '/check/keyboards');
    await app.seeText('Shown: letters.');
    await app.tabTo('Measure my pace on Phone, English');
    await app.type(Key.RETURN);
    await app.type('The felt on the hammers is worn but even. I would leave it for now');
    await app.seeText('seconds left.');
    await app.expectAccessible();
    await app.browser.driver.wait(async () => (await app.text()).includes('words a minute'), 40_000);
    await app.tap('Keep this pace');
    await app.seeText('the time');
    await app.reload();
    await app.seeText('the time');
  },
  90_000,
);
