import { t } from '@lingui/core/macro';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { LIMITS, type KeyboardUse } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { keyboardOf, layoutOf } from '@/answers/effort/keyboards';
import { ChoiceSheet } from '@/look/ChoiceSheet';
import { RadioGroup } from '@/look/RadioGroup';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { useChoose } from '@/frame/replica/useChoose';
import { useCommand } from '@/frame/replica/useCommand';
import { choosing } from '@yellow-latch/replica/commands/list';
import { nameOfKeyboard } from '@/answers/effort/words';

import { wholePercents } from './percents';
import { PaceSheet } from './PaceSheet';
import { sampleOf } from './sample';
import { UseCard } from './UseCard';
import { WayExplorer } from './WayExplorer';

/** The device that a keyboard most likely belongs to. */
function deviceOf(id: string): string {
  const held = ['phone', 'tablet'].find((kind) => id.startsWith(kind));
  return `${held ?? 'computer'}-list`;
}

/** The keyboards in use: how much each is used, drawn from its data, with the way of any text lit up. */
export default function KeyboardsPage() {
  const router = useRouter();
  const write = useWrite();
  const choose = useChoose();
  const list = useList();
  const { keyboards, ownKeyboards, shortcuts } = list;
  const run = useCommand();
  const [shownIndex, setShownIndex] = useState(0);
  const [isAdding, setAdding] = useState(false);
  const [measured, setMeasured] = useState<number | null>(null);
  const known = keyboards.map((use) => ({ use, layout: layoutOf(use.keyboard, ownKeyboards) }));
  const shown = known[Math.min(shownIndex, known.length - 1)]!;
  const percents = wholePercents(keyboards.map(({ share }) => share));
  const change = (index: number, next: KeyboardUse) => void choose({ keyboards: keyboards.with(index, next) });
  const remove = (index: number) => {
    const name = nameOfKeyboard(keyboards[index]!.keyboard, ownKeyboards);
    void run(choosing({ keyboards: keyboards.toSpliced(index, 1) }, list), t`Removed ${name}.`);
  };
  const free = [
    ...Object.keys(LAYOUTS).map((id) => ({ value: id, label: nameOfKeyboard(id, []) })),
    ...ownKeyboards.map(({ id, layout }) => ({ value: id, label: layout.name })),
  ].filter(({ value }) => !keyboards.some(({ keyboard }) => keyboard === value));
  const makeOwn = async () => {
    if (!shown.layout) return;
    const [id] = await write({
      type: 'keyboard',
      fields: {
        layout: {
          ...shown.layout,
          name: t`My ${{ name: nameOfKeyboard(shown.use.keyboard, ownKeyboards) }}`.slice(0, 60),
        },
      },
    });
    router.navigate({ pathname: '/check/keyboards/[id]', params: { id: id! } });
  };
  const isOwn = ownKeyboards.some(({ id }) => id === shown.use.keyboard);
  const measuredLayout = measured === null ? undefined : known[measured]?.layout;
  return (
    <DetailPage
      gap={12}
      title={t`Keyboards`}
      about="keyboards"
      back={{ label: t`Back to Check`, href: '/check' }}
      foot={
        <>
          <ChoiceSheet
            title={t`Add a keyboard`}
            value={null}
            choices={free}
            isOpen={isAdding}
            onClose={() => setAdding(false)}
            onChange={(id: string | null) => {
              if (id !== null)
                void choose({ keyboards: [...keyboards, { keyboard: id, share: 1, pace: 1, device: deviceOf(id) }] });
            }}
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
      <Text variant="bodyMedium">{t`The keyboards you type on, and how much you use each. Costs and savings are worked out for them, with predictive text off.`}</Text>
      <RadioGroup label={t`Keyboard shown`} hasChosen style={styles.cards}>
        {known.map(({ use }, index) => (
          <UseCard
            key={use.keyboard}
            use={use}
            name={nameOfKeyboard(use.keyboard, ownKeyboards)}
            percent={percents[index]!}
            isShown={shown.use === use}
            onShow={() => setShownIndex(index)}
            onRemove={keyboards.length > 1 ? () => remove(index) : null}
            onChange={(next) => change(index, next)}
            onMeasure={() => setMeasured(index)}
          />
        ))}
      </RadioGroup>
      {keyboards.length < LIMITS.keyboards && (
        <View style={styles.actions}>
          <Button
            mode="outlined"
            icon="plus"
            onPress={() => setAdding(true)}
            style={styles.button}
            contentStyle={styles.tall}
          >{t`Add a keyboard`}</Button>
        </View>
      )}
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
              onPress={() =>
                isOwn
                  ? router.navigate({ pathname: '/check/keyboards/[id]', params: { id: shown.use.keyboard } })
                  : void makeOwn()
              }
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
  actions: { flexDirection: 'row' },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
