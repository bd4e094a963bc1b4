/**
 * What is assumed about people and no law of typing tells. All of it stands here; whoever knows better
 * changes it in one place. Seconds, unless told.
 */
import { FITTS, KLM } from './timing';

/** To look a code up that does not come to mind, or to type the text out after all. */
const LAPSE = 7;

/**
 * To call a code to mind. A word of the text, or what the thing is called, is one M of the keystroke-level model; of codes made
 * by a rule one in twenty is missed and looked up; consonants can be left out in more ways than one, and one in eleven is
 * missed; what has no rule is learnt by heart, and one in four is.
 */
export const RECALL = {
  word: KLM.M,
  rule: KLM.M + LAPSE / 20,
  consonants: KLM.M + LAPSE / 11,
  arbitrary: KLM.M + LAPSE / 4,
} as const;

/** To call to mind what is typed out: one M, as before anything that is typed. */
export const RECALL_OF_TEXT = KLM.M;

/** To take an offer: see that it is there (M), and reach three keys' widths up for it. */
export const TAKING_AN_OFFER = { taps: 1, seconds: KLM.M + FITTS.a + FITTS.b * Math.log2(4) } as const;

/**
 * To fetch a character that is on no key from a table of signs: think of it, open the table, find the sign,
 * pick it and come back: 2 M + H + 3 P + 3 K.
 */
export const TABLE_OF_SIGNS = { taps: 3, seconds: 2 * KLM.M + KLM.H + 3 * KLM.P + 3 * KLM.K } as const;

/** To make a shortcut, beside typing its code and its expansion once: open, choose, save, try. */
export const MAKING = 15;

/** To learn a code: it does not come to mind five times, and is looked up. */
export const LEARNING = 5 * LAPSE;

/** To fill in a blank, beside typing what goes in: see what is asked for (M), and go on to the next (K). */
export const BLANK = KLM.M + KLM.K;

/** To see that something fired by mistake, and to set it right: 2 M and ten strokes. */
export const MISFIRE = 2 * KLM.M + 10 * KLM.K;

/** To unlearn a code: it is typed the old way once, and that is set right. */
export const UNLEARNING = MISFIRE;

export const WEEKS_A_YEAR = 52;
