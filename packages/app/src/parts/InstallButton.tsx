import { t } from '@lingui/core/macro';
import { useSyncExternalStore } from 'react';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { install } from './install';

/** Installs the app, where the browser offers it; elsewhere nothing. */
export function InstallButton() {
  const isOffered = useSyncExternalStore(install.changes.subscribe, () => install.isOffered);
  if (!isOffered) return null;
  return (
    <Button
      icon="download"
      mode="outlined"
      onPress={() => void install.ask()}
      style={styles.button}
      contentStyle={styles.tall}
    >{t`Install the app`}</Button>
  );
}

const styles = StyleSheet.create({ button: { alignSelf: 'flex-start', borderRadius: 6 }, tall: { minHeight: 48 } });
