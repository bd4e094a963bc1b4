import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

/** The new codes on the card of today, with how their texts begin. */
const newCodes = (app: App) =>
  app.driverScript<[code: string, begins: string][]>(
    `return [...document.querySelectorAll('[role=main] [role=img][aria-label^="Code "]')]
      .filter((plate) => !plate.closest('[role=listitem]'))
      .map((plate) => [plate.getAttribute('aria-label').slice(5), plate.nextElementSibling.innerText.slice(0, 12)])`,
  );

const cardNumber = (app: App) =>
  app.driverScript<string | null>(
    `return /Card \\d+ of \\d+|Done\\. You knew/u.exec(document.body.innerText)?.[0] ?? null`,
  );

/** Waits until another card is asked, or none. */
async function nextCard(app: App, before: string | null): Promise<void> {
  await app.until(
    async () => {
      const now = await cardNumber(app);
      return now !== null && now !== before;
    },
    `what comes after ${before ?? 'nothing'}`,
  );
}

/** Goes through a practice. `knows`: whether somebody still knows a code; else they have it shown. */
async function practise(app: App, codes: readonly [string, string][], knows: (code: string) => boolean): Promise<void> {
  await app.tap('Practice');
  await app.seeText('Card 1 of');
  for (let cards = 0; cards < 30; cards += 1) {
    const number = await cardNumber(app);
    if (number?.startsWith('Done')) return;
    const text = await app.text();
    if (text.includes('What does this code stand for?')) {
      await pick(app);
    } else {
      const [code] = codes.find(([, begins]) => text.includes(begins)) ?? [null];
      if (code === null) throw new Error(`no code for: ${text}`);
      if (!knows(code)) {
        await app.tap('Show me');
        await app.see(By.css(`[role=main] [aria-label=${JSON.stringify(`Code ${code}`)}]`));
      }
      await app.until(() => app.driverScript(`return document.activeElement.tagName === 'TEXTAREA'`), 'the field');
      await app.type(`${code} `);
    }
    await nextCard(app, number);
  }
  throw new Error('it never ends');
}

/** Tries one text after another until it is the right one. */
async function pick(app: App): Promise<void> {
  const number = await cardNumber(app);
  const open = By.css('[role=main] [role=listitem] [role=button]:not([aria-disabled=true])');
  for (let tries = 0; tries < 4; tries += 1) {
    await app.press(await app.see(open));
    const isRight = () => cardNumber(app).then((now) => now !== number);
    await app.until(
      async () => (await isRight()) || (await wrongOnes(app)) > tries,
      'the choice to be told right or wrong',
    );
    if (await isRight()) return;
  }
}

const wrongOnes = (app: App) =>
  app.driverScript<number>(
    `return document.querySelectorAll('[role=main] [role=listitem] [aria-disabled=true]').length`,
  );

/** Somebody who has forgotten a code, and knows it again once it was shown. */
function forgetting(forgotten: string): (code: string) => boolean {
  let wasShown = false;
  return (code) => {
    const knows = code !== forgotten || wasShown;
    if (code === forgotten) wasShown = true;
    return knows;
  };
}

/** The codes that are being learnt, read off the page. */
const codesLearnt = (app: App) =>
  app.driverScript<string[]>(
    `return [...document.querySelectorAll('[role=main] [role=listitem] [role=img][aria-label^="Code "]')]
      .map((plate) => plate.getAttribute('aria-label').slice(5))`,
  );

const dayOf = async (app: App, days: number) => {
  await app.browser.moveClock(days);
  await app.open('/learn');
};

journey(
  'a week of learning: two codes, one lapses, is drilled, and is known',
  'demo',
  async ({ stand, open }) => {
    const app = await open('phone', '/learn');
    await app.seeText('Start with these 2');
    await app.expectAccessible();
    const codes = await newCodes(app);
    expect(codes).toHaveLength(2);
    const [[weak], [sure]] = codes as [[string, string], [string, string]];
    await practise(app, codes, () => true);
    await app.expectAccessible();
    await app.tap('Back to Learn');
    await app.seeText('Learning now');

    // In sight above the list and while one writes.
    await app.goTo('Shortcuts');
    await app.see(By.css(`[role=link][aria-label^="Learning now: ${weak}, ${sure}. Open Learn"]`));
    await app.goTo('Write');
    await app.see(By.css(`[role=button][aria-label^="Insert ${sure}: "]`));
    await app.expectAccessible();

    // Two days on, one is forgotten: it comes again within the practice.
    await dayOf(app, 2.5);
    await app.seeText('2 codes to practice');
    await practise(app, codes, forgetting(weak));
    await app.tap('Back to Learn');
    // No new ones until it is held.
    expect(await newCodes(app)).toEqual([]);

    // The day after it comes to mind again, and then at work.
    await dayOf(app, 3.75);
    await app.seeText('1 code to practice');
    await practise(app, [...codes, ...(await newCodes(app))], () => true);
    await app.browser.moveClock(6);
    await app.open('/write');
    await app.intoPad();
    await app.type(`Till Tuesday then. ${weak} `);
    await app.seeText('“;');
    await app.goTo('Learn');
    await app.seeText('Progress');
    await app.until(async () => {
      const learning = await codesLearnt(app);
      return !learning.includes(sure) && !learning.includes(weak);
    }, 'both codes to be known');
    await app.tap('Progress');
    await app.until(async () => /You know [2-9] codes/u.test(await app.text()), 'how many are known');
    await app.expectAccessible();

    // What was learnt is on the person’s other devices, as no change to the list.
    const other = await OtherDevice.join(stand.address);
    expect(await other.count('learning')).toBeGreaterThanOrEqual(2);
  },
  240_000,
);

