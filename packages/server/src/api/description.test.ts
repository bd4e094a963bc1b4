/** The description of the API, against the routes there are and a public validator of OpenAPI. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { Validator } from '@seriousme/openapi-schema-validator';
import request from 'supertest';

import { version } from '../../package.json';
import { PROBLEMS } from '../problems';
import { testServer, type TestServer } from '../testing';
import { describeApi, ROUTES, routeOf } from './description';
import { renderApi } from './rendered';

let server: TestServer;
beforeAll(() => {
  server = testServer();
});
afterAll(() => server.end());

/** A step on the way of a request through Express. */
interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle: { stack?: Layer[] };
  /** Whether it is on every path. */
  slash: boolean;
  match(path: string): boolean;
}
const MOUNTS = ['/api', '/d/:device'];

function routesIn(layers: readonly Layer[], before = ''): string[] {
  return layers.flatMap((layer) => {
    const { route, handle, slash } = layer;
    if (route) return Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${before}${route.path}`);
    if (!handle.stack) return [];
    const mount = slash ? '' : MOUNTS.find((path) => layer.match(`${path}/x`));
    if (mount === undefined) throw new Error('a router is mounted where this test does not look');
    return routesIn(handle.stack, before + mount);
  });
}

test('every route is described, and nothing else is', () => {
  const { stack } = (server.app.express as unknown as { router: { stack: Layer[] } }).router;
  const there = routesIn(stack).map((route) => route.replaceAll(/:(\w+)/gu, '{$1}'));
  expect(there.sort()).toEqual(Object.keys(ROUTES).sort());
});

test('it is valid OpenAPI 3.1, by a public validator', async () => {
  const { body } = (await request(server.app).get('/api/openapi.json').expect(200)) as {
    body: Record<string, unknown>;
  };
  const validator = new Validator();
  expect(await validator.validate(body)).toMatchObject({ valid: true });
  expect(validator.version).toBe('3.1');
  // The validator is one that finds something.
  expect(await validator.validate({ ...body, paths: { '/x': { get: { responses: 5 } } } })).toMatchObject({
    valid: false,
  });
});

test('every problem that the code can answer with is described by a route, and none that it cannot', () => {
  const told = JSON.stringify(describeApi(version));
  const source = readdirSync(join(__dirname, '..'), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.ts$/u.test(file) && !/(\.test|problems|description)\.ts$/u.test(file))
    .map((file) => readFileSync(join(__dirname, '..', file), 'utf8'))
    .join('\n');
  for (const slug of Object.keys(PROBLEMS)) {
    expect(told).toContain(`\`${slug}\`: `);
    expect(source).toMatch(new RegExp(`'${slug}'|/problems/${slug}`, 'u'));
  }
});

test('docs/api.md is as the schemas are; npm run api writes it', () => {
  const page = readFileSync(join(__dirname, '../../../../docs/api.md'), 'utf8');
  expect(renderApi(describeApi(version))).toBe(page);
});

test.each([
  ['POST', '/api/d/0193e0a0-0000-7000-8000-000000000001/changes', '/api/d/{device}/changes'],
  ['DELETE', '/api/d/0193e0a0-0000-7000-8000-000000000001/invitations/AB12-CD34', '/api/d/{device}/invitations/{code}'],
  ['HEAD', '/api/door?x=1', '/api/door'],
  ['GET', '/api/lists', 'unknown'],
  ['GET', '/join', 'page'],
  ['GET', '/_expo/static/js/web/entry-0a.js', 'file'],
])('%s %s is logged and counted as %s', (method, url, route) => {
  expect(routeOf(method, url)).toBe(route);
});
