import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Proposal } from '@yellow-latch/core/propose';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';

const WHY: Record<Exclude<Proposal['how'], 'like'>, MessageDescriptor> = {
  word: msg`a word`,
  name: msg`its name`,
  kind: msg`what it is`,
  initials: msg`initials`,
  consonants: msg`consonants`,
  syllable: msg`beginning`,
  'two words': msg`two words`,
  longer: msg`beginning`,
  number: msg`numbered`,
};

interface ProposalsProps {
  proposals: readonly Proposal[];
  onTake: (code: string) => void;
}

/** Other codes for the same text, each with what it takes and why it is one. One tap takes it. */
export function Proposals({ proposals, onTake }: ProposalsProps) {
  const palette = usePalette();
  if (proposals.length === 0) return null;
  return (
    <View role="group" aria-label={t`Or use`} style={styles.block}>
      {proposals.map((proposal) => {
        const { code } = proposal;
        const about = tellAbout(proposal);
        return (
          <Pressable
            key={code}
            role="button"
            aria-label={t`Use ${code}: ${about}`}
            onPress={() => onTake(code)}
            style={styles.proposal}
          >
            <CodePlate code={code} />
            <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
              {about}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

function tellAbout({ how, like, taps }: Proposal): string {
  const why = how === 'like' ? t`like ${{ code: like ?? '' }}` : i18n._(WHY[how]);
  if (taps === null) return why;
  const typed = plural(Math.round(taps), { one: '# tap', other: '# taps' });
  return t`${typed} · ${why}`;
}

const styles = StyleSheet.create({
  block: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 4, paddingTop: 4 },
  proposal: { minHeight: 52, minWidth: 64, justifyContent: 'center', gap: 2, alignItems: 'flex-start' },
});
