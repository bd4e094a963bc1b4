import { markCode, standsApart } from '@yellow-latch/core/convention/mark';
import type { MarkCost } from '@yellow-latch/core/convention';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { capitalise, counted } from '@/answers/audit/sentences/words';
import { tellAWeek, tellDuration, tellMark, tellTaps } from '@/answers/effort/words';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

import { tellAgainst, tellRow } from './words';

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
  const { mark, effort, misfires, changes, space, secondsAWeek, isOnFront } = row;
  const against = tellAgainst(row, collide);
  return (
    <View style={[styles.row, { borderColor: palette.line }, isOpen && { backgroundColor: palette.surface }]}>
      <Pressable role="button" aria-expanded={isOpen} aria-label={tellRow(row)} onPress={onToggle} style={styles.line}>
        <View style={styles.plate}>
          <CodePlate code={markCode(sample, mark)} />
        </View>
        <View style={styles.words}>
          <Text variant="bodyMedium">
            <Text style={STRONG}>{tellDuration(secondsAWeek)}</Text> a week{isOwn ? ', most of yours now' : ''}
          </Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {tellTaps(effort.taps)}, {tellDuration(effort.seconds)} · misfires {tellAWeek(misfires.aWeek)}
          </Text>
        </View>
        {against.length > 0 && <LatchGlyph verdict="risky" size={20} />}
      </Pressable>
      {isOpen && (
        <View style={styles.more}>
          <Text variant="bodyMedium">
            {capitalise(tellMark(mark))}: {counted(changes, 'code')} would change; {space.free.toLocaleString('en')} of{' '}
            {space.of.toLocaleString('en')} short codes are free.
            {misfires.inOwnText === null
              ? ''
              : ` In your own text it would have fired ${counted(Math.round(misfires.inOwnText), 'time')}.`}
            {isOnFront ? ' Nothing is both quicker and safer.' : ''}
          </Text>
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
              <Button mode="outlined" onPress={onApply} style={styles.button} contentStyle={styles.tall}>
                See what would change
              </Button>
            </View>
          )}
        </View>
      )}
    </View>
  );
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
