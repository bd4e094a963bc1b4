import type { Shortcut } from '@yellow-latch/core/model';
import { Suspense } from 'react';
import { useWatch } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';

import { Versions } from '@/bundles/editor';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';

import { CodePart } from './CodePart';
import { Details } from './Details';
import { EditorFoot } from './EditorFoot';
import { EditorHead } from './EditorHead';
import { OnDevices } from './OnDevices';
import { NEW_SET } from './form';
import { TextPart } from './TextPart';
import { useEditor } from './useEditor';
import { useProposedCode } from './useProposedCode';

/** First what you want, then what you type for it, and whether that is safe; all else is closed. Save at the foot. */
export function EditorForm({ saved, place }: { saved: Shortcut | null; place: string }) {
  const editor = useEditor(saved, place);
  const { control } = editor.form;
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
  const proposed = useProposedCode(editor, draft, saved, isReadOnly);
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
        <TextPart editor={editor} draft={draft} saved={saved} isReadOnly={isReadOnly} />
        <CodePart editor={editor} draft={draft} saved={saved} isReadOnly={isReadOnly} proposed={proposed} />
        {saved && <OnDevices id={saved.id} />}
        {!isReadOnly && <Details editor={editor} />}
      </ScrollView>
      <EditorFoot isReadOnly={isReadOnly} onSave={proposed.save} onDelete={saved ? editor.remove : null} />
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  scroll: { flex: 1, minHeight: 0 },
  fields: { paddingHorizontal: 16, paddingBottom: 24, gap: 4, maxWidth: 760 },
});
