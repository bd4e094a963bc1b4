import { By } from 'selenium-webdriver';

import { App } from '../app';
import { Browser } from '../browser';
import { journey, keepApp } from '../journey';
import { scan } from '../scan';

keepApp();

journey(
  'a list begun in one tap, a phone joined by QR, a tablet by the code typed; named, bounded, signed out',
  'closed',
  async ({ open }) => {
    const computer = await open('computer');
    await computer.seeText('Type a short code, get a whole text.');
    await computer.expectAccessible();
    await computer.tap('Start a new list');
    await computer.seeText('What do you type again and again?');
    await computer.make(';first', 'The first of a new list.');
    await computer.seeText('Synced');

    // The QR code holds the address with the code behind the #, which no server is sent.
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Works for one device');
    await computer.expectAccessible();
    const address = await scan(computer);
    const code = await computer.shownCode();
    expect(address).toBe(`${computer.address}/join#${code.replace('-', '')}`);

    const phone = await open('phone', new URL(address!).pathname + new URL(address!).hash);
    await phone.seeText('I have a list on another device');
    await phone.expectAccessible();
    expect(await (await phone.field('Code')).getAttribute('value')).toBe(code.replace('-', ''));
    await phone.fill('Name of this device', 'Kitchen phone');
    await phone.tap('Get my list');
    await phone.seeText('The first of a new list.');
    await computer.seeText('Kitchen phone has joined');

    // Used once: it lets nobody else in. A new one, typed as a person would.
    const tablet = await open('phone', '/join');
    await tablet.fill('Code', code);
    await tablet.tap('Get my list');
    await tablet.seeText('This code doesn’t work or has expired.');
    await tablet.fill('Code', 'K7');
    await tablet.tap('Get my list');
    await tablet.seeText('The code has 8 characters; you typed 2.');
    await computer.tap('Add another');
    await computer.until(
      async () => (await computer.text()).includes('Works for one device') && (await computer.shownCode()) !== code,
      'a new code',
    );
    await tablet.fill('Code', (await computer.shownCode()).toLowerCase().replace('-', ' '));
    await tablet.fill('Name of this device', 'Van tablet');
    await tablet.press(await tablet.see(By.xpath('//*[@role="radio"][normalize-space(.)="Tablet"]')));
    await tablet.tap('Get my list');
    await tablet.seeText('The first of a new list.');
    await computer.seeText('Van tablet has joined');

    await computer.goTo('Devices');
    await computer.until(async () => (await computer.devices()).length === 3, 'three devices');
    expect((await computer.devices())[0]).toMatch(/^Computer, this device, Online, synced/u);
    for (const name of ['Kitchen phone', 'Van tablet'])
      await computer.until(
        async () => (await computer.devices()).join().includes(`${name}, Online, synced`),
        `${name} to be here`,
      );

    // The phone may only use the list from now on; what it had begun to write says so.
    await computer.openUnderDevices('Kitchen phone');
    await computer.expectAccessible();
    await computer.unfold('What it can do');
    await computer.press(
      await computer.see(By.xpath('//*[@role="radio"][starts-with(normalize-space(.), "Only use it")]')),
    );
    await phone.until(
      async () => !(await phone.text()).includes('New shortcut…'),
      'the way to a new shortcut to be gone',
    );
    await phone.openShortcut(';first');
    await phone.seeText('This device can use the list but not change it.');
    for (const label of ['You get', 'You type'])
      expect(await (await phone.field(label)).getAttribute('readonly')).toBe('true');
    await phone.expectAccessible();

    // Signed out from afar: at once, and what it held is gone.
    await computer.tap('Sign out Kitchen phone');
    await computer.seeText('Your list is removed from that device');
    await computer.tap('Sign out');
    await phone.seeText('This device is signed out');
    await phone.expectAccessible();
    expect(await phone.kept()).toBe('[]');
    await computer.until(async () => (await computer.devices()).length === 2, 'two devices');

    // Given a new name on itself, the others see it.
    await tablet.openUnderDevices('Van tablet');
    await tablet.fill('Name', 'Boat tablet');
    await tablet.tap('Back to Devices');
    await computer.until(async () => (await computer.devices()).join().includes('Boat tablet'), 'the new name');
  },
  240_000,
);

