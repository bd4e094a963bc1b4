import { useRouter, type Href } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { Icon, type IconName } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { choosing } from '@/parts/choosing';

const WAYS: readonly { icon: IconName; label: string; path: Href & string }[] = [
  { icon: 'file-up', label: 'Bring in a list or a file', path: '/import' },
  { icon: 'download', label: 'Files and backup', path: '/export' },
  { icon: 'printer', label: 'Sheet to keep in sight', path: '/sheet' },
  { icon: 'folder', label: 'Sets, and their order', path: '/sets' },
  { icon: 'history', label: 'History of the list', path: '/devices/history' },
  { icon: 'trash', label: 'Deleted', path: '/devices/deleted' },
];

/** What is done to the list as a whole. */
export function ListMenu() {
  const palette = usePalette();
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const hasAny = useList().shortcuts.length > 0;
  return (
    <>
      <IconButton
        icon="more"
        size={22}
        style={styles.button}
        accessibilityLabel="More about the list"
        onPress={() => setOpen(true)}
      />
      <Sheet title="The list" isOpen={isOpen} onClose={() => setOpen(false)}>
        <View>
          {hasAny && (
            <PressLink
              onPress={() => {
                setOpen(false);
                router.navigate('/');
                choosing.begin();
              }}
              style={styles.way}
            >
              <Icon name="choose" color={palette.ink} />
              <Text variant="bodyLarge">Choose several</Text>
            </PressLink>
          )}
          {WAYS.map(({ icon, label, path }) => (
            <PressLink
              key={path}
              onPress={() => {
                setOpen(false);
                router.navigate(path);
              }}
              style={styles.way}
            >
              <Icon name={icon} color={palette.ink} />
              <Text variant="bodyLarge">{label}</Text>
            </PressLink>
          ))}
        </View>
      </Sheet>
    </>
  );
}

const styles = StyleSheet.create({
  button: { width: 48, height: 48, margin: 0 },
  way: { flexDirection: 'row', alignItems: 'center', gap: 16, minHeight: 52, paddingHorizontal: 20 },
});
