import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { useLive, type Live } from '@/frame/live';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import type { Page } from './composer/live';

interface WriteFootProps {
  live: Live<Page>;
  below: 'keys' | 'board' | null;
  hasKeys: boolean;
  hasBoard: boolean;
  onUndo: () => void;
  onRedo: () => void;
  onGap: () => void;
  onClear: () => void;
  onTurn: (what: 'keys' | 'board') => void;
  onSend: () => void;
}

/** What is done with the page, low where thumbs are. */
export function WriteFoot({
  live,
  below,
  hasKeys,
  hasBoard,
  onUndo,
  onRedo,
  onGap,
  onClear,
  onTurn,
  onSend,
}: WriteFootProps) {
  const page = useLive(live);
  return (
    <View style={styles.foot}>
      <FootButton icon="undo" label={t`Undo`} isOn={page.canUndo} onPress={onUndo} />
      <FootButton icon="redo" label={t`Redo`} isOn={page.canRedo} onPress={onRedo} />
      {page.hasGap && <FootButton icon="gap" label={t`Next gap`} isOn onPress={onGap} />}
      {/* There is no room for all of them on a phone. */}
      {!(page.hasGap && hasKeys) && <FootButton icon="trash" label={t`Clear`} isOn={!page.isEmpty} onPress={onClear} />}
      {hasKeys && (
        <FootButton
          icon="keyboard"
          label={t`Keyboard`}
          isPressed={below === 'keys'}
          isOn
          onPress={() => onTurn('keys')}
        />
      )}
      {hasBoard && (
        <FootButton
          icon="board"
          label={t`Tap board`}
          isPressed={below === 'board'}
          isOn
          onPress={() => onTurn('board')}
        />
      )}
      <View style={styles.push} />
      <LatchButton icon="send" label={t`Send`} onPress={onSend} />
    </View>
  );
}

interface FootButtonProps {
  icon: string;
  label: string;
  isOn: boolean;
  /** Of a button that turns something on and off. */
  isPressed?: boolean;
  onPress: () => void;
}

function FootButton({ icon, label, isOn, isPressed, onPress }: FootButtonProps) {
  const palette = usePalette();
  return (
    <IconButton
      icon={icon}
      size={22}
      style={[styles.button, isPressed && { backgroundColor: palette.line }]}
      accessibilityLabel={label}
      aria-pressed={isPressed}
      disabled={!isOn}
      onPress={onPress}
    />
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 6, paddingBottom: 8, paddingTop: 2 },
  button: { width: 46, height: 48, margin: 0, borderRadius: 6 },
  push: { flex: 1 },
});
