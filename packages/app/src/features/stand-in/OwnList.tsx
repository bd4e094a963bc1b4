import { plural, t } from '@lingui/core/macro';
import { entered, withEntries, type OwnEntry } from '@yellow-latch/core/standIn';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import type { ExchangeWorkerApi } from '@/answers/exchange/workerApi';
import { useExchange } from '@/answers/exchange/useExchange';
import { tellRefusal } from '@/answers/expansion/words';
import { tellNotKept } from '@/frame/replica/keeping';
import { useNotice } from '@/frame/Notices';
import { Choice } from '@/look/Choice';
import { CodePlate } from '@/look/CodePlate';
import { Field } from '@/look/Field';
import { FileButton } from '@/look/FileButton';
import { Icon } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';
import { tellProblem } from '@/parts/kinds';
import { languageName } from '@/wording/format';

import { useStandIn } from './useStandIn';

/** The list that a stand-in brought along: typed in by hand, or read from a file, and known to nobody else. */
export function OwnList() {
  const palette = usePalette();
  const { kept, memory, ownProfile } = useStandIn();
  const notify = useNotice();
  const keep = async (own: readonly OwnEntry[], done: string) => {
    try {
      await memory.setKept({ own });
      notify({ text: done });
      return true;
    } catch (error) {
      notify({ text: tellNotKept(error) });
      return false;
    }
  };
  const remove = ({ entry, at }: Listed) =>
    void keep(
      kept.own.filter((_, other) => other !== at),
      t`“${{ code: entry.code }}” is deleted.`,
    );
  const rows: readonly Row[] = [
    'head',
    ...kept.own.map((entry, at) => ({ entry, at })),
    ...ownProfile.builtIn.map(({ code, expansion }) => ({
      entry: { code, text: expansion, language: null },
      at: null,
    })),
  ];
  return (
    <VirtualList
      label={t`Entries`}
      items={rows}
      keyOf={(row) => (row === 'head' ? row : `${row.at ?? 'built-in'} ${row.entry.code}`)}
      estimate={(row) => (row === 'head' ? HEAD_HEIGHT : ROW_HEIGHT)}
      renderItem={(row) =>
        row === 'head' ? (
          <View style={styles.head}>
            <NewEntry keep={keep} />
            <FromFile keep={keep} />
            <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
              {plural(kept.own.length, {
                0: 'Nothing here yet but what came with the device.',
                one: '# entry, and what came with the device.',
                other: '# entries, and what came with the device.',
              })}
            </Text>
          </View>
        ) : (
          <EntryRow {...row} onDelete={() => remove(row)} />
        )
      }
    />
  );
}

function EntryRow({ entry, at, onDelete }: Listed & { onDelete: () => void }) {
  const palette = usePalette();
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <View style={styles.plate}>
        <CodePlate code={entry.code} />
      </View>
      <View style={styles.words}>
        <Text variant="bodyMedium" numberOfLines={2}>
          {entry.text}
        </Text>
        {entry.language !== null && (
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {t`only with a keyboard in ${{ language: languageName(entry.language) }}`}
          </Text>
        )}
        {at === null && <Text variant="bodySmall" style={{ color: palette.inkSoft }}>{t`came with the device`}</Text>}
      </View>
      {at !== null && (
        <Pressable
          role="button"
          aria-label={t`Delete ${{ code: entry.code }}`}
          onPress={onDelete}
          style={styles.delete}
        >
          <Icon name="trash" size={20} color={palette.ink} />
        </Pressable>
      )}
    </View>
  );
}

const HEAD_HEIGHT = 360;
const ROW_HEIGHT = 64;

interface Listed {
  readonly entry: OwnEntry;
  /** Its place in the list; null: it came with the device. */
  readonly at: number | null;
}

type Row = 'head' | Listed;

interface KeepProps {
  /** Keeps the list and says so; whether there was room. */
  keep: (own: readonly OwnEntry[], done: string) => Promise<boolean>;
}

