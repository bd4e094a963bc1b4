import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { By, Key, type WebElement } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';

const row = (code: string) =>
  By.css(
    // With its verdict, once it is checked.
    [`${code}: `, `${code}, `]
      .flatMap((name) => ['link', 'checkbox'].map((role) => `[role=${role}][aria-label^=${JSON.stringify(name)}]`))
      .join(),
  );

/** Keeps a finger on something for longer than a tap. */
async function pressLong(app: App, element: WebElement): Promise<void> {
  await app.browser.driver
    .actions({ async: true })
    .move({ origin: element, duration: 0 })
    .press()
    .pause(700)
    .release()
    .perform();
}

/** The codes that are chosen. */
function chosen(app: App): Promise<string> {
  return app.driverScript<string>(
    `return [...document.querySelectorAll('[role=checkbox][aria-checked=true]')].map((row) => row.getAttribute('aria-label').split(/, |: /)[0]).join()`,
  );
}

async function see(app: App, codes: string): Promise<void> {
  await app
    .until(async () => (await chosen(app)) === codes, `${codes} to be chosen`)
    .catch(async (error: Error) => {
      throw new Error(`${error.message}; chosen are ${await chosen(app)}`);
    });
}

/** What a shortcut says in the editor. */
async function choicesIn(app: App, code: string, labels: readonly string[]): Promise<string[]> {
  await app.openShortcut(code);
  await app.openDetails();
  const said: string[] = [];
  for (const label of labels)
    said.push(
      (
        (await (
          await app.see(By.css(`[role=button][aria-label^=${JSON.stringify(`${label}: `)}]`))
        ).getAttribute('aria-label')) ?? ''
      ).slice(label.length + 2),
    );
  await app.tap('Back to the list');
  return said;
}

journey('many chosen by a long press, and one thing done to all with one undo', 'demo', async ({ open }) => {
  const app = await open('phone');
  await app.seeText('Synced');
  await pressLong(app, await app.see(row(';cv')));
  await see(app, ';cv');
  await app.press(await app.see(row(';diary')));
  await app.press(await app.see(row(';hi')));
  await see(app, ';cv,;diary,;hi');
  await app.seeText('3 selected');
  await app.expectAccessible();
  await app.tap('Set: 3 shortcuts');
  await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Visits"]')));
  await app.seeText('Moved 3 shortcuts to Visits.');
  await app.until(async () => !(await app.codes()).slice(0, 3).includes(';cv'), ';cv to be elsewhere');
  await app.undo();
  await app.until(async () => (await app.codes()).slice(0, 4).join() === ';bye,;cv,;diary,;hi', 'all to be back');

  const change = async (action: string, choice: string, told: string) => {
    await pressLong(app, await app.see(row(';bye')));
    await app.press(await app.see(row(';cv')));
    await app.tap(`${action}: 2 shortcuts`);
    await app.press(await app.see(By.xpath(`//*[@role="radio" and normalize-space(.)=${JSON.stringify(choice)}]`)));
    await app.seeText(told);
  };
  await change('Kind', 'contact', '2 shortcuts: the kind is now “contact”.');
  await change('Expands', 'right away', '2 shortcuts: expands right away.');
  expect(await choicesIn(app, ';cv', ['Kind', 'Expands', 'Language'])).toEqual(['contact', 'right away', 'any']);
  await change('Language', 'German', '2 shortcuts: changed the language.');
  await app.undo();
  await app.until(
    async () => (await choicesIn(app, ';cv', ['Expands', 'Language'])).join() === 'right away,any',
    'the language to be taken back, and it alone',
  );
  await pressLong(app, await app.see(row(';bye')));
  await app.tap('All 64');
  await app.seeText('64 selected');
  await app.tap('Delete: 64 shortcuts');
  await app.seeText('What do you type again and again?');
  await app.undo();
  await app.until(async () => (await app.codes())[0] === ';bye', 'all to be back');
  await app.seeText('Synced');
});

