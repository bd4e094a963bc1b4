"use strict";
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

// e2e/.look.ts
var import_node_fs4 = require("node:fs");
var import_selenium_webdriver3 = require("selenium-webdriver");

// e2e/app.ts
var import_node_fs = require("node:fs");
var import_node_module = require("node:module");
var import_selenium_webdriver = require("selenium-webdriver");
var axeSource = (0, import_node_fs.readFileSync)((0, import_node_module.createRequire)(__filename).resolve("axe-core/axe.min.js"), "utf8");
var PATIENCE = 15e3;
var EXPECTED_ERRORS = /ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_INCOMPLETE_CHUNKED|ERR_CONNECTION_RESET|status of 401/;
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
  async see(what) {
    return this.driver.wait(
      async () => {
        for (const element of await this.driver.findElements(what)) {
          if (await element.isDisplayed().catch(() => false)) return element;
        }
        return null;
      },
      PATIENCE,
      `did not see ${String(what)}`
    );
  }
  /** Waits until `condition` holds. */
  async until(condition, what) {
    await this.driver.wait(condition, PATIENCE, `waited in vain: ${what}`);
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
    await this.until(async () => (await this.text()).includes(text), `the text \u201C${text}\u201D`);
  }
  async seeNoText(text) {
    await this.until(async () => !(await this.text()).includes(text), `\u201C${text}\u201D to be gone`);
  }
  /** The codes in the list, in their order, read off the rows drawn. */
  codes() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=img][aria-label^="Code "]')]
        .filter((plate) => plate.closest('[role=link]'))
        .map((plate) => ({ code: plate.getAttribute('aria-label').slice(5), at: plate.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ code }) => code)`
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
  /** Taps the row of a shortcut. */
  async openShortcut(code) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=link][aria-label^=${JSON.stringify(`${code}: `)}]`)));
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
  async fill(label, text) {
    const field = await this.field(label);
    await field.click();
    await field.sendKeys(import_selenium_webdriver.Key.chord(import_selenium_webdriver.Key.CONTROL, "a"), import_selenium_webdriver.Key.DELETE, text);
  }
  /** Makes a shortcut by hand, from the bar to Save. */
  async make(code, expansion) {
    await this.tap("Paste or write\u2026");
    await this.insert(await this.field("You get"), expansion);
    await this.insert(await this.field("You type"), code);
    await this.tap("Save");
    await this.seeText(`${code.trim()} is saved`);
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
  clipboard() {
    return this.driver.executeAsyncScript(
      "const done = arguments[0]; navigator.clipboard.readText().then(done, String)"
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
  // ── Check ─────────────────────────────────────────────────────────────────────────────────
  /** The findings drawn, in their order, as a screen reader reads them. */
  findings() {
    return this.driver.executeScript(
      `return [...document.querySelectorAll('[role=link][aria-label]')]
        .filter((row) => /, (Breaks|Risky|Safe, with a note): /.test(row.getAttribute('aria-label')) && row.offsetParent)
        .map((row) => ({ text: row.getAttribute('aria-label'), at: row.getBoundingClientRect().top }))
        .sort((a, b) => a.at - b.at).map(({ text }) => text)`
    );
  }
  /** Opens the finding whose words, code first, begin so. */
  async openFinding(words) {
    await this.press(await this.see(import_selenium_webdriver.By.css(`[role=link][aria-label^=${JSON.stringify(words)}]`)));
  }
  // ── Write ─────────────────────────────────────────────────────────────────────────────────
  async goTo(place) {
    await this.press(
      await this.see(import_selenium_webdriver.By.xpath(`//*[@role="navigation" or self::nav]//*[@role="link" or self::a][starts-with(@aria-label, "${place}")]`))
    );
    await this.driver.wait(import_selenium_webdriver.until.elementLocated(import_selenium_webdriver.By.css("[role=heading], h1")), PATIENCE);
    if (place === "Check") await this.seeText("Proved at");
    if (place === "Write") await this.see(import_selenium_webdriver.By.css("textarea.write-pad"));
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
    await this.until(async () => {
      seen = (await this.pad()).text;
      return seen === text;
    }, `the page to hold ${JSON.stringify(text)}`).catch((error) => {
      throw new Error(`${error.message}; it holds ${JSON.stringify(seen)}`);
    });
  }
  /**
   * What the first screen has fetched, in bytes as they came over the wire, and of it JavaScript. `later`:
   * what the page has begun to fetch behind it, when it had nothing better to do, to prove the list.
   */
  async fetchedBytes() {
    return this.driver.executeScript(
      `const fetched = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')];
       const isLater = ({ name }) => name.endsWith('/audit-worker.js');
       const entries = fetched.filter((entry) => !isLater(entry));
       const sum = (some) => some.reduce((total, { encodedBodySize }) => total + encodedBodySize, 0);
       return { all: sum(entries), script: sum(entries.filter(({ name }) => name.endsWith('.js'))), later: sum(fetched.filter(isLater)) }`
    );
  }
  // ── rules for every screen ────────────────────────────────────────────────────────────────
  /** Accessibility by axe-core's rules for WCAG 2.2 A and AA and best practices; none may fail. */
  async expectAccessible() {
    await this.driver.executeScript(axeSource);
    const violations = await this.driver.executeAsyncScript(
      `const done = arguments[0];
       axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] })
         .then(({ violations }) => done(violations.map(({ id, nodes }) =>
           id + ': ' + nodes.slice(0, 3).map(({ html, any }) => html.slice(0, 200) + ' ' + any.map((a) => a.message).join()).join(' | '))))`
    );
    expect(violations).toEqual([]);
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
  constructor(driver, device2, profile) {
    this.driver = driver;
    this.device = device2;
    this.profile = profile;
  }
  driver;
  device;
  profile;
  /** Starts a browser; with `profile` the one that another left behind, as after a restart. */
  static async start(device2, profile) {
    const folder = profile ?? (0, import_node_fs2.mkdtempSync)((0, import_node_path.join)((0, import_node_os.tmpdir)(), "yellow-latch-browser-"));
    const options = new chrome.Options();
    options.setChromeBinaryPath(programPath("chromium"));
    options.addArguments(...FLAGS, `--user-data-dir=${folder}`);
    if (device2 === "phone") {
      options.setMobileEmulation({
        deviceMetrics: { width: 390, height: 844, pixelRatio: 2, touch: true, mobile: true }
      });
    } else {
      options.addArguments("--window-size=1280,800");
    }
    const service = new chrome.ServiceBuilder(programPath("chromedriver"));
    const driver = await new import_selenium_webdriver2.Builder().forBrowser("chrome").setChromeOptions(options).setChromeService(service).build();
    const browser = new _Browser(driver, device2, folder);
    if (device2 === "computer") {
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
  async scheme(scheme2) {
    const features = [{ name: "prefers-color-scheme", value: scheme2 }];
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
  constructor(data, port, isDemo) {
    this.data = data;
    this.port = port;
    this.isDemo = isDemo;
  }
  data;
  port;
  isDemo;
  process = null;
  static async start(list) {
    const data = (0, import_node_fs3.mkdtempSync)((0, import_node_path2.join)((0, import_node_os2.tmpdir)(), "yellow-latch-server-"));
    const stand = new _Stand(data, await freePort(), list === "demo");
    await stand.start();
    return stand;
  }
  get address() {
    return `http://127.0.0.1:${this.port}`;
  }
  /** Starts the server; resolves when it says where it listens. */
  start() {
    const server = (0, import_node_child_process.spawn)(process.execPath, [(0, import_node_path2.join)(ROOT, "packages/server/dist/server.mjs")], {
      env: {
        ...process.env,
        YELLOW_LATCH_SITE: (0, import_node_path2.join)(ROOT, "packages/app/dist"),
        YELLOW_LATCH_DATA: this.data,
        YELLOW_LATCH_PORT: String(this.port),
        YELLOW_LATCH_DEMO: this.isDemo ? "1" : "0"
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
  /** Stops the server and waits until it is gone. */
  stop() {
    const server = this.process;
    this.process = null;
    if (!server || server.exitCode !== null) return Promise.resolve();
    return new Promise((resolve) => {
      server.once("exit", () => resolve());
      server.kill("SIGTERM");
    });
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

// e2e/.look.ts
var [device, scheme, ...steps] = process.argv.slice(2);
async function main() {
  const stand = await Stand.start("demo");
  const browser = await Browser.start(device);
  try {
    await browser.clipboard("granted");
    await browser.scheme(scheme);
    const app = await new App(browser, stand.address).open("/check");
    await app.seeText("Proved at");
    for (const step of steps) {
      const [what, ...rest] = step.split("=");
      const arg = rest.join("=");
      try {
        if (what === "open") await app.open(arg);
        if (what === "tap") await app.tap(arg);
        if (what === "see") await app.seeText(arg);
        if (what === "shortcut") await app.openShortcut(arg);
        if (what === "place") await app.goTo(arg);
        if (what === "scroll") await app.driverScript(`const e=[...document.querySelectorAll('div')].filter(d=>d.scrollHeight>d.clientHeight+50&&getComputedStyle(d).overflowY!=='visible'&&d.offsetParent).sort((a,b)=>b.clientHeight-a.clientHeight)[${arg.split(",")[1] ?? 0}]; e.scrollTop=${arg.split(",")[0]}`);
        if (what === "wait") await new Promise((r) => setTimeout(r, Number(arg)));
        if (what === "fill") {
          const [l, t] = arg.split("|");
          await app.fill(l, t);
        }
        if (what === "axe") await app.expectAccessible();
        if (what === "text") console.log(await app.text());
        if (what === "shot") {
          await browser.driver.executeScript("return document.fonts.ready.then(() => true)");
          (0, import_node_fs4.writeFileSync)(`/tmp/shot-${arg}.png`, await browser.picture());
        }
      } catch (e) {
        console.log("FAILED", step, String(e).slice(0, 1500));
        (0, import_node_fs4.writeFileSync)(`/tmp/shot-fail.png`, await browser.picture());
        console.log((await app.text()).slice(0, 800));
        break;
      }
    }
    console.log(await app.loggedErrors());
  } finally {
    await browser.end();
    await stand.end();
  }
}
globalThis.expect = (v) => ({ toEqual: (w) => {
  if (JSON.stringify(v) !== JSON.stringify(w)) throw new Error(JSON.stringify(v));
} });
void main();
