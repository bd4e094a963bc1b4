import { t } from '@lingui/core/macro';
import type { Switches } from '@yellow-latch/core/standIn';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { nameOfStandIn } from '@/frame/standIn/name';
import { SyncLine } from '@/frame/SyncLine';
import { Choice } from '@/look/Choice';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { languageName } from '@/wording/format';

import { LeaveSample } from '@/parts/LeaveSample';

import { Jobs } from './Jobs';
import { useStandIn } from './useStandIn';

const HOUR = 60 * 60_000;
/** By how much its clock may be off. */
const CLOCKS = ['0', String(-HOUR), String(3 * HOUR), String(24 * HOUR)];

/** The edge of a stand-in: its name, how it stands to the server, its switches, its jobs and the way to its app. */
export function Edge({ hasJobsBeside }: { hasJobsBeside: boolean }) {
  const palette = usePalette();
  const router = useRouter();
  const { tab } = useStandIn();
  const [sheet, setSheet] = useState<'switches' | 'jobs' | null>(null);
  const close = () => setSheet(null);
  return (
    <View style={[styles.edge, { borderColor: palette.line, backgroundColor: palette.surface }]}>
      <View style={styles.names}>
        <Text role="heading" aria-level={1} numberOfLines={1} style={[STRONG, styles.name]}>
          {nameOfStandIn(tab)}
        </Text>
        <SyncLine />
      </View>
      {tab.list === 'sample' && !hasJobsBeside && (
        <EdgeButton icon="choose" label={t`Jobs`} onPress={() => setSheet('jobs')} />
      )}
      <EdgeButton icon="rows" label={t`Its app`} onPress={() => router.navigate('/')} />
      <EdgeButton icon="settings" label={t`Switches`} onPress={() => setSheet('switches')} />
      <Sheet title={t`Switches`} isOpen={sheet === 'switches'} onClose={close}>
        <SwitchList />
      </Sheet>
      <Sheet title={t`Eight small jobs`} isOpen={sheet === 'jobs'} onClose={close}>
        <Jobs onOpen={close} />
      </Sheet>
    </View>
  );
}

function EdgeButton({ icon, label, onPress }: { icon: IconName; label: string; onPress: () => void }) {
  const palette = usePalette();
  return (
    <Pressable role="button" onPress={onPress} style={styles.button}>
      <Icon name={icon} size={20} color={palette.ink} />
      <Text variant="labelSmall">{label}</Text>
    </Pressable>
  );
}

function SwitchList() {
  const { tab, switches, setSwitches, memory, typing } = useStandIn();
  const tick = (name: keyof Switches, label: string) => (
    <Tick role="checkbox" isOn={Boolean(switches[name])} onPress={() => setSwitches({ [name]: !switches[name] })}>
      <Text variant="bodyLarge">{label}</Text>
    </Tick>
  );
  return (
    <ScrollView contentContainerStyle={styles.switches}>
      {tab.list === 'joined' && tick('isOffline', t`Offline`)}
      {tick('isFull', t`Storage full`)}
      {tick('smartPunctuation', t`Smart punctuation`)}
      {tick('correctsSpelling', t`Spelling correction`)}
      {tick('tapsOnly', t`Taps only, no keyboard`)}
      <View style={styles.choices}>
        <Choice
          label={t`Keyboard in`}
          value={switches.language}
          choices={['en', 'de', 'fr', 'es'].map((tag) => ({ value: tag, label: languageName(tag) }))}
          onChange={(language) => setSwitches({ language })}
        />
        <Choice
          label={t`Clock`}
          value={String(switches.clockOff)}
          choices={CLOCKS.map((value) => ({ value, label: tellClockOff(Number(value)) }))}
          onChange={(value) => setSwitches({ clockOff: Number(value) })}
        />
      </View>
      <LatchButton
        label={t`Empty all places`}
        isQuiet
        onPress={() => {
          typing.emptyAll();
          memory.startOver();
        }}
      />
      {tab.list === 'sample' && <LeaveSample />}
    </ScrollView>
  );
}

function tellClockOff(off: number): string {
  switch (off) {
    case 0:
      return t`right`;
    case -HOUR:
      return t`an hour slow`;
    case 3 * HOUR:
      return t`three hours fast`;
    default:
      return t`a day ahead`;
  }
}

const styles = StyleSheet.create({
  edge: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    minHeight: 56,
    paddingLeft: 16,
    paddingRight: 4,
    borderBottomWidth: 1,
  },
  names: { flex: 1, minWidth: 0 },
  name: { fontSize: 17, lineHeight: 22 },
  button: { minWidth: 56, minHeight: 48, alignItems: 'center', justifyContent: 'center', gap: 2 },
  switches: { paddingHorizontal: 20, paddingBottom: 16, gap: 6 },
  choices: { flexDirection: 'row', gap: 12, paddingVertical: 8 },
});
