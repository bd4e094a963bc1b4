import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey, keepApp } from '../journey';
import { OtherDevice } from '../otherDevice';
import { Proxy } from '../proxy';

keepApp();

/** Waits until all hold the same records, and gives them. */
async function inStep(apps: readonly App[]): Promise<string> {
  let kept: string[] = [];
  await apps[0]!.until(async () => {
    kept = await Promise.all(apps.map((app) => app.kept()));
    return kept.every((one) => one === kept[0]);
  }, 'all to be equal');
  return kept[0]!;
}

const setsOf = (app: App) =>
  app.driverScript<string[]>(
    `return [...document.querySelectorAll('[role=main] [role=button][aria-label^="Move "][aria-label$=" down"]')].map((button) => button.getAttribute('aria-label').slice(5, -5))`,
  );

journey(
  'three browsers, one cut off, edit, delete and reorder; together again all are equal and the second version is settled',
  'demo',
  async ({ stand, open }) => {
    const proxy = await Proxy.start(stand.address);
    try {
      const cut = await open('phone', '/', proxy.address);
      const [computer, third] = [await open('computer'), await open('phone')];
      for (const app of [cut, computer, third]) await app.seeText('Synced');
      proxy.be('refused');
      await cut.seeText('Offline since');

      // All edit the same shortcut; the one cut off also deletes another and moves a set.
      await cut.openShortcut(';ten');
      await cut.fill('You get', 'Ten minutes, from the cellar.');
      await cut.tap('Save');
      await computer.openShortcut(';ten');
      await computer.fill('You get', 'Ten minutes, from the desk.');
      await computer.tap('Save');
      await third.seeText('Ten minutes, from the desk.');
      await cut.openShortcut(';cv');
      await cut.tap('Delete');
      await cut.tap('More');
      await cut.tap('Sets');
      await cut.tap('Move Us down');
      await cut.until(async () => (await setsOf(cut))[1] === 'Us', 'the set to be second');
      await cut.expectAccessible();
      await third.tap('More');
      await third.tap('Sets');
      await third.tap('Move Places up');
      await cut.tap('Back to the list');
      await cut.seeText('3 changes to send');

      proxy.be('good');
      await cut.seeText('Synced');
      await third.tap('Back to the list');
      await inStep([cut, computer, third]);
      await computer.tap('More');
      await computer.tap('Sets');
      await computer.until(async () => (await setsOf(computer)).indexOf('Us') > 0, 'the set to be moved there too');
      for (const app of [cut, third]) expect(await app.codes()).not.toContain(';cv');

      // Both texts are there: one in use, the other beside it, counted under Devices.
      await third.see(By.css('[aria-label="Devices, 1 thing with two versions"]'));
      await third.openUnderDevices('Two versions of 1 thing');
      await third.seeText('Ten minutes, from the cellar.');
      await third.seeText('Ten minutes, from the desk.');
      await third.expectAccessible();
      await third.tap('Join the texts');
      await third.tap('Keep the joined text');
      await third.seeText('Nothing to choose.');
      for (const app of [cut, computer])
        await app.until(
          async () =>
            (await app.browser.driver.findElements(By.css('[aria-label="Devices, 1 thing with two versions"]')))
              .length === 0,
          'it to be settled',
        );
      const all = await inStep([cut, computer, third]);
      expect(all).toContain('Ten minutes, from the');
      await cut.seeText('Ten minutes, from the');
      await cut.until(
        async () =>
          (await cut.driverScript<number>(
            `return document.querySelectorAll('[aria-label$="with two versions"]').length`,
          )) === 0,
        'no version to be left',
      );

      // What was deleted is in the history, with who did it, and comes back everywhere.
      await computer.openUnderDevices('Deleted');
      await computer.seeText('Phone');
      await computer.press(await computer.see(By.css('[aria-label^="Restore: Deleted ;cv"]')));
      await computer.seeText('Restored “;cv”.');
      await cut.seeText('Corrie & Vale, travelling piano care');
      await inStep([cut, computer, third]);
    } finally {
      await proxy.end();
    }
  },
  240_000,
);

