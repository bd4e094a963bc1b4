import { By, Key } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

/** Types into the page of Write. */
async function write(app: App, text: string): Promise<void> {
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type(text);
}

/** What the expansion's field shows, chips among it. */
const shown = (app: App) =>
  app.driverScript<string>(`return document.querySelector('.template-field')?.innerText ?? ''`);
const year = new Date().getFullYear();

journey(
  'a message with blanks is made by touch, fires, is filled in, taken back, and cancelled',
  'empty',
  async ({ open }) => {
    const app = await open('phone');
    await app.tap('New shortcut…');
    await app.insert(await app.field('You get'), 'Dear , see you.');
    // The cursor goes behind “Dear ”.
    await app.type(Key.HOME + Key.ARROW_RIGHT.repeat(5));
    await app.insertPart('Blank');
    await app.insert(await app.field('Name'), 'Name');
    await app.expectAccessible();
    await app.tap('Insert');
    await app.until(async () => (await shown(app)) === 'Dear Name, see you.', 'the chip in its place');
    await app.insertPart('Blank');
    await app.insert(await app.field('Name'), 'Part of the day');
    await app.choose('Asks for', 'one of several');
    await app.tap('Insert');
    await app.seeText('Type the choices');
    await app.insert(await app.field('Choices, with commas between them'), 'morning, afternoon');
    await app.tap('Insert');
    await app.control('Blank: Part of the day');
    // One types on behind what was put in.
    await app.type('!');
    await app.until(async () => (await shown(app)) === 'Dear NamePart of the day!, see you.', 'the cursor behind it');
    await app.type(Key.BACK_SPACE);
    await app.seeText('You get now');
    await app.expectAccessible();
    await app.insert(await app.field('You type'), ';see');
    await app.tap('Save');
    await app.seeText('“;see” works in Write.');
    await app.seeText('[Name]');

    await write(app, ';see ');
    await app.seeText('Fill in blank 1 of 2');
    await app.insert(await app.field('Name'), 'Rowena');
    await app.expectAccessible();
    await app.type(Key.RETURN);
    await app.seeText('Fill in blank 2 of 2');
    await app.expectAccessible();
    await app.tap('afternoon');
    const { text } = await (async () => {
      await app.seeText('“;see” expanded.');
      return app.pad();
    })();
    expect(text).toMatch(/^Dear Rowena(afternoon)?, see you\.(afternoon)? $/);
    await app.type(Key.BACK_SPACE);
    await app.padHolds(';see ');
    await app.tap('Clear');
    await app.type(';see ');
    await app.seeText('Fill in blank 1 of 2');
    await app.tap('Keep the code');
    await app.padHolds(';see ');
    await app.type('x');
    await app.padHolds(';see x');
  },
);

journey('dates, the caret, another shortcut inside, and a circle, by touch', 'demo', async ({ open }) => {
  const app = await open('phone');
  // The caret inside brackets: initials in small letters.
  await write(app, ';note ');
  await app.insert(await app.field('Initials'), 'mv');
  await app.tap('Insert');
  await app.until(async () => (await app.pad()).text === '[MV: ] ', 'the note');
  expect((await app.pad()).caret).toBe(5);
  await app.tap('Clear');
  await app.type(';clear ');
  await app.until(
    async () => (await app.pad()).text.includes('photographs included. Hamble Hall: the ramp'),
    'the wording inside',
  );
  await app.tap('Clear');
  await app.type(';six ');
  await app.until(
    async () => new RegExp(`due in \\w+ (${year}|${year + 1})\\.`).test((await app.pad()).text),
    'the month in six months',
  );

  // A date is chosen by its example.
  await app.goTo('Shortcuts');
  await app.openShortcut(';here');
  await app.press(await app.field('You get'));
  await app.insertPart('Date');
  await app.choose('When', 'tomorrow');
  await app.choose('Then the next', 'Monday');
  await app.seeText('Today you get');
  await app.expectAccessible();
  await app.tap('Insert');
  await app.until(async () => new RegExp(String(year)).test(await shown(app)), 'the date in the text');

  // Taken out again, the text is plain; another shortcut that leads back is a circle.
  await app.press(await app.see(By.css('[aria-label^="Date: "]')));
  await app.tap('Remove');
  await app.field('You get');
  await app.insertPart('Shortcut');
  await app.insert(await app.field('Find a shortcut'), ';late');
  await app.press(await app.see(By.css('[role=radio][aria-label=";late"]')));
  await app.tap('Insert');
  await app.control('Shortcut: ;late');
  await app.tap('Save');
  await app.seeText('“;here” works in Write.');
  await app.openShortcut(';late');
  await app.press(await app.field('You get'));
  await app.insertPart('Shortcut');
  await app.insert(await app.field('Find a shortcut'), ';here');
  await app.press(await app.see(By.css('[role=radio][aria-label=";here"]')));
  await app.tap('Insert');
  await app.seeText('It would go on forever');
  await app.tap('Save');
  await app.seeText('“;late” works in Write.');
  await write(app, ' ;late ');
  await app.seeText('“;late” stays. It would go on forever');
  expect((await app.pad()).text).toContain(';late ');
});

