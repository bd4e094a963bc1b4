import { App } from './app';
import { Browser } from './browser';
import { Stand } from './stand';
const HOOK = `
  globalThis.hops = []; const now = () => performance.timeOrigin + performance.now(); const hop = (w) => hops.push([now(), w]);
  const f = fetch; globalThis.fetch = async (...a) => { const u = String(a[0]?.url ?? a[0]); hop('fetch ' + u.slice(-30)); const r = await f(...a); hop('answer ' + u.slice(-30)); return r; };
  const t = IDBDatabase.prototype.transaction; IDBDatabase.prototype.transaction = function (s, m, o) { const x = t.call(this, s, m, o); if (m === 'readwrite') { hop('tx ' + s + ' ' + (o?.durability ?? '')); x.addEventListener('complete', () => hop('tx done ' + s)); } return x; };
  const E = EventSource; globalThis.EventSource = class extends E { addEventListener(n, l) { super.addEventListener(n, n === 'page' ? (e) => { hop('page event'); l(e); hop('page event handled'); } : l); } };
  globalThis.watch = (text) => { const o = new MutationObserver(() => { if (document.body.innerText.includes(text)) { o.disconnect(); hop('drawn in DOM'); requestAnimationFrame(() => { hop('frame'); requestAnimationFrame(() => hop('next frame')); }); } }); o.observe(document.body, { childList: true, subtree: true, characterData: true }); };`;
async function main() {
  const stand = await Stand.start('demo');
  const [one, other] = [await Browser.start('computer'), await Browser.start('phone')];
  for (const b of [one, other]) await b.command('Page.addScriptToEvaluateOnNewDocument', { source: HOOK });
  const [writer, reader] = [await new App(one, stand.address).open(), await new App(other, stand.address).open()];
  for (const app of [writer, reader]) await app.seeText('Synced');
  await writer.openShortcut(';ten');
  await new Promise(r => setTimeout(r, 3000));
  await other.command('Profiler.enable'); await other.command('Profiler.setSamplingInterval', { interval: 200 });
  for (let edit = 0; edit < 8; edit += 1) {
    const text = `Edit number ${edit} of the same.`;
    await writer.fill('You get', text);
    await reader.driverScript(`hops.length = 0; watch('${text}'); return true`);
    if (edit === 7) await other.command('Profiler.start');
    const save = await writer.control('Save');
    const pressed = await one.driver.executeScript<number>('hops.length = 0; const at = performance.timeOrigin + performance.now(); arguments[0].click(); hops.push([performance.timeOrigin + performance.now(), "click handled"]); return at', save);
    await reader.until(async () => reader.driverScript(`return hops.some(([, w]) => w === 'next frame')`), 'x');
    const all = [...(await writer.driverScript<any[]>('return hops')).map(([t, w]) => [t - pressed, 'W ' + w]), ...(await reader.driverScript<any[]>('return hops')).map(([t, w]) => [t - pressed, '    R ' + w])].sort((a: any, b: any) => a[0] - b[0]);
    if (edit > 6) console.log(all.map(([t, w]) => (t as number).toFixed(1).padStart(7) + ' ' + w).join('\n') + '\n');
  }
  const { profile } = await other.command<any>('Profiler.stop'); require('node:fs').writeFileSync('/tmp/hop.cpuprofile', JSON.stringify(profile));
  await one.end(); await other.end(); await stand.end();
}
void main();
