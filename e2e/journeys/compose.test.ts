import { By, Key } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

/** What a mail draft says, read by the URL standard. */
const mailOf = (href: string) => {
  const address = new URL(href);
  return {
    protocol: address.protocol,
    to: decodeURIComponent(address.pathname),
    subject: address.searchParams.get('subject'),
    body: address.searchParams.get('body')?.replaceAll('\r\n', '\n'),
  };
};

const BYE = 'Best wishes,\nAnsel Corrie\nCorrie & Vale · Book a visit (https://corrieandvale.example/book)';
const STATION = 'From the station it is twelve minutes on foot: over the bridge, left along the quay, third arch.';
const COMPANY = 'Corrie & Vale, travelling piano care';
const BOOKING = 'https://corrieandvale.example/book';

journey('one message on the phone from five shortcuts, trimmed, handed to a mail draft', 'demo', async ({ open }) => {
  const app = await open('phone', '/write');
  await app.intoPad();

  // Several codes share a beginning; a tap takes one. What is asked for is filled in.
  await app.type(';h');
  await app.until(async () => (await app.offers()).length >= 3, 'codes that begin so to be offered');
  expect(await app.offers()).toEqual(expect.arrayContaining([';hi', ';here', ';hum']));
  await app.expectAccessible();
  await app.takeOffer(';hi');
  await app.insert(await app.field('Who it is for'), 'Rowena Teller');
  await app.tap('Insert');
  await app.padHolds('Dear Rowena Teller,');

  // Rejected, what was typed stays; deleted, the code may be meant again.
  await app.type('\n\n;cv');
  await app.see(By.css('[role=option]'));
  await app.tap('Keep what I typed');
  await app.type(' ');
  await app.padHolds('Dear Rowena Teller,\n\n;cv ');
  await app.type(`${Key.BACK_SPACE.repeat(4)};cv\nbook* \n;stn \n;bye\n`);
  await app.padHolds(`Dear Rowena Teller,\n\n${COMPANY}\n${BOOKING} \n${STATION} \n${BYE}\n`);

  // Trimmed: the walk along the quay goes.
  const trimmed = STATION.replace(' over the bridge, left along the quay,', '');
  await app.driverScript(
    `const pad = document.querySelector('textarea.write-pad');
     const cut = ' over the bridge, left along the quay,';
     pad.setSelectionRange(pad.value.indexOf(cut), pad.value.indexOf(cut) + cut.length); return true`,
  );
  await app.control('CAPITALS');
  await app.expectAccessible();
  await app.type(Key.BACK_SPACE);
  const text = `Dear Rowena Teller,\n\n${COMPANY}\n${BOOKING} \n${trimmed} \n${BYE}\n`;
  await app.padHolds(text);

  await app.tap('Send');
  await app.insert(
    await app.field('To (optional): email addresses or phone numbers'),
    'rowena@tellers.example, 01632 960 555',
  );
  await app.insert(await app.field('Email subject (optional)'), 'Your first visit');
  await app.expectAccessible();
  expect(mailOf(await app.hrefOf('Email'))).toEqual({
    protocol: 'mailto:',
    to: 'rowena@tellers.example',
    subject: 'Your first visit',
    body: text,
  });
  expect(await app.hrefOf('Text message')).toBe(
    `sms:01632960555?body=${encodeURIComponent(text).replaceAll(/[()*]/gu, (sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`)}`,
  );

  // Formatted and plain, for what knows either.
  await app.tap('Copy with formatting');
  await app.seeText('Copied with formatting.');
  expect(await app.clipboardAs('text/plain')).toBe(text);
  const html = await app.clipboardAs('text/html');
  expect(html).toContain('<strong>Corrie &amp; Vale</strong>');
  expect(html).toMatch(/<a href="https:\/\/corrieandvale\.example\/book"[^>]*>Book a visit<\/a>/u);
});

journey('a message with the tap board alone', 'demo', async ({ open }) => {
  const app = await open('phone', '/write');
  await app.see(By.css('textarea.write-pad'));
  await app.tap('Tap board');
  await app.putIn(';hi');
  await app.insert(await app.field('Who it is for'), 'Rowena');
  await app.tap('Insert');
  await app.padHolds('Dear Rowena,');
  await app.tap('Clear');
  // Not what happened in the text that is gone.
  await app.seeText('A code expands when you type a space or punctuation.');
  await app.expectAccessible();

  // From here on not one letter is typed: what was filled in before is there to be tapped.
  await app.putIn(';hi');
  await app.tap('Rowena');
  await app.tap('New line');
  await app.putIn(';cv');
  await app.tap('Full stop');
  await app.putIn('book*');
  await app.putIn(';stn');
  await app.tap('New line');
  await app.tap('Visits');
  await app.putIn(';quiet');
  await app.type(Key.BACK_SPACE);
  await app.tap('All');
  await app.putIn(';tt');
  const text = `Dear Rowena,\n${COMPANY}. ${BOOKING} ${STATION}\nWith many thanks,\nMara Vale\nfor Corrie & Vale`;
  await app.padHolds(text);
  await app.tap('Send');
  expect(mailOf(await app.hrefOf('Email')).body).toBe(text);
  await app.type(Key.ESCAPE);

  // Put in order by buttons and by drag, and taken off; one tap takes it back.
  await app.tap('Arrange');
  const order = () =>
    app.driverScript<string[]>(
      `return [...document.querySelectorAll('[aria-label^="Move ;"][aria-roledescription], [aria-label^="Move book"][aria-roledescription]')].map((key) => key.getAttribute('aria-label').slice(5))`,
    );
  const first = await order();
  expect(first.slice(0, 3)).toEqual([';hi', ';ten', ';here']);
  await app.tap('Move ;hi later');
  await app.until(async () => (await order())[1] === ';hi', ';hi to be second');
  await app.undo();
  await app.until(async () => (await order()).join() === first.join(), 'the order as it was');
  await app.expectAccessible();
  const driver = app.browser.driver;
  await driver
    .actions()
    .move({ origin: await app.see(By.css('[aria-label="Move ;hi"]')) })
    .press()
    .pause(300)
    .move({ origin: await app.see(By.css('[aria-label="Move ;late"]')) })
    .pause(100)
    .release()
    .perform();
  await app.until(async () => (await order())[0] !== ';hi', ';hi to be dragged away');
  await app.tap('Take ;ten off the board');
  await app.until(async () => !(await order()).includes(';ten'), ';ten to be off the board');
  await app.tap('Choose');
  await app.insert(await app.field('Find a shortcut'), 'humidity');
  await app.tick(';hum on the tap board');
  await app.expectAccessible();
  await app.press((await driver.findElements(By.xpath('//*[@role="button"][normalize-space(.)="Done"]'))).at(-1)!);
  await app.until(async () => (await order()).at(-1) === ';hum', ';hum to be on the board');
});

/** The label that has the focus. */
const focused = (app: App) =>
  app.driverScript<string>(`return document.activeElement.getAttribute('aria-label') ?? ''`);

journey('a message with a hardware keyboard alone', 'demo', async ({ open }) => {
  const app = await open('computer', '/write');
  await app.see(By.css('textarea.write-pad'));
  await app.until(async () => (await focused(app)) === 'Your text', 'the page to have the focus');

  // Enter takes an offer only when the arrows have come to one.
  await app.type(';h');
  await app.see(By.css('[role=option]'));
  await app.type(Key.RETURN);
  await app.padHolds(';h\n');
  await app.type(Key.BACK_SPACE);
  await app.padHolds(';h');
  const hi = (await app.offers()).indexOf(';hi');
  await app.type(Key.ARROW_DOWN.repeat(hi + 1));
  await app.see(By.css('[role=option][aria-selected=true][aria-label^=";hi: "]'));
  await app.type(Key.RETURN);
  await app.field('Who it is for');
  await app.until(
    async () => (await app.driverScript<string>('return document.activeElement.tagName')) === 'INPUT',
    'the blank to have the focus',
  );
  await app.type(`Mr Teller${Key.RETURN}`);
  await app.padHolds('Dear Mr Teller,');

  // The strip can be reached with Tab as well.
  await app.type('\n;te');
  await app.see(By.css('[role=option]'));
  await app.tabTo('Suggestions', 3);
  await app.type(Key.ARROW_RIGHT + Key.ARROW_DOWN + Key.RETURN);
  await app.padHolds('Dear Mr Teller,\n01632 960147');
  await app.type(Key.BACK_SPACE.repeat(5));
  await app.padHolds('Dear Mr Teller,');

  // Escape keeps what was typed; gaps are walked with Tab, back with Shift and Tab, and left with Tab.
  await app.type('\n\n;ten');
  await app.see(By.css('[role=option]'));
  await app.type(Key.ESCAPE);
  await app.type(` \nsee you on ____ at ____, ;late\n`);
  const body = (day: string, hour: string) =>
    `Dear Mr Teller,\n\n;ten \nsee you on ${day} at ${hour}, The last piano needed more time than planned. I shall be about half an hour late.\n`;
  await app.padHolds(body('____', '____'));
  await app.driverScript(`document.querySelector('textarea.write-pad').setSelectionRange(0, 0); return true`);
  await app.type(`${Key.TAB}`);
  await app.type('Friday');
  await app.type(`${Key.TAB}`);
  await app.type('nine');
  await app.padHolds(body('Friday', 'nine'));
  await app.type(Key.TAB);
  await app.until(async () => (await focused(app)) !== 'Your text', 'Tab to leave the page');

  // All else has a key of its own.
  await app.driverScript(`document.querySelector('textarea.write-pad').focus(); return true`);
  await app.withControl('/');
  await app.seeText('Shift Tab');
  await app.expectAccessible();
  await app.type(Key.ESCAPE);
  await app.until(async () => (await focused(app)) === 'Your text', 'the page to have the focus again');
  await app.withControl(Key.RETURN);
  expect(mailOf(await app.hrefOf('Email')).body).toBe(body('Friday', 'nine'));
  await app.pressByKey('Copy');
  await app.seeText('Copied ');
  expect(await app.clipboard()).toBe(body('Friday', 'nine'));
  await app.expectAccessible();
});

journey('written as a phone, key by key on its keyboard; and as others', 'demo', async ({ open, stand }) => {
  await (await OtherDevice.join(stand.address)).typeOn('keyboard-with-offers');
  const app = await open('phone', '/write');
  await app.see(By.css('textarea.write-pad'));
  await app.choose('Write as', 'Ansel’s phone');
  const keys = async (...labels: string[]) => {
    for (const label of labels) {
      await app.press(
        await app.see(
          By.css(
            `[role=button][aria-label=${JSON.stringify(label)}], [role=button][aria-label^=${JSON.stringify(`${label}, hold for`)}]`,
          ),
        ),
      );
    }
  };
  await app.seeText('as you would on the device');
  await app.expectAccessible();
  // Where a sentence begins the capitals are up, and the phone's own list ignores them.
  await keys('12, switch to numbers', ';', 'abc, switch to letters', 't', 'e', 'n', 'space');
  await app.padHolds('I am about ten minutes away. ');
  // Written out: a capital of its own accord, 27 letters and spaces, a full stop.
  await app.seeText('29 taps without codes');
  await keys('Backspace');
  await app.padHolds(';ten ');
  await app.tap('Clear');
  // A quote is bent, two spaces make a full stop (common practice, no source), a held key gives what lies behind.
  const held = await app.see(By.css('[role=button][aria-label^="C, hold for"]'));
  await app.browser.driver.actions().move({ origin: held }).press().pause(700).release().perform();
  await keys('Ç', 'a', 'space', 'space', '12, switch to numbers', '"', 'abc, switch to letters');
  await app.padHolds('Ça. “');
  await app.seeText('The device curls the quote.');

  // What it cannot hold is told of, and what it holds in other words.
  await app.tap('Clear');
  await app.intoPad();
  await app.type(';six ');
  await app.seeText('That device can’t keep dates up to date.');
  await app.padHolds(';six ');
  await app.tap('Clear');
  await app.intoPad();
  await app.type(';ws ');
  await app.padHolds('Corrie & Vale Unit 3, The Ropewalk Tarnby ZZ4 7XX ');

  await app.choose('Write as', 'keyboard-with-offers');
  await app.tap('Clear');
  await app.intoPad();
  await app.type(';ten ');
  await app.seeText('“;ten” is only suggested.');
  await app.choose('Write as', 'Workshop laptop');
  await app.tap('Clear');
  await app.intoPad();
  await app.type('x;tenp');
  await app.padHolds('xI am about ten minutes away.p');
});

journey(
  'tags stand once, chips take them out; selected text changes its letters or is put into a shortcut; a missed chance is told',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/write');
    await app.intoPad();
    await app.type('New strings. ;grand and ;upr ');
    await app.seeText('“;upr” skipped what’s already there: #restored #corrieandvale');
    await app.padHolds('New strings. #grandpiano #restored #corrieandvale and #uprightpiano ');
    await app.tap('Remove #restored');
    await app.padHolds('New strings. #grandpiano #corrieandvale and #uprightpiano ');
    await app.expectAccessible();
    await app.withControl('z');
    await app.padHolds('New strings. #grandpiano #restored #corrieandvale and #uprightpiano ');

    const select = (text: string) =>
      app.driverScript(
        `const pad = document.querySelector('textarea.write-pad'); const at = pad.value.indexOf(${JSON.stringify(text)}); pad.focus(); pad.setSelectionRange(at, at + ${text.length}); return true`,
      );
    await select('New strings');
    await app.tap('CAPITALS');
    await app.tap('Every Word');
    await app.padHolds('New Strings. #grandpiano #restored #corrieandvale and #uprightpiano ');
    await app.tap('Wrap in…');
    await app.tap('Wrap in ;ask');
    await app.padHolds('You asked: “New Strings”. #grandpiano #restored #corrieandvale and #uprightpiano ');

    await app.tap('Clear');
    await app.intoPad();
    await app.type('i am outside with the van, ');
    await app.seeText('“;here” would type that for you');
    await app.tap('Keys and signals');
    await app.tick('Tell me when I type out something I have a code for');
    await app.type(Key.ESCAPE);
    await app.tap('Clear');
    await app.intoPad();
    await app.type('I am outside with the van. ;ten ');
    await app.seeText('“;ten” expanded.');
    await app.seeNoText('would type that for you');

    // The space that fired a single address stays behind when it is copied (common practice, no source).
    await app.tap('Clear');
    await app.intoPad();
    await app.type(';mail ');
    await app.padHolds('ansel@corrieandvale.example ');
    await app.tap('Send');
    await app.tap('Copy');
    await app.seeText('Copied ');
    expect(await app.clipboard()).toBe('ansel@corrieandvale.example');
  },
);

journey(
  'drafts: several, kept with their history, in two tabs without loss; no room is said',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/write');
    const { driver } = app.browser;
    await app.intoPad();
    await app.type('First one\n;ten ');
    await app.tap('Drafts');
    await app.tap('New draft');
    await app.padHolds('');
    await app.intoPad();
    await app.type('Second');
    await app.tap('Drafts');
    await app.control('Open Second');
    await app.expectAccessible();
    await app.tap('Open First one');
    await app.padHolds('First one\nI am about ten minutes away. ');
    await app.reload();
    await app.padHolds('First one\nI am about ten minutes away. ');
    await app.intoPad();
    await app.withControl('z');
    await app.padHolds('First one\n;ten ');
    await app.seeText('A code expands');

    // A second tab on the same draft: this one takes over what was typed there when one comes back to it.
    const here = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await driver.get(`${app.address}/write`);
    await app.intoPad();
    await app.padHolds('First one\n;ten ');
    await app.type('there');
    await app.until(
      async () => (await app.driverScript<number>(keptTexts('there'))) === 1,
      'the other tab’s text to be kept',
    );
    const there = await driver.getWindowHandle();
    await driver.switchTo().window(here);
    await app.padHolds('First one\n;ten there');
    await driver.switchTo().window(there);
    await driver.close();
    await driver.switchTo().window(here);
    // Both type at one time: both are kept.
    await app.driverScript(keptElsewhere('First one\nfrom elsewhere'));
    await app.intoPad();
    await app.type(', here');
    await app.seeText('You changed this draft in another tab too.');
    expect(await app.driverScript<number>(keptTexts('from elsewhere'))).toBe(1);
    expect(await app.driverScript<number>(keptTexts('there, here'))).toBe(1);

    // Deleted, and back with one tap.
    await app.tap('Drafts');
    await app.tap('Delete Second');
    await app.seeText('Deleted the draft.');
    await app.type(Key.ESCAPE);
    await app.undo();
    await app.tap('Drafts');
    await app.control('Open Second');
    await app.type(Key.ESCAPE);

    // A full device says so, and what is typed stays on the page.
    await app.driverScript(`
    const { put } = IDBObjectStore.prototype;
    globalThis.makeRoom = () => { IDBObjectStore.prototype.put = put; };
    IDBObjectStore.prototype.put = function (...given) {
      if (this.name === 'drafts') throw new DOMException('no room', 'QuotaExceededError');
      return put.apply(this, given);
    };`);
    await app.intoPad();
    await app.type(' and more');
    await app.seeText('This device is full, so the draft isn’t saved.');
    await app.driverScript('makeRoom()');
    await app.type(' again');
    await app.until(
      async () => (await app.driverScript<number>(keptTexts('and more again'))) === 1,
      'the text to be kept again',
    );
  },
);

/** A script with the drafts that this browser keeps: `all` of them, and `store` to write to. */
const withDrafts = (script: string) => `
  return (async () => {
    const [{ name }] = (await indexedDB.databases()).filter((one) => one.name.startsWith('yellow-latch-'));
    const done = (asked) => new Promise((resolve, reject) => Object.assign(asked, { onsuccess: () => resolve(asked.result), onerror: () => reject(asked.error) }));
    const db = await done(indexedDB.open(name));
    const store = db.transaction('drafts', 'readwrite').objectStore('drafts');
    const all = await done(store.getAll());
    try { ${script} } finally { db.close(); }
  })()`;

/** How many kept drafts hold a text. */
const keptTexts = (text: string) =>
  withDrafts(`return all.filter((draft) => draft.text.includes(${JSON.stringify(text)})).length;`);

/** Another tab has kept the first draft with another text. */
const keptElsewhere = (text: string) =>
  withDrafts(
    `const draft = all.find((one) => one.text.startsWith('First')); await done(store.put({ ...draft, text: ${JSON.stringify(text)}, version: draft.version + 1 }, draft.id));`,
  );

journey(
  'a shortcut deleted elsewhere while its blanks are asked; a clipboard that is kept from us; texts without end',
  'demo',
  async ({ open, stand }) => {
    const app = await open('computer', '/write');
    await app.intoPad();
    await app.type(';hi ');
    await app.insert(await app.field('Who it is for'), 'Rowena');
    const other = await OtherDevice.join(stand.address);
    await other.remove(';hi');
    // The board beside the page shows that it has come here.
    await app.until(
      async () => (await app.browser.driver.findElements(By.css('[aria-label^=";hi: "]'))).length === 0,
      ';hi to be gone',
    );
    await app.tap('Insert');
    await app.padHolds('Dear Rowena, ');
    await app.seeText('“;hi” was just deleted on another device.');

    await app.browser.command('Browser.setPermission', { permission: { name: 'clipboard-write' }, setting: 'denied' });
    await app.tap('Send');
    await app.tap('Copy');
    await app.seeText('The browser didn’t allow copying.');

    // A hundred thousand lines pasted, a megabyte and more: codes still fire at its end, and it is kept.
    await app.tap('Clear');
    await app.intoPad();
    await app.browser.command('Browser.setPermission', { permission: { name: 'clipboard-write' }, setting: 'granted' });
    await app.copyToClipboard('a line of text\n'.repeat(100_000));
    await app.intoPad();
    await app.withControl('v');
    await app.type(';ten ');
    await app.until(
      async () => (await app.pad()).text.endsWith('\nI am about ten minutes away. '),
      'a code to fire at the end of a megabyte',
    );
    await app.seeText('“;ten” expanded.');
    await app.until(
      async () => (await app.driverScript<number>(keptTexts('\nI am about ten minutes away. '))) === 1,
      'the megabyte to be kept',
    );
    await app.tap('Send');
    await app.seeText('check that your mail app kept all of it');
  },
  120_000,
);
