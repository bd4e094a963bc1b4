import { t } from '@lingui/core/macro';
import { countClusters, LIMITS } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';

import { ChoiceChip } from '@/look/ChoiceChip';
import { Field } from '@/look/Field';
import { tellTooLong } from '@/parts/kinds';

import type { Import } from '@yellow-latch/replica/commands/importing';
import type { Importer } from './useImport';

const NEW = ' new';
const intoOf = (next: string) => (next === NEW ? { name: t`Imported` } : { setId: next });

/** The set for rows that say nothing of one. */
export function IntoSet({ importer, sets }: { importer: Importer; sets: readonly { id: string; name: string }[] }) {
  const { into, setInto } = importer;
  const value = into && ('setId' in into ? into.setId : NEW);
  return (
    <View style={styles.into}>
      <ChoiceChip
        label={t`Put shortcuts without a set into`}
        placeholder={t`Set`}
        value={value}
        choices={[
          { value: null, label: t`no set` },
          ...sets.map(({ id, name }) => ({ value: id, label: name })),
          { value: NEW, label: t`new set…` },
        ]}
        onChange={(next: string | null) => setInto(next === null ? null : intoOf(next))}
      />
    </View>
  );
}

/** What the set is called that the import makes for them. */
export function NewSetName({ importer: { into, setInto } }: { importer: Importer }) {
  const name = into !== null && 'name' in into ? into.name : '';
  const error = isNameFine(into) ? undefined : tellTooLong(LIMITS.setNameClusters);
  return (
    <Field
      label={t`Name of the new set`}
      value={name}
      onChangeText={(next) => setInto({ name: next })}
      onBlur={() => name.trim() === '' && setInto({ name: t`Imported` })}
      onSubmit={() => {}}
      error={error}
    />
  );
}

/** Whether the set that would be made may be called so; while the name is empty there is none. */
export function isNameFine(into: Import['into']): boolean {
  return into === null || 'setId' in into || countClusters(into.name.trim()) <= LIMITS.setNameClusters;
}

const styles = StyleSheet.create({ into: { flex: 1, flexDirection: 'row', minWidth: 0 } });
