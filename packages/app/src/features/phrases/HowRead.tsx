import { t } from '@lingui/core/macro';
import type { SentFormat } from '@yellow-latch/core/sent';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { FoundPhrases, SentSource } from '@/answers/phrases/workerApi';
import { ChoiceChip } from '@/look/ChoiceChip';
import { usePalette } from '@/look/useLook';
import { ColumnChoice } from '@/parts/ColumnChoice';

import { tellSentProblem, tellSkipped } from './words';

interface HowReadProps {
  answer: FoundPhrases;
  sources: readonly SentSource[];
  onFind: (sources: readonly SentSource[], sender?: string | null) => void;
}

/** What there is to choose about what was read: whose mails, which column; and what could not be read. */
export function HowRead({ answer: { read, senders, sender, ofOthers }, sources, onFind }: HowReadProps) {
  const palette = usePalette();
  const readAs = (at: number, format: SentFormat) =>
    onFind(
      sources.map((source, index) => (index === at && source.type === 'file' ? { ...source, format } : source)),
      sender,
    );
  const asksSender = senders.length > 1 && ofOthers > 0;
  const isPlain = read.every(({ problem, skipped, columns }) => !problem && skipped === 0 && columns.length < 2);
  if (isPlain && !asksSender) return null;
  return (
    <View style={styles.sources}>
      {read.map(({ name, problem, skipped }, index) => (
        <View key={index}>
          {problem && (
            <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
              {tellSentProblem(name, problem)}
            </Text>
          )}
          {skipped > 0 && <Text variant="bodyMedium">{tellSkipped(skipped)}</Text>}
        </View>
      ))}
      <View style={styles.choices}>
        {asksSender && (
          <ChoiceChip
            label={t`Sent by`}
            value={sender ?? ''}
            choices={senders.slice(0, 20).map((one) => ({ value: one, label: one }))}
            onChange={(chosen) => onFind(sources, chosen)}
          />
        )}
        {read.map(({ format, columns }, index) =>
          columns.length > 1 && (format?.type === 'csv' || format?.type === 'json-lines') ? (
            <ColumnChoice
              key={index}
              type={format.type}
              value={format.type === 'csv' ? String(format.column) : (format.field ?? '')}
              columns={columns}
              onChange={(column) => readAs(index, column)}
            />
          ) : null,
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  sources: { gap: 6 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
