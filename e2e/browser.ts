/** Chromium as a person's device: its own profile, a size, a touch screen or none. */
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join } from 'node:path';

import { Builder } from 'selenium-webdriver';
import * as chrome from 'selenium-webdriver/chrome';

export type Device = 'phone' | 'computer';
export type Scheme = 'light' | 'dark';

const FLAGS = [
  '--headless=new',
  // The address bar's own pages take a second to start.
  '--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup,DisableLoadExtensionCommandLineSwitch',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--disable-dev-shm-usage',
  '--no-first-run',
  '--no-default-browser-check',
  '--disable-default-apps',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
/** The names that a browser here can find: this machine. */
const HERE = 'MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost';

export function programPath(name: string): string {
  const folder = (process.env.PATH ?? '').split(delimiter).find((path) => existsSync(join(path, name)));
  if (!folder) throw new Error(`${name} is not installed`);
  return join(folder, name);
}

/** How a browser is started. */
export interface Start {
  /** That of one that was there before, as after a restart; a fresh one unless given. */
  readonly profile?: string;
  /** On another machine, where a driver waits at an address, and names are found by other rules. */
  readonly elsewhere?: { readonly driver: string; readonly names: string };
  /** The folder of an extension that it has. */
  readonly extension?: string;
}

export class Browser {
  /** What moves the clock of pages. */
  private clockScript: string | null = null;

  private constructor(
    readonly driver: chrome.Driver,
    readonly device: Device,
    private readonly profile: string,
  ) {}

  static async start(device: Device, { profile, elsewhere, extension }: Start = {}): Promise<Browser> {
    const folder = profile ?? mkdtempSync(join(tmpdir(), 'yellow-latch-browser-'));
    const options = new chrome.Options();
    options.setChromeBinaryPath(programPath('chromium'));
    options.addArguments(...FLAGS, `--host-resolver-rules=${elsewhere?.names ?? HERE}`, `--user-data-dir=${folder}`);
    if (extension !== undefined) {
      options.addArguments(`--load-extension=${extension}`, `--disable-extensions-except=${extension}`);
      // Else a folder that was loaded is gone when it is loaded anew.
      options.setUserPreferences({ 'extensions.ui.developer_mode': true });
    }
    if (device === 'phone') {
      options.setMobileEmulation({
        deviceMetrics: { width: 390, height: 844, pixelRatio: 2, touch: true, mobile: true },
      } as never);
    } else {
      options.addArguments('--window-size=1280,800');
    }
    const builder = new Builder().forBrowser('chrome').setChromeOptions(options);
    if (elsewhere) builder.usingServer(elsewhere.driver);
    else builder.setChromeService(new chrome.ServiceBuilder(programPath('chromedriver')));
    const driver = (await builder.build()) as chrome.Driver;
    const browser = new Browser(driver, device, folder);
    if (device === 'computer') {
      await browser.command('Emulation.setDeviceMetricsOverride', {
        width: 1280,
        height: 800,
        deviceScaleFactor: 1,
        mobile: false,
      });
    }
    await driver.manage().setTimeouts({ script: 60_000 });
    return browser;
  }

  /** A DevTools command. */
  async command<T = unknown>(name: string, parameters: object = {}): Promise<T> {
    return (await this.driver.sendAndGetDevToolsCommand(name, parameters)) as T;
  }

  /** Lets the page read and write the clipboard, or forbids reading it. */
  async clipboard(setting: 'granted' | 'denied'): Promise<void> {
    for (const name of ['clipboard-read', 'clipboard-write']) {
      await this.command('Browser.setPermission', {
        permission: { name },
        setting: name === 'clipboard-write' ? 'granted' : setting,
      });
    }
  }

  /** Pages that are opened from now on have a clock that is so many days ahead. */
  async moveClock(days: number): Promise<void> {
    if (this.clockScript)
      await this.command('Page.removeScriptToEvaluateOnNewDocument', { identifier: this.clockScript });
    const source = `{
      const Real = Date;
      const now = () => Real.now() + ${days * 24 * 60 * 60 * 1_000};
      globalThis.Date = class extends Real {
        constructor(...given) { super(...(given.length === 0 ? [now()] : given)); }
        static now() { return now(); }
      };
    }`;
    const { identifier } = await this.command<{ identifier: string }>('Page.addScriptToEvaluateOnNewDocument', {
      source,
    });
    this.clockScript = identifier;
  }

  async scheme(scheme: Scheme): Promise<void> {
    const features = [{ name: 'prefers-color-scheme', value: scheme }];
    await this.command('Emulation.setEmulatedMedia', { features });
  }

  async picture(): Promise<Buffer> {
    return Buffer.from(await this.driver.takeScreenshot(), 'base64');
  }

  /** Keeps picture, page and log of a failure in a folder that git ignores. */
  async keepFailure(name: string): Promise<void> {
    const folder = join(__dirname, 'failures');
    mkdirSync(folder, { recursive: true });
    const file = join(folder, `${name.replace(/[^a-z0-9]+/gi, '-')}-${this.device}`);
    writeFileSync(`${file}.png`, await this.picture());
    writeFileSync(`${file}.html`, await this.driver.getPageSource());
    const log = await this.driver.manage().logs().get('browser');
    writeFileSync(`${file}.log`, log.map(({ message }) => message).join('\n'));
  }

  /** Quits but leaves the profile; resolves to it. */
  async restartable(): Promise<string> {
    await this.driver.quit();
    return this.profile;
  }

  async end(): Promise<void> {
    await this.driver.quit();
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}
