import { t } from '@lingui/core/macro';
import type { Brief } from '@yellow-latch/core/clash';
import { LIMITS, type IgnoredFinding } from '@yellow-latch/core/model';
import { ignoring, lookingAgain } from '@yellow-latch/replica/commands/findings';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { reasonsFor } from '@/answers/audit/sentences';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { useCommand } from '@/frame/replica/useCommand';
import { tellTooLong } from '@/parts/kinds';

interface LeaveProps {
  /** The finding if it is open, to leave it. */
  finding: Brief | null;
  /** The record of its being left, to take it up again. */
  left: IgnoredFinding | null;
  code: string;
  onDone: () => void;
}

/** Leaves a finding as it is, with a reason that is kept on every device; or takes it up again. */
export function Leave({ finding, left, code, onDone }: LeaveProps) {
  const run = useCommand();
  const [isOpen, setOpen] = useState(false);
  const [own, setOwn] = useState('');
  const leave = async (reason: string) => {
    if (!finding) return;
    setOpen(false);
    await run(
      ignoring({ shortcutId: finding.shortcuts[0]!, finding: finding.type, about: finding.about, reason }),
      t`Ignored for “${code}”.`,
    );
    onDone();
  };
  const takeUp = (record: IgnoredFinding) => run(lookingAgain(record), t`“${code}” is checked again.`);
  if (left) {
    return (
      <Button
        mode="text"
        icon="undo"
        contentStyle={styles.tall}
        onPress={() => void takeUp(left)}
      >{t`Stop ignoring`}</Button>
    );
  }
  const reason = own.trim();
  const isLong = Array.from(reason).length > LIMITS.reasonClusters;
  return (
    <>
      <Button
        mode="text"
        contentStyle={styles.tall}
        disabled={!finding}
        onPress={() => setOpen(true)}
      >{t`Ignore this`}</Button>
      <Sheet title={t`Why ignore this?`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView contentContainerStyle={styles.body}>
          {(finding ? reasonsFor(finding.type) : []).map((text) => (
            <Pressable key={text} role="button" onPress={() => void leave(text)} style={styles.reason}>
              <Text variant="bodyLarge">{text}</Text>
            </Pressable>
          ))}
          <Field
            label={t`Or in your own words`}
            value={own}
            onChangeText={setOwn}
            onBlur={() => {}}
            onSubmit={() => reason !== '' && !isLong && void leave(reason)}
            error={isLong ? tellTooLong(LIMITS.reasonClusters) : undefined}
          />
          <View style={styles.foot}>
            <Button mode="text" contentStyle={styles.tall} onPress={() => setOpen(false)}>{t`Not now`}</Button>
            {reason !== '' && !isLong && <LatchButton label={t`Ignore`} onPress={() => void leave(reason)} />}
          </View>
        </ScrollView>
      </Sheet>
    </>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  reason: { minHeight: 48, justifyContent: 'center' },
  foot: { flexDirection: 'row', justifyContent: 'space-between', paddingTop: 8 },
  tall: { minHeight: 48 },
});
