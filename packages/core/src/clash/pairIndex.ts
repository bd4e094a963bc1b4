/**
 * Finds texts that hold a stretch: for each pair of characters that follow one another, what has it (an inverted index of
 * bigrams). What is asked for is looked up by its rarest pair and then compared, so that an answer costs what it finds, not
 * the number of texts. What goes is not taken out: who asks knows whether it is still there.
 */
export class PairIndex<Entry> {
  private readonly byPair = new Map<number, Entry[]>();

  /** Cost: linear in the text. */
  add(entry: Entry, text: string): void {
    const seen = new Set<number>();
    for (let at = 0; at + 1 < text.length; at += 1) {
      const pair = pairAt(text, at);
      if (seen.has(pair)) continue;
      seen.add(pair);
      const entries = this.byPair.get(pair);
      if (entries) entries.push(entry);
      else this.byPair.set(pair, [entry]);
    }
  }

  /** All that may hold a stretch, in the order in which they came; null: it is too short to say. */
  mayHold(stretch: string): readonly Entry[] | null {
    if (stretch.length < 2) return null;
    let rarest: readonly Entry[] | null = null;
    for (let at = 0; at + 1 < stretch.length; at += 1) {
      const entries = this.byPair.get(pairAt(stretch, at));
      if (!entries) return [];
      if (rarest === null || entries.length < rarest.length) rarest = entries;
    }
    return rarest;
  }
}

function pairAt(text: string, at: number): number {
  return text.charCodeAt(at) * 0x10000 + text.charCodeAt(at + 1);
}
