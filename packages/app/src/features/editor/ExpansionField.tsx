import { t } from '@lingui/core/macro';
import { Suspense, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { loadExpansion } from '@/answers/expansion/context';
import { InsertSheet, TemplateEditor } from '@/bundles/editor';
import { Field } from '@/look/Field';

import type { ExpansionFieldProps } from './expansionProps';
import { InsertButton } from './InsertButton';
import type { ChipSegment } from './template/chipNode';
import { asksFirst, newSegment, withSegment, type Insert } from './template/inserts';
import { asMarkdown } from './template/link';

/** Something that is to go into the plain text when it has said what it is, and the part of the text it takes the place of. */
interface Started {
  readonly insert: Insert;
  readonly from: number;
  readonly to: number;
}

/** What a shortcut gives: a plain text until the first chip is put in, and again when the last is taken out. */
export function ExpansionField(props: ExpansionFieldProps) {
  const { id, value, isTemplate, isReadOnly, error, startsHere, inputRef, onChange, onBlur, onSubmit } = props;
  const input = useRef<HTMLTextAreaElement | null>(null);
  const [started, setStarted] = useState<Started | null>(null);
  const [wasTemplate, setWasTemplate] = useState(isTemplate);
  const [isJustMade, setJustMade] = useState(false);
  if (isTemplate && !wasTemplate) setWasTemplate(true);
  if (isTemplate) {
    return (
      <Suspense fallback={<View style={styles.coming} />}>
        <TemplateEditor {...props} startsAfterChip={isJustMade} />
      </Suspense>
    );
  }

  const putChip = async (segment: ChipSegment, at: number) => {
    const { templateOf } = await loadExpansion();
    setJustMade(true);
    onChange(templateOf(withSegment(value, segment, at)), true);
  };
  const putLink = (link: string, { from, to }: Started) => {
    const before = asMarkdown(value.slice(0, from)) + link;
    onChange(before + asMarkdown(value.slice(to)), false, true);
    typeOnBehind(before);
  };
  const putSymbol = (symbol: string, { from, to }: Started) => {
    const before = value.slice(0, from) + symbol;
    onChange(before + value.slice(to), false);
    typeOnBehind(before);
  };
  const typeOnBehind = (before: string) => {
    // When the sheet has gone.
    requestAnimationFrame(() => {
      input.current?.focus();
      input.current?.setSelectionRange(before.length, before.length);
    });
  };
  const insert = (what: Insert) => {
    const { selectionStart: from, selectionEnd: to } = input.current!;
    if (asksFirst(what)) setStarted({ insert: what, from, to });
    else void putChip(newSegment(what), to);
  };
  return (
    <>
      <Field
        label={t`You get`}
        multiline
        readOnly={isReadOnly}
        beside={isReadOnly ? null : <InsertButton onInsert={insert} />}
        inputRef={(element) => {
          input.current = element as unknown as HTMLTextAreaElement | null;
          inputRef(element);
        }}
        value={value}
        onChangeText={(text) => onChange(text, false)}
        // What is put in next may want the space at the end.
        onBlur={(next) => next?.closest('[data-inserts], [aria-modal=true]') ?? onBlur()}
        onSubmit={onSubmit}
        error={error}
        startsHere={startsHere || wasTemplate}
        placeholder={t`An address, a link, a symbol, a whole message`}
      />
      {started && (
        <Suspense fallback={null}>
          <InsertSheet
            id={id}
            insert={started.insert}
            words={value.slice(started.from, started.to)}
            onClose={() => setStarted(null)}
            onChip={(segment) => {
              setStarted(null);
              void putChip(segment, started.to);
            }}
            onSymbol={(symbol) => {
              setStarted(null);
              putSymbol(symbol, started);
            }}
            onLink={(link) => {
              setStarted(null);
              putLink(link, started);
            }}
          />
        </Suspense>
      )}
    </>
  );
}

// Its place is kept while it is fetched, so that nothing below moves under a finger.
const styles = StyleSheet.create({ coming: { minHeight: 156 } });
