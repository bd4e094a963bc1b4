import { markCode } from '@yellow-latch/core/convention/mark';
import { checkCode, checkExpansion, KINDS, trimCode, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { Suspense, useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { useNewMark } from '@/answers/effort/useNewMark';
import { CopyButton } from '@/parts/CopyButton';
import { ChoiceLine } from '@/look/ChoiceLine';
import { CodePlate } from '@/look/CodePlate';
import { DetailHead } from '@/look/DetailHead';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';

import { Choice } from '@/look/Choice';
import { EffortBar } from './EffortBar';
import { ExpansionField } from './ExpansionField';
import { Field, FieldNote } from '@/look/Field';
import { NEW_SET, rulesOf } from './form';
import { HiddenText } from './HiddenText';
import { LinkNotes } from './LinkNotes';
import { MoreFields } from './MoreFields';
import { Preview, TryHere, Versions } from '@/bundles/editor';
import { useEditor } from './useEditor';
import { useVerdict } from './useVerdict';
import { Verdict } from './Verdict';

/** First what you want, then what you type for it; kind and set; save at the foot. */
export function EditorForm({ saved }: { saved: Shortcut | null }) {
  const palette = usePalette();
  const router = useRouter();
  const editor = useEditor(saved);
  const newMark = useNewMark();
  const { control, formState, setValue } = editor.form;
  const { errors } = formState;
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
  const isUnsettled = saved !== null && unsettled.some(({ id }) => id === saved.id);
  const verdict = useVerdict(draft);
  const [isShown, setShown] = useState(!saved?.private);
  const setChoices = [
    { value: null, label: 'None' },
    ...editor.sets.map(({ id, name }) => ({ value: id, label: name })),
    { value: NEW_SET, label: 'New set…' },
  ];
  return (
    <View style={styles.page}>
      <DetailHead back="Back to the list" onBack={() => router.navigate('/')}>
        <Text variant="headlineSmall" role="heading" aria-level={1} style={styles.title}>
          {saved ? 'Shortcut' : 'New shortcut'}
        </Text>
        {saved && !saved.private && (
          <IconButton
            icon="history"
            size={22}
            style={styles.history}
            accessibilityLabel="History of this shortcut"
            onPress={() => router.navigate({ pathname: '/history/[id]', params: { id: saved.id } })}
          />
        )}
        {saved && <CopyButton shortcut={saved} />}
      </DetailHead>

      <ScrollView style={styles.scroll} contentContainerStyle={styles.fields}>
        {isUnsettled && (
          <Suspense fallback={null}>
            <Versions type="shortcut" id={saved.id} />
          </Suspense>
        )}
        {!isShown && <HiddenText onShow={() => setShown(true)} />}
        {isShown && (
          <Controller
            control={control}
            name="expansion"
            render={({ field }) => (
              <ExpansionField
                id={saved?.id ?? null}
                value={field.value}
                isTemplate={template}
                inputRef={field.ref}
                onChange={(text, isTemplate) => {
                  if (isTemplate !== template) setValue('template', isTemplate, { shouldDirty: true });
                  field.onChange(text);
                  if (!isTemplate) editor.followExpansion(text);
                }}
                onBlur={() => {
                  field.onBlur();
                  editor.cleanExpansion();
                }}
                onSubmit={editor.save}
                error={errors.expansion?.message}
                startsHere={!saved && !editor.startsWithText}
              />
            )}
          />
        )}
        {isShown && expansion !== '' && (template || format === 'markdown') && (
          <Suspense fallback={null}>
            <Preview
              shortcut={{ id: saved?.id ?? 'new', code: trimCode(code), content: { expansion, template, format } }}
            />
          </Suspense>
        )}
        {isShown && !template && (
          <LinkNotes text={expansion} onChange={(text) => setValue('expansion', text, { shouldDirty: true })} />
        )}
        {editor.lines > 1 && (
          <FieldNote
            text={`${editor.lines} lines came along.`}
            action="Each its own"
            icon="split"
            onPress={editor.bringInLines}
          />
        )}
        {editor.note && <FieldNote text={`${capitalise(editor.note)}.`} action="Put back" onPress={editor.putBack} />}
        {editor.wasRefused && <FieldNote text="The browser kept the clipboard to itself: paste here by hand." />}

        <Controller
          control={control}
          name="code"
          render={({ field }) => (
            <Field
              label="You type"
              isCode
              inputRef={field.ref}
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              onSubmit={editor.save}
              error={errors.code?.message}
              startsHere={editor.startsWithText}
              placeholder={`such as ${markCode('ws', newMark)}`}
            />
          )}
        />
        {trimCode(code) !== '' && (
          <View style={styles.plate}>
            <CodePlate code={trimCode(code)} size="large" />
            {/\s/u.test(trimCode(code)) && (
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                ␣ is a blank inside the code
              </Text>
            )}
          </View>
        )}

        {trimCode(code) !== '' && (
          <Verdict
            code={trimCode(code)}
            verdict={verdict}
            onKeepPrivate={isPrivate ? null : () => setValue('isPrivate', true, { shouldDirty: true })}
            onTake={(free) => setValue('code', free, { shouldDirty: true, shouldValidate: formState.isSubmitted })}
          />
        )}

        {trimCode(code) !== '' && expansion !== '' && <EffortBar draft={draft} />}

        {checkCode(trimCode(code)) === null && checkExpansion(expansion) === null && (
          <Suspense fallback={null}>
            <TryHere
              shortcut={{
                id: saved?.id ?? 'new',
                code: trimCode(code),
                content: { expansion, template, format },
                kind,
                setId: draft.setId,
                rules: rulesOf({ fires, edge }, saved?.rules),
              }}
            />
          </Suspense>
        )}

        <ChoiceLine>
          <Choice
            label="Kind"
            value={kind}
            choices={KINDS.map((value) => ({ value, label: value }))}
            onChange={editor.chooseKind}
          />
          <Choice
            label="Set"
            value={setId}
            choices={setChoices}
            onChange={(value) => setValue('setId', value, { shouldDirty: true })}
          />
        </ChoiceLine>
        {setId === NEW_SET && (
          <Controller
            control={control}
            name="newSet"
            render={({ field }) => (
              <Field
                label="Name of the new set"
                inputRef={field.ref}
                value={field.value}
                onChangeText={field.onChange}
                onBlur={field.onBlur}
                onSubmit={editor.save}
                error={errors.newSet?.message}
                startsHere
              />
            )}
          />
        )}
        <MoreFields control={control} setValue={setValue} onSubmit={editor.save} />
      </ScrollView>

      <View style={[styles.foot, { borderColor: palette.line }]}>
        {isReadOnly && <Text variant="bodyMedium">This device may use the list, not change it.</Text>}
        {saved && !isReadOnly && (
          <Button icon="trash" mode="text" textColor={palette.alarm} onPress={editor.remove} contentStyle={styles.tall}>
            Delete
          </Button>
        )}
        <View style={styles.push} />
        {!isReadOnly && <LatchButton label="Save" icon="check" onPress={editor.save} />}
      </View>
    </View>
  );
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  title: { flex: 1 },
  history: { width: 48, height: 48, margin: 0 },
  scroll: { flex: 1, minHeight: 0 },
  fields: { paddingHorizontal: 16, paddingBottom: 24, gap: 8, maxWidth: 760 },
  plate: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 6 },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  tall: { minHeight: 48 },
  push: { flex: 1 },
});
