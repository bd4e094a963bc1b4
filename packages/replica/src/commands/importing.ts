import { usualChoice, type ImportChoice } from '@yellow-latch/core/exchange/choice';
import type { FileSet, PlannedRow, Rest, Wanted, WantedSet } from '@yellow-latch/core/exchange';
import { isSameScope } from '@yellow-latch/core/convention/mark';
import { matchKey, type Shortcut, type ShortcutFields } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import type { ListView } from '../storage/view';
import type { Write } from '../storage/write';
import { inOrder, type Command } from './command';
import { choosing } from './list';
import { keyAt } from './order';
import { editing } from './shortcuts';

/** What a person decided: of rows, by their place among all; the rest is done as usual. */
export type Choices = ReadonlyMap<number, ImportChoice>;

/** Parts of a backup beside shortcuts and sets. */
export const REST_PARTS = ['list', 'conventions', 'keyboards', 'leftFindings', 'devices', 'learning'] as const;
export type RestPart = (typeof REST_PARTS)[number];

export interface Import {
  readonly rows: readonly PlannedRow[];
  readonly choices: Choices;
  readonly fileSets: readonly FileSet[];
  /** Where rows go that say nothing of a set: one of the list, a new one by this name, or none. */
  readonly into: { readonly setId: string } | { readonly name: string } | null;
  /** Rows that come in for this device alone, as they look like secrets. */
  readonly keepsSecrets: boolean;
  readonly rest: Rest | null;
  readonly restParts: readonly RestPart[];
}

/** What an import comes to: all its writes as one command, and how many shortcuts are new or changed by it. */
export interface Importing {
  readonly command: Command;
  readonly made: number;
  readonly changed: number;
  /** What was counted elsewhere of the new ones, by id. */
  readonly uses: Readonly<Record<string, number>>;
}

/** Whether a record is there in some form, deleted too. */
export type IsKnown = (type: 'shortcut' | 'set', id: string) => boolean;

export function choiceOf(row: PlannedRow, index: number, choices: Choices): ImportChoice {
  return choices.get(index) ?? usualChoice(row);
}

