import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

import { asShortcut, isDeleted, makeClock, ProblemSchema, readClock } from '@yellow-latch/core/sync';
import request from 'supertest';
import { v4, v7 as uuid } from 'uuid';

import { changes, devices } from './schema';
import { newSecret, NOW, testServer, TestDevice, WHOLE, type TestServer } from './testing';

let server: TestServer;
let phone: TestDevice;

beforeEach(async () => {
  server = testServer();
  phone = await TestDevice.join(server.app);
});
afterEach(() => server.end());

describe('a change', () => {
  test('is taken, and every device gets the record', async () => {
    const computer = await TestDevice.join(server.app);
    const change = phone.change();
    const answer = await phone.push([change]);
    expect(answer.status).toBe(200);
    expect(answer.body).toEqual({ taken: 1, through: 1 });
    const page = await computer.pages();
    expect(page.acknowledged).toBe(0);
    expect(asShortcut(page.records[0]!)).toMatchObject({ id: change.record.id, ...WHOLE });
  });

  test('is stored as given, code point by code point', async () => {
    const expansion = 'Cafe\u0301 👩‍👩‍👧 🇸🇪 क्षि\n\ttab {brace} \\';
    await phone.push([phone.change({ ...WHOLE, content: { ...WHOLE.content, expansion } })]);
    expect(asShortcut((await phone.pages()).records[0]!).content.expansion).toBe(expansion);
  });

  test('sent twice is taken once, quietly', async () => {
    const change = phone.change();
    await phone.push([change]);
    const again = await phone.push([change, phone.change({ code: ';w2' }, change.record.id)]);
    expect(again.status).toBe(200);
    expect(again.body).toMatchObject({ taken: 2, through: 2 });
    expect(server.db.select().from(changes).all()).toHaveLength(2);
  });

  test('sent again under a new number, by a device that began anew, is taken once', async () => {
    const change = phone.change();
    await phone.push([change]);
    const next = await TestDevice.join(server.app);
    const answer = await next.push([{ ...change, clock: makeClock(NOW, 1, next.id), device: next.id, n: 1 }]);
    expect(answer.body).toMatchObject({ taken: 1, through: 1 });
  });

  test('that had not seen another leaves both, the later shown', async () => {
    const computer = await TestDevice.join(server.app);
    await phone.push([phone.change()]);
    const [known] = (await computer.pages()).records;
    const late = computer.change({ code: ';late' }, known!.id, known, NOW + 2_000);
    const early = phone.change({ code: ';early' }, known!.id, known, NOW + 1_000);
    await computer.push([late]);
    await phone.push([early]);
    const [merged] = (await phone.pages()).records;
    expect(asShortcut(merged!).code).toBe(';late');
    expect(merged!.fields.code!.map(({ value }) => value)).toEqual([';late', ';early']);
  });

  test('from a clock that runs ahead is stamped anew, in the order it came', async () => {
    const id = uuid();
    const hour = 3_600_000;
    const first = phone.change(WHOLE, id, undefined, NOW + hour);
    await phone.push([first]);
    const [known] = (await phone.pages()).records;
    await phone.push([phone.change({ code: ';next' }, id, known, NOW + hour)]);
    const [record] = (await phone.pages()).records;
    expect(asShortcut(record!).code).toBe(';next');
    expect(readClock(record!.fields.code![0]!.clock).time).toBe(NOW);
  });

  test('that deletes what was never there is a quiet success', async () => {
    const answer = await phone.push([phone.change({ deleted: true })]);
    expect(answer.status).toBe(200);
    expect(answer.body).toEqual({ taken: 1, through: 0 });
  });

  test('deletes, and another brings it back', async () => {
    const { record } = phone.change();
    phone.n = 0;
    await phone.push([phone.change(WHOLE, record.id)]);
    const [made] = (await phone.pages()).records;
    await phone.push([phone.change({ deleted: true }, record.id, made)]);
    const [gone] = (await phone.pages()).records;
    expect(isDeleted(gone!)).toBe(true);
    await phone.push([phone.change({ deleted: false }, record.id, gone)]);
    expect(isDeleted((await phone.pages()).records[0]!)).toBe(false);
  });
});

