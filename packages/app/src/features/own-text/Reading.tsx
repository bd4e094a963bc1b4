import { plural, t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import type { ReadOwnText } from '@/answers/ownText/workerApi';
import { useCodes } from '@/parts/findings/useCodes';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

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
          {tellReading(report.words, report.places.length / 3)}
          {own.skipped.length > 0 && ` ${tellSkipped(own.skipped.length, own.skipped[0]!.row)}`}
        </Text>
        <Button mode="text" onPress={onKeep} disabled={isKept} contentStyle={styles.tall}>
          {isKept ? t`Saved on this device` : t`Save it on this device`}
        </Button>
      </View>
      {places.length === 0 ? (
        <View style={styles.clear}>
          <LatchGlyph verdict="safe" size={48} />
          <Text variant="titleMedium">{t`No code would have expanded by mistake.`}</Text>
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
              accessibilityLabel={t`Previous misfire`}
              onPress={() => go(-1)}
            />
            <Text role="status" variant="bodyMedium" style={styles.count}>
              {t`${{ number: tellCount(step + 1) }} of ${{ all: tellCount(places.length) }}`}
              {current && `: ${codeOf(current.id)}`}
            </Text>
            <IconButton
              icon="chevron-right"
              size={26}
              style={styles.step}
              accessibilityLabel={t`Next misfire`}
              onPress={() => go(1)}
            />
          </View>
        </>
      )}
    </View>
  );
}

function tellReading(words: number, misfires: number): string {
  const read = plural(words, { one: '# word', other: '# words' });
  const found = plural(misfires, { one: '# misfire', other: '# misfires' });
  return t`${found} in ${read}.`;
}

function tellSkipped(rows: number, first: number): string {
  const row = tellCount(first);
  return plural(rows, {
    one: `# row couldn’t be read: row ${row}.`,
    other: `# rows couldn’t be read. The first is row ${row}.`,
  });
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
