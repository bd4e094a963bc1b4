import { markdownToPlain } from '../expansion';
import { splitMarker, writtenText, type Shortcut, type ShortcutSet } from '../model';
import { beginningOf } from './columns';

/** How a sheet is laid out on paper: one or two columns on a page, or cards of the size of a bank card to cut out. */
export const SHEET_LAYOUTS = ['one', 'two', 'wallet'] as const;
export type SheetLayout = (typeof SHEET_LAYOUTS)[number];
export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

export interface SheetOptions {
  readonly title: string;
  /** Under the title, such as the day it was made. */
  readonly about: string;
  readonly layout: SheetLayout;
  readonly paper: Paper;
  /** The faces, as addresses of data; without them the reader's own are taken. */
  readonly faces: { readonly text: string; readonly code: string } | null;
  readonly inNoSet: string;
}

export interface SheetEntry {
  readonly code: string;
  readonly text: string;
}

/** A card of a bank's size (ISO/IEC 7810, ID-1: 85.60 by 53.98 mm) holds so many. */
const ON_CARD = 11;
/** So many clusters of a text are shown; a card cuts what is wider than it is. */
const SHOWN: Record<SheetLayout, number> = { one: 96, two: 60, wallet: 64 };

/** What is shown of a private one. */
const MASKED = '••••••••';

/**
 * The sheet to keep in sight: one HTML page that needs nothing else, with a style for paper. Codes on plates, texts
 * shortened to a line or two, private ones masked, by set in their order. No script runs in it.
 */
