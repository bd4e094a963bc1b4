import { t } from '@lingui/core/macro';
import { useEffect } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';

import { useShellGone } from './shell';

interface TroubleProps {
  error: Error;
  retry: () => void;
}

/**
 * What stands where the app has failed. Made of nothing that could fail with it: no theme, no
 * icons.
 */
export function Trouble(props: TroubleProps) {
  return (
    <View role="main" style={styles.page}>
      <Words {...props} />
    </View>
  );
}

/** What stands where one place has failed: the others go on, and lead out of it. */
export function PlaceTrouble(props: TroubleProps) {
  return (
    <View style={styles.page}>
      <Words {...props} />
    </View>
  );
}

function Words({ error, retry }: TroubleProps) {
  useShellGone();
  // Not on the screen: a person can do nothing with it, and who looks into it finds it here.
  useEffect(() => console.error(error), [error]);
  return (
    <>
      <Text role="heading" aria-level={1} style={styles.title}>{t`Something went wrong`}</Text>
      <Text style={styles.text}>{t`Your list is safe on this device. Try again, or go to another page.`}</Text>
      <Pressable role="button" onPress={retry} style={styles.button}>
        <Text style={styles.label}>{t`Try again`}</Text>
      </Pressable>
    </>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, justifyContent: 'center', padding: 32, gap: 16, backgroundColor: '#dde4e4' },
  title: { fontSize: 20, fontWeight: '700', color: '#0a3a42' },
  text: { fontSize: 16, color: '#0a3a42', maxWidth: 560 },
  button: {
    minHeight: 48,
    justifyContent: 'center',
    alignSelf: 'flex-start',
    paddingHorizontal: 18,
    borderWidth: 1.5,
    borderRadius: 6,
    borderColor: '#0a3a42',
  },
  label: { fontSize: 16, fontWeight: '700', color: '#0a3a42' },
});
