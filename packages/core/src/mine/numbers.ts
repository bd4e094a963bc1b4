/** A row of whole numbers that grows. */
export class Numbers {
  private held = new Int32Array(1_024);
  length = 0;

  push(number: number): void {
    if (this.length === this.held.length) {
      const larger = new Int32Array(this.length * 2);
      larger.set(this.held);
      this.held = larger;
    }
    this.held[this.length] = number;
    this.length += 1;
  }

  /** All of them, without a copy where there is no room left. */
  get all(): Int32Array {
    return this.held.length === this.length ? this.held : this.held.slice(0, this.length);
  }
}
