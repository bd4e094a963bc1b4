import { useRef } from 'react';
import { Button } from 'react-native-paper';

const TEXTS = '.txt,.md,.csv,.tsv,.jsonl,.ndjson,.log,text/*';

/** Opens a file of the person's own. */
export function FileButton({
  label,
  onFile,
  accept = TEXTS,
}: {
  label: string;
  onFile: (file: File) => void;
  accept?: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        aria-label={`${label} (file)`}
        tabIndex={-1}
        accept={accept}
        style={{ position: 'absolute', width: 1, height: 1, opacity: 0, pointerEvents: 'none' }}
        onChange={({ target }) => {
          const file = target.files?.[0];
          // The same file may be opened again.
          target.value = '';
          if (file) onFile(file);
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
