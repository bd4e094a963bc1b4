/**
 * A list on its way in and out: tables, our JSON, Markdown, lines; a backup; the sheet.
 *
 * In: `decodeText` makes text of bytes, `readList` rows of text, `planImport` says of each row what would become of it. Out:
 * `writeList`, `writeBackup`, `writeSheet`. Formats: docs/formats.md.
 */
export { beginningOf, COLUMNS, type Column, type Columns } from './columns';
export { decodeText, ENCODINGS, type DecodedText, type DecodeProblem, type Encoding } from './decode';
export { LIST_FORMAT, LIST_SCHEMA_PATH, LIST_VERSION, ListFileSchema, listFileSchema, readSealedShortcuts, SealedSchema, type FileSet, type FileShortcut, type ListFile, type Rest, type Sealed } from './listFile';
export { usualChoice, type ImportChoice } from './choice';
export { planImport, type Difference, type PlannedRow, type Refusal, type Wanted, type WantedSet } from './plan';
export { MOST_ROWS, readList, type ListForm, type ListProblem, type ReadChoices, type ReadList, type ReadTable } from './readList';
export type { Entry, ReadRow, RowProblem, WholeEntry } from './row';
export { DELIMITERS, type Delimiter } from './table';
export { fileShortcutOf, writeBackup, writeList, WRITTEN_FORMS, type Outgoing, type WrittenForm } from './writeList';
export { PAPERS, SHEET_LAYOUTS, writeSheet, type Paper, type SheetLayout, type SheetOptions } from './sheet';
