import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePageTitle } from '@/look/usePageTitle';

/** The address of an invitation, opened on a device that is in a list already. */
export default function Join() {
  const router = useRouter();
  usePageTitle(t`This device already has a list`);
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={1}>{t`This device already has a list`}</Text>
      <Text variant="bodyLarge">{t`A device can have one list. To join another, first sign out this device under Devices. Then open this link again.`}</Text>
      <Button
        mode="outlined"
        onPress={() => router.navigate('/devices')}
        contentStyle={{ minHeight: 48 }}
      >{t`Open Devices`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 24, gap: 16, alignItems: 'flex-start', maxWidth: 560 } });
