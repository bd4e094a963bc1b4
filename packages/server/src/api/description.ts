/**
 * The API described: every route with its schemas, answers and problems, as OpenAPI 3.1
 * (https://spec.openapis.org/oas/v3.1.1.html). The schemas are those that requests are parsed with.
 */
import {
  DeviceSettingsSchema,
  DirectorySchema,
  DoorSchema,
  HistorySchema,
  InvitationSchema,
  JoinSchema,
  NewDeviceSchema,
  NewListSchema,
  PageSchema,
  ProblemSchema,
  PushAnswerSchema,
  PushSchema,
  RecoverySchema,
  SpareKeySchema,
  WelcomeSchema,
} from '@yellow-latch/core/sync';
import { z } from 'zod';
import { createDocument, type oas31 } from 'zod-openapi';

import { HealthSchema } from '../health';
import { PROBLEMS, type ProblemSlug } from '../problems';
import { HistoryQuerySchema, SinceSchema } from './queries';

/** What is sent to it. */
const BODIES = {
  NewDevice: NewDeviceSchema,
  NewList: NewListSchema,
  Join: JoinSchema,
  Recovery: RecoverySchema,
  Push: PushSchema,
  DeviceSettings: DeviceSettingsSchema,
};

/** What it answers. */
const ANSWERS = {
  Health: HealthSchema,
  Door: DoorSchema,
  Welcome: WelcomeSchema,
  PushAnswer: PushAnswerSchema,
  Page: PageSchema,
  History: HistorySchema,
  Directory: DirectorySchema,
  Invitation: InvitationSchema,
  SpareKey: SpareKeySchema,
  Problem: ProblemSchema,
};

interface Route {
  does: string;
  query?: z.ZodObject;
  /** What is sent, by its name in `BODIES`. */
  body?: keyof typeof BODIES;
  /** The answer when all is well, by its name in `ANSWERS`; without one it has no body. */
  status: number;
  answer?: keyof typeof ANSWERS;
  /** What else it may answer beside what every route may. */
  problems: readonly ProblemSlug[];
  /** Its answer is a stream of server-sent events, each an answer. */
  isStream?: boolean;
}

/** What any request may be answered, and beside that what any that sends a body or deletes, and what any that shows a token. */
export const SHARED_PROBLEMS = {
  all: ['bad-request', 'busy', 'disk-fails', 'foreign-host', 'foreign-origin', 'not-found', 'not-http', 'unexpected'],
  writing: ['cut', 'disk-full', 'invalid', 'not-json', 'read-only', 'too-large'],
  devices: ['device-unknown', 'list-deleted', 'signed-out', 'two-identities'],
} as const satisfies Record<string, readonly ProblemSlug[]>;
/** What those may that are for devices which look after their list, and those by which a device joins. */
const OF_MANAGING = ['only-use', 'some-sets'] as const;
const OF_JOINING = ['device-known', 'list-full'] as const;

