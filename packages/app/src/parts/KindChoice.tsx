import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { DEVICE_KINDS, type DeviceKind } from '@yellow-latch/core/model';
import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';

const NAMES: Record<DeviceKind, MessageDescriptor> = {
  phone: msg`Phone`,
  tablet: msg`Tablet`,
  computer: msg`Computer`,
};

export function nameOfDeviceKind(kind: DeviceKind): string {
  return i18n._(NAMES[kind]);
}

/** What kind of device this is, of three. */
export function KindChoice({ value, onChange }: { value: DeviceKind; onChange: (kind: DeviceKind) => void }) {
  return (
    <RadioGroup label={t`Kind of device`} hasChosen style={styles.row}>
      {DEVICE_KINDS.map((kind) => (
        <Tick key={kind} role="radio" isOn={kind === value} onPress={() => onChange(kind)} style={styles.choice}>
          <Text variant="bodyLarge" style={kind === value && STRONG}>
            {nameOfDeviceKind(kind)}
          </Text>
        </Tick>
      ))}
    </RadioGroup>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 24 },
  choice: { gap: 8 },
});