journey(
  'a text typed out in Write brings its code back; another code for one that will not stick',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/write');
    await app.intoPad();
    await app.type('Tuesday at two. ;cv ');
    await app.padHolds('Tuesday at two. Corrie & Vale, travelling piano care ');
    await app.goTo('Learn');
    await app.browser.moveClock(1);
    await app.open('/write');
    await app.intoPad();
    await app.type('We are Corrie & Vale, travelling piano care.');
    await app.seeText('“;cv”');
    await app.goTo('Learn');
    await app.seeText('3 codes to practice');

    // Forgotten each time it is asked for.
    const before = await newCodes(app);
    const codes: [string, string][] = [...before, [';cv', 'Corrie & Val']];
    const [stuck] = before[0]!;
    for (const day of [1, 2, 3]) {
      await dayOf(app, day);
      await app.until(async () => /\d codes? to practice/u.test(await app.text()), 'what there is to practice');
      await practise(app, codes, forgetting(stuck));
    }
    await app.tap('Back to Learn');
    await app.seeText(`“${stuck}” doesn’t stick`);
    await app.expectAccessible();
    const use = await app.see(By.xpath('//*[@role="button"][starts-with(normalize-space(.), "Use ")]'));
    const other = (await use.getText()).slice('Use '.length);
    await app.press(use);
    await app.seeText(`“${stuck}” is now “${other}”.`);
    await app.see(By.css(`[role=main] [role=listitem] [aria-label=${JSON.stringify(`Code ${other}`)}]`));
    await app.seeNoText(`doesn’t stick`);
    await app.undo();
    await app.seeText(`“${stuck}” doesn’t stick`);

    // Dropped, it is asked for no more.
    await app.tap(`Stop learning ${stuck}`);
    await app.seeNoText(`doesn’t stick`);
  },
);

journey('codes to take along: a picture as large as the screen, and a card on paper', 'demo', async ({ open }) => {
  const app = await open('phone', '/learn');
  await app.seeText('Start with these 2');
  const codes = await newCodes(app);
  await practise(app, codes, () => true);
  await app.tap('Back to Learn');
  await app.tap('Take them along');
  await app.see(By.css('canvas'));
  await app.expectAccessible();
  // Drawn on the device: 390 by 844 at two pixels each, with the yellow of a latch in it.
  await app.until(
    () =>
      app.driverScript(
        `const canvas = document.querySelector('canvas');
         const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
         let latch = 0;
         for (let at = 0; at < data.length; at += 4) if (data[at] > 240 && data[at + 1] > 180 && data[at + 2] < 90) latch += 1;
         return canvas.width === 780 && canvas.height === 1688 && latch > 500`,
      ),
    'the picture to be drawn',
  );
  await app.tap('Print a card');
  await app.seeText('The codes you’re learning (2)');
  await app.seeText('Each card fits a wallet');
});

journey(
  'a practice goes on while another device deletes one of its shortcuts and changes the code of the other',
  'demo',
  async ({ stand, open }) => {
    const app = await open('phone', '/learn');
    await app.seeText('Start with these 2');
    const [[first], [second, begins]] = (await newCodes(app)) as [[string, string], [string, string]];
    const other = await OtherDevice.join(stand.address);
    const records = [await other.recordOf(first), await other.recordOf(second)];
    await app.tap('Practice');
    await app.seeText('Card 1 of 4');
    await other.edit(records[0]!, { deleted: true });
    await app.seeText('Card 1 of 2');
    await app.see(By.css(`[role=main] [aria-label=${JSON.stringify(`Code ${second}`)}]`));
    await other.edit(records[1]!, { code: ';anew' });
    await app.see(By.css('[role=main] [aria-label="Code ;anew"]'));
    await pick(app);
    await app.seeText('Card 2 of 2');
    await app.seeText(begins);
    await app.until(() => app.driverScript(`return document.activeElement.tagName === 'TEXTAREA'`), 'the field');
    await app.type(';anew ');
    await app.seeText('Done. You knew 2 of 2 cards');
  },
);
