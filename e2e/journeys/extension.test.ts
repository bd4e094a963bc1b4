/** The browser extension as a person has it: joined, in sync, offline, signed out; and pages that try to get at the list. */
import { By, Key } from 'selenium-webdriver';

import { Extended } from '../extended';
import { FieldSite } from '../fieldSite';
import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';
import { Stand } from '../stand';

const extended: Extended[] = [];
const sites: FieldSite[] = [];
const stands: Stand[] = [];

async function openExtended(): Promise<Extended> {
  const browser = await Extended.start();
  extended.push(browser);
  return browser;
}

async function openSite(pages: Readonly<Record<string, string>> = {}): Promise<FieldSite> {
  const site = await FieldSite.start(pages);
  sites.push(site);
  return site;
}

/** A list that is open to all, with these shortcuts, and a browser that has joined it. */
async function withList(...pairs: readonly (readonly [string, string])[]) {
  const stand = await Stand.start('empty');
  stands.push(stand);
  const tablet = await OtherDevice.join(stand.address);
  await tablet.make(...pairs);
  const browser = await openExtended();
  await browser.join(stand.address);
  return { stand, tablet, browser };
}

afterEach(async () => {
  const failed = expect.getState().currentTestName ?? 'extension';
  for (const browser of extended.splice(0)) {
    await browser.browser.keepFailure(failed).catch(() => {});
    await browser.end().catch(() => {});
  }
  for (const site of sites.splice(0)) await site.stop();
  for (const stand of stands.splice(0)) await stand.end();
});

journey(
  'a shortcut made on the phone expands in an editor on the computer within 5 s; signed out from the phone it is gone while one types',
  'closed',
  async ({ stand, open }) => {
    const site = await openSite();
    const phone = await open('phone');
    await phone.tap('Start a new list');
    await phone.make(';ws', 'Unit 3, The Ropewalk');
    await phone.goTo('Devices');
    await phone.tap('Add a device');
    await phone.seeText('Works for one device');
    const browser = await openExtended();
    await browser.join(stand.address, await phone.shownCode());
    await browser.openField(site.at('prosemirror'));
    await browser.untilExpands(';ws', 'Unit 3, The Ropewalk');

    // The field has the focus meanwhile, and nothing is clicked.
    await phone.goTo('Shortcuts');
    await phone.make(';hall', 'The hall is open at ten.');
    const took = await browser.untilExpands(';hall', 'The hall is open at ten.');
    console.log(`a shortcut made on the phone expanded on the computer after ${took} ms (at most 5,000)`);
    expect(took).toBeLessThan(5_000);

    // It is a device like any other, and its uses are counted.
    await phone.goTo('Devices');
    await phone.seeText('Browser');
    await phone.openUnderDevices('Browser');
    await phone.seeText('Any web page, with the browser extension');
    await phone.tap('Sign out Browser');
    await phone.tap('Sign out');
    await phone.seeText('Signed out Browser.');
    await browser.until('that nothing expands', async () => {
      await browser.clear();
      await browser.type(';ws ');
      return (await browser.text()) === ';ws ';
    });
    await browser.openOwn('options.html');
    await browser.see('Another device signed this browser out');
  },
  240_000,
);

test('without its server, and woken without it, it works on with what it has; then it catches up', async () => {
  const { stand, browser } = await withList([';ws', 'Unit 3']);
  const site = await openSite();
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';ws', 'Unit 3');
  await stand.stop();
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';ws', 'Unit 3');
  // As after a week: the background is started anew, and finds no server.
  await browser.openOwn('options.html');
  await browser.see('Offline. Your list still works here');
  await browser.restartBackground();
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';ws', 'Unit 3');
  await stand.start();
  const tablet = await OtherDevice.join(stand.address);
  await tablet.make([';new', 'Made meanwhile']);
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';new', 'Made meanwhile');
}, 120_000);

