import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { compareSeverity, type Finding } from '@yellow-latch/core/clash/finding';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import type { Verdict as Judged } from '@/answers/audit/client';
import { SEVERITY_WORDS, tellFinding } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

/** What has no bearing on which code to choose. */
const ABOUT_TEXT = new Set<Finding['type']>(['faulty expansion', 'own expansion']);

interface VerdictProps {
  code: string;
  /** Null: not judged (yet). */
  verdict: Judged | null;
  /** A proposed code is taken. */
  onTake: (code: string) => void;
  /** Keeps the shortcut on this device alone; null: it is already. */
  onKeepPrivate: (() => void) | null;
}

/** What matters most about a code, in one sentence beside its glyph, and codes to take instead. */
export function Verdict({ verdict, ...rest }: VerdictProps) {
  return <View style={styles.block}>{verdict && <Judgement verdict={verdict} {...rest} />}</View>;
}

function Judgement({
  code,
  verdict: { findings, proposals },
  onTake,
  onKeepPrivate,
}: VerdictProps & { verdict: Judged }) {
  const palette = usePalette();
  const { shortcuts } = useList();
  const codeOf = (id: string) => shortcuts.find((shortcut) => shortcut.id === id)?.code ?? t`another code`;
  const aboutCode = findings.filter(({ type }) => !ABOUT_TEXT.has(type));
  // What is told first is not always the worst: a text that looks secret goes before all.
  const first = aboutCode[0];
  const severity =
    aboutCode
      .map((one) => one.severity)
      .sort(compareSeverity)
      .at(-1) ?? 'safe';
  const isSecret = onKeepPrivate !== null && findings.some(({ type }) => type === 'secret');
  const [isOpen, setOpen] = useState(false);
  const more = aboutCode.slice(1);
  return (
    <>
      <View role="status" style={styles.verdict}>
        <LatchGlyph verdict={severity} size={28} />
        <View style={styles.words}>
          <Text
            variant="bodyMedium"
            style={[styles.name, { color: severity === 'breaks' ? palette.alarm : palette.ink }]}
          >
            {i18n._(SEVERITY_WORDS[severity])}
          </Text>
          <Text variant="bodyMedium" style={{ color: palette.ink }}>
            {first ? tellFinding(first, code, codeOf) : t`No word, link or other code gets in the way.`}
          </Text>
          {isOpen &&
            more.map((finding, index) => (
              <Text key={index} variant="bodyMedium">
                {tellFinding(finding, code, codeOf)}
              </Text>
            ))}
        </View>
        {more.length > 0 && !isOpen && (
          <Button mode="text" compact onPress={() => setOpen(true)} contentStyle={styles.tall}>
            {plural(more.length, { one: '# more', other: '# more' })}
          </Button>
        )}
      </View>
      {(proposals.length > 0 || isSecret) && (
        <View style={styles.proposals}>
          {isSecret && (
            <Button
              icon="lock"
              mode="outlined"
              onPress={onKeepPrivate}
              style={styles.private}
              contentStyle={styles.tall}
            >{t`Keep it only on this device`}</Button>
          )}
          {proposals.length > 0 && (
            <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
              {t`Free codes:`}
            </Text>
          )}
          {proposals.map((free) => (
            <Pressable
              key={free}
              role="button"
              aria-label={t`Use ${free}`}
              onPress={() => onTake(free)}
              style={styles.proposal}
            >
              <CodePlate code={free} />
            </Pressable>
          ))}
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  block: { minHeight: 56 },
  verdict: { flexDirection: 'row', gap: 12, alignItems: 'flex-start', minHeight: 48, paddingVertical: 4 },
  words: { flex: 1 },
  name: { ...STRONG },
  proposals: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12, minHeight: 48 },
  private: { borderRadius: 6 },
  tall: { minHeight: 48 },
  proposal: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
});
