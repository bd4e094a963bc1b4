/** What every journey begins and ends with. */
import { App } from './app';
import { Browser, type Device } from './browser';
import { Stand, type StandList } from './stand';

export interface Journey {
  stand: Stand;
  /** Opens the app in a browser of its own, by another address if one is given. */
  open(device: Device, path?: string, address?: string): Promise<App>;
}

let isAppKept = false;

/**
 * The journeys of this file need the app kept on the device by its service worker. The others go without: to keep all its files anew in
 * every browser takes longer than many a journey.
 */
export function keepApp(): void {
  isAppKept = true;
}

/**
 * A test on a fresh server; at its end all that it started is ended, failures are kept. `longest`: in
 * ms, where it takes longer than others.
 */
export function journey(
  name: string,
  list: StandList,
  walk: (journey: Journey) => Promise<void>,
  longest?: number,
): void {
  test(
    name,
    async () => {
      const stand = await Stand.start(list);
      const apps: App[] = [];
      try {
        await walk({
          stand,
          async open(device, path, address = stand.address) {
            const browser = await Browser.start(device);
            const app = new App(browser, address);
            apps.push(app);
            await browser.clipboard('granted');
            if (!isAppKept)
              await browser.command('Page.addScriptToEvaluateOnNewDocument', {
                source: 'delete Navigator.prototype.serviceWorker',
              });
            return app.open(path);
          },
        });
        for (const app of apps) expect(await app.loggedErrors()).toEqual([]);
      } catch (error) {
        for (const { browser } of apps) await browser.keepFailure(name).catch(() => {});
        throw error;
      } finally {
        for (const { browser } of apps) await browser.end().catch(() => {});
        await stand.end();
      }
    },
    longest,
  );
}
