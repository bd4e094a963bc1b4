import type { Shortcut, ShortcutSet } from '../model';
import { COLUMNS, type Column } from './columns';
import { writeListFile, type FileSet, type FileShortcut, type Rest, type Sealed } from './listFile';
import { writeMarkdownTable } from './markdownTable';
import { writeForm } from './plan';
import { writeTable } from './table';

/** The ways in which a list goes out as text. `lines`: code, tab, expansion, under the line of names that such tables have (IANA, text/tab-separated-values). */
export const WRITTEN_FORMS = ['json', 'csv', 'tsv', 'markdown', 'lines'] as const;
export type WrittenForm = (typeof WRITTEN_FORMS)[number];

/** What goes out: some or all shortcuts of a list, with the sets they are in. Private ones never do. */
export interface Outgoing {
  readonly shortcuts: readonly Shortcut[];
  readonly sets: readonly ShortcutSet[];
}

/** A list, or a part of it, as text that `readList` reads. `made`: the moment, ISO 8601. Linear. */
export function writeList(outgoing: Outgoing, form: WrittenForm, made: string): string {
  const shared = outgoing.shortcuts.filter((shortcut) => !shortcut.private);
  switch (form) {
    case 'json': {
      const used = new Set(shared.map(({ setId }) => setId));
      return writeListFile({
        made,
        sets: outgoing.sets.filter(({ id }) => used.has(id)).map(fileSetOf),
        shortcuts: shared.map(fileShortcutOf),
      });
    }
    case 'csv':
      return writeTable(tableOf(shared, outgoing.sets), ',');
    case 'tsv':
      return writeTable(tableOf(shared, outgoing.sets), '\t');
    case 'markdown':
      return writeMarkdownTable(tableOf(shared, outgoing.sets));
    case 'lines':
      return writeTable(
        [['code', 'expansion'], ...shared.map(({ code, content }) => [code, content.expansion])],
        '\t',
      ).replaceAll('\r\n', '\n');
  }
}

/** A backup: all of the list, with what was sealed of the private ones. */
export function writeBackup({ shortcuts, sets }: Outgoing, rest: Rest, sealed: Sealed | null, made: string): string {
  const shared = shortcuts.filter((shortcut) => !shortcut.private);
  return writeListFile({
    made,
    sets: sets.map(fileSetOf),
    shortcuts: shared.map(fileShortcutOf),
    rest: {
      list: rest.list,
      conventions: [...rest.conventions],
      keyboards: [...rest.keyboards],
      leftFindings: [...rest.leftFindings],
      devices: [...rest.devices],
      leftOut: [...rest.leftOut],
      carried: [...rest.carried],
      learners: [...rest.learners],
      learning: [...rest.learning],
    },
    ...(sealed ? { private: sealed } : {}),
  });
}

function fileSetOf({ id, name, icon, order }: ShortcutSet): FileSet {
  return { id, name, icon, order };
}

/** A shortcut as a file holds it. */
export function fileShortcutOf({
  id,
  code,
  content,
  kind,
  setId,
  rules,
  usesAWeek,
  former,
  pinned,
  note,
  language,
  card,
  tagLimit,
  used,
}: Shortcut): FileShortcut {
  return {
    id,
    code,
    content,
    kind,
    setId,
    rules,
    usesAWeek,
    former,
    pinned,
    note,
    language,
    ...(card ? { card } : {}),
    ...(tagLimit === null ? {} : { tagLimit }),
    ...(used ? { used } : {}),
  };
}

/** Shortcuts as a table with a heading. A column in which nothing would stand is left out. */
function tableOf(shortcuts: readonly Shortcut[], sets: readonly ShortcutSet[]): string[][] {
  const names = new Map(sets.map(({ id, name }) => [id, name]));
  const rows = shortcuts.map(({ code, content, kind, setId, note, language, rules }): Record<Column, string> => ({
    code,
    expansion: content.expansion,
    kind,
    set: (setId === null ? undefined : names.get(setId)) ?? '',
    note,
    language: language ?? '',
    fires: rules.fires ?? '',
    edge: rules.edge ?? '',
    capitals: rules.capitals ?? '',
    delimiter: rules.delimiter ?? '',
    form: writeForm(content),
  }));
  const used = COLUMNS.filter(
    (column) => column === 'code' || column === 'expansion' || rows.some((row) => row[column] !== ''),
  );
  return [[...used], ...rows.map((row) => used.map((column) => row[column]))];
}
