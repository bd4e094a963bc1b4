import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { By } from 'selenium-webdriver';

import { App } from '../app';
import { Browser } from '../browser';
import { journey, keepApp } from '../journey';

keepApp();

/** The text of the QR code that is on the screen, as another program reads it off a picture (jsqr). */
async function scan(app: App): Promise<string | null> {
  const { data, width, height } = PNG.sync.read(await app.browser.picture());
  return jsQR(new Uint8ClampedArray(data), width, height)?.data ?? null;
}

/** The code that the invitation shows, off its plates. */
const shownCode = (app: App) =>
  app.driverScript<string>(
    `return document.querySelector('[role=img][aria-label^="Code "][aria-label*="-"]').getAttribute('aria-label').slice(5)`,
  );

journey(
  'a list begun in one tap, a phone joined by QR, a tablet by the code typed; named, bounded, signed out',
  'closed',
  async ({ open }) => {
    const computer = await open('computer');
    await computer.seeText('Where is your list?');
    await computer.expectAccessible();
    await computer.tap('Begin a new list');
    await computer.seeText('What do you type again and again?');
    await computer.make(';first', 'The first of a new list.');
    await computer.seeText('In step');

    // The QR code holds the address with the code behind the #, which no server is sent.
    await computer.goTo('Devices');
    await computer.tap('Let a device in');
    await computer.seeText('It lets one device in');
    await computer.expectAccessible();
    const address = await scan(computer);
    const code = await shownCode(computer);
    expect(address).toBe(`${computer.address}/join#${code.replace('-', '')}`);

    const phone = await open('phone', new URL(address!).pathname + new URL(address!).hash);
    await phone.seeText('On another device');
    await phone.expectAccessible();
    expect(await (await phone.field('Code')).getAttribute('value')).toBe(code.replace('-', ''));
    await phone.fill('This device is called', 'Kitchen phone');
    await phone.tap('Join');
    await phone.seeText('The first of a new list.');
    await computer.seeText('Kitchen phone is in');

    // Used once: it lets nobody else in. A new one, typed as a person would.
    const tablet = await open('phone', '/join');
    await tablet.fill('Code', code);
    await tablet.tap('Join');
    await tablet.seeText('This code doesn’t work, or not any more');
    await tablet.fill('Code', 'K7');
    await tablet.tap('Join');
    await tablet.seeText('The code has 8 signs; this has 2.');
    await computer.tap('Let another in');
    await computer.until(
      async () => (await computer.text()).includes('It lets one device in') && (await shownCode(computer)) !== code,
      'a new code',
    );
    await tablet.fill('Code', (await shownCode(computer)).toLowerCase().replace('-', ' '));
    await tablet.fill('This device is called', 'Van tablet');
    await tablet.press(await tablet.see(By.xpath('//*[@role="radio"][normalize-space(.)="Tablet"]')));
    await tablet.tap('Join');
    await tablet.seeText('The first of a new list.');
    await computer.seeText('Van tablet is in');

    await computer.goTo('Devices');
    await computer.until(async () => (await computer.devices()).length === 3, 'three devices');
    expect((await computer.devices())[0]).toMatch(/^Computer, this device: Here now, in step/u);
    for (const name of ['Kitchen phone', 'Van tablet'])
      await computer.until(
        async () => (await computer.devices()).join().includes(`${name}: Here now, in step`),
        `${name} to be here`,
      );

    // The phone may only use the list from now on; what it had begun to write says so.
    await computer.openUnderDevices('Kitchen phone');
    await computer.expectAccessible();
    await computer.press(
      await computer.see(By.xpath('//*[@role="radio"][starts-with(normalize-space(.), "Only use")]')),
    );
    await phone.until(
      async () => !(await phone.text()).includes('Paste or write…'),
      'the way to a new shortcut to be gone',
    );
    await phone.openShortcut(';first');
    await phone.seeText('This device may use the list, not change it.');
    await phone.expectAccessible();

    // Signed out from afar: at once, and what it held is gone.
    await computer.tap('Sign it out');
    await computer.seeText('It is out right away');
    await computer.tap('Sign out');
    await phone.seeText('Out of the list');
    await phone.expectAccessible();
    expect(await phone.kept()).toBe('[]');
    await computer.until(async () => (await computer.devices()).length === 2, 'two devices');

    // Given a new name on itself, the others see it.
    await tablet.openUnderDevices('Van tablet');
    await tablet.fill('Name', 'Boat tablet');
    await tablet.tap('Back to the devices');
    await computer.until(async () => (await computer.devices()).join().includes('Boat tablet'), 'the new name');
  },
  240_000,
);

