/** Symbols, people, corrections and tags: what one wants on the list without typing it in. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey, keepApp } from '../journey';

keepApp();

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-people-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Goes to a page through the menu of the list. */
async function fromMenu(app: App, page: string): Promise<void> {
  await app.tap('More');
  await app.tap(page);
  await app.see(By.xpath(`//*[@role="heading" and normalize-space(.)=${JSON.stringify(page)}]`));
}

async function findSymbol(app: App, query: string, ...names: string[]): Promise<void> {
  await app.fill('Search symbols', query);
  for (const name of names) {
    await app.press(await app.see(By.css(`[role=checkbox][aria-label^=${JSON.stringify(name)}]`)));
  }
}

/** The codes of new shortcuts as they stand in their fields. */
function newCodes(app: App): Promise<string[]> {
  return app.driverScript(
    `return [...document.querySelectorAll('input[aria-label^="Code for "]')].map((one) => one.value)`,
  );
}

journey(
  'three fractions and an arrow, from a search to working codes, and back in one go',
  'empty',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('What do you type again and again?');
    app.taps = 0;
    await fromMenu(app, 'Symbols');
    await app.seeText('Add a ready-made set');
    await app.expectAccessible();
    await findSymbol(app, '1/', 'vulgar fraction one half', 'vulgar fraction one quarter');
    await findSymbol(app, '3/4', 'vulgar fraction three quarters');
    await findSymbol(app, '->', 'right-pointing arrow');
    await app.expectAccessible();
    await app.tap('Add 4 symbols');
    await app.seeText('Each code is free and safe.');
    await app.expectAccessible();
    const codes = await newCodes(app);
    expect(new Set(codes).size).toBe(4);
    await app.tap('Save 4 shortcuts');
    await app.seeText('Added 4 shortcuts.');
    console.log(`three fractions and an arrow: ${app.taps} taps and keys`);
    expect((await app.codes()).sort()).toEqual([...codes].sort());
    await app.goTo('Write');
    await app.intoPad();
    await app.type(`${codes[0]} and ${codes[3]} `);
    await app.padHolds('½ and → ');
    await app.goTo('Shortcuts');
    await fromMenu(app, 'Symbols');
    await findSymbol(app, 'half', 'vulgar fraction one half, on your list');
    await app.tap('Back to the list');
  },
);

journey(
  'a search for nothing, for what can be no symbol, for a slip; a shelf, a closer look, one Undo',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await fromMenu(app, 'Symbols');
    await app.fill('Search symbols', 'U+0007');
    await app.seeText('is a control character');
    await app.fill('Search symbols', 'arow');
    await app.seeText('Nothing is called “arow”. Here’s what is called “arrow”.');
    await app.fill('Search symbols', 'qzxv');
    await app.seeText('Nothing found for “qzxv”');
    await app.fill('Search symbols', 'U+E000');
    await app.seeText('looks different in every font');
    await app.fill('Search symbols', 'linear b syllable b008');
    // No face of ours has it: its code point stands for it.
    await app.seeText('U+10000');
    await app.tap('Clear the search');
    await app.tap('Music');
    await app.seeText('Tick all');
    await app.press(await app.see(By.css('[role=button][aria-label="More about sharp"]')));
    await app.seeText('U+266F');
    await app.expectAccessible();
    await app.browser.driver.actions().sendKeys('\uE00C').perform();
    await app.tap('Clear');
    await app.tap('All symbols');
    await app.tap('Fractions');
    // Those that are on the list are not ticked.
    await app.press(await app.see(By.xpath('//*[@role="button" and starts-with(normalize-space(.), "Add ")]')));
    await app.seeText('Each code is free and safe.');
    const made = await newCodes(app);
    expect(made.length).toBeGreaterThan(2);
    await app.choose('Set', 'New set…');
    await app.fieldHolds('Name of the new set', 'Fractions');
    await app.press(await app.see(By.xpath('//*[@role="button" and starts-with(normalize-space(.), "Save ")]')));
    await app.seeText('Added ');
    await app.undo();
    await app.seeText('Undone.');
    const left = new Set(await app.codes());
    expect(made.filter((code) => left.has(code))).toEqual([]);
  },
);

