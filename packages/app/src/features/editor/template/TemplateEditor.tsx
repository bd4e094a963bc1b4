import { t } from '@lingui/core/macro';
import type { BlankSegment } from '@yellow-latch/core/expansion/segment';
import { useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { loadedExpansion } from '@/answers/expansion/context';
import { tellTemplateProblem } from '@/answers/expansion/words';
import { Field } from '@/look/Field';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { ExpansionFieldProps } from '../expansionProps';
import { InsertButton } from '../InsertButton';
import { asksFirst, newSegment, type Insert } from './inserts';
import InsertSheet from './InsertSheet';
import { kindOf, labelOf } from './labels';
import { SegmentSheet } from './SegmentSheet';
import TemplateField, { type PlacedChip, type TemplateFieldHandle } from './TemplateField';

interface TemplateEditorProps extends ExpansionFieldProps {
  /** Whether its first chip has just been put in, and typing goes on behind it. */
  startsAfterChip: boolean;
}

/** The chip that is open: one of the text, or one that is to go in. */
type Open = { readonly chip: PlacedChip } | { readonly insert: Insert };

/** A text with chips: the field, what can be put in, and the sheet of a chip. */
export default function TemplateEditor({
  id,
  value,
  isTemplate,
  error,
  startsAfterChip,
  onChange,
  onBlur,
  onSubmit,
}: TemplateEditorProps) {
  const { parseTemplate, templateOf, templateToPlain } = loadedExpansion();
  const palette = usePalette();
  const { shortcuts } = useList();
  const field = useRef<TemplateFieldHandle>(null);
  const [chips, setChips] = useState<readonly PlacedChip[]>([]);
  const [open, setOpen] = useState<Open | null>(null);
  // A link came in: what is told of the text next tells that it is formatted.
  const isLinked = useRef(false);
  const [isRaw, setRaw] = useState(false);
  // What was told last: anything else came from outside, and is shown anew.
  const [told, setTold] = useState(value);
  const [generation, setGeneration] = useState(0);
  if (isTemplate && value !== told) {
    setTold(value);
    setGeneration(generation + 1);
  }
  const codeOf = (one: string) => shortcuts.find((shortcut) => shortcut.id === one)?.code;
  const blanks = chips.flatMap(({ segment }): BlankSegment[] => (segment.type === 'blank' ? [segment] : []));

  const insert = (what: Insert) => {
    if (asksFirst(what)) setOpen({ insert: what });
    else field.current?.insert(newSegment(what));
  };
  const close = () => setOpen(null);
  const chipSheet = ({ key, segment }: PlacedChip) => (
    <SegmentSheet
      segment={segment}
      isNew={false}
      blanks={blanks}
      shortcuts={shortcuts.filter((one) => one.id !== id)}
      onClose={close}
      onDone={(next) => {
        close();
        field.current?.replace(key, next);
      }}
      onRemove={() => {
        close();
        field.current?.replace(key, null);
      }}
    />
  );
  const insertSheet = (what: Insert) => (
    <InsertSheet
      id={id}
      insert={what}
      words=""
      blanks={blanks}
      onClose={close}
      onChip={(segment) => {
        close();
        field.current?.insert(segment);
      }}
      onSymbol={(symbol) => {
        close();
        field.current?.insertText(symbol);
      }}
      onLink={(link) => {
        close();
        isLinked.current = true;
        field.current?.insertText(link);
      }}
    />
  );
  const sheet = open && ('chip' in open ? chipSheet(open.chip) : insertSheet(open.insert));

  const parsed = isTemplate ? parseTemplate(value) : null;
  // A source that cannot be read is shown as it is until it is left set right: chips would come up under the fingers.
  if (parsed?.type === 'problems' && !isRaw) setRaw(true);
  const leave = () => {
    onBlur();
    if (parsed?.type !== 'template') return;
    setRaw(false);
    const plain = templateToPlain(parsed.segments);
    if (plain !== null) onChange(plain, false);
  };
  if (!parsed || parsed.type === 'problems' || isRaw) {
    return (
      <>
        <Field
          label={t`You get`}
          multiline
          value={value}
          onChangeText={(text) => onChange(text, isTemplate)}
          onBlur={leave}
          onSubmit={onSubmit}
          error={parsed?.type === 'problems' ? tellTemplateProblem(parsed.problems[0]!) : error}
        />
        {sheet}
      </>
    );
  }
  return (
    <>
      <TemplateField
        key={generation}
        ref={field}
        label={t`You get`}
        beside={<InsertButton onInsert={insert} />}
        startsAfterChip={startsAfterChip && generation === 0}
        segments={parsed.segments}
        labelOf={(segment) => labelOf(segment, codeOf)}
        error={error}
        onChips={setChips}
        onOpen={(chip) => setOpen({ chip })}
        onSubmit={onSubmit}
        onChange={(segments) => {
          const plain = templateToPlain(segments);
          const next = plain ?? templateOf(segments);
          setTold(next);
          onChange(next, plain === null, isLinked.current ? true : undefined);
          isLinked.current = false;
        }}
      />
      {chips.length > 0 && (
        <ScrollView
          horizontal
          style={styles.row}
          contentContainerStyle={styles.chips}
          role="group"
          aria-label={t`In the text`}
        >
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>{t`In the text:`}</Text>
          {chips.map((chip) => (
            <Pressable
              key={chip.key}
              role="button"
              aria-label={`${kindOf(chip.segment)}: ${labelOf(chip.segment, codeOf)}`}
              onPress={() => setOpen({ chip })}
              style={[styles.chip, { borderColor: palette.line }]}
            >
              <Text variant="bodyMedium">{labelOf(chip.segment, codeOf)}</Text>
            </Pressable>
          ))}
        </ScrollView>
      )}
      {sheet}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexGrow: 0 },
  chips: { alignItems: 'center', gap: 8, paddingBottom: 10 },
  chip: { minHeight: 48, justifyContent: 'center', paddingHorizontal: 12, borderWidth: 1.5, borderRadius: 6 },
});
