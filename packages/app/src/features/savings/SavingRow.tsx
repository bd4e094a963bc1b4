import type { Saving } from '@yellow-latch/core/effort';
import type { Shortcut } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences';
import { saidBy, usesChoices } from '@/answers/effort/usesChoices';
import { tellAWeek, tellDuration, tellTaps, tellUses } from '@/answers/effort/words';
import { Bar } from '@/look/Bar';
import { ChoiceChip } from '@/look/ChoiceChip';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

interface SavingRowProps {
  saving: Saving;
  shortcut: Shortcut;
  /** Seconds in a week that fill the bar. */
  most: number;
  onOpen: () => void;
  onUses: (aWeek: number | null) => void;
}

/** What one shortcut saves, and why it does not where it does not. */
export function SavingRow({ saving, shortcut, most, onOpen, onUses }: SavingRowProps) {
  const palette = usePalette();
  const { week, uses } = saving;
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <PressLink onPress={onOpen} aria-label={`${shortcut.code}: ${tellSaving(saving)}`} style={styles.main}>
        <View style={styles.line}>
          <CodePlate code={shortcut.code} />
          <Text variant="bodyMedium" numberOfLines={1} style={[styles.text, { color: palette.inkSoft }]}>
            {shownExpansion(shortcut, 60)}
          </Text>
        </View>
        {week && saving.verdict === 'pays' && (
          <View style={styles.line}>
            <Bar part={week.seconds / most} />
            <Text style={[STRONG, styles.figure]}>{tellDuration(week.seconds)}</Text>
          </View>
        )}
      </PressLink>
      <View style={styles.line}>
        <Text variant="bodyMedium" style={styles.text}>
          {tellSaving(saving)}
        </Text>
        <ChoiceChip
          label={`Use of ${shortcut.code}`}
          placeholder={uses ? tellShort(uses.aWeek) : 'How often?'}
          value={shortcut.usesAWeek === null ? null : String(shortcut.usesAWeek)}
          choices={usesChoices(shortcut.usesAWeek)}
          onChange={(value) => onUses(saidBy(value))}
        />
      </View>
    </View>
  );
}

/** A saving in a sentence. */
export function tellSaving({ verdict, perUse, uses, breakEven, on }: Saving): string {
  switch (verdict) {
    case 'pays':
      return `${tellDuration(perUse!.seconds)} and ${tellTaps(perUse!.taps)} each time${uses!.from === 'said' ? '' : `, ${tellUses(uses!)}`}`;
    case 'costs':
      return `Each time ${tellDuration(-perUse!.seconds)} longer than typing it out`;
    case 'never pays':
      return `It pays after ${breakEven!.toLocaleString('en')} uses; in a year there are ${Math.round(uses!.aWeek * 52).toLocaleString('en')}`;
    case 'use not known':
      return `${tellDuration(perUse!.seconds)} and ${tellTaps(perUse!.taps)} each time; it pays after ${breakEven!.toLocaleString('en')} uses`;
    case 'cannot be typed': {
      const missing = on.find(({ code }) => code.type === 'not-on-keyboard')?.code;
      return missing?.type === 'not-on-keyboard'
        ? `${missing.character} is on none of your keyboards`
        : 'No device in use can hold this code';
    }
  }
}

function tellShort(aWeek: number): string {
  return aWeek >= 0.95 ? `${Number(aWeek.toPrecision(2))} a week` : tellAWeek(aWeek);
}

const styles = StyleSheet.create({
  row: { gap: 4, borderTopWidth: 1, paddingVertical: 8, marginHorizontal: 16 },
  main: { gap: 6, minHeight: 48, justifyContent: 'center' },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minWidth: 0 },
  text: { flex: 1, minWidth: 0 },
  figure: { minWidth: 56, textAlign: 'right' },
});
