import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Source } from '@yellow-latch/core/standIn';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Text } from 'react-native-paper';

import { nameOfStandIn } from '@/frame/standIn/name';
import { standInTab, type StandInTab } from '@/frame/standIn/tab';
import { RadioGroup } from '@/look/RadioGroup';
import { Sheet } from '@/look/Sheet';
import { useHasRail, usePalette } from '@/look/useLook';
import { usePageTitle } from '@/look/usePageTitle';
import { BlanksSheet } from '@/parts/typing/BlanksSheet';

import { Chip } from './Chip';
import { Edge } from './Edge';
import { Jobs, OpenJob } from './Jobs';
import { Keys } from './Keys';
import type { Memory, PlaceId } from './memory';
import { OwnList } from './OwnList';
import { Caption } from './places/Caption';
import { Form } from './places/Form';
import { Mail } from './places/Mail';
import { Page } from './places/Page';
import { Talk } from './places/Talk';
import { Told } from './Told';
import { useMemory } from './useMemory';
import { StandInContext, useStandIn, useStandInOf } from './useStandIn';

const PLACES: readonly (readonly [PlaceId, MessageDescriptor])[] = [
  ['talk', msg`Conversation`],
  ['mail', msg`Mail`],
  ['form', msg`Web form`],
  ['caption', msg`Caption`],
  ['report', msg`Report`],
  ['note', msg`Note`],
  ['own-list', msg`Its own list`],
];

/** A stand-in: a device on which the list is tried, in a tab of its own. */
export function StandInPage() {
  const tab = standInTab();
  const memory = useMemory();
  // Come to from a page of the app: only a tab that opens with this page is a stand-in.
  useEffect(() => {
    if (!tab) location.reload();
  }, [tab]);
  return tab && memory ? <Opened tab={tab} memory={memory} /> : null;
}

/** How wide each is drawn at most, and the jobs beside it, in px. */
const WIDTHS = { phone: 430, tablet: 820, computer: 1_000 } as const;
const BESIDE = 360;

function Opened({ tab, memory }: { tab: StandInTab; memory: Memory }) {
  usePageTitle(nameOfStandIn(tab));
  const palette = usePalette();
  const standIn = useStandInOf(tab, memory);
  const { kept, filling } = standIn;
  const hasJobsBeside = useHasRail() && tab.list === 'sample';
  const { width: room } = useWindowDimensions();
  const width = Math.min(room - (hasJobsBeside ? BESIDE : 0), WIDTHS[tab.kind]);
  const [isListOpen, setListOpen] = useState(false);
  return (
    <StandInContext value={standIn}>
      <View role="main" style={[styles.table, { backgroundColor: palette.line }]}>
        <View style={[styles.device, { width, backgroundColor: palette.ground, borderColor: palette.ink }]}>
          <Edge hasJobsBeside={hasJobsBeside} />
          {kept.job ? <OpenJob onList={hasJobsBeside ? null : () => setListOpen(true)} /> : <Places />}
          <View style={styles.place}>
            <Place id={kept.place} />
          </View>
          {kept.place !== 'own-list' && (
            <>
              <Told />
              <Keys />
            </>
          )}
        </View>
        {hasJobsBeside && (
          <View style={[styles.beside, { backgroundColor: palette.surface }]}>
            <Text
              variant="titleMedium"
              role="heading"
              aria-level={2}
              style={styles.heading}
            >{t`Eight small jobs`}</Text>
            <Jobs onOpen={() => {}} />
          </View>
        )}
      </View>
      <Sheet title={t`Eight small jobs`} isOpen={isListOpen} onClose={() => setListOpen(false)}>
        <Jobs onOpen={() => setListOpen(false)} />
      </Sheet>
      {filling.filling && (
        <BlanksSheet
          key={filling.filling.asked.range.start}
          filling={filling.filling}
          onDone={filling.finish}
          onCancel={filling.close}
        />
      )}
    </StandInContext>
  );
}

/** Which of its lists it types with, and where it types. */
function Places() {
  const { kept, memory, typing } = useStandIn();
  const take = (source: Source) => {
    memory.set({ source });
    typing.line.set(null);
  };
  return (
    <View style={styles.heads}>
      <RadioGroup label={t`Codes from`} hasChosen style={[styles.row, styles.source]}>
        <Text variant="bodyMedium" aria-hidden>{t`Codes from`}</Text>
        <Chip isOn={kept.source === 'app'} onPress={() => take('app')} label={t`Yellow Latch`} />
        <Chip isOn={kept.source === 'own'} onPress={() => take('own')} label={t`Its own list`} />
      </RadioGroup>
      <ScrollView horizontal showsHorizontalScrollIndicator={false}>
        <RadioGroup label={t`Where you type`} hasChosen style={styles.row}>
          {PLACES.map(([id, label]) => (
            <Chip
              key={id}
              isOn={kept.place === id}
              onPress={() => memory.set({ place: id })}
              label={id === 'own-list' ? t`Edit its list` : i18n._(label)}
            />
          ))}
        </RadioGroup>
      </ScrollView>
    </View>
  );
}

function Place({ id }: { id: PlaceId }) {
  switch (id) {
    case 'talk':
      return <Talk />;
    case 'mail':
      return <Mail />;
    case 'form':
      return <Form />;
    case 'caption':
      return <Caption />;
    case 'own-list':
      return <OwnList />;
    case 'note':
    case 'report':
      return <Page key={id} field={id} />;
  }
}

const styles = StyleSheet.create({
  table: { flex: 1, minHeight: 0, flexDirection: 'row', justifyContent: 'center' },
  device: { minHeight: 0, borderLeftWidth: 1, borderRightWidth: 1 },
  beside: { width: BESIDE, minHeight: 0 },
  heading: { paddingHorizontal: 20, paddingTop: 16, paddingBottom: 8 },
  heads: { paddingVertical: 4, gap: 4 },
  source: { alignItems: 'center' },
  row: { flexDirection: 'row', gap: 8, paddingHorizontal: 16 },
  place: { flex: 1, minHeight: 0, overflow: 'hidden' },
});
