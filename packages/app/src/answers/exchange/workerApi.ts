/**
 * What the worker of import and export does, without the worker: it holds the file that is open, says what of it would become
 * of what, and writes lists as text. Runs in Node for tests.
 */
import {
  decodeText,
  fileShortcutOf,
  pairsOf,
  planImport,
  readList,
  readSealedShortcuts,
  writeBackup,
  writeList,
  writeSheet,
  type DecodeProblem,
  type Encoding,
  type ListForm,
  type ListProblem,
  type Outgoing,
  type Pair,
  type PlannedRow,
  type ReadChoices,
  type ReadList,
  type ReadTable,
  type Rest,
  type FileSet,
  type SheetOptions,
  type WholeEntry,
  type WrittenForm,
} from '@yellow-latch/core/exchange';

import { LARGEST_FILE } from './limits';
import { seal, unseal } from './sealed';

/** How a person says that a file is to be read. */
export interface Choices extends ReadChoices {
  readonly encoding?: Encoding;
}

/** A file as it was understood, and what would become of each of its rows. */
export interface Preview {
  readonly form: ListForm;
  readonly encoding: Encoding;
  /** Signs that could not be read in this encoding. */
  readonly unread: number;
  /** Whether the encoding is only the most likely one. */
  readonly isGuess: boolean;
  readonly table: ReadTable | null;
  readonly blank: number;
  readonly rows: readonly PlannedRow[];
  readonly sets: readonly FileSet[];
  readonly rest: Rest | null;
  /** When a file of ours was made; ISO 8601. */
  readonly made: string | null;
  /** How many are still sealed in it. */
  readonly sealed: number;
}

export type FileProblem = DecodeProblem | ListProblem;

export class ExchangeWorkerApi {
  private bytes: Uint8Array = new Uint8Array();
  private opened: readonly WholeEntry[] = [];
  private last: {
    key: string;
    read: ReadList | FileProblem;
    encoding: Encoding;
    unread: number;
    isGuess: boolean;
  } | null = null;

  /** Takes a file up; what was open before is forgotten. */
  open(bytes: Uint8Array): void {
    this.bytes = bytes;
    this.opened = [];
    this.last = null;
  }

  /** What would become of the open file's rows in this list. */
  preview(choices: Choices, list: Outgoing): Preview | FileProblem {
    const { read, encoding, unread, isGuess } = this.read(choices);
    if ('type' in read) return read;
    const rows = [...read.rows, ...this.opened.map((whole) => ({ line: 0, whole }))];
    return {
      form: read.form,
      encoding,
      unread,
      isGuess,
      table: read.table,
      blank: read.blank,
      rows: planImport(rows, list, read.file?.sets),
      sets: read.file?.sets ?? [],
      rest: read.file?.rest ?? null,
      made: read.file?.made ?? null,
      sealed: this.opened.length > 0 ? 0 : (read.file?.sealed?.count ?? 0),
    };
  }

  /** The open file as pairs of code and text, as a device's own list takes it up; `unread`: rows that are none. */
  pairs(): { readonly pairs: readonly Pair[]; readonly unread: number } | FileProblem {
    const { read } = this.read({});
    if ('type' in read) return read;
    const pairs = pairsOf(read.rows);
    return { pairs, unread: read.rows.length - pairs.length };
  }

  /** Opens what is sealed in the file, for the next preview; whether the passphrase was right. */
  async unseal(passphrase: string): Promise<boolean> {
    const read = this.last?.read;
    if (!read || 'type' in read || !read.file?.sealed) return false;
    const text = await unseal(read.file.sealed, passphrase);
    const entries = text === null ? null : readSealedShortcuts(text);
    if (entries) this.opened = entries;
    return entries !== null;
  }

  write(outgoing: Outgoing, form: WrittenForm, made: string): string {
    return writeList(outgoing, form, made);
  }

  /** A backup of all; private ones are in it only under a passphrase. */
  async backup(list: Outgoing, rest: Rest, passphrase: string | null, made: string): Promise<string> {
    const own = list.shortcuts.filter((shortcut) => shortcut.private);
    const sealed =
      passphrase === null || own.length === 0
        ? null
        : await seal(JSON.stringify(own.map(fileShortcutOf)), own.length, passphrase);
    return writeBackup(list, rest, sealed, made);
  }

  sheet(list: Outgoing, options: SheetOptions): string {
    return writeSheet(list, options);
  }

  private read({ encoding, ...choices }: Choices) {
    const key = JSON.stringify([encoding, choices]);
    if (this.last?.key === key) return this.last;
    const decoded = decodeText(this.bytes, encoding, LARGEST_FILE);
    this.last =
      'type' in decoded
        ? { key, read: decoded, encoding: 'utf-8', unread: 0, isGuess: false }
        : {
            key,
            read: readList(decoded.text, choices),
            encoding: decoded.encoding,
            unread: decoded.unread,
            isGuess: decoded.isGuess,
          };
    return this.last;
  }
}
