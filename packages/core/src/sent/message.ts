/** A message that somebody sent, as it was read from a file. */
export interface SentMessage {
  readonly text: string;
  /** When, in ms since 1970; null: the file does not say. */
  readonly at: number | null;
  /** The mail address of who sent it; null: the file does not say. */
  readonly from: string | null;
}

/** Something of a file that could not be read; rows and mails count from 1. `why` is for developers. */
export interface Skipped {
  readonly row: number;
  readonly why: string;
}

/** What a file holds. */
export interface SentMessages {
  readonly messages: readonly SentMessage[];
  readonly skipped: readonly Skipped[];
}
