import { By, Key } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';

const press = (app: App, ...keys: string[]) =>
  app.browser.driver
    .actions()
    .sendKeys(...keys)
    .perform();

/** Waits until one types into the line that finds. */
const isTyping = (app: App) =>
  app.until(
    () => app.driverScript(`return document.activeElement.matches('input[role=combobox]')`),
    'the line to type in',
  );

const at = async (app: App) => new URL(await app.browser.driver.getCurrentUrl());

journey('keys of every page: find, new, the list of keys, undo and redo', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.seeText('Synced');
  // A page by the beginning of its name, with arrows and Enter.
  await press(app, '/');
  await isTyping(app);
  await press(app, 'sav');
  await app.until(
    async () => (await app.driverScript<string>(`return document.querySelector('[role=option]')?.innerText`)) !== null,
    'something found',
  );
  await app.expectAccessible();
  await app.until(
    () =>
      app.driverScript(
        `return [...document.querySelectorAll('[role=option]')].some((hit) => hit.innerText.trim() === 'Savings')`,
      ),
    'the page Savings to be found',
  );
  while (
    !(await app.driverScript(
      `return document.querySelector('[role=option][aria-selected=true]').innerText.trim() === 'Savings'`,
    ))
  )
    await press(app, Key.ARROW_DOWN);
  await press(app, Key.ENTER);
  await app.until(async () => (await at(app)).pathname === '/check/savings', 'Savings');
  await app.until(
    () => app.driverScript(`return document.querySelector('[aria-modal=true]') === null`),
    'the sheet to go',
  );
  // A shortcut, from a page that has no list.
  await app.withControl('k');
  await isTyping(app);
  await press(app, ';mob');
  await app.until(
    () =>
      app.driverScript(`return document.querySelector('[role=option][aria-selected=true]')?.innerText.includes('mob')`),
    ';mob to be found',
  );
  await press(app, Key.ENTER);
  await app.seeFocus('Shortcut');
  await press(app, '?');
  await app.seeText('find a shortcut or a page');
  await app.expectAccessible();
  await press(app, Key.ESCAPE);
  await app.seeNoText('find a shortcut or a page');
  await press(app, 'n');
  await app.until(async () => (await at(app)).pathname === '/new', 'a new shortcut');
  // In a field letters are letters.
  await (await app.field('You type')).click();
  await press(app, 'n/?');
  expect(await (await app.field('You type')).getAttribute('value')).toBe('n/?');

  // What a notice offers, by key: undone, done again, undone.
  await app.open('/check');
  await app.tap('Use ;so to fix “so”');
  await app.seeText('“so” is now “;so”.');
  await press(app, Key.F6);
  await app.seeFocus('Undo');
  await app.withControl('z');
  await app.seeText('Undone.');
  await app.withControl('y');
  await app.seeText('“so” is now “;so”.');
  await app.withControl('z');
  await app.seeText('Undone.');
});

journey('a screen that fails leaves the others working', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('“so” needs fixing.');
  // Check joins the names of languages, and the list and Write join nothing.
  await app.driverScript(
    `window.whole = Intl.ListFormat; Intl.ListFormat = function () { throw new Error('made to fail'); }`,
  );
  await app.pressPlace('Check');
  await app.seeText('Something went wrong');
  await app.expectAccessible();
  await app.goTo('Write');
  await app.field('Your text');
  await app.goTo('Shortcuts');
  await app.openShortcut(';cv');
  await app.tap('Back to the list');
  await app.pressPlace('Check');
  await app.seeText('Something went wrong');
  await app.driverScript(`Intl.ListFormat = window.whole`);
  // Whoever looks into it finds it in the console.
  const errors = await app.loggedErrors();
  expect(errors.length).toBeGreaterThan(0);
  expect(errors.filter((error) => !error.includes('made to fail'))).toEqual([]);
  await app.tap('Try again');
  await app.control('Use ;so to fix “so”');
});

journey('the list is one stop of Tab, with arrows inside and its places counted', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.seeText('“so” needs fixing.');
  await app.tabTo('Skip the menu', 3);
  await press(app, Key.ENTER);
  await app.seeFocus('Shortcuts');
  await app.tabTo(';bye, Safe: ', 12);
  await press(app, Key.ARROW_DOWN, Key.ARROW_DOWN);
  await app.seeFocus(';diary, Safe: ');
  await press(app, Key.ARROW_RIGHT);
  await app.seeFocus('Copy the text of ;diary');
  await press(app, Key.ARROW_LEFT, Key.END);
  const row = () =>
    app.driverScript<string>(
      `const { ariaPosInSet, ariaSetSize } = document.activeElement.closest('[role=listitem]'); return ariaPosInSet + ' of ' + ariaSetSize`,
    );
  await app.until(async () => (await row()) === '64 of 64', 'the last of all');
  await press(app, Key.TAB);
  await app.seeFocus('Not now');
  await app.browser.driver
    .actions()
    .keyDown(Key.SHIFT)
    .sendKeys(Key.TAB)
    .keyUp(Key.SHIFT)
    .sendKeys(Key.ENTER)
    .perform();
  await app.seeFocus('Shortcut');
  await app.expectAccessible();
});

journey('what is looked for and filtered stands in the address', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.fill('Search your shortcuts', 'piano');
  await app.until(async () => (await at(app)).searchParams.get('find') === 'piano', 'the search in the address');
  const found = await app.codes();
  await app.reload();
  await app.until(async () => (await app.codes()).join() === found.join(), 'the same found after a reload');
  expect(await (await app.field('Search your shortcuts')).getAttribute('value')).toBe('piano');
  await app.tap('Clear the search');
  await app.tap('Needs fixing: 5');
  await app.until(async () => (await at(app)).searchParams.get('verdict') === 'breaks', 'the filter in the address');
  expect((await at(app)).searchParams.get('find')).toBeNull();
  // It stays while one of them is open over the list.
  await app.openShortcut('ham');
  await app.tap('Back to the list');
  await app.until(async () => (await at(app)).search === '?verdict=breaks', 'the filter again');
});

