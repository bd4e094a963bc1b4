import {
  AskedRulesSchema,
  checkCode,
  checkExpansion,
  KINDS,
  LanguageSchema,
  LIMITS,
  lineOf,
  matchKey,
  RECORD_TYPES,
  withUnixNewlines,
  type Content,
  type Kind,
  type Shortcut,
  type ShortcutFields,
  type ShortcutSet,
  type TextProblem,
  type Used,
} from '../model';
import { parseTemplate, sketchOf, type TemplateProblem } from '../expansion';
import { findSecrets, type Secret } from '../guard';
import { guessKind } from '../mnemonic';
import { FreeCodes } from '../propose';
import type { FileSet } from './listFile';
import type { Entry, ReadRow, RowProblem, WholeEntry } from './row';

/** The list into which rows are to come. */
export interface ListAsItIs {
  readonly shortcuts: readonly Shortcut[];
  readonly sets: readonly ShortcutSet[];
}

/** The set that a row wants: one that is there, one that the import makes, or none. */
export type WantedSet =
  { readonly in: 'list' | 'file'; readonly id: string } | { readonly in: 'new'; readonly name: string } | null;

/** A field of a shortcut that a row would change. */
export type Difference = keyof ShortcutFields;

/** Why a row cannot come in; what the model says of `field`, or a template that cannot be read. */
export type Refusal =
  | RowProblem
  | { readonly type: 'code' | 'expansion'; readonly problem: TextProblem }
  | { readonly type: 'template'; readonly problem: TemplateProblem }
  | {
      readonly type: 'cell';
      readonly column: 'kind' | 'note' | 'language' | 'fires' | 'edge' | 'capitals' | 'delimiter' | 'form' | 'set';
      readonly value: string;
    }
  | { readonly type: 'list-full'; readonly limit: number };

/** What would come in: all fields but the set, which may still have to be made. */
export interface Wanted {
  /** Its own id, where the file has one; null: it gets a new one. */
  readonly id: string | null;
  readonly fields: Omit<ShortcutFields, 'setId'>;
  /** Undefined: the row says nothing of a set. */
  readonly set: WantedSet | undefined;
  readonly used: Used | null;
  readonly isPrivate: boolean;
}

interface Planned {
  readonly line: number;
  readonly wanted: Wanted;
  /** It looks like something that should not go to every device. */
  readonly secret: Secret['kind'] | null;
}

/** Who has a code: a shortcut of the list, or an earlier row. */
export type UsedBy = { readonly in: 'list'; readonly id: string } | { readonly in: 'file'; readonly line: number };

/** A row, and what would become of it. */
export type PlannedRow =
  | (Planned & {
      readonly status: 'new';
      /** Whether the code was made up, as the row had none. */ readonly isProposed: boolean;
    })
  | (Planned & { readonly status: 'same'; readonly known: string })
  | (Planned & { readonly status: 'changed'; readonly known: string; readonly differs: readonly Difference[] })
  /** The code is another's: of the list, or of an earlier row. `free`: one near it that is not. */
  | (Planned & { readonly status: 'in use'; readonly by: UsedBy; readonly free: string })
  | {
      readonly status: 'refused';
      readonly line: number;
      readonly code: string;
      readonly expansion: string;
      readonly refusal: Refusal;
    };

/**
 * What would become of each row if it came into the list. A file of ours is matched by id; else a shortcut with the very same
 * code is the one that is meant, and a code that is the same for who types it, but written otherwise, is in use. Nothing is
 * decided here: see `usualChoice`. Linear in rows and list.
 */