test('a code typed in any page is practice: what is known of it reaches the list', async () => {
  const { tablet, browser } = await withList([';ws', 'Unit 3'], [';hall', 'The hall is open at ten.']);
  const site = await openSite();
  await browser.openField(site.at('textarea'));
  await browser.untilExpands(';ws', 'Unit 3');
  await browser.until('what was learnt to be sent', async () => (await tablet.count('learning')) === 1);
}, 60_000);

describe('a page that wants the list', () => {
  const secret = 'Unit 3, The Ropewalk';

  async function at(body: string) {
    const { browser } = await withList([';ws', secret]);
    const site = await openSite({ page: body, inner: INNER });
    return { browser, site };
  }

  /** What the page saw of the text, anywhere in it. */
  const seen = (browser: Extended) =>
    browser.driver.executeScript<string>(
      'return JSON.stringify([...document.querySelectorAll("input, textarea")].map((one) => one.value)) + document.body.innerText + document.documentElement.outerHTML',
    );

  test('writes a code and waits for a space; completes one; dispatches keys and input; runs commands', async () => {
    const { browser, site } = await at(
      '<textarea aria-label="Note"></textarea><script>window.textOf = () => document.querySelector("textarea").value</script>',
    );
    await browser.openField(site.at('page'));
    await browser.untilExpands(';ws', secret);
    const write = (script: string) =>
      browser.driver.executeScript(`const field = document.querySelector('textarea'); field.focus(); ${script}`);
    for (const script of [
      'field.value = ";ws"; field.setSelectionRange(3, 3)',
      'field.value = ""; document.execCommand("insertText", false, ";ws")',
      'field.value = ""; for (const key of ";ws") { field.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true })); document.execCommand("insertText", false, key); field.dispatchEvent(new InputEvent("input", { data: key, inputType: "insertText", bubbles: true })); }',
      'field.value = ""; field.dispatchEvent(new CompositionEvent("compositionstart", { bubbles: true })); field.value = ";ws"; field.dispatchEvent(new CompositionEvent("compositionend", { data: ";ws", bubbles: true }))',
    ]) {
      await write(script);
      await browser.type(' ');
      await browser.settle();
      expect([script, await seen(browser)]).toEqual([script, expect.not.stringContaining('Ropewalk')]);
    }
    // A code that the person began and the page completed, and the other way round.
    await browser.clear();
    await browser.type(';w');
    await write('document.execCommand("insertText", false, "s")');
    await browser.type(' ');
    await write('field.value = ";w"; field.setSelectionRange(2, 2)');
    await browser.type('s ');
    await browser.settle();
    expect(await seen(browser)).not.toContain('Ropewalk');
    // Whoever types it by hand gets it, after all that.
    await browser.untilExpands(';ws', secret);
  }, 120_000);

  test('swaps keys, and moves the caret while one types', async () => {
    const { browser, site } = await at(`<textarea aria-label="Note"></textarea><script>
      window.textOf = () => document.querySelector('textarea').value;
      const field = document.querySelector('textarea');
      window.swap = () => field.addEventListener('keydown', (event) => {
        const next = ';ws'[field.value.length];
        if (event.key.length !== 1 || !next) return;
        event.preventDefault();
        document.execCommand('insertText', false, next);
      });
      window.jump = () => field.addEventListener('input', () => field.setSelectionRange(0, 0));
    </script>`);
    await browser.openField(site.at('page'));
    await browser.untilExpands(';ws', secret);
    await browser.clear();
    await browser.driver.executeScript('swap()');
    await browser.type('abc ');
    await browser.holds(';ws ');
    await browser.driver.navigate().refresh();
    await browser.focus();
    await browser.untilExpands(';ws', secret);
    await browser.clear();
    await browser.driver.executeScript('jump()');
    // Typed backwards, it stands there forwards.
    await browser.type('sw;');
    await browser.driver.executeScript('document.querySelector("textarea").setSelectionRange(3, 3)');
    await browser.type(' ');
    await browser.holds(/^ ?;ws ?$/u);
  }, 120_000);

  test('hides the field, or takes the focus into a hidden frame of its own', async () => {
    const { browser, site } = await at(`<textarea aria-label="Note"></textarea>
      <input id="faint" style="opacity:0.01"><input id="far" style="position:absolute;left:-9999px"><input id="small" style="width:2px;height:2px;padding:0;border:0">
      <input id="clipped" style="clip-path:inset(50%)">
      <iframe id="trap" style="opacity:0"></iframe><script>
      window.textOf = () => document.querySelector('textarea').value;
      document.querySelector('#trap').src = location.search.slice(1);
      addEventListener('message', ({ data }) => (window.told = data));
    </script>`);
    await browser.openField(`${site.at('page')}?${site.at('inner', true)}`);
    await browser.untilExpands(';ws', secret);
    for (const id of ['faint', 'far', 'small', 'clipped']) {
      await browser.driver.executeScript(`document.querySelector('#${id}').focus()`);
      await browser.settle();
      await browser.type(';ws ');
      await browser.settle();
      expect(await browser.driver.executeScript(`return document.querySelector('#${id}').value`)).toBe(';ws ');
    }
    // The frame takes the focus after the first key, and tells its page all that it gets.
    await browser.clear();
    await browser.driver.executeScript('document.querySelector("#trap").contentWindow.postMessage("take", "*")');
    await browser.until('the focus in the frame', () =>
      browser.driver.executeScript<boolean>('return document.activeElement?.id === "trap"'),
    );
    await browser.settle();
    await browser.type(';ws ');
    await browser.until(
      'what the frame tells',
      async () => (await browser.driver.executeScript('return window.told')) === ';ws ',
    );
    await browser.type('; ;ws ');
    await browser.until('what the frame tells', async () =>
      String(await browser.driver.executeScript('return window.told')).endsWith('; ;ws '),
    );
  }, 120_000);

  test('looks for what the extension shows, and for the extension', async () => {
    const { browser, site } = await at(
      '<textarea aria-label="Note"></textarea><script>window.textOf = () => document.querySelector("textarea").value</script>',
    );
    await browser.openField(site.at('page'));
    await browser.untilExpands(';ws', secret);
    await browser.clear();
    await browser.type(';w');
    await browser.seeSuggestion();
    // The suggestion is on the screen; of it the page finds an empty element.
    expect(await seen(browser)).not.toContain('Ropewalk');
    expect(
      await browser.driver.executeAsyncScript(
        `const done = arguments[0];
         const layer = document.querySelector('html > div[popover]');
         fetch('${Extended.origin}/field.js').then(() => done('fetched'), () => done([layer.shadowRoot, layer.childNodes.length, typeof latchField, typeof chrome?.runtime?.sendMessage]))`,
      ),
    ).toEqual([null, 0, 'undefined', 'undefined']);
    // It clicks there by script: nothing comes of it.
    await browser.driver.executeScript(
      `const box = document.querySelector('textarea').getBoundingClientRect();
       for (let y = 0; y < 200; y += 8) document.elementFromPoint(box.left + 30, box.top + y)?.click();`,
    );
    await browser.settle();
    expect(await browser.text()).toBe(';w');
  }, 120_000);
});

