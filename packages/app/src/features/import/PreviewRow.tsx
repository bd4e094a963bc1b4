import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { ImportChoice } from '@yellow-latch/core/exchange/choice';
import type { PlannedRow } from '@yellow-latch/core/exchange';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences/mask';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Radio, RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';
import { useList } from '@/frame/replica/ReplicaProvider';

import { knownIdOf } from './groups';
import { SECRET_WORDS, tellFields, tellRefusal } from './words';

interface PreviewRowProps {
  row: PlannedRow;
  choice: ImportChoice;
  onChoose: (choice: ImportChoice) => void;
  /** Asks for more than in or out. */
  onAsk: () => void;
}

/** A row of the file: what it is, what would become of it, and why. */
export const PreviewRow = memo(function PreviewRow({ row, choice, onChoose, onAsk }: PreviewRowProps) {
  const palette = usePalette();
  const { shortcuts } = useList();
  if (row.status === 'refused') {
    return (
      <View style={styles.plain}>
        <Text
          variant="bodyMedium"
          style={{ color: palette.alarm }}
        >{t`Line ${{ line: row.line }}: ${{ refusal: tellRefusal(row.refusal) }}`}</Text>
        <Text variant="bodySmall" numberOfLines={1}>
          {[row.code, onOneLine(row.expansion)].filter((part) => part !== '').join('  ') || t`(empty)`}
        </Text>
      </View>
    );
  }
  const { wanted, line } = row;
  const isIn = choice.do !== 'leave';
  const code = choice.do === 'recode' ? choice.code : wanted.fields.code;
  const known = shortcuts.find(({ id }) => id === knownIdOf(row));
  const text = wanted.isPrivate ? t`${MASK} Only on this device` : onOneLine(wanted.fields.content.expansion);
  const pair = (
    <View style={styles.pair}>
      <View style={styles.code}>
        <CodePlate code={code} />
      </View>
      <View style={styles.words}>
        {row.status === 'changed' && known && row.differs.includes('content') && (
          <Text
            variant="bodySmall"
            numberOfLines={1}
            style={[choice.do === 'take' && styles.was, { color: palette.inkSoft }]}
          >
            {t`Yours: ${{ text: known.private ? MASK : onOneLine(known.content.expansion) }}`}
          </Text>
        )}
        <Text variant="bodyMedium" numberOfLines={2} style={styles.text}>
          {text}
        </Text>
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {noteOf(row, choice, known?.code)}
        </Text>
      </View>
    </View>
  );
  if (row.status === 'same') return <View style={styles.plain}>{pair}</View>;
  if (row.status !== 'new') {
    return (
      <View style={styles.plain}>
        {pair}
        <Decision row={row} choice={choice} onChoose={onChoose} onAsk={onAsk} />
      </View>
    );
  }
  return (
    <View style={styles.row}>
      <Tick
        role="checkbox"
        isOn={isIn}
        label={t`Line ${line}, ${code}: ${{ text: text.slice(0, 120) }}`}
        onPress={() => onChoose({ do: isIn ? 'leave' : 'take' })}
        style={styles.tick}
      >
        {pair}
      </Tick>
      <IconButton
        icon="pencil"
        size={20}
        style={styles.button}
        accessibilityLabel={t`Choose what to do with line ${line}, ${code}`}
        onPress={onAsk}
      />
    </View>
  );
});

/** What becomes of a row whose code one has already: one's own stays, unless one says otherwise. */
function Decision({
  row,
  choice,
  onChoose,
  onAsk,
}: Omit<PreviewRowProps, 'row'> & { row: Extract<PlannedRow, { status: 'changed' | 'in use' }> }) {
  const palette = usePalette();
  const isMine = row.status === 'changed' || row.by.in === 'list';
  const replaces = row.status === 'changed' ? ('take' as const) : ('replace' as const);
  const { line } = row;
  const options = [
    { isOn: choice.do === 'leave', label: isMine ? t`Keep mine` : t`Skip it`, press: () => onChoose({ do: 'leave' }) },
    ...(isMine ? [{ isOn: choice.do === replaces, label: t`Replace`, press: () => onChoose({ do: replaces }) }] : []),
    { isOn: choice.do === 'recode', label: t`New code`, press: onAsk },
  ];
  return (
    <RadioGroup label={t`What to do with line ${line}`} hasChosen onlyMoves style={styles.options}>
      {options.map(({ isOn, label, press }) => (
        <Radio
          key={label}
          isOn={isOn}
          onPress={press}
          style={[
            styles.option,
            { borderColor: isOn ? palette.ink : palette.line },
            isOn && { backgroundColor: palette.surface },
          ]}
        >
          <Text variant="bodyMedium" style={isOn && STRONG}>
            {label}
          </Text>
        </Radio>
      ))}
    </RadioGroup>
  );
}

function onOneLine(text: string): string {
  return text
    .slice(0, 400)
    .trim()
    .replaceAll(/\s*\n\s*/gu, ' ↵ ');
}

function noteOf(
  row: Exclude<PlannedRow, { status: 'refused' }>,
  choice: ImportChoice,
  knownCode: string | undefined,
): string {
  const line = row.line > 0 ? t`Line ${{ line: row.line }}` : t`Protected`;
  switch (row.status) {
    case 'new':
      return [
        line,
        ...(row.isProposed && choice.do !== 'recode' ? [t`new code`] : []),
        ...(row.secret ? [i18n._(SECRET_WORDS[row.secret]!)] : []),
      ].join(', ');
    case 'changed':
      return [
        line,
        ...(choice.do === 'recode' ? [t`imported as ${{ code: choice.code }}`] : []),
        t`different: ${{ fields: tellFields(row.differs) }}`,
        ...(row.differs.includes('code') && knownCode !== undefined ? [t`was ${knownCode}`] : []),
      ].join(', ');
    case 'in use': {
      const by = row.by.in === 'file' ? t`line ${{ line: row.by.line }} has this code` : t`you already use this code`;
      const kept = row.by.in === 'list' ? t`you keep yours` : t`skipped`;
      const unlessRecoded = choice.do === 'replace' ? t`replaces yours` : kept;
      const what = choice.do === 'recode' ? t`imported as ${{ code: choice.code }}` : unlessRecoded;
      return `${line}, ${by}: ${what}`;
    }
    case 'same':
      return line;
  }
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, paddingRight: 4 },
  plain: { paddingHorizontal: 16, paddingVertical: 8, gap: 2 },
  tick: { flex: 1, minWidth: 0 },
  options: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
  option: { minHeight: 48, justifyContent: 'center', paddingHorizontal: 12, borderWidth: 1.5, borderRadius: 6 },
  pair: {
    flex: 1,
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 10,
    minHeight: 56,
    paddingVertical: 6,
    minWidth: 0,
  },
  code: { minWidth: 72 },
  words: { flex: 1, minWidth: 120 },
  was: { textDecorationLine: 'line-through' },
  text: { fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
  button: { width: 48, height: 48, margin: 0 },
});
