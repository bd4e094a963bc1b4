import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { languageChoices } from '@/parts/languages';
import { SeveralOf } from '@/parts/SeveralOf';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useChoose } from '@/frame/replica/useChoose';
import { tellList } from '@/wording/format';

/** The languages a person writes in and the devices they type on, of the whole list. */
export function CheckedFor({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const router = useRouter();
  const { languages, devices } = useList();
  const names = tellList(devices.map(({ name }) => name));
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
        <Text variant="bodyMedium">{t`It’s checked for what you type on: ${names}.`}</Text>
        <Button
          mode="outlined"
          onPress={() => {
            onClose();
            router.navigate('/devices');
          }}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Change your devices`}</Button>
      </ScrollView>
      <View style={styles.foot}>
        <LatchButton label={t`Done`} onPress={onClose} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 4 },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
  foot: { paddingHorizontal: 20, paddingTop: 8 },
});
