import { By, Key } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

const textIn = async (app: App, label: string) => (await app.field(label)).getAttribute('value');

journey(
  'what was typed and not saved is there after a reload, several of it, until it is discarded',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/new');
    await app.insert(await app.field('You get'), 'Half a thought');
    await app.insert(await app.field('You type'), ';half');
    await app.openDetails();
    await app.choose('Kind', 'contact');
    await app.until(async () => (await unsavedIn(app)).includes('contact'), 'the form to be kept');
    await app.reload();
    await app.until(async () => (await textIn(app, 'You type')) === ';half', 'the code to be back');
    expect(await textIn(app, 'You get')).toBe('Half a thought');
    await app.see(By.css('[aria-label="Kind, set and more: contact"]'));

    // Another one is saved: the first stays.
    await app.tap('Back to the list');
    await app.control('Not saved yet: ;half');
    await app.expectAccessible();
    await app.make(';two', 'A second one');
    await app.openShortcut(';cv');
    await app.fill('You get', 'Corrie & Vale, piano care');
    await app.tap('Back to the list');
    await app.control('Not saved yet: ;cv');
    await app.tap('Discard ;half');
    await app.seeText('Discarded “;half”.');
    await app.undo();
    await app.tap('Not saved yet: ;half');
    await app.tap('Save');
    await app.seeText('“;half” works in Write.');

    // A change to a saved shortcut is there after a reload too.
    await app.reload();
    await app.tap('Not saved yet: ;cv');
    await app.until(async () => (await textIn(app, 'You get')) === 'Corrie & Vale, piano care', 'the text to be back');
    await app.tap('Save');
    await app.seeText('Corrie & Vale, piano care');
    await app.seeNoText('Not saved yet');
  },
);

journey(
  'a form that came back after a reload does not write over what another device wrote',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.openShortcut(';ten');
    await app.fill('You get', 'Ten minutes away, by the mill.');
    await app.until(async () => (await unsavedIn(app)).includes('by the mill'), 'the form to be kept');
    const tablet = await OtherDevice.join(app.address);
    await tablet.edit(await tablet.recordOf(';ten'), {
      content: { expansion: 'Ten minutes, behind a tractor.', template: false, format: 'plain' },
    });
    await app.reload();
    await app.until(
      async () => (await textIn(app, 'You get')) === 'Ten minutes away, by the mill.',
      'the text to be back',
    );
    await app.tap('Save');
    await app.openUnderDevices('Two versions of 1 thing');
    await app.seeText('behind a tractor');
    await app.seeText('by the mill');
    await app.expectAccessible();
  },
);

/** The forms kept on the device, as its database holds them. */
function unsavedIn(app: App): Promise<string> {
  return app.browser.driver.executeAsyncScript(
    `const done = arguments[0];
     const request = indexedDB.open('yellow-latch-' + localStorage.getItem('yellow-latch.device'));
     request.onsuccess = () => {
       const forms = request.result.transaction('kept').objectStore('kept').getAll(IDBKeyRange.bound('unsaved/', 'unsaved/~'));
       forms.onsuccess = () => { request.result.close(); done(JSON.stringify(forms.result)); };
     };`,
  );
}

journey('the focus goes on where one is: never to the page itself', 'demo', async ({ open }) => {
  const app = await open('computer');
  await app.seeText('Synced');
  // Opened, the heading has it: what follows is the shortcut, not the rest of the list.
  await app.tabTo(';bye, Safe: ', 60);
  await app.type(Key.ARROW_DOWN);
  await app.seeFocus(';cv, Safe: ');
  await app.type(Key.RETURN);
  await app.seeFocus('Shortcut');
  await app.tabTo('You get', 8);
  // Deleted, the list goes on.
  await app.pressByKey('Delete', 30);
  await app.seeText('Deleted “;cv”.');
  await app.until(async () => (await app.focused()) !== 'body', 'the focus to be somewhere');
  await app.undo();
  await app.until(async () => (await app.focused()) !== 'body', 'the focus to be somewhere after Undo');

  // A sheet begins at its heading; Return there does nothing, Escape closes it and gives the focus back.
  await app.pressByKey('Order and filters', 200);
  await app.seeFocus('Order and filters');
  await app.type(Key.RETURN);
  await app.seeText('Newest first');
  await app.type(Key.ESCAPE);
  await app.seeNoText('Newest first');
  await app.seeFocus('Order and filters');
});

journey('a notice covers nothing and leaves with the page', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.make(';ours', 'A note of ours');
  const places = await app.driverScript<boolean>(
    `const notice = [...document.querySelectorAll('[role=status]')].find((one) => one.innerText.includes('works in Write')).getBoundingClientRect();
     const covered = [...document.querySelectorAll('[role=link], [role=button], input')].filter((one) => {
       const { top, bottom, width } = one.getBoundingClientRect();
       return width > 0 && one.checkVisibility({ visibilityProperty: true }) && top < notice.bottom - 1 && bottom > notice.top + 1;
     });
     // What is over there is the notice itself, and what the list scrolls below its own edge.
     return covered.every((one) => one.closest('[role=status]') || one.closest('[role=group][aria-label="Shortcuts"]'))`,
  );
  expect(places).toBe(true);
  await app.goTo('Devices');
  await app.seeNoText('works in Write');
});

journey('a link is put in by its words and its address', 'empty', async ({ open }) => {
  const app = await open('phone', '/new');
  await app.insert(await app.field('You get'), 'Please  soon.');
  await app.type(Key.HOME + Key.ARROW_RIGHT.repeat(7));
  await app.insertPart('Link');
  await app.insert(await app.field('Words'), 'book a visit');
  await app.insert(await app.field('Address'), 'nowhere');
  await app.tap('Insert');
  await app.seeText('Type the address of a page');
  await app.expectAccessible();
  await app.fill('Address', 'corrieandvale.example/book');
  await app.tap('Insert');
  await app.seeNoText('Type the address of a page');
  expect(await textIn(app, 'You get')).toBe('Please [book a visit](https://corrieandvale.example/book) soon.');
  await app.seeFocus('You get');
  await app.type('!');
  expect(await textIn(app, 'You get')).toBe('Please [book a visit](https://corrieandvale.example/book)! soon.');
  await app.seeText('You get now');
  await app.insert(await app.field('You type'), ';book');
  await app.tap('Save');
  await app.seeText('“;book” works in Write.');
  // In the list it reads as text.
  await app.see(By.css('[role=link][aria-label^=";book"][aria-label$=": Please book a visit! soon."]'));
});
