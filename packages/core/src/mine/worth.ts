import {
  BLANK,
  effortOfCode,
  effortOfText,
  LEARNING,
  MAKING,
  RECALL,
  RECALL_OF_TEXT,
  WEEKS_A_YEAR,
  type InUse,
} from '../effort';
import { settleRules } from '../fire';

/** What a found text comes to as a shortcut. */
export interface Worth {
  /** One use saves so much, in s, on the mean of the keyboards in use; below 0: it costs. */
  readonly perUse: number;
  /** Minutes a month over a year, less what making and learning it take. */
  readonly aMonth: number;
}

const MONTHS_A_YEAR = 12;

/** `aYear`: s. */
function minutesAMonth(aYear: number): number {
  return aYear / MONTHS_A_YEAR / 60;
}

/** Weighs texts against a code as the next one of a list would be. */
export class Worths {
  private readonly ofCode: number;
  private readonly shares: number;

  /** `sampleCode`: a code as a new one would be, with its mark. */
  constructor(
    sampleCode: string,
    private readonly inUse: readonly InUse[],
  ) {
    this.shares = inUse.reduce((sum, { share }) => sum + share, 0);
    const [entry] = settleRules({
      sets: [],
      shortcuts: [
        {
          id: '',
          code: sampleCode,
          content: { expansion: '', template: false, format: 'plain' },
          kind: 'message',
          setId: null,
          rules: {},
        },
      ],
    });
    this.ofCode = this.mean((one) => {
      const effort = effortOfCode(entry!, one);
      // Where such a code cannot be typed another is found that can, about as long.
      return effort.type === 'effort' ? effort.seconds : effortOfText(sampleCode, one).seconds;
    });
  }

  /** `text`: what is typed each time, without what differs; `blanks`: how many places differ. */
  of(text: string, aWeek: number, blanks = 0): Worth {
    const typing = this.secondsOf(text);
    const perUse = typing + RECALL_OF_TEXT - this.ofCode - RECALL.rule - blanks * BLANK;
    return { perUse, aMonth: minutesAMonth(perUse * aWeek * WEEKS_A_YEAR - (typing + MAKING) - LEARNING) };
  }

  /** Minutes a month that a code would have saved that there is already; 0: it saves none. */
  ofKnown(text: string, aWeek: number): number {
    return minutesAMonth(Math.max(0, this.of(text, aWeek).perUse) * aWeek * WEEKS_A_YEAR);
  }

  /** Whether a sign is on no key of most keyboards in use. */
  isFetched(sign: string): boolean {
    return this.mean((one) => (effortOfText(sign, one).fromTable.length > 0 ? 1 : 0)) > 0.5;
  }

  private secondsOf(text: string): number {
    return this.mean((one) => effortOfText(text, one).seconds);
  }

  private mean(of: (one: InUse) => number): number {
    return this.inUse.reduce((sum, one) => sum + of(one) * one.share, 0) / this.shares;
  }
}