journey(
  'a line that is cut every second, stalls, is cut in mid-answer and repeats requests loses and doubles nothing',
  'demo',
  async ({ stand, open }) => {
    const proxy = await Proxy.start(stand.address);
    const other = await OtherDevice.join(stand.address);
    try {
      const app = await open('phone', '/', proxy.address);
      await app.seeText('Synced');
      const made: string[] = [];
      const make = async (code: string) => {
        await app.make(code, `Made on a bad line: ${code}`);
        made.push(code);
      };
      const cutting = setInterval(() => proxy.cutAll(), 1_000);
      for (const code of [';c1', ';c2', ';c3']) await make(code);
      clearInterval(cutting);
      proxy.be('cut');
      await make(';half');
      proxy.be('stalled');
      await make(';stall');
      await app.until(async () => /Sending \d|changes? to send/.test(await app.text()), 'what isn’t sent yet');
      proxy.be('repeated');
      await app.seeText('Synced');
      await make(';twice');
      await app.seeText('Synced');
      await app.until(() => Promise.resolve(proxy.repeated > 0), 'a request to have been repeated');
      await app.until(
        async () => (JSON.parse(await other.shortcuts()) as unknown[]).length === 64 + made.length,
        'all to have arrived',
      );
      const codes = (JSON.parse(await other.shortcuts()) as [string, { code: string }][]).map(([, { code }]) => code);
      for (const code of made) expect(codes.filter((one) => one === code)).toHaveLength(1);
      const logged = await other.logged();
      expect(new Set(logged).size).toBe(logged.length);
    } finally {
      await proxy.end();
    }
  },
  240_000,
);

journey(
  'two devices that make the same code offline: both are kept, and found as a clash',
  'demo',
  async ({ stand, open }) => {
    const [phone, computer] = [await open('phone'), await open('computer')];
    for (const app of [phone, computer]) await app.seeText('Synced');
    for (const app of [phone, computer]) await app.isKeptOnDevice();
    await stand.stop();
    await phone.seeText('Offline');
    await phone.make(';lock', 'The key is under the third pot.');
    await computer.make(';lock', 'The lock code is on the van key.');
    await stand.start();
    for (const app of [phone, computer]) await app.seeText('Synced');
    await inStep([phone, computer]);
    await phone.fill('Search your shortcuts', ';lock');
    await phone.seeText('The key is under the third pot.');
    await phone.seeText('The lock code is on the van key.');
    await computer.goTo('Check');
    await computer.until(
      async () => (await computer.problems()).some((finding) => finding.includes(';lock')),
      'the clash to be found',
    );
  },
);

journey('history: who, when, what was there; a change and a bulk change are taken back', 'demo', async ({ open }) => {
  const [phone, computer] = [await open('phone'), await open('computer')];
  await phone.seeText('Synced');
  await phone.openShortcut(';ten');
  await phone.fill('You get', 'Nine and a half minutes.');
  await phone.tap('Save');
  await computer.seeText('Nine and a half minutes.');
  await computer.openShortcut(';ten');
  await computer.tap('History of this shortcut');
  await computer.seeText('I am about ten minutes away.');
  await computer.seeText('Phone');
  await computer.expectAccessible();
  await computer.press(await computer.see(By.css('[aria-label^="Undo: Changed text ;ten"]')));
  await computer.seeText('Undone.');
  await phone.seeText('I am about ten minutes away.');
  // The whole demo list was made in one go: it goes, and comes back, in one.
  const before = (await phone.codes()).slice(0, 6);
  await computer.openUnderDevices('History');
  await computer.seeText('Added 64 shortcuts and 11 other things');
  await computer.press(await computer.see(By.css('[aria-label*="Added 64"]')));
  await phone.seeText('What do you type again and again?');
  await computer.press(await computer.see(By.css('[aria-label^="Undo:"][aria-label*="Deleted 64"]')));
  await phone.until(async () => (await phone.codes()).slice(0, 6).join() === before.join(), 'the list to be back');
});
