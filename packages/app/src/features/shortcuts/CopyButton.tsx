import { useEffect, useState } from 'react';
import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { usePalette } from '@/look/useLook';

/** How long the tick stays after copying, in ms. */
const TICK = 1_500;

/** Copies a text with one tap and says so. */
export function CopyButton({ text, label }: { text: string; label: string }) {
  const palette = usePalette();
  const notify = useNotice();
  const [hasCopied, setCopied] = useState(false);
  useEffect(() => {
    if (!hasCopied) return;
    const timer = setTimeout(() => setCopied(false), TICK);
    return () => clearTimeout(timer);
  }, [hasCopied]);
  const copy = () => {
    navigator.clipboard.writeText(text).then(
      () => {
        setCopied(true);
        notify({ text: `Copied: ${text.slice(0, 60)}${text.length > 60 ? '…' : ''}` });
      },
      () => notify({ text: 'The browser did not let this be copied. Open it and copy it there.' }),
    );
  };
  return (
    <IconButton
      icon={hasCopied ? 'check' : 'copy'}
      size={20}
      iconColor={hasCopied ? palette.ink : palette.inkSoft}
      accessibilityLabel={label}
      onPress={copy}
      style={styles.button}
    />
  );
}

const styles = StyleSheet.create({ button: { width: 48, height: 48, margin: 0 } });
