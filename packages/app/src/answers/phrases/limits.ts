/** A larger file of messages than this is more than a phone could hold in memory, in bytes. */
export const LARGEST_SENT = 200_000_000;
