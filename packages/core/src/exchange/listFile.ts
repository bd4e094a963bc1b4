import { findNodeAtLocation, parseTree, type Node, type ParseError } from 'jsonc-parser';
import { z } from 'zod';

import {
  CardLinkSchema,
  CarriedFieldsSchema,
  ConventionFieldsSchema,
  DeviceFieldsSchema,
  KeyboardFieldsSchema,
  IgnoredFindingFieldsSchema,
  LearnerFieldsSchema,
  LearningFieldsSchema,
  LeftOutFieldsSchema,
  ListFieldsSchema,
  RecordIdSchema,
  SetFieldsSchema,
  ShortcutFieldsSchema,
  TagLimitSchema,
  UsedSchema,
  type CarriedFields,
  type ConventionFields,
  type DeviceFields,
  type KeyboardFields,
  type IgnoredFindingFields,
  type LearnerFields,
  type LearningFields,
  type LeftOutFields,
  type ListFields,
  type SetFields,
} from '../model';
import type { ReadRow, RowProblem, WholeEntry } from './row';

/** What a file of ours says of itself. */
export const LIST_FORMAT = 'yellow-latch list';
export const LIST_VERSION = 1;
/** Where its schema is published: by every server, under its own address. */
export const LIST_SCHEMA_PATH = '/schema/list-1.json';

const identified = <Shape extends z.ZodRawShape>(fields: z.ZodObject<Shape>) =>
  z.strictObject({ id: RecordIdSchema, ...fields.shape });

/** A shortcut in a file: its fields, and how often it was used. Fields that came to the model later may be missing. */
const FileShortcutSchema = z.strictObject({
  id: RecordIdSchema,
  ...ShortcutFieldsSchema.shape,
  rules: ShortcutFieldsSchema.shape.rules.default({}),
  usesAWeek: ShortcutFieldsSchema.shape.usesAWeek.default(null),
  former: ShortcutFieldsSchema.shape.former.default(null),
  pinned: ShortcutFieldsSchema.shape.pinned.default(null),
  note: ShortcutFieldsSchema.shape.note.default(''),
  language: ShortcutFieldsSchema.shape.language.default(null),
  // Only where there is one, so that an app of before reads the others.
  card: CardLinkSchema.optional(),
  tagLimit: TagLimitSchema.optional(),
  used: UsedSchema.optional(),
});

const base64 = z.string().regex(/^[A-Za-z0-9+/]+={0,2}$/);

/** Private shortcuts, sealed under a passphrase: a JSON array of shortcuts in UTF-8, encrypted. See docs/formats.md. */
export const SealedSchema = z.strictObject({
  count: z.int().positive(),
  kdf: z.literal('PBKDF2'),
  hash: z.literal('SHA-256'),
  iterations: z.int().min(100_000).max(10_000_000),
  salt: base64,
  cipher: z.literal('AES-GCM'),
  iv: base64,
  data: base64,
});
export type Sealed = z.infer<typeof SealedSchema>;

/** A file of ours: a list or a part of it; with `rest` it is a backup. The published JSON Schema is made of this. */
export const ListFileSchema = z.strictObject({
  $schema: z.string().optional(),
  format: z.literal(LIST_FORMAT),
  version: z.literal(LIST_VERSION),
  made: z.iso.datetime(),
  sets: z.array(identified(SetFieldsSchema)),
  shortcuts: z.array(FileShortcutSchema),
  rest: z
    .strictObject({
      list: ListFieldsSchema.extend({ hasDevices: ListFieldsSchema.shape.hasDevices.default(false) }).nullable(),
      conventions: z.array(identified(ConventionFieldsSchema)),
      keyboards: z.array(identified(KeyboardFieldsSchema)),
      leftFindings: z.array(identified(IgnoredFindingFieldsSchema)),
      devices: z.array(identified(DeviceFieldsSchema)).default([]),
      leftOut: z.array(identified(LeftOutFieldsSchema)).default([]),
      carried: z.array(identified(CarriedFieldsSchema)).default([]),
      learners: z.array(identified(LearnerFieldsSchema)).default([]),
      learning: z.array(identified(LearningFieldsSchema)).default([]),
    })
    .optional(),
  private: SealedSchema.optional(),
});
export type ListFile = z.infer<typeof ListFileSchema>;
export type FileSet = SetFields & { id: string };
export type FileShortcut = z.infer<typeof FileShortcutSchema>;

