/**
 * The manifest against its specification: W3C Web Application Manifest (members, and that its URLs lie in its scope), WICG
 * Manifest Incubations (`file_handlers`, `share_target`, `launch_handler`); sizes of pictures against the files.
 */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

const ROOT = join(__dirname, '../..');
const SHOTS = join(ROOT, '../../docs');
const manifestText = readFileSync(join(ROOT, 'public/manifest.webmanifest'), 'utf8');

const Path = z.string().regex(/^\/[\w./-]*$/);
const Picture = z.strictObject({
  src: Path,
  sizes: z.string().regex(/^(any|[1-9]\d*x[1-9]\d*)$/),
  type: z.enum(['image/png', 'image/svg+xml']),
});
const Icon = Picture.extend({ purpose: z.enum(['any', 'maskable', 'monochrome']).optional() });
const Screenshot = Picture.extend({ form_factor: z.enum(['narrow', 'wide']), label: z.string().min(1) });
const Accept = z.record(z.string().regex(/^\w+\/[\w.+-]+$/), z.array(z.string().regex(/^\.\w+$/)).min(1));
const ClientMode = z.enum(['auto', 'focus-existing', 'navigate-existing', 'navigate-new']);

const Manifest = z.strictObject({
  id: Path,
  name: z.string().min(1),
  short_name: z.string().min(1),
  description: z.string(),
  lang: z.string().refine((tag) => Intl.getCanonicalLocales(tag).length === 1),
  start_url: Path,
  scope: Path,
  display: z.enum(['fullscreen', 'standalone', 'minimal-ui', 'browser']),
  background_color: z.string().regex(/^#[\da-f]{6}$/),
  theme_color: z.string().regex(/^#[\da-f]{6}$/),
  icons: z.array(Icon),
  shortcuts: z.array(z.strictObject({ name: z.string().min(1), url: Path, icons: z.array(Icon) })),
  screenshots: z.array(Screenshot),
  file_handlers: z.array(z.strictObject({ action: Path, accept: Accept })),
  launch_handler: z.strictObject({ client_mode: z.union([ClientMode, z.array(ClientMode)]) }),
  share_target: z.strictObject({
    action: Path,
    method: z.enum(['GET', 'POST']),
    enctype: z.enum(['application/x-www-form-urlencoded', 'multipart/form-data']),
    params: z.strictObject({
      title: z.string(),
      text: z.string(),
      url: z.string(),
      files: z.array(z.strictObject({ name: z.string(), accept: z.array(z.string()) })),
    }),
  }),
});

const manifest = Manifest.parse(JSON.parse(manifestText));
const pictures = [...manifest.icons, ...manifest.screenshots, ...manifest.shortcuts.flatMap(({ icons }) => icons)];

/** The size of a PNG as its header has it (ISO/IEC 15948, 11.2.2). */
function sizeOfPng(path: string): string {
  const bytes = readFileSync(path);
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  return `${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`;
}

test('every page it opens lies in its scope', () => {
  const urls = [
    manifest.start_url,
    manifest.share_target.action,
    ...manifest.shortcuts.map(({ url }) => url),
    ...manifest.file_handlers.map(({ action }) => action),
  ];
  for (const url of urls) expect(url.startsWith(manifest.scope)).toBe(true);
});

test.each(pictures.map(({ src, sizes, type }) => [src, sizes, type]))('%s is there, as it says', (src, sizes, type) => {
  const path = join(src.startsWith('/screenshots/') ? SHOTS : join(ROOT, 'public'), src);
  expect(existsSync(path)).toBe(true);
  if (type === 'image/png') expect(sizeOfPng(path)).toBe(sizes);
  else expect(readFileSync(path, 'utf8')).toContain('<svg');
});

test('browsers can install it: an icon of 192 and one of 512 pixels, and one that may be cut to a shape', () => {
  const sizes = manifest.icons.map(({ sizes: size, purpose = 'any' }) => `${size} ${purpose}`);
  expect(sizes).toEqual(expect.arrayContaining(['192x192 any', '512x512 any', '512x512 maskable']));
});

test('pictures of one form factor have one size, as stores that show them want', () => {
  for (const form of ['narrow', 'wide']) {
    const sizes = manifest.screenshots.filter(({ form_factor: of }) => of === form).map((picture) => picture.sizes);
    expect(new Set(sizes).size).toBe(1);
  }
});

test('what is shared to it and what it opens are the files that Import reads', () => {
  const opened = manifest.file_handlers.flatMap(({ accept }) => Object.values(accept).flat());
  const shared = manifest.share_target.params.files.flatMap(({ accept }) =>
    accept.filter((one) => one.startsWith('.')),
  );
  expect(new Set(opened)).toEqual(new Set(shared));
});
