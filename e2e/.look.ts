// throwaway
import { writeFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { App } from './app';
import { Browser } from './browser';
import { Stand } from './stand';

const [, , device, script] = process.argv as unknown as [string, string, 'phone' | 'computer', string];
async function main() {
  const stand = await Stand.start('demo');
  const browser = await Browser.start(device);
  if (process.env.SCHEME) await browser.scheme(process.env.SCHEME as never);
  const app = new App(browser, stand.address);
  const shot = async (name: string) => writeFileSync(`/tmp/look-${name}.png`, await browser.picture());
  const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
  const clock = async (days: number) => {
    await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: `{ const now = Date.now; const D = Date; const by = ${days} * 86400000; globalThis.Date = class extends D { constructor(...a) { if (a.length === 0) super(now() + by); else super(...a); } static now() { return now() + by; } }; }` });
  };
  try {
    await app.open('/');
    const fn = new Function('app', 'shot', 'wait', 'clock', 'By', 'browser', `return (async () => { ${require('fs').readFileSync(script, 'utf8')} })()`);
    await fn(app, shot, wait, clock, By, browser);
  } catch (error) {
    await shot('failed');
    console.error(String(error).slice(0, 600));
  } finally {
    await browser.end();
    await stand.end();
  }
}
void main();
