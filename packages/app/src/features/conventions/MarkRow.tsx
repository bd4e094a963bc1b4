import { plural, t } from '@lingui/core/macro';
import { tellCount } from '@/wording/format';
import { markCode, standsApart } from '@yellow-latch/core/convention/mark';
import type { MarkCost } from '@yellow-latch/core/convention';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { titleOfMark } from '@/answers/effort/words';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

import { tellAgainst, tellEach, tellWeek } from './words';

interface MarkRowProps {
  row: MarkCost;
  /** A mnemonic of the list, to show the mark on. */
  sample: string;
  /** How many codes are the same as others now. */
  collide: number;
  /** Whether most codes have it now. */
  isOwn: boolean;
  isOpen: boolean;
  onToggle: () => void;
  onApply: () => void;
}

/** A mark in the table: what it costs; opened, what speaks against it, and the way to apply it. */
export function MarkRow({ row, sample, collide, isOwn, isOpen, onToggle, onApply }: MarkRowProps) {
  const palette = usePalette();
  const { mark, changes } = row;
  const week = isOwn ? t`${{ aWeek: tellWeek(row) }} · your marker` : tellWeek(row);
  const against = tellAgainst(row, collide);
  const code = markCode(sample, mark);
  return (
    <View style={[styles.row, { borderColor: palette.line }, isOpen && { backgroundColor: palette.surface }]}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${titleOfMark(mark)}, ${code}: ${week}. ${tellEach(row)}`}
        onPress={onToggle}
        style={styles.line}
      >
        <View aria-hidden style={styles.plate}>
          <CodePlate code={code} />
        </View>
        <View style={styles.words}>
          <Text variant="bodyMedium" style={STRONG}>
            {week}
          </Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {tellEach(row)}
          </Text>
        </View>
        {against.length > 0 && <LatchGlyph verdict="risky" size={20} />}
      </Pressable>
      {isOpen && (
        <View style={styles.more}>
          <Text variant="bodyMedium">{tellDetails(row)}</Text>
          {against.map((line) => (
            <View key={line} style={styles.against}>
              <LatchGlyph verdict="risky" size={18} />
              <Text variant="bodyMedium" style={styles.words}>
                {line}
              </Text>
            </View>
          ))}
          {standsApart(mark) && changes > 0 && (
            <View style={styles.actions}>
              <Button
                mode="outlined"
                onPress={onApply}
                style={styles.button}
                contentStyle={styles.tall}
              >{t`See what changes`}</Button>
            </View>
          )}
        </View>
      )}
    </View>
  );
}

/** What else there is to say of a marker, once it is asked about. */
function tellDetails({ mark, changes, space, misfires, isOnFront }: MarkCost): string {
  const title = titleOfMark(mark);
  const changed = plural(changes, { one: '# code changes', other: '# codes change' });
  const [free, all] = [tellCount(space.free), tellCount(space.of)];
  const sentences = [t`${title}: ${changed}. ${free} of ${all} short codes are free.`];
  if (misfires.inOwnText !== null)
    sentences.push(
      plural(Math.round(misfires.inOwnText), {
        one: 'In your own texts it would have misfired # time.',
        other: 'In your own texts it would have misfired # times.',
      }),
    );
  if (isOnFront) sentences.push(t`No marker is both quicker and safer.`);
  return sentences.join(' ');
}

const styles = StyleSheet.create({
  row: { borderTopWidth: 1 },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 56,
    paddingHorizontal: 16,
    paddingVertical: 6,
  },
  plate: { width: 112, overflow: 'hidden' },
  words: { flex: 1, minWidth: 0 },
  more: { paddingHorizontal: 16, paddingBottom: 12, gap: 6 },
  against: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  actions: { flexDirection: 'row', paddingTop: 4 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
