import { t } from '@lingui/core/macro';
import { isMade, type Shortcut } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';
import { Pressable, StyleSheet } from 'react-native';

import { shownExpansion } from '@/answers/audit/sentences';
import { contextNow, loadExpansion } from '@/answers/expansion/context';
import { tellExpansionError } from '@/answers/expansion/words';
import { useNotice } from '@/frame/Notices';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useOpened } from '@/frame/replica/ReplicaProvider';

/** How long the tick stays after copying, in ms. */
const TICK = 1_500;

interface CopyButtonProps {
  shortcut: Shortcut;
  /** -1 where arrows lead to it and Tab does not. */
  tabIndex?: -1;
}

/** Copies what a shortcut gives with one tap and says so. There is one in each row: it is made of little. */
export function CopyButton({ shortcut, tabIndex }: CopyButtonProps) {
  const { replica } = useOpened();
  const palette = usePalette();
  const notify = useNotice();
  const [hasCopied, setCopied] = useState(false);
  useEffect(() => {
    if (!hasCopied) return;
    const timer = setTimeout(() => setCopied(false), TICK);
    return () => clearTimeout(timer);
  }, [hasCopied]);
  const copy = () => {
    copyOut(shortcut, replica.read().shortcuts).then(
      () => {
        setCopied(true);
        notify({ text: t`Copied: ${{ text: shownExpansion(shortcut, 60) }}` });
      },
      () => notify({ text: t`The browser didn’t allow copying. Open the shortcut and copy it there.` }),
    );
  };
  return (
    <Pressable
      role="button"
      aria-label={t`Copy the text of ${{ code: shortcut.code }}`}
      tabIndex={tabIndex}
      onPress={copy}
      style={styles.button}
    >
      <Icon name={hasCopied ? 'check' : 'copy'} size={20} color={hasCopied ? palette.ink : palette.inkSoft} />
    </Pressable>
  );
}

/** To the clipboard: a text as it is, a template as it is now with gaps for its blanks, formatted text in both forms. */
async function copyOut(shortcut: Shortcut, shortcuts: readonly Shortcut[]): Promise<void> {
  if (!isMade(shortcut.content)) return navigator.clipboard.writeText(shortcut.content.expansion);
  const { expand, GAP } = await loadExpansion();
  const context = contextNow(shortcuts);
  const open = expand(shortcut, context);
  if (open.type === 'errors') throw new Error(tellExpansionError(open.errors[0]!));
  const gaps = Object.fromEntries(open.openBlanks.map((blank) => [blank.name, blank.default || GAP]));
  const made = expand(shortcut, { ...context, values: gaps });
  if (made.type === 'errors') throw new Error(tellExpansionError(made.errors[0]!));
  if (made.html === null) return navigator.clipboard.writeText(made.plain);
  return navigator.clipboard.write([
    new ClipboardItem({
      'text/html': new Blob([made.html], { type: 'text/html' }),
      'text/plain': new Blob([made.plain], { type: 'text/plain' }),
    }),
  ]);
}

const styles = StyleSheet.create({ button: { width: 48, height: 48, alignItems: 'center', justifyContent: 'center' } });
