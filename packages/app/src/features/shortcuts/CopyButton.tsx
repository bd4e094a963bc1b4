import type { Shortcut } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';
import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { shownExpansion } from '@/audit/sentences';
import { useNotice } from '@/frame/Notices';
import { usePalette } from '@/look/useLook';

/** How long the tick stays after copying, in ms. */
const TICK = 1_500;

interface CopyButtonProps {
  shortcut: Shortcut;
}

/** Copies what a shortcut gives with one tap and says so. */
export function CopyButton({ shortcut }: CopyButtonProps) {
  const text = shortcut.content.expansion;
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
        notify({ text: `Copied: ${shownExpansion(shortcut, 60)}` });
      },
      () => notify({ text: 'The browser did not let this be copied. Open it and copy it there.' }),
    );
  };
  return (
    <IconButton
      icon={hasCopied ? 'check' : 'copy'}
      size={20}
      iconColor={hasCopied ? palette.ink : palette.inkSoft}
      accessibilityLabel={`Copy what ${shortcut.code} gives`}
      onPress={copy}
      style={styles.button}
    />
  );
}

const styles = StyleSheet.create({ button: { width: 48, height: 48, margin: 0 } });
