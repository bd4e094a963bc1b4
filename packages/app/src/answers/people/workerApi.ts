/** What the worker of people does, without the worker: it reads files of cards. Runs in Node for tests. */
import { LARGEST_CARDS } from './limits';
import { decodeText, type DecodeProblem } from '@yellow-latch/core/exchange';
import { COUNTRIES, homeOf, readCards, type ReadCards } from '@yellow-latch/core/people';

export interface People extends ReadCards {
  /** Characters that could not be read in the file's encoding. */
  readonly unread: number;
}

export class PeopleWorkerApi {
  private text: { readonly text: string; readonly unread: number } | DecodeProblem | null = null;

  /** Takes a file up. Resolves with the country (ISO 3166-1) in which most of its numbers are; null: they do not say. */
  open(bytes: Uint8Array): string | null {
    const decoded = decodeText(bytes, undefined, LARGEST_CARDS);
    this.text = 'type' in decoded ? decoded : { text: decoded.text, unread: decoded.unread };
    return 'type' in decoded ? null : homeOf(decoded.text);
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