journey(
  'many chosen with Shift and by keyboard; the list in other orders and through filters',
  'demo',
  async ({ open }) => {
    const app = await open('computer');
    await app.seeText('Synced');
    const { driver } = app.browser;
    const click = async (code: string, key: string) =>
      driver
        .actions()
        .keyDown(key)
        .click(await app.see(row(code)))
        .keyUp(key)
        .perform();
    await click(';cv', Key.CONTROL);
    await click(';mail', Key.SHIFT);
    await see(app, ';cv,;diary,;hi,;mail');
    await click(';hi', Key.CONTROL);
    await see(app, ';cv,;diary,;mail');
    await app.type(Key.ESCAPE);
    await app.until(async () => (await driver.findElements(By.css('[role=checkbox]'))).length === 0, 'choosing to end');

    // By keyboard alone: down the rows, along with Shift, all of them, none.
    await (await app.field('Search your shortcuts')).click();
    // Tab stops where one was; from there to the first.
    await app.tabTo(';hi, Safe: ');
    await app.type(Key.HOME);
    await app.seeFocus(';bye, Safe: ');
    await app.type(Key.ARROW_DOWN);
    await app.type(Key.SPACE);
    await see(app, ';cv');
    await driver
      .actions()
      .keyDown(Key.SHIFT)
      .sendKeys(Key.ARROW_DOWN)
      .pause(100)
      .sendKeys(Key.ARROW_DOWN)
      .keyUp(Key.SHIFT)
      .perform();
    await see(app, ';cv,;diary,;hi');
    await app.withControl('a');
    await app.seeText('64 selected');
    await app.type(Key.ESCAPE);
    await app.type(Key.END);
    await app.until(
      async () =>
        (await driver.executeScript<string>(`return document.activeElement.getAttribute('aria-label') ?? ''`)).length >
        0,
      'the last row to have the focus',
    );

    // Orders.
    const sortBy = async (name: string) => {
      await app.tap('Order and filters');
      await app.press(await app.see(By.xpath(`//*[@role="radio" and normalize-space(.)="${name}"]`)));
      await app.press(
        await app.see(
          By.xpath(
            '//*[@role="button"][starts-with(normalize-space(.), "Show ") and not(normalize-space(.)="Show me")]',
          ),
        ),
      );
    };
    await app.make(';zz9', 'Aardvark');
    await sortBy('Newest first');
    await app.until(async () => (await app.codes())[0] === ';zz9', 'the newest first');
    await sortBy('By text');
    await app.until(async () => (await app.codes()).includes(';zz9'), 'signs, then Aardvark');
    await sortBy('By code');
    await app.expectAccessible();
    // Used once, it is the most used.
    await app.goTo('Write');
    await app.intoPad();
    await app.type(';zz9 ');
    await app.padHolds('Aardvark ');
    await app.goTo('Shortcuts');
    await sortBy('Most used first');
    await app.until(async () => (await app.codes())[0] === ';zz9', 'the most used first');

    // Filters, each shown and taken off by itself.
    await app.tap('Order and filters');
    await app.tick('Never used');
    await app.choose('Kind', 'symbol');
    await app.expectAccessible();
    await app.press(
      await app.see(
        By.xpath('//*[@role="button"][starts-with(normalize-space(.), "Show ") and not(normalize-space(.)="Show me")]'),
      ),
    );
    await app.until(
      async () => !(await app.codes()).includes(';zz9') && (await app.codes()).includes(';sh'),
      'only signs',
    );
    await app.expectAccessible();
    await app.tap('Remove filter: symbol');
    await app.seeText('64 shortcuts');
    await app.tap('Remove filter: never used');
    await app.until(async () => (await app.codes()).includes(';zz9'), 'all');
    await sortBy('By set');

    // A slip in a word, letters swapped, the name of a set.
    for (const [query, code] of [
      ['humdity', ';hum'],
      ['mintues', ';ten'],
      ['travleling', ';cv'],
    ] as const) {
      await app.fill('Search your shortcuts', query);
      await app.until(async () => (await app.codes()).includes(code), `${query} to find ${code}`);
    }
  },
  200_000,
);

