import { plural, t } from '@lingui/core/macro';
import { mayManage, type DeviceInfo } from '@yellow-latch/core/sync';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Sheet } from '@/look/Sheet';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

interface SignOutSheetProps {
  device: DeviceInfo;
  /** Whether it is among what one types on. */
  isTypedOn: boolean;
  isSelf: boolean;
  isOpen: boolean;
  /** The other devices of the list. */
  others: readonly DeviceInfo[];
  hasSpareKey: boolean;
  /** How many changes of this device are not sent yet. */
  waiting: number;
  onClose: () => void;
  /** `heir`: the device that can edit the whole list from now on; `keeps`: one goes on typing on this one. */
  onSignOut: (heir: DeviceInfo | null, keeps: boolean) => void;
}

/** Asks before a device is signed out; the last one that can edit the whole list first says who can instead. */
export function SignOutSheet({
  device,
  isTypedOn,
  isSelf,
  isOpen,
  others,
  hasSpareKey,
  waiting,
  onClose,
  onSignOut,
}: SignOutSheetProps) {
  const palette = usePalette();
  const [heirId, setHeirId] = useState<string | null>(null);
  const [keeps, setKeeps] = useState(false);
  const isLast = isSelf && others.length > 0 && mayManage(device) && !others.some(mayManage);
  const heir = others.find(({ id }) => id === heirId) ?? null;
  return (
    <Sheet
      title={isSelf ? t`Sign out this device?` : t`Sign out ${{ name: device.name }}?`}
      isOpen={isOpen}
      onClose={onClose}
    >
      <View style={styles.sheet}>
        <Text variant="bodyLarge">
          {isSelf
            ? t`Your list is removed from this device. To get it back, you need the spare key or a code from another device.`
            : t`Your list is removed from that device when it’s next online. To get it back, it needs a code.`}
        </Text>
        {isSelf && waiting > 0 && (
          <Text variant="bodyLarge" style={STRONG}>
            {plural(waiting, {
              one: '# change hasn’t been sent yet. Wait until it says “Synced”.',
              other: '# changes haven’t been sent yet. Wait until it says “Synced”.',
            })}
          </Text>
        )}
        {isSelf && others.length === 0 && !hasSpareKey && (
          <Text
            variant="bodyLarge"
            style={STRONG}
          >{t`This is your only device and you have no spare key, so you’d lose your list. Make a spare key first.`}</Text>
        )}
        {isLast && (
          <RadioGroup label={t`Choose a device that can edit`} hasChosen={false}>
            <Text variant="bodyLarge" style={STRONG}>{t`No other device can edit the whole list. Choose one:`}</Text>
            {others.map(({ id, name }) => (
              <Tick key={id} role="radio" isOn={heirId === id} onPress={() => setHeirId(id)}>
                <Text variant="bodyLarge">{name}</Text>
              </Tick>
            ))}
          </RadioGroup>
        )}
        {isTypedOn && (
          <Tick role="checkbox" isOn={keeps} onPress={() => setKeeps(!keeps)}>
            <Text variant="bodyLarge" style={styles.words}>{t`I still type on it`}</Text>
          </Tick>
        )}
        <View style={styles.row}>
          <Button mode="text" onPress={onClose} contentStyle={styles.tall}>{t`Stay`}</Button>
          <Button
            mode="outlined"
            disabled={isLast && !heir}
            textColor={palette.alarm}
            onPress={() => onSignOut(isLast ? heir : null, keeps)}
            contentStyle={styles.tall}
          >{t`Sign out`}</Button>
        </View>
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  sheet: { paddingHorizontal: 20, paddingBottom: 8, gap: 12 },
  words: { flex: 1 },
  row: { flexDirection: 'row', justifyContent: 'flex-end', gap: 12 },
  tall: { minHeight: 48 },
});
