import { t } from '@lingui/core/macro';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { sketchOf } from '@yellow-latch/core/expansion/sketch';
import { useId } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { chooseAll } from '@/look/chooseAll';
import { FACES } from '@/look/fonts';
import { Glyph } from '@/look/Glyph';
import { usePalette } from '@/look/useLook';

import type { WantedShortcut } from './wanted';

interface NewRowProps {
  wanted: WantedShortcut;
  code: string;
  problem: string | undefined;
  severity: Severity | null;
  onChange: (code: string) => void;
  onSubmit: () => void;
}

/** A new shortcut: what one gets, and the code to type for it, which can be changed here. */
export function NewRow({ wanted, code, problem, severity, onChange, onSubmit }: NewRowProps) {
  const palette = usePalette();
  const id = useId();
  const { label, kind } = wanted;
  const text = wanted.isTemplate ? sketchOf(wanted.text, () => undefined) : wanted.text;
  const said = problem ?? tellSeverity(severity);
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <View style={[styles.what, kind !== 'symbol' && styles.stacked]}>
        {kind === 'symbol' ? (
          <Glyph text={text} isDrawn />
        ) : (
          <Text numberOfLines={2} style={styles.text}>
            {shortened(text, 90)}
          </Text>
        )}
        {label !== '' && (
          <Text variant="bodySmall" numberOfLines={2} style={[styles.label, { color: palette.inkSoft }]}>
            {label}
          </Text>
        )}
      </View>
      <View style={styles.code}>
        <TextInput
          value={code}
          onChangeText={onChange}
          onSubmitEditing={onSubmit}
          aria-label={t`Code for ${{ what: label === '' ? shortened(text, 90) : label }}`}
          {...({ 'aria-invalid': problem !== undefined, 'aria-describedby': said ? id : undefined } as object)}
          autoCapitalize="none"
          autoCorrect={false}
          spellCheck={false}
          onFocus={chooseAll}
          style={[
            styles.input,
            {
              color: palette.ink,
              backgroundColor: palette.surface,
              borderColor: problem ? palette.alarm : palette.inkSoft,
            },
          ]}
        />
      </View>
      {said !== undefined && (
        <Text nativeID={id} variant="bodySmall" style={[styles.said, { color: palette.alarm }]}>
          {said}
        </Text>
      )}
    </View>
  );
}

function tellSeverity(severity: Severity | null): string | undefined {
  if (severity === 'breaks') return t`Needs fixing: this code gets in the way of another.`;
  return severity === 'risky' ? t`Risky: this code may expand by mistake.` : undefined;
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 10,
    minHeight: 68,
    marginHorizontal: 16,
    paddingVertical: 8,
    borderTopWidth: 1,
    maxWidth: 760,
  },
  what: { flex: 1, minWidth: 150, flexDirection: 'row', alignItems: 'center', gap: 8 },
  stacked: { flexDirection: 'column', alignItems: 'flex-start', gap: 2 },
  text: { flexShrink: 1, fontSize: 16, lineHeight: 21 },
  label: { flexShrink: 1 },
  code: { width: 132 },
  input: {
    borderWidth: 1.5,
    borderRadius: 6,
    minHeight: 48,
    paddingHorizontal: 10,
    fontSize: 18,
    fontFamily: FACES.code,
    minWidth: 0,
  },
  said: { width: '100%' },
});