export function writeSheet(
  { shortcuts, sets }: { readonly shortcuts: readonly Shortcut[]; readonly sets: readonly ShortcutSet[] },
  options: SheetOptions,
): string {
  const { title, about, layout, paper, faces, inNoSet } = options;
  const groups = groupsOf(shortcuts, sets, inNoSet, SHOWN[layout]);
  const body =
    layout === 'wallet'
      ? groups.flatMap(cardsOf).join('\n')
      : groups.map(({ name, entries }) => section(name, entries)).join('\n');
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; font-src data:">
<title>${escapeHtml(title)}</title>
<style>${styleOf(paper, layout, faces)}</style>
</head>
<body>
<main class="${layout}">
<header><h1>${escapeHtml(title)}</h1><p>${escapeHtml(about)}</p></header>
<div class="sets">
${body}
</div>
</main>
</body>
</html>
`;
}

interface Group {
  readonly name: string;
  readonly entries: readonly SheetEntry[];
}

function groupsOf(
  shortcuts: readonly Shortcut[],
  sets: readonly ShortcutSet[],
  inNoSet: string,
  clusters: number,
): Group[] {
  const known = new Set(sets.map(({ id }) => id));
  const of = (id: string | null) =>
    shortcuts
      .filter(({ setId }) => (setId !== null && known.has(setId) ? setId : null) === id)
      .map((shortcut) => ({
        code: shortcut.code,
        text: shortcut.private ? MASKED : onOneLine(plainText(shortcut), clusters),
      }));
  return [...sets.map(({ id, name }) => ({ name, entries: of(id) })), { name: inNoSet, entries: of(null) }].filter(
    ({ entries }) => entries.length > 0,
  );
}

/** Formatted text without its marks. */
function plainText(shortcut: Shortcut): string {
  return shortcut.content.format === 'markdown' ? markdownToPlain(writtenText(shortcut)) : writtenText(shortcut);
}

function onOneLine(text: string, clusters: number): string {
  return beginningOf(
    text
      .slice(0, clusters * 16)
      .trim()
      .replaceAll(/\s*\n\s*/gu, ' ↵ '),
    clusters,
  );
}

function section(name: string, entries: readonly SheetEntry[]): string {
  return `<section><h2>${escapeHtml(name)}</h2><dl>${entries.map(line).join('')}</dl></section>`;
}

/** A set on as many cards as it takes, each with about as many. */
function cardsOf({ name, entries }: Group): string[] {
  const cards = Math.ceil(entries.length / ON_CARD);
  const onEach = Math.ceil(entries.length / cards);
  return Array.from({ length: cards }, (_, index) =>
    section(cards > 1 ? `${name} ${index + 1}/${cards}` : name, entries.slice(index * onEach, (index + 1) * onEach)),
  );
}

function line({ code, text }: SheetEntry): string {
  return `<div><dt>${plate(code)}</dt><dd dir="auto">${escapeHtml(text)}</dd></div>`;
}

/** The code with its marker on yellow, as on screen. */
function plate(code: string): string {
  const { before, mnemonic, after } = splitMarker(code);
  const mark = (marker: string) => (marker === '' ? '' : `<b>${escapeHtml(marker)}</b>`);
  return `<code>${mark(before)}<span>${escapeHtml(mnemonic)}</span>${mark(after)}</code>`;
}

function escapeHtml(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
}

function styleOf(paper: Paper, layout: SheetLayout, faces: SheetOptions['faces']): string {
  const face = (name: string, address: string) =>
    `@font-face{font-family:"${name}";src:url(${address}) format("woff2")}`;
  return `
${faces ? face('Sheet', faces.text) + face('Sheet Code', faces.code) : ''}
@page{size:${paper === 'A4' ? 'A4' : 'letter'};margin:${layout === 'wallet' ? '10mm' : '14mm'}}
*{box-sizing:border-box;margin:0}
html{color-scheme:light;background:#dde4e4;color:#0a3a42;font:11pt/1.35 Sheet,sans-serif;print-color-adjust:exact;-webkit-print-color-adjust:exact}
main{max-width:820px;margin:0 auto;padding:24px;background:#fff}
header{display:flex;flex-wrap:wrap;align-items:baseline;gap:0 16px;border-bottom:2pt solid #0a3a42;padding-bottom:6pt;margin-bottom:10pt}
h1{font-size:17pt}header p{color:#3d5f65}
section{margin-bottom:12pt}
h2{font-size:11pt;border-bottom:.75pt solid #aebdbf;padding-bottom:2pt;margin-bottom:4pt;break-after:avoid}
dl div{display:flex;align-items:baseline;gap:8pt;padding:2.5pt 0;break-inside:avoid}
dt{flex:none;min-width:64pt}dd{min-width:0;overflow-wrap:anywhere}
code{display:inline-flex;white-space:pre;font:700 11pt/1.3 "Sheet Code",monospace;border:1pt solid #0a3a42;border-radius:3pt;overflow:hidden;background:#f4f7f6}
code b{background:#ffcb2b;padding:0 4pt;border-right:1pt solid #0a3a42}code span{padding:0 4pt}code span+b{border-right:0;border-left:1pt solid #0a3a42}
.two .sets{columns:2;column-gap:18pt}.two{font-size:9.5pt}.two code{font-size:9.5pt}.two dt{min-width:54pt}

.wallet .sets{display:grid;grid-template-columns:repeat(2,85.6mm);justify-content:center;gap:0}
.wallet section{width:85.6mm;height:53.98mm;margin:0;padding:2.2mm 3mm;border:.4pt dashed #3d5f65;overflow:hidden;break-inside:avoid}
.wallet h2{font-size:7pt;margin-bottom:1pt;padding-bottom:1pt}
.wallet dl div{padding:.35mm 0;gap:4pt;font-size:7pt;line-height:1.2}.wallet dt{min-width:38pt}.wallet code{font-size:7pt;line-height:1.15;border-width:.6pt}
.wallet dd{white-space:nowrap;overflow:hidden;text-overflow:ellipsis}
@media print{.wallet header{display:none}html{background:#fff}main{max-width:none;padding:0}}
@media (max-width:600px){main{padding:14px}.two .sets{columns:1}.wallet .sets{grid-template-columns:85.6mm;justify-content:start}}
`;
}
