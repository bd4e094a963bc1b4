import { plural, t } from '@lingui/core/macro';
import { usualKeyboards } from '@yellow-latch/core/devices';
import type { Device } from '@yellow-latch/core/model';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';

import { useCarryPlan } from '@/answers/fit/useCarry';
import { placeId, useFitRequest, useOwnPlaces } from '@/answers/fit/useFit';
import { tellSums } from '@/answers/fit/words';
import { useAnswer } from '@/answers/effort/useAnswer';
import { nameOfKeyboard } from '@/answers/effort/words';
import { useList } from '@/frame/replica/ReplicaProvider';
import { tellDuration, tellList } from '@/wording/format';

import { WayLine } from './WayLine';

/** What there is of a device on pages of its own: what fits, the list carried over, its keyboards. */
export function Ways({ device }: { device: Device }) {
  const { languages, ownKeyboards, shortcuts } = useList();
  const own = useOwnPlaces().filter((place) => place.device.id === device.id);
  const request = useFitRequest();
  const asked = useMemo(
    () => (own.length > 0 && shortcuts.length > 0 ? request : null),
    [own.length, request, shortcuts.length],
  );
  const { answer: sums } = useAnswer(asked, ({ fit }) => fit.sums(request));
  const ofDevice = own.map((place) => sums?.[placeId(place)]).filter((one) => one !== undefined);
  const keyboards = device.keyboards.length > 0 ? device.keyboards : usualKeyboards(device.kind, languages);
  return (
    <View style={styles.ways}>
      {asked && (
        <WayLine
          icon="choose"
          label={t`What works there`}
          path={{ pathname: '/devices/[id]/fit', params: { id: device.id } }}
        >
          {ofDevice.length === 0 ? t`Trying out your list…` : ofDevice.map(tellSums).join(' · ')}
        </WayLine>
      )}
      {asked && <CarryLine device={device} />}
      <WayLine
        icon="keyboard"
        label={keyboards.length > 1 ? t`Keyboards` : t`Keyboard`}
        path={{ pathname: '/devices/[id]/keyboards', params: { id: device.id } }}
      >
        {tellList(keyboards.map(({ keyboard }) => nameOfKeyboard(keyboard, ownKeyboards)))}
      </WayLine>
    </View>
  );
}

function CarryLine({ device }: { device: Device }) {
  const { plan, has } = useCarryPlan(device);
  const due = plan?.steps.length ?? 0;
  const told = () => {
    if (!plan) return t`Looking at what’s there…`;
    if (due === 0) return t`Everything is there.`;
    const what = plural(due, { one: '# to do', other: '# to do' });
    return has
      ? what
      : t`${{ count: plural(due, { one: '# shortcut', other: '# shortcuts' }) }}, about ${{ time: tellDuration(plan.all.seconds) }} by hand.`;
  };
  return (
    <WayLine
      icon="copy"
      label={t`Copy your list over`}
      path={{ pathname: '/devices/[id]/carry', params: { id: device.id } }}
      isLoud={has && due > 0}
    >
      {told()}
    </WayLine>
  );
}

const styles = StyleSheet.create({ ways: { gap: 10 } });
