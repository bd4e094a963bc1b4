import { t } from '@lingui/core/macro';
import { tellCount, tellDuration, tellNumber } from '@/wording/format';
import type { Saving } from '@yellow-latch/core/effort';
import type { Shortcut } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shownExpansion, tellHowOften } from '@/answers/audit/sentences';
import { saidBy, usesChoices } from '@/answers/effort/usesChoices';
import { tellTaps, tellUses } from '@/answers/effort/words';
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
  const text = shownExpansion(shortcut, 60);
  const saved = week && saving.verdict === 'pays' ? tellDuration(week.seconds) : null;
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <PressLink
        onPress={onOpen}
        aria-label={saved ? `${shortcut.code}, ${saved}: ${text}` : `${shortcut.code}: ${text}`}
        style={styles.main}
      >
        <View style={styles.line}>
          <CodePlate code={shortcut.code} />
          <Text variant="bodyMedium" numberOfLines={1} style={[styles.text, { color: palette.inkSoft }]}>
            {text}
          </Text>
        </View>
        {saved && (
          <View style={styles.line}>
            <Bar part={week!.seconds / most} />
            <Text style={[STRONG, styles.figure]}>{saved}</Text>
          </View>
        )}
      </PressLink>
      <View style={styles.line}>
        <Text variant="bodyMedium" style={styles.text}>
          {tellSaving(saving)}
          {saving.recall === 'measured' && ` · ${tellMeasured()}`}
        </Text>
        <ChoiceChip
          label={t`How often you use ${{ code: shortcut.code }}`}
          placeholder={uses ? tellShort(uses.aWeek) : t`How often?`}
          value={shortcut.usesAWeek === null ? null : String(shortcut.usesAWeek)}
          choices={usesChoices(shortcut.usesAWeek)}
          onChange={(value) => onUses(saidBy(value))}
        />
      </View>
    </View>
  );
}

/** That how soon the code comes to mind is not assumed but was measured. */
const tellMeasured = () => t`measured`;

/** A saving in a sentence. */
export function tellSaving({ verdict, perUse, uses, breakEven, on }: Saving): string {
  switch (verdict) {
    case 'pays':
      return uses!.from === 'said'
        ? t`Saves ${{ time: tellDuration(perUse!.seconds) }} and ${{ taps: tellTaps(perUse!.taps) }} each time`
        : t`Saves ${{ time: tellDuration(perUse!.seconds) }} and ${{ taps: tellTaps(perUse!.taps) }} each time. Used ${{ often: tellUses(uses!) }}`;
    case 'costs':
      return t`Takes ${{ time: tellDuration(-perUse!.seconds) }} longer than typing the text`;
    case 'never pays':
      return t`Pays off after ${{ uses: tellCount(breakEven!) }} uses, but you use it ${{ aYear: tellCount(Math.round(uses!.aWeek * 52)) }} times a year`;
    case 'use not known':
      return t`Saves ${{ time: tellDuration(perUse!.seconds) }} and ${{ taps: tellTaps(perUse!.taps) }} each time. Pays off after ${{ uses: tellCount(breakEven!) }} uses`;
    case 'cannot be typed': {
      const missing = on.find(({ code }) => code.type === 'not-on-keyboard')?.code;
      return missing?.type === 'not-on-keyboard'
        ? t`None of your keyboards has “${{ character: missing.character }}”`
        : t`None of your devices can hold this code`;
    }
  }
}

function tellShort(aWeek: number): string {
  return aWeek >= 0.95 ? t`${{ times: tellNumber(aWeek) }} a week` : tellHowOften(aWeek);
}

const styles = StyleSheet.create({
  row: { gap: 4, borderTopWidth: 1, paddingVertical: 8, marginHorizontal: 16 },
  main: { gap: 6, minHeight: 48, justifyContent: 'center' },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minWidth: 0 },
  text: { flex: 1, minWidth: 0 },
  figure: { minWidth: 56, textAlign: 'right' },
});
