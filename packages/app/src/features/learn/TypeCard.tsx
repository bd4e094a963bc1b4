import { t } from '@lingui/core/macro';
import type { DeviceList } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { Evidence } from '@yellow-latch/core/learn';
import { matchKey } from '@yellow-latch/core/model';
import type { FieldEvent } from '@yellow-latch/field/own';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { announce } from '@/frame/announce';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';

import { PracticeField } from './PracticeField';
import { timeToThink } from './timeToThink';
import type { LearnItem } from './useLearn';
import { bestOf, tellSituation, tellSpeed } from './words';

interface TypeCardProps {
  item: LearnItem;
  /** It is asked for what the text is used for, not by the text itself. */
  isSituation: boolean;
  device: DeviceList;
  hasKeys: boolean;
  note: (how: Evidence['how'], shortcutId: string, seconds: number | null) => void;
  onDone: (knew: boolean, told: string) => void;
}

/** A text, or what it is used for: type its code. */
export function TypeCard({ item: { shortcut, state }, isSituation, device, hasKeys, note, onDone }: TypeCardProps) {
  const palette = usePalette();
  const { clock } = useOpened().replica;
  const { shortcuts } = useList();
  const { id, code } = shortcut;
  const [shownAt] = useState(() => clock());
  const [isShown, setShown] = useState(false);
  const [hint, setHint] = useState('');
  const [tries, setTries] = useState(0);
  const asked = isSituation ? tellSituation(shortcut) : shownExpansion(shortcut, 240);
  const say = (text: string) => {
    setHint(text);
    announce(text);
  };
  const finish = () => {
    if (isShown) {
      note('shown', id, null);
      onDone(false, t`That’s “${code}”. You’ll see it again.`);
      return;
    }
    const seconds = timeToThink((clock() - shownAt) / 1_000, asked, code);
    note('drill', id, seconds);
    onDone(true, tellSpeed(seconds, bestOf(state)));
  };
  const onFiring = (event: FieldEvent) => {
    if (event.type === 'taken-back') return;
    if (event.id === id) return finish();
    if (idOfFormer(event.id) === id) {
      note('former', id, null);
      setShown(true);
      say(t`That’s the old code. Type the new one.`);
      return;
    }
    const other = shortcuts.find((one) => one.id === event.id);
    setTries(tries + 1);
    if (other) say(t`“${{ code: other.code }}” is for something else. Try again.`);
  };
  return (
    <View style={styles.card}>
      <View style={[styles.asked, { borderColor: palette.line, backgroundColor: palette.surface }]}>
        <Text variant="bodyLarge" role="heading" aria-level={2}>
          {asked}
        </Text>
      </View>
      {isShown && (
        <View style={styles.line}>
          <CodePlate code={code} size="large" />
          <Text variant="bodyMedium">{t`Type it once.`}</Text>
        </View>
      )}
      <PracticeField
        label={t`Type its code and a space`}
        device={device}
        hasKeys={hasKeys}
        rows={1}
        focusOn={isShown}
        beginsAt={tries}
        onFiring={onFiring}
        onText={(text) => {
          // One that only ever comes as a suggestion does not expand by itself.
          if (shortcut.rules.fires === 'offer' && matchKey(text.trim()) === matchKey(code)) finish();
        }}
      />
      <Text role="status" variant="bodyMedium" style={[styles.hint, { color: palette.inkSoft }]}>
        {hint}
      </Text>
      <View style={styles.actions}>
        {!isShown && (
          <Button mode="outlined" contentStyle={styles.tall} onPress={() => setShown(true)}>{t`Show me`}</Button>
        )}
        <Button
          mode="text"
          contentStyle={styles.tall}
          onPress={() => {
            if (isShown) note('shown', id, null);
            onDone(!isShown, t`Skipped “${code}”.`);
          }}
        >{t`Skip`}</Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: 10 },
  asked: { borderWidth: 1, borderRadius: 8, padding: 14 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  hint: { minHeight: 20 },
  actions: { flexDirection: 'row', gap: 8 },
  tall: { minHeight: 48 },
});
