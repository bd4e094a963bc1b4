import { TALK } from '@yellow-latch/core/scenario';
import { By } from 'selenium-webdriver';

import { journey } from '../journey';
import { PAGES } from '../pages';
import { OtherDevice } from '../otherDevice';

/** The words of `Intl`, which no catalogue holds: units, months, names of languages; names of ours, of formats, of keys and of shapes of codes (`aa·`). */
const NOT_OURS =
  /^(and|or|secs?|mins?|hrs?|now|yesterday|ago|days?|minutes?|hours?|Jan|Feb|Mar|Apr|May|June?|July?|Aug|Sept?|Oct|Nov|Dec|English|British|American|United|States|German|French|Spanish|Yellow|Latch|UTF|CSV|JSON|npm|start|phones|https?|join|abc|éè|ÉÈ|AltGr|Ctrl|Aa|AA|aa)$/u;

/**
 * What stands on the page and came from no catalogue, and what of it is cut off or out of sight. In the pseudo-language every
 * message begins with ⟦ and ends with ⟧; words of the list itself are given as `own`. A word cut short and a join code are none.
 */
const LOOK = `
  const [own, notOurs] = arguments;
  const known = new Set(own);
  const isOurs = new RegExp(notOurs, 'u');
  const wordsOf = (text) => text.replace(/\\p{L}+…|\\b[\\dA-HJKMNP-TV-Z]{4}\\b/gu, '').match(/\\p{L}{2,}/gu) ?? [];
  const isForeign = (text) => !text.includes('⟦') && wordsOf(text).some((word) => !known.has(word.toLowerCase()) && !isOurs.test(word));
  const isSeen = (element) => element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  const found = [];
  for (const element of document.querySelectorAll('[aria-label], [placeholder], [title]'))
    for (const name of ['aria-label', 'placeholder', 'title']) {
      const said = element.getAttribute(name);
      if (said && isSeen(element) && isForeign(said)) found.push(name + ' of no catalogue: ' + said);
    }
  if (!document.title.includes('⟦')) found.push('title of no catalogue: ' + document.title);
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const parent = node.parentElement;
    if (!parent || parent.closest('script, style, textarea, iframe, #announced') || !isSeen(parent)) continue;
    const text = node.nodeValue.trim();
    if (text === '') continue;
    // A code is of no language: a picture of one word, which its name holds.
    const plate = parent.closest('[role=img]');
    if (plate && !/\\s/.test(plate.textContent) && plate.ariaLabel?.includes(plate.textContent)) continue;
    if (isForeign(parent.innerText ?? text)) found.push('of no catalogue: ' + text);
    const end = node.nodeValue.lastIndexOf('⟧');
    if (end < 0) continue;
    const range = document.createRange();
    range.setStart(node, end);
    range.setEnd(node, end + 1);
    const rect = range.getBoundingClientRect();
    if (rect.width === 0) continue;
    let isMoved = false;
    for (let box = parent; box && box !== document.documentElement; box = box.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(box);
      const around = box.getBoundingClientRect();
      const isSideways = /auto|scroll/.test(overflowX) && box.scrollWidth > box.clientWidth;
      const isUpright = /auto|scroll/.test(overflowY);
      if (isSideways) isMoved = true;
      if (overflowX === 'hidden' && !isMoved && (rect.right > around.right + 1.5 || rect.left < around.left - 1.5)) {
        found.push('cut off: ' + text);
        break;
      }
      if (overflowY === 'hidden' && !isUpright && rect.top > around.bottom) {
        found.push('cut off below: ' + text);
        break;
      }
      if (isUpright) break;
    }
    if (!isMoved && rect.right > innerWidth + 1) found.push('beyond the edge: ' + text);
  }
  return [...new Set(found)];`;

/**
 * Controls whose name does not hold what they show (WCAG 2.2, 2.5.3), piece by piece, since a name may say the pieces in
 * another order. Letters and digits are compared: a screen reader reads neither signs nor where a line breaks.
 */
const NAMES = `
  const lettersOf = (text) => text.toLowerCase().replace(/[^\\p{L}\\p{N}]/gu, '');
  const controls = document.querySelectorAll('[role=button], [role=link], [role=radio], [role=checkbox], [role=tab], button, a[href]');
  return [...controls].flatMap((control) => {
    const name = control.getAttribute('aria-label');
    if (name === null || !control.checkVisibility({ visibilityProperty: true })) return [];
    const walker = document.createTreeWalker(control, NodeFilter.SHOW_TEXT);
    const missing = [];
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (!node.parentElement.closest('[aria-hidden=true]') && !lettersOf(name).includes(lettersOf(node.nodeValue)))
        missing.push(node.nodeValue + ' is not in the name ' + name.slice(0, 160));
    return missing;
  });`;

/** Names of the demo list that no shortcut holds, and codes as they would be with their first letter twice. */
const DEMO_NAMES = ['Workshop laptop, Workshop tablet, Phone, Corrie & Vale', 'aask', 'PPK'];

/** What the scenario's people say on a stand-in. */
const SAID = TALK.flatMap(({ who, says }) => [who, says]);

const wordsOf = (text: string) => text.toLowerCase().match(/\p{L}{2,}/gu) ?? [];

journey(
  'every page in a made-up language: no English left, nothing cut off, each control called what it shows',
  'demo',
  async ({ open, stand }) => {
    const texts = await (await OtherDevice.join(stand.address)).everyText();
    const own = [...new Set([...texts, ...DEMO_NAMES, ...SAID].flatMap(wordsOf))];
    const app = await open('phone');
    await app.browser.command('Page.addScriptToEvaluateOnNewDocument', {
      source: `localStorage.setItem('language', 'en-XA')`,
    });
    const found: string[] = [];
    for (const [path, there] of PAGES) {
      await app.open(path);
      await app.seeText('⟧');
      await app.see(By.css(there));
      const { driver } = app.browser;
      const here = [
        ...(await driver.executeScript<string[]>(LOOK, own, NOT_OURS.source)),
        ...(await driver.executeScript<string[]>(NAMES)),
      ];
      found.push(...here.map((one) => `${path}: ${one}`));
    }
    expect(found).toEqual([]);
  },
  300_000,
);
