/** What is read of a long list and a long log is read in portions: nobody waits for another's reading. */
import { HistorySchema, PageSchema, type History, type Page } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { changes } from './schema';
import { TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let phone: TestDevice;
beforeEach(async () => {
  server = testServer();
  phone = await TestDevice.join(server.app);
});
afterEach(() => server.end());

const history = async (query = ''): Promise<History> =>
  HistorySchema.parse((await phone.get(phone.at(`/history?${query}`))).body);
/** All of it, answer by answer. */
async function wholeHistory(query = ''): Promise<History['changes'][]> {
  const answers: History['changes'][] = [];
  for (let before: number | null | undefined; before !== null;) {
    const answer = await history(`${query}${before === undefined ? '' : `&before=${before}`}`);
    answers.push(answer.changes);
    before = answer.next;
  }
  return answers;
}

async function pushMany(many: number, together?: string, fields = WHOLE): Promise<void> {
  for (let made = 0; made < many; made += 200) {
    await phone.push(
      Array.from({ length: Math.min(200, many - made) }, () => ({
        ...phone.change({ ...fields, code: `;c${phone.n}` }),
        ...(together ? { together } : {}),
      })),
    );
  }
}

test('a page ends where it is large, and the next goes on', async () => {
  const long = { ...WHOLE, content: { ...WHOLE.content, expansion: 'x'.repeat(19_000) } };
  for (let push = 0; push < 10; push += 1) await pushMany(40, undefined, long);
  const pages: Page[] = [];
  for (let since = 0, more = true; more;) {
    const answer = await phone.get(phone.at(`/pages?since=${since}`));
    expect(answer.text.length).toBeLessThan(1_600_000);
    pages.push(PageSchema.parse(answer.body));
    ({ through: since, more } = pages.at(-1)!);
  }
  expect(pages.length).toBeGreaterThan(2);
  expect(new Set(pages.flatMap(({ records }) => records.map(({ id }) => id))).size).toBe(400);
});

describe('history', () => {
  test('tells eight of a large group, with its size, and passes over the rest of it at once', async () => {
    await pushMany(3);
    const together = uuid();
    await pushMany(3_000, together);
    await pushMany(2);
    const { changes: told, next } = await history();
    expect([told.length, next]).toEqual([13, null]);
    expect(told.filter((change) => change.together?.id === together).map((change) => change.together)).toEqual(
      Array(8).fill({ id: together, size: 3_000, shortcuts: 3_000 }),
    );
  });

  test('a group with changes of others in between is told the same, over several answers, each change once', async () => {
    const other = await TestDevice.join(server.app);
    const together = uuid();
    for (let round = 0; round < 11; round += 1) {
      await pushMany(200, together);
      await other.push([other.change({ ...WHOLE, code: `;o${round}` })]);
    }
    const answers = await wholeHistory('limit=4');
    const told = answers.flat();
    expect(told.filter((change) => change.together === null)).toHaveLength(11);
    expect(told.filter((change) => change.together?.id === together)).toHaveLength(8);
    expect(new Set(told.map(({ number }) => number)).size).toBe(told.length);
  });

  test('looks at so much for one answer, and says where to go on', async () => {
    await pushMany(1);
    const [known] = (await phone.pages()).records;
    // Counting of uses is no history.
    for (let push = 1; push <= 13; push += 1) {
      await phone.push(
        Array.from({ length: 200 }, (_, index) =>
          phone.change({ used: { count: push * 200 + index, since: 0 } }, known!.id, known),
        ),
      );
    }
    const first = await history();
    expect(first.changes).toEqual([]);
    expect(first.next).toBeGreaterThan(1);
    expect((await wholeHistory()).flat()).toHaveLength(1);
  });

  test('ends an answer that has much text', async () => {
    const long = { ...WHOLE, content: { ...WHOLE.content, expansion: 'x'.repeat(19_000) } };
    for (let push = 0; push < 4; push += 1) await pushMany(40, undefined, long);
    const answers = await wholeHistory('limit=500');
    expect(answers.length).toBeGreaterThan(1);
    expect(answers.flat()).toHaveLength(160);
  });

  test('of what was deleted is found without looking through what was not', async () => {
    await pushMany(1);
    const [known] = (await phone.pages()).records;
    await phone.push([phone.change({ deleted: true }, known!.id, known)]);
    await pushMany(2_500);
    const told = await history('deleted=1');
    expect([told.changes.map(({ record }) => record.id), told.next]).toEqual([[known!.id], null]);
    const { detail } = server.db.$client
      .prepare(
        `EXPLAIN QUERY PLAN ${server.db.select({ number: changes.number }).from(changes).toSQL().sql} WHERE "listId" = ? AND "deletes" = 1 ORDER BY number DESC`,
      )
      .get(server.listId) as { detail: string };
    expect(detail).toContain('changes_deletes');
  });
});
