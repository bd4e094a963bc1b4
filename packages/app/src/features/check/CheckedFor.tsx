import { t } from '@lingui/core/macro';
import { DEVICE_PROFILES } from '@yellow-latch/core/fit';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { languageChoices } from '@/parts/languages';
import { STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useChoose } from '@/frame/replica/useChoose';
import { deviceLabel } from '@/answers/audit/sentences';

const languageOptions = () => languageChoices([]).map(({ value, label }) => [value, label] as const);
const deviceOptions = () => Object.keys(DEVICE_PROFILES).map((id) => [id, deviceLabel(id)] as const);

/** The languages a person writes in and the devices they type on, of the whole list. */
export function CheckedFor({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const { languages, devices } = useList();
  const choose = useChoose();
  return (
    <Sheet title={t`What to check for`} isOpen={isOpen} onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <Text variant="bodyMedium">{t`Languages you write in`}</Text>
        <Several all={languageOptions()} chosen={languages} onChange={(next) => void choose({ languages: next })} />
        <Text variant="bodyMedium">{t`Devices you type on`}</Text>
        <Several all={deviceOptions()} chosen={devices} onChange={(next) => void choose({ devices: next })} />
      </ScrollView>
      <View style={styles.foot}>
        <LatchButton label={t`Done`} onPress={onClose} />
      </View>
    </Sheet>
  );
}

interface SeveralProps {
  all: readonly (readonly [value: string, label: string])[];
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}

/** Some of several, at least one. */
function Several({ all, chosen, onChange }: SeveralProps) {
  return (
    <View>
      {all.map(([value, label]) => {
        const isOn = chosen.includes(value);
        const isLast = isOn && chosen.length === 1;
        const next = isOn ? chosen.filter((one) => one !== value) : [...chosen, value];
        return (
          // The last one stays: against nothing, nothing is checked.
          <Tick key={value} role="checkbox" isOn={isOn} isDisabled={isLast} onPress={() => onChange(next)}>
            <Text variant="bodyLarge" style={isOn && STRONG}>
              {label}
            </Text>
          </Tick>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  foot: { paddingHorizontal: 20, paddingTop: 8 },
});
