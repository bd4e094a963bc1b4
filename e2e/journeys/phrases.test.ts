import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { mailboxOf, sentMessages } from '@yellow-latch/core/scenario';
import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { Proxy } from '../proxy';

/** The file button of the page. */
const openFiles = async (app: App, ...paths: string[]) => {
  const inputs = () => app.browser.driver.findElements(By.css('input[type=file]'));
  await app.until(async () => (await inputs()).length > 0, 'the file button');
  await (await inputs())[0]!.sendKeys(paths.join('\n'));
};

const row = (app: App, text: string) => app.see(By.css(`[role=checkbox][aria-label^=${JSON.stringify(text)}]`));

/** What the rows say, from the first to the last. */
const rows = async (app: App) =>
  Promise.all(
    (await app.browser.driver.findElements(By.css('[aria-label="Found phrases"] [role=checkbox]'))).map((one) =>
      one.getAttribute('aria-label'),
    ),
  );

/** The code that a row proposes, once there is one. */
async function codeOf(app: App, text: string): Promise<string> {
  let code: string | undefined;
  await app.until(async () => {
    code = /, (;\S+), \d+ times/u.exec((await (await row(app, text)).getAttribute('aria-label')) ?? '')?.[1];
    return code !== undefined;
  }, `a code for ${text}`);
  return code!;
}

