import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { useGlobalSearchParams, usePathname } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { GROUP_TITLES } from '@/answers/audit/sentences';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { AllClear } from './AllClear';
import { CheckHead } from './CheckHead';
import { FindingRow } from './FindingRow';
import { GroupHeading } from './GroupHeading';
import { groupFindings, NO_FILTER, type CheckItem } from '@/answers/audit/groups';
import { typeInPath } from '@/parts/findings/path';
import { useCodes } from '@/parts/findings/useCodes';

/** The list checked: its figure on each device, and what was found, worst first, by type. */
export default function CheckPane() {
  const { findings, state } = useAudit();
  const { shortcuts } = useList();
  const { codeOf } = useCodes();
  const palette = usePalette();
  const [filter, setFilter] = useState(NO_FILTER);
  // Groups in another state than the one they begin in.
  const [toggled, setToggled] = useState<ReadonlySet<string>>(new Set());
  const items = useMemo(
    () => groupFindings(findings, shortcuts, filter, toggled),
    [findings, shortcuts, filter, toggled],
  );
  const { id: openId, type: openType } = useGlobalSearchParams<{ id?: string; type?: string }>();
  const openKey = openId && openType ? `${typeInPath(openType)} ${openId}` : null;
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
        data={items}
        keyExtractor={({ key }) => key}
        initialNumToRender={12}
        windowSize={9}
        extraData={openKey}
        ListHeaderComponent={
          <CheckHead filter={filter} onFilter={setFilter} isComingBack={wasOpen && pathname === '/check'} />
        }
        ListEmptyComponent={
          <>
            {isClear && <AllClear />}
            {!isClear && state.result && filter !== NO_FILTER && (
              <Text variant="bodyLarge" style={styles.nothing}>{t`No findings match these filters.`}</Text>
            )}
          </>
        }
        renderItem={({ item }) => {
          switch (item.type) {
            case 'group':
              return (
                <GroupHeading
                  title={i18n._(GROUP_TITLES[item.of])}
                  count={item.count}
                  isOpen={item.isOpen}
                  onToggle={() => toggle(item.key)}
                />
              );
            case 'finding':
              return <FindingRow finding={item.finding} codeOf={codeOf} isOpen={item.key === openKey} />;
            case 'left-group':
              return (
                <GroupHeading
                  title={t`Ignored`}
                  count={item.count}
                  isOpen={item.isOpen}
                  onToggle={() => toggle(item.key)}
                />
              );
            case 'left':
              return (
                <FindingRow
                  finding={item.left.finding}
                  codeOf={codeOf}
                  isOpen={false}
                  note={t`Ignored: ${{ reason: item.left.left.reason }}`}
                />
              );
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
