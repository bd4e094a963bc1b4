import type { Keyboard } from './keyboard';
import { nextSentence, type SentenceState } from './sentence';
import type { Timing } from './timing';
import { BEGINNING, layerAt, stepsTo, type NotOnKeyboard } from './way';

/** What it takes to type a text: taps and seconds on the quickest way. */
export interface Price {
  readonly type: 'price';
  readonly taps: number;
  readonly seconds: number;
}

/** From one place to where a character can end, with what that takes. */
interface Move {
  readonly to: number;
  readonly seconds: number;
  readonly taps: number;
}

/**
 * Prices texts on one keyboard: what `cheapestWay` says without its path. What a character costs from a
 * place, a layer with a finger over a key, is worked out once; a text then costs a look-up or two for
 * each character.
 */
export class Pricer {
  private readonly places: { layer: string; key: string | null }[] = [];
  private readonly indices = new Map<string, number>();
  /** By place, then by character. */
  private readonly moves: Map<string, readonly Move[]>[] = [];
  private readonly raised: number[] = [];

  constructor(
    private readonly keyboard: Keyboard,
    private readonly timing: Timing,
  ) {}

  price(text: string): Price | NotOnKeyboard {
    const { keyboard } = this;
    let sentence: SentenceState = 'start';
    let here: Move[] = [{ to: this.placeOf(layerAt(keyboard.start, sentence, keyboard), null), seconds: 0, taps: 0 }];
    let at = 0;
    for (const character of text.normalize('NFC')) {
      const next: Move[] = [];
      sentence = nextSentence(sentence, character);
      for (const from of here) {
        for (const move of this.movesOf(from.to, character)) {
          relax(next, {
            to: sentence === 'start' ? this.raisedOf(move.to) : move.to,
            seconds: from.seconds + move.seconds,
            taps: from.taps + move.taps,
          });
        }
      }
      if (next.length === 0) return { type: 'not-on-keyboard', character, at };
      at += character.length;
      here = next;
    }
    const { seconds, taps } = here.reduce((best, one) => (one.seconds < best.seconds ? one : best));
    return { type: 'price', taps, seconds };
  }

  private movesOf(from: number, character: string): readonly Move[] {
    let moves = this.moves[from]!.get(character);
    if (!moves) {
      const place = this.places[from]!;
      moves = stepsTo(character, [{ ...BEGINNING, ...place }], this.keyboard, this.timing).map(({ layer, key, seconds, taps }) => ({
        to: this.placeOf(layer, key),
        seconds,
        taps,
      }));
      this.moves[from]!.set(character, moves);
    }
    return moves;
  }

  /** The same place with the capitals that come up by themselves. */
  private raisedOf(place: number): number {
    const { layer, key } = this.places[place]!;
    return (this.raised[place] ??= this.placeOf(layerAt(layer, 'start', this.keyboard), key));
  }

  private placeOf(layer: string, key: string | null): number {
    const name = `${layer}\n${key ?? ''}`;
    let index = this.indices.get(name);
    if (index === undefined) {
      index = this.places.push({ layer, key }) - 1;
      this.indices.set(name, index);
      this.moves.push(new Map());
    }
    return index;
  }
}

/** Of what ends at one place only the quickest is kept. */
function relax(moves: Move[], move: Move): void {
  for (let i = 0; i < moves.length; i += 1) {
    if (moves[i]!.to !== move.to) continue;
    if (move.seconds < moves[i]!.seconds) moves[i] = move;
    return;
  }
  moves.push(move);
}
