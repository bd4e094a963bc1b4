import { plural, t } from '@lingui/core/macro';
import type { Card, CardPart } from '@yellow-latch/core/people';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { tellList } from '@/wording/format';

import { partName } from './words';

interface PersonRowProps {
  card: Card;
  isOpen: boolean;
  onOpen: () => void;
  isTicked: (part: CardPart) => boolean;
  /** The code of what is on the list already; undefined: it is not. */
  codeOf: (part: CardPart) => string | undefined;
  onToggle: (part: CardPart) => void;
}

/** So many of a person's numbers and addresses are shown at first. */
const FEW = 8;

/** A person; opened, what of them can become a shortcut. */
export function PersonRow({ card, isOpen, onOpen, isTicked, codeOf, onToggle }: PersonRowProps) {
  const palette = usePalette();
  const [isWhole, setWhole] = useState(false);
  const { name, parts } = card;
  const ticked = parts.filter(isTicked);
  const summary =
    ticked.length > 0
      ? tellList(ticked.map(partName))
      : plural(parts.length, { one: '# thing to add', other: '# things to add' });
  const shown = isWhole ? parts : parts.slice(0, FEW);
  return (
    <View style={[styles.person, { borderColor: palette.line }]}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${name}, ${summary}`}
        onPress={onOpen}
        style={styles.head}
      >
        <View style={styles.words}>
          <Text numberOfLines={1} style={[styles.name, ticked.length > 0 && STRONG]}>
            {name}
          </Text>
          <Text variant="bodySmall" numberOfLines={1} style={{ color: palette.inkSoft }}>
            {summary}
          </Text>
        </View>
        <Icon name={isOpen ? 'chevron-up' : 'chevron-down'} size={20} color={palette.inkSoft} />
      </Pressable>
      {isOpen &&
        shown.map((part) => {
          const code = codeOf(part);
          const text = shortened(part.text);
          if (code !== undefined)
            return (
              <View key={part.id} style={styles.known}>
                <Text style={styles.part} numberOfLines={2}>
                  {t`${{ what: partName(part) }}: ${text}`}
                </Text>
                <View>
                  <CodePlate code={code} />
                </View>
              </View>
            );
          return (
            <Tick
              key={part.id}
              role="checkbox"
              isOn={isTicked(part)}
              label={`${name}, ${partName(part)}: ${text}`}
              onPress={() => onToggle(part)}
              style={styles.tick}
            >
              <View style={styles.words}>
                <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                  {partName(part)}
                </Text>
                <Text style={styles.part} numberOfLines={2}>
                  {text}
                </Text>
                {!part.isPossible && (
                  <Text variant="bodySmall" style={{ color: palette.alarm }}>{t`No such number. Check it.`}</Text>
                )}
              </View>
            </Tick>
          );
        })}
      {isOpen && parts.length > shown.length && (
        <Button mode="text" onPress={() => setWhole(true)} contentStyle={styles.tall}>
          {t`Show all ${{ count: parts.length }}`}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  person: { borderTopWidth: 1, marginHorizontal: 16, maxWidth: 760 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 60 },
  words: { flex: 1, minWidth: 0 },
  name: { fontSize: 17, lineHeight: 23 },
  tick: { minHeight: 56, paddingLeft: 12, paddingVertical: 4 },
  known: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48, paddingLeft: 48 },
  part: { fontSize: 16, lineHeight: 21, flexShrink: 1 },
  tall: { minHeight: 48 },
});
