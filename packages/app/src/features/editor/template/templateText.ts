import type { Segment } from '@yellow-latch/core/expansion';
import {
  $createLineBreakNode,
  $createParagraphNode,
  $createTextNode,
  $getRoot,
  $isElementNode,
  $isLineBreakNode,
  type LexicalNode,
} from 'lexical';

import { $createChip, $isChip, type ChipSegment } from './chipNode';

/** Fills the editor with segments; `labelOf` says what stands on a chip. */
export function $showSegments(segments: readonly Segment[], labelOf: (segment: ChipSegment) => string): void {
  const paragraph = $createParagraphNode();
  for (const segment of segments) {
    if (segment.type !== 'text') {
      paragraph.append($createChip(segment, labelOf(segment)));
      continue;
    }
    segment.text.split('\n').forEach((line, index) => {
      if (index > 0) paragraph.append($createLineBreakNode());
      if (line !== '') paragraph.append($createTextNode(line));
    });
  }
  $getRoot().clear().append(paragraph);
}

/** What the editor holds, texts side by side joined. */
export function $readSegments(): Segment[] {
  const segments: Segment[] = [];
  const addText = (text: string) => {
    const last = segments.at(-1);
    if (last?.type === 'text') segments[segments.length - 1] = { type: 'text', text: last.text + text };
    else if (text !== '') segments.push({ type: 'text', text });
  };
  const read = (node: LexicalNode): void => {
    if ($isChip(node)) segments.push(node.segment);
    else if ($isLineBreakNode(node)) addText('\n');
    else if ($isElementNode(node)) node.getChildren().forEach(read);
    else addText(node.getTextContent());
  };
  $getRoot()
    .getChildren()
    .forEach((paragraph, index) => {
      if (index > 0) addText('\n');
      read(paragraph);
    });
  return segments;
}
