import type { Hit } from './contextCorpus';

/** A hit of one code: which text, and where in it. */
export interface TextPlace {
  readonly text: number;
  readonly start: number;
  readonly end: number;
}

/** What fires in each of many texts, asked by text and by code. */
export class TextHits {
  private readonly byText = new Map<number, Hit[]>();
  private readonly byId = new Map<string, Map<number, TextPlace>>();

  /** Adds one hit, while a whole corpus is scanned. */
  add(text: number, hit: Hit): void {
    const hits = this.byText.get(text);
    if (hits) hits.push(hit);
    else this.byText.set(text, [hit]);
    this.note(text, hit);
  }

  /** Puts the hits of a text in the place of those it had; gives the ids whose places changed. */
  replace(text: number, hits: Hit[]): string[] {
    const before = this.byText.get(text) ?? [];
    for (const { entry } of before) {
      const places = this.byId.get(entry.id);
      places?.delete(text);
      if (places?.size === 0) this.byId.delete(entry.id);
    }
    if (hits.length > 0) this.byText.set(text, hits);
    else this.byText.delete(text);
    for (const hit of hits) this.note(text, hit);
    return [...before, ...hits].map(({ entry }) => entry.id);
  }

  /** The texts in which a code fires, each once. */
  placesOf(id: string): Iterable<TextPlace> {
    return this.byId.get(id)?.values() ?? [];
  }

  countOf(id: string): number {
    return this.byId.get(id)?.size ?? 0;
  }

  /** How many texts have a hit. */
  get size(): number {
    return this.byText.size;
  }

  private note(text: number, { entry, start, end }: Hit): void {
    let places = this.byId.get(entry.id);
    if (!places) this.byId.set(entry.id, (places = new Map<number, TextPlace>()));
    if (!places.has(text)) places.set(text, { text, start, end });
  }
}
