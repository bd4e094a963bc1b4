import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { shownText } from '@yellow-latch/core/model';
import { Suspense, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences/mask';
import { SymbolPicker } from '@/bundles/symbolPicker';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { keepingFocus } from '@/look/keepingFocus';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { ArrangeBoard } from './ArrangeBoard';
import { pinnedOf } from '@yellow-latch/replica/commands/tapBoard';
import { PinSheet } from './PinSheet';

interface TapBoardProps {
  onPut: (shortcut: Shortcut) => void;
  onKey: (text: string) => void;
  onBackspace: () => void;
}

/** Keys beside the shortcuts, so that a message can be put together without another keyboard. */
const KEYS: readonly { text: string; label: MessageDescriptor; icon?: IconName }[] = [
  { text: ',', label: msg`Comma` },
  { text: '.', label: msg`Full stop` },
  { text: '?', label: msg`Question mark` },
  { text: ' ', label: msg`Space`, icon: 'space' },
  { text: '\n', label: msg`New line`, icon: 'return' },
];

/** Pinned shortcuts as large keys, by set, for writing without typing. */
export function TapBoard({ onPut, onKey, onBackspace }: TapBoardProps) {
  const palette = usePalette();
  const { shortcuts, sets } = useList();
  const [setId, setSetId] = useState<string | null>(null);
  const [isArranging, setArranging] = useState(false);
  const [isChoosing, setChoosing] = useState(false);
  const [isPicking, setPicking] = useState(false);
  const pinned = pinnedOf(shortcuts);
  const withKeys = sets.filter(({ id }) => pinned.some((one) => one.setId === id));
  const shownSet = withKeys.some(({ id }) => id === setId) ? setId : null;
  const shown = shownSet === null ? pinned : pinned.filter((one) => one.setId === shownSet);
  const tab = (id: string | null, name: string) => (
    <Pressable
      key={id ?? 'all'}
      role="button"
      aria-pressed={id === shownSet}
      onPress={() => setSetId(id)}
      {...keepingFocus}
      style={[styles.tab, { borderColor: id === shownSet ? palette.ink : 'transparent' }]}
    >
      <Text style={[styles.tabName, id === shownSet && STRONG]}>{name}</Text>
    </Pressable>
  );
  return (
    <View
      role="region"
      aria-label={t`Tap board`}
      style={[styles.board, { backgroundColor: palette.ground, borderColor: palette.line }]}
    >
      <View style={styles.head}>
        <ScrollView horizontal showsHorizontalScrollIndicator={false} style={styles.tabs}>
          {pinned.length > 0 && tab(null, t`All`)}
          {pinned.length > 0 && withKeys.map(({ id, name }) => tab(id, name))}
        </ScrollView>
        {isArranging && (
          <Button mode="text" compact onPress={() => setChoosing(true)} contentStyle={styles.tall}>{t`Choose`}</Button>
        )}
        {pinned.length > 0 && (
          <Button mode="text" compact onPress={() => setArranging(!isArranging)} contentStyle={styles.tall}>
            {isArranging ? t`Done` : t`Arrange`}
          </Button>
        )}
      </View>
      {isArranging ? (
        <ArrangeBoard shortcuts={shown} all={pinned} />
      ) : (
        <ScrollView style={styles.scroll} contentContainerStyle={styles.keys}>
          {shown.map((shortcut) => (
            <Pressable
              key={shortcut.id}
              role="button"
              aria-label={`${shortcut.code}: ${shortcut.private ? t`private` : shownText(shortcut).slice(0, 80)}`}
              onPress={() => onPut(shortcut)}
              {...keepingFocus}
              style={({ pressed }) => [
                styles.key,
                { borderColor: palette.ink, backgroundColor: pressed ? palette.line : palette.surface },
              ]}
            >
              <Text numberOfLines={2} style={styles.text}>
                {shortcut.private ? MASK : shownText(shortcut)}
              </Text>
              <CodePlate code={shortcut.code} />
            </Pressable>
          ))}
          {pinned.length === 0 && (
            <View style={styles.empty}>
              <Text
                variant="bodyMedium"
                style={styles.emptyText}
              >{t`Put your favorite shortcuts here as big keys, and write whole messages by tapping.`}</Text>
              <Button
                mode="outlined"
                icon="pin"
                onPress={() => setChoosing(true)}
                style={styles.choose}
                contentStyle={styles.tall}
              >{t`Choose shortcuts`}</Button>
            </View>
          )}
        </ScrollView>
      )}
      <View style={styles.row} role="group" aria-label={t`Punctuation`}>
        {KEYS.map(({ text, label, icon }) => (
          <BoardKey key={text} label={i18n._(label)} icon={icon} text={text} onPress={() => onKey(text)} />
        ))}
        <BoardKey label={t`Symbols`} icon="omega" text="" onPress={() => setPicking(true)} />
        <BoardKey label={t`Backspace`} icon="backspace" text="" onPress={onBackspace} />
      </View>
      {isPicking && (
        <Suspense fallback={null}>
          <SymbolPicker
            onPick={(symbol) => {
              setPicking(false);
              onKey(symbol);
            }}
            onClose={() => setPicking(false)}
          />
        </Suspense>
      )}
      <PinSheet isOpen={isChoosing} onClose={() => setChoosing(false)} />
    </View>
  );
}

function BoardKey({
  label,
  icon,
  text,
  onPress,
}: {
  label: string;
  icon?: IconName;
  text: string;
  onPress: () => void;
}) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      {...keepingFocus}
      style={({ pressed }) => [
        styles.mark,
        { borderColor: palette.inkSoft, backgroundColor: pressed ? palette.line : palette.surface },
      ]}
    >
      {icon ? <Icon name={icon} size={20} color={palette.ink} /> : <Text style={styles.sign}>{text}</Text>}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  board: { borderTopWidth: 1, flex: 1, minHeight: 0 },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 6 },
  tabs: { flex: 1 },
  tab: {
    minHeight: 48,
    minWidth: 48,
    paddingHorizontal: 10,
    alignItems: 'center',
    justifyContent: 'center',
    borderBottomWidth: 2.5,
  },
  tabName: { fontSize: 15 },
  tall: { minHeight: 48 },
  scroll: { flex: 1 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 8 },
  key: {
    flexGrow: 1,
    flexBasis: 150,
    maxWidth: 260,
    height: 94,
    borderWidth: 1.5,
    borderRadius: 8,
    padding: 8,
    justifyContent: 'space-between',
  },
  text: { fontSize: 15, lineHeight: 19 },
  empty: { flex: 1, gap: 12, padding: 16, alignItems: 'flex-start' },
  emptyText: { lineHeight: 21 },
  choose: { borderRadius: 6 },
  row: { flexDirection: 'row', gap: 6, paddingHorizontal: 8, paddingVertical: 6 },
  mark: { flex: 1, height: 48, borderWidth: 1, borderRadius: 6, alignItems: 'center', justifyContent: 'center' },
  sign: { fontSize: 20, lineHeight: 24 },
});
