/** A picture of the list as `keepPicture` keeps it and as public/start.js shows it, and a tap on it. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { renderHook } from '@testing-library/react';

import { forgetPicture, keepPicture } from './picture';
import { useShellGone } from './shell';

const START = readFileSync(join(__dirname, '../../public/start.js'), 'utf8');
const ROW = ';cv, Safe: Corrie & Vale';
const LIST = `<main><p id="announced"><b>3 shortcuts</b></p><p data-passing="">Synced</p><input class="search" placeholder="Search">
  <div role="group"><div data-index="0"><div role="link" aria-label="${ROW}" class="row">;cv</div></div>
  <div data-index="1" class="below">;hi</div></div>
  <div id="on-paper">On paper</div></main>`;

const shell = () => document.querySelector<HTMLElement>('#shell');
const shown = () => shell()?.shadowRoot?.innerHTML ?? null;

/** The page as it is opened: the shell, nothing of the app. */
function openPage(): void {
  document.body.innerHTML = '<div id="shell" aria-hidden="true"></div><div id="root"></div>';
  const link = Object.assign(document.createElement('link'), { rel: 'preload', href: '/entry.js' });
  link.setAttribute('as', 'script');
  document.head.replaceChildren(link);
  // As the browser runs it.
  window.eval(START);
  jest.runAllTimers();
}

/** Draws the list as the app does, and gives its elements places, which jsdom has none of. */
function draw(html: string): void {
  document.querySelector('#root')!.innerHTML = html;
}

function place(within: ParentNode, selector: string, top: number): void {
  const rect = { left: 0, right: 390, top, bottom: top + 56 };
  const element = within.querySelector(selector);
  if (element) element.getBoundingClientRect = () => rect as DOMRect;
}

/** The list was open, and a picture of it kept. */
function keepOne(html = LIST): void {
  openPage();
  draw(html);
  document.documentElement.dataset['scheme'] = 'light';
  place(document, '.below', innerHeight * 2);
  const style = document.createElement('style');
  style.textContent =
    '@font-face { font-family: Ours; src: url(/ours.woff2); } .row { color: red; } .search::placeholder { color: blue; } .elsewhere { color: green; }';
  document.head.append(style);
  keepPicture();
}

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  localStorage.setItem('yellow-latch.device', 'the-phone');
  history.replaceState(null, '', '/');
  window.name = '';
  window.matchMedia = () => ({ matches: false }) as MediaQueryList;
});
afterEach(() => jest.useRealTimers());

test('the list stands there when it is opened again, and the app is started behind it', () => {
  keepOne();
  openPage();
  expect(shown()).toContain(ROW.replace('&', '&amp;'));
  expect([...document.querySelectorAll('script')].map(({ src }) => new URL(src).pathname)).toEqual(['/entry.js']);
});

test('it holds the rules that it uses, and no more: faces are named in the page', () => {
  keepOne();
  openPage();
  expect(shown()).not.toMatch(/@font-face/u);
  expect(shown()).toMatch(/\.row \{/u);
  expect(shown()).toMatch(/\.search::placeholder/u);
  expect(shown()).not.toMatch(/elsewhere/u);
});

test('it leaves out what was just said, what is for paper, and rows below the view', () => {
  keepOne();
  openPage();
  expect(shown()).not.toMatch(/3 shortcuts|On paper|;hi/u);
  expect(shell()!.shadowRoot!.querySelector<HTMLElement>('[data-passing]')!.style.visibility).toBe('hidden');
});

test.each([
  ['another page', () => history.replaceState(null, '', '/check')],
  ['a search', () => history.replaceState(null, '', '/?find=cv')],
  ['another device', () => localStorage.setItem('yellow-latch.device', 'the-tablet')],
  ['a stand-in', () => (window.name = 'yellow-latch phone')],
  ['dark, where it was light', () => localStorage.setItem('yellow-latch.scheme', 'dark')],
  ['a device that has gone dark', () => (window.matchMedia = () => ({ matches: true }) as MediaQueryList)],
  ['a list that was left', forgetPicture],
  ['a wider window', () => localStorage.setItem('yellow-latch.picture', kept().replace(/"width":\d+/u, '"width":1'))],
  ['what can’t be read', () => localStorage.setItem('yellow-latch.picture', '{')],
])('it is not shown to %s; the app starts all the same', (_name, change) => {
  keepOne();
  change();
  openPage();
  expect(shown()).toBeNull();
  expect(document.querySelector('script')).not.toBeNull();
});

test('a page that was scrolled leaves the picture as it was', () => {
  keepOne();
  const before = kept();
  draw('<main>Another</main>');
  const main = document.querySelector('main')!;
  main.scrollTop = 10;
  keepPicture();
  expect(kept()).toBe(before);
  main.scrollTop = 0;
  keepPicture();
  expect(kept()).not.toBe(before);
});

test('a browser that keeps no more forgets the one it has', () => {
  keepOne();
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  keepPicture();
  full.mockRestore();
  expect(localStorage.getItem('yellow-latch.picture')).toBeNull();
});

describe('a tap before the app is there', () => {
  /** Taps the row in the picture of `pictured`; then the app draws `html`. Gives what was tapped in the app. */
  function tapThenDraw(html: string, pictured = LIST): string[] {
    keepOne(pictured);
    openPage();
    place(shell()!.shadowRoot!, '[role=link]', 200);
    document.body.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: 100, clientY: 220 }));
    draw(html);
    const tapped: string[] = [];
    const row = document.querySelector('#root [role=link]')!;
    row.addEventListener('click', () => tapped.push(row.textContent));
    document.elementFromPoint = () => row.firstElementChild ?? row;
    renderHook(useShellGone);
    return tapped;
  }

  test('is given on to what stands there in the app', () => {
    expect(tapThenDraw(LIST)).toEqual([';cv']);
    expect(shell()).toBeNull();
  });

  test('is given on by what is written on it, where it has no other name', () => {
    const unnamed = LIST.replace(` aria-label="${ROW}"`, '');
    expect(tapThenDraw(unnamed, unnamed)).toEqual([';cv']);
  });

  test('is not given on to something else', () => {
    expect(tapThenDraw(LIST.replaceAll(';cv', ';hi'))).toEqual([]);
    expect(shell()).toBeNull();
  });
});

function kept(): string {
  return localStorage.getItem('yellow-latch.picture')!;
}
