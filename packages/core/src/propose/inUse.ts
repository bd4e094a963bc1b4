/** The codes of a list, asked by match key. No answer takes longer the longer the list is. */
export interface CodesInUse {
  /** The ids of the shortcuts that have a code with this key, oldest first. */
  usersOf(key: string): readonly string[];
  /** Whether some code goes on from it. */
  hasLonger(key: string): boolean;
  /** The ids of the shortcuts whose codes it goes on from. */
  shorterThan(key: string): readonly string[];
}
