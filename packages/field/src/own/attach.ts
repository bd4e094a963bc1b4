import { ControlSurface } from './control';
import { EditableSurface } from './editable';
import { Field, type FieldOptions } from './field';
import type { Surface } from './surface';

/**
 * Lets codes expand in a field from now on, until `detach`. The browser does what is typed; the field follows, and
 * applies the edits of the engine in place. Throws a TypeError for an element that no text is typed into.
 */
export function attach(element: HTMLElement, options: FieldOptions): Field {
  return new Field(surfaceOf(element), options);
}

/** Types of inputs that hold a line of text and tell where the caret is (HTML, "selectionStart applies"). */
const TEXT_TYPES = new Set(['text', 'search', 'tel', 'url']);

function surfaceOf(element: HTMLElement): Surface {
  if (element instanceof HTMLTextAreaElement) return new ControlSurface(element);
  if (element instanceof HTMLInputElement && TEXT_TYPES.has(element.type)) return new ControlSurface(element);
  if (element.isContentEditable || element.hasAttribute('contenteditable')) return new EditableSurface(element);
  throw new TypeError(`no text is typed into <${element.localName}>`);
}
