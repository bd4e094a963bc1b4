/**
 * The engine in a text field: codes expand as one types into a `textarea`, a text-like `input` or an editable element.
 * No React, no drafts: what stands in the field is told by `onState`, and `content` holds what is worth keeping.
 */
export { attach } from './attach';
export type { AskedEvent, Field, FieldContent, FieldEvent, FieldOptions, FieldState } from './field';
