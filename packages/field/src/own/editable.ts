import { applyEdit, type Edit, type Range } from '@yellow-latch/core/fire';

import type { Surface } from './surface';

/** Elements that begin a line of their own. */
const BLOCKS = new Set(['div', 'p', 'li', 'ul', 'ol', 'blockquote', 'pre', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6']);

/** A place in the document. */
interface Spot {
  readonly node: Node;
  readonly offset: number;
}

/**
 * An editable element read as one text: its text nodes in their order, LF for `<br>` and between blocks. An edit stays
 * within the text nodes it touches, so that what stands around it keeps its elements.
 */
export class EditableSurface implements Surface {
  constructor(readonly element: HTMLElement) {}

  get text(): string {
    return this.pieces()
      .map(({ text }) => text)
      .join('');
  }

  get selection(): Range | null {
    const selection = this.element.ownerDocument.getSelection();
    if (!selection || selection.rangeCount === 0) return null;
    const { startContainer, startOffset, endContainer, endOffset } = selection.getRangeAt(0);
    if (!this.element.contains(startContainer) || !this.element.contains(endContainer)) return null;
    return { start: this.offsetOf(startContainer, startOffset), end: this.offsetOf(endContainer, endOffset) };
  }

  get caret(): number {
    return this.selection?.end ?? this.text.length;
  }

  apply({ range, replacement, caret }: Edit): void {
    const wanted = applyEdit(this.text, { range, replacement });
    const at = this.rangeOf(range);
    const [from, to] = [this.blockOf(at.startContainer), this.blockOf(at.endContainer)];
    const { startContainer, startOffset } = at;
    at.deleteContents();
    if (from !== to) {
      // The lines that were two are one.
      if (to !== this.element) this.join(from, to);
      at.setStart(startContainer, startOffset);
      at.collapse(true);
    }
    const { ownerDocument: document } = this.element;
    const parts = document.createDocumentFragment();
    replacement.split('\n').forEach((line, index) => {
      if (index > 0) parts.append(document.createElement('br'));
      if (line !== '') parts.append(line);
    });
    if (parts.hasChildNodes()) at.insertNode(parts);
    this.element.normalize();
    // A line with nothing in it would have no height, and be none.
    if (this.text !== wanted) at.insertNode(document.createElement('br'));
    this.place({ start: caret, end: caret });
  }

  select(range: Range): void {
    this.element.focus();
    this.place(range);
  }

  private place(range: Range): void {
    const selection = this.element.ownerDocument.getSelection();
    selection?.removeAllRanges();
    selection?.addRange(this.rangeOf(range));
  }

  private rangeOf({ start, end }: Range) {
    const range = this.element.ownerDocument.createRange();
    const [from, to] = [this.spotOf(start), this.spotOf(end)];
    range.setStart(from.node, from.offset);
    range.setEnd(to.node, to.offset);
    return range;
  }

  private blockOf(node: Node): Node {
    let block = node;
    while (block !== this.element && !BLOCKS.has(block.nodeName.toLowerCase())) block = block.parentNode!;
    return block;
  }

  /** What is in `second` goes on where `first` ends, or, where it stands within `first`, in its own place. */
  private join(first: Node, second: Node): void {
    const into = first.contains(second) ? second.parentNode! : first;
    const next = into === first ? null : second;
    while (second.firstChild) into.insertBefore(second.firstChild, first.contains(second) ? second : next);
    second.parentNode?.removeChild(second);
  }

  /** What the text is made of, in its order. */
  private pieces(): Piece[] {
    const pieces: Piece[] = [];
    // Where a block begins or has ended, what comes next is on a line of its own.
    let isAtBlock = false;
    const add = (piece: Piece) => {
      // A `<br>` between blocks is a line by itself.
      const isLine = piece.type === 'line' && piece.text !== '';
      if (isAtBlock && pieces.length > 0 && !isLine) pieces.push({ type: 'break', node: piece.node, text: '\n' });
      isAtBlock = false;
      pieces.push(piece);
    };
    const walk = (parent: Node) => {
      for (const node of parent.childNodes) {
        const name = node.nodeName.toLowerCase();
        if (node.nodeType === node.TEXT_NODE) {
          if (node.nodeValue) add({ type: 'text', node, text: node.nodeValue });
        } else if (name === 'br') add({ type: 'line', node, text: isPlaceholder(node) ? '' : '\n' });
        else {
          isAtBlock ||= BLOCKS.has(name);
          walk(node);
          isAtBlock ||= BLOCKS.has(name);
        }
      }
    };
    walk(this.element);
    return pieces;
  }

  private spotOf(offset: number): Spot {
    let left = offset;
    let last: Spot = { node: this.element, offset: 0 };
    for (const { type, node, text } of this.pieces()) {
      if (type === 'text' && left <= text.length) return { node, offset: left };
      if (left === 0) return type === 'line' ? besides(node, 0) : last;
      left -= text.length;
      if (type === 'text') last = { node, offset: text.length };
      if (type === 'line') last = besides(node, 1);
    }
    return last;
  }

  private offsetOf(container: Node, offset: number): number {
    const point = this.element.ownerDocument.createRange();
    point.setStart(container, offset);
    let sum = 0;
    for (const { type, node, text } of this.pieces()) {
      if (type === 'text' && node === container) return sum + offset;
      const block = this.blockOf(node);
      const isIn = type === 'break' && block !== this.element && block.contains(container);
      // A place straight before what a break leads to is behind the break.
      const beyond = point.comparePoint(node.parentNode!, indexOf(node));
      if (!isIn && (type === 'break' ? beyond > 0 : beyond >= 0)) return sum;
      sum += text.length;
    }
    return sum;
  }
}

/** A part of the text: of a text node, a `<br>`, or the end of a line before `node`, since a block stands between. */
interface Piece {
  readonly type: 'text' | 'line' | 'break';
  readonly node: Node;
  readonly text: string;
}

/** Whether a `<br>` only holds open a line that a block ends. */
function isPlaceholder(br: Node): boolean {
  const { nextSibling: next, parentNode: parent } = br;
  if (next) return BLOCKS.has(next.nodeName.toLowerCase());
  return BLOCKS.has(parent!.nodeName.toLowerCase()) && !(parent as HTMLElement).hasAttribute('contenteditable');
}

function indexOf(node: Node): number {
  return [...node.parentNode!.childNodes].indexOf(node as ChildNode);
}

/** The place before a node (`by` 0) or behind it (1). */
function besides(node: Node, by: 0 | 1): Spot {
  return { node: node.parentNode!, offset: indexOf(node) + by };
}
