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
      `${code} is left as it is.`,
    );
    onDone();
  };
  const takeUp = (record: IgnoredFinding) => run(lookingAgain(record), `${code} is looked at again.`);
  if (left) {
    return (
      <Button mode="text" icon="undo" contentStyle={styles.tall} onPress={() => void takeUp(left)}>
        Take it up again
      </Button>
    );
  }
  const reason = own.trim();
  const isLong = Array.from(reason).length > LIMITS.reasonClusters;
  return (
    <>
      <Button mode="text" contentStyle={styles.tall} disabled={!finding} onPress={() => setOpen(true)}>
        Leave it…
      </Button>
      <Sheet title={`Why leave ${code} as it is?`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView contentContainerStyle={styles.body}>
          {(finding ? reasonsFor(finding.type) : []).map((text) => (
            <Pressable key={text} role="button" onPress={() => void leave(text)} style={styles.reason}>
              <Text variant="bodyLarge">{text}</Text>
            </Pressable>
          ))}
          <Field
            label="Or in your own words"
            value={own}
            onChangeText={setOwn}
            onBlur={() => {}}
            onSubmit={() => reason !== '' && !isLong && void leave(reason)}
            error={isLong ? `At most ${LIMITS.reasonClusters} characters are kept. Shorten it.` : undefined}
          />
          <View style={styles.foot}>
            <Button mode="text" contentStyle={styles.tall} onPress={() => setOpen(false)}>
              Not now
            </Button>
            {reason !== '' && !isLong && <LatchButton label="Leave it so" onPress={() => void leave(reason)} />}
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
