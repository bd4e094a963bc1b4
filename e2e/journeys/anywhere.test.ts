/** Codes in fields and editors that others wrote: what works in each, as a table. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { Key } from 'selenium-webdriver';

import { Extended } from '../extended';
import { FieldSite } from '../fieldSite';
import { OtherDevice } from '../otherDevice';
import { Stand } from '../stand';

/** What is tried, in the columns of the table. */
const TRIED = ['code', 'lines', 'Backspace', 'undo', 'suggestion', 'blank', 'cursor', 'formatted', '100 kB'] as const;
type Tried = (typeof TRIED)[number];
type Row = Readonly<Record<Tried, string>>;

const ADDRESS = 'Unit 3\nThe Ropewalk\nTarnby';
/** 100 kB in lines of 50 characters. */
const LONG = `${'Tuned the upright in the hall, pins tight, A 440.'.padEnd(49, '.')}\n`.repeat(2_000);

/** The fields, as their pages are called (`e2e/fields/pages.tsx`), and as the table calls them. */
const FIELDS: readonly (readonly [page: string, name: string])[] = [
  ['textarea', '`textarea`'],
  ['input', '`input`'],
  ['search', '`input type=search`'],
  ['url', '`input type=url`'],
  ['tel', '`input type=tel`'],
  ['contenteditable', '`contenteditable`'],
  ['plaintext-only', '`contenteditable=plaintext-only`'],
  ['prosemirror', 'ProseMirror 1'],
  ['tiptap', 'TipTap 3'],
  ['lexical', 'Lexical 0.52'],
  ['codemirror', 'CodeMirror 6'],
  ['quill', 'Quill 2'],
  ['react', 'React 19, controlled `input`'],
  ['react-textarea', 'React 19, controlled `textarea`'],
  ['react-native-web', 'React Native Web, `TextInput`'],
  ['framed', 'editable element in a frame of its site'],
  ['framed-elsewhere', 'editable element in a frame of another site'],
  ['shadow', '`textarea` in an open shadow root'],
  ['closed-shadow', '`textarea` in a closed shadow root'],
];
/** Fields of one line: lines become spaces there. */
const ONE_LINE = new Set(['input', 'search', 'url', 'tel', 'react']);
/** Fields whose text can be bold. */
const FORMATTED = new Set([
  'contenteditable',
  'framed',
  'framed-elsewhere',
  'prosemirror',
  'tiptap',
  'lexical',
  'quill',
]);

/** A page with the page in a frame whose address its own names. */
const FRAMED =
  '<iframe style="width:600px;height:400px"></iframe><script>document.querySelector("iframe").src=location.search.slice(1)</script>';

let stand: Stand;
let site: FieldSite;
let browser: Extended;
const rows = new Map<string, Row>();

beforeAll(async () => {
  [stand, site] = await Promise.all([
    Stand.start('empty'),
    FieldSite.start({ framed: FRAMED, 'framed-elsewhere': FRAMED }),
  ]);
  const tablet = await OtherDevice.join(stand.address);
  const made = (expansion: string, template: boolean, format: 'plain' | 'markdown' = 'plain') => ({
    content: { expansion, template, format },
  });
  await tablet.make(
    [';hf', '½'],
    [';ws', ADDRESS],
    [';hi', '', made('Dear {$name :text label=|Who it is for|}, about {$what}', true)],
    [';br', '', made('[{#caret /}] done', true)],
    [';sig', '', made('**Corrie** & Vale', false, 'markdown')],
  );
  browser = await Extended.start();
  await browser.join(stand.address);
}, 120_000);
afterAll(async () => {
  await browser?.end();
  await site?.stop();
  await stand?.end();
});

async function tryField(page: string): Promise<Row> {
  await browser.driver.switchTo().defaultContent();
  if (page.startsWith('framed'))
    await browser.openFrame(site.at(`${page}?${site.at('contenteditable', page !== 'framed')}`));
  else await browser.openField(site.at(page));
  await browser.untilExpands(';hf', '½');
  const fresh = async () => {
    await browser.clear();
    await browser.holds('');
  };

  await fresh();
  await browser.type('Hi ;hf ');
  await browser.holds('Hi ½ ');
  await browser.type(Key.BACK_SPACE);
  await browser.holds('Hi ;hf ');
  await browser.type('x');
  await browser.holds('Hi ;hf x');

  await fresh();
  await browser.type('At ;ws now');
  const lines = ONE_LINE.has(page) ? ADDRESS.replaceAll('\n', ' ') : ADDRESS;
  await browser.holds(`At ${lines} now`);
  await fresh();
  await browser.type('At ;ws ');
  await browser.holds(`At ${lines} `);
  await browser.type(Key.BACK_SPACE);
  await browser.holds('At ;ws ');

  await fresh();
  await browser.type('Hi ;hf ');
  await browser.holds('Hi ½ ');
  await browser.chord(Key.CONTROL, 'z');
  await browser.holds(/^[^½]*$/u);
  const undone = (await browser.text()) === 'Hi ;hf' ? 'yes' : 'yes, and more';
  await browser.chord(Key.CONTROL, page === 'codemirror' || page === 'prosemirror' ? 'y' : 'Z');

  await fresh();
  await browser.type('Oh ;w');
  await browser.takeSuggestion();
  await browser.holds(`Oh ${lines}`);

  await fresh();
  await browser.type('So ;hi ');
  await browser.holds('So ;hi ');
  await browser.typeIntoPanel('Mara', 'the hall');
  await browser.holds('So Dear Mara, about the hall ');
  await browser.type('now');
  await browser.holds('So Dear Mara, about the hall now');

  await fresh();
  await browser.type('See ;br ');
  await browser.holds('See [] done ');
  await browser.typeWhen('x', 'See [x] done ');

  let formatted = 'plain';
  await fresh();
  await browser.type('By ;sig ');
  await browser.holds(/^By Corrie & Vale\s*$/u);
  if (FORMATTED.has(page)) {
    expect(await browser.driver.executeScript('return document.querySelector("strong, b")?.textContent')).toBe(
      'Corrie',
    );
    formatted = 'yes';
  }

  await fresh();
  const long = ONE_LINE.has(page) ? LONG.replaceAll('\n', ' ') : LONG;
  await browser.paste(long);
  await browser.until('the long text', async () => (await browser.text()).length >= 99_000);
  await browser.typeFast('by ;hf ');
  await browser.until('its end', async () => (await browser.text()).endsWith('by ½ '));

  return {
    code: 'yes',
    lines: ONE_LINE.has(page) ? 'as spaces' : 'yes',
    Backspace: 'yes',
    undo: undone,
    suggestion: 'yes',
    blank: 'yes',
    cursor: 'yes',
    formatted,
    '100 kB': 'yes',
  };
}

test.each(FIELDS)(
  '%s: codes, lines, Backspace, undo, suggestions, blanks, the cursor and a long text',
  async (page, name) => {
    rows.set(
      name,
      await tryField(page).catch(async (error: unknown) => {
        await browser.browser.keepFailure(`anywhere-${page}`);
        throw error;
      }),
    );
  },
);

test('the table in the docs is what was seen', () => {
  const table = [
    `| field | ${TRIED.join(' | ')} |`,
    `|---|${'---|'.repeat(TRIED.length)}`,
    ...[...rows].map(([name, row]) => `| ${name} | ${TRIED.map((one) => row[one]).join(' | ')} |`),
  ].join('\n');
  console.log(table);
  expect(readFileSync(join(__dirname, '../../docs/anywhere.md'), 'utf8')).toContain(table);
});