/** A frame that takes the focus when told to, and tells what is typed into it. */
const INNER = `<input><script>
  const field = document.querySelector('input');
  addEventListener('message', () => field.focus());
  field.addEventListener('input', () => parent.postMessage(field.value, '*'));
</script>`;

test('fields for secrets are left alone, in a page as it is', async () => {
  const { browser } = await withList([';ws', 'Unit 3']);
  const site = await openSite({
    form: `<input aria-label="Note"><input id="a" type="password"><input id="b" autocomplete="one-time-code"><input id="c" autocomplete="cc-number">
      <input id="e" style="-webkit-text-security:disc">
      <textarea id="d" spellcheck="false" autocomplete="off" style="font-family:monospace"></textarea>
      <script>window.textOf = () => document.querySelector('input').value</script>`,
  });
  await browser.openField(site.at('form'));
  await browser.untilExpands(';ws', 'Unit 3');
  for (const id of ['a', 'b', 'c', 'e', 'd']) {
    await browser.driver.findElement(By.id(id)).click();
    await browser.type(';ws ');
    await browser.settle();
    expect([id, await browser.driver.executeScript(`return document.querySelector('#${id}').value`)]).toEqual([
      id,
      ';ws ',
    ]);
  }
  // The last is for program code: it is asked for under Options.
  await browser.openOwn('options.html');
  await browser.fillIn('Site', '127.0.0.1');
  await browser.choose('Also in code editors');
  await browser.press('Add');
  await browser.see('Also in code editors');
  await browser.driver.get(site.at('form'));
  await browser.driver.findElement(By.id('d')).click();
  await browser.until('the code to expand', async () => {
    await browser.clear();
    await browser.type(';ws ');
    return (await browser.driver.executeScript(`return document.querySelector('#d').value`)) === 'Unit 3 ';
  });
}, 120_000);

