var __create = Object.create;
var __defProp = Object.defineProperty;
var __getOwnPropDesc = Object.getOwnPropertyDescriptor;
var __getOwnPropNames = Object.getOwnPropertyNames;
var __getProtoOf = Object.getPrototypeOf;
var __hasOwnProp = Object.prototype.hasOwnProperty;
var __copyProps = (to, from, except, desc) => {
  if (from && typeof from === "object" || typeof from === "function") {
    for (let key of __getOwnPropNames(from))
      if (!__hasOwnProp.call(to, key) && key !== except)
        __defProp(to, key, { get: () => from[key], enumerable: !(desc = __getOwnPropDesc(from, key)) || desc.enumerable });
  }
  return to;
};
var __toESM = (mod, isNodeMode, target) => (target = mod != null ? __create(__getProtoOf(mod)) : {}, __copyProps(
  // If the importer is in node compatibility mode or this is not an ESM
  // file that has been converted to a CommonJS file using a Babel-
  // compatible transform (i.e. "__esModule" has not been set), then set
  // "default" to the CommonJS "module.exports" for node compatibility.
  isNodeMode || !mod || !mod.__esModule ? __defProp(target, "default", { value: mod, enumerable: true }) : target,
  mod
));

// ../../tmp/look.ts
var import_node_fs4 = require("node:fs");

