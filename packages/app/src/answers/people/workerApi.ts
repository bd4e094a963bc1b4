/** What the worker of people does, without the worker: it reads files of cards. Runs in Node for tests. */
import { decodeText, type DecodeProblem } from '@yellow-latch/core/exchange';
import { COUNTRIES, readCards, type ReadCards } from '@yellow-latch/core/people';

/** A larger file than this is no list of people that a phone could hold, in bytes. */
export const LARGEST_CARDS = 100_000_000;

export interface People extends ReadCards {
  /** Characters that could not be read in the file's encoding. */
  readonly unread: number;
}

export class PeopleWorkerApi {
  private text: { readonly text: string; readonly unread: number } | DecodeProblem | null = null;

  /** Takes a file up. */
  open(bytes: Uint8Array): void {
    const decoded = decodeText(bytes, undefined, LARGEST_CARDS);
    this.text = 'type' in decoded ? decoded : { text: decoded.text, unread: decoded.unread };
  }

  /** The countries as in which numbers can be written. */
  countries(): readonly string[] {
    return COUNTRIES;
  }

  /** The people in the open file. `home`: the country (ISO 3166-1) as in which numbers and addresses are written. */
  read(home: string): People | DecodeProblem | null {
    if (this.text === null || 'type' in this.text) return this.text;
    return { ...readCards(this.text.text, home), unread: this.text.unread };
  }
}