/** The writes of an import. Nothing is written here, so that it is all or nothing. Linear. */
export function importing(what: Import, list: ListView, isKnown: IsKnown): Importing {
  const sets = new Sets(what, list, isKnown);
  const commands: Command[] = [];
  const byId = new Map(list.shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const uses: Record<string, number> = {};
  let made = 0;
  let changed = 0;
  const inUse = new Set<string>();
  const make = ({ id, fields, set, used, isPrivate }: Wanted, code: string, secret: boolean) => {
    // An id of its own, unless another row has had it.
    const own = id !== null && !byId.has(id) && !inUse.has(id) ? id : uuid();
    inUse.add(own);
    const staysHere = isPrivate || (secret && what.keepsSecrets);
    const known = !staysHere && isKnown('shortcut', own);
    const counts = used && !known && !staysHere;
    if (counts) uses[own] = used.count;
    const whole: ShortcutFields = { ...fields, code, setId: sets.idOf(set) };
    commands.push({
      writes: [
        {
          type: 'shortcut',
          id: own,
          isPrivate: staysHere,
          fields: { ...whole, ...(known ? { deleted: false } : {}), ...(counts ? { used } : {}) },
        },
      ],
      undo: () => [{ type: 'shortcut', id: own, fields: { deleted: true } }],
    });
    made += 1;
  };
  const change = (known: Shortcut, fields: Partial<ShortcutFields>) => {
    commands.push(editing(known, fields));
    changed += 1;
  };
  what.rows.forEach((row, index) => {
    if (row.status === 'refused' || row.status === 'same') return;
    const choice = choiceOf(row, index, what.choices);
    if (choice.do === 'leave') return;
    const { wanted, secret } = row;
    const code = choice.do === 'recode' ? choice.code : wanted.fields.code;
    if (row.status === 'new') return make(wanted, code, secret !== null);
    // Beside one's own, under another code.
    if (row.status === 'changed' && choice.do === 'recode') return make({ ...wanted, id: null }, code, secret !== null);
    const replaced = row.status === 'in use' && row.by.in === 'list' && choice.do === 'replace' ? row.by.id : null;
    const known = byId.get(row.status === 'changed' ? row.known : (replaced ?? wanted.id ?? ''));
    if (row.status === 'changed') {
      if (known) change(known, changesTo(row.differs, wanted, sets));
    } else if (choice.do === 'replace') {
      if (known) change(known, { code, content: wanted.fields.content, kind: wanted.fields.kind });
    } else if (known) change(known, { code, content: wanted.fields.content });
    else make(wanted, code, secret !== null);
  });
  const all = [...sets.commands(), ...commands, ...restCommands(what, list)];
  return {
    command: inOrder(...all),
    made,
    changed,
    uses,
  };
}

function changesTo(
  differs: readonly (keyof ShortcutFields)[],
  { fields, set }: Wanted,
  sets: Sets,
): Partial<ShortcutFields> {
  return Object.fromEntries(differs.map((field) => [field, field === 'setId' ? sets.idOf(set) : fields[field]]));
}

/** The sets that rows want, made when the first of them comes in. */
class Sets {
  private readonly ids = new Map<string, string>();
  private readonly made: Command[] = [];
  private orders: string[];

  constructor(
    private readonly what: Import,
    private readonly list: ListView,
    private readonly isKnown: IsKnown,
  ) {
    this.orders = list.sets.map(({ order }) => order);
    // A backup brings its sets whether anything is in them or not.
    if (what.rest) for (const { id } of what.fileSets) this.idOf({ in: 'file', id });
  }

  idOf(set: WantedSet | undefined): string | null {
    if (set === undefined) return this.ofInto();
    if (set === null) return null;
    if (set.in === 'new') return this.named(set.name);
    if (this.list.sets.some(({ id }) => id === set.id)) return set.id;
    const inFile = this.what.fileSets.find(({ id }) => id === set.id);
    if (!inFile) return null;
    const alike = this.list.sets.find(({ name }) => matchKey(name) === matchKey(inFile.name));
    return alike ? alike.id : this.make(`id ${inFile.id}`, inFile.id, inFile.name, inFile.icon, inFile.order);
  }

  commands(): readonly Command[] {
    return this.made;
  }

  private ofInto(): string | null {
    const { into } = this.what;
    if (into === null) return null;
    if ('setId' in into) return into.setId;
    const name = into.name.trim();
    return name === '' ? null : this.named(name);
  }

  private named(name: string): string {
    const there = this.list.sets.find((set) => matchKey(set.name) === matchKey(name));
    return there ? there.id : this.make(`name ${matchKey(name)}`, uuid(), name, 'folder', null);
  }

  private make(key: string, id: string, name: string, icon: string, ownOrder: string | null): string {
    const known = this.ids.get(key);
    if (known) return known;
    const order =
      ownOrder !== null && !this.orders.includes(ownOrder) ? ownOrder : keyAt(this.orders, this.orders.length);
    this.orders = [...this.orders, order].sort();
    this.ids.set(key, id);
    this.made.push({
      writes: [
        { type: 'set', id, fields: { name, icon, order, ...(this.isKnown('set', id) ? { deleted: false } : {}) } },
      ],
      undo: () => [{ type: 'set', id, fields: { deleted: true } }],
    });
    return id;
  }
}

type RestType = 'convention' | 'keyboard' | 'leftFinding' | 'device' | 'leftOut' | 'carried' | 'learner' | 'learning';

/** What else a backup holds, as far as it is asked for and differs. */
function restCommands({ rest, restParts }: Import, list: ListView): Command[] {
  if (!rest) return [];
  const commands: Command[] = [];
  if (restParts.includes('list') && rest.list) commands.push(choosing(rest.list, list));
  const put = <T extends RestType>(
    type: T,
    there: readonly { id: string; changed: number }[],
    { id, ...fields }: { id: string },
    knownId = id,
  ) => {
    const known = there.find((one) => one.id === knownId);
    const write = (some: object) => ({ type, id: knownId, fields: some }) as Write;
    if (!known)
      commands.push({ writes: [write({ ...fields, deleted: false })], undo: () => [write({ deleted: true })] });
    else {
      const { id: _id, changed: _changed, ...was } = known;
      if (JSON.stringify(was) !== JSON.stringify(fields))
        commands.push({ writes: [write(fields)], undo: () => [write(was)] });
    }
  };
  if (restParts.includes('conventions'))
    for (const one of rest.conventions)
      put('convention', list.conventions, one, list.conventions.find(({ scope }) => isSameScope(scope, one.scope))?.id);
  if (restParts.includes('keyboards')) for (const one of rest.keyboards) put('keyboard', list.ownKeyboards, one);
  if (restParts.includes('leftFindings')) for (const one of rest.leftFindings) put('leftFinding', list.ignored, one);
  if (restParts.includes('devices')) {
    for (const one of rest.devices) put('device', list.devices, one);
    for (const one of rest.leftOut) put('leftOut', list.leftOut, one);
    for (const one of rest.carried) put('carried', list.carried, one);
  }
  if (restParts.includes('learning')) {
    for (const one of rest.learners) put('learner', list.learners, one);
    // What is known here and was learnt since is worth more than what was known then.
    const here = new Set(list.learning.map(({ id }) => id));
    for (const one of rest.learning) if (!here.has(one.id)) put('learning', [], one);
  }
  return commands;
}
