import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { asOnThisKeyboard } from '@/frame/keys';
import { FACES, STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

type Where = 'everywhere' | 'list' | 'write';
type Keys = readonly (readonly [keys: MessageDescriptor, does: MessageDescriptor])[];

const TITLES: Readonly<Record<Where, MessageDescriptor>> = {
  everywhere: msg`On every page`,
  list: msg`In your list`,
  write: msg`In Write`,
};

const KEYS: Readonly<Record<Where, Keys>> = {
  everywhere: [
    [msg`/ or Ctrl K`, msg`find a shortcut or a page`],
    [msg`N`, msg`new shortcut`],
    [msg`Ctrl Z`, msg`undo what the line at the foot tells of`],
    [msg`F6`, msg`go to that line`],
    [msg`?`, msg`these keys`],
  ],
  list: [
    [msg`Down, Up`, msg`next shortcut, previous shortcut`],
    [msg`Right, Left`, msg`to the copy button and back`],
    [msg`Enter`, msg`open it`],
    [msg`Space`, msg`select it`],
    [msg`Shift Down, Up`, msg`select several`],
    [msg`Ctrl A`, msg`select all that are shown`],
    [msg`Escape`, msg`select none`],
  ],
  write: [
    [msg`Down, Up`, msg`go to the suggestions and back`],
    [msg`Left, Right`, msg`move along the suggestions`],
    [msg`Enter`, msg`use the suggestion, or start a new line`],
    [msg`Escape`, msg`keep what you typed`],
    [msg`Tab, Shift Tab`, msg`next gap, previous gap`],
    [msg`Backspace`, msg`right after a code expands: get the code back`],
    [msg`Ctrl Z, Ctrl Y`, msg`undo, redo`],
    [msg`Ctrl Enter`, msg`send`],
    [msg`Ctrl B`, msg`tap board`],
    [msg`Ctrl O`, msg`drafts`],
    [msg`Ctrl /`, msg`these keys`],
  ],
};

/** The keys of one place, and what each does. */
export function KeyList({ of }: { of: Where }) {
  const palette = usePalette();
  const title = i18n._(TITLES[of]);
  return (
    <View style={[styles.keys, { borderColor: palette.line }]}>
      <Text variant="titleSmall" role="heading" aria-level={3} style={styles.title}>
        {title}
      </Text>
      <View role="list" aria-label={title}>
        {KEYS[of].map(([keys, does]) => (
          <View key={keys.id} role="listitem" style={styles.line}>
            <Text style={styles.key}>{asOnThisKeyboard(i18n._(keys))}</Text>
            <Text variant="bodyMedium" style={styles.does}>
              {i18n._(does)}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  keys: { marginTop: 8, paddingVertical: 8, borderTopWidth: 1 },
  title: { ...STRONG, paddingHorizontal: 20, paddingVertical: 4, fontSize: 15 },
  line: { flexDirection: 'row', gap: 12, paddingHorizontal: 20, paddingVertical: 4 },
  key: { ...STRONG, width: 124, fontFamily: FACES.code, fontSize: 14, lineHeight: 21 },
  does: { flex: 1 },
});
