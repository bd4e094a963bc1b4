/** What the field for a shortcut's text is given, whether it is plain or has chips in it. */
export interface ExpansionFieldProps {
  /** The shortcut itself cannot stand inside; null: it is new. */
  id: string | null;
  value: string;
  isTemplate: boolean;
  /** Of a plain text: it can be read and not changed. */
  isReadOnly?: boolean;
  error?: string;
  startsHere: boolean;
  inputRef: (input: unknown) => void;
  /** `isMarkdown`: a link came in, so that the text is formatted now. */
  onChange: (value: string, isTemplate: boolean, isMarkdown?: true) => void;
  onBlur: () => void;
  onSubmit: () => void;
}