/** Every route, as `METHOD path`. */
export const ROUTES: Readonly<Record<string, Route>> = {
  'GET /api/health': {
    does: 'Whether the server is up and can save; with `?live`, whether it is up.',
    status: 200,
    answer: 'Health',
    problems: [],
  },
  'GET /api/openapi.json': { does: 'This description.', status: 200, problems: [] },
  'GET /api/door': {
    does: 'How one gets in: an open list, lists that can be started, or by code alone.',
    status: 200,
    answer: 'Door',
    problems: [],
  },
  'POST /api/devices': {
    does: 'Joins the open list, where there is one.',
    body: 'NewDevice',
    status: 201,
    answer: 'Welcome',
    problems: ['closed', ...OF_JOINING],
  },
  'POST /api/lists': {
    does: 'Starts a list with its first device.',
    body: 'NewList',
    status: 201,
    answer: 'Welcome',
    problems: ['invite-only', 'list-known', 'server-full', 'too-many-tries', ...OF_JOINING],
  },
  'POST /api/joins': {
    does: 'Joins a list with a code from one of its devices.',
    body: 'Join',
    status: 201,
    answer: 'Welcome',
    problems: ['code-unknown', 'too-many-tries', ...OF_JOINING],
  },
  'POST /api/recoveries': {
    does: 'Joins a list with its spare key.',
    body: 'Recovery',
    status: 201,
    answer: 'Welcome',
    problems: ['key-unknown', 'too-many-tries', ...OF_JOINING],
  },
  'POST /api/d/{device}/changes': {
    does: 'Sends changes, all or none. Changes sent before are passed over.',
    body: 'Push',
    status: 200,
    answer: 'PushAnswer',
    problems: ['encoded', 'erasing', 'gap', 'incomplete', 'list-too-large', 'not-got', 'number-reused', 'only-use'],
  },
  'GET /api/d/{device}/pages': {
    does: 'The records that have changed since a number.',
    query: SinceSchema,
    status: 200,
    answer: 'Page',
    problems: ['invalid', 'set-back'],
  },
  'GET /api/d/{device}/stream': {
    does: 'The same as events, for as long as it is open. `Last-Event-ID` says where it goes on.',
    query: SinceSchema,
    status: 200,
    answer: 'Page',
    problems: ['invalid', 'set-back'],
    isStream: true,
  },
  'GET /api/d/{device}/history': {
    does: 'The log, latest first.',
    query: HistoryQuerySchema,
    status: 200,
    answer: 'History',
    problems: ['invalid'],
  },
  'GET /api/d/{device}/devices': {
    does: 'The devices of the list.',
    status: 200,
    answer: 'Directory',
    problems: [],
  },
  'PATCH /api/d/{device}/devices/{other}': {
    does: 'Names a device, says what it can do and which sets it gets.',
    body: 'DeviceSettings',
    status: 200,
    answer: 'Directory',
    problems: ['itself', 'last-editor', ...OF_MANAGING],
  },
  'DELETE /api/d/{device}/devices/{other}': {
    does: 'Signs a device out.',
    status: 200,
    answer: 'Directory',
    problems: ['last-editor', ...OF_MANAGING],
  },
  'POST /api/d/{device}/invitations': {
    does: 'Makes a join code.',
    status: 201,
    answer: 'Invitation',
    problems: ['too-many-codes', ...OF_MANAGING],
  },
  'DELETE /api/d/{device}/invitations/{code}': { does: 'Cancels a join code.', status: 204, problems: ['invalid'] },
  'POST /api/d/{device}/spare-key': {
    does: 'Makes a new spare key; the one before ends.',
    status: 201,
    answer: 'SpareKey',
    problems: [...OF_MANAGING],
  },
  'POST /api/d/{device}/successor': {
    does: 'Goes on as another device, since the numbers of this one are spent.',
    body: 'NewDevice',
    status: 201,
    answer: 'Welcome',
    problems: ['too-many-tries', ...OF_JOINING],
  },
  'DELETE /api/d/{device}/list': {
    does: 'Deletes the list for every device.',
    status: 204,
    problems: ['erasing', 'open-list', ...OF_MANAGING],
  },
};

/** All that a route may be answered when something is wrong. */
function problemsOf(name: string): ProblemSlug[] {
  const { problems } = ROUTES[name]!;
  const [method, path] = name.split(' ') as [string, string];
  return [
    ...new Set([
      ...problems,
      ...SHARED_PROBLEMS.all,
      ...(method === 'GET' ? [] : SHARED_PROBLEMS.writing),
      ...(path.startsWith('/api/d/') ? SHARED_PROBLEMS.devices : []),
    ]),
  ].sort();
}

