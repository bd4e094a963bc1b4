import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { findLinks, type FoundLink, type LinkFault, type TrackingReason } from '@yellow-latch/core/link';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

const REASONS: Record<TrackingReason, MessageDescriptor> = {
  campaign: msg`shows which campaign you came from`,
  click: msg`shows which ad you clicked`,
  mail: msg`shows whose email it came from`,
  share: msg`shows who shared it`,
};

const FAULTS: Record<LinkFault, MessageDescriptor> = {
  space: msg`This link has a space in it, so it ends there.`,
  trailing: msg`The punctuation at the end isn’t part of the link.`,
  'no-page': msg`This link doesn’t lead to a page: its address has no dot.`,
  'other-letters': msg`This link mixes two alphabets. It may not go where it seems to.`,
};

interface LinkNotesProps {
  text: string;
  onChange: (text: string) => void;
}

/** What links in a text carry that is not the way to the page, with the reason of each; and what breaks them. One tap takes it out. */
export function LinkNotes({ text, onChange }: LinkNotesProps) {
  const palette = usePalette();
  const links = findLinks(text).filter(({ tracking, faults }) => tracking.length + faults.length > 0);
  if (links.length === 0) return null;
  const clean = ({ start, end, cleaned }: FoundLink) => onChange(text.slice(0, start) + cleaned + text.slice(end));
  return (
    <View style={styles.notes}>
      {links.map((found) => (
        <View
          key={found.start}
          role="group"
          aria-label={t`Link ${{ link: found.link.slice(0, 60) }}`}
          style={[styles.note, { borderColor: palette.line, backgroundColor: palette.surface }]}
        >
          <View style={styles.words}>
            {found.tracking.length > 0 && <Text variant="bodyMedium">{t`This link has tracking in it:`}</Text>}
            {found.tracking.map(({ name, reason }, index) => (
              <Text key={index} variant="bodyMedium">
                • {name} {i18n._(REASONS[reason])}
              </Text>
            ))}
            {found.faults.map((fault) => (
              <Text key={fault} variant="bodyMedium">
                {i18n._(FAULTS[fault])}
              </Text>
            ))}
          </View>
          {found.cleaned !== found.link && (
            <Button mode="text" onPress={() => clean(found)} contentStyle={styles.tall}>
              {found.tracking.length > 0 ? t`Remove it` : t`Fix it`}
            </Button>
          )}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  notes: { gap: 6 },
  note: {
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: 1,
    borderRadius: 6,
    paddingLeft: 12,
    paddingVertical: 4,
  },
  words: { flex: 1, minWidth: 0, paddingVertical: 4 },
  tall: { minHeight: 48 },
});
