import { plural, t } from '@lingui/core/macro';
import { useGlobalSearchParams, usePathname } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCodes } from '@/parts/findings/useCodes';

import { AllClear } from './AllClear';
import { CheckedRow } from './CheckedRow';
import { CheckHead } from './CheckHead';
import { checkRows, type CheckItem } from './rows';
import { GroupHeading } from './GroupHeading';
import { isFiltered, useCheckFilter } from './useCheckFilter';

/** The list checked: how often it expands by mistake, and each shortcut with a problem, worst first. */
export default function CheckPane() {
  const { findings, state } = useAudit();
  const { shortcuts } = useList();
  const codes = useCodes();
  const palette = usePalette();
  const [filter, setFilter] = useCheckFilter();
  // Headings in another state than the one they begin in.
  const [toggled, setToggled] = useState<ReadonlySet<string>>(new Set());
  const rows = useMemo(() => checkRows(findings, shortcuts, filter, toggled), [findings, shortcuts, filter, toggled]);
  const { id: openId } = useGlobalSearchParams<{ id?: string }>();
  const pathname = usePathname();
  const [wasOpen, setWasOpen] = useState(false);
  if (!wasOpen && pathname !== '/check') setWasOpen(true);
  const toggle = (key: string) => {
    const next = new Set(toggled);
    if (!next.delete(key)) next.add(key);
    setToggled(next);
  };
  const isClear = findings.open.length === 0 && state.result !== null;
  return (
    <View style={styles.pane}>
      <FlatList<CheckItem>
        data={rows.items}
        keyExtractor={({ key }) => key}
        initialNumToRender={12}
        windowSize={5}
        extraData={openId}
        ListHeaderComponent={
          <CheckHead filter={filter} rows={rows} onFilter={setFilter} isComingBack={wasOpen && pathname === '/check'} />
        }
        ListEmptyComponent={
          <>
            {isClear && <AllClear />}
            {!isClear && state.result && isFiltered(filter) && (
              <Text
                role="status"
                variant="bodyLarge"
                style={styles.nothing}
              >{t`No problems match these filters.`}</Text>
            )}
          </>
        }
        renderItem={({ item }) => {
          switch (item.type) {
            case 'heading':
              return (
                <GroupHeading of={item.key} count={item.count} isOpen={item.isOpen} onToggle={() => toggle(item.key)} />
              );
            case 'shortcut':
              return <CheckedRow row={item.row} codes={codes} isOpen={item.key === openId} />;
            case 'ignored': {
              const { finding, left } = item.left;
              const row = { id: finding.shortcuts[0]!, severity: finding.severity, findings: [finding] };
              return (
                <CheckedRow row={row} codes={codes} isOpen={false} note={t`Ignored: ${{ reason: left.reason }}`} />
              );
            }
          }
        }}
        ListFooterComponent={
          state.result && state.result.notEstimated.length > 0 ? (
            <Text variant="bodySmall" style={[styles.nothing, { color: palette.inkSoft }]}>
              {plural(state.result.notEstimated.length, {
                one: '# code has several words, so its misfires can’t be estimated. Check your own texts for it.',
                other:
                  '# codes have several words, so their misfires can’t be estimated. Check your own texts for them.',
              })}
            </Text>
          ) : null
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({
  pane: { flex: 1, minHeight: 0 },
  nothing: { padding: 16 },
});
