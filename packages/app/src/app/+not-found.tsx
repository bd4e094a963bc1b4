import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { FocusHeading } from '@/look/FocusHeading';
import { usePageTitle } from '@/look/usePageTitle';

/** An address that leads nowhere says so, and leads to the list. */
export default function NotFound() {
  const router = useRouter();
  usePageTitle(t`Page not found`);
  return (
    <View style={styles.page}>
      <FocusHeading focusOn="not-found" variant="headlineSmall">{t`Page not found`}</FocusHeading>
      <Text variant="bodyLarge">{t`There’s nothing at this address. Your list is where it was.`}</Text>
      <Button
        mode="outlined"
        onPress={() => router.replace('/')}
        contentStyle={styles.tall}
      >{t`Go to your shortcuts`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 16, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
});
