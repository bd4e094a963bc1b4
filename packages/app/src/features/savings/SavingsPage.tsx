import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAnswer } from '@/answers/effort/useAnswer';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { nameOfKeyboard } from '@/answers/effort/words';
import { useCodes } from '@/parts/findings/useCodes';
import { Working } from '@/parts/findings/Working';
import { STRONG } from '@/look/fonts';
import { editing } from '@yellow-latch/replica/commands/shortcuts';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { tellHowOften } from '@/answers/audit/sentences';
import { tellCount } from '@/wording/format';

import { itemsOf, MOST_SHOWN, type SavingGroup, type SavingItem } from './items';
import { SavingRow } from './SavingRow';
import { Sums } from './Sums';

const WEEK = 7 * 24 * 60 * 60 * 1_000;

/** What the list saves: in a week and a year, where, by which shortcuts, and by which it does not. */
export default function SavingsPage() {
  const router = useRouter();
  const run = useCommand();
  const { shortcuts, sets, ownKeyboards } = useList();
  const [now] = useState(() => Date.now());
  const isYoung = shortcuts.every(({ usesAWeek, used }) => usesAWeek === null && (!used || now - used.since < WEEK));
  const { shortcutOf } = useCodes();
  const request = useEffortRequest();
  const { answer: savings } = useAnswer(request, ({ effort }) => effort.savings(request!));
  const [opened, setOpened] = useState<ReadonlySet<SavingGroup>>(new Set());
  const items = useMemo(() => (savings ? itemsOf(savings, opened) : []), [savings, opened]);
  const most = Math.max(...(savings?.each.map(({ week }) => week?.seconds ?? 0) ?? []), 1e-9);
  const say = (shortcut: Shortcut, usesAWeek: number | null) =>
    void run(
      editing(shortcut, { usesAWeek }),
      usesAWeek === null
        ? t`“${{ code: shortcut.code }}”: use not set.`
        : t`“${{ code: shortcut.code }}”: ${{ often: tellHowOften(usesAWeek) }}.`,
    );
  return (
    <DetailPage title={t`Savings`} about="savings" back={{ label: t`Back to Check`, href: '/check' }} hasOwnScroll>
      <FlatList<SavingItem>
        data={items}
        keyExtractor={({ key }) => key}
        initialNumToRender={14}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          savings ? (
            <Sums
              savings={savings}
              isYoung={isYoung && request?.ownText === null}
              nameOfKeyboard={(id) => nameOfKeyboard(id, ownKeyboards)}
              nameOfSet={(id) => sets.find((set) => set.id === id)?.name ?? t`No set`}
            />
          ) : (
            <View style={styles.told}>
              {savings === null ? (
                <Text role="alert">{t`The check has stopped. Open Check to start it again.`}</Text>
              ) : (
                <Working text={t`Adding up your savings…`} />
              )}
            </View>
          )
        }
        renderItem={({ item }) => {
          if (item.type === 'group') {
            const { group, title, count } = item;
            const isCut = group !== 'best' && count > MOST_SHOWN && !opened.has(group);
            return (
              <View style={styles.group}>
                <Text variant="titleMedium" role="heading" aria-level={2} style={[STRONG, styles.title]}>
                  {group === 'best' ? i18n._(title) : `${i18n._(title)} (${tellCount(count)})`}
                </Text>
                {isCut && (
                  <Button
                    mode="text"
                    contentStyle={styles.tall}
                    onPress={() => setOpened(new Set([...opened, group]))}
                  >{t`Show all`}</Button>
                )}
              </View>
            );
          }
          const shortcut = shortcutOf(item.saving.id);
          return shortcut ? (
            <SavingRow
              saving={item.saving}
              shortcut={shortcut}
              most={most}
              onOpen={() => router.navigate({ pathname: '/shortcut/[id]', params: { id: shortcut.id } })}
              onUses={(aWeek) => say(shortcut, aWeek)}
            />
          ) : null;
        }}
      />
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  title: { flex: 1 },
  list: { paddingBottom: 24, maxWidth: 792 },
  group: { flexDirection: 'row', alignItems: 'center', minHeight: 48, paddingHorizontal: 16, paddingTop: 12 },
  told: { padding: 16 },
  tall: { minHeight: 48 },
});
