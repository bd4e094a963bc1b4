// The steps that the commands of package.json are made of. Plain Node: they run before anything
// is installed.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, delimiter, dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

import { licencesOf, sourcesOf } from './licences.mjs';
import { writeLocales } from './locales.mjs';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const SITE = join(ROOT, 'packages/app/dist');
const PUBLIC = join(ROOT, 'packages/app/public');
export const SERVER = join(ROOT, 'packages/server/dist/server.mjs');

const startedAt = Date.now();

export function say(text) {
  const seconds = Math.round((Date.now() - startedAt) / 1000);
  const clock = `${String(Math.floor(seconds / 60)).padStart(2, '0')}:${String(seconds % 60).padStart(2, '0')}`;
  console.log(`[${clock}] ${text}`);
}

/** Runs a program to its end with its output shown; resolves to its exit code. */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: ROOT, stdio: 'inherit', ...options });
    child.once('error', reject);
    child.once('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)));
  });
}

/** Runs a program that must succeed. */
export async function must(program, args, options) {
  const code = await run(program, args, options);
  if (code !== 0) throw new Error(`${program} ${args[0] ?? ''} ended with ${code}`);
}

/** Runs a program whose words matter only when it fails. */
export async function heard(program, args, options) {
  let said = '';
  const code = await new Promise((resolve, reject) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += String(chunk)));
    child.once('error', reject);
    child.once('exit', (ended, signal) => resolve(ended ?? (signal ? 1 : 0)));
  });
  return { code, said };
}

/** A program of an installed package, by its name in node_modules/.bin. */
export function bin(name) {
  return join(ROOT, 'node_modules/.bin', name);
}

function hasProgram(name) {
  return (process.env.PATH ?? '').split(delimiter).some((folder) => existsSync(join(folder, name)));
}

// ── packages ────────────────────────────────────────────────────────────────────────────────

