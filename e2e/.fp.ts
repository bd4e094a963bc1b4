import { writeFileSync } from 'node:fs';
import { App } from './app';
import { Browser } from './browser';
import { OtherDevice } from './otherDevice';
import { Stand } from './stand';
import { madeUpList } from '../bench/lists';
async function main() {
  const stand = await Stand.start('empty');
  await (await OtherDevice.join(stand.address)).make(...madeUpList(10000).map(({ code, expansion }): [string,string] => [code, expansion]));
  for (let i = 0; i < 3; i++) {
    const browser = await Browser.start('phone');
    await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: `globalThis.ev = []; const hop = (w) => ev.push([performance.now(), w]);
      const f = fetch; globalThis.fetch = async (...a) => { const u = String(a[0]?.url ?? a[0]); hop('fetch ' + u.slice(-40)); const r = await f(...a); hop('answer ' + u.slice(-40)); return r; };
      const t = IDBDatabase.prototype.transaction; IDBDatabase.prototype.transaction = function (s, m, o) { const x = t.call(this, s, m, o); if (m === 'readwrite') { hop('tx ' + s + ' ' + (o?.durability ?? '')); x.addEventListener('complete', () => hop('tx done ' + s)); } return x; };
      const look = () => { if (document.querySelector('[role=main] [role=group] [role=link]')) { hop('row'); globalThis.row = 1; } else requestAnimationFrame(look); }; requestAnimationFrame(look);
      const o = new MutationObserver(() => { if (document.body?.innerText.includes('Synced') && !globalThis.syn) { globalThis.syn = 1; hop('synced'); } }); o.observe(document, { childList: true, subtree: true, characterData: true });` });
    await browser.command('Profiler.enable'); await browser.command('Profiler.setSamplingInterval', { interval: 500 });
    if (i === 2) await browser.command('Profiler.start');
    const app = await new App(browser, stand.address).open();
    await browser.driver.wait(async () => app.driverScript<boolean>('return globalThis.syn === 1'), 60000);
    if (i === 2) { const { profile } = await browser.command<any>('Profiler.stop'); writeFileSync('/tmp/fp.cpuprofile', JSON.stringify(profile)); }
    const ev: any[] = await app.driverScript('return ev');
    const t0 = ev.find(([, w]) => w.includes('/pages?'))[0];
    if (i) console.log(ev.map(([t, w]) => (t - t0).toFixed(0).padStart(6) + ' ' + w).join('\n') + '\n');
    await browser.end();
  }
  await stand.end();
}
void main();
