import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import {
  BLANK_KINDS,
  CASINGS,
  WEEKDAYS,
  type BlankSegment,
  type Casing,
  type DateSegment,
} from '@yellow-latch/core/expansion/segment';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import { Choice } from '@/look/Choice';
import { tellWeekday } from '@/wording/format';
import type { ChipSegment } from './chipNode';
import { exampleOf, kindOf, moves, nameFor, PATTERNS } from './labels';

interface SegmentSheetProps {
  segment: ChipSegment;
  isNew: boolean;
  /** The names of blanks that are there, with what each is called. */
  blanks: readonly BlankSegment[];
  /** What may stand inside: not the shortcut itself. */
  shortcuts: readonly Shortcut[];
  onDone: (segment: ChipSegment) => void;
  onRemove: () => void;
  onClose: () => void;
}

/** What a chip says of itself, to be changed. */
export function SegmentSheet(props: SegmentSheetProps) {
  const { segment, isNew, onClose, onDone, onRemove } = props;
  const [draft, setDraft] = useState(segment);
  const isWhole = draft.type !== 'shortcut' || draft.id !== '';
  const isChoice = draft.type === 'blank' && draft.kind === 'choice';
  const problem = isChoice && draft.options.length === 0 ? t`Type the choices, with commas between them.` : null;
  const done = () => {
    if (problem !== null || !isWhole) return;
    if (draft.type !== 'blank') return onDone(draft);
    const label = draft.label.trim() || t`Blank`;
    // One label is one blank: it is asked for once.
    const same = props.blanks.find((one) => one.label === label);
    const others = new Set(props.blanks.filter((one) => one.label !== label).map(({ name }) => name));
    onDone({ ...draft, label, name: same?.name ?? nameFor(label, others) });
  };
  return (
    <Sheet title={kindOf(draft)} isOpen onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        {draft.type === 'blank' && <BlankFields draft={draft} onChange={setDraft} onSubmit={done} problem={problem} />}
        {draft.type === 'date' && <DateFields draft={draft} onChange={setDraft} />}
        {draft.type === 'shortcut' && (
          <ShortcutChoice id={draft.id} shortcuts={props.shortcuts} onChoose={(id) => setDraft({ ...draft, id })} />
        )}
        {draft.type === 'caret' && <Text variant="bodyMedium">{t`Your cursor goes here after the text appears.`}</Text>}
        {draft.type === 'clipboard' && (
          <Text variant="bodyMedium">{t`Inserts what you copied last. If the browser doesn’t allow that, it asks for it.`}</Text>
        )}
        {draft.type === 'selection' && (
          <Text variant="bodyMedium">{t`Goes around the text you select, or asks for it.`}</Text>
        )}
        {draft.type !== 'caret' && draft.type !== 'date' && (
          <Choice
            label={t`Capitals`}
            value={draft.casing}
            choices={[
              { value: null, label: t`unchanged` },
              ...CASINGS.map((value) => ({ value, label: i18n._(CASING_NAMES[value]) })),
            ]}
            onChange={(casing) => setDraft({ ...draft, casing })}
          />
        )}
      </ScrollView>
      <View style={styles.foot}>
        {!isNew && <Button icon="trash" mode="text" onPress={onRemove} contentStyle={styles.tall}>{t`Remove`}</Button>}
        <View style={styles.push} />
        {isWhole && <LatchButton label={isNew ? t`Insert` : t`Done`} icon="check" onPress={done} />}
      </View>
    </Sheet>
  );
}

const CASING_NAMES: Readonly<Record<Casing, MessageDescriptor>> = {
  upper: msg`ALL CAPITALS`,
  lower: msg`all lower case`,
  title: msg`Every Word Capitalized`,
};
const KIND_NAMES: Readonly<Record<(typeof BLANK_KINDS)[number], MessageDescriptor>> = {
  text: msg`one line`,
  lines: msg`several lines`,
  choice: msg`one of several`,
  number: msg`a number`,
  date: msg`a date`,
};

interface BlankFieldsProps {
  draft: BlankSegment;
  onChange: (draft: BlankSegment) => void;
  onSubmit: () => void;
  problem: string | null;
}

