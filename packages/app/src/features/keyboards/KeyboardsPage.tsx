import { t } from '@lingui/core/macro';
import { usualKeyboards } from '@yellow-latch/core/devices';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { LIMITS, type Device, type DeviceKeyboard } from '@yellow-latch/core/model';
import { choosing } from '@yellow-latch/replica/commands/list';
import { settingDevice } from '@yellow-latch/replica/commands/devices';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { keyboardOf, layoutOf } from '@/answers/effort/keyboards';
import { nameOfKeyboard } from '@/answers/effort/words';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { ChoiceSheet } from '@/look/ChoiceSheet';
import { RadioGroup } from '@/look/RadioGroup';
import { wholePercents } from '@/parts/percents';
import { languageName } from '@/wording/format';

import { PaceSheet } from './PaceSheet';
import { sampleOf } from './sample';
import { UseCard } from './UseCard';
import { WayExplorer } from './WayExplorer';

/** The keyboards of a device: which, and how much each is used; drawn, with the way of any text lit up. */
export default function KeyboardsPage({ id }: { id: string }) {
  const { devices } = useList();
  const device = devices.find((one) => one.id === id);
  const back = { label: t`Back to the device`, href: { pathname: '/devices/[id]', params: { id } } as const };
  return device ? (
    <Keyboards device={device} back={back} />
  ) : (
    <DetailPage title={t`This device isn’t on your list`} about={id} />
  );
}

interface KeyboardsProps {
  device: Device;
  back: { label: string; href: { pathname: '/devices/[id]'; params: { id: string } } };
}

function Keyboards({ device, back }: KeyboardsProps) {
  const router = useRouter();
  const write = useWrite();
  const run = useCommand();
  const notify = useNotice();
  const list = useList();
  const { languages, ownKeyboards, shortcuts } = list;
  const [shownIndex, setShownIndex] = useState(0);
  const [isChoosing, setChoosing] = useState<'add' | 'change' | null>(null);
  const [measured, setMeasured] = useState<number | null>(null);
  const keyboards = device.keyboards.length > 0 ? device.keyboards : usualKeyboards(device.kind, languages);
  const known = keyboards.map((use) => ({ use, layout: layoutOf(use.keyboard, ownKeyboards) }));
  const index = Math.min(shownIndex, known.length - 1);
  const shown = known[index]!;
  const percents = wholePercents(keyboards.map(({ share }) => share));
  const set = (next: DeviceKeyboard[]) => settingDevice(device, { keyboards: next }, list);
  const change = (at: number, next: DeviceKeyboard) => void write(...set(keyboards.with(at, next)).writes);
  const remove = (at: number) => {
    const name = nameOfKeyboard(keyboards[at]!.keyboard, ownKeyboards);
    void run(set(keyboards.toSpliced(at, 1)), t`Removed ${name}.`);
  };
  const choices = [
    ...Object.keys(LAYOUTS).map((value) => ({ value, label: nameOfKeyboard(value, []) })),
    ...ownKeyboards.map((own) => ({ value: own.id, label: own.layout.name })),
  ].filter(({ value }) => !keyboards.some(({ keyboard }) => keyboard === value));
  const choose = async (keyboard: string | null) => {
    if (keyboard === null) return;
    const use = { keyboard, share: 1, pace: isChoosing === 'change' ? shown.use.pace : 1 };
    await write(...set(isChoosing === 'change' ? keyboards.with(index, use) : [...keyboards, use]).writes);
    offerLanguage(keyboard);
  };
  // Who types on a German keyboard most likely writes German.
  const offerLanguage = (keyboard: string) => {
    const spoken = /-([a-z]{2})(-[a-z]+)?$/u.exec(keyboard)?.[1];
    if (spoken === undefined || languages.some((one) => one.split('-')[0] === spoken)) return;
    const language = languageName(spoken);
    notify({
      text: t`Do you write ${language}, too?`,
      action: {
        label: t`Check for ${language}`,
        onPress: () =>
          void run(choosing({ languages: [...languages, spoken] }, list), t`Checking for ${language}, too.`),
      },
    });
  };
  const toOwn = (own: string) =>
    router.navigate({ pathname: '/devices/keyboard/[keyboard]', params: { keyboard: own, on: device.id } });
  const makeOwn = async () => {
    if (!shown.layout) return;
    const [own] = await write({
      type: 'keyboard',
      fields: {
        layout: {
          ...shown.layout,
          name: t`My ${{ name: nameOfKeyboard(shown.use.keyboard, ownKeyboards) }}`.slice(0, 60),
        },
      },
    });
    toOwn(own!);
  };
  const isOwn = ownKeyboards.some((own) => own.id === shown.use.keyboard);
  const measuredLayout = measured === null ? undefined : known[measured]?.layout;
  return (
    <DetailPage
      gap={12}
      title={keyboards.length > 1 ? t`Keyboards` : t`Keyboard`}
      about={`keyboards ${device.id}`}
      back={back}
      foot={
        <>
          <ChoiceSheet
            title={isChoosing === 'change' ? t`Which keyboard is on ${{ name: device.name }}?` : t`Add a keyboard`}
            value={null}
            choices={choices}
            isOpen={isChoosing !== null}
            onClose={() => setChoosing(null)}
            onChange={(keyboard: string | null) => void choose(keyboard)}
          />
          <PaceSheet
            keyboard={measuredLayout ? keyboardOf(known[measured!]!.use.keyboard, measuredLayout) : null}
            onClose={() => setMeasured(null)}
            onKeep={(pace) => {
              change(measured!, { ...known[measured!]!.use, pace });
              setMeasured(null);
            }}
          />
        </>
      }
    >
      <Text variant="bodyMedium">
        {t`What you type on ${{ name: device.name }} with. Costs and savings are worked out for it, with predictive text off.`}
      </Text>
      <RadioGroup label={t`Keyboard shown`} hasChosen style={styles.cards}>
        {known.map(({ use }, at) => (
          <UseCard
            key={use.keyboard}
            use={use}
            name={nameOfKeyboard(use.keyboard, ownKeyboards)}
            percent={known.length > 1 ? percents[at]! : null}
            isShown={at === index}
            onShow={() => setShownIndex(at)}
            onRemove={keyboards.length > 1 ? () => remove(at) : null}
            onChange={(next) => change(at, next)}
            onMeasure={() => setMeasured(at)}
          />
        ))}
      </RadioGroup>
      <View style={styles.actions}>
        <Button
          mode="outlined"
          onPress={() => setChoosing('change')}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`It’s another one`}</Button>
        {keyboards.length < LIMITS.keyboards && (
          <Button
            mode="text"
            icon="plus"
            onPress={() => setChoosing('add')}
            style={styles.button}
            contentStyle={styles.tall}
          >{t`Add a keyboard`}</Button>
        )}
      </View>
      {shown.layout && (
        <>
          <WayExplorer
            key={shown.use.keyboard}
            keyboard={keyboardOf(shown.use.keyboard, shown.layout)}
            sample={sampleOf(shortcuts)}
            pace={shown.use.pace}
          />
          <View style={styles.actions}>
            <Button
              mode="text"
              icon="pencil"
              contentStyle={styles.tall}
              onPress={() => (isOwn ? toOwn(shown.use.keyboard) : void makeOwn())}
            >
              {isOwn ? t`Change its keys` : t`My keys are different`}
            </Button>
          </View>
        </>
      )}
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  cards: { gap: 8 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
