import { t } from '@lingui/core/macro';
import type { Fit, Obstacle } from '@yellow-latch/core/fit';
import { type Device, type Shortcut } from '@yellow-latch/core/model';
import { leavingOut } from '@yellow-latch/replica/commands/devices';
import { editing } from '@yellow-latch/replica/commands/shortcuts';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useAnswer } from '@/answers/effort/useAnswer';
import { tellFit } from '@/answers/fit/words';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { CodePlate } from '@/look/CodePlate';
import { LatchButton } from '@/look/LatchButton';
import { LatchGlyph } from '@/look/LatchGlyph';
import { PressLink } from '@/look/PressLink';

interface FitRowProps {
  device: Device;
  shortcut: Shortcut;
  fit: Fit;
  codeOf: (id: string) => string;
}

/** A shortcut that does not simply work on a device: what is with it there, and what can be done. */
export const FitRow = memo(function FitRow({ device, shortcut, fit, codeOf }: FitRowProps) {
  const router = useRouter();
  const list = useList();
  const run = useCommand();
  const { id, code } = shortcut;
  const told = tellFit(fit, codeOf);
  const isOut = fit.verdict === 'left out';
  const isOne = list.leftOut.some((one) => one.deviceId === device.id && one.of === 'shortcut' && one.refersTo === id);
  const leave = () =>
    void run(
      leavingOut(device, 'shortcut', id, !isOut, list),
      isOut ? t`“${code}” is back on ${{ name: device.name }}.` : t`Left “${code}” out on ${{ name: device.name }}.`,
    );
  return (
    <View style={styles.row} role="listitem">
      <PressLink
        aria-label={t`${code}: ${told}`}
        onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
        style={styles.link}
      >
        <LatchGlyph verdict={fit.verdict === 'no' ? 'breaks' : 'note'} size={24} />
        <View style={styles.words}>
          <CodePlate code={code} />
          <Text variant="bodyMedium">{told}</Text>
        </View>
      </PressLink>
      <View style={styles.actions}>
        <Fix shortcut={shortcut} fit={fit} />
        {(!isOut || isOne) && (
          <Button
            mode="text"
            onPress={leave}
            accessibilityLabel={isOut ? t`Put “${code}” back` : t`Leave “${code}” out here`}
            contentStyle={styles.tall}
          >
            {isOut ? t`Put it back` : t`Leave it out here`}
          </Button>
        )}
      </View>
    </View>
  );
});

/** What would make it work there, on a button. */
function Fix({ shortcut, fit }: Pick<FitRowProps, 'shortcut' | 'fit'>) {
  const run = useCommand();
  const { content, code } = shortcut;
  const isLines =
    !content.template &&
    ((fit.verdict === 'no' && fit.why === 'several lines') || (fit.verdict === 'changed' && fit.how.includes('lines')));
  if (isLines) {
    const expansion = content.expansion.replaceAll(/\s*\n\s*/gu, ' ').trim();
    return (
      <LatchButton
        label={t`Make it one line`}
        name={t`Make “${code}” one line`}
        isQuiet
        onPress={() =>
          void run(editing(shortcut, { content: { ...content, expansion } }), t`“${code}” is one line now.`)
        }
      />
    );
  }
  return fit.verdict === 'no' && OF_CODE.has(fit.why) ? <NewCode shortcut={shortcut} /> : null;
}

/** What another code would help against. */
const OF_CODE = new Set<Obstacle>(['space in code', 'punctuation', 'another code', 'built-in', 'never']);

function NewCode({ shortcut }: { shortcut: Shortcut }) {
  const run = useCommand();
  const { answer } = useAnswer(shortcut, ({ fixes }) => fixes.codesNear(shortcut));
  const free = answer?.find((code) => !/\s/u.test(code));
  if (free === undefined) return null;
  return (
    <LatchButton
      label={t`Use ${free}`}
      name={t`Use “${free}” instead of “${{ code: shortcut.code }}”`}
      isQuiet
      onPress={() => void run(editing(shortcut, { code: free }), t`It’s “${free}” now.`)}
    />
  );
}

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 6 },
  link: { flexDirection: 'row', gap: 12, minHeight: 48, alignItems: 'center' },
  words: { flex: 1, minWidth: 0, gap: 2 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, paddingLeft: 34 },
  tall: { minHeight: 48 },
});