function BlankFields({ draft, onChange, onSubmit, problem }: BlankFieldsProps) {
  const [options, setOptions] = useState(draft.options.join(', '));
  return (
    <>
      <Field
        label={t`Name`}
        startsHere
        value={draft.label}
        onChangeText={(label) => onChange({ ...draft, label })}
        onBlur={() => {}}
        onSubmit={onSubmit}
        placeholder={t`First name, time, room`}
      />
      <Choice
        label={t`Asks for`}
        value={draft.kind}
        choices={BLANK_KINDS.map((value) => ({ value, label: i18n._(KIND_NAMES[value]) }))}
        onChange={(kind) => onChange({ ...draft, kind, pattern: kind === 'date' ? draft.pattern || PATTERNS[0] : '' })}
      />
      {draft.kind === 'choice' && (
        <Field
          label={t`Choices, with commas between them`}
          value={options}
          onChangeText={(text) => {
            setOptions(text);
            onChange({
              ...draft,
              options: text
                .split(',')
                .map((one) => one.trim())
                .filter((one) => one !== ''),
            });
          }}
          onBlur={() => {}}
          onSubmit={onSubmit}
          error={problem ?? undefined}
        />
      )}
      {draft.kind === 'date' && (
        <PatternChoice pattern={draft.pattern} onChange={(pattern) => onChange({ ...draft, pattern })} />
      )}
      {draft.kind !== 'choice' && draft.kind !== 'date' && (
        <Field
          label={t`Filled in with`}
          value={draft.default}
          onChangeText={(text) => onChange({ ...draft, default: text })}
          onBlur={() => {}}
          onSubmit={onSubmit}
        />
      )}
    </>
  );
}

function PatternChoice({ pattern, onChange }: { pattern: string; onChange: (pattern: string) => void }) {
  const known: readonly string[] = (PATTERNS as readonly string[]).includes(pattern)
    ? PATTERNS
    : [...PATTERNS, pattern];
  return (
    <Choice
      label={t`Format`}
      value={pattern}
      choices={known.map((value) => ({ value, label: exampleOf({ pattern: value, plus: '', next: null }) }))}
      onChange={onChange}
    />
  );
}

function DateFields({ draft, onChange }: { draft: DateSegment; onChange: (draft: DateSegment) => void }) {
  const known = moves();
  const all = known.some(([plus]) => plus === draft.plus) ? known : [...known, [draft.plus, draft.plus] as const];
  return (
    <>
      <PatternChoice pattern={draft.pattern} onChange={(pattern) => onChange({ ...draft, pattern })} />
      <Choice
        label={t`When`}
        value={draft.plus}
        choices={all.map(([value, label]) => ({ value, label }))}
        onChange={(plus) => onChange({ ...draft, plus })}
      />
      <Choice
        label={t`Then the next`}
        value={draft.next}
        choices={[
          { value: null, label: t`that same day` },
          ...WEEKDAYS.map((value, day) => ({ value, label: tellWeekday(day) })),
        ]}
        onChange={(next) => onChange({ ...draft, next })}
      />
      <Text variant="bodyMedium">{t`Today you get: ${{ example: exampleOf(draft) }}`}</Text>
    </>
  );
}

const MOST_SHOWN = 40;

function ShortcutChoice({
  id,
  shortcuts,
  onChoose,
}: {
  id: string;
  shortcuts: readonly Shortcut[];
  onChoose: (id: string) => void;
}) {
  const palette = usePalette();
  const [query, setQuery] = useState('');
  const found = shortcuts.filter(
    (one) => query === '' || one.code.includes(query) || shownText(one).toLowerCase().includes(query.toLowerCase()),
  );
  return (
    <>
      <Field label={t`Find a shortcut`} value={query} onChangeText={setQuery} onBlur={() => {}} onSubmit={() => {}} />
      <RadioGroup label={t`Shortcut`} hasChosen={found.slice(0, MOST_SHOWN).some((one) => one.id === id)}>
        {found.slice(0, MOST_SHOWN).map((one) => (
          <Tick key={one.id} role="radio" isOn={one.id === id} onPress={() => onChoose(one.id)} label={one.code}>
            <Text variant="bodyLarge">{one.code}</Text>
            <Text variant="bodyMedium" numberOfLines={1} style={[styles.push, { color: palette.inkSoft }]}>
              {shortened(shownText(one), 50)}
            </Text>
          </Tick>
        ))}
      </RadioGroup>
    </>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 8, paddingBottom: 8 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 20, paddingTop: 8 },
  push: { flex: 1 },
  tall: { minHeight: 48 },
});
