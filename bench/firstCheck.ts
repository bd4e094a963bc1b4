/** The first check of a short list on a page that has just opened, beside the words it needs, fetched and parsed alone. */
import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Stand } from '../e2e/stand';
import { madeUpList } from './lists';
import { paired, PAIRS, type Figure } from './measure';

const SHORTCUTS = 64;

/** Notes the frame in which the first row says its verdict: its name has a comma then, and no text of this list has one. */
const NOTE_VERDICT = `
  const look = () => {
    if (document.querySelector('[role=main] [role=group] [role=link][aria-label*=", "]')) globalThis.judgedAt = performance.now();
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);`;

export async function firstCheck(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  try {
    const list = madeUpList(SHORTCUTS).map(({ code, expansion }): Pair => [code, expansion]);
    await (await OtherDevice.join(stand.address)).make(...list);
    const ours: number[] = [];
    const beside: number[] = [];
    for (let pair = 0; pair < PAIRS; pair += 1) {
      const browser = await Browser.start('phone');
      try {
        await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: NOTE_VERDICT });
        const app = await new App(browser, stand.address).open();
        await browser.driver.wait(
          async () => app.driverScript<boolean>('return globalThis.judgedAt !== undefined'),
          60_000,
        );
        ours.push(
          await app.driverScript<number>(`return judgedAt - performance.getEntriesByName('idle', 'mark')[0].startTime`),
        );
        beside.push(
          await browser.driver.executeAsyncScript<number>(`
            const done = arguments[0];
            const start = performance.now();
            Promise.all(['en', 'look-alikes'].map(async (name) => (await fetch('/language/' + name + '.json', { cache: 'no-store' })).json()))
              .then(() => done(performance.now() - start));`),
        );
      } finally {
        await browser.end();
      }
    }
    return [
      paired({
        name: 'first-check',
        what: `from a page that is idle for the first time until ${SHORTCUTS} shortcuts are checked`,
        ours,
        beside,
        peer: 'the words fetched and parsed alone',
        atMost: 2,
        limit: 'the words alone: 1',
      }),
    ];
  } finally {
    await stand.end();
  }
}
