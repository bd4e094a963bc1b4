/** A device and its list, in a browser: what is written elsewhere shows, a first copy, opened without a network, away for long. */
import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Proxy } from '../e2e/proxy';
import { Stand } from '../e2e/stand';
import { madeUpList } from './lists';
import { PAIRS, paired, type Figure } from './measure';

const SHORTCUTS = 10_000;
const EDITS = 25;
const AWAY_FOR = 5_000;

const codesOf = (count: number): Pair[] => madeUpList(count).map(({ code, expansion }): Pair => [code, expansion]);

/** Notes when a text is first on the page; to be put in before anything else runs. It reads the text as it lies, since to ask how it is laid out is work of its own. */
const NOTE_WHEN_SEEN = `
  globalThis.seenAt = {};
  globalThis.noteWhenSeen = (name, text) => {
    const look = () => {
      if (seenAt[name] === undefined && document.body?.textContent.includes(text)) seenAt[name] = performance.timeOrigin + performance.now();
      else if (seenAt[name] === undefined) requestAnimationFrame(look);
    };
    look();
  };`;

/** From the press on Save on one device to the frame in which another shows it. */
export async function propagate(): Promise<Figure[]> {
  const stand = await Stand.start('demo');
  const [one, other] = [await Browser.start('computer'), await Browser.start('phone')];
  try {
    await other.command('Page.addScriptToEvaluateOnNewDocument', { source: NOTE_WHEN_SEEN });
    const [writer, reader] = [await new App(one, stand.address).open(), await new App(other, stand.address).open()];
    for (const app of [writer, reader]) await app.seeText('Synced');
    await writer.openShortcut(';ten');
    const times: number[] = [];
    const bare: number[] = [];
    for (let edit = 0; edit < EDITS; edit += 1) {
      const text = `Edit number ${edit} of the same.`;
      await writer.fill('You get', text);
      await reader.driverScript(`noteWhenSeen('${edit}', '${text}'); return true`);
      const save = await writer.control('Save');
      const pressed = await one.driver.executeScript<number>(
        'const at = performance.timeOrigin + performance.now(); arguments[0].click(); return at',
        save,
      );
      await reader.until(
        async () => (await reader.driverScript<number | null>(`return seenAt['${edit}'] ?? null`)) !== null,
        'the edit to show',
      );
      const seen = await reader.driverScript<number>(`return seenAt['${edit}']`);
      const plain = await reader.driverScript<number>(`
        return (async () => {
          const start = performance.now();
          await (await fetch('/api/door')).json();
          await new Promise(requestAnimationFrame);
          return performance.now() - start;
        })()`);
      if (edit < 2) continue;
      times.push(seen - pressed);
      bare.push(plain);
    }
    return [
      paired({
        name: 'propagate',
        what: 'from the press on Save on one device to the frame that shows it on another, both in Chromium',
        ours: times,
        beside: bare,
        peer: 'a bare request and the next frame',
        atMost: 3.5,
        limit: 'two requests, an event and a frame: 2',
      }),
    ];
  } finally {
    await one.end();
    await other.end();
    await stand.end();
  }
}

/** From the first page asked for to the list on the screen, synced: in a browser that had nothing. */
export async function firstPull(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const other = await OtherDevice.join(stand.address);
  try {
    await other.make(...codesOf(SHORTCUTS));
    const times: number[] = [];
    const bare: number[] = [];
    for (let pair = 0; pair < PAIRS; pair += 1) {
      const browser = await Browser.start('phone');
      try {
        await browser.command('Page.addScriptToEvaluateOnNewDocument', {
          source: `${NOTE_WHEN_SEEN} noteWhenSeen('synced', 'Synced');`,
        });
        const app = await new App(browser, stand.address).open();
        await browser.driver.wait(
          async () => (await app.driverScript<number | null>(`return seenAt['synced'] ?? null`)) !== null,
          60_000,
        );
        times.push(
          await app.driverScript<number>(
            `return seenAt['synced'] - performance.timeOrigin - performance.getEntriesByType('resource').find(({ name }) => name.includes('/pages?')).startTime`,
          ),
        );
        bare.push(
          await app.driverScript<number>(`
            return (async () => {
              const base = '/api/d/' + localStorage.getItem('yellow-latch.device') + '/pages?since=';
              const start = performance.now();
              let since = 0;
              for (let more = true; more; ) ({ through: since, more } = await (await fetch(base + since)).json());
              return performance.now() - start;
            })()`),
        );
      } finally {
        await browser.end();
      }
    }
    return [
      paired({
        name: 'first-pull',
        what: `a first copy of ${SHORTCUTS.toLocaleString('en')} shortcuts, kept and on the screen`,
        ours: times,
        beside: bare,
        peer: 'the same bytes fetched and parsed',
        atMost: 2,
        limit: 'the same bytes: 1',
      }),
    ];
  } finally {
    await stand.end();
  }
}

