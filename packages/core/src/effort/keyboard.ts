/** A key and where it lies: its middle and its size, in mm. */
export interface Key {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What pressing a key does in a layer. */
export interface Press {
  readonly key: string;
  readonly layer: string;
  /** What is typed by it; '' where only the layer changes. */
  readonly gives: string;
  /** The layers it may lead to: several where a person may go on holding shift, or let it go. */
  readonly to: readonly string[];
  /** Held so long, in s, where that is what the key asks for. */
  readonly hold?: number;
}

/**
 * A keyboard as data. Layers stand for all that changes what a key gives: shift for one letter, figures,
 * a dead key that was struck.
 */
export interface Keyboard {
  readonly id: string;
  readonly name: string;
  /** BCP 47. */
  readonly language: string;
  /** Fingers that move over glass, or ten fingers on keys that give. */
  readonly kind: 'glass' | 'hardware';
  readonly keys: Readonly<Record<string, Key>>;
  readonly presses: readonly Press[];
  /** The layer it begins in. */
  readonly start: string;
  /** The layer that comes up by itself where a sentence begins, in place of another; null: none does. */
  readonly automaticCapital: { readonly from: string; readonly to: string } | null;
}