describe('a bad request is answered with a problem, and the server goes on', () => {
  afterEach(async () => {
    const well = await TestDevice.join(server.app);
    expect((await well.push([well.change()])).status).toBe(200);
  });

  test.each<[string, (device: TestDevice) => object, number, string]>([
    ['no changes', () => ({ changes: [] }), 422, '/changes'],
    ['changes of a wrong type', () => ({ changes: 'all' }), 422, '/changes'],
    ['an unknown field', (d) => ({ changes: [{ ...d.change(), extra: 1 }] }), 422, '/changes/0'],
    [
      'an unknown field of the record',
      (d) => ({ changes: [d.change(), { ...d.change(), fields: { ...WHOLE, colour: 'red' } }] }),
      422,
      '/changes/1/fields',
    ],
    [
      'an expansion over the limit',
      (d) => ({ changes: [d.change({ content: { ...WHOLE.content, expansion: 'x'.repeat(20_001) } })] }),
      422,
      '/changes/0/fields/content/expansion',
    ],
    [
      'a lone surrogate',
      (d) => ({ changes: [d.change({ ...WHOLE, code: ';\ud800' })] }),
      422,
      '/changes/0/fields/code',
    ],
    [
      'a record that would be incomplete',
      (d) => ({ changes: [d.change(), d.change({ code: ';x' })] }),
      422,
      '/changes/1/fields',
    ],
    ['another device’s change', (d) => ({ changes: [{ ...d.change(), device: uuid() }] }), 422, '/changes/0/device'],
    ['an id that is no UUIDv7', (d) => ({ changes: [{ ...d.change(), id: v4() }] }), 422, '/changes/0/id'],
  ])('%s', async (_name, body, status, pointer) => {
    const answer = await phone.post(`/api/d/${phone.id}/changes`, body(phone));
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    const problem = ProblemSchema.parse(JSON.parse(answer.text));
    expect(problem.errors?.map((error) => error.pointer)).toContain(pointer);
    expect(server.db.select().from(changes).all()).toEqual([]);
  });

  test('wrong JSON', async () => {
    const answer = await request(server.app)
      .post(`/api/d/${phone.id}/changes`)
      .set('Cookie', phone.cookie)
      .set('Content-Type', 'application/json')
      .send('{"changes": [');
    expect(answer.status).toBe(400);
    expect(JSON.parse(answer.text)).toMatchObject({ type: '/problems/not-json', status: 400 });
  });

  test('a body that is not JSON at all', async () => {
    const answer = await request(server.app)
      .post(`/api/d/${phone.id}/changes`)
      .set('Cookie', phone.cookie)
      .type('text/plain')
      .send('changes');
    expect(answer.status).toBe(415);
  });

  test('2 MB at once', async () => {
    const answer = await phone.post(`/api/d/${phone.id}/changes`, { changes: ['x'.repeat(2_000_000)] });
    expect(answer.status).toBe(413);
    expect(JSON.parse(answer.text)).toMatchObject({ type: '/problems/too-large' });
  });

  test('a gap in a device’s numbers, told with the number expected', async () => {
    phone.n = 4;
    const answer = await phone.push([phone.change()]);
    expect(answer.status).toBe(409);
    expect(JSON.parse(answer.text)).toMatchObject({ type: '/problems/gap', expected: 1 });
  });

  test('a number that stands for another change', async () => {
    await phone.push([phone.change()]);
    phone.n = 0;
    const answer = await phone.push([phone.change()]);
    expect(answer.status).toBe(409);
    expect(JSON.parse(answer.text)).toMatchObject({ type: '/problems/number-reused' });
  });

  test('an address where nothing is', async () => {
    const answer = await phone.get('/api/nothing');
    expect(answer.status).toBe(404);
    expect(answer.type).toBe('application/problem+json');
  });

  test.each(['since=-1', 'since=soon', 'limit=0'])('a page asked for with %s', async (query) => {
    expect((await phone.get(`/api/d/${phone.id}/pages?${query}`)).status).toBe(422);
  });
});

