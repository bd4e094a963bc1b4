import { By } from 'selenium-webdriver';

import { App } from '../app';
import { Browser } from '../browser';
import { journey, keepApp } from '../journey';

keepApp();

journey('two devices: what is done on one shows and fires on the other', 'demo', async ({ open }) => {
  const [phone, computer] = [await open('phone'), await open('computer', '/write')];
  await phone.seeText('Synced');
  await computer.seeText('Synced');

  const begun = Date.now();
  await phone.make(';van', 'The van is blue, with a piano lid on the roof.');
  const saved = Date.now();
  await computer.press(await computer.see(By.css('textarea.write-pad')));
  await computer.type(';van ');
  await computer.padHolds('The van is blue, with a piano lid on the roof. ');

  // Changed there, without a reload.
  await computer.goTo('Shortcuts');
  await phone.openShortcut(';van');
  await phone.fill('You get', 'The van is green.');
  await phone.tap('Save');
  const changed = Date.now();
  await computer.seeText('The van is green.');
  console.log(
    `an edit showed in the second browser ${Date.now() - changed} ms after the tap on Save was done` +
      ` (making one took ${saved - begun} ms of tapping)`,
  );
  // And deleted the other way round.
  await computer.openShortcut(';van');
  await computer.tap('Delete');
  await phone.seeNoText('The van is green.');
  await computer.tap('Undo');
  await phone.seeText('The van is green.');
});

journey('with the server stopped the page goes on, and what waits arrives', 'demo', async ({ stand, open }) => {
  const [phone, computer] = [await open('phone'), await open('computer')];
  await phone.seeText('Synced');
  await computer.seeText('Synced');
  for (const app of [phone, computer]) await app.isKeptOnDevice();

  await stand.stop();
  await phone.seeText('Offline since');
  await phone.make(';sh2', 'Made while the server was away.');
  await phone.seeText('1 change to send');
  await phone.openShortcut(';bye');
  await phone.tap('Delete');
  await phone.seeText('2 changes to send');
  await phone.expectAccessible();
  await phone.goTo('Write');
  await phone.press(await phone.see(By.css('textarea.write-pad')));
  await phone.type(';sh2 ');
  await phone.padHolds('Made while the server was away. ');
  // Meanwhile the other device, cut off as well, edits what is deleted here.
  await computer.openShortcut(';bye');
  await computer.fill('You get', 'Until soon, Ansel');
  await computer.tap('Save');
  await computer.seeText('1 change to send');

  await stand.start();
  await phone.goTo('Shortcuts');
  await phone.seeText('Synced');
  await computer.seeText('Synced');
  await computer.seeText('Made while the server was away.');
  // An edit outlives a delete that had not seen it.
  await phone.seeText('Until soon, Ansel');
});

journey('all is there after a restart of the server and of the browser', 'demo', async ({ stand }) => {
  const first = await Browser.start('phone');
  const app = await new App(first, stand.address).open();
  await app.seeText('Synced');
  await stand.stop();
  await app.make(';kept', 'Written with the server stopped, the browser closed before it was sent.');
  await app.seeText('1 change to send');
  const profile = await first.restartable();
  await stand.start();

  const second = await Browser.start('phone', { profile });
  try {
    const again = await new App(second, stand.address).open();
    await again.seeText('Written with the server stopped');
    await again.seeText('Synced');
    const other = await Browser.start('computer');
    try {
      await (await new App(other, stand.address).open()).seeText('Written with the server stopped');
    } finally {
      await other.end();
    }
  } finally {
    await second.end();
  }
});

journey(
  'a server that has lost its data takes the device in again, and what waited',
  'empty',
  async ({ stand, open }) => {
    const app = await open('phone');
    await app.make(';old', 'Sent to the server before it lost its data.');
    await app.seeText('Synced');
    await app.isKeptOnDevice();
    await stand.stop();
    await app.make(';new', 'Waiting when the server lost its data.');
    await app.seeText('1 change to send');
    await stand.startAfresh();
    await app.seeText('Synced');
    const other = await open('computer');
    await other.seeText('Waiting when the server lost its data.');
    await other.seeText('Sent to the server before it lost its data.');
    await app.seeText('Waiting when the server lost its data.');
  },
);

journey(
  'a device without room says so, keeps what is typed, and saves it when there is room',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await app.driverScript(`
    const { add } = IDBObjectStore.prototype;
    globalThis.makeRoom = () => { IDBObjectStore.prototype.add = add; };
    IDBObjectStore.prototype.add = function (...given) {
      if (this.name === 'outbox') throw new DOMException('no room', 'QuotaExceededError');
      return add.apply(this, given);
    };`);
    await app.tap('New shortcut…');
    await app.insert(await app.field('You get'), 'There is no room for this yet.');
    await app.insert(await app.field('You type'), ';room');
    await app.tap('Save');
    await app.seeText('This device is full, so nothing was changed.');
    await app.driverScript('makeRoom()');
    await app.tap('Save');
    await app.seeText('“;room” works in Write.');
    await app.seeText('Synced');
  },
);

journey('two tabs of one browser are one device', 'demo', async ({ open }) => {
  const app = await open('phone');
  const { driver } = app.browser;
  await app.seeText('Synced');
  const first = await driver.getWindowHandle();
  await driver.switchTo().newWindow('tab');
  await app.open();
  await app.seeText('Synced');
  await app.make(';tab', 'Made in the second tab.');
  await driver.switchTo().window(first);
  await app.seeText('Made in the second tab.');
  await app.seeText('Synced');
});