/** A browser with a list of so many that its device keeps, and no server. */
async function keptOffline(shortcuts: number) {
  const stand = await Stand.start('empty');
  const browser = await Browser.start('phone');
  const end = async () => {
    await browser.end();
    await stand.end();
  };
  try {
    if (shortcuts > 0) await (await OtherDevice.join(stand.address)).make(...codesOf(shortcuts));
    const app = await new App(browser, stand.address).open();
    await browser.driver.wait(async () => (await app.text()).includes('Synced'), 60_000);
    await app.isKeptOnDevice();
    await stand.stop();
    const text = shortcuts > 0 ? 'expansion ' : 'What do you type again and again?';
    await browser.command('Page.addScriptToEvaluateOnNewDocument', {
      source: `${NOTE_WHEN_SEEN} noteWhenSeen('list', ${JSON.stringify(text)});`,
    });
    const open = async () => {
      await browser.driver.get('about:blank');
      await browser.driver.get(stand.address);
      await browser.driver.wait(
        async () => (await app.driverScript<number | null>('return seenAt.list ?? null')) !== null,
        60_000,
      );
      return app.driverScript<number>('return seenAt.list - performance.timeOrigin');
    };
    // Once, so that it has its scripts as the browser keeps them once they are used.
    await open();
    return { open, end };
  } catch (error) {
    await end();
    throw error;
  }
}

/** From the navigation to the first rows on the screen, with no server. */
export async function openOffline(): Promise<Figure[]> {
  const full = await keptOffline(SHORTCUTS);
  const empty = await keptOffline(0);
  try {
    const times: number[] = [];
    const beside: number[] = [];
    for (let pair = 0; pair < PAIRS; pair += 1) {
      times.push(await full.open());
      beside.push(await empty.open());
    }
    return [
      paired({
        name: 'open-offline',
        what: `the app opened on ${SHORTCUTS.toLocaleString('en')} shortcuts with no server, to the first rows`,
        ours: times,
        beside,
        peer: 'the app on an empty list',
        atMost: 1.7,
        limit: 'the empty app: 1',
      }),
    ];
  } finally {
    await full.end();
    await empty.end();
  }
}

/** A device that was away while others made five thousand changes, from the first page it asks for until it is synced. */
export async function catchUp(): Promise<Figure[]> {
  const times: number[] = [];
  const beside: number[] = [];
  for (let pair = 0; pair < PAIRS; pair += 1) {
    const { time, bare } = await comeBack();
    times.push(time);
    beside.push(bare);
  }
  return [
    paired({
      name: 'catch-up',
      what: `a device away for ${AWAY_FOR.toLocaleString('en')} changes, from its first question until it is synced`,
      ours: times,
      beside,
      peer: 'the same bytes fetched and parsed',
      atMost: 2.2,
      limit: 'the same bytes: 1',
    }),
  ];
}

async function comeBack(): Promise<{ time: number; bare: number }> {
  const stand = await Stand.start('empty');
  const proxy = await Proxy.start(stand.address);
  const browser = await Browser.start('phone');
  try {
    const other = await OtherDevice.join(stand.address);
    await other.make(...codesOf(1_000));
    const app = await new App(browser, proxy.address).open();
    await browser.driver.wait(async () => (await app.text()).includes('Synced'), 60_000);
    proxy.be('refused');
    await app.seeText('Offline');
    await other.make(...codesOf(AWAY_FOR).map(([code, expansion]): Pair => [`${code}2`, expansion]));
    const since = await app.driverScript<number>(`performance.clearResourceTimings(); return performance.now()`);
    await app.driverScript(`${NOTE_WHEN_SEEN} noteWhenSeen('synced', 'Synced'); return true`);
    proxy.be('good');
    await app.driverScript(`dispatchEvent(new Event('online')); return true`);
    await browser.driver.wait(
      async () => (await app.driverScript<number | null>(`return seenAt['synced'] ?? null`)) !== null,
      60_000,
    );
    const time = await app.driverScript<number>(
      `return seenAt['synced'] - performance.timeOrigin - performance.getEntriesByType('resource').filter(({ name, startTime, responseStatus }) => name.includes('/pages?') && startTime >= ${since} && responseStatus === 200)[0].startTime`,
    );
    const bare = await app.driverScript<number>(`
      return (async () => {
        const base = '/api/d/' + localStorage.getItem('yellow-latch.device') + '/pages?since=';
        const start = performance.now();
        let since = 1000;
        for (let more = true; more; ) ({ through: since, more } = await (await fetch(base + since)).json());
        return performance.now() - start;
      })()`);
    return { time, bare };
  } finally {
    await browser.end();
    await proxy.end();
    await stand.end();
  }
}
