import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { Stand } from '../e2e/stand';
import { brownText } from './brown';
import { madeUpList } from './lists';
import { round, type Figure } from './measure';

// In the page: a worker of the app, asked by Comlink's messages, and meanwhile the longest time
// between two turns of the page.
const IN_PAGE = `
  const [shortcuts, text, done] = arguments;
  const worker = new Worker('/audit-worker.js');
  const answers = new Map();
  worker.onmessage = ({ data }) => answers.get(data.id)?.(data.value);
  let asked = 0;
  const ask = (name, ...values) => new Promise((resolve) => {
    const id = String(asked += 1);
    answers.set(id, resolve);
    worker.postMessage({ id, type: 'APPLY', path: ['audit', name], argumentList: values.map((value) => ({ type: 'RAW', value })) });
  });
  let last = performance.now();
  let longest = 0;
  let isOver = false;
  const turn = () => {
    const now = performance.now();
    longest = Math.max(longest, now - last);
    last = now;
    if (!isOver) setTimeout(turn, 0);
  };
  (async () => {
    const bytes = new TextEncoder().encode(text);
    await ask('run', { list: { sets: [], shortcuts }, devices: ['phone-list'], languages: ['en'] });
    last = performance.now();
    turn();
    const start = performance.now();
    const report = await ask('ownText', bytes, { type: 'text' }, 'phone-list');
    isOver = true;
    done({ time: performance.now() - start, longest, words: report.report.words });
  })().catch((error) => done({ error: String(error) }));
`;

/** Own text read by the app's worker in a browser, and how long the page stood still meanwhile. */
export async function ownTextPage(): Promise<Figure[]> {
  const stand = await Stand.start('demo');
  const browser = await Browser.start('phone');
  try {
    await new App(browser, stand.address).open();
    const shortcuts = madeUpList(10_000).map(({ id, code, expansion }) => ({
      id,
      code,
      content: { expansion, template: false, format: 'plain' },
      kind: 'message',
      setId: null,
    }));
    const some = brownText(5_000_000, __filename);
    const text = some.repeat(Math.ceil(5_000_000 / some.length)).slice(0, 5_000_000);
    const result = await browser.driver.executeAsyncScript<{
      time: number;
      longest: number;
      words: number;
      error?: string;
    }>(IN_PAGE, shortcuts, text);
    if (result.error !== undefined || !(result.words > 800_000)) throw new Error(result.error ?? 'too few words');
    return [
      {
        name: 'own-text-page',
        what: `longest pause of the page while its worker reads 5 MB of text for 10,000 codes (${round(result.time)} ms in all, in Chromium)`,
        ours: round(result.longest),
        peer: '50 ms',
        ratio: round(result.longest / 50),
        unit: 'ms',
        bar: '≤ 50 ms',
        holds: result.longest <= 50,
      },
    ];
  } finally {
    await browser.end();
    await stand.end();
  }
}
