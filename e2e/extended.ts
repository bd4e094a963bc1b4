/** A browser with our extension, in pages that others wrote; driven by keys and clicks, as a person does it. */
import { join } from 'node:path';

import { EXTENSION_ORIGIN } from '@yellow-latch/core/sync';
import { By, Key, until } from 'selenium-webdriver';

import { Browser } from './browser';

export const EXTENSION = join(__dirname, '../packages/extension/dist/yellow-latch');

/** A page, worker or frame of the browser, as DevTools tell of it. */
interface Target {
  readonly targetId: string;
  readonly type: string;
  readonly url: string;
}

/** What a person waits for at most, in ms, before they call it broken. */
const PATIENCE = 30_000;

const HAS_LAYER = "return document.querySelector('html > div[popover=manual]') !== null";
const HAS_FOCUS_IN_LAYER = "return document.activeElement?.getAttribute('popover') === 'manual'";

export class Extended {
  static readonly origin = EXTENSION_ORIGIN;

  private constructor(readonly browser: Browser) {}

  static async start(): Promise<Extended> {
    const browser = await Browser.start('computer', { extension: EXTENSION });
    await browser.clipboard('granted');
    const extended = new Extended(browser);
    await extended.closeGreeting();
    return extended;
  }

  /** Just added, the extension opens its options in a tab of their own, which hides this one. */
  private async closeGreeting(): Promise<void> {
    await this.until('the options', async () => {
      const { targetInfos } = await this.browser.command<{ targetInfos: Target[] }>('Target.getTargets');
      const pages = targetInfos.filter(({ type }) => type === 'page');
      const greeting = pages.find(({ url }) => url.startsWith(EXTENSION_ORIGIN));
      if (greeting && pages.length > 1)
        await this.browser.command('Target.closeTarget', { targetId: greeting.targetId });
      return greeting !== undefined;
    });
  }

  get driver() {
    return this.browser.driver;
  }

  /** Opens a page of the extension itself. */
  async openOwn(page: string): Promise<void> {
    await this.driver.get(`${EXTENSION_ORIGIN}/${page}`);
    await this.driver.wait(until.elementLocated(By.css('main')), PATIENCE);
  }

  /** Joins a list from the options, with a code or by an open door. */
  async join(address: string, code = ''): Promise<void> {
    await this.openOwn('options.html');
    await this.driver.findElement(By.id('address')).sendKeys(address);
    if (code !== '') await this.driver.findElement(By.id('code')).sendKeys(code);
    await this.press('Get my list');
    await this.see('Synced');
  }

  async press(name: string): Promise<void> {
    await this.driver.wait(until.elementLocated(By.xpath(`//button[normalize-space()="${name}"]`)), PATIENCE).click();
  }

  async see(text: string): Promise<void> {
    await this.until(`the text “${text}”`, async () => (await this.words()).includes(text));
  }

  async words(): Promise<string> {
    return this.driver.executeScript<string>('return document.body.innerText');
  }

  /** Opens a page with a field and puts the focus into it as a person does. */
  async openField(url: string): Promise<void> {
    await this.driver.get(url);
    await this.focus();
  }

  /** Opens a page with a frame in it, and clicks into the field of that. */
  async openFrame(url: string): Promise<void> {
    await this.driver.get(url);
    await this.driver.switchTo().frame(0);
    await this.focus();
  }

  async focus(): Promise<void> {
    const isHidden = await this.driver.executeScript<boolean>(
      'return window.focusField?.() ?? window.focusField !== undefined',
    );
    if (isHidden) return;
    await this.driver.wait(until.elementLocated(By.css('[contenteditable], input, textarea')), PATIENCE).click();
  }

  /** Types key by key. */
  async type(keys: string): Promise<void> {
    for (const key of keys) await this.driver.actions().sendKeys(key).perform();
  }

  /** Types all at once, as fast as the browser takes it. */
  async typeFast(keys: string): Promise<void> {
    await this.driver.actions().sendKeys(keys).perform();
  }

  async chord(modifier: string, key: string): Promise<void> {
    await this.driver.actions().keyDown(modifier).sendKeys(key).keyUp(modifier).perform();
  }

  async clear(): Promise<void> {
    await this.chord(Key.CONTROL, 'a');
    await this.type(Key.DELETE);
  }

  /** The text as the page or its editor holds it. */
  async text(): Promise<string> {
    return (await this.driver.executeScript<string>('return window.textOf()')).replaceAll('\u00a0', ' ');
  }

  /** Waits until the page holds a text. */
  async holds(wanted: string | RegExp, within = PATIENCE): Promise<void> {
    let held = '';
    await this.until(
      `the text ${String(wanted)}`,
      async () => {
        held = await this.text();
        return typeof wanted === 'string' ? held === wanted : wanted.test(held);
      },
      within,
    ).catch((error: Error) => {
      throw new Error(`${error.message}; it holds ${JSON.stringify(held.slice(0, 300))}`);
    });
  }

  /** Types a code, again and again in an empty field, until it expands: how a person notices that it does. Resolves with the ms it took. */
  async untilExpands(code: string, wanted: string, within = PATIENCE): Promise<number> {
    const begun = Date.now();
    await this.until(
      `“${code}” to expand`,
      async () => {
        await this.clear();
        await this.type(`${code} `);
        return (await this.text()).trimEnd() === wanted.trimEnd();
      },
      within,
    );
    return Date.now() - begun;
  }

