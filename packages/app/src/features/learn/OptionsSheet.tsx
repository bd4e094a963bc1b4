import { plural, t } from '@lingui/core/macro';
import { FIRST_LEARNER } from '@yellow-latch/core/learn/names';
import { isLineTooLong, LIMITS } from '@yellow-latch/core/model';
import { usualLearner } from '@yellow-latch/replica/storage/evidence';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useLearner } from '@/answers/learn/useLearner';
import { useReminderSetting } from '@/answers/learn/reminder';
import { useList, useOpened, useWrite } from '@/frame/replica/ReplicaProvider';
import { Choice } from '@/look/Choice';
import { Field } from '@/look/Field';
import { Sheet } from '@/look/Sheet';
import { tellTooLong } from '@/parts/kinds';
import { tellClock } from '@/wording/format';

import type { Learn } from './useLearn';

const NOBODY_YET = ' new';
const NO_REMINDER = ' none';
const HOURS = [7, 8, 9, 12, 15, 18, 20, 21];
const NUMBERS = [1, 2, 3, 4, 5];

interface OptionsSheetProps {
  learn: Learn;
  isOpen: boolean;
  onClose: () => void;
}

/** How many codes at a time, who learns on this device, and whether they are reminded. */
export function OptionsSheet({ learn: { learnerId, atOnce }, isOpen, onClose }: OptionsSheetProps) {
  const { learners } = useList();
  const { replica } = useOpened();
  const write = useWrite();
  const [, setLearner] = useLearner();
  const [reminder, setReminder] = useReminderSetting();
  const [isNew, setNew] = useState(false);
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState('');
  const own = learners.find(({ id }) => id === learnerId);
  const usual = usualLearner(replica.state);
  const known = new Map(learners.map((learner) => [learner.id, learner.name]));
  const ids = [...new Set([FIRST_LEARNER, usual, learnerId, ...known.keys()])];
  const nameOf = (id: string) =>
    known.get(id) || (id === FIRST_LEARNER ? t`Whoever started the list` : t`Whoever uses this device`);
  const setAtOnce = (value: string) =>
    void write({
      type: 'learner',
      id: learnerId,
      fields: { name: own?.name ?? '', atOnce: Number(value), deleted: false },
    });
  const add = async () => {
    const line = name.trim();
    if (line === '') return setTrouble(t`Type a name.`);
    if (isLineTooLong(line, LIMITS.deviceNameClusters)) return setTrouble(tellTooLong(LIMITS.deviceNameClusters));
    const [id] = await write({ type: 'learner', fields: { name: line, atOnce } });
    setLearner(id!);
    setNew(false);
    setName('');
  };
  const remind = async (value: string) => {
    if (value === NO_REMINDER) return setReminder(null);
    const may = 'Notification' in globalThis ? await Notification.requestPermission() : 'denied';
    setTrouble(may === 'granted' ? '' : t`This browser doesn’t allow notifications for Yellow Latch.`);
    setReminder(may === 'granted' ? Number(value) : null);
  };
  return (
    <Sheet title={t`Learning options`} isOpen={isOpen} onClose={onClose}>
      <ScrollView>
        <View style={styles.parts}>
          <View style={styles.line}>
            <Choice
              label={t`New codes at a time`}
              value={String(atOnce)}
              choices={NUMBERS.map((number) => ({
                value: String(number),
                label: plural(number, { one: '# code', other: '# codes' }),
              }))}
              onChange={setAtOnce}
            />
          </View>
          <View style={styles.line}>
            <Choice
              label={t`Who learns on this device`}
              value={isNew ? NOBODY_YET : learnerId}
              choices={[
                ...ids.map((id) => ({ value: id, label: nameOf(id) })),
                { value: NOBODY_YET, label: t`Somebody else…` },
              ]}
              onChange={(value) => {
                setNew(value === NOBODY_YET);
                if (value !== NOBODY_YET) setLearner(value);
              }}
            />
          </View>
          {isNew && (
            <View>
              <Field
                label={t`Their name`}
                value={name}
                onChangeText={setName}
                onBlur={() => {}}
                onSubmit={() => void add()}
                startsHere
              />
              <Button
                mode="outlined"
                style={styles.button}
                contentStyle={styles.tall}
                onPress={() => void add()}
              >{t`Learn as them`}</Button>
            </View>
          )}
          <View style={styles.line}>
            <Choice
              label={t`Remind me on this device`}
              value={reminder === null ? NO_REMINDER : String(reminder)}
              choices={[
                { value: NO_REMINDER, label: t`No` },
                ...HOURS.map((hour) => ({ value: String(hour), label: tellClock(new Date().setHours(hour, 0, 0, 0)) })),
              ]}
              onChange={(value) => void remind(value)}
            />
          </View>
          <Text variant="bodySmall">{t`Reminders come while Yellow Latch is open in a tab or as an app.`}</Text>
          <Text role="alert" variant="bodyMedium">
            {trouble}
          </Text>
        </View>
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  parts: { paddingHorizontal: 20, gap: 8 },
  line: { flexDirection: 'row' },
  button: { alignSelf: 'flex-start', marginTop: 8 },
  tall: { minHeight: 48 },
});
