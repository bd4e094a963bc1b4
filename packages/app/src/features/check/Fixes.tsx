import { t } from '@lingui/core/macro';
import type { Fix, TriedFix } from '@yellow-latch/core/clash';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellFigures, tellFinding, tellFix, tellSideEffects } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import type { Codes } from '@/parts/findings/useCodes';

/** At most so many of what a fix would bring are told in full. */
const MOST_TOLD = 3;

interface FixesProps {
  /** The shortcut that the finding is about. */
  about: string;
  /** Undefined: still being tried. */
  fixes: readonly TriedFix[] | undefined;
  chosen: TriedFix | null;
  onChoose: (fix: Fix) => void;
  codes: Codes;
  isGuided: boolean;
}

/** What may be done about a finding, one to choose; the chosen one shows what it changes. */
export function Fixes({ about, fixes, chosen, onChoose, codes, isGuided }: FixesProps) {
  if (!fixes) {
    return <Text role="status" variant="bodyMedium">{t`Looking for fixes…`}</Text>;
  }
  if (fixes.length === 0) {
    return (
      <Text variant="bodyMedium">{t`There’s no quick fix. Open the shortcut and change it, or ignore this.`}</Text>
    );
  }
  return (
    <RadioGroup label={t`Ways to fix it`} hasChosen={chosen !== null} style={styles.all}>
      {fixes.map((tried) => (
        <FixChoice
          key={JSON.stringify(tried.fix)}
          about={about}
          tried={tried}
          isChosen={tried === chosen}
          onChoose={() => onChoose(tried.fix)}
          codes={codes}
          isGuided={isGuided}
        />
      ))}
    </RadioGroup>
  );
}

interface FixChoiceProps {
  about: string;
  tried: TriedFix;
  isChosen: boolean;
  onChoose: () => void;
  codes: Codes;
  isGuided: boolean;
}

function FixChoice({ about, tried: { fix, cures, comparison }, isChosen, onChoose, codes, isGuided }: FixChoiceProps) {
  const palette = usePalette();
  const { label, hint } = tellFix(fix, about, codes.shortcutOf);
  const brings = comparison.came.some(({ severity }) => severity !== 'note');
  return (
    <View
      style={[
        styles.choice,
        { borderColor: isChosen ? palette.ink : palette.line },
        isChosen && { backgroundColor: palette.surface },
      ]}
    >
      <Tick
        role="radio"
        isOn={isChosen}
        label={[`${label}. ${hint}`, ...(cures === 'partly' ? [t`Helps a little`] : [])].join('. ')}
        onPress={onChoose}
        style={styles.line}
      >
        <View style={styles.words}>
          <View style={styles.label}>
            {fix.type === 'other code' ? <CodePlate code={fix.code} /> : <Text style={styles.name}>{label}</Text>}
          </View>
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
            {hint}
          </Text>
        </View>
        {cures === 'partly' && <Text variant="bodySmall">{t`Helps a little`}</Text>}
        {brings && <LatchGlyph verdict="risky" size={20} />}
      </Tick>
      {isChosen && (
        <View style={styles.preview} role="status">
          {isGuided && <Text variant="bodyMedium">{t`This is what changes. You can undo it.`}</Text>}
          {tellFigures(comparison).map((line) => (
            <Text key={line} variant="bodyMedium" style={STRONG}>
              {line}
            </Text>
          ))}
          <Text variant="bodyMedium">
            {tellSideEffects(Math.max(0, comparison.gone.length - 1), comparison.came.length)}
          </Text>
          {comparison.came.slice(0, MOST_TOLD).map((finding) => {
            const code =
              fix.type === 'other code' && finding.shortcuts[0] === fix.id
                ? fix.code
                : codes.codeOf(finding.shortcuts[0]!);
            const codeOf = (id: string) => (fix.type === 'other code' && id === fix.id ? fix.code : codes.codeOf(id));
            return (
              <View key={`${finding.type} ${finding.shortcuts[0]}`} style={styles.came}>
                <LatchGlyph verdict={finding.severity} size={20} />
                <Text variant="bodyMedium" style={styles.words}>
                  {t`New: ${{ finding: tellFinding(finding, code, codeOf) }}`}
                </Text>
              </View>
            );
          })}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  choice: { borderWidth: 1.5, borderRadius: 8 },
  line: { minHeight: 60, padding: 10 },
  words: { flex: 1, minWidth: 0 },
  label: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  name: { ...STRONG, fontSize: 16 },
  preview: { paddingHorizontal: 12, paddingBottom: 12, paddingLeft: 46, gap: 4 },
  came: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
});
