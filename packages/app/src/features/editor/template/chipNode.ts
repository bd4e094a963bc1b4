import type { Segment } from '@yellow-latch/core/expansion';
import {
  $applyNodeReplacement,
  $createTextNode,
  TextNode,
  type EditorConfig,
  type LexicalNode,
  type NodeKey,
  type SerializedTextNode,
} from 'lexical';

/** All that stands in a template beside its text. */
export type ChipSegment = Exclude<Segment, { type: 'text' }>;

/** A chip inside the text: one thing to the caret, taken out whole. */
export class ChipNode extends TextNode {
  __segment: ChipSegment;

  static override getType(): string {
    return 'chip';
  }

  static override clone(node: ChipNode): ChipNode {
    return new ChipNode(node.__segment, node.__text, node.__key);
  }

  /** Chips are made of templates alone: what is pasted is text. */
  static override importJSON(serialized: SerializedTextNode): TextNode {
    return $createTextNode(serialized.text);
  }

  constructor(segment: ChipSegment, text: string, key?: NodeKey) {
    super(text, key);
    this.__segment = segment;
  }

  override createDOM(config: EditorConfig): HTMLElement {
    const element = super.createDOM(config);
    element.className = 'chip';
    return element;
  }

  override canInsertTextBefore(): boolean {
    return false;
  }

  override canInsertTextAfter(): boolean {
    return false;
  }

  override isTextEntity(): boolean {
    return true;
  }

  get segment(): ChipSegment {
    return this.getLatest().__segment;
  }
}

export function $createChip(segment: ChipSegment, text: string): ChipNode {
  const node = new ChipNode(segment, text);
  node.setMode('token');
  return $applyNodeReplacement(node);
}

export function $isChip(node: LexicalNode | null | undefined): node is ChipNode {
  return node instanceof ChipNode;
}
