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
      async () => /You save [\d.,]+ mins? a week, [\d.,]+ hrs? a year/.test(await app.text()),
      'what is saved in a week and a year',
    );
    await app.seeText('the 44 of 64 shortcuts');
    await app.seeText('Save most');
    await app.expectAccessible();
    await app.goTo('Shortcuts');
    await app.openShortcut(';salt');
    await app.seeText('Saves');
    await app.openDetails();
    await app.choose('Used', 'About once a day');
    await app.tap('Save');
    await app.seeText('“;salt” works in Write.');
    await app.goTo('Write');
    await app.press(await app.see(By.css('textarea.write-pad')));
    await app.type(';moth ');
    await app.seeText('“;moth” expanded.');
    await app.bench('Savings');
    await app.seeText('the 46 of 64 shortcuts');
    await app.choose('How often you use ;conf', 'Not set');
    await app.seeText('the 45 of 64 shortcuts');
    await app.tap('Undo');
    await app.seeText('the 46 of 64 shortcuts');
  },
);

journey(
  'the keyboards of a device: the way lit up, another one, parts, one of one’s own, and rows that are none',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/devices');
    await app.openUnderDevices('Ansel’s phone');
    await app.follow('Keyboard.');
    await app.fill('Type something to see the keys it takes', '!');
    await app.seeText('2 taps');
    await app.control('Key 1: 12');
    await app.tap('Key 2: !');
    await app.see(By.css('[role=img][aria-label^="Phone, English: numbers; 1 key pressed"]'));
    await app.tap('Key 1: 12');
    await app.see(By.css('[role=img][aria-label^="Phone, English: letters; 1 key pressed"]'));
    await app.fill('Type something to see the keys it takes', 'so 🎹');
    await app.seeText('“🎹” isn’t on this keyboard.');
    await app.expectAccessible();

    await app.tap('Add a keyboard');
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Phone, German"]')));
    await app.seeText('Do you write German, too?');
    await app.tap('Check for German');
    await app.seeText('Checking for German, too.');
    await app.tap('Use Phone, English more');
    await app.seeText('67%');
    await app.press(await app.see(By.css('[role=radio][aria-label="Show Phone, German"]')));
    await app.fill('Type something to see the keys it takes', 'ü');
    await app.seeText('1 tap');
    await app.tap('Remove Phone, German');
    await app.seeText('Removed Phone, German.');

    await app.tap('My keys are different');
    await app.fill('Letters, row 1', 'qwertyuiop,');
    await app.fill('Numbers, row 3', 'a b');
    await app.seeText('Use 1 to 14 characters.');
    await app.seeText('Fix the rows to save.');
    await app.fill('Numbers, row 3', '!?@#%*+=');
    await app.expectAccessible();
    await app.fill('Name', 'My phone');
    await app.tap('Save');
    await app.press(await app.see(By.css('[role=radio][aria-label="Show My phone"]')));
    await app.tap('Change its keys');
    await app.tap('Delete');
    await app.seeText('Deleted My phone.');
    await app.control('Show Phone, English');
  },
);

journey(
  'the own pace is measured in half a minute, by keyboard alone',
  'demo',
  async ({ open }) => {
    const app = await open('computer', '/devices');
    await app.openUnderDevices('Ansel’s phone');
    await app.follow('Keyboard.');
    await app.seeText('letters');
    await app.tabTo('Measure my speed on Phone, English');
    await app.type(Key.RETURN);
    await app.type('The felt on the hammers is worn but even. I would leave it for now');
    await app.seeText('seconds left');
    await app.expectAccessible();
    await app.browser.driver.wait(async () => (await app.text()).includes('words a minute'), 40_000);
    await app.tap('Save this speed');
    await app.seeText('the usual time');
    await app.reload();
    await app.seeText('the usual time');
  },
  90_000,
);
