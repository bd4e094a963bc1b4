import { fromMarkdown } from 'mdast-util-from-markdown';
import type { Nodes, Parents } from 'mdast';
import { micromark } from 'micromark';

/**
 * CommonMark as HTML. Safe to show: raw HTML stays text, and links and pictures have addresses of harmless kinds
 * alone (micromark's own rule).
 */
export function markdownToHtml(source: string): string {
  return micromark(source);
}

/** CommonMark as it reads without formatting: links as “text (address)”, marks of lists kept. */
export function markdownToPlain(source: string): string {
  return blocks(fromMarkdown(source), '').join('\n');
}

/** The lines of what a block holds, each after an indent. */
function blocks(parent: Parents, indent: string): string[] {
  const lines: string[] = [];
  parent.children.forEach((child, index) => {
    const own = blockOf(child, indent, parent, index);
    if (lines.length > 0 && !isTight(parent)) lines.push('');
    lines.push(...own);
  });
  return lines;
}

function blockOf(node: Nodes, indent: string, parent: Parents, index: number): string[] {
  switch (node.type) {
    case 'list':
      return blocks(node, indent);
    case 'listItem': {
      const list = parent.type === 'list' ? parent : null;
      const mark = list?.ordered ? `${(list.start ?? 1) + index}. ` : '- ';
      const [first = '', ...rest] = blocks(node, '');
      return [
        indent + mark + first,
        ...rest.map((line) => (line === '' ? '' : indent + ' '.repeat(mark.length) + line)),
      ];
    }
    case 'blockquote':
      return blocks(node, '').map((line) => `${indent}> ${line}`.trimEnd());
    case 'code':
    case 'html':
      return node.value.split('\n').map((line) => indent + line);
    case 'thematicBreak':
      return [`${indent}---`];
    case 'definition':
      return [];
    default:
      return inline(node)
        .split('\n')
        .map((line) => indent + line);
  }
}

function inline(node: Nodes): string {
  switch (node.type) {
    case 'text':
    case 'inlineCode':
    case 'html':
      return node.value;
    case 'break':
      return '\n';
    case 'link': {
      const text = node.children.map(inline).join('');
      return text === node.url || `mailto:${text}` === node.url ? text : `${text} (${node.url})`;
    }
    case 'image':
      return node.alt ? `${node.alt} (${node.url})` : node.url;
    default:
      return 'children' in node ? node.children.map((child) => inline(child)).join('') : '';
  }
}

/** Whether what stands in it follows without a blank line between. */
function isTight(parent: Parents): boolean {
  if (parent.type === 'list') return !parent.spread && parent.children.every(({ spread }) => !spread);
  return parent.type === 'listItem' && !parent.spread;
}
