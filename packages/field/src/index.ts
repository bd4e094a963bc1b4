/**
 * The engine in a text field of any page: `attach(field, { list })` and the codes of an exported list expand there. How it is
 * built in: README.md. For the app's own fields, which keep a history: `own`; for a whole page at once: `guest`.
 */
export { attach, type Attached, type AttachOptions } from './attach';
export { readExportedList, type ExportedList } from './exportedList';
export { ENGLISH, TAKE, type Answer, type Chord, type FieldWords, type MakeText } from './guest';
