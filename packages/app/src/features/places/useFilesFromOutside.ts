import { useRouter } from 'expo-router';
import { useEffect } from 'react';

import { useLatest } from '@/look/useLatest';
import { handOver } from '@/parts/incoming';

/** File Handling API (WICG): what the system opens with the app. */
interface LaunchQueue {
  setConsumer(consumer: (launch: { readonly files?: readonly { getFile(): Promise<File> }[] }) => void): void;
}

let serial = 0;

/**
 * A file that is dropped anywhere, or opened with the app, goes to Import; a page with a use of its own for files takes
 * those that are dropped on it. The browser never leaves the page for a file.
 */
export function useFilesFromOutside(): void {
  const router = useRouter();
  const open = useLatest((file: File) => {
    serial += 1;
    handOver({ type: 'file', file });
    router.navigate({ pathname: '/import', params: { at: `file-${serial}` } });
  });
  useEffect(() => {
    const hasFiles = ({ dataTransfer }: DragEvent) => dataTransfer?.types.includes('Files') === true;
    const onDragOver = (event: DragEvent) => {
      if (hasFiles(event)) event.preventDefault();
    };
    const onDrop = (event: DragEvent) => {
      if (event.defaultPrevented || !hasFiles(event)) return;
      event.preventDefault();
      const file = event.dataTransfer?.files[0];
      if (file) open.current(file);
    };
    document.addEventListener('dragover', onDragOver);
    document.addEventListener('drop', onDrop);
    return () => {
      document.removeEventListener('dragover', onDragOver);
      document.removeEventListener('drop', onDrop);
    };
  }, [open]);
  useEffect(() => {
    const { launchQueue } = window as { launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files = [] }) => {
      void files[0]?.getFile().then((file) => open.current(file));
    });
  }, [open]);
}