async function inFolder(walk: (file: (name: string, content: string | Uint8Array) => string) => Promise<void>) {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-sent-'));
  try {
    await walk((name, content) => {
      writeFileSync(join(folder, name), content);
      return join(folder, name);
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

journey(
  'sent mails give phrases; four are made in one go and expand, and nothing was sent',
  'demo',
  async ({ open, stand }) => {
    const proxy = await Proxy.start(stand.address);
    try {
      await inFolder(async (file) => {
        const app = await open('phone', '/check', proxy.address);
        await app.seeText('Checked at');
        await app.tap('Find phrases');
        await app.seeText('never leave it');
        await app.expectAccessible();
        // What the page is made of is there.
        let counted = -1;
        await app.until(() => {
          const isQuiet =
            counted === proxy.requests.length && proxy.requests.some((one) => one.includes('phrases-worker'));
          counted = proxy.requests.length;
          return Promise.resolve(isQuiet);
        }, 'the page to have all it needs');
        const before = proxy.requests.length;
        await openFiles(app, file('Sent.mbox', mailboxOf(sentMessages())));
        await app.seeText('300 messages');
        const thanks = await codeOf(app, 'Thank you for booking');
        expect(proxy.requests.slice(before)).toEqual([]);

        const found = await rows(app);
        const phrases = found.filter((one) => !one!.includes('['));
        expect(phrases.length).toBeGreaterThanOrEqual(5);
        expect(found.length - phrases.length).toBeGreaterThanOrEqual(2);
        await app.expectAccessible();

        const visit = await codeOf(app, 'I can come on [Day] at [Time]');
        for (const text of [
          'Thank you for booking',
          'The invoice is attached',
          'With good wishes',
          'I can come on [Day]',
        ])
          await app.press(await row(app, text));
        await app.tap('Make 4 shortcuts');
        await app.seeText('Each code is free and safe.');
        await app.expectAccessible();
        await app.tap('Save 4 shortcuts');
        await app.seeText('Added 4 shortcuts.');

        await app.open('/write');
        await app.intoPad();
        await app.type(`${thanks} `);
        const said = 'Thank you for booking a tuning with us. I look forward to hearing your piano.';
        await app.padHolds(`${said} `);
        await app.type(`${visit} `);
        // The day is chosen of what stood there, the time is typed.
        await app.tap('Thursday');
        await app.fill('Time', '9:30');
        await app.tap('Insert');
        await app.padHolds(`${said} I can come on Thursday at 9:30 if that suits you. `);
      });
    } finally {
      await proxy.end();
    }
  },
);

journey('a find is looked at, changed, hidden for good; secrets are masked', 'demo', async ({ open }) => {
  const app = await open('phone', '/phrases');
  await app.tap('Try sample messages');
  await app.seeText('Tick what you want.');
  // What holds somebody else’s details or a secret cannot be read, nor ticked, until one asks.
  await app.seeText('Looks like someone else’s details.');
  await app.seeNoText('Mrs Penrose');
  await app.seeNoText('DE89');
  await codeOf(app, 'Thank you for booking');
  await app.press(await app.see(By.xpath('(//*[@role="button" and .="Show"])[1]')));
  await app.seeText('Mrs Penrose');

  await app.press(await app.see(By.css('[role=button][aria-label^="Look at “If the pitch drops"]')));
  await app.seeText('Where you typed it');
  await app.expectAccessible();
  // Without words selected it says what to do.
  await app.tap('Make a blank');
  await app.seeText('Select the words');
  const field = await app.field('Text');
  await app.driverScript(
    'const field = document.activeElement.closest("textarea") ?? document.querySelector("textarea"); field.focus(); const at = field.value.indexOf("the spring"); field.setSelectionRange(at, at + 10);',
  );
  await app.tap('Make a blank');
  await app.until(
    async () => ((await field.getAttribute('value')) ?? '').includes('before [Blank], let me know'),
    'the blank',
  );

  await app.tap('Never show this');
  await app.seeText('You won’t see that again.');
  expect((await rows(app)).some((one) => one!.startsWith('If the pitch'))).toBe(false);
  await app.tap('Undo');
  await row(app, 'If the pitch drops');
  await app.press(await app.see(By.css('[role=button][aria-label^="Look at “The invoice"]')));
  await app.tap('Never show this');
  await app.seeText('You won’t see that again.');
  await app.reload();
  await app.tap('Try sample messages');
  await app.seeText('Tick what you want.');
  await row(app, 'If the pitch drops');
  expect((await rows(app)).some((one) => one!.startsWith('The invoice'))).toBe(false);

  // What the list has is no find, but told.
  await app.unfold('You have codes for these');
  await app.seeText('I am about ten minutes away.');
  await app.unfold('Names with capitals');
  await app.tick('HarbourHall');
  await app.press(await row(app, 'If the pitch drops'));
  await app.tap('Make 2 shortcuts');
  await app.tap('Save 2 shortcuts');
  await app.seeText('Added 2 shortcuts.');
  await app.tap('Undo');
  await app.until(async () => !(await app.codes()).includes('harbourhall'), 'the corrections to be gone');
});

journey('several files at once, others’ mails left out, and files that are none', 'demo', async ({ open }) => {
  await inFolder(async (file) => {
    const app = await open('computer', '/phrases');
    const says = (count: number, text: string) => Array.from({ length: count }, (_, at) => `${at}q. ${text} z${at}`);
    await openFiles(
      app,
      file('empty.txt', ''),
      file('picture.eml', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0])),
    );
    await app.seeText('empty.txt: There are no messages in it.');
    await app.expectAccessible();

    const mails = (from: string, texts: readonly string[]) =>
      texts.map((text) => ({ text, at: Date.UTC(2026, 10, 2), from }));
    const ours = mails('ansel@corrieandvale.example', says(9, 'The loan piano is yours until the end of May.'));
    const theirs = mails('rowena@hamble.example', says(6, 'Could you come a little later than we said?'));
    await openFiles(
      app,
      file('box.mbox', mailboxOf([...ours, ...theirs])),
      file(
        'chat.csv',
        `when,what was said,body\n${says(8, 'Please ring twice.')
          .map((one) => `2026-11-02,x,${one}`)
          .join('\n')}\n`,
      ),
      file(
        'utf16.txt',
        Buffer.from(`\ufeff${says(7, 'Vielen Dank für Ihre schnelle Antwort.').join('\n\n')}`, 'utf16le'),
      ),
      file('none.txt', '   '),
    );
    await app.seeText('The loan piano is yours');
    await app.seeText('Please ring twice.');
    await app.seeText('Vielen Dank für Ihre schnelle Antwort.');
    await app.seeText('none.txt: There are no messages in it.');
    await app.seeNoText('Could you come a little later');
    await app.choose('Sent by', 'rowena@hamble.example');
    await app.seeText('Could you come a little later');
    await app.seeNoText('The loan piano');
    await app.choose('Column', 'what was said');
    await app.seeNoText('Please ring twice.');
    await app.expectAccessible();

    // Long work can be cancelled.
    await app.tap('Other messages');
    await openFiles(app, file('long.txt', 'so it was said again and again in those days. '.repeat(400_000)));
    await app.tap('Cancel');
    await app.seeText('never leave it');
    await app.fill('Or paste them here', says(5, 'Leave it with the caretaker, please.').join('\n\n'));
    await app.tap('Find phrases');
    await app.seeText('Leave it with the caretaker, please.');
  });
});
