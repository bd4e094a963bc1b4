import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { DetailHead } from '@/look/DetailHead';
import { FocusHeading } from '@/look/FocusHeading';
import { CopyButton } from '@/parts/CopyButton';
import { usePageTitle } from '@/look/usePageTitle';

/** The heading, with what one does to a shortcut that is saved: look at its history, copy what it gives. */
export function EditorHead({ saved }: { saved: Shortcut | null }) {
  const router = useRouter();
  const title = saved ? t`Shortcut` : t`New shortcut`;
  usePageTitle(title);
  return (
    <DetailHead back={t`Back to the list`} onBack={() => router.navigate('/')}>
      {/* A new one begins with the cursor in its text. */}
      <FocusHeading focusOn={saved?.id ?? null} variant="titleLarge" style={styles.title}>
        {title}
      </FocusHeading>
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
