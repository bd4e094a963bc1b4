import { plural, t } from '@lingui/core/macro';
import { isMade } from '@yellow-latch/core/model';
import { useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';

import { useLearningNow } from '@/answers/learn/useLearningNow';
import { Lead } from '@/parts/findings/Lead';
import { LearningCard } from '@/parts/LearningCard';
import { planOffer } from '@/parts/planOffer';
import { SeverityFilter } from '@/parts/findings/SeverityFilter';
import { fetchParts } from '@/bundles/editor';
import { announce } from '@/frame/announce';
import { whenIdle } from '@/frame/moments';
import { useLive } from '@/frame/live';
import { usePictureKept } from '@/frame/picture';
import { SyncLine } from '@/frame/SyncLine';
import { FilterChips } from '@/look/FilterChips';
import { SearchField } from '@/look/SearchField';
import { VirtualList, type VirtualListHandle } from '@/look/VirtualList';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useKept } from '@/frame/replica/useKept';

import { arrange, isFiltered, NO_FILTERS, type Sort } from './arrange';
import { choosing, useChosen } from '@/parts/choosing';
import { justSaved } from '@/parts/justSaved';
import { useLatest } from '@/look/useLatest';
import { usePageTitle } from '@/look/usePageTitle';
import { ChoosingBar } from './ChoosingBar';
import { EmptyList, NothingFound } from './EmptyList';
import { FilterSheet, filterWords } from './FilterSheet';
import { countShortcuts, type ListItem } from './groups';
import { ListMenu } from './ListMenu';
import { NewBar } from './NewBar';
import { PlanOffer } from './PlanOffer';
import { SetHeading } from './SetHeading';
import { ShortcutRow } from './ShortcutRow';
import { UnsavedRows } from './UnsavedRows';
import { useFinder } from './useFinder';
import { useListFilters } from './useListFilters';
import { useListKeys } from './useListKeys';

/** About how high rows are, in px: measured when they are drawn. */
const ROW = 56;
const HEADING = 44;

const isShortcut = ({ type }: ListItem) => type === 'shortcut';

