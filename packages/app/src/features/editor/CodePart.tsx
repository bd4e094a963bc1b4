import { t } from '@lingui/core/macro';
import { markCode } from '@yellow-latch/core/convention/mark';
import { checkCode, checkExpansion, trimCode } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { Suspense } from 'react';
import { Controller } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellProblem } from '@/parts/kinds';
import { useNewMark } from '@/answers/effort/useNewMark';
import { TryHere } from '@/bundles/editor';
import { CodePlate } from '@/look/CodePlate';
import { Field } from '@/look/Field';
import { usePalette } from '@/look/useLook';

import { EffortBar } from './EffortBar';
import { Proposals } from './Proposals';
import { rulesOf } from './form';
import { untypableOf } from './untypable';
import { useEffort } from './useEffort';
import type { ProposedCode } from './useProposedCode';
import type { EditorPartProps } from './useEditor';
import { useVerdict } from './useVerdict';
import { Verdict } from './Verdict';

/** What you type: the code, whether it is safe, what it costs, and a line to try it in. */
export function CodePart({ editor, draft, saved, isReadOnly, proposed }: EditorPartProps & { proposed: ProposedCode }) {
  const palette = usePalette();
  const newMark = useNewMark();
  const verdict = useVerdict(draft);
  const effort = useEffort(draft);
  const router = useRouter();
  const { control, formState, setValue } = editor.form;
  const { errors } = formState;
  const { code, expansion, template, format, kind, fires, edge, isPrivate } = draft;
  return (
    <>
      <Controller
        control={control}
        name="code"
        render={({ field }) => (
          <Field
            label={t`You type`}
            isCode
            readOnly={isReadOnly}
            inputRef={(input) => {
              field.ref(input);
              proposed.input.current = input;
            }}
            selectTextOnFocus={proposed.isProposed}
            value={field.value}
            onChangeText={(text) => {
              proposed.type();
              field.onChange(text);
            }}
            onBlur={field.onBlur}
            onSubmit={proposed.save}
            error={errors.code?.message ?? tellWhileTyped(field.value)}
            startsHere={editor.startsWithText}
            placeholder={t`like ${{ example: markCode('ws', newMark) }}`}
          />
        )}
      />
      {/\s/u.test(trimCode(code)) && (
        <View style={styles.plate}>
          <CodePlate code={trimCode(code)} size="large" />
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>{t`␣ is a space inside the code`}</Text>
        </View>
      )}

      {trimCode(code) !== '' && (
        <Verdict
          code={trimCode(code)}
          verdict={isReadOnly && verdict ? { ...verdict, proposals: [] } : verdict}
          untypable={untypableOf(effort)}
          onOpen={(id) => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
          onKeepPrivate={isPrivate || isReadOnly ? null : () => setValue('isPrivate', true, { shouldDirty: true })}
          onTake={proposed.take}
        />
      )}

      {proposed.hasNone && (
        <Text role="status" variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {t`No good code is free for this text. Type one of your own.`}
        </Text>
      )}
      <Proposals proposals={proposed.others} onTake={proposed.take} />

      {trimCode(code) !== '' && expansion !== '' && <EffortBar effort={effort} />}

      {checkCode(trimCode(code)) === null && checkExpansion(expansion) === null && (
        <Suspense fallback={null}>
          <TryHere
            shortcut={{
              id: saved?.id ?? 'new',
              code: trimCode(code),
              content: { expansion, template, format },
              kind,
              setId: draft.setId,
              rules: rulesOf({ fires: fires ?? null, edge: edge ?? null }, saved?.rules),
            }}
          />
        </Suspense>
      )}
    </>
  );
}

/** What is wrong with a code whatever else it is, said while it is typed; an empty one is only told when it is saved. */
function tellWhileTyped(code: string): string | undefined {
  const problem = trimCode(code) === '' ? null : checkCode(trimCode(code));
  return problem ? tellProblem('code', problem) : undefined;
}

const styles = StyleSheet.create({
  plate: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 6 },
});
