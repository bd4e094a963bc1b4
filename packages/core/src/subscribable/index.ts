/** The observer pattern, in the one form used here: listeners are called in the order in which they came. */
export class Subscribable<Told extends readonly unknown[] = []> {
  private readonly listeners = new Set<(...told: Told) => void>();

  /** Calls `listener` at every `emit` from now on. Gives the way to stop. */
  readonly subscribe = (listener: (...told: Told) => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  emit(...told: Told): void {
    for (const listener of this.listeners) listener(...told);
  }
}
