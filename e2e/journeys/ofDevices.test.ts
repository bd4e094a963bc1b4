/** Devices that do not run the app: what fits there, and the list carried over to them by hand. */
import { By } from 'selenium-webdriver';

import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';
import type { App } from '../app';

/** What the answer to a question is. */
async function answer(app: App, label: string, next: 'Next' | 'Done'): Promise<void> {
  await app.press(await app.see(By.xpath(`//*[@role="radio" and normalize-space(.)="${label}"]`)));
  await app.tap(next);
}

const copied = async (app: App, times: number) => {
  for (let at = 1; at <= times; at += 1) {
    await app.seeText(`${at} of `);
    await app.tap('Copy text');
    await app.seeText('Copied the text.');
    await app.tap('Done, next');
  }
};

journey(
  'a phone without the app: added, asked about, fixed, filled by hand, and told of what changed',
  'empty',
  async ({ open, stand }) => {
    const other = await OtherDevice.join(stand.address);
    await other.make(
      [';addr', '12 Mill Lane\nHebden'],
      [';ten', 'I am about ten minutes away.'],
      [';late', 'Sorry, I am running late.'],
      [';mail', 'ansel@corrieandvale.example'],
      [';web', 'https://corrieandvale.example'],
      ['--a', 'an arrow'],
    );
    const app = await open('phone');
    await app.browser.clipboard('granted');
    await app.seeText('12 Mill Lane');

    // Added: it has its own list, and nothing else.
    await app.goTo('Devices');
    await app.tap('Add a device');
    await app.tap('It can’t run Yellow Latch');
    await app.expectAccessible();
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Phone"]')));
    await app.fill('Name', 'Old phone');
    await app.tap('Add it');
    await app.seeText('It doesn’t run Yellow Latch.');
    await app.seeText('4 work, 1 changes, and 1 doesn’t');
    await app.expectAccessible();

    // Asked about: it refuses a second line, and leaves hyphens alone.
    await app.tap('Is that right? Its own list of shortcuts');
    await answer(app, 'My text came after the space', 'Next');
    await app.expectAccessible();
    await answer(app, 'It couldn’t be saved', 'Next');
    await answer(app, 'Two hyphens: --', 'Done');
    await app.seeText('Takes no text of several lines.');
    await app.seeText('5 work and 1 doesn’t');

    // What does not fit is fixed.
    await app.follow('What works there.');
    await app.seeText('Its text has several lines.');
    await app.expectAccessible();
    await app.tap('Make “;addr” one line');
    await app.seeText('All of your list works there as it is.');
    await app.tap('Back to the device');

    // Carried by hand, five of six.
    await app.follow('Copy your list over.');
    await app.seeText('6 to add');
    await app.expectAccessible();
    await app.tap('Do them by hand');
    await copied(app, 2);
    await app.expectAccessible();
    // It is kept after each, and goes on where one left off.
    await app.reload();
    await app.seeText('4 to add');
    await app.tap('Do them by hand');
    await copied(app, 3);
    await app.tap('Go on later');
    await app.seeText('1 to add');

    // Edited on another device, deleted here: both are told.
    await other.edit(await other.recordOf(';addr'), {
      content: { expansion: '14 Mill Lane, Hebden', template: false, format: 'plain' },
    });
    await app.seeText('1 to change');
    await app.until(
      async () => (await app.text()).includes('1 to change') && (await app.text()).includes('1 to add'),
      'what is to be done',
    );
    await app.goTo('Shortcuts');
    const there = (await app.codes()).filter((code) => code !== ';addr' && code !== '--a');
    await app.openShortcut(there[0]!);
    await app.tap('Delete');
    await app.seeText('Still on Old phone.');
    await app.openUnderDevices('Old phone');
    await app.follow('Copy your list over.');
    await app.seeText('1 to remove');
    await app.tap('Do them by hand');
    await app.seeText('On Old phone, delete this one');
    await app.tap('Done, next');
    await app.seeText('On Old phone, change this one');
    await app.seeText('14 Mill Lane, Hebden');
    await app.tap('Done, next');
    await app.tap('Done, next');
    await app.seeText('That’s it');
    await app.tap('Done');
    await app.seeText('Everything is there.');

    // Emptied, and taken back.
    await app.tap('I emptied that list');
    await app.seeText('5 to add');
    await app.tap('Undo');
    await app.seeText('Everything is there.');
  },
  180_000,
);

journey(
  'answers that contradict each other are said; a device deleted while one carries to it; one made private is still there',
  'empty',
  async ({ open, stand }) => {
    const other = await OtherDevice.join(stand.address);
    await other.make([';iban', 'Ask me for the account'], [';ten', 'I am about ten minutes away.']);
    const app = await open('phone');
    await app.seeText('ten minutes');
    await app.goTo('Devices');
    await app.tap('Add a device');
    await app.tap('It can’t run Yellow Latch');
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Tablet"]')));
    await app.tap('Add it');
    await app.tick('A keyboard with suggestions');
    await app.tap('Is that right? A keyboard with suggestions');
    await app.press(
      await app.see(By.xpath('//*[@role="radio" and starts-with(normalize-space(.), "My text came right away")]')),
    );
    await app.seeText('A keyboard with suggestions waits for your tap.');
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Not sure"]')));
    await app.seeNoText('A keyboard with suggestions waits for your tap.');
    await app.tap('Next');
    await app.tap('Next');
    await app.tap('Done');
    await app.seeText('Takes up to 200 characters.');

    await app.follow('Copy your list over.');
    await app.tap('Do them by hand');
    await app.tap('Done, next');
    await app.tap('Done, next');
    await app.seeText('That’s it');
    // What was copied and is private now is still there, under a code that only this device knows.
    await app.goTo('Shortcuts');
    await app.openShortcut(';iban');
    await app.openDetails();
    await app.tick('Only on this device');
    await app.tap('Save');
    await app.seeText('Still on the tablet.');
    await app.goTo('Devices');
    await app.openUnderDevices('Tablet');
    await app.follow('Copy your list over.');
    await app.seeText('1 to remove');
    await app.tap('Do it by hand');
    await app.see(By.css('[role=img][aria-label="Code ;iban"]'));

    // On another device the tablet is taken off the list.
    await other.removeDevice('Tablet');
    await app.seeText('This device was removed from your list.');
    await app.expectAccessible();
  },
  150_000,
);

journey('what works where, side by side', 'demo', async ({ open }) => {
  const app = await open('computer', '/devices/table');
  await app.seeText('Becomes one line there.');
  await app.seeText('The date would stay what it is today.');
  await app.seeText('Mara’s tablet');
  await app.expectAccessible();
});
