/** What a list takes in memory: the page in Chromium and the check in its worker, beside the same list as plain objects. */
import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Stand } from '../e2e/stand';
import { auditMemory } from './audit';
import { heapOf } from './anywhere';
import { madeUpList } from './lists';
import { memoryInUse, round, type Figure } from './measure';

/** The heap of a page with so many shortcuts, synced and at rest, in bytes. */
async function pageMemory(count: number): Promise<number> {
  const stand = await Stand.start('empty');
  const browser = await Browser.start('phone');
  try {
    if (count > 0) {
      const list = madeUpList(count, 1, 3).map(({ code, expansion }): Pair => [code, textOf(expansion)]);
      await (await OtherDevice.join(stand.address)).make(...list);
    }
    const app = await new App(browser, stand.address).open();
    await browser.driver.wait(async () => (await app.text()).includes('Synced'), 120_000);
    return await heapOf(browser);
  } finally {
    await browser.end();
    await stand.end();
  }
}

const textOf = (expansion: string) => `The ${expansion} is written out here`;

/** The same shortcuts as plain objects, as JSON gives them. */
function plainMemory(count: number): number {
  const text = JSON.stringify(
    madeUpList(count, 1, 3).map(({ id, code, expansion }) => ({
      id,
      code,
      content: { expansion: textOf(expansion), template: false, format: 'plain' },
      kind: 'message',
      setId: null,
      private: false,
      changed: 1_795_000_000_000,
    })),
  );
  const before = memoryInUse();
  const list = JSON.parse(text) as unknown[];
  const bytes = memoryInUse() - before;
  if (list.length !== count) throw new Error('the list is gone');
  return bytes;
}

export async function pageMemories(): Promise<Figure[]> {
  const empty = await pageMemory(0);
  const figures: Figure[] = [];
  for (const count of [10_000, 50_000]) {
    const page = (await pageMemory(count)) - empty;
    const worker = auditMemory(count);
    const plain = plainMemory(count);
    const ratio = (page + worker) / plain;
    figures.push({
      name: `page-memory-${count}`,
      what: `memory for ${count.toLocaleString('en')} shortcuts, beyond an empty list: page ${round(page / 1e6)} MB (in Chromium), check ${round(worker / 1e6)} MB (in Node)`,
      ours: round((page + worker) / 1e6),
      peer: `${round(plain / 1e6)} MB, the list as plain objects`,
      ratio: round(ratio),
      unit: 'MB',
      bar: '≤ 3',
      limit: 'held once: 1',
      holds: ratio <= 3,
    });
  }
  return figures;
}
