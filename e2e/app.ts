/** The app as a person uses it: what they see by its words, what they do by its controls. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

import { By, Key, until, type WebElement } from 'selenium-webdriver';

import type { Browser } from './browser';

const axeSource = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');
const PATIENCE = 30_000;
/** How often it is looked whether something has come, in ms. */
const POLL = 40;
/** What WebDriver says when the page asked has gone, or what it was asked about. */
const GONE = /StaleElementReference|document unloaded|NoSuchExecutionContext|aborted by navigation|Cannot find context/;
/** For scripts: `find` is the first element of a selector or path that is shown. */
const FIND = `
  const all = (using, value) => {
    if (using === 'css selector') return [...document.querySelectorAll(value)];
    const found = document.evaluate(value, document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
    return Array.from({ length: found.snapshotLength }, (_, at) => found.snapshotItem(at));
  };
  const isShown = (element) =>
    element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
    [element, ...element.querySelectorAll('*')].some((one) => {
      const { width, height } = one.getBoundingClientRect();
      return width > 0 && height > 0;
    });
  const find = (using, value) => all(using, value).find(isShown) ?? null;`;
/** What a browser logs when the server is gone, or does not know the device any more. */
const EXPECTED_ERRORS =
  /ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_INCOMPLETE_CHUNKED|ERR_CONNECTION_RESET|ERR_SOCKET_NOT_CONNECTED|ERR_CONTENT_LENGTH_MISMATCH|status of 401|response has a MIME type \("text\/plain"\) that is not "text\/event-stream"|api\/joins - Failed to load resource|error occurred when fetching the script/;

type Place = 'Shortcuts' | 'Write' | 'Check' | 'Devices' | 'Learn';

export class App {
  /** Taps and key presses so far, as a person would count them. */
  taps = 0;

  constructor(
    readonly browser: Browser,
    readonly address: string,
  ) {}

  private get driver() {
    return this.browser.driver;
  }

  async open(path = '/'): Promise<this> {
    await this.driver.get(this.address + path);
    await this.see(By.css('[role=heading], h1'));
    return this;
  }

  async reload(): Promise<void> {
    await this.driver.navigate().refresh();
    await this.see(By.css('[role=heading], h1'));
  }

  // ── what is on the screen ─────────────────────────────────────────────────────────────────

  /** Waits until something is shown, and returns it. */
  see(what: By): Promise<WebElement> {
    const { using, value } = what as unknown as { using: string; value: string };
    return this.waitFor<WebElement>(`find(${JSON.stringify(using)}, ${JSON.stringify(value)})`, String(what));
  }

  /** Waits until `condition` holds. */
  async until(condition: () => Promise<boolean>, what: string): Promise<void> {
    await this.driver.wait(condition, PATIENCE, `waited in vain: ${what}`, POLL);
  }

  /**
   * Waits until an expression in the page gives something, and returns it. One short question at a time: WebDriver's own
   * ways to find an element and to say whether it is shown cost more than what is waited for.
   */
  private waitFor<T>(expression: string, what: string): Promise<T> {
    const look = () =>
      this.driver.executeScript<T | null>(`${FIND} return ${expression}`).catch((error: unknown) => {
        // A page that goes away takes the question with it; the next one is asked again.
        if (error instanceof Error && GONE.test(error.name + error.message)) return null;
        throw error;
      });
    return this.driver.wait(look, PATIENCE, `waited in vain: ${what}`, POLL) as Promise<T>;
  }

  /** A control by what a screen reader calls it. */
  control(name: string): Promise<WebElement> {
    const quoted = JSON.stringify(name);
    return this.see(
      By.xpath(
        `//*[@role="button" or @role="link" or @role="radio" or self::button or self::a]` +
          `[@aria-label=${quoted} or (not(@aria-label) and normalize-space(.)=${quoted})]`,
      ),
    );
  }

