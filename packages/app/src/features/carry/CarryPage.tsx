import { plural, t } from '@lingui/core/macro';
import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import type { CarryEffort, CarryStep } from '@yellow-latch/core/fit';
import type { Device } from '@yellow-latch/core/model';
import { emptying } from '@yellow-latch/replica/commands/carrying';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { useCarryPlan, type CarryState } from '@/answers/fit/useCarry';
import { useOwnPlaces } from '@/answers/fit/useFit';
import { FIRST_ROUND } from '@/answers/fit/firstRound';
import type { CarryPlan } from '@/answers/fit/workerApi';
import { DetailPage } from '@/frame/DetailPage';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { Working } from '@/parts/findings/Working';
import { tellDuration, tellList } from '@/wording/format';

import { ByFile } from './ByFile';
import { OnAnotherScreen } from './OnAnotherScreen';
import { Round } from './Round';

/** The list carried over to a device that has a copy of its own: one by one by hand, or all of it as a file. */
export function CarryPage({ id }: { id: string }) {
  const { devices } = useList();
  const device = devices.find((one) => one.id === id);
  const place = useOwnPlaces().find((one) => one.device.id === id);
  const back = { label: t`Back to the device`, href: { pathname: '/devices/[id]', params: { id } } as const };
  if (!device || !place)
    return (
      <DetailPage title={t`Copy your list over`} about={`carry ${id}`} back={device ? back : undefined}>
        <Text variant="bodyLarge" role={device ? undefined : 'alert'}>
          {device
            ? t`On this device you only type in Yellow Latch. There’s nothing to copy.`
            : t`This device was removed from your list. What you copied to it stays there.`}
        </Text>
      </DetailPage>
    );
  return <Carry device={device} place={place} back={back} />;
}

interface CarryProps {
  device: Device;
  place: PlaceOfDevice;
  back: { label: string; href: { pathname: '/devices/[id]'; params: { id: string } } };
}

function Carry({ device, place, back }: CarryProps) {
  const carry = useCarryPlan(device);
  const [round, setRound] = useState<readonly CarryStep[] | null>(null);
  const { plan } = carry;
  return (
    <DetailPage title={t`Copy your list to ${{ name: device.name }}`} about={`carry ${device.id}`} back={back}>
      {plan === null && <Text role="alert">{t`The check has stopped. Open Check to start it again.`}</Text>}
      {plan === undefined && <Working text={t`Looking at what’s there…`} />}
      {plan && round && (
        <Round key={round[0]?.id} device={device} place={place} steps={round} onEnd={() => setRound(null)} />
      )}
      {plan && !round && <Overview device={device} place={place} carry={carry} plan={plan} onStart={setRound} />}
    </DetailPage>
  );
}

interface OverviewProps {
  device: Device;
  place: PlaceOfDevice;
  carry: CarryState;
  plan: CarryPlan;
  onStart: (steps: readonly CarryStep[]) => void;
}

/** What is to be done, and the ways to do it with what each takes. */
function Overview({ device, place, carry, plan, onStart }: OverviewProps) {
  const palette = usePalette();
  const run = useCommand();
  const { carried } = useList();
  const { steps, all, first, byFile } = plan;
  const held = carried.filter((one) => one.deviceId === device.id && one.profile === place.profile);
  const [isFile, setFile] = useState(false);
  const [isOther, setOther] = useState(false);
  const isFirstRound = steps.length > FIRST_ROUND;
  return (
    <View style={styles.parts}>
      <Text variant="titleMedium" role="status" style={STRONG}>
        {tellDue(steps)}
      </Text>
      {steps.length > 0 && (
        <>
          <View style={styles.way}>
            <View style={styles.buttons}>
              <LatchButton
                label={startLabel(steps.length, isFirstRound, carry.has)}
                onPress={() => onStart(isFirstRound ? steps.slice(0, FIRST_ROUND) : steps)}
              />
            </View>
            <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
              {tellEffort(isFirstRound ? first : all)}
            </Text>
          </View>
          {isFirstRound && (
            <View style={styles.way}>
              <Button
                mode="outlined"
                onPress={() => onStart(steps)}
                style={styles.button}
                contentStyle={styles.tall}
              >{t`Copy all by hand`}</Button>
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {tellEffort(all)}
              </Text>
            </View>
          )}
        </>
      )}
      <View>
        <Fold
          title={t`As a file`}
          summary={t`${{ effort: tellEffort(byFile) }} If that list can import one.`}
          isOpen={isFile}
          onToggle={() => setFile(!isFile)}
        >
          <ByFile device={device} place={place} carry={carry} steps={steps} />
        </Fold>
        <Fold
          title={t`From another screen`}
          summary={t`A sheet to type from, or a code to open this page there.`}
          isOpen={isOther}
          onToggle={() => setOther(!isOther)}
          isNext
        >
          <OnAnotherScreen device={device} carry={carry} />
        </Fold>
      </View>
      {held.length > 0 && (
        <Button
          mode="text"
          onPress={() => void run(emptying(held), t`Noted: nothing is on ${{ name: device.name }} now.`)}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`I emptied that list`}</Button>
      )}
    </View>
  );
}

function startLabel(many: number, isFirstRound: boolean, has: boolean): string {
  if (!isFirstRound) return plural(many, { one: 'Do it by hand', other: 'Do them by hand' });
  return has ? t`Copy the next ${FIRST_ROUND}` : t`Start with the ${FIRST_ROUND} that save most`;
}

/** 3 to add, 1 to change, 1 to remove. */
export function tellDue(steps: readonly CarryStep[]): string {
  const count = (what: CarryStep['do']) => steps.filter((step) => step.do === what).length;
  const [add, change, remove] = [count('add'), count('change'), count('remove')];
  const parts = [
    ...(add > 0 ? [plural(add, { one: '# to add', other: '# to add' })] : []),
    ...(change > 0 ? [plural(change, { one: '# to change', other: '# to change' })] : []),
    ...(remove > 0 ? [plural(remove, { one: '# to remove', other: '# to remove' })] : []),
  ];
  return parts.length === 0 ? t`Everything is there.` : tellList(parts);
}

function tellEffort({ taps, seconds }: CarryEffort): string {
  return t`About ${{ time: tellDuration(seconds) }}, ${{ taps: tellTaps(taps) }}.`;
}

const styles = StyleSheet.create({
  parts: { gap: 14 },
  way: { gap: 4 },
  buttons: { flexDirection: 'row' },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
});