/** What a backup holds beside shortcuts and sets. `list` null: nothing was chosen for it. */
export interface Rest {
  readonly list: ListFields | null;
  readonly conventions: readonly (ConventionFields & { id: string })[];
  readonly keyboards: readonly (KeyboardFields & { id: string })[];
  readonly leftFindings: readonly (IgnoredFindingFields & { id: string })[];
  readonly devices: readonly (DeviceFields & { id: string })[];
  readonly leftOut: readonly (LeftOutFields & { id: string })[];
  readonly carried: readonly (CarriedFields & { id: string })[];
  readonly learners: readonly (LearnerFields & { id: string })[];
  readonly learning: readonly (LearningFields & { id: string })[];
}

/** A file of ours, read: each shortcut a row, good or not. */
export interface ReadJson {
  readonly rows: readonly ReadRow[];
  readonly file: {
    /** When it was made; ISO 8601. */
    readonly made: string;
    readonly sets: readonly FileSet[];
    readonly rest: Rest | null;
    readonly sealed: Sealed | null;
  };
}

/** Why a text is no file of ours. Lines and positions from 1. */
export type JsonProblem =
  | { readonly type: 'not-json'; readonly line: number; readonly position: number }
  | { readonly type: 'not-ours' }
  | { readonly type: 'newer-version'; readonly version: number; readonly known: number }
  | {
      readonly type: 'not-valid';
      readonly line: number;
      readonly position: number;
      readonly field: string;
      readonly message: string;
    }
  | { readonly type: 'no-rows' }
  | { readonly type: 'too-many-rows'; readonly limit: number };

/** A file of ours as text. */
export function writeListFile(file: Omit<ListFile, '$schema' | 'format' | 'version'>): string {
  return `${JSON.stringify({ $schema: LIST_SCHEMA_PATH, format: LIST_FORMAT, version: LIST_VERSION, ...file }, null, 1)}\n`;
}

/**
 * Reads a file of ours. A shortcut that is not as it should be costs its own row; anything else wrong, and the whole file is
 * refused with the place. Linear.
 */
export function readListFile(text: string, most: number): ReadJson | JsonProblem {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { type: 'not-json', ...placeOfFault(text) };
  }
  if (typeof json !== 'object' || json === null || !('format' in json) || json.format !== LIST_FORMAT)
    return { type: 'not-ours' };
  if ('version' in json && typeof json.version === 'number' && json.version > LIST_VERSION)
    return { type: 'newer-version', version: json.version, known: LIST_VERSION };
  const { shortcuts, ...frame } = json as { shortcuts?: unknown };
  if (Array.isArray(shortcuts) && shortcuts.length > most) return { type: 'too-many-rows', limit: most };
  const parsed = ListFileSchema.safeParse({ ...frame, shortcuts: Array.isArray(shortcuts) ? [] : shortcuts });
  if (!parsed.success) {
    const { path, message } = parsed.error.issues[0]!;
    return { type: 'not-valid', ...placeOfPath(parseLoosely(text), text, path), field: path.join('.'), message };
  }
  const { made, sets, rest = null, private: sealed = null } = parsed.data;
  const tree = parseLoosely(text);
  const lines = linesOf(text, tree);
  const rows = (shortcuts as unknown[]).map((shortcut, index) => {
    const row = FileShortcutSchema.safeParse(shortcut);
    const line = lines[index] ?? 1;
    return row.success
      ? { line, whole: wholeOf(row.data) }
      : refuse(text, tree, index, line, shortcut, row.error.issues[0]!);
  });
  if (rows.length === 0 && sets.length === 0 && !rest && !sealed) return { type: 'no-rows' };
  return { rows, file: { made, sets, rest, sealed } };
}