  field(label: string): Promise<WebElement> {
    return this.see(
      By.xpath(
        `//*[self::input or self::textarea][@aria-label="${label}" or ` +
          `@aria-labelledby=//*[normalize-space(.)="${label}"]/@id]`,
      ),
    );
  }

  /** Everything that is shown, as text. */
  async text(): Promise<string> {
    return this.driver.executeScript('return document.body.innerText');
  }

  async seeText(text: string): Promise<void> {
    await this.waitFor(`document.body.innerText.includes(${JSON.stringify(text)})`, `the text “${text}”`);
  }

  async seeNoText(text: string): Promise<void> {
    await this.waitFor(`!document.body.innerText.includes(${JSON.stringify(text)})`, `“${text}” to be gone`);
  }

  /** The codes in the list, in their order, read off the rows drawn. */
  codes(): Promise<string[]> {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=img][aria-label^="Code "]')]
        .filter((plate) => plate.closest('[role=group][aria-label="Shortcuts"] [role=link]'))
        .map((plate) => ({ code: plate.getAttribute('aria-label').slice(5), at: plate.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ code }) => code)`,
    );
  }

  /** Waits until the app is kept on the device: the service worker is in charge, and holds all its files. */
  async isKeptOnDevice(): Promise<void> {
    await this.until(
      () =>
        this.driverScript(
          `return navigator.serviceWorker.ready.then(() => navigator.serviceWorker.controller?.state === 'activated')`,
        ),
      'the app to be kept on the device',
    );
  }

  /** What a script in the page gives. */
  driverScript<T = boolean>(script: string): Promise<T> {
    return this.driver.executeScript<T>(script);
  }

  // ── what a person does ────────────────────────────────────────────────────────────────────

  async tap(name: string): Promise<void> {
    await this.press(await this.control(name));
  }

  async press(element: WebElement): Promise<void> {
    this.taps += 1;
    await element.click();
  }

  /**
   * Presses the first of what is found so, and gives its name. What was drawn anew between finding and pressing is found
   * again: a finger doesn't know the difference.
   */
  async pressFirst(what: By): Promise<string | null> {
    for (;;) {
      const element = await this.see(what);
      try {
        const name = await element.getAttribute('aria-label');
        await this.press(element);
        return name;
      } catch (error) {
        if (!(error instanceof Error && GONE.test(error.name + error.message))) throw error;
      }
    }
  }

  /** Taps the row of a shortcut, scrolling the list until it is there. */
  async openShortcut(code: string): Promise<void> {
    // With its verdict, once it is checked.
    const row = By.css([':', ','].map((end) => `[role=link][aria-label^=${JSON.stringify(`${code}${end} `)}]`).join());
    await this.until(async () => {
      if ((await this.driver.findElements(row)).length > 0) return true;
      await this.driver.executeScript(
        `const list = document.querySelector('[role=group][aria-label="Shortcuts"]');
         if (list) list.scrollTop = list.scrollTop + list.clientHeight >= list.scrollHeight - 1 ? 0 : list.scrollTop + list.clientHeight;`,
      );
      return false;
    }, `the row of ${code}`);
    await this.press(await this.see(row));
  }

  /** Types on the keyboard into whatever has the focus. */
  async type(text: string): Promise<void> {
    this.taps += Array.from(text).length;
    await this.driver.actions().sendKeys(text).perform();
  }

  /** A key pressed while Control is held. */
  async withControl(key: string): Promise<void> {
    this.taps += 2;
    await this.driver.actions().keyDown(Key.CONTROL).sendKeys(key).keyUp(Key.CONTROL).perform();
  }

  /** Puts a text in place of what a field holds. */
  async fill(label: string, text: string): Promise<void> {
    const field = await this.field(label);
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
    if (text !== '') await this.browser.command('Input.insertText', { text });
  }

  /** Makes a shortcut by hand, from the bar to Save. */
  async make(code: string, expansion: string): Promise<void> {
    await this.tap('New shortcut…');
    await this.insert(await this.field('You get'), expansion);
    await this.insert(await this.field('You type'), code);
    await this.tap('Save');
    await this.seeText(`“${code.trim()}” works in Write.`);
  }

  /** Puts text, of any script, into a field as an input method does when it commits. */
  async insert(field: WebElement, text: string): Promise<void> {
    await field.click();
    // A proposal in it is chosen a turn after the click: nobody types before that.
    await this.driver.executeAsyncScript('setTimeout(arguments[0])');
    await this.browser.command('Input.insertText', { text });
  }

  async copyToClipboard(text: string): Promise<void> {
    await this.driver.executeAsyncScript(
      'const done = arguments[1]; navigator.clipboard.writeText(arguments[0]).then(() => done(), done)',
      text,
    );
  }

  /** What the clipboard holds of a type; '' where it holds none. */
  clipboardAs(type: 'text/html' | 'text/plain'): Promise<string> {
    return this.driver.executeAsyncScript(
      `const [type, done] = arguments;
       navigator.clipboard.read().then(async ([item]) => done(item.types.includes(type) ? await (await item.getType(type)).text() : ''), String)`,
      type,
    );
  }

  clipboard(): Promise<string> {
    return this.driver.executeAsyncScript(
      'const done = arguments[0]; navigator.clipboard.readText().then(done, String)',
    );
  }

  /** Chooses what goes into the text of a shortcut, where the cursor stands. */
  async insertPart(name: string): Promise<void> {
    await this.tap('Insert…');
    await this.press(
      await this.see(By.css(`[aria-modal=true] [role=button][aria-label^=${JSON.stringify(`${name}: `)}]`)),
    );
  }

  /** Opens the part of a shortcut that is closed until it is wanted. */
  async openDetails(): Promise<void> {
    await this.unfold('Kind, set and more');
  }

  /** Opens or closes a part of a page by what its heading begins with. */
  async unfold(name: string): Promise<void> {
    const head = () => this.see(By.css(`[role=button][aria-expanded][aria-label^=${JSON.stringify(name)}]`));
    const state = async () => (await head()).getAttribute('aria-expanded');
    const before = await state();
    // What comes above it moves it: where the press missed it is pressed again.
    await this.until(async () => {
      if ((await state()) !== before) return true;
      const at = await head();
      await this.atRest(at);
      await this.press(at);
      return false;
    }, `${name} to open or close`);
  }

  /** What has the focus, as a screen reader calls it; ‘body’: nothing has. */
  focused(): Promise<string> {
    return this.driver.executeScript(
      `const at = document.activeElement;
       if (!at || at === document.body) return 'body';
       const label = document.getElementById(at.getAttribute('aria-labelledby') ?? '')?.innerText;
       return at.getAttribute('aria-label') ?? label ?? at.innerText ?? ''`,
    );
  }

  /** Waits until the focus is at something whose name begins so. */
  async seeFocus(name: string): Promise<void> {
    let at = '';
    await this.until(async () => (at = await this.focused()).startsWith(name), `the focus on ${name}`).catch(
      (error: Error) => {
        throw new Error(`${error.message}; it is on ${at}`);
      },
    );
  }

  // ── with the keyboard alone ───────────────────────────────────────────────────────────────

  /** Tabs to a control whose name begins so; it must come within `most` stops. */
  async tabTo(name: string, most = 80): Promise<void> {
    for (let stop = 0; stop < most; stop += 1) {
      await this.driver.actions().sendKeys(Key.TAB).perform();
      const focused: string = await this.driver.executeScript(
        `const at = document.activeElement;
         const label = document.getElementById(at?.getAttribute('aria-labelledby') ?? '')?.innerText;
         return at?.getAttribute('aria-label') ?? label ?? at?.innerText ?? ''`,
      );
      if (focused.trim().startsWith(name)) return;
    }
    throw new Error(`${name} was not reached with ${most} presses of Tab`);
  }

  /** Tabs to a control and presses Return. */
  async pressByKey(name: string, most?: number): Promise<void> {
    await this.tabTo(name, most);
    await this.type(Key.RETURN);
  }

  // ── Devices ───────────────────────────────────────────────────────────────────────────────

  /** Opens a line or a device of the place Devices whose name begins so. */
  async openUnderDevices(name: string): Promise<void> {
    await this.goTo('Devices');
    await this.follow(name);
  }

  /** Follows a link by what its name begins with. */
  async follow(name: string): Promise<void> {
    await this.press(await this.see(By.css(`[role=main] [role=link][aria-label^=${JSON.stringify(name)}]`)));
  }

  /** The code that the invitation shows, off its plates. */
  shownCode(): Promise<string> {
    return this.driver.executeScript(
      `return document.querySelector('[role=img][aria-label^="Code "][aria-label*="-"]').getAttribute('aria-label').slice(5)`,
    );
  }

  /** The devices shown, as a screen reader reads them. */
  devices(): Promise<string[]> {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=list][aria-label="Your devices"] [role=link]')].map((row) => row.getAttribute('aria-label'))`,
    );
  }

  /** Every record this browser, or a stand-in in it, holds, as it keeps them: what two devices in step have equal. */
  kept(standIn?: string): Promise<string> {
    const name = `yellow-latch.device${standIn === undefined ? '' : `.${standIn}`}`;
    return this.driver.executeAsyncScript(
      `const done = arguments[0];
       const request = indexedDB.open('yellow-latch-' + localStorage.getItem('${name}'));
       request.onsuccess = () => {
         const tx = request.result.transaction(['blocks', 'records']);
         const [blocks, keys, single] = [tx.objectStore('blocks').getAll(), tx.objectStore('records').getAllKeys(), tx.objectStore('records').getAll()];
         tx.oncomplete = () => {
           request.result.close();
           // Unpacked as core/sync/packed.ts does.
           const unpack = ({ type, id, by, values, fields }) => ({ type, id, fields: by ? { ...fields, ...Object.fromEntries(Object.entries(values).map(([name, value]) => [name, [{ id: by[0], clock: by[1], value }]])) } : fields });
           const all = new Map(blocks.result.flatMap((block) => JSON.parse(block)).map(unpack).map((record) => [record.type + ':' + record.id, record]));
           keys.result.forEach((key, index) => (single.result[index] ? all.set(key, single.result[index]) : all.delete(key)));
           const ordered = (record) => ({ ...record, fields: Object.fromEntries(Object.entries(record.fields).sort(([a], [b]) => (a < b ? -1 : 1))) });
           done(JSON.stringify([...all.values()].map(ordered).sort((a, b) => (a.type + a.id < b.type + b.id ? -1 : 1))));
         };
       }`,
    );
  }

  // ── Check ─────────────────────────────────────────────────────────────────────────────────

  /** The shortcuts with problems that are drawn, in their order, as a screen reader reads them. */
  problems(): Promise<string[]> {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=link][aria-label]')]
        .filter((row) => /, (Needs fixing|Risky|Safe, with a note): /.test(row.getAttribute('aria-label')) && row.offsetParent)
        .map((row) => ({ text: row.getAttribute('aria-label'), at: row.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ text }) => text)`,
    );
  }

  /** Opens a bench of Check. */
  async bench(name: 'Own texts' | 'Markers' | 'Savings'): Promise<void> {
    await this.goTo('Check');
    await this.tap(name);
  }

  /** Waits until an element stays where it is: what is still coming onto the page moves what stands below it. */
  async atRest(element: WebElement): Promise<void> {
    let last = '';
    await this.until(async () => {
      await this.driver.executeAsyncScript(
        'const done = arguments[0]; setTimeout(() => requestAnimationFrame(() => done()), 100)',
      );
      const { x, y } = await element.getRect();
      const before = last;
      last = `${x} ${y}`;
      return before === last;
    }, 'an element to come to rest');
  }

  /** Chooses in the sheet that a button opens, by what both are called. */
  async choose(button: string, choice: string): Promise<void> {
    const opener = await this.see(By.css(`[role=button][aria-label^=${JSON.stringify(`${button}: `)}]`));
    await this.atRest(opener);
    await this.press(opener);
    await this.press(await this.see(By.xpath(`//*[@role="radio" and normalize-space(.)=${JSON.stringify(choice)}]`)));
  }

  /** Ticks a box, or takes the tick off it, by what it is called. */
  async tick(name: string): Promise<void> {
    const quoted = JSON.stringify(name);
    await this.press(
      await this.see(
        By.xpath(
          `//*[@role="checkbox"][@aria-label=${quoted} or (not(@aria-label) and starts-with(normalize-space(.), ${quoted}))]`,
        ),
      ),
    );
  }

  /** Opens the shortcut with a problem whose words, code first, begin so. */
  async openProblem(words: string): Promise<void> {
    await this.press(await this.see(By.css(`[role=link][aria-label^=${JSON.stringify(words)}]`)));
  }

  /** Takes back what the notice over the foot tells of. */
  async undo(): Promise<void> {
    await this.press(
      await this.see(By.xpath('//*[@role="button" or self::button][not(@aria-label) and normalize-space(.)="Undo"]')),
    );
  }

  // ── Write ─────────────────────────────────────────────────────────────────────────────────

  async goTo(place: Place): Promise<void> {
    await this.pressPlace(place);
    await this.driver.wait(until.elementLocated(By.css('[role=heading], h1')), PATIENCE);
    if (place === 'Check') await this.seeText('Checked at');
    if (place === 'Write') await this.see(By.css('textarea.write-pad'));
  }

  /** Goes to one of the places, whatever is there. */
  async pressPlace(place: Place): Promise<void> {
    const link = `//*[@role="navigation" or self::nav]//*[@role="link" or self::a][starts-with(@aria-label, "${place}")]`;
    await this.press(await this.see(By.xpath(link)));
  }

  /** Puts the caret into the page. */
  async intoPad(): Promise<void> {
    await this.press(await this.see(By.css('textarea.write-pad')));
  }

  /** Takes the offer of a code. */
  async takeOffer(code: string): Promise<void> {
    await this.press(await this.see(By.css(`[role=option][aria-label^=${JSON.stringify(`${code}: `)}]`)));
  }

  /** Taps a shortcut on the tap board. */
  async putIn(code: string): Promise<void> {
    await this.press(await this.see(By.css(`[role=button][aria-label^=${JSON.stringify(`${code}: `)}]`)));
  }

  /** The codes that are offered, in their order. */
  offers(): Promise<string[]> {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=option]')].map((offer) => offer.getAttribute('aria-label').split(': ')[0])`,
    );
  }

  /** Where a link leads, by what it is called. */
  async hrefOf(name: string): Promise<string> {
    return (await (await this.see(By.css(`a[aria-label=${JSON.stringify(name)}]`))).getAttribute('href')) ?? '';
  }

  /** The page in Write and where its caret stands. */
  pad(): Promise<{ text: string; caret: number }> {
    return this.driver.executeScript(
      `const pad = document.querySelector('textarea.write-pad');
       return { text: pad.value, caret: pad.selectionStart }`,
    );
  }

  async padHolds(text: string): Promise<void> {
    let seen = '';
    await this.until(
      async () => {
        seen = (await this.pad()).text;
        return seen === text;
      },
      `the page to hold ${JSON.stringify(text)}`,
    ).catch((error: Error) => {
      throw new Error(`${error.message}; it holds ${JSON.stringify(seen)}`);
    });
  }

  /**
   * What the first screen has fetched, in bytes as they came over the wire, and of it JavaScript. `later`:
   * what the page has begun to fetch behind it, when it had nothing better to do.
   */
  async fetchedBytes(): Promise<{ all: number; script: number; later: number }> {
    return this.driver.executeScript(
      `const fetched = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')];
       // The page marks the first moment at which it was idle and went on with what is behind the first screen.
       const [idle] = performance.getEntriesByName('idle', 'mark');
       const isLater = ({ startTime }) => idle !== undefined && startTime >= idle.startTime;
       const entries = fetched.filter((entry) => !isLater(entry));
       const sum = (some) => some.reduce((total, { encodedBodySize }) => total + encodedBodySize, 0);
       return { all: sum(entries), script: sum(entries.filter(({ name }) => name.endsWith('.js'))), later: sum(fetched.filter(isLater)) }`,
    );
  }

  // ── stand-ins ─────────────────────────────────────────────────────────────────────────────

  /** Opens a page in a window of its own, and goes there. */
  async openBeside(path: string): Promise<void> {
    await this.driver.switchTo().newWindow('window');
    await this.open(path);
  }

  /** Goes to the open window of a stand-in, or to that of the app. */
  async goToWindow(kind: 'phone' | 'tablet' | 'computer' | 'app'): Promise<void> {
    const name = kind === 'app' ? '' : `yellow-latch ${kind}`;
    await this.until(async () => {
      for (const handle of await this.driver.getAllWindowHandles()) {
        await this.driver.switchTo().window(handle);
        if ((await this.driverScript<string>('return window.name')) === name) return true;
      }
      return false;
    }, `the window of the ${kind}`);
  }

  /** Types into a field of a stand-in, behind what stands there. */
  async typeInto(label: string, text: string): Promise<void> {
    await this.press(await this.field(label));
    await this.type(text);
  }

  /** Waits until a field holds a text. */
  async fieldHolds(label: string, text: string): Promise<void> {
    let seen = '';
    await this.until(
      async () => {
        seen = (await (await this.field(label)).getAttribute('value')) ?? '';
        return seen === text;
      },
      `${label} to hold ${JSON.stringify(text)}`,
    ).catch((error: Error) => {
      throw new Error(`${error.message}; it holds ${JSON.stringify(seen)}`);
    });
  }

  // ── rules for every screen ────────────────────────────────────────────────────────────────

  /** Accessibility by axe-core's rules for WCAG 2.2 A and AA and best practices; none may fail. */
  async expectAccessible(): Promise<void> {
    await this.fadesEnd();
    if (!(await this.driverScript('return globalThis.axe !== undefined'))) await this.driver.executeScript(axeSource);
    const violations: unknown[] = await this.driver.executeAsyncScript(
      `const done = arguments[0];
       axe.run(document, { resultTypes: ['violations'], runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] })
         .then(({ violations }) => done(violations.map(({ id, nodes }) =>
           id + ': ' + nodes.slice(0, 3).map(({ html, any }) => html.slice(0, 200) + ' ' + any.map((a) => a.message).join()).join(' | '))))`,
    );
    expect(violations).toEqual([]);
  }

  /** Waits until nothing fades in or out any more: what is half there has half its contrast. */
  private async fadesEnd(): Promise<void> {
    await this.driver.executeAsyncScript(
      `const done = arguments[0];
       let before = '';
       let same = 0;
       const look = () => {
         const now = [...document.querySelectorAll('[style*=opacity]')].map((element) => getComputedStyle(element).opacity).join();
         same = now === before ? same + 1 : 0;
         before = now;
         if (same === 4) done();
         else requestAnimationFrame(look);
       };
       look();`,
    );
  }

  /** Errors that the page has logged. */
  async loggedErrors(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get('browser');
    return entries
      .filter(({ level }) => level.name === 'SEVERE')
      .map(({ message }) => message)
      .filter((message) => !EXPECTED_ERRORS.test(message));
  }
}
