/** Keys pressed in a page at a person's pace, and the time from each to the frame that shows it. */
import type { Browser } from '../e2e/browser';

/** No person is quicker than this from key to key, in ms: 200 words a minute. */
const PACE = 60;
const TEXT = 'The felt on the hammers is worn, ;w and the pins hold well; so I would leave it for now. ';

/** Times every key from its event to the frame after it, in the page. */
export const TIME_KEYS = `
  globalThis.keyTimes = [];
  const frames = new MessageChannel();
  const waiting = [];
  frames.port1.onmessage = () => { const now = performance.now(); for (const at of waiting.splice(0)) keyTimes.push(now - at); };
  addEventListener('keydown', ({ timeStamp }) => {
    requestAnimationFrame(() => { waiting.push(timeStamp); frames.port2.postMessage(null); });
  }, true);`;

/** Types the text into what has the focus, in a page that times its keys; resolves with the ms of each. */
export async function timesOfKeys(browser: Browser): Promise<number[]> {
  const { driver } = browser;
  await driver.executeScript('keyTimes.length = 0');
  for (const character of TEXT) {
    await new Promise((resolve) => setTimeout(resolve, PACE));
    const key = { key: character, text: character, unmodifiedText: character };
    await browser.command('Input.dispatchKeyEvent', { type: 'keyDown', ...key });
    await browser.command('Input.dispatchKeyEvent', { type: 'keyUp', ...key });
  }
  const isShown = async () => (await driver.executeScript<number>('return keyTimes.length')) === TEXT.length;
  await driver.wait(isShown, 30_000, 'waited in vain: every key to be shown');
  return driver.executeScript<number[]>('return keyTimes');
}
