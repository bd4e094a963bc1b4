import { t } from '@lingui/core/macro';
import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import type { CarryStep } from '@yellow-latch/core/fit';
import { digestOf } from '@yellow-latch/core/fit/digest';
import type { Device } from '@yellow-latch/core/model';
import { carrying } from '@yellow-latch/replica/commands/carrying';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { announce } from '@/frame/announce';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { FACES, STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

interface RoundProps {
  device: Device;
  place: PlaceOfDevice;
  /** As they stood when one began: what changes meanwhile comes up again afterwards. */
  steps: readonly CarryStep[];
  onEnd: () => void;
}

/** One step after the other, large: what to copy, what to type there, and on. Each is kept when it is done. */
export function Round({ device, place, steps, onEnd }: RoundProps) {
  const palette = usePalette();
  const write = useWrite();
  const notify = useNotice();
  const { carried, shortcuts } = useList();
  const [at, setAt] = useState(0);
  const step = steps[at];
  if (!step)
    return (
      <View style={styles.parts}>
        <View style={styles.line} role="status">
          <Icon name="check" size={28} color={palette.ink} />
          <Text variant="titleLarge" style={STRONG}>
            {t`That’s it`}
          </Text>
        </View>
        <Text variant="bodyLarge">{t`Try one of them on ${{ name: device.name }}.`}</Text>
        <View style={styles.line}>
          <LatchButton label={t`Done`} icon="check" onPress={onEnd} />
        </View>
      </View>
    );
  const turn = (to: number) => {
    setAt(to);
    announce(to < steps.length ? t`${{ at: to + 1 }} of ${{ all: steps.length }}` : t`That’s it`);
  };
  const mark = async () => {
    const now = step.do === 'remove' ? null : digestOf(step);
    const command = carrying(device.id, place.profile, [{ id: step.id, code: step.code, digest: now }], carried);
    await write(...command.writes);
    turn(at + 1);
  };
  const copy = (text: string, done: string) =>
    void copyText(text).then((isDone) => notify({ text: isDone ? done : tellNotCopied() }));
  // Of one that was made private on this device the code is known here alone.
  const code = step.code === '' ? (shortcuts.find(({ id }) => id === step.id)?.code ?? '') : step.code;
  return (
    <View style={styles.parts}>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {t`${{ at: at + 1 }} of ${{ all: steps.length }}`}
      </Text>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {titleOf(step, device.name)}
      </Text>
      {step.do !== 'remove' && (
        <>
          <View style={styles.part}>
            <Text variant="bodyMedium">{t`Text`}</Text>
            <Text selectable style={[styles.text, { borderColor: palette.line, backgroundColor: palette.surface }]}>
              {step.text}
            </Text>
            <View style={styles.line}>
              <LatchButton
                label={t`Copy text`}
                icon="copy"
                isQuiet
                onPress={() => copy(step.text, t`Copied the text.`)}
              />
            </View>
          </View>
          <View style={styles.part}>
            <Text variant="bodyMedium">{t`Code`}</Text>
            <CodePlate code={step.code} size="large" />
            <View style={styles.line}>
              <LatchButton
                label={t`Copy code`}
                icon="copy"
                isQuiet
                onPress={() => copy(step.code, t`Copied the code.`)}
              />
            </View>
          </View>
        </>
      )}
      {step.do === 'remove' &&
        (code === '' ? (
          <Text variant="bodyLarge">{t`It was made private on another device, which shows its code.`}</Text>
        ) : (
          <CodePlate code={code} size="large" />
        ))}
      <View style={[styles.line, styles.foot]}>
        <LatchButton label={t`Done, next`} icon="check" onPress={() => void mark()} />
        <Button mode="text" onPress={() => turn(at + 1)} contentStyle={styles.tall}>{t`Skip`}</Button>
        {at > 0 && <Button mode="text" onPress={() => turn(at - 1)} contentStyle={styles.tall}>{t`Back`}</Button>}
      </View>
      <Button mode="text" onPress={onEnd} style={styles.stop} contentStyle={styles.tall}>{t`Go on later`}</Button>
    </View>
  );
}

function titleOf({ do: what, codeThere, code }: CarryStep, name: string): string {
  switch (what) {
    case 'add':
      return t`On ${name}, add a shortcut`;
    case 'change':
      return codeThere !== null && codeThere !== '' && codeThere !== code
        ? t`On ${name}, change “${codeThere}”`
        : t`On ${name}, change this one`;
    case 'remove':
      return t`On ${name}, delete this one`;
  }
}

const styles = StyleSheet.create({
  parts: { gap: 14 },
  part: { gap: 6 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
  foot: { marginTop: 4 },
  text: { fontFamily: FACES.text, fontSize: 18, lineHeight: 26, padding: 12, borderWidth: 1, borderRadius: 6 },
  stop: { alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
