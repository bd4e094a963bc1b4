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
import { nameOfKeyboard } from '@/answers/effort/words';
import { tellList } from '@/wording/format';

import type { Untypable } from './untypable';

/** What has no bearing on which code to choose. */
const ABOUT_TEXT = new Set<Finding['type']>(['faulty expansion', 'own expansion']);

interface VerdictProps {
  code: string;
  /** Null: not judged (yet). */
  verdict: Judged | null;
  /** What in the code cannot be typed; null: nothing that is known. */
  untypable: Untypable | null;
  /** Another shortcut is opened, the one that has the code. */
  onOpen: (id: string) => void;
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
  untypable,
  onOpen,
  onTake,
  onKeepPrivate,
}: VerdictProps & { verdict: Judged }) {
  const palette = usePalette();
  const { shortcuts, ownKeyboards } = useList();
  const codeOf = (id: string) => shortcuts.find((shortcut) => shortcut.id === id)?.code ?? t`another code`;
  const aboutCode = findings.filter(({ type }) => !ABOUT_TEXT.has(type));
  // What is told first is not always the worst: a text that looks secret goes before all.
  const first = aboutCode[0];
  const ofTyping = untypable ? [{ severity: untypable.keyboards.length === 0 ? 'breaks' : 'risky' } as const] : [];
  const severity =
    [...ofTyping, ...aboutCode]
      .map((one) => one.severity)
      .sort(compareSeverity)
      .at(-1) ?? 'safe';
  const isSecret = onKeepPrivate !== null && findings.some(({ type }) => type === 'secret');
  const [isOpen, setOpen] = useState(false);
  const more = aboutCode.slice(untypable ? 0 : 1);
  const firstWords = first ? tellFinding(first, code, codeOf) : t`No word, link or other code gets in the way.`;
  const user = first?.type === 'same code' ? shortcuts.find(({ id }) => id === first.shortcuts[1]) : undefined;
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
            {untypable ? tellUntypable(untypable, ownKeyboards) : firstWords}
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
      {user && (
        <Button mode="outlined" onPress={() => onOpen(user.id)} style={styles.user} contentStyle={styles.tall}>
          {t`Open ${{ code: user.code }}`}
        </Button>
      )}
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

function tellUntypable(
  { character, keyboards }: Untypable,
  ownKeyboards: Parameters<typeof nameOfKeyboard>[1],
): string {
  if (keyboards.length === 0)
    return t`None of your keyboards has “${character}”. Use letters, digits or symbols that yours have.`;
  const names = tellList(keyboards.map((id) => nameOfKeyboard(id, ownKeyboards)));
  return t`“${character}” isn’t on ${names}, so you can’t type this code there.`;
}

const styles = StyleSheet.create({
  block: { minHeight: 56 },
  verdict: { flexDirection: 'row', gap: 12, alignItems: 'flex-start', minHeight: 48, paddingVertical: 4 },
  words: { flex: 1 },
  name: { ...STRONG },
  proposals: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12, minHeight: 48 },
  user: { alignSelf: 'flex-start', borderRadius: 6, marginLeft: 40 },
  private: { borderRadius: 6 },
  tall: { minHeight: 48 },
  proposal: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
});