/** The list: pairs by set, a search over all that they hold, and the bar that starts a new one. */
export function ListPane() {
  const offered = useLive(planOffer);
  usePageTitle(t`Shortcuts`, { isList: true });
  const list = useList();
  const { query, setQuery, settledQuery, filters, setFilters } = useListFilters();
  const learning = useLearningNow();
  const router = useRouter();
  const found = useFinder(list, settledQuery);
  const { state, findings } = useAudit();
  const [sort, setSort] = useKept<Sort>('list-sort', 'set');
  const [isFiltering, setFiltering] = useState(false);
  const counts = useMemo(() => countShortcuts(findings.worst), [findings]);
  const items = useMemo(
    () => arrange(list, found, filters, sort, findings.worst),
    [list, found, filters, sort, findings],
  );
  const setNames = useMemo(() => new Map(list.sets.map(({ id, name }) => [id, name])), [list.sets]);
  const isJudged = state.result !== null;
  const unsettled = useMemo(() => new Set(list.unsettled.map(({ id }) => id)), [list]);
  const holdsMade = list.shortcuts.some(({ content }) => isMade(content));
  useEffect(() => {
    // Behind the proof: what it takes to open them is at hand when the server is not.
    if (holdsMade && isJudged) return whenIdle(() => void fetchParts());
  }, [holdsMade, isJudged]);
  const chosen = useChosen();
  const rows = useMemo(() => items.flatMap((item) => (item.type === 'shortcut' ? [item.shortcut.id] : [])), [items]);
  useEffect(() => {
    choosing.shown = rows;
  }, [rows]);
  const handle = useRef<VirtualListHandle>(null);
  // What is shown in another order, or less of it, begins at the top.
  useEffect(() => handle.current?.toTop(), [sort, filters, settledQuery]);
  const saved = useLive(justSaved);
  const whereSaved = useLatest(() => items.findIndex(({ key }) => key === saved?.id));
  useEffect(() => {
    const index = saved === null ? -1 : whereSaved.current();
    if (index >= 0) handle.current?.show(index);
  }, [saved, whereSaved]);
  const isNarrowed = settledQuery.trim() !== '' || isFiltered(filters);
  const told = rows.length === 0 ? t`Nothing found` : plural(rows.length, { one: '# shortcut', other: '# shortcuts' });
  useEffect(() => {
    if (isNarrowed) announce(told);
  }, [isNarrowed, told]);
  // The list as it opens: nothing searched for, nothing open over it or beside it.
  const isOnItsPage = usePathname() === '/';
  const isAsItOpens = isOnItsPage && !isNarrowed && chosen === null && !isFiltering;
  usePictureKept(isAsItOpens, items, findings);
  const onKeyDown = useListKeys(items, handle);
  const { id: openId } = useGlobalSearchParams<{ id?: string }>();
  const isEmpty = list.shortcuts.length === 0;
  const active = filterWords(filters, list.sets);
  return (
    <View style={styles.pane}>
      <View style={styles.head}>
        <View style={styles.titleRow}>
          <Text variant="headlineSmall" role="heading" aria-level={1}>{t`Shortcuts`}</Text>
          <View style={styles.state}>
            <SyncLine />
            <ListMenu />
          </View>
        </View>
        {!isEmpty && <SearchField label={t`Search your shortcuts`} value={query} onChange={setQuery} />}
        {!isEmpty && (
          <View style={styles.filters}>
            <SeverityFilter
              counts={isJudged ? counts : null}
              value={filters.severity}
              onChange={(severity) => setFilters({ ...filters, severity })}
            />
            <View style={styles.push} />
            <IconButton
              icon="filter"
              size={22}
              style={styles.button}
              accessibilityLabel={
                active.length === 0
                  ? t`Order and filters`
                  : plural(active.length, { one: 'Order and filters, # on', other: 'Order and filters, # on' })
              }
              onPress={() => setFiltering(true)}
            />
          </View>
        )}
        <FilterChips active={active} onChange={setFilters}>
          {plural(rows.length, { one: '# shortcut', other: '# shortcuts' })}
        </FilterChips>
      </View>
      <UnsavedRows />
      {!isNarrowed && chosen === null && (
        <LearningCard shortcuts={learning} onPress={() => router.navigate('/learn')} />
      )}
      <View style={styles.list}>
        {isEmpty && <EmptyList />}
        {!isEmpty && items.length === 0 && (
          <NothingFound
            query={query}
            isFiltered={isFiltered(filters)}
            onClear={() => {
              setQuery('');
              setFilters(NO_FILTERS);
            }}
          />
        )}
        {!isEmpty && items.length > 0 && (
          <VirtualList<ListItem>
            label={t`Shortcuts`}
            items={items}
            keyOf={({ key }) => key}
            estimate={({ type }) => (type === 'set' ? HEADING : ROW)}
            handle={handle}
            isRow={isShortcut}
            openKey={openId}
            onKeyDown={onKeyDown}
            renderItem={(item) =>
              item.type === 'set' ? (
                <SetHeading set={item.set} count={item.count} />
              ) : (
                <ShortcutRow
                  shortcut={item.shortcut}
                  isOpen={item.shortcut.id === openId}
                  isUnsettled={unsettled.has(item.shortcut.id)}
                  verdict={isJudged ? (findings.worst.get(item.shortcut.id) ?? 'safe') : null}
                  isChosen={chosen === null ? null : chosen.has(item.shortcut.id)}
                  setName={sort === 'set' ? undefined : (setNames.get(item.shortcut.setId ?? '') ?? t`No set`)}
                />
              )
            }
          />
        )}
      </View>
      {chosen === null && (offered === null ? <Lead /> : <PlanOffer />)}
      {chosen === null ? <NewBar /> : <ChoosingBar />}
      <FilterSheet
        isOpen={isFiltering}
        onClose={() => setFiltering(false)}
        sort={sort}
        onSort={setSort}
        filters={filters}
        onFilters={setFilters}
        count={rows.length}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  pane: { flex: 1, minHeight: 0 },
  head: { paddingHorizontal: 16, paddingTop: 12, gap: 4 },
  titleRow: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 16 },
  state: { flexDirection: 'row', alignItems: 'center', flexShrink: 1, gap: 4 },
  filters: { flexDirection: 'row', alignItems: 'center' },
  push: { flex: 1 },
  button: { width: 48, height: 48, margin: 0 },
  list: { flex: 1, minHeight: 0 },
});
