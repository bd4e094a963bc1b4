/**
 * What somebody waits for who opens the app: its scripts, something of ours on the screen, the first row. Beside an empty
 * app of the same packages (bench/empty), served in the same way: cold, on a line of 10 Mbit/s, and kept on the device.
 */
import { join } from 'node:path';

import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { Stand } from '../e2e/stand';
import { median, PAIRS, ratioOf, round, type Figure } from './measure';

const EMPTY = join(__dirname, 'empty/dist');
const SLOWED = 4;
/** A line as phones have it: round trip in ms, bytes a second. */
const LINE = { offline: false, latency: 40, downloadThroughput: 1_250_000, uploadThroughput: 1_250_000 };

/** Notes the frames in which the first row stands: in the picture of the last visit or in the app, and in the app. */
const NOTE_ROW = `
  const ROW = '[role=main] [role=group] [role=link]';
  const look = () => {
    const isInApp = document.querySelector(ROW) !== null;
    if (isInApp || document.querySelector('#shell')?.shadowRoot?.querySelector(ROW)) globalThis.rowAt ??= performance.now();
    if (isInApp) globalThis.appRowAt = performance.now();
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);`;

interface Opened {
  /** From the navigation to the first frame with anything in it, to the one with the first row, and to the app's own, in ms. */
  readonly paint: number;
  readonly row: number;
  readonly app: number;
  /** Scripts before the page was idle first, compressed, in bytes. */
  readonly script: number;
}

async function open(browser: Browser, address: string, hasRows: boolean): Promise<Opened> {
  // Who opens it leaves no page: to take one down would be measured with it.
  await browser.driver.get('about:blank');
  await browser.driver.get(address);
  const shown = hasRows ? 'globalThis.appRowAt' : `performance.getEntriesByName('first-contentful-paint')[0]`;
  await browser.driver.wait(async () => browser.driver.executeScript<boolean>(`return ${shown} !== undefined`), 60_000);
  const { script } = await new App(browser, address).fetchedBytes();
  const [paint, row, app] = await browser.driver.executeScript<[number, number, number]>(
    `return [performance.getEntriesByName('first-contentful-paint')[0].startTime, globalThis.rowAt, globalThis.appRowAt]`,
  );
  return { paint, row, app, script };
}

async function slowed(browser: Browser): Promise<void> {
  await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: NOTE_ROW });
  await browser.command('Emulation.setCPUThrottlingRate', { rate: SLOWED });
}

/** Opened by a browser that never was there. */
async function openCold(address: string, hasRows: boolean): Promise<Opened> {
  const browser = await Browser.start('phone');
  try {
    await slowed(browser);
    await browser.command('Network.enable');
    await browser.command('Network.emulateNetworkConditions', LINE);
    return await open(browser, address, hasRows);
  } finally {
    await browser.end();
  }
}

/** One after the other, `PAIRS` times: our app, the empty one. */
async function inTurn(ours: () => Promise<Opened>, empty: () => Promise<Opened>): Promise<[Opened[], Opened[]]> {
  const [own, beside]: [Opened[], Opened[]] = [[], []];
  for (let pair = 0; pair < PAIRS; pair += 1) {
    own.push(await ours());
    beside.push(await empty());
  }
  return [own, beside];
}

export async function firstScreen(): Promise<Figure[]> {
  const [stand, bare] = [await Stand.start('demo'), await Stand.start('closed', EMPTY)];
  try {
    const [own, empty] = await inTurn(
      () => openCold(stand.address, true),
      () => openCold(bare.address, false),
    );
    const bytes = own[0]!.script;
    return [
      {
        name: 'first-screen',
        what: 'scripts fetched before the list stands, compressed',
        ours: round(bytes / 1_000),
        peer: `${round(empty[0]!.script / 1_000)} kB, an empty app of the same packages`,
        ratio: round(bytes / empty[0]!.script),
        unit: 'kB',
        bar: '≤ 500 kB',
        holds: bytes <= 500_000,
      },
      ...painted('first-paint', `a cold cache, 10 Mbit/s, CPU slowed ${SLOWED} times`, { own, empty, atMost: 1.2 }),
    ];
  } finally {
    await stand.end();
    await bare.end();
  }
}

/** Opened again, kept on the device: by its service worker, and the empty one by the browser’s cache. */
export async function firstPaintWarm(): Promise<Figure[]> {
  const [stand, bare] = [await Stand.start('demo'), await Stand.start('closed', EMPTY)];
  const [one, other] = [await Browser.start('phone'), await Browser.start('phone')];
  try {
    const app = await new App(one, stand.address).open();
    await app.isKeptOnDevice();
    await app.until(
      () => app.driverScript(`return localStorage.getItem('yellow-latch.picture') !== null`),
      'a picture',
    );
    await slowed(one);
    await slowed(other);
    // Twice, so that each has its scripts as the browser keeps them once they are used.
    for (let visit = 0; visit < 2; visit += 1) {
      await open(one, stand.address, true);
      await open(other, bare.address, false);
    }
    const [own, empty] = await inTurn(
      () => open(one, stand.address, true),
      () => open(other, bare.address, false),
    );
    return painted('first-paint-warm', `kept on the device, CPU slowed ${SLOWED} times`, { own, empty, atMost: 1.1 });
  } finally {
    await one.end();
    await other.end();
    await stand.end();
    await bare.end();
  }
}

interface Painted {
  readonly own: readonly Opened[];
  readonly empty: readonly Opened[];
  /** What the first row may take, in first paints of the empty app. */
  readonly atMost: number;
}

function painted(name: string, how: string, { own, empty, atMost }: Painted): Figure[] {
  const beside = empty.map(({ paint }) => paint);
  const parts = [
    { which: 'paint', name, what: 'something of ours on the screen', bar: 0.15 },
    { which: 'row', name: `${name}-row`, what: 'the first row on the screen', bar: atMost },
    { which: 'app', name: `${name}-app`, what: 'the first row that answers', bar: null },
  ] as const;
  return parts.map(({ which, name: figure, what, bar }) => {
    const times = own.map((opened) => opened[which]);
    const { ratio, spread } = ratioOf(times, beside);
    return {
      name: figure,
      what: `${what}: ${how}`,
      ours: round(median(times)),
      peer: `${round(median(beside))} ms, the first thing of an empty app of the same packages`,
      ratio,
      spread,
      unit: 'ms',
      bar: bar === null ? 'none' : `≤ ${bar}`,
      holds: bar === null || ratio <= bar,
    };
  });
}