journey(
  'the last device that can edit hands the list over, and the next one deletes it everywhere',
  'closed',
  async ({ open }) => {
    const computer = await open('computer');
    await computer.tap('Begin a new list');
    await computer.make(';first', 'The first of a new list.');
    await computer.seeText('In step');
    await computer.goTo('Devices');
    await computer.tap('Let a device in');
    await computer.seeText('It lets one device in');
    const phone = await open('phone', `/join#${(await shownCode(computer)).replace('-', '')}`);
    await phone.tap('Join');
    await phone.seeText('The first of a new list.');
    await computer.goTo('Devices');
    await computer.openUnderDevices('Phone');
    await computer.press(
      await computer.see(By.xpath('//*[@role="radio"][starts-with(normalize-space(.), "Only use")]')),
    );
    await computer.seeText('Phone uses the list only.');

    // Nobody is left behind without a device that can edit.
    await computer.goTo('Devices');
    await computer.openUnderDevices('Computer');
    await computer.tap('Sign this device out');
    await computer.seeText('No other device can edit the whole list. Choose one that can:');
    await computer.expectAccessible();
    await computer.press(
      await computer.see(By.xpath('//*[@aria-label="Who can edit the list from now on"]//*[@role="radio"]')),
    );
    await computer.tap('Sign out');
    await computer.seeText('Out of the list');

    // The phone can edit now, and delete all of it.
    await phone.until(
      async () => (await phone.text()).includes('Paste or write…'),
      'the way to a new shortcut to be there',
    );
    await phone.goTo('Devices');
    await phone.tap('Delete this list…');
    await phone.seeText('You can’t undo this.');
    await phone.expectAccessible();
    await phone.tap('Delete everywhere');
    await phone.seeText('This list was deleted on one of your devices.');
    await phone.expectAccessible();
    expect(await phone.kept()).toBe('[]');
  },
  180_000,
);

journey(
  'the spare key gets a lost list back',
  'closed',
  async ({ stand }) => {
    const lost = await Browser.start('phone');
    const app = await new App(lost, stand.address).open();
    let key: string;
    try {
      await lost.clipboard('granted');
      await app.tap('Begin a new list');
      await app.make(';mine', 'Years of habits.');
      await app.seeText('In step');
      await app.openUnderDevices('Spare key');
      await app.tap('Make a spare key');
      await app.seeText('Whoever has the key has the list.');
      await app.expectAccessible();
      await app.tap('Copy');
      key = await app.clipboard();
      expect(key).toMatch(/^(\S{5}-){4}\S{5}$/u);
    } finally {
      // The phone falls into the river.
      await lost.end();
    }
    const found = await Browser.start('computer');
    try {
      const back = await new App(found, stand.address).open();
      await back.tap('Get it back with the spare key');
      await back.expectAccessible();
      await back.fill(
        'Spare key',
        key
          .replaceAll('-', ' ')
          .toLowerCase()
          .replace(/^./u, (sign) => (sign === '2' ? '3' : '2')),
      );
      await back.tap('Get the list back');
      await back.seeText('One sign is wrong');
      await back.fill('Spare key', key.replaceAll('-', ' ').toLowerCase());
      await back.tap('Get the list back');
      await back.seeText('Years of habits.');
      await back.seeText('In step');
    } catch (error) {
      await found.keepFailure('the spare key');
      throw error;
    } finally {
      await found.end();
    }
  },
  180_000,
);

journey(
  'a list is begun with no server there, and given to it when it comes',
  'closed',
  async ({ stand, open }) => {
    const app = await open('phone');
    await app.isKeptOnDevice();
    await stand.stop();
    await app.reload();
    await app.tap('Join it with a code');
    await app.fill('Code', '0000 0000');
    await app.tap('Join');
    await app.seeText('The server cannot be reached from here.');
    await app.tap('Other ways');
    await app.tap('Begin a new list');
    await app.seeText('What do you type again and again?');
    await app.make(';cave', 'Written in a cave.');
    await app.seeText('1 change waiting');
    await stand.start();
    await app.seeText('In step');
    await app.goTo('Devices');
    await app.until(
      async () => (await app.devices()).join().includes('Phone, this device: Here now, in step'),
      'the device to be known',
    );
  },
  180_000,
);

journey(
  'a device signed out with changes that were not sent keeps them, and they go along when it joins again',
  'closed',
  async ({ stand, open }) => {
    const computer = await open('computer');
    await computer.tap('Begin a new list');
    await computer.make(';one', 'One of the list.');
    await computer.goTo('Devices');
    await computer.tap('Let a device in');
    await computer.seeText('It lets one device in');
    const phone = await open('phone', `/join#${(await shownCode(computer)).replace('-', '')}`);
    await phone.tap('Join');
    await phone.seeText('One of the list.');
    await stand.stop();
    await phone.make(';late', 'Not sent before it was signed out.');
    await phone.seeText('1 change waiting');
    // While it is away it is signed out, by a server that it cannot reach: the page is off the screen meanwhile.
    const { driver } = phone.browser;
    await driver.get('about:blank');
    await stand.start();
    await computer.openUnderDevices('Phone');
    await computer.tap('Sign it out');
    await computer.tap('Sign out');
    await computer.seeText('Phone is signed out.');
    await phone.open('/');
    await phone.seeText('Out of the list');
    await phone.seeText('1 shortcut or set written here had not been sent.');
    await computer.goTo('Devices');
    await computer.tap('Let a device in');
    await computer.seeText('It lets one device in');
    await phone.tap('Join it with a code');
    await phone.fill('Code', await shownCode(computer));
    await phone.tap('Join');
    await phone.seeText('Not sent before it was signed out.');
    await computer.goTo('Shortcuts');
    await computer.seeText('Not sent before it was signed out.');
  },
  240_000,
);
