import { t } from '@lingui/core/macro';
import type { Found } from '@yellow-latch/core/mine';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { MASK, shortened } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import type { Draft } from './draft';
import { FoundDetail } from './FoundDetail';
import { tellConcern, tellWorth } from './words';

interface FoundRowProps {
  found: Found;
  draft: Draft;
  /** Null: it is not known yet. */
  code: string | null;
  isTicked: boolean;
  isOpen: boolean;
  /** Whether it is hidden until one asks for it. */
  isMasked: boolean;
  /** Whether new shortcuts can be made here. */
  canEdit: boolean;
  actions: FoundActions;
}

/** What is done with a find; the same object each time, so that a row is drawn anew only when it changes. */
export interface FoundActions {
  readonly tick: (found: Found) => void;
  readonly open: (found: Found) => void;
  readonly show: (found: Found) => void;
  readonly draft: (found: Found, draft: Draft) => void;
  readonly never: (found: Found) => void;
}

const SHORT = 120;

/** Something typed again and again: its text, the code it would have, what it saves; opened, where it stood and what can be changed. */
export const FoundRow = memo(function FoundRow(props: FoundRowProps) {
  const { found, draft, code, isTicked, isOpen, isMasked, canEdit, actions } = props;
  const palette = usePalette();
  const text = isMasked ? MASK : shortened(draft.text, SHORT);
  const worth = tellWorth(found.count, found.aMonth);
  const words = (
    <View style={styles.words}>
      <Text numberOfLines={isOpen ? undefined : 2} style={styles.text}>
        {text}
      </Text>
      <View style={styles.about}>
        {code !== null && code !== '' && <CodePlate code={code} />}
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {worth}
        </Text>
      </View>
      {found.concern !== null && (
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {tellConcern(found.concern)}
        </Text>
      )}
    </View>
  );
  return (
    <View role="listitem" style={[styles.item, { borderColor: palette.line }]}>
      <View style={styles.row}>
        {canEdit && !isMasked ? (
          <Tick
            role="checkbox"
            isOn={isTicked}
            label={[text, ...(code ? [code] : []), worth].join(', ')}
            onPress={() => actions.tick(found)}
            style={styles.tick}
          >
            {words}
          </Tick>
        ) : (
          <View style={[styles.plain, canEdit && styles.indented]}>{words}</View>
        )}
        {isMasked ? (
          <Button mode="text" onPress={() => actions.show(found)} contentStyle={styles.tall}>{t`Show`}</Button>
        ) : (
          <IconButton
            icon={isOpen ? 'chevron-up' : 'chevron-down'}
            size={22}
            style={styles.small}
            accessibilityLabel={isOpen ? t`Close “${text}”` : t`Look at “${text}”`}
            {...({ 'aria-expanded': isOpen } as object)}
            onPress={() => actions.open(found)}
          />
        )}
      </View>
      {isOpen && !isMasked && (
        <FoundDetail
          found={found}
          draft={draft}
          onDraft={(next) => actions.draft(found, next)}
          onNever={() => actions.never(found)}
        />
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  item: { borderTopWidth: 1 },
  row: { flexDirection: 'row', alignItems: 'flex-start' },
  tick: { flex: 1, minWidth: 0, minHeight: 72, paddingVertical: 10, alignItems: 'flex-start' },
  plain: { flex: 1, minWidth: 0, paddingVertical: 10 },
  indented: { paddingLeft: 36 },
  words: { flex: 1, minWidth: 0, gap: 6 },
  text: { fontSize: 16, lineHeight: 22 },
  // As high as the plate that comes, so that nothing moves under the thumb.
  about: { minHeight: 32, flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 10, rowGap: 4 },
  tall: { minHeight: 48 },
  small: { width: 48, height: 48, margin: 0 },
});
