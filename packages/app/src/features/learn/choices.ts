import { writtenText, type Shortcut } from '@yellow-latch/core/model';

const CHOICES = 4;

/**
 * The text of a shortcut among three others, of its kind where there are enough, each another text. Which, and in which
 * order, follows from their ids: the same card is the same when it is drawn again.
 */
export function choicesFor(shortcut: Shortcut, all: readonly Shortcut[]): readonly Shortcut[] {
  const seen = new Set([writtenText(shortcut)]);
  const others = all
    .filter(({ id, kind }) => id !== shortcut.id && kind !== 'correction')
    .sort((a, b) => Number(b.kind === shortcut.kind) - Number(a.kind === shortcut.kind) || nearer(shortcut, a, b));
  const wrong: Shortcut[] = [];
  for (const other of others) {
    if (wrong.length === CHOICES - 1) break;
    if (seen.has(writtenText(other))) continue;
    seen.add(writtenText(other));
    wrong.push(other);
  }
  return [...wrong, shortcut].sort((a, b) => mixed(shortcut.id, a.id) - mixed(shortcut.id, b.id));
}

function nearer(shortcut: Shortcut, a: Shortcut, b: Shortcut): number {
  return mixed(shortcut.id, a.id) - mixed(shortcut.id, b.id);
}

/** A number made of two ids (FNV-1a). */
function mixed(a: string, b: string): number {
  let hash = 0x811c9dc5;
  for (const unit of `${a} ${b}`) hash = Math.imul(hash ^ unit.charCodeAt(0), 0x01000193) >>> 0;
  return hash;
}
