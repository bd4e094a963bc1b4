import { Suspense } from 'react';

import { SymbolPicker } from '@/bundles/symbolPicker';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { ChipSegment } from './chipNode';
import { newSegment, type Insert } from './inserts';
import { LinkSheet } from './LinkSheet';
import { SegmentSheet } from './SegmentSheet';

interface InsertSheetProps {
  /** The shortcut that is being written, which cannot stand inside itself; null: it is new. */
  id: string | null;
  insert: Insert;
  /** What is selected in the text. */
  words: string;
  /** Blanks that are in the text. */
  blanks?: Parameters<typeof SegmentSheet>[0]['blanks'];
  onChip: (segment: ChipSegment) => void;
  onLink: (link: string) => void;
  onSymbol: (symbol: string) => void;
  onClose: () => void;
}

/** What is asked before something goes into a text. */
export default function InsertSheet(props: InsertSheetProps) {
  const { id, insert, words, blanks = [], onChip, onLink, onSymbol, onClose } = props;
  const { shortcuts } = useList();
  if (insert === 'link') return <LinkSheet words={words} onDone={onLink} onClose={onClose} />;
  if (insert === 'symbol')
    return (
      <Suspense fallback={null}>
        <SymbolPicker onPick={onSymbol} onClose={onClose} />
      </Suspense>
    );
  return (
    <SegmentSheet
      segment={newSegment(insert)}
      isNew
      blanks={blanks}
      shortcuts={shortcuts.filter((one) => one.id !== id)}
      onClose={onClose}
      onDone={onChip}
      onRemove={onClose}
    />
  );
}
