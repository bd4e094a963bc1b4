import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { StyleSheet } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { DetailHead } from '@/look/DetailHead';
import { CopyButton } from '@/parts/CopyButton';
import { usePageTitle } from '@/look/usePageTitle';

/** The heading, with what one does to a shortcut that is saved: look at its history, copy what it gives. */
export function EditorHead({ saved }: { saved: Shortcut | null }) {
  const router = useRouter();
  const title = saved ? t`Shortcut` : t`New shortcut`;
  usePageTitle(title);
  return (
    <DetailHead back={t`Back to the list`} onBack={() => router.navigate('/')}>
      <Text variant="headlineSmall" role="heading" aria-level={1} style={styles.title}>
        {title}
      </Text>
      {saved && !saved.private && (
        <IconButton
          icon="history"
          size={22}
          style={styles.history}
          accessibilityLabel={t`History of this shortcut`}
          onPress={() => router.navigate({ pathname: '/history/[id]', params: { id: saved.id } })}
        />
      )}
      {saved && <CopyButton shortcut={saved} />}
    </DetailHead>
  );
}

const styles = StyleSheet.create({
  title: { flex: 1 },
  history: { width: 48, height: 48, margin: 0 },
});
