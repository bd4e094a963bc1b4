import { t } from '@lingui/core/macro';
import { mailFault } from '@yellow-latch/core/standIn';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { LatchButton } from '@/look/LatchButton';

import { FieldBox } from '../FieldBox';
import { SpaceLeft } from '../SpaceLeft';
import { tellMailFault } from '../words';
import { useFinish } from '../useFinish';
import { useStandIn } from '../useStandIn';

const FIELDS = ['name', 'mail', 'phone'];

/** A form on the web: it takes a mail address by the pattern of the HTML standard, and nothing expands in its password field. */
export function Form() {
  const { memory, typing } = useStandIn();
  const finish = useFinish();
  const [fault, setFault] = useState<ReturnType<typeof mailFault>>(null);
  const send = () => {
    const texts = Object.fromEntries(FIELDS.map((field) => [field, memory.textOf(field)]));
    const wrong = mailFault(texts.mail!);
    setFault(wrong);
    if (wrong !== null) return typing.say(tellMailFault(wrong), true);
    if (!finish(texts)) return;
    memory.send(texts);
    typing.empty([...FIELDS, 'password']);
    if (!memory.value.job) typing.say(t`The form went through.`);
  };
  const { scope } = memory;
  return (
    <ScrollView contentContainerStyle={styles.place}>
      <FieldBox key={`${scope}name`} name="name" label={t`Name`} />
      <FieldBox
        key={`${scope}mail`}
        name="mail"
        label={t`Email`}
        error={fault === null ? null : tellMailFault(fault)}
      />
      {fault === 'space-left' && <SpaceLeft field="mail" onFixed={() => setFault(null)} />}
      <FieldBox key={`${scope}phone`} name="phone" label={t`Phone`} />
      <FieldBox key={`${scope}password`} name="password" label={t`Password (nothing expands here)`} type="password" />
      <View style={styles.foot}>
        <LatchButton label={t`Send the form`} onPress={send} />
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  place: { padding: 16, gap: 10 },
  foot: { alignItems: 'flex-end' },
});
