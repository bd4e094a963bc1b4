/** The description of the API as a page to read: docs/api.md. */
import { PROBLEMS } from '../problems';
import { ROUTES, SHARED_PROBLEMS, type describeApi } from './description';

type Document = ReturnType<typeof describeApi>;

/** What is read of a JSON Schema here. */
interface Schema {
  $ref?: string;
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  format?: string;
  anyOf?: Schema[];
  oneOf?: Schema[];
  items?: Schema;
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: boolean | Schema;
}
interface Operation {
  summary: string;
  security?: unknown[];
  parameters?: { name: string; in: string; required?: boolean; schema: Schema }[];
  requestBody?: { content: Record<string, { schema: Schema }> };
  responses: Record<string, { description: string; content?: Record<string, { schema: Schema }> }>;
}

/** `description`: of `ROUTES`. */
export function renderApi(description: Document): string {
  const paths = Object.entries(description.paths ?? {}) as [string, Record<string, Operation>][];
  const routes = paths.flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => routeSection(`${method.toUpperCase()} ${path}`, operation)),
  );
  const schemas = Object.entries((description.components?.schemas ?? {}) as Record<string, Schema>).sort(([a], [b]) =>
    a < b ? -1 : 1,
  );
  return `${[
    '# The API',
    'Made by `npm run api` from the schemas that the server parses requests with. As OpenAPI 3.1 it is at `/api/openapi.json`. What it means is told in [formats.md](formats.md).',
    'Routes below `/api/d/{device}` want the cookie `yellow-latch-token` of that device. Bodies are JSON. Every answer has an `X-Request-Id`, by which the log knows it.',
    `Any route may answer ${listed(SHARED_PROBLEMS.all)}; one that sends a body or deletes also ${listed(SHARED_PROBLEMS.writing)}; one of a device also ${listed(SHARED_PROBLEMS.devices)}. What else a route may answer stands with it.`,
    ...routes,
    '## Problems',
    'Errors are problem documents (RFC 9457); `type` is `/problems/` and one of these.',
    [
      '| problem | status | meaning |',
      '|---|---|---|',
      ...Object.entries(PROBLEMS).map(
        ([slug, { statuses, means }]) => `| \`${slug}\` | ${statuses.join(', ')} | ${means} |`,
      ),
    ].join('\n'),
    '## Schemas',
    ...schemas.map(([name, schema]) => `### ${name}\n\n\`\`\`ts\n${typeOf(schema, '')}\n\`\`\``),
  ].join('\n\n')}\n`;
}

function routeSection(name: string, { summary, parameters = [], requestBody, responses }: Operation): string {
  const lines: string[] = [];
  const query = parameters.filter((parameter) => parameter.in === 'query');
  if (query.length > 0) lines.push(`- asks with ${query.map((parameter) => `\`${parameter.name}\``).join(', ')}`);
  const body = requestBody?.content['application/json']?.schema;
  if (body) lines.push(`- body: ${linked(body)}`);
  for (const [status, { content }] of Object.entries(responses)) {
    const [[type, answer] = []] = Object.entries(content ?? {});
    if (type === 'application/problem+json') continue;
    const events = type === 'text/event-stream' ? ', as the data of events' : '';
    lines.push(`- ${status}${answer ? `: ${linked(answer.schema)}${events}` : ''}`);
  }
  const { problems } = ROUTES[name]!;
  if (problems.length > 0) lines.push(`- or ${listed(problems)}`);
  return `## \`${name}\`\n\n${summary}\n\n${lines.join('\n')}`;
}

function listed(slugs: readonly string[]): string {
  return slugs.map((slug) => `\`${slug}\``).join(', ');
}

function linked(schema: Schema): string {
  const name = nameOf(schema);
  return name ? `[${name}](#${name.toLowerCase()})` : `\`${typeOf(schema, '')}\``;
}

function nameOf({ $ref }: Schema): string | undefined {
  return $ref?.split('/').at(-1);
}

/** A schema in the notation of TypeScript. */
function typeOf(schema: Schema, indent: string): string {
  const name = nameOf(schema);
  if (name) return name;
  if ('const' in schema) return JSON.stringify(schema.const);
  if (schema.enum) return schema.enum.map((value) => JSON.stringify(value)).join(' | ');
  const either = schema.anyOf ?? schema.oneOf;
  if (either) return [...new Set(either.map((one) => typeOf(one, indent)))].join(' | ');
  if (Array.isArray(schema.type)) return schema.type.join(' | ');
  if (schema.type === 'array') {
    const of = typeOf(schema.items ?? {}, indent);
    return of.includes(' | ') ? `(${of})[]` : `${of}[]`;
  }
  if (schema.properties) return objectOf(schema, indent);
  if (schema.type === 'object') {
    const { additionalProperties: values } = schema;
    return `Record<string, ${typeof values === 'object' ? typeOf(values, indent) : 'unknown'}>`;
  }
  if (schema.type === 'integer') return 'number';
  return schema.type ?? 'unknown';
}

function objectOf({ properties = {}, required = [] }: Schema, indent: string): string {
  const deeper = `${indent}  `;
  const fields = Object.entries(properties).map(
    ([field, schema]) => `${deeper}${field}${required.includes(field) ? '' : '?'}: ${typeOf(schema, deeper)};`,
  );
  return `{\n${fields.join('\n')}\n${indent}}`;
}
