import type { Shortcut } from '@yellow-latch/core/model';
import { Suspense } from 'react';
import { useWatch } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';

import { Versions } from '@/bundles/editor';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';

import { CodePart } from './CodePart';
import { EditorFoot } from './EditorFoot';
import { EditorHead } from './EditorHead';
import { NEW_SET } from './form';
import { KindAndSet } from './KindAndSet';
import { MoreFields } from './MoreFields';
import { TextPart } from './TextPart';
import { useEditor } from './useEditor';

/** First what you want, then what you type for it; kind and set; save at the foot. */
export function EditorForm({ saved }: { saved: Shortcut | null }) {
  const editor = useEditor(saved);
  const { control, setValue } = editor.form;
  const [code, expansion, template, format, kind, setId, fires, edge, isPrivate] = useWatch({
    control,
    name: ['code', 'expansion', 'template', 'format', 'kind', 'setId', 'fires', 'edge', 'isPrivate'],
  });
  const draft = {
    id: saved?.id ?? null,
    code,
    expansion,
    template,
    format,
    kind,
    setId: setId === NEW_SET ? null : setId,
    fires,
    edge,
    isPrivate,
  };
  const isReadOnly = useMay() === 'use' && !saved?.private;
  const { unsettled } = useList();
  return (
    <View style={styles.page}>
      <EditorHead saved={saved} />
      <ScrollView style={styles.scroll} contentContainerStyle={styles.fields}>
        {saved && unsettled.some(({ id }) => id === saved.id) && (
          <Suspense fallback={null}>
            <Versions type="shortcut" id={saved.id} />
          </Suspense>
        )}
        <TextPart editor={editor} draft={draft} saved={saved} />
        <CodePart editor={editor} draft={draft} saved={saved} />
        <KindAndSet editor={editor} />
        <MoreFields control={control} setValue={setValue} onSubmit={editor.save} />
      </ScrollView>
      <EditorFoot isReadOnly={isReadOnly} onSave={editor.save} onDelete={saved ? editor.remove : null} />
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  scroll: { flex: 1, minHeight: 0 },
  fields: { paddingHorizontal: 16, paddingBottom: 24, gap: 8, maxWidth: 760 },
});
