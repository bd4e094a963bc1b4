import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Brief } from '@yellow-latch/core/clash';
import { LIMITS, type IgnoredFinding } from '@yellow-latch/core/model';
import { ignoring, lookingAgain } from '@yellow-latch/replica/commands/findings';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { GROUP_TITLES, reasonsFor } from '@/answers/audit/sentences';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { useCommand } from '@/frame/replica/useCommand';
import { tellTooLong } from '@/parts/kinds';

interface IgnoreButtonProps {
  finding: Brief;
  code: string;
  onDone: () => void;
}

/** Ignores a problem, with a reason that is kept on every device. */
export function IgnoreButton({ finding, code, onDone }: IgnoreButtonProps) {
  const run = useCommand();
  const [isOpen, setOpen] = useState(false);
  const [own, setOwn] = useState('');
  const ignore = async (reason: string) => {
    setOpen(false);
    await run(
      ignoring({ shortcutId: finding.shortcuts[0]!, finding: finding.type, about: finding.about, reason }),
      t`Ignored for “${code}”.`,
    );
    onDone();
  };
  const reason = own.trim();
  const isLong = Array.from(reason).length > LIMITS.reasonClusters;
  return (
    <>
      <Button
        mode="text"
        contentStyle={styles.tall}
        accessibilityLabel={t`Ignore this: ${{ what: i18n._(GROUP_TITLES[finding.type]) }}`}
        onPress={() => setOpen(true)}
      >{t`Ignore this`}</Button>
      <Sheet title={t`Why ignore this?`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView contentContainerStyle={styles.body}>
          {reasonsFor(finding.type).map((text) => (
            <Pressable key={text} role="button" onPress={() => void ignore(text)} style={styles.reason}>
              <Text variant="bodyLarge">{text}</Text>
            </Pressable>
          ))}
          <Field
            label={t`Or in your own words`}
            value={own}
            onChangeText={setOwn}
            onBlur={() => {}}
            onSubmit={() => reason !== '' && !isLong && void ignore(reason)}
            error={isLong ? tellTooLong(LIMITS.reasonClusters) : undefined}
          />
          <View style={styles.foot}>
            <Button mode="text" contentStyle={styles.tall} onPress={() => setOpen(false)}>{t`Not now`}</Button>
            {reason !== '' && !isLong && <LatchButton label={t`Ignore`} onPress={() => void ignore(reason)} />}
          </View>
        </ScrollView>
      </Sheet>
    </>
  );
}

/** Takes up again what was ignored. */
export function LookAgainButton({ record, code }: { record: IgnoredFinding; code: string }) {
  const run = useCommand();
  return (
    <Button
      mode="text"
      icon="undo"
      contentStyle={styles.tall}
      onPress={() => void run(lookingAgain(record), t`“${code}” is checked again.`)}
    >{t`Stop ignoring`}</Button>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  reason: { minHeight: 48, justifyContent: 'center' },
  foot: { flexDirection: 'row', justifyContent: 'space-between', paddingTop: 8 },
  tall: { minHeight: 48 },
});
