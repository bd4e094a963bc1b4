import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { shownText } from '@yellow-latch/core/model';
import { useRouter, type Href } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import { Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences';
import { announce } from '@/frame/announce';
import { useList } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { FACES } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { makeFinder } from '@/parts/find';

/** Every page there is, by its words. */
const PAGES: readonly { icon: IconName; label: MessageDescriptor; path: Href & string }[] = [
  { icon: 'rows', label: msg`Shortcuts`, path: '/' },
  { icon: 'pencil', label: msg`Write`, path: '/write' },
  { icon: 'scan', label: msg`Check`, path: '/check' },
  { icon: 'devices', label: msg`Devices`, path: '/devices' },
  { icon: 'file-text', label: msg`Own texts`, path: '/check/own-text' },
  { icon: 'ruler', label: msg`Markers`, path: '/check/conventions' },
  { icon: 'replace', label: msg`Plan my codes`, path: '/check/plan' },
  { icon: 'timer', label: msg`Savings`, path: '/check/savings' },
  { icon: 'choose', label: msg`What works where`, path: '/devices/table' },
  { icon: 'inbox', label: msg`Find phrases`, path: '/phrases' },
  { icon: 'omega', label: msg`Symbols`, path: '/symbols' },
  { icon: 'users', label: msg`People`, path: '/people' },
  { icon: 'spell-check', label: msg`Corrections`, path: '/corrections' },
  { icon: 'clipboard-list', label: msg`Clips`, path: '/clips' },
  { icon: 'file-up', label: msg`Import`, path: '/import' },
  { icon: 'download', label: msg`Export and back up`, path: '/export' },
  { icon: 'printer', label: msg`Print a sheet`, path: '/sheet' },
  { icon: 'folder', label: msg`Sets`, path: '/sets' },
  { icon: 'compass', label: msg`Where codes expand`, path: '/where' },
  { icon: 'plus', label: msg`Add a device`, path: '/devices/invite' },
  { icon: 'key', label: msg`Spare key`, path: '/devices/spare-key' },
  { icon: 'history', label: msg`History`, path: '/devices/history' },
  { icon: 'trash', label: msg`Deleted`, path: '/devices/deleted' },
  { icon: 'settings', label: msg`Settings`, path: '/devices/settings' },
  { icon: 'info', label: msg`About`, path: '/devices/about' },
];

/** So many shortcuts are shown at most: who looks for more has the list. */
const MOST = 6;

type Hit =
  | { type: 'shortcut'; key: string; id: string; code: string; text: string }
  | { type: 'page'; key: string; icon: IconName; label: string; path: Href & string };

/** Finds a shortcut or a page from anywhere: type, arrows, Enter. WAI-ARIA Authoring Practices, combobox with a listbox. */
export function FindSheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Sheet title={t`Find a shortcut or a page`} isOpen={isOpen} onClose={onClose}>
      {isOpen && <Find onClose={onClose} />}
    </Sheet>
  );
}

function Find({ onClose }: { onClose: () => void }) {
  const palette = usePalette();
  const router = useRouter();
  const [query, setQuery] = useState('');
  const [chosen, setChosen] = useState(0);
  const hits = useHits(query);
  const input = useRef<TextInput>(null);
  useEffect(() => {
    // A sheet begins at its heading; here one comes to type.
    const timer = setTimeout(() => input.current?.focus(), 0);
    return () => clearTimeout(timer);
  }, []);
  const at = Math.min(chosen, hits.length - 1);
  const open = (hit: Hit | undefined) => {
    if (!hit) return;
    onClose();
    if (hit.type === 'page') router.navigate(hit.path);
    else router.navigate({ pathname: '/shortcut/[id]', params: { id: hit.id } });
  };
  const onKey = (event: { nativeEvent: { key: string }; preventDefault: () => void }) => {
    const move = { ArrowDown: 1, ArrowUp: -1 }[event.nativeEvent.key];
    if (move === undefined) return;
    event.preventDefault();
    setChosen((at + move + hits.length) % Math.max(1, hits.length));
  };
  const count = hits.length;
  useEffect(() => {
    if (query.trim() !== '')
      announce(count === 0 ? t`Nothing found` : plural(count, { one: '# result', other: '# results' }));
  }, [query, count]);
  return (
    <>
      <TextInput
        value={query}
        onChangeText={(next) => {
          setQuery(next);
          setChosen(0);
        }}
        ref={input}
        onKeyPress={onKey}
        onSubmitEditing={() => open(hits[at])}
        aria-label={t`Find a shortcut or a page`}
        placeholder={t`A code, a word, a page`}
        placeholderTextColor={palette.inkSoft}
        autoCapitalize="none"
        autoCorrect={false}
        spellCheck={false}
        {...({
          role: 'combobox',
          'aria-expanded': count > 0,
          'aria-controls': HITS,
          'aria-activedescendant': count > 0 ? hitId(at) : undefined,
        } as object)}
        style={[styles.input, { color: palette.ink, borderColor: palette.inkSoft }]}
      />
      {count === 0 && <Text variant="bodyLarge" style={styles.none}>{t`Nothing found`}</Text>}
      <View {...({ role: 'listbox' } as object)} nativeID={HITS} aria-label={t`Results`} style={styles.hits}>
        {hits.map((hit, index) => (
          <Pressable
            key={hit.key}
            nativeID={hitId(index)}
            role="option"
            aria-selected={index === at}
            tabIndex={-1}
            onPress={() => open(hit)}
            style={[styles.hit, index === at && { backgroundColor: palette.ground }]}
          >
            {hit.type === 'page' ? (
              <>
                <Icon name={hit.icon} size={20} color={palette.ink} />
                <Text variant="bodyLarge">{hit.label}</Text>
              </>
            ) : (
              <>
                <CodePlate code={hit.code} />
                <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
                  {hit.text}
                </Text>
              </>
            )}
          </Pressable>
        ))}
      </View>
    </>
  );
}

const HITS = 'found';
const hitId = (index: number) => `found-${index}`;

/** What a query finds: shortcuts first, then pages whose words begin so. Without one the pages. */
function useHits(query: string): readonly Hit[] {
  const { shortcuts, sets } = useList();
  const finder = useMemo(() => makeFinder({ shortcuts, sets }), [shortcuts, sets]);
  return useMemo(() => {
    const words = query.trim().toLocaleLowerCase();
    const ids = words === '' ? null : finder.find(query);
    const found = ids === null ? [] : shortcuts.filter(({ id }) => ids.has(id)).slice(0, MOST);
    return [
      ...found.map((shortcut): Hit => {
        const text = shortcut.private ? MASK : shownText(shortcut);
        return { type: 'shortcut', key: shortcut.id, id: shortcut.id, code: shortcut.code, text };
      }),
      ...PAGES.flatMap(({ icon, label, path }): Hit[] => {
        const name = i18n._(label);
        const isHit = name
          .toLocaleLowerCase()
          .split(' ')
          .some((word) => word.startsWith(words));
        return isHit ? [{ type: 'page', key: path, icon, label: name, path }] : [];
      }),
    ];
  }, [finder, query, shortcuts]);
}

const styles = StyleSheet.create({
  input: {
    marginHorizontal: 20,
    minHeight: 48,
    borderWidth: 1.5,
    borderRadius: 6,
    paddingHorizontal: 12,
    fontSize: 17,
    fontFamily: FACES.text,
  },
  none: { paddingHorizontal: 20, paddingTop: 12 },
  hits: { paddingVertical: 8, maxHeight: 420, overflow: 'scroll' },
  hit: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48, paddingHorizontal: 20 },
  text: { flex: 1, minWidth: 0 },
});
