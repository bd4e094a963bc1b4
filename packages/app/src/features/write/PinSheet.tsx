import { t } from '@lingui/core/macro';
import { shownText } from '@yellow-latch/core/model';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences/mask';
import { makeFinder } from '@/parts/find';
import { CodePlate } from '@/look/CodePlate';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';

import { pinning } from '@yellow-latch/replica/commands/tapBoard';

/** Which shortcuts stand on the tap board. */
export function PinSheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const list = useList();
  const write = useWrite();
  const [query, setQuery] = useState('');
  const finder = useMemo(() => makeFinder(list), [list]);
  const found = finder.find(query);
  const shown = found === null ? list.shortcuts : list.shortcuts.filter(({ id }) => found.has(id));
  return (
    <Sheet title={t`Choose shortcuts`} isOpen={isOpen} onClose={onClose}>
      <View style={styles.search}>
        <Field label={t`Find a shortcut`} value={query} onChangeText={setQuery} onBlur={() => {}} onSubmit={() => {}} />
      </View>
      <FlatList
        data={shown}
        keyExtractor={({ id }) => id}
        style={styles.list}
        renderItem={({ item }) => (
          <Tick
            role="checkbox"
            isOn={item.pinned !== null}
            label={t`${{ code: item.code }} on the tap board`}
            onPress={() => void write(...pinning(item, list.shortcuts).writes)}
            style={styles.line}
          >
            <CodePlate code={item.code} />
            <Text numberOfLines={1} style={styles.text}>
              {item.private ? MASK : shownText(item)}
            </Text>
          </Tick>
        )}
      />
      <View style={styles.foot}>
        <LatchButton label={t`Done`} onPress={onClose} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  search: { paddingHorizontal: 20 },
  list: { flexShrink: 1, height: 380 },
  line: { paddingHorizontal: 20 },
  text: { flex: 1, fontSize: 15 },
  foot: { paddingHorizontal: 20, paddingTop: 8, alignItems: 'flex-end' },
});
