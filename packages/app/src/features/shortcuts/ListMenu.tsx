import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { useRouter, type Href } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { Icon, type IconName } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';

import { choosing } from '@/parts/choosing';

interface Way {
  readonly icon: IconName;
  readonly label: MessageDescriptor;
  readonly path: Href & string;
}

/** What adds several at once. */
const ADDING: readonly Way[] = [
  { icon: 'inbox', label: msg`Find phrases`, path: '/phrases' },
  { icon: 'omega', label: msg`Symbols`, path: '/symbols' },
  { icon: 'users', label: msg`People`, path: '/people' },
  { icon: 'spell-check', label: msg`Corrections`, path: '/corrections' },
  { icon: 'clipboard-list', label: msg`Clips`, path: '/clips' },
];

const WAYS: readonly Way[] = [
  { icon: 'file-up', label: msg`Import`, path: '/import' },
  { icon: 'download', label: msg`Export and back up`, path: '/export' },
  { icon: 'printer', label: msg`Print a sheet`, path: '/sheet' },
  { icon: 'folder', label: msg`Sets`, path: '/sets' },
  { icon: 'history', label: msg`History`, path: '/devices/history' },
  { icon: 'compass', label: msg`Where codes expand`, path: '/where' },
  { icon: 'trash', label: msg`Deleted`, path: '/devices/deleted' },
  { icon: 'settings', label: msg`Settings`, path: '/devices/settings' },
];

/** What is done to the list as a whole. */
export function ListMenu() {
  const palette = usePalette();
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const hasAny = useList().shortcuts.length > 0;
  const canEdit = useMay() === 'edit';
  return (
    <>
      <IconButton
        icon="more"
        size={22}
        style={styles.button}
        accessibilityLabel={t`More`}
        onPress={() => setOpen(true)}
      />
      <Sheet title={t`Your list`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView>
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
              <Text variant="bodyLarge">{t`Select several`}</Text>
            </PressLink>
          )}
          {[...(canEdit ? ADDING : []), ...WAYS].map(({ icon, label, path }) => (
            <PressLink
              key={path}
              onPress={() => {
                setOpen(false);
                router.navigate({
                  pathname: path,
                  params: path.startsWith('/devices/') ? { from: 'list' } : {},
                });
              }}
              style={styles.way}
            >
              <Icon name={icon} color={palette.ink} />
              <Text variant="bodyLarge">{i18n._(label)}</Text>
            </PressLink>
          ))}
        </ScrollView>
      </Sheet>
    </>
  );
}

const styles = StyleSheet.create({
  button: { width: 48, height: 48, margin: 0 },
  way: { flexDirection: 'row', alignItems: 'center', gap: 16, minHeight: 52, paddingHorizontal: 20 },
});
