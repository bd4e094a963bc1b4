import { useState, type ReactNode } from 'react';

import { usePalette } from './useLook';

/** Where a file may be dropped; what can be dropped can be opened by a button too. */
export function DropZone({ onFile, children }: { onFile: (file: File) => void; children: ReactNode }) {
  const palette = usePalette();
  const [isOver, setOver] = useState(false);
  return (
    <div
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const file = event.dataTransfer.files[0];
        if (file) onFile(file);
      }}
      style={{
        display: 'flex',
        flexDirection: 'column',
        flex: 1,
        minHeight: 0,
        outline: isOver ? `3px dashed ${palette.ink}` : 'none',
        outlineOffset: -6,
      }}
    >
      {children}
    </div>
  );
}
