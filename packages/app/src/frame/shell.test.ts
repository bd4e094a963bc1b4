/** What public/index.html draws until the app does, against what the app draws then. */
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

import { PALETTES } from '@yellow-latch/field/palette';

const page = readFileSync(join(__dirname, '../../public/index.html'), 'utf8');
const ICONS = join(dirname(require.resolve('lucide-react-native')), '../esm/icons');

/** Each of the page's properties and its colours, in the order of its rules: light, dark by the device, dark by choice. */
function coloursOf(property: string): string[] {
  return [...page.matchAll(new RegExp(`--${property}: (#[0-9a-f]{6});`, 'gu'))].map(([, colour]) => colour!);
}

test.each([
  ['ground', 'ground'],
  ['surface', 'surface'],
  ['ink', 'ink'],
  ['ink-soft', 'inkSoft'],
  ['line', 'line'],
] as const)('its %s is the app’s', (property, role) => {
  const { light, dark } = PALETTES;
  expect(coloursOf(property)).toEqual([light[role], dark[role], dark[role]]);
});

/** Of the places, in the order of the menu. */
const NAMES = ['rows-3', 'pencil-line', 'scan-line', 'monitor-smartphone', 'sprout'];

test.each(NAMES.map((name, at) => [name, at] as const))(
  'it has the icon %s of a place, whole and in the order of the menu',
  (name, at) => {
    const icon = readFileSync(join(ICONS, `${name}.mjs`), 'utf8');
    const drawn = [...page.matchAll(/<svg viewBox="0 0 24 24">(.*?)<\/svg>/gu)].map(([, inside]) => inside!);
    const paths = [...icon.matchAll(/d: "([^"]+)"/gu)].map(([, d]) => d!);
    const rects = [...icon.matchAll(/\["rect", \{ (.*?), key/gu)].map(([, given]) =>
      given!.replaceAll(/: ("[^"]*"),?/gu, '=$1'),
    );
    expect([...drawn[at]!.matchAll(/ d="([^"]+)"/gu)].map(([, d]) => d)).toEqual(paths);
    expect([...drawn[at]!.matchAll(/<rect (.*?) \/>/gu)].map(([, given]) => given)).toEqual(rects);
  },
);

test('it says nothing, and is nothing to who listens to the page', () => {
  const shell = /<div id="shell" aria-hidden="true">([^]*?)\n {4}<\/div>/u.exec(page)![1]!;
  expect(shell.replaceAll(/<[^>]*>/gu, '').trim()).toBe('');
  expect(shell).not.toMatch(/<(script|a|button|input|img)\b|href|src=/u);
});
