import { CompiledList, type Corrects, type FiringEntry } from '../fire';
import { refusalOf, textHeld, type DeviceProfile, type Refusal } from '../profile';

/** A code that was typed on a device which could not take its entry. */
export interface Refused {
  readonly id: string;
  readonly typed: string;
  readonly why: Refusal;
}

/**
 * A list as one kind of device would hold it, ready for typing: texts without lines where it knows none; and beside it
 * what it could not take, so that a code which does nothing there can be told of.
 */
export class DeviceList {
  private constructor(
    readonly list: CompiledList,
    private readonly refused: CompiledList | null,
    private readonly reasons: ReadonlyMap<string, Refusal>,
    /** The spelling correction of its keyboard; null: none. */
    readonly corrects: Corrects | null = null,
  ) {}

  /** The same under a keyboard that corrects spelling. */
  correctedBy(corrects: Corrects | null): DeviceList {
    return new DeviceList(this.list, this.refused, this.reasons, corrects);
  }

  /** A list of which the device takes all, as this app does. */
  static whole(list: CompiledList): DeviceList {
    return new DeviceList(list, null, new Map());
  }

  /** `entries`: their texts as the list has them; what is made as it fires is judged then. */
  static of(entries: readonly FiringEntry[], profile: DeviceProfile): DeviceList {
    const held: FiringEntry[] = [];
    const refused: FiringEntry[] = [];
    const reasons = new Map<string, Refusal>();
    for (const entry of entries) {
      const expansion = entry.asks ? '' : textHeld(entry.expansion, profile);
      const why = refusalOf({ code: entry.code, text: expansion }, profile);
      if (why === null) {
        held.push(entry.asks || expansion === entry.expansion ? entry : { ...entry, expansion });
      } else {
        refused.push(entry);
        reasons.set(entry.id, why);
      }
    }
    const unheld =
      refused.length === 0 ? null : CompiledList.compile(refused, { ...profile, spacesInCodes: true, builtIn: [] });
    return new DeviceList(CompiledList.compile(held, profile), unheld, reasons);
  }

  /** The code that ends at `end` and that the device could not take. */
  refusedAt(text: string, end: number): Refused | null {
    const match = this.refused?.at(text, end).matches()[0];
    return match
      ? { id: match.entry.id, typed: text.slice(match.start, match.end), why: this.reasons.get(match.entry.id)! }
      : null;
  }
}
