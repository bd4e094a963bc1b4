import { entriesOf, type FiringEntry, type Rated } from '@yellow-latch/core/fire';

/** An exported list (docs/formats.md), as far as typing needs it. */
export interface ExportedList {
  readonly shortcuts: readonly Rated[];
  readonly entries: readonly FiringEntry[];
}

const FORMAT = 'yellow-latch list';
const VERSION = 1;

/**
 * Reads an exported list: the file's JSON, parsed. Throws a TypeError that says where it is not one. It looks at no more
 * than firing needs; the app that made the file has checked it.
 */
export function readExportedList(file: unknown): ExportedList {
  if (!isObject(file) || file.format !== FORMAT)
    throw new TypeError(`this is no exported list: its format is not “${FORMAT}”`);
  if (file.version !== VERSION)
    throw new TypeError(`this list is of version ${String(file.version)}; version ${VERSION} is known here`);
  if (!Array.isArray(file.shortcuts)) throw new TypeError('shortcuts: an exported list has an array of them');
  const shortcuts = file.shortcuts.map((one: unknown, index) => readShortcut(one, `shortcuts[${index}]`));
  return { shortcuts, entries: entriesOf(shortcuts, [], { blanks: true }) };
}

function readShortcut(one: unknown, where: string): Rated {
  if (!isObject(one)) throw new TypeError(`${where}: a shortcut is an object`);
  const { id, code, content, kind = 'message', setId = null, rules = {} } = one;
  if (typeof id !== 'string' || id === '') throw new TypeError(`${where}.id: a shortcut has an id`);
  if (typeof code !== 'string' || code.trim() === '') throw new TypeError(`${where}.code: a shortcut has a code`);
  if (!isObject(content) || typeof content.expansion !== 'string' || content.expansion === '')
    throw new TypeError(`${where}.content.expansion: a shortcut has a text`);
  const { expansion, template = false, format = 'plain' } = content;
  if (typeof template !== 'boolean') throw new TypeError(`${where}.content.template: true or false`);
  if (format !== 'plain' && format !== 'markdown') throw new TypeError(`${where}.content.format: plain or markdown`);
  if (!isObject(rules)) throw new TypeError(`${where}.rules: an object`);
  return { id, code, content: { expansion, template, format }, kind, setId, rules } as Rated;
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
