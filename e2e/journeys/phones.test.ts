/** A phone on the same Wi-Fi: trusts the computer, joins over https, keeps the app and stays in sync. */
import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { App } from '../app';
import { Browser } from '../browser';
import { canHaveHosts, PhoneHost } from '../phoneHost';
import { scan } from '../scan';
import { Stand } from '../stand';

const NAME = 'workshop-latch.local';

/** Another machine is made here only by root; elsewhere `npm test` says that this was left out. */
const onAnotherHost = canHaveHosts() ? test : test.skip;

onAnotherHost('a phone with an address of its own trusts, joins over https, works offline and syncs', async () => {
  const host = PhoneHost.make();
  const site = join(__dirname, '../../packages/app/dist');
  const stand = await Stand.start('closed', site, { YELLOW_LATCH_PHONES: '1', YELLOW_LATCH_NAME: NAME });
  const browsers: Browser[] = [];
  const opened = (browser: Browser) => {
    browsers.push(browser);
    return browser;
  };
  try {
    const computer = await new App(opened(await Browser.start('computer')), stand.address).open();
    await computer.tap('Start a new list');
    await computer.make(';first', 'The first of a new list.');
    await computer.seeText('Synced');
    await computer.goTo('Devices');
    await computer.tap('Add a device');
    await computer.seeText('Your phone must show the same digits');
    await computer.expectAccessible();
    const page = (await scan(computer))!;
    const trustAddress = `http://${host.ours}:${new URL(page).port}`;
    expect(new URL(page).protocol).toBe('http:');
    const digits = /([0-9A-F]{8} ){7}[0-9A-F]{8}/u.exec(await computer.text())![0];

    // The phone does not trust the computer: the page says so, and shows the digits that the computer shows.
    const stranger = new App(opened(await host.open({ [NAME]: host.ours })), trustAddress);
    await stranger.open();
    await stranger.seeText('Not trusted yet.');
    await stranger.expectAccessible();
    expect((await stranger.text()).replaceAll(/\s+/gu, ' ')).toContain(digits);
    await stranger.seeText('you can’t install the app, use it offline or copy a text with one tap');
    const href = await stranger.browser.driver.executeScript<string>(
      `return [...document.links].find(({ textContent }) => textContent === 'Get the certificate').href`,
    );
    const handedOut = new X509Certificate(Buffer.from(await (await fetch(href)).arrayBuffer()));
    expect(handedOut.fingerprint256.replaceAll(':', '')).toBe(digits.replaceAll(' ', ''));
    await stranger.browser.end();
    browsers.pop();

    // Its owner trusts it. The same page then opens the app, under the name that stays when addresses change.
    const certificate = join(stand.data, 'authority/authority.pem');
    expect(readFileSync(certificate, 'utf8')).toContain('BEGIN CERTIFICATE');
    host.trust(certificate);
    const phone = new App(opened(await host.open({ [NAME]: host.ours })), trustAddress);
    await phone.browser.driver.get(trustAddress);
    await phone.seeText('I have a list on another device');
    const at = new URL(await phone.browser.driver.getCurrentUrl());
    expect([at.protocol, at.hostname, at.pathname]).toEqual(['https:', NAME, '/join']);
    await phone.browser.clipboard('granted');

    await computer.tap('Next: the code');
    await computer.seeText('Works for one device');
    // The phone found the computer by its name, which stays when addresses change: the code goes there.
    await computer.seeText(`https://${NAME}:`);
    const invitation = new URL((await scan(computer))!);
    expect([invitation.protocol, invitation.hostname]).toEqual(['https:', NAME]);
    await computer.seeText('If that doesn’t open: https://');
    await computer.expectAccessible();
    await phone.fill('Code', await computer.shownCode());
    await phone.fill('Name of this device', 'Kitchen phone');
    await phone.tap('Get my list');
    await phone.seeText('The first of a new list.');
    await computer.seeText('Kitchen phone has joined');

    // All that browsers keep from pages they do not trust.
    expect(await phone.driverScript('return isSecureContext')).toBe(true);
    await phone.isKeptOnDevice();
    await phone.driverScript(`return navigator.clipboard.writeText('carried')`);
    expect(await phone.driverScript('return navigator.clipboard.readText()')).toBe('carried');

    // Both ways in sync, and offline what is there is there.
    await phone.make(';second', 'From the phone.');
    await computer.goTo('Shortcuts');
    await computer.seeText('From the phone.');
    await stand.stop();
    await phone.reload();
    await phone.seeText('From the phone.');
    await phone.make(';third', 'Made offline.');
    await stand.start();
    await computer.reload();
    await computer.seeText('Made offline.');
  } catch (error) {
    for (const [index, browser] of browsers.entries()) await browser.keepFailure(`phones ${index}`).catch(() => {});
    throw error;
  } finally {
    for (const browser of browsers) await browser.end().catch(() => {});
    await stand.end();
    host.end();
  }
});
