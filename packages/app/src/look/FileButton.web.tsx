import { useRef } from 'react';
import { Button } from 'react-native-paper';

const TEXTS = '.txt,.md,.csv,.tsv,.jsonl,.ndjson,.log,text/*';

interface FileButtonProps {
  label: string;
  /** Several may be chosen where `onFiles` is given. */
  onFile?: (file: File) => void;
  onFiles?: (files: readonly File[]) => void;
  accept?: string;
}

/** Opens a file of the person's own, or several. */
export function FileButton({ label, onFile, onFiles, accept = TEXTS }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        aria-label={`${label} (file)`}
        tabIndex={-1}
        accept={accept}
        multiple={onFiles !== undefined}
        style={{ position: 'absolute', width: 1, height: 1, opacity: 0, pointerEvents: 'none' }}
        onChange={({ target }) => {
          const files = [...(target.files ?? [])];
          // The same file may be opened again.
          target.value = '';
          if (files.length > 0) onFiles?.(files);
          if (files[0]) onFile?.(files[0]);
        }}
      />
      <Button
        icon="folder"
        mode="outlined"
        onPress={() => input.current?.click()}
        style={{ borderRadius: 6 }}
        contentStyle={{ minHeight: 48 }}
      >
        {label}
      </Button>
    </>
  );
}