journey('formatted: seen, shown for a device that knows none, and copied in both forms', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.openShortcut(';bye');
  await app.seeText('You get now');
  await app.see(By.css('.formatted strong'));
  await app.expectAccessible();
  await app.tap('Copy with formatting');
  await app.seeText('Copied with formatting.');
  const types = await app.driverScript<string>(
    `return navigator.clipboard.read().then(async ([item]) => (await (await item.getType('text/html')).text()) + ' | ' + (await (await item.getType('text/plain')).text()))`,
  );
  expect(types).toContain('<strong>Corrie &amp; Vale</strong>');
  expect(types).toContain('Book a visit (https://corrieandvale.example/book)');
  await app.choose('Device', 'Ansel’s phone');
  await app.seeText('It loses its formatting and its line breaks there.');
  // Fired, it is plain text that reads well.
  await write(app, ';bye ');
  await app.until(
    async () => (await app.pad()).text.includes('Corrie & Vale · Book a visit (https://corrieandvale.example/book)'),
    'the sign-off as text',
  );
  await app.goTo('Shortcuts');
  await app.fill('Search your shortcuts', ';six');
  await app.openShortcut(';six');
  await app.choose('Device', 'Ansel’s phone');
  await app.seeText('That device can’t keep dates up to date.');
  await app.fill('Search your shortcuts', ';rep');
  await app.openShortcut(';rep');
  await app.choose('Device', 'Ansel’s phone');
  await app.seeText('That device can’t keep dates up to date.');
});

journey(
  'the clipboard, the caret and formatting are put in by touch; a template that is none is told and set right',
  'empty',
  async ({ open, stand }) => {
    const other = await OtherDevice.join(stand.address);
    await other.make([';broken', 'so { it', { content: { expansion: 'so { it', template: true, format: 'plain' } }]);
    const app = await open('phone');
    await app.copyToClipboard('https://corrieandvale.example');
    await app.tap('New shortcut…');
    await app.insert(await app.field('You get'), 'See **us**: ');
    await app.insertPart('Clipboard');
    await app.control('Clipboard: clipboard');
    await app.insertPart('Cursor');
    await app.control('Cursor: cursor');
    await app.insert(await app.field('You type'), ';see');
    await app.openDetails();
    await app.choose('Formatting', 'Markdown');
    await app.see(By.css('.formatted strong'));
    await app.expectAccessible();
    await app.tap('Save');
    await app.seeText('“;see” works in Write.');
    await write(app, ';see ');
    await app.seeText('Fill in the blank');
    expect(await (await app.field('From the clipboard')).getAttribute('value')).toBe('https://corrieandvale.example');
    await app.tap('Insert');
    await app.padHolds('See us: https://corrieandvale.example ');
    expect((await app.pad()).caret).toBe('See us: https://corrieandvale.example'.length);
    await app.tap('Clear');

    await app.type(';broken ');
    await app.seeText('“;broken” stays. There’s a stray brace or backslash at position');
    await app.padHolds(';broken ');
    await app.goTo('Shortcuts');
    await app.openShortcut(';broken');
    await app.seeText('There’s a stray brace');
    await app.expectAccessible();
    await app.fill('You get', 'so it is');
    await app.tap('Save');
    await app.seeText('“;broken” works in Write.');
    await write(app, ' ;broken ');
    await app.seeText('“;broken” expanded.');
  },
);