journey(
  'the code of a device’s page has no text in it, and leads through joining to that page',
  'closed',
  async ({ open }) => {
    const computer = await open('computer');
    await computer.tap('Start a new list');
    await computer.make(';first', 'The first of a new list.');
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.tap('It can’t run Yellow Latch');
    await computer.fill('Name', 'Old phone');
    await computer.tap('Add it');
    await computer.follow('Copy your list over.');
    await computer.unfold('From another screen');
    await computer.see(By.css('[role=img][aria-label="QR code that opens this page"]'));
    const path = await computer.driverScript<string>('return location.pathname');
    expect(path).toMatch(/^\/devices\/[0-9a-f-]{36}\/carry$/u);
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Works for one device');

    const phone = await open('phone', path);
    await phone.seeText('I have a list on another device');
    await phone.seeNoText('The first of a new list.');
    await phone.fill('Code', await computer.shownCode());
    await phone.tap('Get my list');
    await phone.seeText('Copy your list to Old phone');
    await phone.seeText('1 to add');
    await phone.expectAccessible();
  },
  180_000,
);

journey(
  'the last device that can edit hands the list over, and the next one deletes it everywhere',
  'closed',
  async ({ open }) => {
    const computer = await open('computer');
    await computer.tap('Start a new list');
    await computer.make(';first', 'The first of a new list.');
    await computer.seeText('Synced');
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Works for one device');
    const phone = await open('phone', `/join#${(await computer.shownCode()).replace('-', '')}`);
    await phone.tap('Get my list');
    await phone.seeText('The first of a new list.');
    await computer.goTo('Devices');
    await computer.openUnderDevices('Phone');
    await computer.unfold('What it can do');
    await computer.press(
      await computer.see(By.xpath('//*[@role="radio"][starts-with(normalize-space(.), "Only use it")]')),
    );
    await computer.seeText('Phone can only use the list.');

    // Nobody is left behind without a device that can edit.
    await computer.goTo('Devices');
    await computer.openUnderDevices('Computer');
    await computer.tap('Sign out this device');
    await computer.seeText('No other device can edit the whole list. Choose one:');
    await computer.expectAccessible();
    await computer.press(
      await computer.see(By.xpath('//*[@aria-label="Choose a device that can edit"]//*[@role="radio"]')),
    );
    await computer.tap('Sign out');
    await computer.seeText('This device is signed out');

    // The phone can edit now, and delete all of it.
    await phone.until(
      async () => (await phone.text()).includes('New shortcut…'),
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
      await app.tap('Start a new list');
      await app.make(';mine', 'Years of habits.');
      await app.seeText('Synced');
      await app.openUnderDevices('Spare key');
      await app.tap('Make a spare key');
      await app.seeText('Anyone with this key can get your list.');
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
      await back.tap('I have a spare key');
      await back.expectAccessible();
      await back.fill(
        'Spare key',
        key
          .replaceAll('-', ' ')
          .toLowerCase()
          .replace(/^./u, (sign) => (sign === '2' ? '3' : '2')),
      );
      await back.tap('Get my list');
      await back.seeText('One character is wrong.');
      await back.fill('Spare key', key.replaceAll('-', ' ').toLowerCase());
      await back.tap('Get my list');
      await back.seeText('Years of habits.');
      await back.seeText('Synced');
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
    await app.tap('I have a list on another device');
    await app.fill('Code', '0000 0000');
    await app.tap('Get my list');
    await app.seeText('You’re offline.');
    await app.tap('Back');
    await app.tap('Start a new list');
    await app.seeText('What do you type again and again?');
    await app.make(';cave', 'Written in a cave.');
    await app.seeText('1 change to send');
    await stand.start();
    await app.seeText('Synced');
    await app.goTo('Devices');
    await app.until(
      async () => (await app.devices()).join().includes('Phone, this device, Online, synced'),
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
    await computer.tap('Start a new list');
    await computer.make(';one', 'One of the list.');
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Works for one device');
    const phone = await open('phone', `/join#${(await computer.shownCode()).replace('-', '')}`);
    await phone.tap('Get my list');
    await phone.seeText('One of the list.');
    await stand.stop();
    await phone.make(';late', 'Not sent before it was signed out.');
    await phone.seeText('1 change to send');
    // While it is away it is signed out, by a server that it cannot reach: the page is off the screen meanwhile.
    const { driver } = phone.browser;
    await driver.get('about:blank');
    await stand.start();
    await computer.openUnderDevices('Phone');
    await computer.tap('Sign out Phone');
    await computer.tap('Sign out');
    await computer.seeText('Signed out Phone.');
    await phone.open('/');
    await phone.seeText('This device is signed out');
    await phone.seeText('1 change here wasn’t sent.');
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Works for one device');
    await phone.tap('I have a list on another device');
    await phone.fill('Code', await computer.shownCode());
    await phone.tap('Get my list');
    await phone.seeText('Not sent before it was signed out.');
    await computer.goTo('Shortcuts');
    await computer.seeText('Not sent before it was signed out.');
  },
  240_000,
);
