import { plural, t } from '@lingui/core/macro';
import {
  canTakeBack,
  changeGroupsOf,
  isErased,
  readClock,
  takingBack,
  type LoggedChange,
  type ChangeGroup,
} from '@yellow-latch/core/sync';
import { useInfiniteQuery } from '@tanstack/react-query';
import type { Href } from 'expo-router';
import { useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { useList, useMay, useOpened, useSyncState, useWrite } from '@/frame/replica/ReplicaProvider';
import { tellMoment } from '@/wording/format';
import type { Write } from '@yellow-latch/replica/storage/write';
import { server } from '@yellow-latch/replica/sync/server';

import { nameOfField } from '@/parts/fieldNames';
import { tellChange, tellSeveral, type NameOf } from './tellChange';
import { queries } from '@/parts/queries';
import { useDeviceName } from '@/parts/directory';

/** So many records of a group are named before the rest is counted. */
const MOST_NAMED = 6;

interface HistoryPageProps {
  /** Of one shortcut alone. */
  shortcutId?: string;
  /** Only what was deleted and is not back. */
  isDeletedOnly?: boolean;
}

/** The log of the list or of one shortcut, told; anything of it can be taken back. */
export function HistoryPage({ shortcutId, isDeletedOnly = false }: HistoryPageProps) {
  const palette = usePalette();
  const { replica } = useOpened();
  const list = useList();
  const { waiting } = useSyncState();
  const self = replica.state.id;
  const { data, isError, isPending, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery(
    {
      queryKey: ['history', shortcutId ?? null, isDeletedOnly],
      queryFn: ({ pageParam }) =>
        server.history(self, {
          ...(shortcutId ? { type: 'shortcut', id: shortcutId } : {}),
          ...(isDeletedOnly ? { deleted: '1' } : {}),
          ...(pageParam === null ? {} : { before: String(pageParam) }),
        }),
      initialPageParam: null as number | null,
      getNextPageParam: ({ next }) => next,
      staleTime: 0,
    },
    queries,
  );
  // What came in meanwhile is history too.
  const { through } = replica.state;
  const toldUpTo = useRef(through);
  useEffect(() => {
    if (toldUpTo.current === through) return;
    toldUpTo.current = through;
    void queries.invalidateQueries({ queryKey: ['history'] });
  }, [through]);
  const groups = useMemo(() => {
    const all = changeGroupsOf(data?.pages.flatMap(({ changes }) => changes) ?? []);
    // What is back by now, or was deleted again later, stands once or not at all.
    if (!isDeletedOnly) return all;
    const gone = new Set<string>();
    return all.filter(({ changes }) => {
      const news = changes.filter(({ record }) => !gone.has(record.id) && isGone(list, record));
      for (const { record } of news) gone.add(record.id);
      return news.length > 0;
    });
  }, [data, isDeletedOnly, list]);
  const whose = shortcutId ? t`History of this shortcut` : t`History`;
  const title = isDeletedOnly ? t`Deleted` : whose;
  const back = shortcutId ? { label: t`Back to the shortcut`, href: `/shortcut/${shortcutId}` as Href } : undefined;
  return (
    <DetailPage title={title} about={`${title} ${shortcutId ?? ''}`} back={back}>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {isDeletedOnly
          ? t`You can restore anything for 90 days after it was deleted.`
          : t`The last 90 days, newest first.`}
      </Text>
      {waiting > 0 && (
        <Text variant="bodyMedium">
          {plural(waiting, {
            one: '# change on this device hasn’t been sent yet, so it’s not shown here.',
            other: '# changes on this device haven’t been sent yet, so they’re not shown here.',
          })}
        </Text>
      )}
      {isError && <Text role="status" variant="bodyLarge">{t`You’re offline. Connect to see the history.`}</Text>}
      {isPending && !isError && <Text variant="bodyLarge">{t`Loading…`}</Text>}
      {data && groups.length === 0 && (
        <Text variant="bodyLarge">{isDeletedOnly ? t`Nothing deleted.` : t`Nothing yet.`}</Text>
      )}
      {groups.length > 0 && (
        <View role="list" aria-label={isDeletedOnly ? t`Deleted` : t`Changes`}>
          {groups.map((group) => (
            <GroupRow key={`${group.id} ${group.changes[0]!.number}`} group={group} isDeletedOnly={isDeletedOnly} />
          ))}
        </View>
      )}
      {hasNextPage && (
        <Button
          mode="outlined"
          contentStyle={styles.tall}
          disabled={isFetchingNextPage}
          onPress={() => void fetchNextPage()}
        >{t`Earlier`}</Button>
      )}
    </DetailPage>
  );
}

function isGone(
  { shortcuts, sets, ownKeyboards, conventions, ignored: left }: ReturnType<typeof useList>,
  { id }: LoggedChange['record'],
): boolean {
  return ![shortcuts, sets, ownKeyboards, conventions, left].some((records) =>
    records.some((record) => record.id === id),
  );
}

function GroupRow({ group, isDeletedOnly }: { group: ChangeGroup; isDeletedOnly: boolean }) {
  const palette = usePalette();
  const list = useList();
  const { replica } = useOpened();
  const write = useWrite();
  const notify = useNotice();
  const deviceName = useDeviceName();
  const may = useMay();
  const latest = group.changes[0]!;
  const when = tellMoment(readClock(latest.clock).time);
  const nameOf: NameOf = ({ type, id }) => {
    const record = replica.recordOf(type, id);
    const shown = record?.fields.code?.[0]?.value ?? record?.fields.name?.[0]?.value;
    return typeof shown === 'string' ? shown : null;
  };
  const isErasedNow = group.changes.some(({ record: { type, id } }) => {
    const record = replica.recordOf(type, id);
    return record !== undefined && isErased(record);
  });
  const isOpen = may === 'edit' && canTakeBack(group) && !isErasedNow;
  const told = group.changes.slice(0, MOST_NAMED).map((change) => tellChange(change, nameOf, list));
  const heading = group.size > 1 ? tellSeveral(group) : told[0]!.what;
  const name = group.size > 1 ? heading : `${heading} ${told[0]!.name ?? ''}`.trim();

  const takeBack = async () => {
    const whole = await wholeGroup(replica.state.id, group, isDeletedOnly);
    if (!whole) {
      notify({ text: t`You’re offline. Connect and try again.` });
      return;
    }
    await write(...(takingBack(whole) as Write[]));
    const restored = told[0]!.name;
    const done = restored === null ? t`Restored.` : t`Restored “${restored}”.`;
    notify({ text: isDeletedOnly ? done : t`Undone.` });
  };
  return (
    <View role="listitem" style={[styles.group, { borderColor: palette.line }]}>
      <View style={styles.head}>
        <View style={styles.words}>
          <View style={styles.title}>
            <Text variant="bodyLarge" style={STRONG}>
              {heading}
            </Text>
            {group.size === 1 &&
              told[0]!.name &&
              (told[0]!.type === 'shortcut' ? (
                <CodePlate code={told[0]!.name} />
              ) : (
                <Text variant="bodyLarge">{`“${told[0]!.name}”`}</Text>
              ))}
          </View>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {`${when}, ${deviceName(latest.device)}`}
          </Text>
        </View>
        {isOpen && (
          <Button
            mode="text"
            icon="undo"
            compact
            contentStyle={styles.tall}
            accessibilityLabel={isDeletedOnly ? t`Restore: ${name}, ${when}` : t`Undo: ${name}, ${when}`}
            onPress={() => void takeBack()}
          >
            {isDeletedOnly ? t`Restore` : t`Undo`}
          </Button>
        )}
      </View>
      {group.size === 1 ? (
        told[0]!.values.map(({ field, before, after }, _index, values) => (
          <View key={field} style={styles.values}>
            {values.length > 1 && (
              <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                {nameOfField(field)}
              </Text>
            )}
            {before !== null && before !== '' && (
              <Text variant="bodyMedium" style={styles.was}>
                {before}
              </Text>
            )}
            <Text variant="bodyMedium">{after}</Text>
          </View>
        ))
      ) : (
        <View style={styles.names}>
          {told.map(({ name: code, type, what }, index) =>
            type === 'shortcut' && code ? (
              <CodePlate key={index} code={code} />
            ) : (
              <Text key={index} variant="bodyMedium">
                {code ? `“${code}”` : what}
              </Text>
            ),
          )}
          {group.size > told.length && (
            <Text variant="bodyMedium">{plural(group.size - told.length, { other: 'and # more' })}</Text>
          )}
        </View>
      )}
    </View>
  );
}

/** All changes of a group, of which a page of history may show a part; null: they could not be had. */
async function wholeGroup(
  device: string,
  group: ChangeGroup,
  isDeletedOnly: boolean,
): Promise<Pick<ChangeGroup, 'changes'> | null> {
  if (group.size === group.changes.length) return group;
  const changes: LoggedChange[] = [];
  try {
    for (let before: number | null = null; ;) {
      const page = await server.history(device, {
        together: group.id,
        limit: '500',
        ...(isDeletedOnly ? { deleted: '1' } : {}),
        ...(before === null ? {} : { before: String(before) }),
      });
      changes.push(...page.changes);
      if (page.next === null) return { changes };
      before = page.next;
    }
  } catch {
    return null;
  }
}

const styles = StyleSheet.create({
  group: { borderBottomWidth: 1, paddingVertical: 10, gap: 6 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, minWidth: 0 },
  title: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  values: { gap: 2, paddingLeft: 12 },
  was: { textDecorationLine: 'line-through' },
  names: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  tall: { minHeight: 48 },
});
