import { plural, t } from '@lingui/core/macro';
import { trimCode } from '@yellow-latch/core/model';
import { Suspense, useState } from 'react';
import { Controller } from 'react-hook-form';

import { Preview } from '@/bundles/editor';
import { FieldNote } from '@/look/Field';

import { ExpansionField } from './ExpansionField';
import { HiddenText } from './HiddenText';
import { LinkNotes } from './LinkNotes';
import { TagsPart } from './TagsPart';
import type { EditorPartProps } from './useEditor';

/** What you get: the text, what it makes now, what is in its links, and what came along with it. */
export function TextPart({ editor, draft, saved, isReadOnly }: EditorPartProps) {
  const { control, formState, setValue } = editor.form;
  const { errors } = formState;
  const { code, expansion, template, format } = draft;
  const [isShown, setShown] = useState(!saved?.private);
  return (
    <>
      {!isShown && <HiddenText onShow={() => setShown(true)} />}
      {isShown && !(isReadOnly && template) && (
        <Controller
          control={control}
          name="expansion"
          render={({ field }) => (
            <ExpansionField
              id={saved?.id ?? null}
              value={field.value}
              isTemplate={template}
              isReadOnly={isReadOnly}
              inputRef={field.ref}
              onChange={(text, isTemplate, isMarkdown) => {
                if (isMarkdown) setValue('format', 'markdown', { shouldDirty: true });
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
      {isShown && !template && !isReadOnly && (
        <LinkNotes
          text={expansion}
          onChange={(text) => {
            setValue('expansion', text, { shouldDirty: true });
            // One goes on typing behind it.
            editor.form.setFocus('expansion');
          }}
        />
      )}
      {isShown && draft.kind === 'tags' && !template && !isReadOnly && (
        <TagsPart editor={editor} id={saved?.id ?? null} />
      )}
      {editor.lines > 1 && (
        <FieldNote
          text={plural(editor.lines, { other: 'You pasted # lines.' })}
          action={t`Make each a shortcut`}
          icon="split"
          onPress={editor.bringInLines}
        />
      )}
      {editor.note && <FieldNote text={editor.note} action={t`Undo`} onPress={editor.putBack} />}
      {editor.wasRefused && <FieldNote text={t`The browser didn’t allow it. Paste here yourself.`} />}
    </>
  );
}