journey(
  'a file dropped anywhere opens Import; light and dark are one’s own choice; every licence is told',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/devices/settings');
    await app.expectAccessible();
    const ground = () => app.driverScript<string>(`return getComputedStyle(document.body).backgroundColor`);
    const light = await ground();
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Dark"]')));
    await app.until(async () => (await ground()) !== light, 'the dark ground');
    expect(await app.driverScript(`return document.querySelector('meta[name=theme-color]').content`)).toBe('#0b2026');
    await app.expectAccessible();
    await app.reload();
    await app.until(async () => (await ground()) !== light, 'the dark ground after a reload');
    await app.tap('About');
    await app.seeText('What is stored where');
    await app.unfold('Made with the work of others');
    await app.unfold('react 19');
    await app.seeText('Permission is hereby granted');

    await app.driverScript(`
    const data = new DataTransfer();
    data.items.add(new File(['code,expansion\\n;drop,Dropped here\\n'], 'dropped.csv', { type: 'text/csv' }));
    document.querySelector('[role=main]').dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));`);
    await app.seeText('dropped.csv');
    await app.tap('Import 1');
    await app.seeText('Imported 1 new shortcut.');
  },
);

journey(
  'a code that cannot be is told while it is typed; a used one leads to what has it',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/new');
    await app.insert(await app.field('You get'), 'Somewhere else');
    await app.insert(await app.field('You type'), `;${'x'.repeat(40)}`);
    await app.seeText('The limit is 40. Shorten it.');
    await app.fill('You type', '🎹');
    await app.seeText('None of your keyboards has “🎹”.');
    await app.seeText('Needs fixing');
    await app.fill('You type', ';mail');
    await app.seeText('Another shortcut already uses “;mail”');
    await app.tap('Open ;mail');
    await app.until(async () => (await (await app.field('You type')).getAttribute('value')) === ';mail', 'what has it');
    await app.tap('Back to the list');
    // What was typed is there to go on with.
    await app.control('Not saved yet: ;mail');
  },
);

journey('a device is added in at most six taps on both together', 'closed', async ({ open }) => {
  const computer = await open('computer');
  await computer.tap('Start a new list');
  await computer.seeText('What do you type again and again?');
  await computer.make(';pk', 'Parking for the van is in the yard.');
  await computer.seeText('Synced');
  computer.taps = 0;
  await computer.goTo('Devices');
  await computer.tap('Add a device');
  const plates = await computer.see(By.css('[role=img][aria-label^="Code "][aria-label*="-"]'));
  const code = (await plates.getAttribute('aria-label'))!.slice(5).replace('-', '');
  // As the camera opens it.
  const phone = await open('phone', `/join#${code}`);
  phone.taps = 0;
  await phone.tap('Get my list');
  await phone.seeText('Parking for the van');
  await computer.seeText('has joined');
  console.log(`a second device: ${computer.taps + phone.taps} taps on both together`);
  expect(computer.taps + phone.taps).toBeLessThanOrEqual(6);
});

journey('a code that two shortcuts share is found and fixed; the sheet is printed', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Synced');
  app.taps = 0;
  await app.goTo('Check');
  await app.seeText('Another shortcut already uses “;PK”');
  await app.press(await app.see(By.css('[role=button][aria-label$="to fix “;PK”"]')));
  await app.seeText('“;PK” is now ');
  await app.seeNoText('Another shortcut already uses “;PK”');
  console.log(`a shared code found and fixed: ${app.taps} taps`);
  expect(app.taps).toBeLessThanOrEqual(2);

  await app.goTo('Shortcuts');
  app.taps = 0;
  await app.tap('More');
  await app.tap('Print a sheet');
  await app.see(By.css('iframe[title="The sheet"]'));
  await app.driverScript(`
    const sheet = document.querySelector('iframe[title="The sheet"]').contentWindow;
    sheet.print = () => (window.wasPrinted = true);`);
  await app.tap('Print');
  await app.until(() => app.driverScript('return window.wasPrinted === true'), 'the sheet to be printed');
  console.log(`the sheet printed: ${app.taps} taps`);
  expect(app.taps).toBeLessThanOrEqual(3);
});

journey('zoomed in fourfold the page scrolls as a whole, and the list has its rows', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.seeText('Synced');
  await app.browser.command('Emulation.setDeviceMetricsOverride', {
    width: 320,
    height: 256,
    deviceScaleFactor: 1,
    mobile: false,
  });
  await app.until(
    () => app.driverScript('return document.querySelector("[role=group][aria-label=Shortcuts]").clientHeight > 56'),
    'room for rows',
  );
  expect(await app.driverScript('return document.documentElement.scrollHeight > innerHeight')).toBe(true);
  expect(await app.driverScript('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  // Letters twice as large: nothing scrolls sideways, and rows are there (WCAG 2.2, 1.4.4 and 1.4.10).
  await app.browser.command('Emulation.setDeviceMetricsOverride', {
    width: 390,
    height: 844,
    deviceScaleFactor: 1,
    mobile: false,
  });
  await app.driverScript(`document.documentElement.style.fontSize = '200%'`);
  for (const place of ['Shortcuts', 'Write', 'Check', 'Devices'] as const) {
    await app.goTo(place);
    expect(await app.driverScript('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  }
  await app.goTo('Shortcuts');
  expect((await app.codes()).length).toBeGreaterThan(2);
});
