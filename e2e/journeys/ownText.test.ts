import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';

const TEXT = `Dear Rowena,
so the bench came in on Monday, and the ham was so good that we stayed for tea.
I hope so; the felt is worn, so please order some.`;

const keptNames = (app: App) =>
  app.driverScript<string[]>(
    `return new Promise((resolve) => {
       const open = indexedDB.open('yellow-latch-' + localStorage.getItem('yellow-latch.device'));
       open.onsuccess = () => {
         const keys = open.result.transaction('kept').objectStore('kept').getAllKeys();
         keys.onsuccess = () => { open.result.close(); resolve(keys.result); };
       };
     })`,
  );

journey('own text is pasted, stepped through, and kept only if asked', 'demo', async ({ open }) => {
  const app = await open('phone', '/check');
  await app.tap('Own texts');
  await app.insert(await app.field('Paste what you wrote'), TEXT);
  await app.expectAccessible();
  await app.tap('Check it');
  await app.seeText('5 misfires in 31 words.');
  await app.seeText('1 of 5: so');
  await app.tap('Next misfire');
  await app.seeText('2 of 5: ham');
  await app.tap('Previous misfire');
  await app.tap('Previous misfire');
  await app.seeText('5 of 5: so');
  await app.tap('so: 4');
  await app.seeText('1 of 4: so');
  await app.expectAccessible();
  // The computer fires in the middle of words as well.
  await app.tap('Device: Ansel’s phone');
  await app.press(await app.see(By.xpath('//*[@role="radio" and contains(., "Workshop laptop")]')));
  await app.seeText('of 5');
  expect(await keptNames(app)).not.toContain('own-text');
  await app.tap('Save it on this device');
  await app.seeText('Saved on this device');
  await app.reload();
  await app.tap('Check it again');
  await app.seeText('31 words');
  await app.tap('Another text');
  await app.tap('Delete it');
  await app.seeNoText('Saved on this device');
  expect(await keptNames(app)).not.toContain('own-text');
  // What was read can be looked through for phrases, without opening it again.
  await app.insert(await app.field('Paste what you wrote'), TEXT);
  await app.tap('Check it');
  await app.seeText('5 misfires in 31 words.');
  await app.tap('Find phrases');
  await app.seeText('1 message, 31 words. Nothing here is worth a shortcut.');
  await app.tap('Back to Check');
  await app.seeText('Checked at');
});

journey('own text by keyboard, from files of three kinds, and from one that is none', 'demo', async ({ open }) => {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-files-'));
  const file = (name: string, content: string | Uint8Array) => {
    writeFileSync(join(folder, name), content);
    return join(folder, name);
  };
  try {
    const app = await open('computer', '/check');
    await app.pressByKey('Own texts');
    await app.tabTo('Paste what you wrote');
    await app.type('so it is, so');
    await app.pressByKey('Check it');
    await app.seeText('2 misfires in 4 words.');
    await app.pressByKey('Next misfire', 100);
    await app.seeText('2 of 2: so');
    const choose = async (path: string) => {
      await app.tap('Another text');
      await (await app.browser.driver.findElement(By.css('input[type=file]'))).sendKeys(path);
    };
    await choose(file('sent.txt', TEXT));
    await app.seeText('5 misfires in 31 words.');
    await choose(
      file('sent.csv', 'when,"what, said"\n"2026-11-02, 10:04","so, we came"\n"2026-11-03, 11:10","nothing, really"\n'),
    );
    await app.tap('Column: when');
    await app.press(await app.see(By.xpath('//*[@role="radio" and contains(., "what, said")]')));
    await app.seeText('1 of 1: so');
    await choose(
      file('chat.jsonl', '{"from":"Mara","body":{"text":"so it is"}}\n{"from":"Ansel","body":{"text":"ham again"}}\n'),
    );
    await app.seeText('2 misfires in ');
    await app.tap('Field: body.text');
    await app.press(await app.see(By.xpath('//*[@role="radio" and contains(., "from")]')));
    await app.seeText('No code would have expanded by mistake.');
    await app.expectAccessible();
    await app.tap('Another text');
    await (
      await app.browser.driver.findElement(By.css('input[type=file]'))
    ).sendKeys(file('picture.txt', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13])));
    await app.seeText('This file is a picture, not text.');
    // Nothing of what was typed before is lost.
    await app.tap('Another text');
    expect(await (await app.field('Paste what you wrote')).getAttribute('value')).toBe('so it is, so');
    await app.expectAccessible();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
