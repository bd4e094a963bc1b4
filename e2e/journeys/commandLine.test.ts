/** A list in scripts: joined by code, exported, imported into, checked; as somebody calls it from a terminal. */
import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { journey } from '../journey';
import { Stand } from '../stand';

const ROOT = join(__dirname, '../..');
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-terminal-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Runs the command in a folder of its own. */
function list(...args: string[]): Promise<{ code: number; out: string; told: string }> {
  return new Promise((resolve) => {
    const env = { ...process.env, INIT_CWD: folder };
    const child = execFile(process.execPath, [join(ROOT, 'scripts/list.mjs'), ...args], { env }, (_error, out, told) =>
      resolve({ code: child.exitCode ?? -1, out, told }),
    );
  });
}
const at = (name: string) => join(folder, name);

test('a folder joins once, exports, imports what was previewed, checks, and leaves', async () => {
  const stand = await Stand.start('demo');
  try {
    const joined = await list('join', '--server', stand.address, '--name', 'Office checks');
    expect(joined.told).toMatch(/^Joined: 64 shortcuts\. .* keep it secret/u);
    expect(statSync(at('.yellow-latch-device.json')).mode & 0o777).toBe(0o600);

    expect((await list('export', 'all.csv')).told).toBe('Exported 64 shortcuts.\n');
    const rows = readFileSync(at('all.csv'), 'utf8');
    expect(rows).toMatch(/^code,expansion,/u);
    // What went out comes in as what is there already.
    expect((await list('import', 'all.csv')).out).toBe('64 same\n');

    writeFileSync(at('more.csv'), 'code,text\n;ten,Another text.\n;vane,The weather vane.\n;VANE,Twice.\n,\n');
    const preview = await list('import', 'more.csv');
    expect(preview.out).toMatch(
      /line 2 +changed +;ten +differs in content: leave out\nline 3 +new +;vane +import\nline 4 +in use +;VANE +on line 3; \S+ is free: leave out/u,
    );
    expect(preview.told).toContain('Nothing was imported');
    expect((await list('export', '-')).out).not.toContain('weather vane');
    expect((await list('import', 'more.csv', '--replace', '--yes')).told).toContain('Imported 1 new, 1 changed');
    const after = (await list('export', '-', '--form', 'lines')).out;
    expect(after).toContain(';ten\tAnother text.\n');
    expect(after).toContain(';vane\tThe weather vane.\n');

    const check = await list('check');
    expect([check.code, check.out.split('\n')[0]]).toEqual([1, expect.stringMatching(/^needs fixing +so +/u)]);
    expect((await list('leave')).told).toContain('Signed out');
    expect(existsSync(at('.yellow-latch-device.json'))).toBe(false);
    const gone = await list('check');
    expect([gone.code, gone.told]).toEqual([2, expect.stringContaining('Join first: npm run list -- join CODE')]);
  } finally {
    await stand.end();
  }
});

test('a list in a file is checked without a server: in order, with something to fix, and not to be read', async () => {
  writeFileSync(at('good.csv'), 'code,text\n;vane,The weather vane.\n');
  expect(await list('check', 'good.csv')).toMatchObject({
    code: 0,
    told: '1 shortcut checked: none needs fixing, 0 findings.\n',
  });
  writeFileSync(at('bad.csv'), 'code,text\nso,So it is.\n;a,One.\n;a,Two.\n');
  const bad = await list('check', 'bad.csv', '--on', 'computer');
  expect(bad.code).toBe(1);
  expect(bad.out).toMatch(/line 4 +in use +;a +on line 3/u);
  expect(bad.out).toMatch(/needs fixing +so +is a word: about 4\d(\.\d)? times in 10,000 words/u);
  writeFileSync(at('picture.csv'), Buffer.from('89504e470d0a1a0a0000000d', 'hex'));
  expect(await list('check', 'picture.csv')).toMatchObject({
    code: 2,
    told: expect.stringContaining('picture.csv is no text') as string,
  });
  expect((await list('check', 'none.csv')).told).toContain('none.csv is not there');
});

journey(
  'a list that asks for codes: a script joins with one, does its work and is gone',
  'closed',
  async ({ stand, open }) => {
    const app = await open('computer');
    await app.tap('Start a new list');
    await app.make(';vane', 'The weather vane.');
    await app.seeText('Synced');
    await app.goTo('Devices');
    await app.tap('Add a device');
    await app.seeText('Works for one device');
    const code = await app.shownCode();
    const exported = await list('export', '-', '--form', 'lines', '--join', code, '--server', stand.address);
    expect(exported.out).toBe('code\texpansion\n;vane\tThe weather vane.\n');
    await app.seeText('Command line has joined');
    expect(existsSync(at('.yellow-latch-device.json'))).toBe(false);
    const again = await list('export', '-', '--join', code, '--server', stand.address);
    expect([again.code, again.told]).toEqual([2, expect.stringContaining('A code lasts ten minutes')]);
  },
);
