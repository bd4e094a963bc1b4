import type { Offer } from '@yellow-latch/core/fire';

import type { CaretBox } from '../guest/surface';
import { Layer } from './layer';
import { plateOf } from './plate';
import type { FieldWords } from './words';

/** So many are shown at once. */
const MOST = 4;
/** A click sooner than this after it was shown, in ms, was meant for what stood there before. */
const TOO_SOON = 250;
const APART = 6;

/** The texts that a code, or its beginning, may become: beside the caret while one types. */
export class Suggestions {
  private readonly layer: Layer;
  private readonly card: HTMLElement;
  private offers: readonly Offer[] = [];
  private since = 0;

  constructor(
    private readonly document: Document,
    words: FieldWords,
    private readonly onTaken: (offer: Offer) => void,
  ) {
    this.layer = new Layer(document, CSS);
    this.card = document.createElement('div');
    this.card.className = 'card';
    this.card.setAttribute('role', 'group');
    this.card.setAttribute('aria-label', words.suggestions);
    // The field keeps the focus.
    this.card.addEventListener('pointerdown', (event) => event.preventDefault());
    this.card.addEventListener('mousedown', (event) => event.preventDefault());
  }

  get first(): Offer | undefined {
    return this.offers[0];
  }

  get all(): readonly Offer[] {
    return this.offers;
  }

  holds(event: Event): boolean {
    return this.layer.holds(event);
  }

  /** Shows them, or hides where there are none. */
  show(offers: readonly Offer[], at: () => CaretBox): void {
    const shown = offers.slice(0, MOST);
    const isSame = shown.length === this.offers.length && shown.every((one, i) => one.entry === this.offers[i]!.entry);
    this.offers = shown;
    if (shown.length === 0) {
      if (this.layer.isShown) this.layer.hide();
      return;
    }
    if (!isSame || !this.layer.isShown) {
      this.since = performance.now();
      this.card.replaceChildren(...shown.map((offer, index) => this.row(offer, index === 0)));
    }
    this.layer.show(this.card);
    this.place(at());
  }

  private row(offer: Offer, isFirst: boolean): HTMLElement {
    const { entry } = offer;
    const row = this.document.createElement('button');
    row.type = 'button';
    row.tabIndex = -1;
    const text = this.document.createElement('span');
    text.className = 'text';
    text.textContent = (entry.shown ?? entry.expansion).replaceAll(/\s+/gu, ' ').slice(0, 120);
    row.append(plateOf(this.document, entry.code), text);
    if (isFirst) {
      const key = this.document.createElement('kbd');
      key.textContent = 'Alt ↓';
      row.append(key);
    }
    row.addEventListener('click', (event) => {
      if (event.isTrusted && performance.now() - this.since >= TOO_SOON) this.onTaken(offer);
    });
    return row;
  }

  private place({ left, top, bottom }: CaretBox): void {
    const { card } = this;
    const { width, height } = card.getBoundingClientRect();
    const isBelow = bottom + APART + height <= innerHeight || top < height + APART;
    card.style.left = `${Math.max(8, Math.min(left, innerWidth - width - 8))}px`;
    card.style.top = `${isBelow ? bottom + APART : top - APART - height}px`;
  }
}

const CSS = `
.card{padding:4px;display:flex;flex-direction:column}
button{all:unset;box-sizing:border-box;display:flex;align-items:center;gap:10px;min-height:40px;padding:4px 8px;border-radius:9px;cursor:pointer}
button:hover{background:var(--ground)}
.text{overflow:hidden;text-overflow:ellipsis;white-space:nowrap;min-width:0;flex:1}
kbd{font:inherit;font-size:12px;color:var(--inkSoft);border:1px solid var(--line);border-radius:5px;padding:0 5px;flex:none}
`;
