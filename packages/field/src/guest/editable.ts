import { asSpaces, type Before, type CaretBox, type GuestSurface } from './surface';

/** Elements that begin a line of their own. */
const BLOCKS = new Set(
  'address article aside blockquote body dd details div dl dt figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p pre section summary table tbody td tfoot th thead tr ul'.split(
    ' ',
  ),
);

/** A place in the document. */
interface Spot {
  readonly node: Node;
  readonly offset: number;
}

/**
 * An editable element of somebody else's page, plain or the face of an editor. It is read backwards from the caret and no
 * further than needed, whatever its size. Edits go through the browser's own commands or as a paste, which editors
 * that keep a text of their own understand.
 */
export class EditableOfPage implements GuestSurface {
  readonly knowsCaret = true;

  constructor(readonly element: HTMLElement) {}

  get takes() {
    return { lines: true, formatting: this.element.contentEditable !== 'plaintext-only', spaces: true };
  }

  before(most: number): Before | null {
    const selection = this.selection();
    if (!selection) return null;
    let text = '';
    let isWhole = true;
    for (const piece of this.backwards(selection.start)) {
      if (piece.text === '\n') break;
      text = piece.text + text;
      if (text.length >= most) {
        isWhole = text.length === most;
        break;
      }
    }
    return { text: asSpaces(text.slice(-most)), isWhole, isCaret: selection.isCaret };
  }

  replaceBefore(expected: string, text: string, formatted: string | null): boolean {
    const { element } = this;
    const { ownerDocument: document } = element;
    const selection = this.selection();
    const start = selection && this.spotBefore(selection.start, expected);
    if (!start) return false;
    this.select(start, selection.end);
    if (text === '') return expected === '' || document.execCommand('delete');
    const html = this.takes.formatting ? formatted : null;
    if (html === null && !text.includes('\n')) return document.execCommand('insertText', false, text);
    if (this.paste(text, html)) return true;
    return html === null
      ? document.execCommand('insertText', false, text)
      : document.execCommand('insertHTML', false, html);
  }

  moveBack(over: string): void {
    const selection = this.selection();
    const spot = selection && this.spotBefore(selection.start, over);
    if (spot) this.select(spot, spot);
  }

  selected(): string {
    return this.element.ownerDocument.getSelection()?.toString() ?? '';
  }

  caretBox(): CaretBox {
    const selection = this.selection();
    const field = this.element.getBoundingClientRect();
    if (!selection) return { left: field.left, top: field.top, bottom: field.bottom };
    const range = this.element.ownerDocument.createRange();
    const { node, offset } = selection.start;
    range.setStart(node, offset);
    const box = [...range.getClientRects()].at(-1);
    if (box) return { left: box.right, top: box.top, bottom: box.bottom };
    // A line with nothing in it has no box of its own.
    const around = (node instanceof Element ? node : node.parentElement)!.getBoundingClientRect();
    return { left: around.left, top: around.top, bottom: Math.min(around.bottom, around.top + 32) };
  }

  keepCaret(): () => void {
    const selection = this.selection();
    return () => {
      this.element.focus();
      if (selection) this.select(selection.start, selection.end);
    };
  }

  /** An editor that keeps a text of its own takes what is pasted into it; a plain element leaves the event alone. */
  private paste(text: string, html: string | null): boolean {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    if (html !== null) data.setData('text/html', html);
    const event = new ClipboardEvent('paste', { bubbles: true, cancelable: true, composed: true, clipboardData: data });
    return !this.element.dispatchEvent(event);
  }

  private select(start: Spot, end: Spot): void {
    const { ownerDocument: document } = this.element;
    document.getSelection()?.setBaseAndExtent(start.node, start.offset, end.node, end.offset);
    // Browsers tell of it a moment later; an editor that keeps a selection of its own is to know at once.
    document.dispatchEvent(new Event('selectionchange'));
  }