journey(
  'sets: made, called otherwise, put in order, merged, emptied and deleted, each taken back',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/sets');
    const sets = () =>
      app.driverScript<string>(
        `return [...document.querySelectorAll('[role=button][aria-label^="More about "]')].map((more) => more.getAttribute('aria-label').slice(11)).filter((name) => name !== 'the list').join()`,
      );
    const are = (wanted: string, what: string) =>
      app
        .until(async () => (await sets()).startsWith(wanted), what)
        .catch(async (error: Error) => {
          throw new Error(`${error.message}; there are ${await sets()}`);
        });
    const more = async (set: string, label: string) => {
      await app.tap(`More about ${set}`);
      await app.press(
        await app.see(By.xpath(`//*[@role="button"][starts-with(normalize-space(.), ${JSON.stringify(label)})]`)),
      );
    };
    await are('Us,Visits,Places', 'the sets of the demo');
    await app.expectAccessible();
    await app.insert(await app.field('New set'), 'Autumn');
    await app.tap('Add');
    await app.seeText('Added the set Autumn.');
    await app.tap('More about Us');
    await app.fill('Name', 'The two of us');
    await app.expectAccessible();
    await app.tap('Rename');
    await are('The two of us,Visits', 'the new name');
    await app.undo();
    await are('Us,Visits', 'the old name');
    await app.tap('Move Visits up');
    await are('Visits,Us', 'Visits first');
    await app.undo();
    await are('Us,Visits', 'Us first');

    await more('Us', 'Merge into another set');
    await app.press(await app.see(By.xpath('//*[@role="radio" and normalize-space(.)="Autumn"]')));
    await app.seeText('Merged Us into Autumn.');
    await are('Visits,Places', 'Us to be gone');
    await app.undo();
    await are('Us,Visits', 'Us to be back');
    await more('Us', 'Take 12 shortcuts out of the set');
    await app.seeText('Emptied Us.');
    await app.seeText('0 shortcuts');
    await app.undo();
    await more('Us', 'Delete the set, keep');
    await are('Visits', 'Us to be gone');
    await app.undo();
    await are('Us,Visits', 'Us to be back');
    await more('Us', 'Delete the set and 12 shortcuts');
    await app.seeText('Deleted Us and 12 shortcuts.');
    await app.undo();
    await are('Us,Visits', 'Us to be back');
    await app.tap('Back to the list');
    await app.until(async () => (await app.codes()).slice(0, 3).join() === ';bye,;cv,;diary', 'all as it was');
  },
);

journey('ten thousand brought in, and scrolled without a gap', 'empty', async ({ open }) => {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-many-'));
  try {
    const app = await open('phone', '/import');
    const path = join(folder, 'many.csv');
    writeFileSync(
      path,
      `code,expansion\n${Array.from({ length: 10_000 }, (_, index) => `;n${String(index).padStart(5, '0')},Text number ${index} ${'and more of it '.repeat(index % 5)}`).join('\n')}\n`,
    );
    await (await app.browser.driver.findElement(By.css('[role=main] input[type=file]'))).sendKeys(path);
    await app.seeText('New 10,000');
    await app.tap('Import 10,000');
    await app.seeText('Imported 10,000 new shortcuts.');
    await app.until(async () => (await app.codes())[0] === ';n00000', 'the first');
    // At every step of a long way down, and back, rows stand at each height of the view in the frame in which it moved.
    const gaps = await app.browser.driver.executeAsyncScript<string[]>(`
      const done = arguments[0];
      const view = document.querySelector('[role=group][aria-label="Shortcuts"]');
      const gaps = [];
      const holes = () => {
        const { top, bottom, left } = view.getBoundingClientRect();
        const found = [];
        for (let y = top + 4; y < bottom - 4; y += 30) {
          if (!document.elementsFromPoint(left + 60, y).some((element) => element.closest('[data-index]'))) found.push(Math.round(view.scrollTop) + ' ' + Math.round(y - top));
        }
        return found;
      };
      let step = 0;
      const next = () => {
        gaps.push(...holes());
        step += 1;
        if (step === 90) return done(gaps);
        if (step % 10 === 9) return leap();
        view.scrollTop += step % 7 === 6 ? -900 : 260;
        requestAnimationFrame(() => requestAnimationFrame(next));
      };
      // After a leap of a thousand rows they may take a frame more to be there, and are there then.
      const leap = () => {
        view.scrollTop += 60_000;
        const settle = () => (holes().length === 0 ? next() : requestAnimationFrame(settle));
        requestAnimationFrame(settle);
      };
      next();`);
    expect(gaps).toEqual([]);
    await app.until(async () => (await app.codes()).some((code) => code > ';n06000'), 'the list to be far down');
    await app.fill('Search your shortcuts', 'number 9876');
    await app.until(async () => (await app.codes()).includes(';n09876'), 'one of the ten thousand');
    await app.expectAccessible();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