  /** Takes the first suggestion by its keys, as soon as one shows: the page sees no more of it than a layer of ours. */
  async takeSuggestion(): Promise<void> {
    await this.seeSuggestion();
    await this.chord(Key.ALT, Key.ARROW_DOWN);
  }

  /** Types the beginning of a code, again and again in an empty field, until something is suggested. */
  async untilSuggests(begun: string): Promise<void> {
    await this.until(`a suggestion for “${begun}”`, async () => {
      await this.clear();
      await this.type(begun);
      return this.driver.wait(() => this.driver.executeScript<boolean>(HAS_LAYER), 1_000).catch(() => false);
    });
  }

  async seeSuggestion(): Promise<void> {
    await this.until('a suggestion', () => this.driver.executeScript<boolean>(HAS_LAYER));
  }

  /** Fills in the panel that asks for blanks, which has the focus when it shows, and takes it with Enter. */
  async typeIntoPanel(...values: readonly string[]): Promise<void> {
    // A page sees no more of the panel than that a layer of ours has the focus.
    await this.until('the panel', () => this.driver.executeScript<boolean>(HAS_FOCUS_IN_LAYER));
    for (const [index, value] of values.entries()) {
      if (index > 0) await this.type(Key.TAB);
      await this.type(value);
    }
    await this.type(Key.ENTER);
  }

  /** Types a key as soon as the caret has been put where it goes on. */
  async typeWhen(key: string, wanted: string): Promise<void> {
    // The place is set in the task after the text: one round to the page and back is later.
    await this.driver.executeAsyncScript('setTimeout(arguments[0], 0)');
    await this.type(key);
    await this.holds(wanted);
  }

  async paste(text: string): Promise<void> {
    await this.driver.executeAsyncScript(
      'navigator.clipboard.writeText(arguments[0]).then(arguments[1], arguments[1])',
      text,
    );
    await this.chord(Key.CONTROL, 'v');
  }

  /** Waits until the page, and what is in it, have done what the last key made them do: two tasks and two frames. */
  async settle(): Promise<void> {
    await this.driver.executeAsyncScript(
      'const done = arguments[0]; setTimeout(() => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 0))), 0)',
    );
  }

  /** Fills in a field of our own pages, by its label. */
  async fillIn(label: string, text: string): Promise<void> {
    const field = this.driver.findElement(
      By.xpath(`//label[normalize-space(span)="${label}"]//*[self::input or self::textarea]`),
    );
    await field.clear();
    await field.sendKeys(text);
  }

  /** Opens a part of our own pages that is closed. */
  async unfold(name: string): Promise<void> {
    await this.driver.findElement(By.xpath(`//summary[.="${name}"]`)).click();
  }

  async isChosen(name: string): Promise<boolean> {
    return this.driver
      .findElement(By.xpath(`//label[normalize-space(span)="${name}"]/input`))
      .isSelected()
      .catch(() => false);
  }

  /** Chooses an option, a radio button or a tick of our own pages, by its name. */
  async choose(name: string): Promise<void> {
    await this.driver.findElement(By.xpath(`//option[.="${name}"] | //label[normalize-space(span)="${name}"]`)).click();
  }

  /** Opens the panel in a tab of its own, over the page of this tab; what is returned closes it and goes back there. */
  async openPanel(): Promise<() => Promise<void>> {
    const page = await this.driver.getWindowHandle();
    const url = await this.driver.getCurrentUrl();
    await this.driver.switchTo().newWindow('tab');
    await this.openOwn('options.html');
    const tab = await this.driver.executeAsyncScript<number>(
      'chrome.tabs.query({ url: arguments[0] }).then(([tab]) => arguments[1](tab.id))',
      url.split('#')[0],
    );
    await this.openOwn(`panel.html?tab=${tab}`);
    return async () => {
      // What was picked goes in, and the panel closes by itself.
      await this.driver.close().catch(() => undefined);
      await this.driver.switchTo().window(page);
    };
  }

  /** The background is ended, as the browser does when nothing asks it, and starts with the next message. */
  async restartBackground(): Promise<void> {
    await this.browser.command('ServiceWorker.enable');
    await this.browser.command('ServiceWorker.stopAllWorkers');
  }

  /** The extension is loaded anew, as when it is updated, with the page of this tab open. */
  async reloadExtension(): Promise<void> {
    const page = await this.driver.getWindowHandle();
    await this.driver.switchTo().newWindow('tab');
    const own = await this.driver.getWindowHandle();
    await this.openOwn('options.html');
    await this.driver.executeScript('setTimeout(() => chrome.runtime.reload(), 0)');
    await this.until('its pages to close', async () => !(await this.driver.getAllWindowHandles()).includes(own));
    await this.driver.switchTo().window(page);
  }

  async until(what: string, holds: () => Promise<boolean>, within = PATIENCE): Promise<void> {
    await this.driver.wait(holds, within, `waited in vain: ${what}`);
  }

  async end(): Promise<void> {
    await this.browser.end();
  }
}