function cardOf(name: string, uid: string, ...lines: string[]): string {
  const [given, family] = name.split(' ');
  return [
    'BEGIN:VCARD',
    'VERSION:3.0',
    `FN:${name}`,
    `N:${family};${given};;;`,
    `UID:${uid}`,
    ...lines,
    'END:VCARD',
    '',
  ].join('\r\n');
}

/** Forty people of an invented town, with numbers that Ofcom keeps for fiction. */
const NAMES = ['Ann Corrie', 'Mara Vale', 'Jory Tarn', 'Wilf Oaks'];
const FORTY = Array.from({ length: 40 }, (_, at) =>
  cardOf(
    NAMES[at] ?? `Piano${at} Owner`,
    `id-${at}`,
    `TEL;TYPE=CELL:+44 7700 ${900_100 + at}`,
    `EMAIL:p${at}@larkmouth.example`,
  ),
);

journey('a file of 40 people: four chosen, updated by a later file, nothing twice', 'demo', async ({ open }) => {
  const people = join(folder, 'people.vcf');
  writeFileSync(people, FORTY.join(''));
  const app = await open('phone');
  await app.seeText('Synced');
  await fromMenu(app, 'People');
  const openFile = async (path: string) => {
    await (await app.browser.driver.findElement(By.css('[role=main] input[type=file]'))).sendKeys(path);
  };
  await openFile(people);
  await app.seeText('40 people.');
  await app.expectAccessible();
  for (const name of NAMES) {
    await app.fill('Search people', name);
    await app.press(await app.see(By.css(`[role=button][aria-label^=${JSON.stringify(`${name}, `)}]`)));
    await app.press(
      await app.see(
        By.css(
          `[role=checkbox][aria-label^=${JSON.stringify(`${name}, Phone`)}], [role=checkbox][aria-label^=${JSON.stringify(`${name}, Mobile`)}]`,
        ),
      ),
    );
  }
  await app.tap('Add 4 shortcuts');
  await app.seeText('Each code is free and safe.');
  const codes = await newCodes(app);
  expect(codes.map((code) => code.replace(/^[^a-z]+/u, ''))).toEqual(['ann', 'mara', 'jory', 'wilf']);
  await app.expectAccessible();
  await app.tap('Save 4 shortcuts');
  await app.seeText('Added 4 shortcuts.');
  // In Write the marker and the beginning of a name suggest her number.
  await app.goTo('Write');
  await app.intoPad();
  await app.type(codes[0]!.slice(0, -1));
  await app.until(async () => (await app.offers()).includes(codes[0]!), 'her number to be suggested');

  const later = join(folder, 'later.vcf');
  const changed = FORTY.map((card, at) => (at === 0 ? card.replace('900100', '900555') : card));
  writeFileSync(later, changed.join(''));
  await app.goTo('Shortcuts');
  await fromMenu(app, 'People');
  await openFile(later);
  await app.seeText('3 of your shortcuts are up to date.');
  await app.seeText('Changed since');
  await app.seeText('07700 900555');
  await app.expectAccessible();
  await app.tap('Update 1 shortcut');
  await app.seeText('Updated 1 shortcut.');
  const kept = await app.kept();
  expect(kept).toContain('07700 900555');
  expect(kept).not.toContain('07700 900100');
  await app.undo();
  await app.seeText('Undone.');
  expect(await app.kept()).toContain('07700 900100');
});

journey('a file that is none, one that is broken in places', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Synced');
  await fromMenu(app, 'People');
  const send = async (name: string, content: string | Buffer) => {
    const path = join(folder, name);
    writeFileSync(path, content);
    await (await app.browser.driver.findElement(By.css('[role=main] input[type=file]'))).sendKeys(path);
  };
  await send('picture.vcf', Buffer.from('\x89PNG\r\n\x1a\n\0\0\0\0', 'latin1'));
  await app.seeText('Choose a .vcf file.');
  await send('broken.vcf', 'BEGIN:VCARD\nFN:Ann Corrie\nGARBAGE\nTEL:07700 900123\n');
  await app.seeText('1 person.');
  await app.unfold('2 lines need a look');
  await app.seeText('Line 3 (Ann Corrie) can’t be read. The rest of this person is here.');
  await app.seeText('has no end');
});