/** Installs the npm packages, unless those of the lock file are there already. */
export async function installPackages() {
  const lock = createHash('sha256').update(readFileSync(join(ROOT, 'package-lock.json')));
  const wanted = lock.update(process.version).digest('hex');
  const stamp = join(ROOT, 'node_modules/.installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  if (!hasProgram('make') || !hasProgram('g++')) await installFromDebian(['make', 'g++', 'python3']);
  say('Installing npm packages: 3 to 5 minutes the first time');
  await must('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

/** What the unit tests need of Debian: the Unicode Consortium's own test data, and a proxy. */
export async function installTools() {
  const missing = [];
  if (!existsSync('/usr/share/unicode/CaseFolding.txt')) missing.push('unicode-data');
  if (!hasProgram('nginx') && !existsSync('/usr/sbin/nginx')) missing.push('nginx-light');
  if (missing.length > 0) await installFromDebian(missing);
}

/** What the journeys need of Debian: a browser, its driver, faces for the world's scripts, and what makes a phone beside this machine. */
export async function installBrowser() {
  const missing = [];
  if (!hasProgram('chromium')) missing.push('chromium');
  if (!hasProgram('chromedriver')) missing.push('chromium-driver');
  if (!existsSync('/usr/share/fonts/truetype/noto/NotoColorEmoji.ttf')) {
    missing.push('fonts-noto-color-emoji');
  }
  if (!existsSync('/usr/share/fonts/truetype/noto/NotoSansDevanagari-Regular.ttf')) {
    missing.push('fonts-noto-core');
  }
  if (!hasProgram('certutil')) missing.push('libnss3-tools');
  if (!hasProgram('ip') && !existsSync('/usr/sbin/ip')) missing.push('iproute2');
  if (missing.length > 0) await installFromDebian(missing);
}

/** Debian's installer lets in one at a time. */
let debianIsFree = Promise.resolve();

function installFromDebian(packages) {
  const installed = debianIsFree.then(() => installNow(packages));
  debianIsFree = installed.catch(() => {});
  return installed;
}

async function installNow(packages) {
  say(`Installing ${packages.join(', ')} from Debian`);
  const isRoot = process.getuid?.() === 0;
  const command = isRoot ? [] : ['sudo'];
  if (!hasProgram('apt-get') || (!isRoot && !hasProgram('sudo'))) {
    throw new Error(`Please install ${packages.join(', ')}, then run this again.`);
  }
  // Nothing that is installed is started as a service.
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive', RUNLEVEL: '1' };
  const apt = (...args) => {
    const [program, ...rest] = [...command, 'apt-get', '-qq', ...args];
    return must(program, rest, { env });
  };
  await apt('update');
  await apt('install', '-y', '--no-install-recommends', ...packages);
}

// ── building ────────────────────────────────────────────────────────────────────────────────

/** Builds the server and the app, each only if what it is made of has changed. */
export async function build() {
  await buildServer();
  await buildApp();
}

export async function buildServer() {
  await bundleForNode('packages/server/src/main.ts', SERVER);
}

/** A program of the terminal, `stand-in` or `list`, and the words it needs; resolves with its path. */
export async function buildTerminal(name) {
  await buildLanguage();
  const outfile = join(ROOT, `packages/terminal/dist/${name}.mjs`);
  await bundleForNode(`packages/terminal/src/${name === 'list' ? 'list' : 'standIn'}/main.ts`, outfile);
  return outfile;
}

/** A program for Node in one file. */
export async function bundleForNode(entry, outfile) {
  const esbuild = await import('esbuild');
  await esbuild.build({
    absWorkingDir: ROOT,
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: ['better-sqlite3'],
    // Of what has both, the one for modules: the other cannot be bundled.
    mainFields: ['module', 'main'],
    logLevel: 'warning',
    // Bundled CommonJS packages still ask for Node's own modules.
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
  });
}

/** The language data as files, made from the packages they come from. */
async function buildLanguage() {
  const stamp = join(PUBLIC, 'language/.made-from');
  const wanted = hashOf(['package-lock.json', 'packages/language/src']);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  const esbuild = await import('esbuild');
  // Beside its source, so that it finds the packages the source would.
  const program = join(ROOT, 'packages/language/dist/write.mjs');
  await esbuild.build({
    absWorkingDir: ROOT,
    entryPoints: ['packages/language/src/write.ts'],
    outfile: program,
    bundle: true,
    platform: 'node',
    format: 'esm',
    // Packages that need Node's own ways to be found are not bundled.
    external: ['fontkit', '@unicode/*'],
    logLevel: 'warning',
  });
  await must(process.execPath, [program, join(PUBLIC, 'language'), join(PUBLIC, 'faces')]);
  writeFileSync(stamp, wanted);
}

/** Rooms of answers that have a worker. */
const WORKERS = ['audit', 'exchange', 'symbols', 'people', 'phrases'];

/**
 * The workers: what only they need is not in the app. What a worker fetches when it is first asked for stands in a file of its
 * own under `workers/`. Resolves with the paths of what is in them.
 */
async function buildWorkers() {
  const esbuild = await import('esbuild');
  const { withoutUnused } = await import('./unused.mjs');
  rmSync(join(PUBLIC, 'workers'), { recursive: true, force: true });
  const build = (room) =>
    esbuild.build({
      absWorkingDir: ROOT,
      metafile: true,
      entryPoints: { [`${room}-worker`]: `packages/app/src/answers/${room}/worker.ts` },
      outdir: PUBLIC,
      chunkNames: 'workers/[hash]',
      bundle: true,
      splitting: true,
      minify: true,
      platform: 'browser',
      format: 'esm',
      target: 'es2022',
      // Some packages have another file for where there is no document.
      conditions: ['worker'],
      plugins: [withoutUnused],
      logLevel: 'warning',
    });
  const built = await Promise.all(WORKERS.map(build));
  return built.flatMap(({ metafile }) => Object.keys(metafile.inputs));
}

async function buildApp() {
  await buildLanguage();
  await writeLocales(join(PUBLIC, 'locales'));
  const inWorkers = await buildWorkers();
  const stamp = join(SITE, '.made-from');
  const wanted = hashOf([
    'package-lock.json',
    'packages/core/src',
    'packages/core/package.json',
    'packages/replica/src',
    'packages/field/src',
    'packages/field/package.json',
    'packages/replica/package.json',
    'packages/app/src',
    'packages/app/public',
    'packages/app/app.json',
    'packages/app/babel.config.js',
    'packages/app/lingui.config.mjs',
    'packages/app/lingui.macro.cjs',
    'packages/app/paper.mappings.cjs',
    'packages/app/rem.babel.cjs',
    'packages/app/locales',
    'packages/app/metro.config.js',
    'packages/app/unused.cjs',
    'scripts/steps.mjs',
  ]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building the app: 1 to 3 minutes the first time, seconds after');
  // The maps tell which packages are in; they are not shipped.
  await exportApp('packages/app', '--source-maps', 'external');
  nameFaces(join(SITE, 'index.html'));
  startAfterFirstFrame(join(SITE, 'index.html'));
  writeLicences(inWorkers);
  copyScreenshots();
  await buildServiceWorker();
  writeFileSync(stamp, wanted);
}

/** The app that the bench measures our first screen beside. */
export async function buildEmptyApp() {
  const stamp = join(ROOT, 'bench/empty/dist/.made-from');
  const wanted = hashOf(['package-lock.json', 'bench/empty/app.json', 'bench/empty/package.json', 'bench/empty/src']);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building the empty app: 1 to 2 minutes the first time');
  await exportApp('bench/empty');
  writeFileSync(stamp, wanted);
}

/** Bundles an app of Expo for the web, into its folder `dist`. */
async function exportApp(folder, ...more) {
  const cache = join(ROOT, '.cache/metro');
  mkdirSync(cache, { recursive: true });
  const env = { ...process.env, EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1', TMPDIR: cache };
  const { code, said } = await heard(bin('expo'), ['export', '--platform', 'web', ...more], {
    cwd: join(ROOT, folder),
    env,
  });
  if (code !== 0) throw new Error(`${folder} did not build:\n${said}`);
}

/** The page's scripts are fetched at once and run by start.js: see there. */
function startAfterFirstFrame(page) {
  const html = readFileSync(page, 'utf8');
  const scripts = [...html.matchAll(/<script src="([^"]+)" defer><\/script>/g)];
  if (scripts.length === 0) throw new Error(`no scripts in ${page}`);
  const bare = scripts.reduce((text, [script]) => text.replace(script, ''), html);
  const preloads = scripts.map(([, src]) => `<link rel="preload" as="script" href="${src}" />`).join('');
  const started = bare
    .replace('</head>', `${preloads}</head>`)
    .replace('</body>', '<script src="/start.js" defer></script></body>');
  writeFileSync(page, started);
}

/**
 * The faces of look/fonts.ts are named in the page, where expo-font finds them: named later, they would have all that stands
 * there laid out anew.
 */
function nameFaces(page) {
  const fonts = readFileSync(join(ROOT, 'packages/app/src/look/fonts.ts'), 'utf8');
  const shipped = filesBelow(SITE);
  const rules = [...fonts.matchAll(/'([^']+)':\s*require\('([^']+)\.woff2'\)/g)].map(([, name, file]) => {
    const path = shipped.find((one) => basename(one).startsWith(`${basename(file)}.`) && one.endsWith('.woff2'));
    if (!path) throw new Error(`the face ${name} is not in ${SITE}`);
    const address = `/${relative(SITE, path).replaceAll('\\', '/')}`;
    return `@font-face{font-family:"${name}";src:url("${address}");font-display:auto}`;
  });
  if (rules.length === 0) throw new Error('no faces in look/fonts.ts');
  const html = readFileSync(page, 'utf8');
  writeFileSync(page, html.replace('</head>', `<style id="expo-generated-fonts">${rules.join('')}</style></head>`));
}

/** The licences of all that is shipped, for the page About. `inWorkers`: paths of what is in the workers. */
function writeLicences(inWorkers) {
  const maps = filesBelow(SITE).filter((path) => path.endsWith('.map'));
  writeFileSync(join(SITE, 'licences.json'), JSON.stringify(licencesOf([...sourcesOf(maps), ...inWorkers], ROOT)));
  for (const map of maps) rmSync(map);
}

/** The pictures that a browser shows of the app before it installs it: those of the docs that the manifest names. */
function copyScreenshots() {
  const { screenshots } = JSON.parse(readFileSync(join(PUBLIC, 'manifest.webmanifest'), 'utf8'));
  mkdirSync(join(SITE, 'screenshots'), { recursive: true });
  for (const { src } of screenshots) copyFileSync(join(ROOT, 'docs', src), join(SITE, src));
}

/** The service worker, with the list of all files that the app is made of; it is bundled when these are there. */
async function buildServiceWorker() {
  const esbuild = await import('esbuild');
  const files = filesBelow(SITE).map((path) => relative(SITE, path).replaceAll('\\', '/'));
  const kept = files.filter(
    (path) =>
      !/^(language\/|faces\/|locales\/|screenshots\/|licences\.json$|metadata\.json$|service-worker\.js$)|(^|\/)\.|\.map$/.test(
        path,
      ),
  );
  const precache = kept.map((path) => {
    const isHashed = /^(_expo\/static|assets)\//.test(path);
    const revision = isHashed
      ? null
      : createHash('sha256')
          .update(readFileSync(join(SITE, path)))
          .digest('hex')
          .slice(0, 20);
    return { url: `/${path}`, revision };
  });
  await esbuild.build({
    absWorkingDir: ROOT,
    entryPoints: ['packages/app/src/offline/serviceWorker.ts'],
    outfile: join(SITE, 'service-worker.js'),
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
    define: { PRECACHE: JSON.stringify(precache), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths.flatMap((start) => filesBelow(join(ROOT, start)))) {
    if (/\.test\.tsx?$/.test(path)) continue;
    hash.update(relative(ROOT, path)).update('\0').update(readFileSync(path)).update('\0');
  }
  return hash.digest('hex');
}

/** The files of a folder and of those in it, sorted; of a file, itself. */
export function filesBelow(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)));
}

/** For a command's last line: what went wrong in one sentence, and an exit code. */
export function fail(error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
