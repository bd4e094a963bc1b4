import { t } from '@lingui/core/macro';
import { tellCount } from '@/wording/format';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { Preview } from '@/answers/exchange/workerApi';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';
import { useList } from '@/frame/replica/ReplicaProvider';

import { Columns } from './Columns';
import { FileChoices } from './FileChoices';
import { GroupHead } from './GroupHead';
import { GROUPS, type Status } from './groups';
import { choiceOf } from '@yellow-latch/replica/commands/importing';
import { IntoSet, isNameFine, NewSetName } from './IntoSet';
import { PreviewRow } from './PreviewRow';
import { RowSheet } from './RowSheet';
import type { Importer } from './useImport';

type Item =
  | { type: 'above'; key: string }
  | { type: 'group'; key: string; status: Status; rows: readonly number[] }
  | { type: 'row'; key: string; index: number };

interface PreviewListProps {
  importer: Importer;
  preview: Preview;
}

/** What would become of every row, in groups, to be decided of each or of all; and the button that does it. */
export function PreviewList({ importer, preview }: PreviewListProps) {
  const palette = usePalette();
  const router = useRouter();
  const { sets } = useList();
  const [closed, setClosed] = useState<ReadonlySet<Status>>(new Set(['same']));
  const [asked, setAsked] = useState<number | null>(null);
  const [isColumnsDone, setColumnsDone] = useState(false);
  const { rows } = preview;
  const byStatus = useMemo(() => {
    const groups = new Map<Status, number[]>(GROUPS.map(({ status }) => [status, []]));
    rows.forEach((row, index) => groups.get(row.status)!.push(index));
    return groups;
  }, [rows]);
  const items = useMemo(() => {
    const all: Item[] = [{ type: 'above', key: 'above' }];
    for (const { status } of GROUPS) {
      const of = byStatus.get(status)!;
      if (of.length === 0) continue;
      all.push({ type: 'group', key: status, status, rows: of });
      if (!closed.has(status)) for (const index of of) all.push({ type: 'row', key: String(index), index });
    }
    return all;
  }, [byStatus, closed]);
  if (preview.table?.isUnclear && !isColumnsDone) {
    return (
      <Columns
        table={preview.table}
        onDone={(columns, hasHeading) => {
          setColumnsDone(true);
          importer.readOtherwise({ ...importer.readAs, form: preview.form, columns, hasHeading });
        }}
      />
    );
  }
  const { plan } = importer;
  const count = plan ? plan.made + plan.changed : 0;
  const hasWork = plan !== null && plan.command.writes.length > 0 && isNameFine(importer.into);
  const saysNoSet = rows.some((row) => row.status === 'new' && row.wanted.set === undefined);
  return (
    <View style={styles.page}>
      <View style={styles.list}>
        <VirtualList<Item>
          label={t`What happens to every row`}
          items={items}
          keyOf={({ key }) => key}
          estimate={({ type }) => (type === 'row' ? 60 : 64)}
          renderItem={(item) => {
            if (item.type === 'above') return <FileChoices importer={importer} preview={preview} />;
            if (item.type === 'row')
              return (
                <PreviewRow
                  row={rows[item.index]!}
                  choice={choiceOf(rows[item.index]!, item.index, importer.choices)}
                  onChoose={(choice) => importer.choose([item.index], choice)}
                  onAsk={() => setAsked(item.index)}
                />
              );
            return (
              <GroupHead
                importer={importer}
                preview={preview}
                status={item.status}
                rows={item.rows}
                isOpen={!closed.has(item.status)}
                onOpen={(isOpen) =>
                  setClosed(
                    new Set(isOpen ? [...closed].filter((one) => one !== item.status) : [...closed, item.status]),
                  )
                }
              />
            );
          }}
        />
      </View>
      <View style={[styles.foot, { borderColor: palette.line, backgroundColor: palette.ground }]}>
        {saysNoSet && importer.into !== null && 'name' in importer.into && <NewSetName importer={importer} />}
        <View style={styles.go}>
          {saysNoSet ? (
            <IntoSet importer={importer} sets={sets} />
          ) : (
            <Text role="status" variant="bodySmall" style={styles.words}>
              {hasWork ? t`You can undo this.` : t`Nothing to import.`}
            </Text>
          )}
          {hasWork && (
            <LatchButton
              label={count > 0 ? t`Import ${{ count: tellCount(count) }}` : t`Restore`}
              icon="check"
              onPress={() =>
                void importer.bringIn().then(
                  () => router.navigate('/'),
                  () => {},
                )
              }
            />
          )}
        </View>
      </View>
      {asked !== null && (
        <RowSheet
          row={rows[asked]!}
          all={rows}
          choice={choiceOf(rows[asked]!, asked, importer.choices)}
          onClose={() => setAsked(null)}
          onChoose={(choice) => importer.choose([asked], choice)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  list: { flex: 1, minHeight: 0 },
  words: { flex: 1, minWidth: 0 },
  foot: { borderTopWidth: 1, paddingHorizontal: 16, paddingVertical: 10, gap: 10 },
  go: { flexDirection: 'row', alignItems: 'center', gap: 12 },
});
