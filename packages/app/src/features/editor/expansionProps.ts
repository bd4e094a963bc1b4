import type { Insert } from './template/inserts';

/** What the field for a shortcut's text is given, whether it is plain or has chips in it. */
export interface ExpansionFieldProps {
  /** The shortcut itself cannot stand inside; null: it is new. */
  id: string | null;
  value: string;
  isTemplate: boolean;
  error?: string;
  startsHere: boolean;
  inputRef: (input: unknown) => void;
  onChange: (value: string, isTemplate: boolean) => void;
  onBlur: () => void;
  onSubmit: () => void;
}

/** Something that is to go into a plain text, at an offset, when it has said what it is. */
export interface Started {
  readonly insert: Insert;
  readonly at: number;
}
