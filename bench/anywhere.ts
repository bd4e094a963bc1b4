/** What the extension costs the pages of others: a key, memory, and a page in which nothing is typed. */
import { Browser } from '../e2e/browser';
import { Extended } from '../e2e/extended';
import { FieldSite } from '../e2e/fieldSite';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Stand } from '../e2e/stand';
import { TIME_KEYS, timesOfKeys } from './keys';
import { madeUpList } from './lists';
import { median, percentile, round, type Figure } from './measure';

const SHORTCUTS = 10_000;
const SLOWED = 4;
/** Pairs of turns, with and without; the first warms both up. */
const TURNS = 8;
const MEGABYTE = 1_000_000;

/** Two browsers, one with the extension, which has joined a list of 10,000; both with the focus in a text area. */
async function withBoth(
  measure: (both: { ours: Extended; bare: Browser; site: FieldSite }) => Promise<Figure[]>,
): Promise<Figure[]> {
  const [stand, site] = await Promise.all([
    Stand.start('empty'),
    FieldSite.start({ empty: '<p>Nothing to type into.</p>' }),
  ]);
  const ours = await Extended.start();
  const bare = await Browser.start('computer');
  try {
    const list = madeUpList(SHORTCUTS, 1);
    await (await OtherDevice.join(stand.address)).make(...list.map(({ code, expansion }): Pair => [code, expansion]));
    await (await OtherDevice.join(stand.address)).make([';zzready', 'It is ready.']);
    await ours.join(stand.address);
    await ours.openField(site.at('textarea'));
    await ours.untilExpands(';zzready', 'It is ready.', 60_000);
    await bare.driver.get(site.at('textarea'));
    await bare.driver.executeScript('document.querySelector("textarea").focus()');
    return await measure({ ours, bare, site });
  } finally {
    await ours.end();
    await bare.end();
    await site.stop();
    await stand.end();
  }
}

/** p95 of a key in a text area, with the extension and without, in turns. */
export function fieldKey(): Promise<Figure[]> {
  return withBoth(async ({ ours, bare }) => {
    const times: Record<'ours' | 'bare', number[]> = { ours: [], bare: [] };
    const both = [
      ['ours', ours.browser],
      ['bare', bare],
    ] as const;
    for (const [, browser] of both) {
      await browser.driver.executeScript(TIME_KEYS);
      await browser.command('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    }
    for (let turn = 0; turn < TURNS; turn += 1) {
      for (const [name, browser] of both) {
        await browser.driver.executeScript('document.querySelector("textarea").value = ""');
        const taken = await timesOfKeys(browser);
        if (turn > 0) times[name].push(...taken);
      }
    }
    const [with_, without] = [percentile(times.ours, 95), percentile(times.bare, 95)];
    return [
      {
        name: 'field-key',
        what: `a key in a page’s text area with ${SHORTCUTS.toLocaleString('en')} shortcuts, CPU slowed ${SLOWED} times, to the frame that shows it, p95`,
        ours: round(with_),
        peer: `${round(without)} ms, the same page without the extension`,
        ratio: round(with_ / without),
        unit: 'ms',
        bar: '≤ 1.15 ×',
        holds: with_ / without <= 1.15,
      },
    ];
  });
}

/** Memory of a page with the focus in a field, and the time scripts take in a page without one, beside the same pages without the extension. */
export function fieldCost(): Promise<Figure[]> {
  return withBoth(async ({ ours, bare, site }) => {
    const [heap, bareHeap] = [await heapOf(ours.browser), await heapOf(bare)];
    const times: Record<'ours' | 'bare', number[]> = { ours: [], bare: [] };
    for (let turn = 0; turn < TURNS; turn += 1) {
      for (const [name, browser] of [
        ['ours', ours.browser],
        ['bare', bare],
      ] as const) {
        await browser.driver.get(site.at('empty'));
        if (turn > 0) times[name].push((await metricOf(browser, 'ScriptDuration')) * 1_000);
      }
    }
    const more = (heap - bareHeap) / MEGABYTE;
    const paid = median(times.ours) - median(times.bare);
    return [
      {
        name: 'field-memory',
        what: `memory of a page with the focus in a field, ${SHORTCUTS.toLocaleString('en')} shortcuts`,
        ours: round(heap / MEGABYTE),
        peer: `${round(bareHeap / MEGABYTE)} MB, the same page without the extension`,
        ratio: round(more),
        unit: 'MB',
        bar: '≤ 12 MB more',
        holds: more <= 12,
      },
      {
        name: 'page-without-field',
        what: 'scripts in a page in which nothing has the focus',
        ours: round(median(times.ours)),
        peer: `${round(median(times.bare))} ms, the same page without the extension`,
        ratio: round(paid),
        unit: 'ms',
        bar: '≤ 1 ms more',
        holds: paid <= 1,
      },
    ];
  });
}

async function metricOf(browser: Browser, wanted: string): Promise<number> {
  await browser.command('Performance.enable');
  const { metrics } = await browser.command<{ metrics: { name: string; value: number }[] }>('Performance.getMetrics');
  return metrics.find(({ name }) => name === wanted)!.value;
}

/** What scripts of a page hold, those of the extension among them, in bytes, after what nobody holds any more is gone. */
export async function heapOf(browser: Browser): Promise<number> {
  await browser.command('HeapProfiler.enable');
  await browser.command('HeapProfiler.collectGarbage');
  await browser.command('HeapProfiler.collectGarbage');
  return metricOf(browser, 'JSHeapUsedSize');
}