  /** What is selected, if all of it is in here. Inside a shadow root the document tells only if asked for that root. */
  private selection(): { start: Spot; end: Spot; isCaret: boolean } | null {
    const { element } = this;
    const selection = element.ownerDocument.getSelection();
    if (!selection) return null;
    const root = element.getRootNode();
    const range =
      root instanceof ShadowRoot
        ? selection.getComposedRanges?.({ shadowRoots: [root] })[0]
        : selection.rangeCount > 0 && selection.getRangeAt(0);
    if (!range || !element.contains(range.startContainer) || !element.contains(range.endContainer)) return null;
    const start = { node: range.startContainer, offset: range.startOffset };
    const end = { node: range.endContainer, offset: range.endOffset };
    return { start, end, isCaret: start.node === end.node && start.offset === end.offset };
  }

  /** Where `expected` begins, if it stands before a spot; null: something else does. A new line is one unit. */
  private spotBefore(spot: Spot, expected: string): Spot | null {
    let left = expected.length;
    if (left === 0) return spot;
    for (const piece of this.backwards(spot)) {
      const from = Math.max(0, piece.text.length - left);
      const text = asSpaces(piece.text.slice(from));
      if (text !== expected.slice(left - text.length, left)) return null;
      left -= text.length;
      if (left === 0) return from === 0 ? piece.start : { node: piece.start.node, offset: from };
    }
    return null;
  }

  /** What stands before a spot, the nearest first: stretches of text, LF where a line begins, U+FFFC for what is no text. */
  private *backwards({ node, offset }: Spot): Generator<Piece> {
    const walk: Walk = { isAtBlock: false };
    let from = node;
    if (node.nodeType === Node.TEXT_NODE) {
      if (offset > 0) yield { text: node.nodeValue!.slice(0, offset), start: { node, offset: 0 } };
    } else {
      for (let index = offset - 1; index >= 0; index -= 1) yield* this.within(node.childNodes[index]!, walk);
      walk.isAtBlock ||= node !== this.element && isBlock(node);
    }
    while (from !== this.element) {
      for (let sibling = from.previousSibling; sibling; sibling = sibling.previousSibling)
        yield* this.within(sibling, walk);
      from = from.parentNode!;
      walk.isAtBlock ||= from !== this.element && isBlock(from);
    }
  }

  /** All of a node, from its end. Where a block begins or ended, what stands before it ends in a new line. */
  private *within(node: Node, walk: Walk): Generator<Piece> {
    if (node.nodeType !== Node.TEXT_NODE && !(node instanceof HTMLElement)) return;
    const text = pieceOf(node);
    if (text === null) {
      walk.isAtBlock ||= isBlock(node);
      for (let child = node.lastChild; child; child = child.previousSibling) yield* this.within(child, walk);
      walk.isAtBlock ||= isBlock(node);
      return;
    }
    if (text === '') return;
    const start = node.nodeType === Node.TEXT_NODE ? { node, offset: 0 } : spotOf(node, 0);
    const wasAtBlock = walk.isAtBlock;
    walk.isAtBlock = false;
    // A `<br>` at the end of a block is not seen: it is the new line.
    if (wasAtBlock && text === '\n') yield { text, start };
    else {
      const end = node.nodeType === Node.TEXT_NODE ? { node, offset: text.length } : spotOf(node, 1);
      if (wasAtBlock) yield { text: '\n', start: end };
      yield { text, start };
    }
  }
}

/** Whether a block begins, or has ended, where a walk has come. */
interface Walk {
  isAtBlock: boolean;
}

/** A stretch of text, and the spot before it. */
interface Piece {
  readonly text: string;
  readonly start: Spot;
}

/** What a node is to the text; null: what is in it counts. */
function pieceOf(node: Node): string | null {
  if (node.nodeType === Node.TEXT_NODE) return node.nodeValue!;
  const element = node as HTMLElement;
  if (element.localName === 'br') return '\n';
  return element.getAttribute('contenteditable') === 'false' || element.localName === 'img' ? '\ufffc' : null;
}

/** The place before a node (`by` 0) or behind it (1). */
function spotOf(node: Node, by: 0 | 1): Spot {
  const siblings: readonly Node[] = Array.from(node.parentNode!.childNodes);
  return { node: node.parentNode!, offset: siblings.indexOf(node) + by };
}

function isBlock(node: Node): boolean {
  return node instanceof HTMLElement && BLOCKS.has(node.localName);
}
