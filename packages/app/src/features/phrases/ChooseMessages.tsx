import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';

import { useKeptText } from '@/answers/ownText/useOwnText';
import type { FoundPhrases, SentSource } from '@/answers/phrases/workerApi';
import { Field } from '@/look/Field';
import { FileButton } from '@/look/FileButton';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import { sourcesOf, type Phase } from './useFoundPhrases';
import { tellSentProblem } from './words';

const MESSAGES = '.mbox,.mbx,.eml,.txt,.md,.csv,.tsv,.jsonl,.ndjson,.log,text/*,message/rfc822,application/mbox';

interface ChooseMessagesProps {
  phase: Phase;
  progress: number;
  /** What could not be read, if that was all. */
  unread: FoundPhrases | null;
  onFind: (sources: readonly SentSource[]) => void;
  onCancel: () => void;
}

/** Where messages come from: files, what is pasted, a text that was kept, or the sample. */
export function ChooseMessages({ phase, progress, unread, onFind, onCancel }: ChooseMessagesProps) {
  const palette = usePalette();
  const { kept } = useKeptText();
  const [pasted, setPasted] = useState('');
  const read = () => pasted.trim() !== '' && onFind([{ type: 'pasted', text: pasted }]);
  if (phase === 'reading')
    return (
      <View style={styles.parts}>
        <Text role="status" variant="bodyMedium">{t`Looking for what you type again and again…`}</Text>
        <View style={styles.bar}>
          <ProgressBar progress={progress} color={palette.ink} aria-label={t`Reading…`} style={styles.bar} />
        </View>
        <Button mode="outlined" onPress={onCancel} style={styles.button} contentStyle={styles.tall}>{t`Cancel`}</Button>
      </View>
    );
  return (
    <View style={styles.parts}>
      <Text variant="bodyMedium">
        {t`Open messages you sent. They’re read on this device and never leave it. You’ll see what you type again and again.`}
      </Text>
      {phase === 'failed' && (
        <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
          {t`That didn’t work. Try fewer files at once.`}
        </Text>
      )}
      {unread?.read.map(({ name, problem }, index) => (
        <Text key={index} role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
          {tellSentProblem(name, problem ?? { type: 'no-text' })}
        </Text>
      ))}
      <View style={styles.actions}>
        <FileButton label={t`Open messages`} accept={MESSAGES} onFiles={(files) => onFind(sourcesOf(files))} />
        <Button mode="text" onPress={() => onFind([{ type: 'sample' }])} contentStyle={styles.tall}>
          {t`Try sample messages`}
        </Button>
      </View>
      <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
        {t`Mail (mbox, eml), text, tables (CSV) or JSON lines.`}
      </Text>
      <Field
        label={t`Or paste them here`}
        multiline
        value={pasted}
        onChangeText={setPasted}
        onBlur={() => {}}
        onSubmit={read}
      />
      {pasted.trim() !== '' && (
        <View style={styles.actions}>
          <View style={styles.push} />
          <LatchButton label={t`Find phrases`} icon="search" onPress={read} />
        </View>
      )}
      {kept && (
        <Button
          mode="outlined"
          onPress={() =>
            onFind([{ type: 'file', name: kept.name, blob: new Blob([kept.bytes as Uint8Array<ArrayBuffer>]) }])
          }
          style={styles.button}
          contentStyle={styles.tall}
        >
          {t`Use your saved text`}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 12 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  push: { flex: 1 },
  button: { borderRadius: 6, alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
  bar: { height: 6, borderRadius: 3 },
});
