import { plural, t } from '@lingui/core/macro';
import { isLineTooLong, LIMITS, type ShortcutSet } from '@yellow-latch/core/model';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { ChoiceSheet } from '@/look/ChoiceSheet';
import { Field } from '@/look/Field';
import { Icon, type IconName } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Radio, RadioGroup } from '@/look/RadioGroup';
import { usePalette } from '@/look/useLook';
import type { Command } from '@yellow-latch/replica/commands/command';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { tellTooLong } from '@/parts/kinds';

import { changingSet, deletingSet, emptyingSet, mergingSets } from '@yellow-latch/replica/commands/sets';

/** Pictures that a set may have. */
const ICONS: readonly IconName[] = [
  'folder',
  'map-pin',
  'message',
  'mail',
  'house',
  'truck',
  'timer',
  'tag',
  'music',
  'piano',
  'file-text',
  'link',
  'key',
  'inbox',
];

/** What can be done to a set: another name or picture, merged, emptied, deleted; each with one undo. */
export function SetSheet({ set, onClose }: { set: ShortcutSet; onClose: () => void }) {
  const palette = usePalette();
  const run = useCommand();
  const list = useList();
  const canEdit = useMay() === 'edit';
  const [name, setName] = useState(set.name);
  const [isMerging, setMerging] = useState(false);
  const count = list.shortcuts.filter(({ setId }) => setId === set.id).length;
  const shortcuts = plural(count, { one: '# shortcut', other: '# shortcuts' });
  const others = list.sets.filter(({ id }) => id !== set.id);
  const isTooLong = isLineTooLong(name.trim(), LIMITS.setNameClusters);
  const act = (command: Command, done: string) => {
    onClose();
    void run(command, done);
  };
  const rename = () => {
    const wanted = name.trim();
    if (wanted === '' || isTooLong) return;
    if (wanted === set.name) onClose();
    else act(changingSet(set, { name: wanted }), t`Renamed ${{ name: set.name }} to ${wanted}.`);
  };
  const way = (icon: IconName, label: string, onPress: () => void, isAlarm = false) => (
    <Pressable key={label} role="button" onPress={onPress} style={styles.way}>
      <Icon name={icon} color={isAlarm ? palette.alarm : palette.ink} />
      <Text variant="bodyLarge" style={[styles.words, isAlarm && { color: palette.alarm }]}>
        {label}
      </Text>
    </Pressable>
  );
  if (!canEdit) {
    return (
      <Sheet title={set.name} isOpen onClose={onClose}>
        <Text style={styles.told}>{t`This device can use the list but not change it.`}</Text>
      </Sheet>
    );
  }
  return (
    <>
      <Sheet title={set.name} isOpen={!isMerging} onClose={onClose}>
        <ScrollView>
          <View style={styles.name}>
            <View style={styles.words}>
              <Field
                label={t`Name`}
                value={name}
                onChangeText={setName}
                onBlur={() => {}}
                onSubmit={rename}
                error={isTooLong ? tellTooLong(LIMITS.setNameClusters) : undefined}
              />
            </View>
            <LatchButton label={t`Rename`} isQuiet onPress={rename} />
          </View>
          <RadioGroup label={t`Picture`} hasChosen onlyMoves style={styles.icons}>
            {ICONS.map((icon) => (
              <Radio
                key={icon}
                isOn={icon === set.icon}
                label={icon.replace('-', ' ')}
                onPress={() =>
                  icon !== set.icon && act(changingSet(set, { icon }), t`Changed the picture of ${{ name: set.name }}.`)
                }
                style={[styles.icon, { borderColor: icon === set.icon ? palette.ink : 'transparent' }]}
              >
                <Icon name={icon} color={palette.ink} />
              </Radio>
            ))}
          </RadioGroup>
          {others.length > 0 && way('combine', t`Merge into another set`, () => setMerging(true))}
          {count > 0 &&
            way('inbox', t`Take ${shortcuts} out of the set`, () =>
              act(emptyingSet(set, list), t`Emptied ${{ name: set.name }}.`),
            )}
          {way(
            'trash',
            count > 0 ? t`Delete the set, keep ${shortcuts}` : t`Delete the set`,
            () => act(deletingSet(set, list, 'set alone'), t`Deleted the set ${{ name: set.name }}.`),
            true,
          )}
          {count > 0 &&
            way(
              'trash',
              t`Delete the set and ${shortcuts}`,
              () => act(deletingSet(set, list, 'shortcuts too'), t`Deleted ${{ name: set.name }} and ${shortcuts}.`),
              true,
            )}
        </ScrollView>
      </Sheet>
      <ChoiceSheet
        title={t`Merge ${{ name: set.name }} into`}
        value={''}
        choices={others.map(({ id, name: other }) => ({ value: id, label: other }))}
        isOpen={isMerging}
        onClose={() => setMerging(false)}
        onChange={(id) => {
          const into = others.find((other) => other.id === id)!;
          act(mergingSets(set, into, list), t`Merged ${{ name: set.name }} into ${{ into: into.name }}.`);
        }}
      />
    </>
  );
}

const styles = StyleSheet.create({
  name: { flexDirection: 'row', alignItems: 'flex-end', gap: 8, paddingHorizontal: 20, paddingBottom: 8 },
  words: { flex: 1, minWidth: 0 },
  told: { paddingHorizontal: 20, paddingBottom: 12 },
  icons: { flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 16, paddingBottom: 8 },
  icon: { width: 48, height: 48, alignItems: 'center', justifyContent: 'center', borderWidth: 1.5, borderRadius: 6 },
  way: { flexDirection: 'row', alignItems: 'center', gap: 16, minHeight: 52, paddingHorizontal: 20 },
});
