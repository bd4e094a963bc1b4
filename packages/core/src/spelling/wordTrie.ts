/** The words of a language with how often each is used: a trie in typed arrays, first child and next sibling (Knuth, TAOCP 3, 6.3). */
export class WordTrie {
  private constructor(
    readonly units: Uint16Array,
    readonly firstChild: Int32Array,
    readonly nextSibling: Int32Array,
    /** The word that ends at a node, as its place in `words`; -1: none. */
    readonly wordAt: Int32Array,
    /** The highest weight of the words at and below a node. */
    readonly best: Float64Array,
    readonly words: readonly string[],
    readonly weights: Float64Array,
  ) {}

  /** `weights`: one for each word. Cost: O(n log n) for the order, then O(units). */
  static of(words: readonly string[], weights: Float64Array): WordTrie {
    const order = words.map((_, index) => index).sort((a, b) => compare(words[a]!, words[b]!));
    const most = words.reduce((sum, word) => sum + word.length, 1);
    const units = new Uint16Array(most);
    const firstChild = new Int32Array(most).fill(-1);
    const nextSibling = new Int32Array(most).fill(-1);
    const wordAt = new Int32Array(most).fill(-1);
    const best = new Float64Array(most).fill(-Infinity);
    // The nodes of the word before, and the last child that each of them got.
    const path = [0];
    const lastChild = new Int32Array(most).fill(-1);
    let size = 1;
    let before = '';
    for (const index of order) {
      const word = words[index]!;
      let depth = sharedStart(before, word);
      for (; depth < word.length; depth += 1) {
        const parent = path[depth]!;
        const node = size;
        size += 1;
        units[node] = word.charCodeAt(depth);
        if (lastChild[parent] === -1) firstChild[parent] = node;
        else nextSibling[lastChild[parent]!] = node;
        lastChild[parent] = node;
        path[depth + 1] = node;
      }
      wordAt[path[word.length]!] = index;
      for (let at = 0; at <= word.length; at += 1) {
        const node = path[at]!;
        if (best[node]! < weights[index]!) best[node] = weights[index]!;
      }
      before = word;
    }
    return new WordTrie(
      units.slice(0, size),
      firstChild.slice(0, size),
      nextSibling.slice(0, size),
      wordAt.slice(0, size),
      best.slice(0, size),
      words,
      weights,
    );
  }
}

function compare(a: string, b: string): number {
  if (a === b) return 0;
  return a < b ? -1 : 1;
}

function sharedStart(a: string, b: string): number {
  let length = 0;
  while (length < a.length && length < b.length && a[length] === b[length]) length += 1;
  return length;
}