function NewEntry({ keep }: KeepProps) {
  const { kept, ownProfile, switches } = useStandIn();
  const [code, setCode] = useState('');
  const [text, setText] = useState('');
  const [language, setLanguage] = useState<string | null>(switches.language);
  const [problem, setProblem] = useState<{ field: 'code' | 'text'; text: string } | null>(null);
  const add = async () => {
    const given: OwnEntry = { code, text, language: ownProfile.languages === null ? null : language };
    const came = entered(given, ownProfile);
    if (came.type === 'wrong')
      return setProblem({
        field: came.field,
        text: tellProblem(came.field === 'code' ? 'code' : 'expansion', came.problem),
      });
    if (came.type === 'refused') return setProblem({ field: 'text', text: tellRefusal(came.why) });
    setProblem(null);
    const { entries } = withEntries(kept.own, [given], ownProfile);
    const done = came.isCut ? t`Saved. It’s one line now: this list knows no others.` : t`Saved.`;
    if (!(await keep(entries, done))) return;
    setCode('');
    setText('');
  };
  return (
    <View style={styles.form}>
      <Field
        label={t`Text`}
        value={text}
        onChangeText={setText}
        onBlur={() => {}}
        onSubmit={() => void add()}
        error={problem?.field === 'text' ? problem.text : undefined}
        multiline
      />
      <Field
        label={t`Code`}
        isCode
        value={code}
        onChangeText={setCode}
        onBlur={() => {}}
        onSubmit={() => void add()}
        error={problem?.field === 'code' ? problem.text : undefined}
      />
      {ownProfile.languages !== null && (
        <Choice
          label={t`Works with a keyboard in`}
          value={language}
          choices={[
            { value: null, label: t`any language` },
            ...['en', 'de', 'fr', 'es'].map((tag) => ({ value: tag, label: languageName(tag) })),
          ]}
          onChange={setLanguage}
        />
      )}
      <View style={styles.line}>
        <LatchButton label={t`Save`} icon="check" onPress={() => void add()} />
      </View>
    </View>
  );
}

function FromFile({ keep }: KeepProps) {
  const ask = useExchange();
  const notify = useNotice();
  const { kept, ownProfile, switches } = useStandIn();
  const open = async (file: File) => {
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      await ask((api) => api.open(bytes));
      const read = await ask((api) => api.pairs() as Promise<ReturnType<ExchangeWorkerApi['pairs']>>);
      if ('type' in read)
        return notify({ text: t`This file holds no list. Save one under Devices, “Copy your list over”.` });
      const given = read.pairs.map((pair): OwnEntry => ({ ...pair, language: switches.language }));
      const { entries, added, replaced, cut, refused } = withEntries(kept.own, given, ownProfile);
      const missing = refused.length + read.unread;
      const parts = [
        plural(added, { one: '# entry added', other: '# entries added' }),
        ...(replaced > 0 ? [plural(replaced, { one: '# replaced', other: '# replaced' })] : []),
        ...(cut > 0 ? [plural(cut, { one: '# put on one line', other: '# put on one line' })] : []),
        ...(missing > 0 ? [plural(missing, { one: '# not taken', other: '# not taken' })] : []),
      ];
      await keep(entries, `${parts.join(', ')}.`);
    } catch {
      notify({ text: t`This file can’t be read. Nothing was changed.` });
    }
  };
  return (
    <View style={styles.line}>
      <FileButton label={t`Read a file`} accept=".csv,.txt,.json,.md" onFile={(file) => void open(file)} />
      {kept.own.length > 0 && (
        <Button mode="text" contentStyle={styles.tall} onPress={() => void keep([], t`The list is empty.`)}>
          {t`Delete all`}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { padding: 16, gap: 12 },
  form: { gap: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, paddingHorizontal: 16, borderTopWidth: 1 },
  plate: { minWidth: 72, alignItems: 'flex-start' },
  words: { flex: 1, minWidth: 0 },
  delete: { width: 48, height: 48, alignItems: 'center', justifyContent: 'center' },
  tall: { minHeight: 48 },
});
