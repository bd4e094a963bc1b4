import { t } from '@lingui/core/macro';
import { formattedHtml } from '@yellow-latch/core/compose';
import { mailFault } from '@yellow-latch/core/standIn';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Formatted } from '@/look/Formatted';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import { FieldBox } from '../FieldBox';
import { SpaceLeft } from '../SpaceLeft';
import { tellMailFault } from '../words';
import { useFinish } from '../useFinish';
import { useStandIn } from '../useStandIn';

const FIELDS = ['to', 'subject', 'body'];

/** A mail: what is sent keeps its formatting where the list that expanded has any. */
export function Mail() {
  const palette = usePalette();
  const { memory, typing } = useStandIn();
  const finish = useFinish();
  const [fault, setFault] = useState<ReturnType<typeof mailFault>>(null);
  const [sent, setSent] = useState<{ to: string; html: string } | null>(null);
  const send = () => {
    const texts = Object.fromEntries(FIELDS.map((field) => [field, memory.textOf(field)]));
    const wrong = mailFault(texts.to!);
    setFault(wrong);
    if (wrong !== null) return typing.say(tellMailFault(wrong), true);
    const html = formattedHtml(texts.body!, typing.formattedIn('body'));
    if (!finish(texts)) return;
    memory.send(texts);
    setSent({ to: texts.to!, html });
    typing.empty(FIELDS);
  };
  if (sent)
    return (
      <ScrollView contentContainerStyle={styles.place}>
        <Text variant="titleMedium" role="heading" aria-level={2}>{t`Sent to ${{ to: sent.to }}`}</Text>
        <View style={[styles.paper, { borderColor: palette.line, backgroundColor: palette.surface }]}>
          <Formatted html={sent.html} />
        </View>
        <Button mode="outlined" onPress={() => setSent(null)} contentStyle={styles.tall}>{t`Write another`}</Button>
      </ScrollView>
    );
  return (
    <ScrollView contentContainerStyle={styles.place}>
      <FieldBox
        key={`${memory.scope}to`}
        name="to"
        label={t`To`}
        error={fault === null ? null : tellMailFault(fault)}
      />
      {fault === 'space-left' && <SpaceLeft field="to" onFixed={() => setFault(null)} />}
      <FieldBox key={`${memory.scope}subject`} name="subject" label={t`Subject`} />
      <FieldBox key={`${memory.scope}body`} name="body" label={t`Message`} type="lines" fills />
      <View style={styles.foot}>
        <LatchButton label={t`Send`} icon="send" onPress={send} />
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  place: { padding: 16, gap: 10, flexGrow: 1 },
  paper: { borderWidth: 1, borderRadius: 6, padding: 14 },
  foot: { alignItems: 'flex-end' },
  tall: { minHeight: 48 },
});
