import { KINDS, type AskedRules, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { counted } from '@/answers/audit/sentences';
import { languageChoices } from '@/parts/languages';
import { WAYS } from '@/parts/kinds';
import { ChoiceSheet, type ChoiceOption } from '@/look/ChoiceSheet';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { deleting, editingAll } from '@yellow-latch/replica/commands/shortcuts';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { choosing, useChosen } from '@/parts/choosing';

const USUAL = 'usual';
const FIRES = WAYS.map(({ value, label }) => ({ value: value ?? USUAL, label }));
const NONE = 'none';

type Asked = 'set' | 'kind' | 'fires' | 'language';

/** What can be done to all that are chosen, each with one undo. It stands where a new shortcut is begun otherwise. */
export function ChoosingBar() {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets, languages } = useList();
  const canEdit = useMay() === 'edit';
  const ids = useChosen();
  const [asked, setAsked] = useState<Asked | null>(null);
  if (ids === null) return null;
  const chosen = shortcuts.filter(({ id }) => ids.has(id));
  const count = counted(chosen.length, 'shortcut');
  const change = (fields: Parameters<typeof editingAll>[1], done: string) => {
    void run(editingAll(chosen, fields), done).then(() => choosing.end());
  };
  const remove = () =>
    void run(deleting(chosen), chosen.length === 1 ? `${chosen[0]!.code} is deleted.` : `${count} are deleted.`).then(
      () => choosing.end(),
    );
  const verb = chosen.length === 1 ? 'is' : 'are';
  const sheet = (
    what: Asked,
    title: string,
    choices: readonly ChoiceOption<string>[],
    value: string,
    take: (value: string) => void,
  ) => (
    <ChoiceSheet
      title={title}
      value={value}
      choices={choices}
      isOpen={asked === what}
      onClose={() => setAsked(null)}
      onChange={take}
    />
  );
  const same = <T,>(of: (shortcut: Shortcut) => T): T | '' =>
    chosen.length > 0 && chosen.every((one) => of(one) === of(chosen[0]!)) ? of(chosen[0]!) : '';
  const act = (icon: IconName, label: string, onPress: () => void) => (
    <Pressable
      key={label}
      role="button"
      aria-disabled={chosen.length === 0 || undefined}
      aria-label={`${label}, for ${count}`}
      onPress={() => chosen.length > 0 && onPress()}
      style={[styles.action, chosen.length === 0 && styles.off]}
    >
      <Icon name={icon} size={22} color={palette.ink} />
      <Text variant="labelMedium" numberOfLines={1}>
        {label}
      </Text>
    </Pressable>
  );
  return (
    <View
      role="toolbar"
      aria-label="For what is chosen"
      style={[styles.bar, { backgroundColor: palette.surface, borderColor: palette.ink }]}
    >
      <View style={styles.line}>
        <IconButton
          icon="close"
          size={22}
          style={styles.close}
          accessibilityLabel="End choosing"
          onPress={() => choosing.end()}
        />
        <Text role="status" variant="titleMedium" style={styles.count}>
          {chosen.length === 0 ? 'None chosen yet' : `${chosen.length.toLocaleString('en')} chosen`}
        </Text>
        <Button mode="text" onPress={() => choosing.all()} contentStyle={styles.tall}>
          All {choosing.shown.length.toLocaleString('en')}
        </Button>
      </View>
      <View style={styles.actions}>
        {canEdit && act('folder', 'Set', () => setAsked('set'))}
        {canEdit && act('tag', 'Kind', () => setAsked('kind'))}
        {canEdit && act('timer', 'Fires', () => setAsked('fires'))}
        {canEdit && act('language', 'Language', () => setAsked('language'))}
        {act('download', 'File', () => router.navigate('/export'))}
        {act('printer', 'Sheet', () => router.navigate('/sheet'))}
        {canEdit && act('trash', 'Delete', remove)}
      </View>
      {sheet(
        'set',
        'Move to a set',
        [{ value: NONE, label: 'None' }, ...sets.map(({ id, name }) => ({ value: id, label: name }))],
        same(({ setId }) => setId ?? NONE),
        (value) => {
          const setId = value === NONE ? null : value;
          change(
            () => ({ setId }),
            `${count} ${verb} in ${sets.find(({ id }) => id === setId)?.name ?? 'no set'} now.`,
          );
        },
      )}
      {sheet(
        'kind',
        'Kind',
        KINDS.map((value) => ({ value, label: value })),
        same(({ kind }) => kind),
        (value) => change(() => ({ kind: value as Shortcut['kind'] }), `${count} ${verb} of the kind ${value} now.`),
      )}
      {sheet(
        'fires',
        'Fires',
        FIRES,
        same(({ rules }) => rules.fires ?? USUAL),
        (value) =>
          change(
            ({ rules }) => ({ rules: firing(rules, value) }),
            `${count} ${chosen.length === 1 ? 'fires' : 'fire'} ${FIRES.find((way) => way.value === value)!.label} now.`,
          ),
      )}
      {sheet(
        'language',
        'Language',
        [{ value: NONE, label: 'any' }, ...languageChoices(languages)],
        same(({ language }) => language ?? NONE),
        (value) => change(() => ({ language: value === NONE ? null : value }), `The language of ${count} is set.`),
      )}
    </View>
  );
}

function firing({ fires: _fires, ...rules }: AskedRules, value: string): AskedRules {
  return value === USUAL ? rules : { ...rules, fires: value as NonNullable<AskedRules['fires']> };
}

const styles = StyleSheet.create({
  bar: { borderWidth: 1.5, borderRadius: 8, margin: 10, padding: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  close: { width: 48, height: 48, margin: 0 },
  count: { ...STRONG, flex: 1 },
  tall: { minHeight: 48 },
  actions: { flexDirection: 'row' },
  // As wide as its word asks for, so that the longest is not cut.
  action: {
    flexGrow: 1,
    flexShrink: 0,
    flexBasis: 'auto',
    minWidth: 48,
    minHeight: 56,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 3,
  },
  off: { opacity: 0.55 },
});
