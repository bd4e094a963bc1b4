import { t } from '@lingui/core/macro';
import { DEVICE_PROFILES } from '@yellow-latch/core/fit';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { languageChoices } from '@/parts/languages';
import { SeveralOf } from '@/parts/SeveralOf';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useChoose } from '@/frame/replica/useChoose';
import { deviceLabel } from '@/answers/audit/sentences';

const deviceChoices = () => Object.keys(DEVICE_PROFILES).map((value) => ({ value, label: deviceLabel(value) }));

/** The languages a person writes in and the devices they type on, of the whole list. */
export function CheckedFor({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const { languages, devices } = useList();
  const choose = useChoose();
  return (
    <Sheet title={t`What to check for`} isOpen={isOpen} onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <Text variant="bodyMedium">{t`Languages you write in`}</Text>
        <SeveralOf
          label={t`Languages you write in`}
          all={languageChoices(languages)}
          chosen={languages}
          onChange={(next) => void choose({ languages: next })}
        />
        <Text variant="bodyMedium">{t`Devices you type on`}</Text>
        <SeveralOf
          label={t`Devices you type on`}
          all={deviceChoices()}
          chosen={devices}
          onChange={(next) => void choose({ devices: next })}
        />
      </ScrollView>
      <View style={styles.foot}>
        <LatchButton label={t`Done`} onPress={onClose} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  foot: { paddingHorizontal: 20, paddingTop: 8 },
});
