import { By, Key } from 'selenium-webdriver';

import { journey } from '../journey';

const LINK = 'https://corrieandvale.example/book/tarnby';

journey('from a copied link to a working shortcut in at most eight taps', 'empty', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('What do you type again and again?');
  await app.expectAccessible();
  await app.copyToClipboard(`${LINK} \n`);

  app.taps = 0;
  await app.tap('Paste');
  await app.field('You type');
  await app.seeText('Removed a space and an empty line at the end.');
  await app.type(';bk');
  await app.tap('Save');
  await app.seeText('“;bk” works in Write.');
  const taps = app.taps;
  console.log(`from a copied link to a working shortcut: ${taps} taps`);
  expect(taps).toBeLessThanOrEqual(8);

  await app.tap('Use it elsewhere');
  await app.seeText('Where that doesn’t work');
  await app.expectAccessible();
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type(';bk ');
  await app.padHolds(`${LINK} `);
});

journey('where the clipboard is refused, the caret stands in the field', 'empty', async ({ open }) => {
  const app = await open('phone');
  await app.browser.clipboard('denied');
  await app.tap('Paste');
  const field = await app.field('You get');
  await app.seeText('Paste here yourself.');
  await app.until(
    async () => (await app.browser.driver.switchTo().activeElement().getId()) === (await field.getId()),
    'the caret to stand in “You get”',
  );
  await app.expectAccessible();
});

journey('looking, finding, copying, editing, deleting and taking it back', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Corrie & Vale, travelling piano care');
  expect((await app.codes()).slice(0, 4)).toEqual([';bye', ';cv', ';diary', ';hi']);
  const { all, script, later } = await app.fetchedBytes();
  console.log(
    `first screen: ${Math.round(all / 1000)} kB fetched (bar 620), ${Math.round(script / 1000)} kB JavaScript (bar 500); behind it ${Math.round(later / 1000)} kB`,
  );
  expect(all).toBeLessThanOrEqual(620_000);
  expect(script).toBeLessThanOrEqual(500_000);
  await app.expectAccessible();

  // Found by either side, as one types.
  await app.fill('Search your shortcuts', 'humidif');
  await app.until(async () => (await app.codes()).join() === ';hum', 'only ;hum');
  await app.fill('Search your shortcuts', ';ten');
  await app.until(async () => (await app.codes()).join() === ';ten,;tenp', 'both that hold ;ten');
  await app.fill('Search your shortcuts', 'xylophone');
  await app.seeText('Nothing found for “xylophone”');
  await app.tap('Show all');

  await app.tap('Copy the text of ;cv');
  await app.seeText('Copied: Corrie & Vale');
  expect(await app.clipboard()).toBe('Corrie & Vale, travelling piano care');

  // A new suburb in an address: edit, and it works at once.
  await app.openShortcut(';ws');
  expect(await (await app.field('You get')).getAttribute('value')).toContain('The Ropewalk');
  await app.expectAccessible();
  await app.fill('You get', 'Corrie & Vale\n7 Dock Street\nTarnby ZZ4 7XA');
  await app.tap('Save');
  await app.seeText('7 Dock Street');

  // Left without saving: nothing is lost.
  await app.openShortcut(';cv');
  await app.fill('You get', 'half a thought');
  await app.tap('Back to the list');
  await app.tap('Not saved yet: ;cv');
  expect(await (await app.field('You get')).getAttribute('value')).toBe('half a thought');
  await app.fill('You get', 'Corrie & Vale, piano care');
  await app.tap('Save');
  await app.seeText('Corrie & Vale, piano care');
  await app.seeNoText('Not saved yet');

  await app.openShortcut(';diary');
  await app.tap('Delete');
  await app.seeText('Deleted “;diary”');
  await app.until(async () => !(await app.codes()).includes(';diary'), ';diary to be gone');
  await app.tap('Undo');
  await app.until(async () => (await app.codes()).includes(';diary'), ';diary to be back');
});

journey('what cannot be kept is told, and all that was typed stays', 'demo', async ({ open }) => {
  const app = await open('phone', '/new');
  await app.tap('Save');
  await app.seeText('Type or paste the text you want to get.');
  await app.seeText('Type a code for it.');
  await app.expectAccessible();

  const refuse = async (code: string, told: string) => {
    await app.fill('You type', '');
    await app.insert(await app.field('You type'), code);
    await app.tap('Save');
    await app.seeText(told);
    expect(await (await app.field('You type')).getAttribute('value')).toBe(code);
    expect(await (await app.field('You get')).getAttribute('value')).toBe('kept all along');
  };
  await app.insert(await app.field('You get'), 'kept all along');
  await refuse('x'.repeat(41), 'The code has 41 characters. The limit is 40');
  await refuse('a\u0007b', 'can’t be saved (U+0007) at position 2');
  await refuse(';WS', 'You already use “;ws” for “Corrie & Vale Unit 3');

  // A text that is far too long, of characters that are hard to count: told at once, and the page goes on.
  await app.fill('You type', ';long');
  await app.fill('You get', '😀'.repeat(60_000));
  await app.tap('Save');
  await app.seeText('The text is too long. Shorten it.');
  await app.fill('You get', 'kept all along');
  await app.seeNoText('The text is too long.');
  // The field is as high as its text: what stands below comes up.
  await app.atRest(await app.field('You type'));

  // White space around a code goes, inside it is shown.
  await app.fill('You type', '  big hall ');
  await app.seeText('␣ is a space inside the code');
  await app.openDetails();
  await app.press(await app.control('Set: None'));
  await app.tap('New set…');
  await app.insert(await app.field('Name of the new set'), 'Autumn round');
  await app.tap('Save');
  await app.seeText('“big hall” works in Write.');
  await app.fill('Search your shortcuts', 'kept all along');
  await app.until(async () => (await app.codes()).join() === 'big hall', 'the code without blanks around');
  await app.seeText('Autumn round');
});

