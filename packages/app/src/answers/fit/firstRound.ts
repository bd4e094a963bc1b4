/** So many are a first round of carrying a list over: those that save most. */
export const FIRST_ROUND = 10;
