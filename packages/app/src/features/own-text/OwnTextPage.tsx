import { t } from '@lingui/core/macro';
import type { OwnTextProblem } from '@yellow-latch/core/sent/ownText';

import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAudit } from '@/answers/audit/AuditProvider';
import { deviceLabel } from '@/answers/audit/sentences';
import { Field } from '@/look/Field';
import { ChoiceChip } from '@/look/ChoiceChip';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';
import { handMessages } from '@/parts/messages';

import { DropZone } from '@/look/DropZone';
import { FileButton } from '@/look/FileButton';
import { ReadAsChoice } from './ReadAsChoice';
import { Reading } from './Reading';
import { fileSource, pastedSource, tellOwnTextProblem, type OwnTextSource } from '@/answers/ownText/source';
import { useKeptText, useReading } from '@/answers/ownText/useOwnText';

/** Where the codes of the list would have fired in what a person wrote. The text stays on this device. */
export default function OwnTextPage() {
  const palette = usePalette();
  const router = useRouter();
  const { profiles } = useList();
  const { state } = useAudit();
  const { kept, keep, forget } = useKeptText();
  const [pasted, setPasted] = useState('');
  const [source, setSource] = useState<OwnTextSource | null>(null);
  const [problem, setProblem] = useState<OwnTextProblem | null>(null);
  const [chosenDevice, setDevice] = useState<string | null>(null);
  const device = chosenDevice !== null && profiles.includes(chosenDevice) ? chosenDevice : profiles[0]!;
  const read = useReading(source, device);
  const answer = read?.answer;
  const refusal = problem ?? (answer && 'type' in answer ? answer : null);
  const open = (file: File) =>
    void fileSource(file).then((result) => {
      setProblem('type' in result ? result : null);
      setSource('type' in result ? null : result);
    });
  const findPhrases = ({ name, bytes }: OwnTextSource) => {
    handMessages({ name, bytes: bytes as Uint8Array<ArrayBuffer> });
    router.navigate({ pathname: '/phrases', params: { from: 'check' } });
  };
  const startOver = () => {
    setSource(null);
    setProblem(null);
  };
  return (
    <DropZone onFile={open}>
      <DetailPage
        title={t`Your own texts`}
        about="own text"
        back={{ label: t`Back to Check`, href: '/check' }}
        hasOwnScroll
      >
        {source === null ? (
          <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
            <Text variant="bodyMedium">{t`See where your codes would have expanded by mistake in your messages, emails and notes. They stay on this device and aren’t saved unless you ask.`}</Text>
            {refusal && (
              <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
                {tellOwnTextProblem(refusal)}
              </Text>
            )}
            <Field
              label={t`Paste what you wrote`}
              multiline
              value={pasted}
              onChangeText={setPasted}
              onBlur={() => {}}
              onSubmit={() => pasted.trim() !== '' && setSource(pastedSource(pasted))}
            />
            <View style={styles.actions}>
              <FileButton label={t`Open a file`} onFile={open} />
              <View style={styles.push} />
              {pasted.trim() !== '' && (
                <LatchButton
                  label={t`Check it`}
                  icon="scan"
                  onPress={() => {
                    setProblem(null);
                    setSource(pastedSource(pasted));
                  }}
                />
              )}
            </View>
            {kept && (
              <View style={[styles.kept, { borderColor: palette.line }]}>
                <Text variant="bodyMedium">{t`Saved on this device: ${{ name: kept.name }}`}</Text>
                <View style={styles.actions}>
                  <Button
                    mode="outlined"
                    onPress={() => setSource(kept)}
                    style={styles.button}
                    contentStyle={styles.tall}
                  >{t`Check it again`}</Button>
                  <Button mode="text" icon="trash" onPress={forget} contentStyle={styles.tall}>{t`Delete it`}</Button>
                </View>
              </View>
            )}
          </ScrollView>
        ) : (
          <View style={styles.reading}>
            <View style={styles.tools}>
              <ChoiceChip
                label={t`Device`}
                value={device}
                choices={profiles.map((key) => ({ value: key, label: deviceLabel(key) }))}
                onChange={setDevice}
              />
              <ReadAsChoice source={source} onChange={setSource} />
              <View style={styles.push} />
              <Button
                mode="text"
                icon="inbox"
                onPress={() => findPhrases(source)}
                contentStyle={styles.tall}
              >{t`Find phrases`}</Button>
              <Button mode="text" onPress={startOver} contentStyle={styles.tall}>{t`Another text`}</Button>
            </View>
            {refusal && (
              <Text role="alert" variant="bodyMedium" style={[styles.told, { color: palette.alarm }]}>
                {tellOwnTextProblem(refusal)}
              </Text>
            )}
            {!refusal && answer && !('type' in answer) && (
              <Reading
                key={source.name}
                read={answer}
                isKept={kept?.bytes === source.bytes}
                onKeep={() => keep(source)}
              />
            )}
            {!refusal && !answer && (
              <Text role="status" variant="bodyMedium" style={styles.told}>
                {read && state.phase === 'failed'
                  ? t`The check has stopped. Open Check to start it again. Your text stays here.`
                  : t`Reading ${{ name: source.name }}…`}
              </Text>
            )}
          </View>
        )}
      </DetailPage>
    </DropZone>
  );
}

const styles = StyleSheet.create({
  scroll: { flex: 1, minHeight: 0 },
  parts: { paddingHorizontal: 16, paddingBottom: 24, gap: 12, maxWidth: 760 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  push: { flex: 1 },
  kept: { borderTopWidth: 1, paddingTop: 12, gap: 8 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
  reading: { flex: 1, minHeight: 0 },
  tools: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 16,
    paddingBottom: 8,
  },
  told: { padding: 16 },
});
