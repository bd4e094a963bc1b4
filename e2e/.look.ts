import { writeFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { App } from './app';
import { Browser } from './browser';
import { Stand } from './stand';
const [device, scheme, ...steps] = process.argv.slice(2) as [any, any, ...string[]];
async function main() {
  const stand = await Stand.start('demo');
  const browser = await Browser.start(device);
  try {
    await browser.clipboard('granted');
    await browser.scheme(scheme);
    const app = await new App(browser, stand.address).open('/check');
    await app.seeText('Proved at');
    for (const step of steps) {
      const [what, ...rest] = step.split('='); const arg = rest.join('=');
      try {
      if (what === 'open') await app.open(arg);
      if (what === 'tap') await app.tap(arg);
      if (what === 'see') await app.seeText(arg);
      if (what === 'shortcut') await app.openShortcut(arg);
      if (what === 'place') await app.goTo(arg as any);
      if (what === 'scroll') await app.driverScript(`const e=[...document.querySelectorAll('div')].filter(d=>d.scrollHeight>d.clientHeight+50&&getComputedStyle(d).overflowY!=='visible'&&d.offsetParent).sort((a,b)=>b.clientHeight-a.clientHeight)[${arg.split(',')[1] ?? 0}]; e.scrollTop=${arg.split(',')[0]}`);
      if (what === 'wait') await new Promise((r) => setTimeout(r, Number(arg)));
      if (what === 'fill') { const [l, t] = arg.split('|'); await app.fill(l, t); }
      if (what === 'axe') await app.expectAccessible();
      if (what === 'text') console.log(await app.text());
      if (what === 'shot') { await browser.driver.executeScript('return document.fonts.ready.then(() => true)'); writeFileSync(`/tmp/shot-${arg}.png`, await browser.picture()); }
      } catch (e) { console.log('FAILED', step, String(e).slice(0, 1500)); writeFileSync(`/tmp/shot-fail.png`, await browser.picture()); console.log((await app.text()).slice(0, 800)); break; }
    }
    console.log(await app.loggedErrors());
  } finally { await browser.end(); await stand.end(); }
}
(globalThis as any).expect = (v: any) => ({ toEqual: (w: any) => { if (JSON.stringify(v) !== JSON.stringify(w)) throw new Error(JSON.stringify(v)); } });
void main();