/** What was sealed, when it is opened: an array of shortcuts as in a file. */
export function readSealedShortcuts(json: string): WholeEntry[] | null {
  try {
    return z
      .array(FileShortcutSchema)
      .parse(JSON.parse(json))
      .map((shortcut) => ({ ...wholeOf(shortcut), isPrivate: true }));
  } catch {
    return null;
  }
}

function wholeOf({ id, used, card, tagLimit, ...fields }: FileShortcut): WholeEntry {
  return { id, fields: { ...fields, card: card ?? null, tagLimit: tagLimit ?? null }, ...(used ? { used } : {}) };
}

/** Why a shortcut of a file is none, and where that shows. */
function refuse(
  text: string,
  tree: Node | undefined,
  index: number,
  line: number,
  shortcut: unknown,
  issue: z.core.$ZodIssue,
): ReadRow {
  const place = placeOfPath(tree, text, ['shortcuts', index, ...issue.path]);
  const { code, content } = (typeof shortcut === 'object' && shortcut !== null ? shortcut : {}) as {
    code?: unknown;
    content?: { expansion?: unknown } | null;
  };
  const problem: RowProblem = {
    type: 'not-a-shortcut',
    position: place.position,
    field: issue.path.join('.'),
    message: issue.message,
  };
  return { line: tree ? place.line : line, code: asText(code), expansion: asText(content?.expansion), problem };
}

/** The line in which each shortcut of a file begins. */
function linesOf(text: string, tree: Node | undefined): number[] {
  const offsets = (tree && findNodeAtLocation(tree, ['shortcuts'])?.children)?.map(({ offset }) => offset) ?? [];
  let line = 1;
  let at = -1;
  return offsets.map((offset) => {
    for (let next = text.indexOf('\n', at + 1); next >= 0 && next < offset; next = text.indexOf('\n', at + 1)) {
      line += 1;
      at = next;
    }
    return line;
  });
}

function asText(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

function parseLoosely(text: string, errors: ParseError[] = []): Node | undefined {
  try {
    return parseTree(text, errors, { disallowComments: true });
  } catch {
    // Nested deeper than can be followed.
    return undefined;
  }
}

function placeOfFault(text: string): { line: number; position: number } {
  const errors: ParseError[] = [];
  parseLoosely(text, errors);
  return placeAt(text, errors[0]?.offset ?? 0);
}

/** Where a field stands, or the nearest thing around it that is there. */
function placeOfPath(
  tree: Node | undefined,
  text: string,
  path: readonly PropertyKey[],
): { line: number; position: number } {
  if (!tree) return { line: 1, position: 1 };
  for (let length = path.length; length >= 0; length -= 1) {
    const node = findNodeAtLocation(tree, path.slice(0, length) as (string | number)[]);
    if (node) return placeAt(text, node.offset);
  }
  return { line: 1, position: 1 };
}

function placeAt(text: string, offset: number): { line: number; position: number } {
  return { line: lineAt(text, offset), position: offset - text.lastIndexOf('\n', offset - 1) };
}

function lineAt(text: string, offset: number): number {
  let line = 1;
  for (let i = text.indexOf('\n'); i >= 0 && i < offset; i = text.indexOf('\n', i + 1)) line += 1;
  return line;
}

/** The published JSON Schema (2020-12) of a file. */
export function listFileSchema(): object {
  return {
    ...z.toJSONSchema(ListFileSchema, { target: 'draft-2020-12', io: 'input' }),
    $id: LIST_SCHEMA_PATH,
    title: 'A list of Yellow Latch, or a part of it',
  };
}
