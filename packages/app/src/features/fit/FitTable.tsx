import { t } from '@lingui/core/macro';
import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import type { Fit, FitSums } from '@yellow-latch/core/fit';
import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { deviceLabel } from '@/answers/audit/sentences';
import { useAnswer } from '@/answers/effort/useAnswer';
import { placeId, useFitRequest, useOwnPlaces } from '@/answers/fit/useFit';
import { tellFit, tellSums } from '@/answers/fit/words';
import { DetailPage } from '@/frame/DetailPage';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { LatchGlyph } from '@/look/LatchGlyph';
import { PressLink } from '@/look/PressLink';
import { useIsWide, usePalette } from '@/look/useLook';
import { useCodes } from '@/parts/findings/useCodes';
import { Working } from '@/parts/findings/Working';

interface Row {
  readonly id: string;
  readonly fits: readonly Fit[];
}

interface Table {
  readonly rows: readonly Row[];
  readonly sums: Readonly<Record<string, FitSums>>;
}

/** The shortcuts that are otherwise somewhere, and what becomes of each in every place: side by side, or below each other on a phone. */
export function FitTable() {
  const isWide = useIsWide();
  const places = useOwnPlaces();
  const request = useFitRequest();
  const { answer } = useAnswer(places.length > 0 ? request : null, async ({ fit }): Promise<Table | null> => {
    const [rows, sums] = await Promise.all([fit.table(request), fit.sums(request)]);
    return rows && sums ? { rows, sums } : null;
  });
  const shown = { places, table: answer! };
  return (
    <DetailPage title={t`What works where`} about="fit table" hasOwnScroll>
      {!answer && (
        <View style={styles.told}>
          {answer === null ? (
            <Text role="alert">{t`The check has stopped. Open Check to start it again.`}</Text>
          ) : (
            <Working text={t`Trying out your list…`} />
          )}
        </View>
      )}
      {answer && (isWide ? <SideBySide {...shown} /> : <OneByOne {...shown} />)}
    </DetailPage>
  );
}

interface ShownProps {
  places: readonly PlaceOfDevice[];
  table: Table;
}

function SideBySide({ places, table }: ShownProps) {
  const palette = usePalette();
  const { codeOf } = useCodes();
  return (
    <Sideways isNeeded={places.length > MOST_IN_A_PANE} width={180 + places.length * 190}>
      <View role="table" aria-label={t`What works where`} style={styles.table}>
        <View style={[styles.row, styles.head, { borderColor: palette.ink }]} role="row">
          <Text role="columnheader" style={[styles.code, STRONG]}>{t`Code`}</Text>
          {places.map((place) => (
            <View key={placeId(place)} role="columnheader" style={styles.cell}>
              <Text style={STRONG}>{deviceLabel(place.key)}</Text>
              <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                {tellSums(table.sums[placeId(place)]!)}
              </Text>
            </View>
          ))}
        </View>
        <FlatList
          data={table.rows}
          keyExtractor={({ id }) => id}
          initialNumToRender={16}
          role="rowgroup"
          ListEmptyComponent={<Nothing />}
          renderItem={({ item }) => (
            <View role="row" style={[styles.row, { borderColor: palette.line }]}>
              <View role="cell" style={styles.code}>
                <Code id={item.id} />
              </View>
              {item.fits.map((fit, at) => (
                <View key={placeId(places[at]!)} role="cell" style={styles.cell}>
                  <Cell fit={fit} codeOf={codeOf} />
                </View>
              ))}
            </View>
          )}
        />
      </View>
    </Sideways>
  );
}

/** More places than these are scrolled through. */
const MOST_IN_A_PANE = 3;

function Sideways({ isNeeded, width, children }: { isNeeded: boolean; width: number; children: ReactNode }) {
  return isNeeded ? (
    <ScrollView horizontal contentContainerStyle={{ width }}>
      {children}
    </ScrollView>
  ) : (
    children
  );
}

/** Each shortcut with the places where it is otherwise. */
function OneByOne({ places, table }: ShownProps) {
  const palette = usePalette();
  const { codeOf } = useCodes();
  return (
    <FlatList
      data={table.rows}
      keyExtractor={({ id }) => id}
      initialNumToRender={10}
      role="list"
      aria-label={t`What works where`}
      contentContainerStyle={styles.list}
      ListEmptyComponent={<Nothing />}
      renderItem={({ item }) => (
        <View role="listitem" style={[styles.card, { borderColor: palette.line }]}>
          <Code id={item.id} />
          {item.fits.map((fit, at) =>
            fit.verdict === 'works' ? null : (
              <Text key={placeId(places[at]!)} variant="bodyMedium">
                <Text style={STRONG}>{deviceLabel(places[at]!.key)}</Text>
                {`: ${tellFit(fit, codeOf)}`}
              </Text>
            ),
          )}
        </View>
      )}
    />
  );
}

function Nothing() {
  return <Text variant="bodyLarge" style={styles.told}>{t`All of your list works everywhere.`}</Text>;
}

function Code({ id }: { id: string }) {
  const router = useRouter();
  const code = useCodes().codeOf(id);
  return (
    <PressLink
      aria-label={code}
      onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
      style={styles.link}
    >
      <CodePlate code={code} />
    </PressLink>
  );
}

function Cell({ fit, codeOf }: { fit: Fit; codeOf: (id: string) => string }) {
  const palette = usePalette();
  return (
    <View style={styles.fit}>
      {fit.verdict === 'works' && <Icon name="check" size={18} color={palette.inkSoft} />}
      {fit.verdict === 'no' && <LatchGlyph verdict="breaks" size={20} />}
      <Text variant="bodyMedium" style={styles.words}>
        {fit.verdict === 'works' ? t`works` : tellFit(fit, codeOf)}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { paddingHorizontal: 16, paddingBottom: 24 },
  card: { borderBottomWidth: 1, paddingBottom: 8 },
  table: { flex: 1, minHeight: 0, paddingHorizontal: 16 },
  row: { flexDirection: 'row', borderBottomWidth: 1, minHeight: 48, alignItems: 'center' },
  head: { borderBottomWidth: 1.5, paddingBottom: 6 },
  code: { width: 150 },
  link: { minHeight: 48, justifyContent: 'center' },
  cell: { flex: 1, minWidth: 0, paddingRight: 12, paddingVertical: 6 },
  fit: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  told: { padding: 16 },
  words: { flex: 1 },
});