export function planImport(
  rows: readonly ReadRow[],
  list: ListAsItIs,
  fileSets: readonly FileSet[] = [],
): PlannedRow[] {
  const byId = new Map(list.shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const byKey = new Map<string, Shortcut[]>();
  for (const shortcut of list.shortcuts) {
    const key = matchKey(shortcut.code);
    byKey.set(key, [...(byKey.get(key) ?? []), shortcut]);
  }
  const setByName = new Map([...list.sets].reverse().map((set) => [setKey(set.name), set]));
  const inFile = new Map<string, number>();
  /** Which row has had an id of the file, or has meant a shortcut of the list. */
  const seen = new Map<string, number>();
  // Codes that rows further down ask for are not given away.
  const asked = new Set(rows.flatMap((row) => ('problem' in row ? [] : [matchKey(codeOf(row))])));
  const known = [
    ...list.shortcuts.map(({ code }) => code),
    ...rows.slice(0, 1_000).flatMap((row) => ('problem' in row ? [] : [codeOf(row)])),
  ];
  const free = new FreeCodes(known, (key) => byKey.has(key) || inFile.has(key) || asked.has(key));
  const freeCode = (code: string, { fields: { content, kind } }: Wanted) =>
    free.take({ code, expansion: content.expansion, kind });
  let coming = 0;
  return rows.map((row): PlannedRow => {
    const { line } = row;
    const refused = (code: string, expansion: string, refusal: Refusal): PlannedRow => ({
      status: 'refused',
      line,
      code,
      expansion,
      refusal,
    });
    if ('problem' in row) return refused(row.code, row.expansion, row.problem);
    const whole = 'whole' in row ? row.whole : null;
    const wanted = 'whole' in row ? wantedOfWhole(row.whole, fileSets) : wantedOf(row.entry, setByName);
    if ('refusal' in wanted) return refused(wanted.code, wanted.expansion, wanted.refusal);
    const planned = { line, wanted, secret: whole ? null : secretIn(wanted.fields.content) };
    const { code } = wanted.fields;
    const full = (): PlannedRow =>
      refused(code, wanted.fields.content.expansion, { type: 'list-full', limit: LIMITS.shortcutsPerList });
    if (code === '') {
      const given = freeCode('', wanted);
      coming += 1;
      if (list.shortcuts.length + coming > LIMITS.shortcutsPerList) return full();
      return {
        ...planned,
        wanted: { ...wanted, fields: { ...wanted.fields, code: given } },
        status: 'new',
        isProposed: true,
      };
    }
    const key = matchKey(code);
    const holders = byKey.get(key) ?? [];
    const meant =
      (whole ? byId.get(whole.id) : undefined) ?? holders.find((holder) => isMeant(holder, wanted, whole !== null));
    const inUse = (by: UsedBy): PlannedRow => ({ ...planned, status: 'in use', by, free: freeCode(code, wanted) });
    const earlier = seen.get(meant?.id ?? whole?.id ?? '');
    if (earlier !== undefined) return inUse({ in: 'file', line: earlier });
    // One that has the code already keeps it, even where the list has it twice; a file of ours may have it twice as well.
    if (!meant || matchKey(meant.code) !== key) {
      const other = holders.find((holder) => holder !== meant);
      if (other) return inUse({ in: 'list', id: other.id });
      const before = inFile.get(key);
      if (before !== undefined && !whole) return inUse({ in: 'file', line: before });
    }
    for (const id of [meant?.id, whole?.id]) if (id !== undefined) seen.set(id, line);
    inFile.set(key, line);
    if (!meant) {
      coming += 1;
      if (list.shortcuts.length + coming > LIMITS.shortcutsPerList) return full();
      return { ...planned, status: 'new', isProposed: false };
    }
    const differs = differencesOf(meant, wanted, whole !== null, 'entry' in row ? row.entry : null);
    return differs.length === 0
      ? { ...planned, status: 'same', known: meant.id }
      : { ...planned, status: 'changed', known: meant.id, differs };
  });
}

/** What in a text should not go to every device. Of a template its words alone are looked at. A file of ours is as its owner wanted it. */
function secretIn({ expansion, template }: Content): Secret['kind'] | null {
  return findSecrets(template ? sketchOf(expansion, () => undefined) : expansion)[0]?.kind ?? null;
}

function codeOf(row: Exclude<ReadRow, { problem: unknown }>): string {
  return 'whole' in row ? row.whole.fields.code : row.entry.code;
}

/** Whether a row means the shortcut that has its code. With an id of its own it means it only if both are the same all through. */
function isMeant(holder: Shortcut, wanted: Wanted, hasId: boolean): boolean {
  if (!hasId) return holder.code === wanted.fields.code;
  return holder.code === wanted.fields.code && isSame(holder.content, wanted.fields.content);
}

/** The fields in which a shortcut is not as a row wants it. A table speaks only of the columns that it fills. */
function differencesOf(known: Shortcut, { fields, set }: Wanted, isWhole: boolean, entry: Entry | null): Difference[] {
  const says: readonly Difference[] = isWhole
    ? (Object.keys(fields) as Difference[])
    : [
        'code',
        'content',
        ...(entry?.kind ? (['kind'] as const) : []),
        ...(entry?.note ? (['note'] as const) : []),
        ...(entry?.language ? (['language'] as const) : []),
        ...(saysRules(entry) ? (['rules'] as const) : []),
      ];
  const differs = says.filter((field) => field !== 'setId' && !isSame(known[field], fields[field]));
  const idOfSet = set && set.in !== 'new' ? set.id : undefined;
  const setId = set === null ? null : idOfSet;
  const movesSet = set !== undefined && (isWhole || set !== null) && setId !== known.setId;
  return movesSet ? [...differs, 'setId'] : differs;
}

/** The set that a table names; a new one, where the list has none of that name. */
function setOf(name: string, known: { readonly id: string } | undefined): WantedSet {
  return known ? { in: 'list', id: known.id } : { in: 'new', name: name.trim() };
}

function saysRules(entry: Entry | null): boolean {
  return entry !== null && (entry.fires ?? entry.edge ?? entry.capitals ?? entry.delimiter) !== undefined;
}

function isSame(a: unknown, b: unknown): boolean {
  return a === b || JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}

function setKey(name: string): string {
  return name.normalize('NFC').trim().toLowerCase();
}

type Unwanted = { readonly refusal: Refusal; readonly code: string; readonly expansion: string };

function wantedOfWhole(
  { id, fields: { setId, ...fields }, used, isPrivate = false }: WholeEntry,
  fileSets: readonly FileSet[],
): Wanted | Unwanted {
  const fault = faultIn(fields.code, fields.content);
  if (fault) return { refusal: fault, code: fields.code, expansion: fields.content.expansion };
  const isInFile = fileSets.some((one) => one.id === setId);
  const set: WantedSet = setId === null ? null : { in: isInFile ? 'file' : 'list', id: setId };
  return { id, fields, set, used: used ?? null, isPrivate };
}

/** What the cells of a row want, if the model lets it. Without an expansion there is nothing to bring in; without a code one is made. */
function wantedOf(entry: Entry, setByName: ReadonlyMap<string, ShortcutSet>): Wanted | Unwanted {
  const expansion = withUnixNewlines(entry.expansion);
  const no = (refusal: Refusal): Unwanted => ({ refusal, code: entry.code, expansion });
  const form = readForm(entry.form);
  if (form === null) return no({ type: 'cell', column: 'form', value: entry.form! });
  const content: Content = { expansion, ...form };
  const fault = faultIn(entry.code, content);
  if (fault) return no(fault);
  if (entry.kind !== undefined && !KINDS.includes(entry.kind as Kind))
    return no({ type: 'cell', column: 'kind', value: entry.kind });
  if (entry.language !== undefined && !LanguageSchema.safeParse(entry.language).success)
    return no({ type: 'cell', column: 'language', value: entry.language });
  if (entry.note !== undefined && !NoteSchema.safeParse(entry.note).success)
    return no({ type: 'cell', column: 'note', value: entry.note });
  if (entry.set !== undefined && !SetNameSchema.safeParse(entry.set).success)
    return no({ type: 'cell', column: 'set', value: entry.set });
  const rules: Record<string, string> = {};
  for (const column of ['fires', 'edge', 'capitals', 'delimiter'] as const) {
    const value = entry[column];
    if (value === undefined) continue;
    if (!AskedRulesSchema.safeParse({ [column]: value }).success) return no({ type: 'cell', column, value });
    rules[column] = value;
  }
  const { usesAWeek, former, pinned, card, tagLimit } = RECORD_TYPES.shortcut.defaults;
  const known = entry.set === undefined ? undefined : setByName.get(setKey(entry.set));
  return {
    id: null,
    fields: {
      code: entry.code,
      content,
      kind: (entry.kind as Kind | undefined) ?? guessKind(expansion, entry.code),
      rules: rules,
      usesAWeek,
      former,
      pinned,
      note: entry.note ?? '',
      language: entry.language ?? null,
      card,
      tagLimit,
    },
    set: entry.set === undefined ? undefined : setOf(entry.set, known),
    used: null,
    isPrivate: false,
  };
}

const NoteSchema = lineOf(LIMITS.noteClusters);
const SetNameSchema = lineOf(LIMITS.setNameClusters);

/** What the column `form` says: nothing for a plain text, else `template`, `markdown` or both. Null: something else. */
function readForm(written: string | undefined): Omit<Content, 'expansion'> | null {
  const words = (written ?? '')
    .toLowerCase()
    .split(/\s+/u)
    .filter((word) => word !== '' && word !== 'plain');
  if (words.some((word) => word !== 'template' && word !== 'markdown')) return null;
  return { template: words.includes('template'), format: words.includes('markdown') ? 'markdown' : 'plain' };
}

/** A form as the column says it. */
export function writeForm({ template, format }: Content): string {
  return [...(template ? ['template'] : []), ...(format === 'markdown' ? ['markdown'] : [])].join(' ');
}

function faultIn(code: string, content: Content): Refusal | null {
  const inCode = code === '' ? null : checkCode(code);
  if (inCode) return { type: 'code', problem: inCode };
  const inExpansion = checkExpansion(content.expansion);
  if (inExpansion) return { type: 'expansion', problem: inExpansion };
  if (!content.template) return null;
  const parsed = parseTemplate(content.expansion);
  return parsed.type === 'problems' ? { type: 'template', problem: parsed.problems[0]! } : null;
}
