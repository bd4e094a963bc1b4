import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import { fixing } from '@yellow-latch/replica/commands/fixing';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS, tellDone } from '@/answers/audit/sentences';
import { useNotice } from '@/frame/Notices';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { CodePlate } from '@/look/CodePlate';
import { LatchButton } from '@/look/LatchButton';
import { LatchGlyph } from '@/look/LatchGlyph';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { pathOfChecked } from '@/parts/findings/path';
import type { Codes } from '@/parts/findings/useCodes';

import { tellTaking } from './fixWords';
import { typesToFix, type CheckedShortcut } from './rows';
import { summarize } from './summary';
import { useSafeFix } from './useSafeFix';

interface CheckedRowProps {
  row: CheckedShortcut;
  codes: Codes;
  isOpen: boolean;
  /** Said below the sentence. */
  note?: string;
}

/**
 * A shortcut with a problem at a glance: its verdict, its code, one sentence on the worst of it. A tap opens all of
 * it; the best fix can be taken right here. Notes and what is ignored have no fix on the row.
 */
export const CheckedRow = memo(function CheckedRow({ row, codes, isOpen, note }: CheckedRowProps) {
  const palette = usePalette();
  const router = useRouter();
  const { id, severity, findings } = row;
  const code = codes.codeOf(id);
  const { sentence, others } = summarize(findings, code, codes.codeOf);
  const soft = [others, note].filter((one) => one !== null && one !== undefined);
  return (
    <View style={[styles.row, isOpen && { backgroundColor: palette.surface }]}>
      <PressLink
        aria-label={[`${code}, ${i18n._(SEVERITY_WORDS[severity])}: ${sentence}`, ...soft].join(' ')}
        aria-current={isOpen ? 'true' : undefined}
        onPress={() => router.navigate(pathOfChecked(id))}
        style={styles.link}
      >
        <View style={styles.glyph}>
          <LatchGlyph verdict={severity} size={26} />
        </View>
        <View style={styles.words}>
          <View style={styles.plate}>
            <CodePlate code={code} />
          </View>
          <Text variant="bodyMedium" style={styles.sentence}>
            {sentence}
          </Text>
          {soft.map((line) => (
            <Text key={line} variant="bodySmall" style={{ color: palette.inkSoft }}>
              {line}
            </Text>
          ))}
        </View>
        <Text aria-hidden style={[styles.more, { color: palette.inkSoft }]}>
          ›
        </Text>
      </PressLink>
      {severity !== 'note' && note === undefined && <SafeFix row={row} codes={codes} />}
    </View>
  );
});

/** The best fix of a shortcut as a button that names what it does. Room is kept for it while it is worked out. */
function SafeFix({ row, codes }: Pick<CheckedRowProps, 'row' | 'codes'>) {
  const { id, findings } = row;
  const list = useList();
  const { shortcuts } = list;
  const run = useCommand();
  const notify = useNotice();
  const { fix, askAgain } = useSafeFix(id, typesToFix(findings).join());
  if (fix === undefined) return <View style={styles.coming} />;
  if (fix === null) return null;
  const take = async () => {
    // The list may have changed since: what is taken is what the button says, and only if it still helps.
    const now = await askAgain();
    const command = now && JSON.stringify(now) === JSON.stringify(fix) ? fixing(fix, shortcuts, list) : null;
    if (command) await run(command, tellDone(fix, codes.shortcutOf));
    else notify({ text: t`Your list just changed. Look again before you fix this.` });
  };
  const label = tellTaking(fix, id, codes.codeOf);
  return (
    <View style={styles.fix}>
      <LatchButton
        label={label}
        name={t`${label} to fix “${{ code: codes.codeOf(id) }}”`}
        isQuiet
        onPress={() => void take()}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { paddingBottom: 4 },
  link: { flexDirection: 'row', gap: 12, paddingHorizontal: 16, paddingTop: 10, paddingBottom: 6, minHeight: 60 },
  glyph: { paddingTop: 2 },
  words: { flex: 1, gap: 4, minWidth: 0 },
  plate: { flexDirection: 'row' },
  sentence: { fontSize: 15, lineHeight: 20 },
  more: { fontSize: 22, lineHeight: 26 },
  coming: { height: 54 },
  fix: { flexDirection: 'row', paddingLeft: 54, paddingRight: 16, paddingBottom: 6 },
});
