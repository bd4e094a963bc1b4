/**
 * A list on its way in and out: tables, our JSON, Markdown, lines; a backup; the sheet.
 *
 * In: `decodeText` makes text of bytes, `readList` rows of text, `planImport` says of each row what would become of it. Out:
 * `writeList`, `writeBackup`, `writeSheet`. Formats: docs/formats.md.
 */
export type { Column, Columns } from './columns';
export { decodeText, type DecodedText, type DecodeProblem } from './decode';
export type { Encoding } from './encodings';
export { readSealedShortcuts, type FileSet, type Rest, type Sealed } from './listFile';
export { planImport, type Difference, type PlannedRow, type Refusal, type Wanted, type WantedSet } from './plan';
export { readList, type ListForm, type ListProblem, type ReadChoices, type ReadList, type ReadTable } from './readList';
export { pairsOf, type Pair, type WholeEntry } from './row';
export type { Delimiter } from './table';
export { fileShortcutOf, WRITTEN_FORMS, writeBackup, writeList, type Outgoing, type WrittenForm } from './writeList';
export { writeSheet, type Paper, type SheetLayout, type SheetOptions } from './sheet';