/** The description as a document. `version`: of the server. */
export function describeApi(version: string): ReturnType<typeof createDocument> {
  const paths: Record<string, Record<string, object>> = {};
  for (const [name, { does, query, body, status, answer, isStream = false }] of Object.entries(ROUTES)) {
    const [method, path] = name.split(' ') as [string, string];
    const slugs = problemsOf(name);
    const responses: Record<string, object> = {
      [status]: {
        description: 'Done.',
        ...(answer
          ? { content: { [isStream ? 'text/event-stream' : 'application/json']: { schema: named(answer) } } }
          : {}),
      },
    };
    for (const code of new Set(slugs.flatMap((slug) => PROBLEMS[slug].statuses))) {
      const which = slugs.filter((slug) => (PROBLEMS[slug].statuses as readonly number[]).includes(code));
      responses[code] = {
        description: which.map((slug) => `\`${slug}\`: ${PROBLEMS[slug].means}`).join(' '),
        content: { 'application/problem+json': { schema: named('Problem') } },
      };
    }
    (paths[path] ??= {})[method.toLowerCase()] = {
      operationId: name
        .replace('/api/', ' ')
        .replace(/[^A-Za-z]+(.)/gu, (_all, letter: string) => letter.toUpperCase())
        .replace(/[^A-Za-z]/gu, ''),
      summary: does,
      ...(path.startsWith('/api/d/') ? { security: [{ token: [] }] } : {}),
      parameters: [...path.matchAll(/\{(\w+)\}/gu)].map(([, parameter]) => ({
        name: parameter,
        in: 'path',
        required: true,
        schema: parameter === 'code' ? { type: 'string' } : { type: 'string', format: 'uuid' },
      })),
      ...(query ? { requestParams: { query } } : {}),
      ...(body ? { requestBody: { required: true, content: { 'application/json': { schema: named(body) } } } } : {}),
      responses,
    };
  }
  return createDocument({
    openapi: '3.1.1',
    info: {
      title: 'Yellow Latch',
      version,
      description: 'One list of shortcuts, in sync on all devices.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/' }],
    security: [],
    components: {
      schemas: Object.fromEntries(
        Object.entries({ ...BODIES, ...ANSWERS }).map(([name, schema]) => [name, asSent(schema)]),
      ),
      securitySchemes: {
        token: {
          type: 'apiKey',
          in: 'cookie',
          name: 'yellow-latch-token',
          description: 'Given when a device joins; on the path of that device alone.',
        },
      },
    },
    paths,
  });
}

const named = (schema: string) => ({ $ref: `#/components/schemas/${schema}` });

/** A schema as what is sent: what goes into parsing. */
function asSent(parsed: z.ZodType): oas31.SchemaObject {
  const { $schema: _dialect, ...schema } = z.toJSONSchema(parsed, {
    io: 'input',
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      // What no JSON Schema says: records, looked at no closer than to tell that they are some.
      if (zodSchema._zod.def.type === 'custom') Object.assign(jsonSchema, RECORDS);
    },
  });
  return schema as oas31.SchemaObject;
}
const RECORDS = {
  type: 'array',
  items: {
    type: 'object',
    properties: { type: { type: 'string' }, id: { type: 'string' } },
    required: ['type', 'id'],
  },
};

const PATTERNS = Object.keys(ROUTES).map((name) => {
  const [method, path] = name.split(' ') as [string, string];
  return { method, path, pattern: new RegExp(`^${path.replaceAll(/\{\w+\}/gu, '[^/]+')}/?$`, 'iu') };
});

/** The route of a request as it may be logged and counted: without ids. Outside the API, a page or a file of the app. */
export function routeOf(method: string, url: string): string {
  const path = url.split('?', 1)[0]!;
  if (!path.startsWith('/api')) return /\.[a-z0-9]+$/iu.test(path) ? 'file' : 'page';
  const wanted = method === 'HEAD' ? 'GET' : method;
  return PATTERNS.find((route) => route.method === wanted && route.pattern.test(path))?.path ?? 'unknown';
}