journey('wide: list and detail side by side, all of it with the keyboard', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.seeText('Changed lately');
  await app.expectAccessible();
  await app.openShortcut(';bye');
  expect(await app.codes()).toContain(';cv');
  await app.fill('You get', 'Kind regards,\nAnsel Corrie');
  await app.withControl(Key.ENTER);
  await app.seeText('“;bye” works in Write.');
  await app.seeText('Kind regards, ↵ Ansel Corrie');
  await app.expectAccessible();
  await app.browser.scheme('dark');
  await app.expectAccessible();
  await app.goTo('Write');
  await app.type(';bye\n');
  await app.padHolds('Kind regards,\nAnsel Corrie\n');
  await app.expectAccessible();
});

/** Holds back the app's scripts, as a slow device does, until `letGo` is called. */
const FACES_NAMED = `return [...document.styleSheets].flatMap(({ cssRules }) => [...cssRules])
  .filter((rule) => rule instanceof CSSFontFaceRule).map(({ style }) => style.fontFamily.replaceAll('"', '')).sort()`;
const HELD_BACK = `
  const { append } = Element.prototype;
  const held = [];
  Element.prototype.append = function (...nodes) {
    if (nodes[0]?.tagName === 'SCRIPT') held.push(nodes[0]);
    else append.apply(this, nodes);
  };
  globalThis.letGo = () => held.splice(0).forEach((script) => append.call(document.body, script));`;

/** Whether what the check found is kept on the device. */
const IS_CHECK_KEPT = `return new Promise((resolve, reject) => {
  const opening = indexedDB.open('yellow-latch-' + localStorage.getItem('yellow-latch.device'));
  opening.onerror = () => reject(opening.error);
  opening.onsuccess = () => {
    const asked = opening.result.transaction('kept').objectStore('kept').get('audit');
    asked.onsuccess = () => resolve(asked.result !== undefined);
    opening.result.close();
  };
})`;

/** The names of the rows in view with where they stand, within a document or a shadow root. */
const rowsIn = (within: string) => `return [...${within}.querySelectorAll('[role=main] [role=group] [role=link]')]
  .map((row) => ({ name: row.getAttribute('aria-label'), box: row.getBoundingClientRect().toJSON() }))
  .filter(({ box }) => box.top < innerHeight)`;
interface Row {
  readonly name: string;
  readonly box: DOMRect;
}

journey(
  'opened again, the list stands there before the app does, in its place; a tap on it counts',
  'demo',
  async ({ open, stand }) => {
    const app = await open('phone');
    const { browser } = app;
    await app.until(
      () => app.driverScript(`return localStorage.getItem('yellow-latch.picture')?.includes(';cv, Safe') === true`),
      'a picture of the checked list',
    );
    await app.until(() => app.driverScript(IS_CHECK_KEPT), 'what was found to be kept');
    await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: HELD_BACK });
    await browser.driver.get(stand.address);
    const inPicture = `document.querySelector('#shell').shadowRoot`;
    await app.until(() => app.driverScript(`return ${inPicture} !== null`), 'the picture');
    const drawn = await app.driverScript<Row[]>(rowsIn(inPicture));
    expect(drawn.length).toBeGreaterThan(5);
    expect(await app.codes()).toEqual([]);
    await app.expectAccessible();
    await app.driverScript('letGo()');
    await app.until(async () => (await app.codes()).length > 0, 'the app');
    expect((await app.driverScript<Row[]>(rowsIn('document'))).slice(0, drawn.length)).toEqual(drawn);
    // Named by the build, and not again by the app: all that stands there would be laid out anew.
    expect(await app.driverScript(FACES_NAMED)).toEqual(['Atkinson Mono', 'Atkinson Next', 'Atkinson Next Strong']);

    await browser.driver.get(stand.address);
    await app.until(() => app.driverScript(`return ${inPicture} !== null`), 'the picture');
    const { box } = drawn.find(({ name }) => name.startsWith(';cv,'))!;
    const at = { x: Math.round(box.left + box.width / 2), y: Math.round(box.top + box.height / 2) };
    await browser.driver.actions().move(at).click().perform();
    await app.driverScript('letGo()');
    expect(await (await app.field('You type')).getAttribute('value')).toBe(';cv');
  },
);