test('a mail address gets no space behind it, in its field', async () => {
  const { browser } = await withList([';mail', 'corrie@vale.example']);
  const site = await openSite();
  await browser.openField(site.at('email'));
  await browser.until('the code to expand', async () => {
    await browser.clear();
    await browser.type(';mail ');
    return (await browser.text()) === 'corrie@vale.example';
  });
  await browser.type(Key.BACK_SPACE);
  await browser.holds(';mail');
}, 60_000);

describe('pages that go their own ways', () => {
  test('one that rewrites its field at every key, and one that stops every event', async () => {
    const { browser } = await withList([';ws', 'Unit 3']);
    const site = await openSite({
      raised: `<input aria-label="Note"><script>const field = document.querySelector('input');
        window.textOf = () => field.value;
        field.addEventListener('input', () => { field.value = field.value.toUpperCase(); });</script>`,
      deaf: `<input aria-label="Note"><script>const field = document.querySelector('input');
        window.textOf = () => field.value;
        for (const type of ['keydown', 'keypress', 'keyup', 'beforeinput', 'input', 'selectionchange', 'focusin'])
          window.addEventListener(type, (event) => event.stopImmediatePropagation(), true);</script>`,
    });
    await browser.openField(site.at('deaf'));
    await browser.untilExpands(';ws', 'Unit 3');
    // What stands there is not what was typed: the page's text is the page's.
    await browser.openField(site.at('raised'));
    await browser.type('we say ;ws ');
    await browser.holds('WE SAY ;WS ');
  }, 90_000);

  test('one of five hundred frames, and a list of 50,000', async () => {
    const many = Array.from({ length: 49_999 }, (_, index) => [`;q${index.toString(36)}`, `Text ${index}`] as const);
    const { browser, tablet } = await withList(...many);
    const site = await openSite({
      frames: `<textarea aria-label="Note"></textarea><div id="frames"></div><script>
        window.textOf = () => document.querySelector('textarea').value;
        for (let count = 0; count < 500; count += 1) {
          const frame = document.createElement('iframe');
          frame.srcdoc = '<input>';
          frame.style.cssText = 'width:40px;height:20px';
          document.querySelector('#frames').append(frame);
        }</script>`,
    });
    await browser.openField(site.at('frames'));
    await browser.untilExpands(`;q${(49_998).toString(36)}`, 'Text 49998', 60_000);
    await tablet.make([';ws', 'Unit 3']);
    await browser.untilExpands(';ws', 'Unit 3', 30_000);
  }, 240_000);

  test('one that is open while the extension is updated goes on', async () => {
    const { browser } = await withList([';ws', 'Unit 3']);
    const site = await openSite();
    await browser.openField(site.at('contenteditable'));
    await browser.untilExpands(';ws', 'Unit 3');
    await browser.reloadExtension();
    await browser.focus();
    await browser.untilExpands(';ws', 'Unit 3', 30_000);
  }, 120_000);
});
