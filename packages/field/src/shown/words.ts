/** What is said around a field, so that whoever builds it in can say it in another language. */
export interface FieldWords {
  /** The suggestions by the caret, as a screen reader calls them. */
  readonly suggestions: string;
  /** What is asked before a text goes in. `code`: the code that was typed. */
  readonly fillIn: (code: string) => string;
  readonly insert: string;
  readonly cancel: string;
  readonly fromClipboard: string;
  readonly fromSelection: string;
}

export const ENGLISH: FieldWords = {
  suggestions: 'Suggestions',
  fillIn: (code) => `Fill in “${code}”`,
  insert: 'Insert',
  cancel: 'Cancel',
  fromClipboard: 'From the clipboard',
  fromSelection: 'The selected text',
};