// e2e/app.ts
var import_node_fs = require("node:fs");
var import_node_module = require("node:module");
var import_selenium_webdriver = require("selenium-webdriver");
var axeSource = (0, import_node_fs.readFileSync)((0, import_node_module.createRequire)(__filename).resolve("axe-core/axe.min.js"), "utf8");
var PATIENCE = 15e3;
var POLL = 40;
var GONE = /StaleElementReference|document unloaded|NoSuchExecutionContext|aborted by navigation|Cannot find context/;
var FIND = `
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
var EXPECTED_ERRORS = /ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_INCOMPLETE_CHUNKED|ERR_CONNECTION_RESET|ERR_SOCKET_NOT_CONNECTED|ERR_CONTENT_LENGTH_MISMATCH|status of 401|response has a MIME type \("text\/plain"\) that is not "text\/event-stream"|api\/joins - Failed to load resource|error occurred when fetching the script/;
var App = class {
  constructor(browser, address) {
    this.browser = browser;
    this.address = address;
  }
  browser;
  address;
  /** Taps and key presses so far, as a person would count them. */
  taps = 0;
  get driver() {
    return this.browser.driver;
  }
  async open(path = "/") {
    await this.driver.get(this.address + path);
    await this.see(import_selenium_webdriver.By.css("[role=heading], h1"));
    return this;
  }
  async reload() {
    await this.driver.navigate().refresh();
    await this.see(import_selenium_webdriver.By.css("[role=heading], h1"));
  }
  // ── what is on the screen ─────────────────────────────────────────────────────────────────
  /** Waits until something is shown, and returns it. */
  see(what) {
    const { using, value } = what;
    return this.waitFor(`find(${JSON.stringify(using)}, ${JSON.stringify(value)})`, String(what));
  }
  /** Waits until `condition` holds. */
  async until(condition, what) {
    await this.driver.wait(condition, PATIENCE, `waited in vain: ${what}`, POLL);
  }
  /**
   * Waits until an expression in the page gives something, and returns it. One short question at a time: WebDriver's own
   * ways to find an element and to say whether it is shown cost more than what is waited for.
   */
  waitFor(expression, what) {
    const look = () => this.driver.executeScript(`${FIND} return ${expression}`).catch((error) => {
      if (error instanceof Error && GONE.test(error.name + error.message)) return null;
      throw error;
    });
    return this.driver.wait(look, PATIENCE, `waited in vain: ${what}`, POLL);
  }
  /** A control by what a screen reader calls it. */
  control(name) {
    const quoted = JSON.stringify(name);
    return this.see(
      import_selenium_webdriver.By.xpath(
        `//*[@role="button" or @role="link" or @role="radio" or self::button or self::a][@aria-label=${quoted} or (not(@aria-label) and normalize-space(.)=${quoted})]`
      )
    );
  }
  field(label) {
    return this.see(
      import_selenium_webdriver.By.xpath(
        `//*[self::input or self::textarea][@aria-label="${label}" or @aria-labelledby=//*[normalize-space(.)="${label}"]/@id]`
      )
    );
  }
  /** Everything that is shown, as text. */
  async text() {
    return this.driver.executeScript("return document.body.innerText");
  }
  async seeText(text) {
    await this.waitFor(`document.body.innerText.includes(${JSON.stringify(text)})`, `the text \u201C${text}\u201D`);
  }
  async seeNoText(text) {
    await this.waitFor(`!document.body.innerText.includes(${JSON.stringify(text)})`, `\u201C${text}\u201D to be gone`);
  }
  /** The codes in the list, in their order, read off the rows drawn. */
  codes() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=img][aria-label^="Code "]')]
        .filter((plate) => plate.closest('[role=group][aria-label="Shortcuts"] [role=link]'))
        .map((plate) => ({ code: plate.getAttribute('aria-label').slice(5), at: plate.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ code }) => code)`
    );
  }
  /** Waits until the app is kept on the device: the service worker is in charge, and holds all its files. */
  async isKeptOnDevice() {
    await this.until(
      () => this.driverScript(
        `return navigator.serviceWorker.ready.then(() => navigator.serviceWorker.controller?.state === 'activated')`
      ),
      "the app to be kept on the device"
    );
  }
  /** What a script in the page gives. */
  driverScript(script) {
    return this.driver.executeScript(script);
  }
  // ── what a person does ────────────────────────────────────────────────────────────────────
  async tap(name) {
    await this.press(await this.control(name));
  }
  async press(element) {
    this.taps += 1;
    await element.click();
  }
  /** Taps the row of a shortcut, scrolling the list until it is there. */
  async openShortcut(code) {
    const row = import_selenium_webdriver.By.css([":", ","].map((end) => `[role=link][aria-label^=${JSON.stringify(`${code}${end} `)}]`).join());
    await this.until(async () => {
      if ((await this.driver.findElements(row)).length > 0) return true;
      await this.driver.executeScript(
        `const list = document.querySelector('[role=group][aria-label="Shortcuts"]');
         if (list) list.scrollTop = list.scrollTop + list.clientHeight >= list.scrollHeight - 1 ? 0 : list.scrollTop + list.clientHeight;`
      );
      return false;
    }, `the row of ${code}`);
    await this.press(await this.see(row));
  }
  /** Types on the keyboard into whatever has the focus. */
  async type(text) {
    this.taps += Array.from(text).length;
    await this.driver.actions().sendKeys(text).perform();
  }
  /** A key pressed while Control is held. */
  async withControl(key) {
    this.taps += 2;
    await this.driver.actions().keyDown(import_selenium_webdriver.Key.CONTROL).sendKeys(key).keyUp(import_selenium_webdriver.Key.CONTROL).perform();
  }
  /** Puts a text in place of what a field holds. */
  async fill(label, text) {
    const field = await this.field(label);
    await field.click();
    await field.sendKeys(import_selenium_webdriver.Key.chord(import_selenium_webdriver.Key.CONTROL, "a"), import_selenium_webdriver.Key.DELETE);
    if (text !== "") await this.browser.command("Input.insertText", { text });
  }
  /** Makes a shortcut by hand, from the bar to Save. */
  async make(code, expansion) {
    await this.tap("New shortcut\u2026");
    await this.insert(await this.field("You get"), expansion);
    await this.insert(await this.field("You type"), code);
    await this.tap("Save");
    await this.seeText(`\u201C${code.trim()}\u201D works in Write.`);
  }
  /** Puts text, of any script, into a field as an input method does when it commits. */
  async insert(field, text) {
    await field.click();
    await this.browser.command("Input.insertText", { text });
  }
  async copyToClipboard(text) {
    await this.driver.executeAsyncScript(
      "const done = arguments[1]; navigator.clipboard.writeText(arguments[0]).then(() => done(), done)",
      text
    );
  }
  /** What the clipboard holds of a type; '' where it holds none. */
  clipboardAs(type) {
    return this.driver.executeAsyncScript(
      `const [type, done] = arguments;
       navigator.clipboard.read().then(async ([item]) => done(item.types.includes(type) ? await (await item.getType(type)).text() : ''), String)`,
      type
    );
  }
  clipboard() {
    return this.driver.executeAsyncScript(
      "const done = arguments[0]; navigator.clipboard.readText().then(done, String)"
    );
  }
  /** Chooses what goes into the text of a shortcut, where the cursor stands. */
  async insertPart(name) {
    await this.tap("Insert\u2026");
    await this.press(
      await this.see(import_selenium_webdriver.By.css(`[aria-modal=true] [role=button][aria-label^=${JSON.stringify(`${name}: `)}]`))
    );
  }
  /** Opens the part of a shortcut that is closed until it is wanted. */
  async openDetails() {
    await this.unfold("Kind, set and more");
  }
  /** Opens or closes a part of a page by what its heading begins with. */
  async unfold(name) {
    const head = () => this.see(import_selenium_webdriver.By.css(`[role=button][aria-expanded][aria-label^=${JSON.stringify(name)}]`));
    const state = async () => (await head()).getAttribute("aria-expanded");
    const before = await state();
    await this.until(async () => {
      if (await state() !== before) return true;
      const at = await head();
      await this.atRest(at);
      await this.press(at);
      return false;
    }, `${name} to open or close`);
  }
  /** What has the focus, as a screen reader calls it; ‘body’: nothing has. */
  focused() {
    return this.driver.executeScript(
      `const at = document.activeElement;
       if (!at || at === document.body) return 'body';
       const label = document.getElementById(at.getAttribute('aria-labelledby') ?? '')?.innerText;
       return at.getAttribute('aria-label') ?? label ?? at.innerText ?? ''`
    );
  }
  /** Waits until the focus is at something whose name begins so. */
  async seeFocus(name) {
    let at = "";
    await this.until(async () => (at = await this.focused()).startsWith(name), `the focus on ${name}`).catch(
      (error) => {
        throw new Error(`${error.message}; it is on ${at}`);
      }
    );
  }
  // ── with the keyboard alone ───────────────────────────────────────────────────────────────
  /** Tabs to a control whose name begins so; it must come within `most` stops. */
  async tabTo(name, most = 80) {
    for (let stop = 0; stop < most; stop += 1) {
      await this.driver.actions().sendKeys(import_selenium_webdriver.Key.TAB).perform();
      const focused = await this.driver.executeScript(
        `const at = document.activeElement;
         const label = document.getElementById(at?.getAttribute('aria-labelledby') ?? '')?.innerText;
         return at?.getAttribute('aria-label') ?? label ?? at?.innerText ?? ''`
      );
      if (focused.trim().startsWith(name)) return;
    }
    throw new Error(`${name} was not reached with ${most} presses of Tab`);
  }
  /** Tabs to a control and presses Return. */
  async pressByKey(name, most) {
    await this.tabTo(name, most);
    await this.type(import_selenium_webdriver.Key.RETURN);
  }
  // ── Devices ───────────────────────────────────────────────────────────────────────────────
  /** Opens a line or a device of the place Devices whose name begins so. */
  async openUnderDevices(name) {
    await this.goTo("Devices");
    await this.follow(name);
  }
  /** Follows a link by what its name begins with. */
  async follow(name) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=main] [role=link][aria-label^=${JSON.stringify(name)}]`)));
  }
  /** The devices shown, as a screen reader reads them. */
  devices() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=list][aria-label="Your devices"] [role=link]')].map((row) => row.getAttribute('aria-label'))`
    );
  }
  /** Every record this browser holds, as it keeps them: what two devices in step have equal. */
  kept() {
    return this.driver.executeAsyncScript(
      `const done = arguments[0];
       const request = indexedDB.open('yellow-latch-' + localStorage.getItem('yellow-latch.device'));
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
       }`
    );
  }
  // ── Check ─────────────────────────────────────────────────────────────────────────────────
  /** The shortcuts with problems that are drawn, in their order, as a screen reader reads them. */
  problems() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=link][aria-label]')]
        .filter((row) => /, (Needs fixing|Risky|Safe, with a note): /.test(row.getAttribute('aria-label')) && row.offsetParent)
        .map((row) => ({ text: row.getAttribute('aria-label'), at: row.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ text }) => text)`
    );
  }
  /** Opens a bench of Check. */
  async bench(name) {
    await this.goTo("Check");
    await this.tap(name);
  }
  /** Waits until an element stays where it is: what is still coming onto the page moves what stands below it. */
  async atRest(element) {
    let last = "";
    await this.until(async () => {
      await this.driver.executeAsyncScript(
        "const done = arguments[0]; setTimeout(() => requestAnimationFrame(() => done()), 100)"
      );
      const { x, y } = await element.getRect();
      const before = last;
      last = `${x} ${y}`;
      return before === last;
    }, "an element to come to rest");
  }
  /** Chooses in the sheet that a button opens, by what both are called. */
  async choose(button, choice) {
    const opener = await this.see(import_selenium_webdriver.By.css(`[role=button][aria-label^=${JSON.stringify(`${button}: `)}]`));
    await this.atRest(opener);
    await this.press(opener);
    await this.press(await this.see(import_selenium_webdriver.By.xpath(`//*[@role="radio" and normalize-space(.)=${JSON.stringify(choice)}]`)));
  }
  /** Ticks a box, or takes the tick off it, by what it is called. */
  async tick(name) {
    const quoted = JSON.stringify(name);
    await this.press(
      await this.see(
        import_selenium_webdriver.By.xpath(
          `//*[@role="checkbox"][@aria-label=${quoted} or (not(@aria-label) and starts-with(normalize-space(.), ${quoted}))]`
        )
      )
    );
  }
  /** Opens the shortcut with a problem whose words, code first, begin so. */
  async openProblem(words) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=link][aria-label^=${JSON.stringify(words)}]`)));
  }
  /** Takes back what the notice over the foot tells of. */
  async undo() {
    await this.press(
      await this.see(import_selenium_webdriver.By.xpath('//*[@role="button" or self::button][not(@aria-label) and normalize-space(.)="Undo"]'))
    );
  }
  // ── Write ─────────────────────────────────────────────────────────────────────────────────
  async goTo(place) {
    await this.pressPlace(place);
    await this.driver.wait(import_selenium_webdriver.until.elementLocated(import_selenium_webdriver.By.css("[role=heading], h1")), PATIENCE);
    if (place === "Check") await this.seeText("Checked at");
    if (place === "Write") await this.see(import_selenium_webdriver.By.css("textarea.write-pad"));
  }
  /** Goes to one of the places, whatever is there. */
  async pressPlace(place) {
    const link = `//*[@role="navigation" or self::nav]//*[@role="link" or self::a][starts-with(@aria-label, "${place}")]`;
    await this.press(await this.see(import_selenium_webdriver.By.xpath(link)));
  }
  /** Puts the caret into the page. */
  async intoPad() {
    await this.press(await this.see(import_selenium_webdriver.By.css("textarea.write-pad")));
  }
  /** Takes the offer of a code. */
  async takeOffer(code) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=option][aria-label^=${JSON.stringify(`${code}: `)}]`)));
  }
  /** Taps a shortcut on the tap board. */
  async putIn(code) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=button][aria-label^=${JSON.stringify(`${code}: `)}]`)));
  }
  /** The codes that are offered, in their order. */
  offers() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=option]')].map((offer) => offer.getAttribute('aria-label').split(': ')[0])`
    );
  }
  /** Where a link leads, by what it is called. */
  async hrefOf(name) {
    return await (await this.see(import_selenium_webdriver.By.css(`a[aria-label=${JSON.stringify(name)}]`))).getAttribute("href") ?? "";
  }
  /** The page in Write and where its caret stands. */
  pad() {
    return this.driver.executeScript(
      `const pad = document.querySelector('textarea.write-pad');
       return { text: pad.value, caret: pad.selectionStart }`
    );
  }
  async padHolds(text) {
    let seen = "";
    await this.until(
      async () => {
        seen = (await this.pad()).text;
        return seen === text;
      },
      `the page to hold ${JSON.stringify(text)}`
    ).catch((error) => {
      throw new Error(`${error.message}; it holds ${JSON.stringify(seen)}`);
    });
  }
  /**
   * What the first screen has fetched, in bytes as they came over the wire, and of it JavaScript. `later`:
   * what the page has begun to fetch behind it, when it had nothing better to do.
   */
  async fetchedBytes() {
    return this.driver.executeScript(
      `const fetched = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')];
       // The page marks the first moment at which it was idle and went on with what is behind the first screen.
       const [idle] = performance.getEntriesByName('idle', 'mark');
       const isLater = ({ startTime }) => idle !== undefined && startTime >= idle.startTime;
       const entries = fetched.filter((entry) => !isLater(entry));
       const sum = (some) => some.reduce((total, { encodedBodySize }) => total + encodedBodySize, 0);
       return { all: sum(entries), script: sum(entries.filter(({ name }) => name.endsWith('.js'))), later: sum(fetched.filter(isLater)) }`
    );
  }
  // ── rules for every screen ────────────────────────────────────────────────────────────────
  /** Accessibility by axe-core's rules for WCAG 2.2 A and AA and best practices; none may fail. */
  async expectAccessible() {
    await this.fadesEnd();
    if (!await this.driverScript("return globalThis.axe !== undefined")) await this.driver.executeScript(axeSource);
    const violations = await this.driver.executeAsyncScript(
      `const done = arguments[0];
       axe.run(document, { resultTypes: ['violations'], runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] })
         .then(({ violations }) => done(violations.map(({ id, nodes }) =>
           id + ': ' + nodes.slice(0, 3).map(({ html, any }) => html.slice(0, 200) + ' ' + any.map((a) => a.message).join()).join(' | '))))`
    );
    expect(violations).toEqual([]);
  }
  /** Waits until nothing fades in or out any more: what is half there has half its contrast. */
  async fadesEnd() {
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
       look();`
    );
  }
  /** Errors that the page has logged. */
  async loggedErrors() {
    const entries = await this.driver.manage().logs().get("browser");
    return entries.filter(({ level }) => level.name === "SEVERE").map(({ message }) => message).filter((message) => !EXPECTED_ERRORS.test(message));
  }
};

// e2e/browser.ts
var import_node_fs2 = require("node:fs");
var import_node_os = require("node:os");
var import_node_path = require("node:path");
var import_selenium_webdriver2 = require("selenium-webdriver");
var chrome = __toESM(require("selenium-webdriver/chrome"), 1);
var FLAGS = [
  "--headless=new",
  // The address bar's own pages take a second to start.
  "--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--disable-dev-shm-usage",
  "--no-first-run",
  "--no-default-browser-check",
  "--disable-default-apps",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost"
];
function programPath(name) {
  const folder = (process.env.PATH ?? "").split(import_node_path.delimiter).find((path) => (0, import_node_fs2.existsSync)((0, import_node_path.join)(path, name)));
  if (!folder) throw new Error(`${name} is not installed`);
  return (0, import_node_path.join)(folder, name);
}
var Browser = class _Browser {
  constructor(driver, device, profile) {
    this.driver = driver;
    this.device = device;
    this.profile = profile;
  }
  driver;
  device;
  profile;
  /** Starts a browser; with `profile` the one that another left behind, as after a restart. */
  static async start(device, profile) {
    const folder = profile ?? (0, import_node_fs2.mkdtempSync)((0, import_node_path.join)((0, import_node_os.tmpdir)(), "yellow-latch-browser-"));
    const options = new chrome.Options();
    options.setChromeBinaryPath(programPath("chromium"));
    options.addArguments(...FLAGS, `--user-data-dir=${folder}`);
    if (device === "phone") {
      options.setMobileEmulation({
        deviceMetrics: { width: 390, height: 844, pixelRatio: 2, touch: true, mobile: true }
      });
    } else {
      options.addArguments("--window-size=1280,800");
    }
    const service = new chrome.ServiceBuilder(programPath("chromedriver"));
    const driver = await new import_selenium_webdriver2.Builder().forBrowser("chrome").setChromeOptions(options).setChromeService(service).build();
    const browser = new _Browser(driver, device, folder);
    if (device === "computer") {
      await browser.command("Emulation.setDeviceMetricsOverride", {
        width: 1280,
        height: 800,
        deviceScaleFactor: 1,
        mobile: false
      });
    }
    await driver.manage().setTimeouts({ script: 3e4 });
    return browser;
  }
  /** A DevTools command. */
  async command(name, parameters = {}) {
    return await this.driver.sendAndGetDevToolsCommand(name, parameters);
  }
  /** Lets the page read and write the clipboard, or forbids reading it. */
  async clipboard(setting) {
    for (const name of ["clipboard-read", "clipboard-write"]) {
      await this.command("Browser.setPermission", {
        permission: { name },
        setting: name === "clipboard-write" ? "granted" : setting
      });
    }
  }
  async scheme(scheme) {
    const features = [{ name: "prefers-color-scheme", value: scheme }];
    await this.command("Emulation.setEmulatedMedia", { features });
  }
  async picture() {
    return Buffer.from(await this.driver.takeScreenshot(), "base64");
  }
  /** Keeps picture, page and log of a failure in a folder that git ignores. */
  async keepFailure(name) {
    const folder = (0, import_node_path.join)(__dirname, "failures");
    (0, import_node_fs2.mkdirSync)(folder, { recursive: true });
    const file = (0, import_node_path.join)(folder, `${name.replace(/[^a-z0-9]+/gi, "-")}-${this.device}`);
    (0, import_node_fs2.writeFileSync)(`${file}.png`, await this.picture());
    (0, import_node_fs2.writeFileSync)(`${file}.html`, await this.driver.getPageSource());
    const log = await this.driver.manage().logs().get("browser");
    (0, import_node_fs2.writeFileSync)(`${file}.log`, log.map(({ message }) => message).join("\n"));
  }
  /** Quits but leaves the profile; resolves to it. */
  async restartable() {
    await this.driver.quit();
    return this.profile;
  }
  async end() {
    await this.driver.quit();
    (0, import_node_fs2.rmSync)(this.profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
};

// e2e/stand.ts
var import_node_child_process = require("node:child_process");
var import_node_fs3 = require("node:fs");
var import_node_net = require("node:net");
var import_node_os2 = require("node:os");
var import_node_path2 = require("node:path");
var ROOT = (0, import_node_path2.join)(__dirname, "..");
var Stand = class _Stand {
  constructor(data, port, list, site) {
    this.data = data;
    this.port = port;
    this.list = list;
    this.site = site;
  }
  data;
  port;
  list;
  site;
  process = null;
  /** `site`: the folder of the app it serves; the one that was built unless given. */
  static async start(list, site = (0, import_node_path2.join)(ROOT, "packages/app/dist")) {
    const data = (0, import_node_fs3.mkdtempSync)((0, import_node_path2.join)((0, import_node_os2.tmpdir)(), "yellow-latch-server-"));
    for (let tries = 3; ; tries -= 1) {
      const stand = new _Stand(data, await freePort(), list, site);
      try {
        await stand.start();
        return stand;
      } catch (error) {
        if (tries === 0 || !String(error).includes("is in use")) throw error;
      }
    }
  }
  get address() {
    return `http://127.0.0.1:${this.port}`;
  }
  /** Starts the server; resolves when it says where it listens. */
  start() {
    const server = (0, import_node_child_process.spawn)(process.execPath, [(0, import_node_path2.join)(ROOT, "packages/server/dist/server.mjs")], {
      env: {
        ...process.env,
        YELLOW_LATCH_SITE: this.site,
        YELLOW_LATCH_DATA: this.data,
        YELLOW_LATCH_PORT: String(this.port),
        YELLOW_LATCH_DEMO: this.list === "demo" ? "1" : "0",
        YELLOW_LATCH_OPEN: this.list === "empty" ? "1" : "0"
      },
      stdio: ["ignore", "pipe", "pipe"]
    });
    this.process = server;
    return new Promise((resolve, reject) => {
      let said = "";
      const listen = (chunk) => {
        said += String(chunk);
        if (said.includes(this.address)) resolve();
      };
      server.stdout.on("data", listen);
      server.stderr.on("data", listen);
      server.once("exit", () => reject(new Error(`the server ended: ${said}`)));
    });
  }
  /** What the server has used of a processor since it started, in ms (proc(5): utime and stime, in ticks of 10 ms), and its memory, in bytes. */
  get used() {
    const of = `/proc/${this.process.pid}`;
    const [, fields] = (0, import_node_fs3.readFileSync)(`${of}/stat`, "utf8").split(") ");
    const [utime, stime] = fields.split(" ").slice(11, 13).map(Number);
    const pages = Number((0, import_node_fs3.readFileSync)(`${of}/statm`, "utf8").split(" ")[1]);
    return { cpu: (utime + stime) * 10, memory: pages * 4096 };
  }
  /** Stops the server and waits until it is gone. */
  stop(signal = "SIGTERM") {
    const server = this.process;
    this.process = null;
    if (!server || server.exitCode !== null) return Promise.resolve();
    return new Promise((resolve) => {
      server.once("exit", () => resolve());
      server.kill(signal);
    });
  }
  /** Ends the server as a loss of power does, and waits until it is gone. */
  kill() {
    return this.stop("SIGKILL");
  }
  /** Stops the server, empties its folder and starts it again: a server that knows nobody. */
  async startAfresh() {
    await this.stop();
    (0, import_node_fs3.rmSync)(this.data, { recursive: true, force: true });
    await this.start();
  }
  async end() {
    await this.stop();
    (0, import_node_fs3.rmSync)(this.data, { recursive: true, force: true });
  }
};
function freePort() {
  return new Promise((resolve, reject) => {
    const probe = (0, import_node_net.createServer)();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

// ../../tmp/look.ts
async function main() {
  const device = process.env["DEV"] ?? "phone";
  const pages = JSON.parse(process.env["PAGES"]);
  const stand = await Stand.start(process.env["DATA"] ?? "demo");
  const browser = await Browser.start(device);
  try {
    await browser.scheme("light");
    if (process.env["SIZE"]) {
      const [width, height] = process.env["SIZE"].split("x").map(Number);
      await browser.command("Emulation.setDeviceMetricsOverride", { width, height, deviceScaleFactor: device === "phone" ? 2 : 1, mobile: device === "phone" });
    }
    const app = await new App(browser, stand.address).open(process.env["START"] ?? "/");
    if (!process.env["START"]) await app.seeText("Synced");
    for (const [name, path, act] of pages) {
      if (path) await app.open(path);
      await new Promise((r) => setTimeout(r, Number(process.env["WAIT"] ?? 3e3)));
      if (act) {
        await new Function("app", "browser", `return (async()=>{${act}})()`)(app, browser);
        await new Promise((r) => setTimeout(r, 1500));
      }
      (0, import_node_fs4.writeFileSync)(`/tmp/look-${name}.png`, await browser.picture());
      console.log(name);
    }
  } finally {
    await browser.end();
    await stand.end();
  }
}
void main().catch((e) => {
  console.error(e);
  process.exitCode = 1;
});
