import { By } from 'selenium-webdriver';

import type { App } from '../app';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

const codeIn = async (app: App) => (await app.field('You type')).getAttribute('value');

/** Moves the slider as a person's hand does, to one of its stops. */
async function slideTo(app: App, stop: number): Promise<void> {
  const slider = await app.see(By.css('input[type=range]'));
  await app.browser.driver.executeScript(
    `const [slider, value] = arguments;
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(slider, value);
     slider.dispatchEvent(new Event('input', { bubbles: true }));`,
    slider,
    String(stop),
  );
}

/** The plan is made when its button is there and no work is under way. */
async function planned(app: App, isOther: (label: string) => boolean): Promise<string> {
  let label = '';
  // On a busy machine a whole list takes its time.
  await app.browser.driver.wait(
    async () => {
      label = await app.driverScript<string>(
        `const button = [...document.querySelectorAll('[role=button]')].find((one) => /^Change \\d+ codes?$/.test(one.innerText.trim()));
         return button?.innerText.trim() ?? ''`,
      );
      return label !== '' && isOther(label);
    },
    60_000,
    'waited in vain: a plan',
  );
  return label;
}

journey(
  'a copied link becomes a shortcut with a code of its own in two taps, and expands',
  'demo',
  async ({ open }) => {
    const app = await open('phone');
    await app.seeText('Synced');
    await app.copyToClipboard('https://corrieandvale.example/prices');
    let taps = 0;
    const tap = async (name: string) => {
      taps += 1;
      await app.tap(name);
    };
    await tap('Paste');
    // Nobody waits for the code: Save does.
    await tap('Save');
    expect(taps).toBe(2);
    console.log(`from a copied link to a shortcut that works: ${taps} taps`);
    await app.seeText('works in Write.');
    const [code] = (await app.codes()).filter((one) => one.startsWith(';pri'));
    expect(code).toBeDefined();
    await app.goTo('Write');
    await app.intoPad();
    await app.type(`${code} `);
    await app.until(
      async () =>
        (await (await app.field('Your text')).getAttribute('value')) === 'https://corrieandvale.example/prices ',
      'the link',
    );
  },
);

journey(
  'a code stands in the field before one thinks of one; others are a tap away; typing replaces it',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/new');
    await app.insert(await app.field('You get'), 'Kind regards from the workshop');
    await app.until(async () => (await codeIn(app)) !== '', 'a code');
    const first = await codeIn(app);
    await app.seeText('No word, link or other code gets in the way.');
    const others = await app.browser.driver.findElements(By.css('[role=group][aria-label="Or use"] [role=button]'));
    expect(others.length).toBeGreaterThanOrEqual(3);
    expect(others.length).toBeLessThanOrEqual(4);
    await app.expectAccessible();
    // Another text, another code.
    await app.fill('You get', 'mara.vale@home.example');
    await app.until(async () => (await codeIn(app)) !== first, 'another code');
    const taken = (await app.pressFirst(By.css('[role=group][aria-label="Or use"] [role=button]')))!;
    await app.until(async () => taken.startsWith(`Use ${await codeIn(app)}:`), 'the code that was taken');
    // What one chose stays, whatever becomes of the text.
    await app.fill('You get', 'Something else altogether');
    const chosen = await codeIn(app);
    await app.seeText('Saves');
    expect(await codeIn(app)).toBe(chosen);
  },
);

journey(
  'coming to the field chooses what is proposed: typing replaces it, and no other comes',
  'demo',
  async ({ open }) => {
    const app = await open('computer', '/new');
    await app.insert(await app.field('You get'), 'Kind regards from the workshop');
    await app.until(async () => (await codeIn(app)) !== '', 'a code');
    await app.tabTo('You type', 4);
    await app.type(';zz');
    expect(await codeIn(app)).toBe(';zz');
    await app.seeText('No word, link or other code gets in the way.');
    expect(await codeIn(app)).toBe(';zz');
  },
);

journey(
  'all codes are planned at both ends of the slider, changed, and back as they were',
  'demo',
  async ({ open }) => {
    const app = await open('phone', '/check');
    await app.seeText('Checked at');
    const other = await OtherDevice.join(app.address);
    const before = await other.shortcuts();
    await app.tap('Plan');
    const middle = await planned(app, () => true);
    await slideTo(app, 4);
    const afresh = await planned(app, (label) => label !== middle);
    expect(Number(afresh.match(/\d+/u))).toBeGreaterThan(30);
    await slideTo(app, 0);
    const kept = await planned(app, (label) => label !== afresh && label !== middle);
    expect(Number(kept.match(/\d+/u))).toBeLessThan(10);
    await app.expectAccessible();
    // One is told to stay: the plan is made again without it.
    await app.press(await app.see(By.css('[role=checkbox][aria-label^="“so” becomes"]')));
    await app.see(By.css('[role=checkbox][aria-label^="“so” stays"]'));
    await planned(app, (label) => label !== kept);
    await app.press(await app.see(By.css('[role=checkbox][aria-label^="“so” stays"]')));
    const again = await planned(app, (label) => label === kept);
    await app.tap(again);
    await app.seeText('Changed ');
    // The check finds no clash among them.
    await app.seeText('Checked at');
    await app.until(
      async () => !(await app.problems()).some((problem) => problem.includes('never expands')),
      'no clash',
    );
    await app.undo();
    await app.seeText('Undone.');
    await app.until(async () => (await other.shortcuts()) === before, 'the list as it was');
  },
);

journey('after many came in at once, a plan for all codes is offered', 'empty', async ({ open }) => {
  const app = await open('phone', '/import');
  const rows = Array.from({ length: 12 }, (_, at) => `;verylong${at}code\tNote ${at} for the day, with kind regards`);
  await app.insert(await app.field('Or paste a list'), rows.join('\n'));
  await app.tap('Preview');
  await app.tap('Import 12');
  await app.seeText('12 imported. Do the codes fit together?');
  await app.expectAccessible();
  await app.tap('Plan my codes');
  // Long as they are, at one use a week each no change is worth learning a new code.
  await app.seeText('Your codes are fine as they are.');
  await slideTo(app, 4);
  await planned(app, () => true);
  await app.seeText('You save');
});
