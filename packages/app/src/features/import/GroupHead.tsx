import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { tellCount } from '@/wording/format';
import type { PlannedRow } from '@yellow-latch/core/exchange';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import type { Preview } from '@/answers/exchange/workerApi';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';

import { GROUPS, type Status } from './groups';
import { choiceOf } from '@yellow-latch/replica/commands/importing';
import type { Importer } from './useImport';

interface GroupHeadProps {
  importer: Importer;
  preview: Preview;
  status: Status;
  rows: readonly number[];
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

/** The name of a group, how many are in it and what becomes of them; a press decides for all of it. */
export function GroupHead({ importer, preview, status, rows, isOpen, onOpen }: GroupHeadProps) {
  const palette = usePalette();
  const group = GROUPS.find((one) => one.status === status)!;
  const title = i18n._(group.title);
  const about = i18n._(group.about);
  const isOut = (index: number) => choiceOf(preview.rows[index]!, index, importer.choices).do === 'leave';
  const out = rows.filter(isOut).length;
  const { bringWord, leaveWord } = wordsFor(status);
  const decides = status === 'new' || status === 'changed' || status === 'in use';
  const bringAll = () => {
    if (status !== 'in use') {
      importer.choose(rows, { do: 'take' });
      return;
    }
    importer.chooseEach(
      new Map(
        rows.map((index) => [
          index,
          { do: 'recode' as const, code: (preview.rows[index] as Extract<PlannedRow, { status: 'in use' }>).free },
        ]),
      ),
    );
  };
  return (
    <View style={[styles.group, { borderColor: palette.line }]}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${title} ${tellCount(rows.length)}`}
        onPress={() => onOpen(!isOpen)}
        style={styles.groupName}
      >
        <Icon name={isOpen ? 'chevron-down' : 'chevron-right'} size={20} color={palette.ink} />
        <View style={styles.words}>
          <Text variant="titleMedium" style={STRONG}>
            {`${title} ${tellCount(rows.length)}`}
          </Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {decides ? tellChoice(status, rows.length, out, about) : about}
          </Text>
        </View>
      </Pressable>
      {decides && (
        <Button
          mode="text"
          accessibilityLabel={`${out > 0 ? bringWord : leaveWord}: ${title}`}
          onPress={out > 0 ? bringAll : () => importer.choose(rows, { do: 'leave' })}
          contentStyle={styles.tall}
        >
          {out > 0 ? bringWord : leaveWord}
        </Button>
      )}
    </View>
  );
}

/** What becomes of the rows of a group, as a person has decided; `about`: what becomes of them by itself. */
function tellChoice(status: PlannedRow['status'], rows: number, out: number, about: string): string {
  if (out > 0 && out < rows) return plural(rows - out, { one: '# will be imported', other: '# will be imported' });
  if (out === rows) return status === 'new' ? t`skipped` : about;
  if (status === 'changed') return t`the file’s replace yours`;
  return status === 'in use' ? t`imported with new codes` : about;
}

/** What the button of a group is called: to bring all of it in, and to leave all of it out. */
function wordsFor(status: Status): { bringWord: string; leaveWord: string } {
  switch (status) {
    case 'changed':
      return { bringWord: t`Replace all`, leaveWord: t`Keep all mine` };
    case 'in use':
      return { bringWord: t`Give new codes`, leaveWord: t`Keep all mine` };
    default:
      return { bringWord: t`Import all`, leaveWord: t`Skip all` };
  }
}

const styles = StyleSheet.create({
  group: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, paddingRight: 8, marginTop: 8 },
  groupName: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    minHeight: 56,
    paddingLeft: 12,
    minWidth: 0,
  },
  words: { flex: 1, minWidth: 0 },
  tall: { minHeight: 48 },
});
