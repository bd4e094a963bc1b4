import { plural, t } from '@lingui/core/macro';
import type { AskedRules, Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { languageChoices } from '@/parts/languages';
import { kindChoices, kindName, wayChoices } from '@/parts/kinds';
import { tellCount } from '@/wording/format';
import { ChoiceSheet, type ChoiceOption } from '@/look/ChoiceSheet';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { joined, useStillThere } from '@/parts/useStillThere';
import { usePalette } from '@/look/useLook';
import { movingToNewSet } from '@yellow-latch/replica/commands/makingSet';
import { deleting, editingAll } from '@yellow-latch/replica/commands/shortcuts';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { choosing, useChosen } from '@/parts/choosing';

import { NewSetSheet } from './NewSetSheet';

const USUAL = 'usual';

const NONE = 'none';
const NEW = 'new';

type Asked = 'set' | 'kind' | 'fires' | 'language';

/** What can be done to all that are chosen, each with one undo. It stands where a new shortcut is begun otherwise. */
export function ChoosingBar() {
  const palette = usePalette();
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets, languages } = useList();
  const canEdit = useMay() === 'edit';
  const ids = useChosen();
  const stillThere = useStillThere();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [isNaming, setNaming] = useState(false);
  if (ids === null) return null;
  const chosen = shortcuts.filter(({ id }) => ids.has(id));
  const { length: many } = chosen;
  const count = plural(many, { one: '# shortcut', other: '# shortcuts' });
  const ways = wayChoices().map(({ value, label }) => ({ value: value ?? USUAL, label }));
  const change = (fields: Parameters<typeof editingAll>[1], done: string) => {
    void run(editingAll(chosen, fields), done).then(() => choosing.end());
  };
  const remove = () => {
    const still = stillThere(
      chosen.map(({ id }) => id),
      'deleted',
    );
    void run(deleting(chosen), joined(t`Deleted ${count}.`, still)).then(() => choosing.end());
  };
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
      aria-label={`${label}: ${count}`}
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
      aria-label={t`Selected shortcuts`}
      style={[styles.bar, { backgroundColor: palette.surface, borderColor: palette.ink }]}
    >
      <View style={styles.line}>
        <IconButton
          icon="close"
          size={22}
          style={styles.close}
          accessibilityLabel={t`Stop selecting`}
          onPress={() => choosing.end()}
        />
        <Text role="status" variant="titleMedium" style={styles.count}>
          {many === 0 ? t`None selected` : plural(many, { other: '# selected' })}
        </Text>
        <Button
          mode="text"
          onPress={() => choosing.all()}
          contentStyle={styles.tall}
        >{t`All ${{ count: tellCount(choosing.shown.length) }}`}</Button>
      </View>
      <View style={styles.actions}>
        {canEdit && act('folder', t`Set`, () => setAsked('set'))}
        {canEdit && act('tag', t`Kind`, () => setAsked('kind'))}
        {canEdit && act('timer', t`Expands`, () => setAsked('fires'))}
        {canEdit && act('language', t`Language`, () => setAsked('language'))}
        {act('download', t`File`, () => router.navigate('/export'))}
        {act('printer', t`Sheet`, () => router.navigate('/sheet'))}
        {canEdit && act('trash', t`Delete`, remove)}
      </View>
      <NewSetSheet
        isOpen={isNaming}
        onClose={() => setNaming(false)}
        onMake={(name) => {
          setNaming(false);
          void run(movingToNewSet(chosen, name, sets), t`Moved ${count} to ${name}.`).then(() => choosing.end());
        }}
      />
      {sheet(
        'set',
        t`Move to a set`,
        [
          { value: NONE, label: t`None` },
          ...sets.map(({ id, name }) => ({ value: id, label: name })),
          { value: NEW, label: t`new set…` },
        ],
        same(({ setId }) => setId ?? NONE),
        (value) => {
          if (value === NEW) {
            setNaming(true);
            return;
          }
          const setId = value === NONE ? null : value;
          const name = sets.find(({ id }) => id === setId)?.name;
          change(
            () => ({ setId }),
            name === undefined ? t`Took ${count} out of their sets.` : t`Moved ${count} to ${name}.`,
          );
        },
      )}
      {sheet(
        'kind',
        t`Kind`,
        kindChoices(),
        same(({ kind }) => kind),
        (value) => {
          const kind = value as Shortcut['kind'];
          const name = kindName(kind);
          change(() => ({ kind }), t`${count}: the kind is now “${name}”.`);
        },
      )}
      {sheet(
        'fires',
        t`Expands`,
        ways,
        same(({ rules }) => rules.fires ?? USUAL),
        (value) => {
          const way = ways.find((one) => one.value === value)!.label;
          change(({ rules }) => ({ rules: firing(rules, value) }), t`${count}: expands ${way}.`);
        },
      )}
      {sheet(
        'language',
        t`Language`,
        [{ value: NONE, label: t`any` }, ...languageChoices(languages)],
        same(({ language }) => language ?? NONE),
        (value) => change(() => ({ language: value === NONE ? null : value }), t`${count}: changed the language.`),
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
