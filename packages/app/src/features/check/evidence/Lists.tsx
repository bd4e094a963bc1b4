import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Finding } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SECRETS, shortened, tellClaim, tellTrap } from '@/answers/audit/sentences';
import { shownExpansion } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

import type { Codes } from '@/parts/findings/useCodes';
import { tellList } from '@/wording/format';

type EvidenceOf<Type extends Finding['type']> = Extract<Finding, { type: Type }>['evidence'];

/** Who takes the beginning of the code for what. */
export function Claims({ claims }: EvidenceOf<'claimed'>) {
  const palette = usePalette();
  return (
    <View style={styles.block}>
      {claims.map((claim) => (
        <View
          key={`${claim.beginning} ${claim.by} ${claim.meaning}`}
          style={[styles.line, { borderColor: palette.line }]}
        >
          <Text variant="bodyMedium" style={styles.words}>
            {tellClaim(claim)}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** What each device does to the code, and what comes of it. */
export function Traps({ traps, code }: EvidenceOf<'device trap'> & { code: string }) {
  const palette = usePalette();
  return (
    <View style={styles.block}>
      {traps.map(({ trap, device, result }) => (
        <View key={`${device} ${trap}`} style={[styles.trap, { borderColor: palette.line }]}>
          <Text variant="bodyMedium">{tellTrap(trap, [device])}</Text>
          <View style={styles.becomes}>
            <CodePlate code={code} />
            <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
              {result === code ? t`stays as it is` : t`becomes`}
            </Text>
            {result !== code && <Text style={styles.sign}>{shortened(result, 40)}</Text>}
          </View>
        </View>
      ))}
    </View>
  );
}

/** The circle that expansions go round in. */
export function Chain({ ids, codes }: { ids: readonly string[]; codes: Codes }) {
  const palette = usePalette();
  return (
    <View style={styles.block}>
      {[...ids, ids[0]!].map((id, index) => (
        <View key={`${index} ${id}`} style={[styles.line, { borderColor: palette.line }]}>
          <CodePlate code={codes.codeOf(id)} />
          <Text variant="bodyMedium" style={styles.words}>
            {index === ids.length
              ? t`and so on, forever`
              : t`becomes “${{ text: shownExpansion(codes.shortcutOf(id), 80) }}”, which ends in`}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** What kind of secret stands where, without showing it. */
export function Secrets({ secrets, expansion }: EvidenceOf<'secret'> & { expansion: string }) {
  const palette = usePalette();
  let masked = '';
  let at = 0;
  for (const { kind, start, end } of secrets) {
    masked +=
      expansion.slice(at, start) + mask(expansion.slice(start, end), kind === 'card' || kind === 'account' ? 4 : 0);
    at = end;
  }
  masked += expansion.slice(at);
  return (
    <View style={styles.block}>
      <Text style={[styles.secret, { borderColor: palette.line, backgroundColor: palette.surface }]}>
        {shortened(masked, 200)}
      </Text>
      <Text variant="bodyMedium">
        {t`It looks like ${{ kinds: tellList([...new Set(secrets.map(({ kind }) => i18n._(SECRETS[kind])))]) }}. Anyone who opens your list can read it.`}
      </Text>
    </View>
  );
}

/** All but the last signs hidden. */
function mask(secret: string, shown: number): string {
  return secret.slice(0, secret.length - shown).replace(/\S/gu, '•') + secret.slice(secret.length - shown);
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, borderTopWidth: 1, minHeight: 44, paddingVertical: 6 },
  words: { flex: 1 },
  sign: { fontFamily: FACES.code, fontSize: 17 },
  trap: { borderTopWidth: 1, paddingVertical: 8, gap: 6 },
  becomes: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 10 },
  secret: { fontFamily: FACES.code, fontSize: 15, lineHeight: 22, borderWidth: 1, borderRadius: 6, padding: 10 },
});
