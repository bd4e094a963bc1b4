import { useState, type ReactNode } from 'react';

import { usePalette } from './useLook';

interface DropZoneProps {
  onFile?: (file: File) => void;
  onFiles?: (files: readonly File[]) => void;
  children: ReactNode;
}

/** Where a file may be dropped, or several; what can be dropped can be opened by a button too. */
export function DropZone({ onFile, onFiles, children }: DropZoneProps) {
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
        const files = [...event.dataTransfer.files];
        if (files.length > 0) onFiles?.(files);
        if (files[0]) onFile?.(files[0]);
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
