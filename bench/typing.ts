/**
 * Typing in Write beside a bare text area on the same page, in Chromium slowed four times: from the moment a key
 * reaches the page to the frame that shows it.
 */
import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Stand } from '../e2e/stand';
import { TIME_KEYS, timesOfKeys } from './keys';
import { madeUpList } from './lists';
import { paired, PAIRS, percentile, type Figure } from './measure';

const SHORTCUTS = 10_000;
const SLOWED = 4;

export async function typing(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const browser = await Browser.start('computer');
  try {
    const list = madeUpList(SHORTCUTS, 1);
    await (await OtherDevice.join(stand.address)).make(...list.map(({ code, expansion }): Pair => [code, expansion]));
    const app = await new App(browser, stand.address).open();
    await browser.driver.wait(async () => (await app.text()).includes('Synced'), 120_000);
    await app.goTo('Write');
    await app.driverScript(`${TIME_KEYS}
      globalThis.bare = Object.assign(document.createElement('textarea'), { id: 'bare' });
      // As large and as set as the page itself: what it takes to paint is the same.
      const pad = document.querySelector('textarea.write-pad');
      const { left, top, width, height } = pad.getBoundingClientRect();
      const { fontFamily, fontSize, lineHeight } = getComputedStyle(pad);
      Object.assign(bare.style, { position: 'fixed', left: left + 'px', top: top + 'px', width: width + 'px', height: height + 'px', fontFamily, fontSize, lineHeight, padding: '16px', boxSizing: 'border-box', border: 0, display: 'none' });
      document.body.append(bare); return true`);
    await browser.command('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const times: Record<'ours' | 'bare', number[]> = { ours: [], bare: [] };
    // In turns, so that what else the machine does hits both; the first turn warms both up.
    for (let turn = 0; turn <= PAIRS; turn += 1) {
      for (const [name, css] of [
        ['ours', 'textarea.write-pad'],
        ['bare', '#bare'],
      ] as const) {
        await app.driverScript(
          `bare.style.display = '${name}' === 'bare' ? 'block' : 'none'; document.querySelector('${css}').focus(); return true`,
        );
        const taken = await timesOfKeys(browser);
        if (turn > 0) times[name].push(percentile(taken, 95));
      }
    }
    return [
      paired({
        name: 'typing',
        what: `a key in Write with ${SHORTCUTS.toLocaleString('en')} shortcuts, CPU slowed ${SLOWED} times, to the frame that shows it, p95 of a turn`,
        ours: times.ours,
        beside: times.bare,
        peer: 'a bare text area on the same page',
        atMost: 1.15,
        limit: 'the bare text area: 1',
      }),
    ];
  } finally {
    await browser.end();
    await stand.end();
  }
}
