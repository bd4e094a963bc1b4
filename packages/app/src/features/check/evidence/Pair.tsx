import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import type { Slip } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SLIPS } from '@/answers/audit/sentences';
import { shownExpansion } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { Codes } from '@/parts/findings/useCodes';

/** At most so many stand side by side, in pairs with the first. */
const MOST_SHOWN = 4;

interface PairProps {
  ids: readonly string[];
  codes: Codes;
  /** Under the first, and under each other. */
  notes?: readonly [string, string];
  slips?: readonly { readonly id: string; readonly slip: Slip }[];
}

/** Shortcuts side by side: what is typed for each, what it gives, what is to be said of it. */
export function Pair({ ids, codes, notes, slips }: PairProps) {
  const palette = usePalette();
  const shown = ids.slice(0, MOST_SHOWN);
  return (
    <View style={styles.block}>
      <View style={styles.pair}>
        {shown.map((id, index) => {
          const slip = slips?.find((one) => one.id === id)?.slip;
          const note = slip ? i18n._(SLIPS[slip]) : notes?.[index === 0 ? 0 : 1];
          return <Card key={id} id={id} codes={codes} note={note} />;
        })}
      </View>
      {ids.length > MOST_SHOWN && (
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {plural(ids.length - MOST_SHOWN, { other: 'and # more' })}
        </Text>
      )}
    </View>
  );
}

/** Shortcuts with one code: which of them fires. */
export function SameCode({ ids, winner, codes }: { ids: readonly string[]; winner: string; codes: Codes }) {
  return (
    <View style={styles.pair}>
      {ids.slice(0, MOST_SHOWN).map((id) => (
        <Card key={id} id={id} codes={codes} note={id === winner ? t`expands` : t`never expands`} />
      ))}
    </View>
  );
}

/** Codes that are drawn alike, spelled out by their code points. */
export function CodesApart({ ids, codes }: { ids: readonly string[]; codes: Codes }) {
  return (
    <View style={styles.pair}>
      {ids.slice(0, MOST_SHOWN).map((id) => (
        <Card key={id} id={id} codes={codes} spelled={spell(codes.codeOf(id))} />
      ))}
    </View>
  );
}

function spell(code: string): string {
  return Array.from(
    code,
    (character) => `${character} U+${character.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`,
  ).join('\n');
}

function Card({ id, codes, note, spelled }: { id: string; codes: Codes; note?: string; spelled?: string }) {
  const palette = usePalette();
  const { sets } = useList();
  const shortcut = codes.shortcutOf(id);
  const set = sets.find((one) => one.id === shortcut?.setId);
  return (
    <View style={[styles.card, { borderColor: palette.line, backgroundColor: palette.surface }]}>
      <CodePlate code={codes.codeOf(id)} />
      {note && <Text variant="labelLarge">{note}</Text>}
      {spelled && <Text style={styles.spelled}>{spelled}</Text>}
      <Text variant="bodyMedium" style={styles.expansion}>
        {shortcut ? shownExpansion(shortcut) : t`Built into the device`}
      </Text>
      {set && (
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {t`Set: ${{ name: set.name }}`}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 8 },
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  card: { flexGrow: 1, flexBasis: '45%', minWidth: 0, borderWidth: 1, borderRadius: 6, padding: 10, gap: 6 },
  spelled: { fontFamily: FACES.code, fontSize: 14, lineHeight: 20 },
  expansion: { fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
});
