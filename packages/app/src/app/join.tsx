import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

/** The address of an invitation, opened on a device that is in a list already. */
export default function Join() {
  const router = useRouter();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={1}>
        This device is in a list already
      </Text>
      <Text variant="bodyLarge">
        A device is in one list. To join another with it, sign it out under Devices first, then open this address again.
        The code holds for ten minutes.
      </Text>
      <Button mode="outlined" onPress={() => router.navigate('/devices')} contentStyle={{ minHeight: 48 }}>
        To the devices
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 24, gap: 16, alignItems: 'flex-start', maxWidth: 560 } });