describe('who may ask', () => {
  test('only a device with its own token', async () => {
    const other = await TestDevice.join(server.app);
    const path = `/api/d/${phone.id}/pages`;
    expect((await request(server.app).get(path)).status).toBe(401);
    expect((await other.get(path)).status).toBe(401);
    expect((await phone.get(`/api/d/${uuid()}/pages`)).status).toBe(401);
    expect((await phone.get(path)).status).toBe(200);
  });

  test('the token is in the cookie of its path alone, and only its hash is kept', async () => {
    const id = uuid();
    const answer = await request(server.app).post('/api/devices').send({ id, name: 'Tablet', kind: 'tablet' });
    const cookie = answer.headers['set-cookie']![0]!;
    expect(cookie).toMatch(/; Path=\/api\/d\/[0-9a-f-]+; HttpOnly; SameSite=Strict$/);
    expect(cookie).toContain(id);
    const token = /=([^;]+)/.exec(cookie)![1]!;
    expect(JSON.stringify(server.db.select().from(devices).all())).not.toContain(token);
    expect(Buffer.from(token, 'base64url')).toHaveLength(32);
  });

  test('a device may ask to be admitted again by its own secret until it has shown its token', async () => {
    const [id, secret] = [uuid(), newSecret()];
    await TestDevice.join(server.app, id, secret);
    const second = await TestDevice.join(server.app, id, secret);
    expect((await second.get(`/api/d/${id}/pages`)).status).toBe(200);
    const third = await request(server.app).post('/api/devices').send({ id, name: 'Phone', kind: 'phone', secret });
    expect(third.status).toBe(409);
  });

  test('not a page of another site, nor one that came under another name', async () => {
    const post = () => request(server.app).post('/api/devices').send({ id: uuid(), name: 'P', kind: 'phone' });
    expect((await post().set('Origin', 'http://elsewhere.example')).status).toBe(403);
    expect((await post().set('Origin', 'null')).status).toBe(403);
    expect((await post().set('Host', 'elsewhere.example')).status).toBe(421);
  });
});

describe('pages', () => {
  test('go on where the last one ended, each record once, at its last change', async () => {
    const made = [1, 2, 3, 4, 5].map(() => phone.change());
    await phone.push(made);
    await phone.push([phone.change({ code: ';new' }, made[0]!.record.id)]);
    const seen: string[] = [];
    let since = 0;
    for (let more = true; more;) {
      const page = await phone.pages(since, 2);
      seen.push(...page.records.map(({ id }) => id));
      ({ through: since, more } = page);
    }
    expect(since).toBe(6);
    expect(seen).toEqual([...made.slice(1), made[0]!].map(({ record }) => record.id));
  });
});

test('all is there after a restart, in a folder private to its user', async () => {
  await phone.push([phone.change()]);
  expect(statSync(server.data).mode & 0o777).toBe(0o700);
  server.db.$client.close();
  server = testServer(server.data);
  const answer = await request(server.app).get(`/api/d/${phone.id}/pages`).set('Cookie', phone.cookie);
  expect(answer.body).toMatchObject({ through: 1, taken: 1 });
});

test('every answer carries the headers that protect a page', async () => {
  const { headers } = await phone.get('/api/nothing');
  expect(headers['content-security-policy']).toContain("script-src 'self'");
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-powered-by']).toBeUndefined();
});

describe('what is erased', () => {
  const SECRET = 'GB82 WEST 1234 5698 7654 32';
  const withSecret = { ...WHOLE, content: { ...WHOLE.content, expansion: SECRET } };
  const isInFiles = () =>
    readdirSync(server.data).some((file) => readFileSync(join(server.data, file)).includes(SECRET));

  test('is gone from records, log and files, also what came later of it', async () => {
    const computer = await TestDevice.join(server.app);
    const made = phone.change(withSecret);
    await phone.push([made]);
    expect(isInFiles()).toBe(true);
    const [known] = (await computer.pages()).records;
    await phone.push([phone.change({ deleted: 'erased' }, made.record.id, known)]);
    expect(isInFiles()).toBe(false);
    const page = await computer.pages();
    expect(isDeleted(page.records[0]!)).toBe(true);
    expect(JSON.stringify(page)).not.toContain(SECRET);
    // A device that was away sends an edit made before it knew.
    await computer.push([
      computer.change({ content: { ...withSecret.content, expansion: `${SECRET} ` } }, made.record.id, known),
    ]);
    expect(isInFiles()).toBe(false);
    expect(isDeleted((await phone.pages()).records[0]!)).toBe(true);
    expect(JSON.stringify(server.db.select().from(changes).all())).not.toContain(SECRET);
  });
});
