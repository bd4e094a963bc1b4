import type { Severity } from '@yellow-latch/core/clash/finding';
import { isMade } from '@yellow-latch/core/model';
import { useGlobalSearchParams } from 'expo-router';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/audit/AuditProvider';
import { Lead } from '@/features/check/Lead';
import { SeverityFilter } from '@/features/check/SeverityFilter';
import { fetchParts } from '@/features/editor/parts';
import { whenIdle } from '@/frame/fetched';
import { SyncLine } from '@/frame/SyncLine';
import { useList } from '@/replica/ReplicaProvider';

import { EmptyList, NothingFound } from './EmptyList';
import { makeFinder } from './find';
import { countShortcuts, groupBySet, type ListItem } from './groups';
import { ListMenu } from './ListMenu';
import { NewBar } from './NewBar';
import { SearchField } from './SearchField';
import { SetHeading } from './SetHeading';
import { ShortcutRow } from './ShortcutRow';

/** The list: pairs by set, a search over both sides, and the bar that starts a new one. */
export function ListPane() {
  const list = useList();
  const [query, setQuery] = useState('');
  const settledQuery = useDeferredValue(query);
  const finder = useMemo(() => makeFinder(list), [list]);
  const { state, findings } = useAudit();
  const [severity, setSeverity] = useState<Severity | null>(null);
  const counts = useMemo(() => countShortcuts(findings.worst), [findings]);
  const items = useMemo(() => {
    const found = finder.find(settledQuery);
    if (severity === null) return groupBySet(list, found);
    const ofVerdict = [...findings.worst].flatMap(([id, worst]) => (worst === severity ? [id] : []));
    return groupBySet(list, new Set(found ? ofVerdict.filter((id) => found.has(id)) : ofVerdict));
  }, [list, finder, settledQuery, severity, findings]);
  const isJudged = state.result !== null;
  const unsettled = useMemo(() => new Set(list.unsettled.map(({ id }) => id)), [list]);
  const holdsMade = list.shortcuts.some(({ content }) => isMade(content));
  useEffect(() => {
    // Behind the proof: what it takes to open them is at hand when the server is not.
    if (holdsMade && isJudged) return whenIdle(() => void fetchParts());
  }, [holdsMade, isJudged]);
  const showAll = () => {
    setQuery('');
    setSeverity(null);
  };
  const { id: openId } = useGlobalSearchParams<{ id?: string }>();
  const isEmpty = list.shortcuts.length === 0;
  return (
    <View style={styles.pane}>
      <View style={styles.head}>
        <View style={styles.titleRow}>
          <Text variant="headlineSmall" role="heading" aria-level={1}>
            Shortcuts
          </Text>
          <View style={styles.state}>
            <SyncLine />
            <ListMenu />
          </View>
        </View>
        {!isEmpty && <SearchField value={query} onChange={setQuery} />}
        {!isEmpty && <SeverityFilter counts={isJudged ? counts : null} value={severity} onChange={setSeverity} />}
      </View>
      <View style={styles.list}>
        {isEmpty ? (
          <EmptyList />
        ) : items.length === 0 ? (
          <NothingFound query={query} onClear={showAll} />
        ) : (
          <FlatList<ListItem>
            data={items}
            keyExtractor={({ key }) => key}
            initialNumToRender={16}
            windowSize={9}
            keyboardShouldPersistTaps="handled"
            extraData={[openId, findings, unsettled]}
            renderItem={({ item }) =>
              item.type === 'set' ? (
                <SetHeading set={item.set} count={item.count} />
              ) : (
                <ShortcutRow
                  shortcut={item.shortcut}
                  isOpen={item.shortcut.id === openId}
                  isUnsettled={unsettled.has(item.shortcut.id)}
                  verdict={isJudged ? (findings.worst.get(item.shortcut.id) ?? 'safe') : null}
                />
              )
            }
          />
        )}
      </View>
      <Lead />
      <NewBar />
    </View>
  );
}

const styles = StyleSheet.create({
  pane: { flex: 1, minHeight: 0 },
  head: { paddingHorizontal: 16, paddingTop: 12, gap: 4 },
  titleRow: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 16 },
  state: { flexDirection: 'row', alignItems: 'center', flexShrink: 1, gap: 4 },
  list: { flex: 1, minHeight: 0 },
});
