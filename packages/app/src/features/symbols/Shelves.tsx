import { plural, t } from '@lingui/core/macro';
import type { FoundSymbol, Starter } from '@yellow-latch/core/symbols';
import { STARTERS } from '@yellow-latch/core/symbols/starters';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { Shelf, Shelves as AllShelves } from '@/answers/symbols/workerApi';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { Glyph } from '@/look/Glyph';
import { Icon } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

import { emojiName, starterName, nameOfUse } from './words';

const STARTER_NAMES = Object.keys(STARTERS) as Starter[];

interface ShelvesProps {
  shelves: AllShelves;
  onStarter: (starter: Starter) => void;
  onOpen: (shelf: Shelf) => void;
}

/** What there is, before one has searched: sets to begin with, then symbols by what they are for. */
export function Shelves({ shelves, onStarter, onOpen }: ShelvesProps) {
  const [opened, setOpened] = useState<'emoji' | 'blocks' | null>(null);
  const fold = (which: 'emoji' | 'blocks') => () => setOpened(opened === which ? null : which);
  return (
    <ScrollView contentContainerStyle={styles.page}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={styles.title}>{t`Add a ready-made set`}</Text>
      {STARTER_NAMES.map((starter) => (
        <Line
          key={starter}
          name={starterName(starter)}
          symbols={STARTERS[starter].map((text) => ({ text, name: '', isDrawn: true }))}
          onPress={() => onStarter(starter)}
        />
      ))}
      <Text variant="titleMedium" role="heading" aria-level={2} style={styles.title}>{t`Look around`}</Text>
      {shelves.uses.map(({ use, first }) => (
        <Line key={use} name={nameOfUse(use)} symbols={first} onPress={() => onOpen({ of: 'use', use })} />
      ))}
      <Fold title={t`Emoji`} summary="" isOpen={opened === 'emoji'} onToggle={fold('emoji')}>
        {shelves.emoji.map(({ group, first }) => (
          <Line key={group} name={emojiName(group)} symbols={first} onPress={() => onOpen({ of: 'emoji', group })} />
        ))}
      </Fold>
      <Fold title={t`All of Unicode`} summary="" isOpen={opened === 'blocks'} onToggle={fold('blocks')} isNext>
        {shelves.blocks.map(({ block, count }) => (
          <Line
            key={block}
            name={block}
            note={plural(count, { one: '# character', other: '# characters' })}
            onPress={() => onOpen({ of: 'block', block })}
          />
        ))}
      </Fold>
    </ScrollView>
  );
}

interface LineProps {
  name: string;
  symbols?: readonly FoundSymbol[];
  note?: string;
  onPress: () => void;
}

function Line({ name, symbols = [], note, onPress }: LineProps) {
  const palette = usePalette();
  return (
    <PressLink
      onPress={onPress}
      aria-label={note ? `${name}, ${note}` : name}
      style={[styles.line, { borderColor: palette.line }]}
    >
      <View style={styles.words}>
        <Text style={styles.name}>{name}</Text>
        {note && (
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {note}
          </Text>
        )}
        {symbols.length > 0 && (
          <View style={styles.symbols}>
            {symbols.map(({ text, isDrawn }) => (
              <Glyph key={text} text={text} isDrawn={isDrawn} size={20} />
            ))}
          </View>
        )}
      </View>
      <Icon name="chevron-right" size={20} color={palette.inkSoft} />
    </PressLink>
  );
}

const styles = StyleSheet.create({
  page: { paddingHorizontal: 16, paddingBottom: 24, maxWidth: 792 },
  title: { ...STRONG, paddingTop: 16, paddingBottom: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, paddingVertical: 6, borderTopWidth: 1 },
  words: { flex: 1, minWidth: 0, gap: 2 },
  name: { fontSize: 16 },
  symbols: { flexDirection: 'row', flexWrap: 'wrap', marginLeft: -8, overflow: 'hidden', maxHeight: 30 },
});
