import { t } from '@lingui/core/macro';
import { Suspense, useRef, useState } from 'react';
import { StyleSheet, View, type TextInput } from 'react-native';

import { loadExpansion } from '@/answers/expansion/context';
import { Field } from '@/look/Field';

import type { ExpansionFieldProps, Started } from './expansionProps';
import { InsertRow } from './InsertRow';
import { TemplateEditor } from '@/bundles/editor';
import { asksFirst, newSegment, withSegment } from './template/inserts';

/** What a shortcut gives: a plain text until the first chip is put in, and again when the last is taken out. */
export function ExpansionField(props: ExpansionFieldProps) {
  const { value, isTemplate, error, startsHere, inputRef, onChange, onBlur, onSubmit } = props;
  const input = useRef<TextInput | null>(null);
  const [started, setStarted] = useState<Started | null>(null);
  const [wasTemplate, setWasTemplate] = useState(isTemplate);
  if (isTemplate && !wasTemplate) setWasTemplate(true);
  const plain = (
    <>
      <Field
        label={t`You get`}
        multiline
        inputRef={(element) => {
          input.current = element;
          inputRef(element);
        }}
        value={value}
        onChangeText={(text) => onChange(text, false)}
        // What is put in next may want the blank at the end.
        onBlur={(next) => next?.closest('[data-inserts]') ?? onBlur()}
        onSubmit={onSubmit}
        error={error}
        startsHere={startsHere || wasTemplate}
        placeholder={t`An address, a link, a symbol, a whole message`}
      />
      <InsertRow
        onInsert={(insert) => {
          const { selectionEnd } = input.current as unknown as HTMLTextAreaElement;
          if (asksFirst(insert)) setStarted({ insert, at: selectionEnd });
          else
            void loadExpansion().then(({ templateOf }) =>
              onChange(templateOf(withSegment(value, newSegment(insert), selectionEnd)), true),
            );
        }}
      />
    </>
  );
  if (!isTemplate && started === null) return plain;
  return (
    <Suspense fallback={isTemplate ? <View style={styles.coming} /> : plain}>
      <TemplateEditor {...props} started={started} onStarted={() => setStarted(null)} />
    </Suspense>
  );
}

// Its place is kept while it is fetched, so that nothing below moves under a finger.
const styles = StyleSheet.create({ coming: { minHeight: 286 } });
