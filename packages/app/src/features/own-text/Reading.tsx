import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import type { ReadOwnText } from '@/answers/audit/workerApi';
import { counted } from '@/answers/audit/sentences';
import { useCodes } from '@/parts/findings/useCodes';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

import { CodeCounts } from './CodeCounts';
import { pageAt, pagesOf } from './pages';
import { placesOf } from './places';
import { ReadingView } from './ReadingView';

interface ReadingProps {
  read: ReadOwnText;
  isKept: boolean;
  onKeep: () => void;
}

/** A text with every misfire marked, stepped through one by one, and how many each code has. */
export function Reading({ read: { own, report }, isKept, onKeep }: ReadingProps) {
  const palette = usePalette();
  const { codeOf } = useCodes();
  const [only, setOnly] = useState<string | null>(null);
  const [asked, setAsked] = useState(0);
  const pages = useMemo(() => pagesOf(own.text), [own]);
  const places = useMemo(() => placesOf(report, only), [report, only]);
  const step = Math.min(asked, Math.max(0, places.length - 1));
  const current = places[step];
  const page = pageAt(pages, current?.start ?? 0);
  const onPage = useMemo(
    () => placesOf(report, null).filter(({ start, end }) => start >= pages[page]! && end <= pages[page + 1]!),
    [report, pages, page],
  );
  const go = (by: number) => setAsked((step + by + places.length) % places.length);
  return (
    <View style={styles.all}>
      <View style={styles.told}>
        <Text role="status" variant="bodyMedium">
          {counted(report.words, 'word')}, {counted(report.places.length / 3, 'misfire')}
          {report.findings.length > 0 && ` of ${counted(report.findings.length, 'code')}`}. Counted in this text, no
          estimate.
          {own.skipped.length > 0 &&
            ` ${counted(own.skipped.length, 'row')} passed over; the first is row ${own.skipped[0]!.row}: ${own.skipped[0]!.why}.`}
        </Text>
        <Button mode="text" onPress={onKeep} disabled={isKept} contentStyle={styles.tall}>
          {isKept ? 'Kept on this device' : 'Keep it on this device'}
        </Button>
      </View>
      {places.length === 0 ? (
        <View style={styles.clear}>
          <LatchGlyph verdict="safe" size={48} />
          <Text variant="titleMedium">No code would have fired in it by mistake.</Text>
        </View>
      ) : (
        <>
          <CodeCounts
            findings={report.findings}
            codeOf={codeOf}
            only={only}
            onOnly={(id) => {
              setOnly(id);
              setAsked(0);
            }}
          />
          <ReadingView
            text={own.text}
            from={pages[page]!}
            past={pages[page + 1]!}
            spots={onPage}
            current={current ?? null}
          />
          <View style={[styles.steps, { borderColor: palette.line }]}>
            <IconButton
              icon="chevron-left"
              size={26}
              style={styles.step}
              accessibilityLabel="The misfire before"
              onPress={() => go(-1)}
            />
            <Text role="status" variant="bodyMedium" style={styles.count}>
              {(step + 1).toLocaleString('en')} of {places.length.toLocaleString('en')}
              {current && `: ${codeOf(current.id)}`}
            </Text>
            <IconButton
              icon="chevron-right"
              size={26}
              style={styles.step}
              accessibilityLabel="The next misfire"
              onPress={() => go(1)}
            />
          </View>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  told: { paddingHorizontal: 16, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
  clear: { padding: 24, gap: 12 },
  steps: { flexDirection: 'row', alignItems: 'center', justifyContent: 'center', borderTopWidth: 1, padding: 4 },
  step: { width: 56, height: 48, margin: 0 },
  count: { minWidth: 160, textAlign: 'center' },
});
