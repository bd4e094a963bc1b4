import { findLinks, type FoundLink, type LinkFault, type TrackingReason } from '@yellow-latch/core/link';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

const REASONS: Record<TrackingReason, string> = {
  campaign: 'says which campaign led here',
  click: 'says which advertisement was pressed',
  mail: 'says whose copy of a mailing it was',
  share: 'says who shared it',
};

const FAULTS: Record<LinkFault, string> = {
  space: 'There is a blank inside: it would end there.',
  trailing: 'A mark at its end is not part of it.',
  'no-page': 'It names no page: there is no dot in its name.',
  'other-letters': 'Letters of two scripts stand in its name: it may lead elsewhere than it looks.',
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
          aria-label={`About the link ${found.link.slice(0, 60)}`}
          style={[styles.note, { borderColor: palette.line, backgroundColor: palette.surface }]}
        >
          <View style={styles.words}>
            {found.tracking.length > 0 && (
              <Text variant="bodyMedium">The link carries more than the way to the page:</Text>
            )}
            {found.tracking.map(({ name, reason }, index) => (
              <Text key={index} variant="bodyMedium">
                • {name} {REASONS[reason]}
              </Text>
            ))}
            {found.faults.map((fault) => (
              <Text key={fault} variant="bodyMedium">
                {FAULTS[fault]}
              </Text>
            ))}
          </View>
          {found.cleaned !== found.link && (
            <Button mode="text" onPress={() => clean(found)} contentStyle={styles.tall}>
              {found.tracking.length > 0 ? 'Take out' : 'Mend it'}
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