journey(
  'ten words to be left alone, names with their capitals, a slip: they work in Write and stand apart',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await fromMenu(app, 'Corrections');
    await app.expectAccessible();
    await app.fill('One a line, as it should look', 'HarbourHall\nplain');
    await app.seeText('Line 2: “plain” has no capitals. Write it as it should look.');
    await app.fill('One a line, as it should look', 'HarbourHall');
    await app.unfold('Leave these words alone');
    const words = [
      'hrpwk',
      'ropewalk',
      'voicer',
      'agraffe',
      'bichord',
      'pinblock',
      'unison',
      'hammershank',
      'repetition',
      'sostenuto',
    ];
    await app.fill('One a line', words.join('\n'));
    await app.seeText('10 words are ready.');
    await app.unfold('Typing slips');
    await app.fill('Search common slips', 'recieve');
    await app.tick('“recieve” becomes “receive”');
    await app.expectAccessible();
    await app.tap('Add 12 corrections');
    await app.seeText('Added 12 corrections.');
    await app.goTo('Write');
    await app.intoPad();
    await app.type('recieve harbourhall ropewalk ');
    await app.padHolds('receive HarbourHall ropewalk ');
    await app.goTo('Check');
    await app.seeNoText('“recieve”');
    await app.seeNoText('“unison”');
    await app.goTo('Shortcuts');
    await app.fill('Search your shortcuts', 'hammershank');
    await app.seeText('Corrections');
  },
);

journey('a block of tags trimmed to its limit, without doubles, joined with another', 'empty', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('What do you type again and again?');
  await app.make('#one', '#piano #felt');
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), '#tuning #piano #tuning #harp #felt');
  await app.seeText('1 tag is here twice.');
  await app.tap('Remove doubles');
  await app.fill('Limit (4 tags now)', '3');
  await app.seeText('1 tag too many.');
  await app.tap('Cut to 3');
  await app.fieldHolds('You get', '#tuning #piano #harp');
  await app.expectAccessible();
  await app.tap('Add another block');
  await app.press(await app.see(By.xpath('//*[@role="radio" and contains(., "#one")]')));
  await app.fieldHolds('You get', '#tuning #piano #harp #felt');
  await app.tap('Cut to 3');
  await app.insert(await app.field('You type'), '#two');
  await app.tap('Save');
  await app.seeText('“#two” works in Write.');
  await app.openShortcut('#two');
  await app.fieldHolds('Limit (3 tags now)', '3');
});

journey(
  'several things pasted, copied again, two of them made shortcuts; a symbol put into a text',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await fromMenu(app, 'Clips');
    for (const text of ['https://corrieandvale.example/loan', 'Parking is behind the hall.', '+44 7700 900321']) {
      await app.copyToClipboard(text);
      await app.tap('Paste');
      await app.seeText(text);
    }
    await app.expectAccessible();
    await app.tap('Pin “Parking is behind the hall.”');
    await app.seeText('Pinned');
    await app.tick('https://corrieandvale.example/loan');
    await app.tick('Parking is behind the hall.');
    await app.tap('Make 2 shortcuts');
    await app.seeText('Each code is free and safe.');
    const [, loan] = await newCodes(app);
    await app.tap('Save 2 shortcuts');
    await app.seeText('Added 2 shortcuts.');
    await app.openShortcut(loan!);
    await app.insertPart('Symbol');
    await app.fill('Search symbols', '->');
    await app.press(await app.see(By.css('[role=button][aria-label="right-pointing arrow"]')));
    await app.until(
      async () => (await app.driverScript<string>(`return document.activeElement?.value ?? ''`)).includes('→'),
      'the arrow in the text',
    );
  },
);
