/** A larger file than this is no list of people that a phone could hold, in bytes. */
export const LARGEST_CARDS = 100_000_000;
