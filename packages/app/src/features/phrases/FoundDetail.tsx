import { t } from '@lingui/core/macro';
import type { Excerpt, Found } from '@yellow-latch/core/mine';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { announce } from '@/frame/announce';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { tellDate } from '@/wording/format';

import { blanksIn, canChoose, withBlank, type Draft } from './draft';

interface FoundDetailProps {
  found: Found;
  draft: Draft;
  onDraft: (draft: Draft) => void;
  onNever: () => void;
}

const MOST_NAMED = 5;

/** A found text as it can be changed, its blanks, and where it stood. */
export function FoundDetail({ found, draft, onDraft, onNever }: FoundDetailProps) {
  const palette = usePalette();
  const input = useRef<HTMLTextAreaElement | null>(null);
  const [hint, setHint] = useState('');
  const makeBlank = () => {
    const { selectionStart = 0, selectionEnd = 0 } = input.current ?? {};
    const next = withBlank(draft, selectionStart, selectionEnd);
    if (next === draft) {
      setHint(t`Select the words that change each time, then tap Make a blank.`);
      return;
    }
    setHint('');
    onDraft(next);
    announce(t`Made a blank.`);
  };
  return (
    <View style={styles.detail}>
      <Field
        label={t`Text`}
        multiline
        value={draft.text}
        onChangeText={(text) => onDraft({ ...draft, text })}
        onBlur={() => {}}
        onSubmit={() => {}}
        inputRef={(element) => {
          input.current = element as unknown as HTMLTextAreaElement | null;
        }}
      />
      <View style={styles.actions}>
        <Button
          mode="outlined"
          icon="gap"
          // The selection stays where it is.
          {...({ onMouseDown: (event: Event) => event.preventDefault() } as object)}
          onPress={makeBlank}
          style={styles.button}
          contentStyle={styles.tall}
        >
          {t`Make a blank`}
        </Button>
        <View style={styles.push} />
        <Button mode="text" onPress={onNever} contentStyle={styles.tall}>{t`Never show this`}</Button>
      </View>
      {hint !== '' && (
        <Text role="status" variant="bodyMedium">
          {hint}
        </Text>
      )}
      {blanksIn(draft).map((blank) =>
        canChoose(blank.values) ? (
          <Tick
            key={blank.label}
            role="checkbox"
            isOn={blank.isChoice}
            onPress={() =>
              onDraft({
                ...draft,
                blanks: draft.blanks.map((one) => (one === blank ? { ...one, isChoice: !one.isChoice } : one)),
              })
            }
          >
            <Text variant="bodyMedium" style={styles.choice}>
              {tellChoice(blank.label, blank.values)}
            </Text>
          </Tick>
        ) : null,
      )}
      <Text style={styles.heading} role="heading" aria-level={2}>{t`Where you typed it`}</Text>
      {found.places.map((place, index) => (
        <Place key={index} place={place} color={palette.inkSoft} />
      ))}
    </View>
  );
}

function tellChoice(label: string, values: readonly string[]): string {
  const some = values.slice(0, MOST_NAMED).join(', ');
  return values.length > MOST_NAMED
    ? t`Offer choices for [${label}]: ${some}…`
    : t`Offer choices for [${label}]: ${some}`;
}

function Place({ place: { before, text, after, at }, color }: { place: Excerpt; color: string }) {
  return (
    <Text variant="bodyMedium" style={{ color }}>
      {at !== null && `${tellDate(at)}: `}
      {oneLine(before)}
      <Text style={styles.typed}>{oneLine(text)}</Text>
      {oneLine(after)}
    </Text>
  );
}

function oneLine(text: string): string {
  return text.replaceAll(/\s*\n\s*/gu, ' ');
}

const styles = StyleSheet.create({
  detail: { paddingBottom: 14, gap: 8 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  push: { flex: 1 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
  choice: { flex: 1, minWidth: 0 },
  heading: { ...STRONG, fontSize: 15 },
  typed: { textDecorationLine: 'underline' },
});
