/**
 * Many strings sought at once in folded text: the automaton of Aho & Corasick 1975, as one table. Every
 * occurrence is told, also of strings inside others. Memory: 4 bytes for each state and each of the units
 * that occur in the strings.
 */
export class Patterns {
  private readonly classes = new Uint16Array(0x10000);
  private readonly classCount: number;
  private readonly next: Int32Array;
  /** By state the string that ends there; -1: none. */
  private readonly ends: Int32Array;
  /** By state the first at which a string ends, itself or along its suffixes, and of that the next; -1: none. */
  private readonly outputs: Int32Array;
  private readonly shorter: Int32Array;

  constructor(readonly strings: readonly string[]) {
    let classCount = 1;
    let most = 1;
    for (const string of strings) {
      most += string.length;
      for (let i = 0; i < string.length; i += 1) {
        const unit = string.charCodeAt(i);
        if (this.classes[unit] === 0) this.classes[unit] = classCount++;
      }
    }
    this.classCount = classCount;
    this.next = new Int32Array(most * classCount).fill(-1);
    this.ends = new Int32Array(most).fill(-1);
    this.outputs = new Int32Array(most).fill(-1);
    this.shorter = new Int32Array(most).fill(-1);
    let states = 1;
    strings.forEach((string, index) => {
      let state = 0;
      for (let i = 0; i < string.length; i += 1) {
        const cell = state * classCount + this.classes[string.charCodeAt(i)]!;
        if (this.next[cell] === -1) this.next[cell] = states++;
        state = this.next[cell]!;
      }
      if (string !== '') this.ends[state] = index;
    });
    this.link(states);
  }

  /** Makes of the tree an automaton: where a string does not go on, the longest suffix that does is taken. */
  private link(states: number): void {
    const { next, classCount } = this;
    const fails = new Int32Array(states);
    const queue: number[] = [];
    for (let unit = 0; unit < classCount; unit += 1) {
      if (next[unit] === -1) next[unit] = 0;
      else queue.push(next[unit]!);
    }
    for (const state of queue) {
      const fail = fails[state]!;
      this.shorter[state] = this.outputs[fail]!;
      this.outputs[state] = this.ends[state] === -1 ? this.outputs[fail]! : state;
      for (let unit = 0; unit < classCount; unit += 1) {
        const cell = state * classCount + unit;
        const along = next[fail * classCount + unit]!;
        if (next[cell] === -1) next[cell] = along;
        else {
          fails[next[cell]!] = along;
          queue.push(next[cell]!);
        }
      }
    }
  }

  /** The state after one more folded unit; 0 is where to begin. */
  step(state: number, unit: number): number {
    return this.next[state * this.classCount + this.classes[unit]!]!;
  }

  /** The first state at which a string ends, along the suffixes of one; -1: none. */
  firstOutput(state: number): number {
    return this.outputs[state]!;
  }

  /** The next such state, of a shorter string; -1: none. */
  nextOutput(state: number): number {
    return this.shorter[state]!;
  }

  /** The index of the string that ends at an output. */
  stringAt(output: number): number {
    return this.ends[output]!;
  }
}
