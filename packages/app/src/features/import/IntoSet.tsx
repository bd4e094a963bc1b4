import { countClusters, LIMITS } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';

import { ChoiceChip } from '@/look/ChoiceChip';
import { Field } from '@/look/Field';

import type { Import } from '@yellow-latch/replica/commands/importing';
import type { Importer } from './useImport';

const NEW = ' new';
const BROUGHT_IN = 'Brought in';

const intoOf = (next: string) => (next === NEW ? { name: BROUGHT_IN } : { setId: next });

/** The set for rows that say nothing of one. */
export function IntoSet({ importer, sets }: { importer: Importer; sets: readonly { id: string; name: string }[] }) {
  const { into, setInto } = importer;
  const value = into && ('setId' in into ? into.setId : NEW);
  return (
    <View style={styles.into}>
      <ChoiceChip
        label="Those without a set go into"
        placeholder="Into no set"
        value={value}
        choices={[
          { value: null, label: 'no set' },
          ...sets.map(({ id, name }) => ({ value: id, label: name })),
          { value: NEW, label: 'a new set…' },
        ]}
        onChange={(next: string | null) => setInto(next === null ? null : intoOf(next))}
      />
    </View>
  );
}

/** What the set is called that the import makes for them. */
export function NewSetName({ importer: { into, setInto } }: { importer: Importer }) {
  const name = into !== null && 'name' in into ? into.name : '';
  const error = isNameFine(into) ? undefined : `The name may have ${LIMITS.setNameClusters} characters at most.`;
  return (
    <Field
      label="The name of the new set"
      value={name}
      onChangeText={(next) => setInto({ name: next })}
      onBlur={() => name.trim() === '' && setInto({ name: BROUGHT_IN })}
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
