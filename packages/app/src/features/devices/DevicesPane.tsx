import { plural, t } from '@lingui/core/macro';
import type { DeviceInfo } from '@yellow-latch/core/sync';
import { useGlobalSearchParams, usePathname, useRouter, type Href } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Insecure } from '@/parts/Insecure';
import { InstallButton } from '@/parts/InstallButton';
import { SyncLine } from '@/frame/SyncLine';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { keepForGood } from '@/frame/replica/keeping';
import { useList, useManages, useOpened } from '@/frame/replica/ReplicaProvider';
import { tellMoment } from '@/wording/format';
import { usePageTitle } from '@/look/usePageTitle';

import { DeleteList } from './DeleteList';
import { devicesIn, useDirectory } from '@/parts/directory';
import { tellBounds, tellStep } from './words';

/** The place Devices: who is in, how far each has come, and what is to be looked after. */
export function DevicesPane() {
  const palette = usePalette();
  const router = useRouter();
  const { replica } = useOpened();
  const { unsettled } = useList();
  const { directory, isAway } = useDirectory();
  const { id: openId } = useGlobalSearchParams<{ id?: string }>();
  const pathname = usePathname();
  const canManage = useManages();
  const self = replica.state.id;
  usePageTitle(t`Devices`, { isList: true });
  const spareKey = directory?.spareKey ?? null;
  return (
    <View style={styles.pane}>
      <ScrollView contentContainerStyle={styles.content}>
        <View style={styles.titleRow}>
          <Text variant="headlineSmall" role="heading" aria-level={1}>{t`Devices`}</Text>
          <SyncLine />
        </View>
        <Insecure />
        {unsettled.length > 0 && (
          <Line
            icon="split"
            path="/devices/versions"
            isHere={pathname === '/devices/versions'}
            isLoud
            label={plural(unsettled.length, { one: 'Two versions of # thing', other: 'Two versions of # things' })}
          >{t`Changed on two devices at once. Choose which to keep.`}</Line>
        )}
        <View role="list" aria-label={t`Your devices`}>
          {directory ? (
            devicesIn(directory, self).map((device) => (
              <DeviceRow key={device.id} device={device} isSelf={device.id === self} isOpen={device.id === openId} />
            ))
          ) : (
            <Text variant="bodyLarge" style={styles.empty}>
              {isAway ? t`You’re offline. Connect to see your devices.` : t`Loading…`}
            </Text>
          )}
        </View>
        {canManage && (
          <View style={styles.primary}>
            <LatchButton
              icon="plus"
              label={t`Add a device`}
              isQuiet={pathname === '/devices/invite'}
              onPress={() => router.navigate('/devices/invite')}
            />
          </View>
        )}
        <View style={styles.lines}>
          <Line
            icon="key"
            path="/devices/spare-key"
            isHere={pathname === '/devices/spare-key'}
            label={t`Spare key`}
            isLoud={directory !== null && spareKey === null}
          >
            {spareKey === null
              ? t`None yet. It gets your list back if you lose all your devices.`
              : t`Made ${{ moment: tellMoment(spareKey) }}. It gets your list back if you lose all your devices.`}
          </Line>
          <Line
            icon="history"
            path="/devices/history"
            isHere={pathname === '/devices/history'}
            label={t`History`}
          >{t`Every change from the last 90 days. Undo any of them.`}</Line>
          <Line
            icon="trash"
            path="/devices/deleted"
            isHere={pathname === '/devices/deleted'}
            label={t`Deleted`}
          >{t`Everything deleted in the last 90 days. Restore any of it.`}</Line>
          <Line
            icon="settings"
            path="/devices/settings"
            isHere={pathname === '/devices/settings'}
            label={t`Settings`}
          >{t`Look, signals, languages and this device’s name.`}</Line>
          <Line
            icon="info"
            path="/devices/about"
            isHere={pathname === '/devices/about'}
            label={t`About`}
          >{t`Version, what is stored where, and licences.`}</Line>
        </View>
        <Keeping />
        <InstallButton />
        <Text
          variant="bodySmall"
          style={{ color: palette.inkSoft }}
        >{t`Private shortcuts and drafts stay on the device where you made them.`}</Text>
        {canManage && directory && !directory.open && <DeleteList />}
      </ScrollView>
    </View>
  );
}

function DeviceRow({ device, isSelf, isOpen }: { device: DeviceInfo; isSelf: boolean; isOpen: boolean }) {
  const palette = usePalette();
  const router = useRouter();
  const bounds = tellBounds(device);
  const step = tellStep(device);
  return (
    <View role="listitem">
      <PressLink
        aria-label={[device.name, ...(isSelf ? [t`this device`] : []), step, ...(bounds ? [bounds] : [])].join(', ')}
        aria-current={isOpen ? 'true' : undefined}
        onPress={() => router.navigate({ pathname: '/devices/[id]', params: { id: device.id } })}
        style={[styles.device, { borderColor: palette.line }, isOpen && { backgroundColor: palette.surface }]}
      >
        <Icon name={device.kind} size={26} color={palette.ink} />
        <View style={styles.words}>
          <View style={styles.names}>
            <Text variant="bodyLarge" numberOfLines={1} style={[STRONG, styles.name]}>
              {device.name}
            </Text>
            {isSelf && <Text variant="bodySmall">{t`this device`}</Text>}
          </View>
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
            {step}
            {bounds && `; ${bounds}`}
          </Text>
        </View>
        <Icon name={device.behind === 0 ? 'check' : 'refresh'} size={18} color={palette.inkSoft} />
      </PressLink>
    </View>
  );
}

interface LineProps {
  icon: IconName;
  path: Href & string;
  label: string;
  isHere: boolean;
  isLoud?: boolean;
  children: string;
}

function Line({ icon, path, label, isHere, isLoud = false, children }: LineProps) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <PressLink
      aria-label={`${label}. ${children}`}
      aria-current={isHere ? 'page' : undefined}
      onPress={() => router.navigate(path)}
      style={[
        styles.line,
        isLoud ? [styles.loud, { borderColor: palette.ink }] : { borderColor: palette.line },
        isHere && { backgroundColor: palette.surface },
      ]}
    >
      <Icon name={icon} size={22} color={palette.ink} />
      <View style={styles.words}>
        <Text variant="bodyLarge" style={STRONG}>
          {label}
        </Text>
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {children}
        </Text>
      </View>
      <Icon name="chevron-right" size={18} color={palette.inkSoft} />
    </PressLink>
  );
}

/** Whether the browser has promised to keep what is here. */
function Keeping() {
  const palette = usePalette();
  const [isPromised, setPromised] = useState<boolean | null>(null);
  useEffect(() => {
    void keepForGood().then(setPromised);
  }, []);
  if (isPromised === null) return null;
  return (
    <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
      {isPromised
        ? t`This browser keeps your list even when it’s short of space.`
        : t`This browser may delete your list from this device when it’s short of space. It stays on the server. Install the app to prevent that.`}
    </Text>
  );
}

const styles = StyleSheet.create({
  pane: { flex: 1, minHeight: 0 },
  content: { paddingHorizontal: 16, paddingTop: 12, paddingBottom: 24, gap: 12 },
  titleRow: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 16 },
  device: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    minHeight: 64,
    paddingVertical: 8,
    paddingHorizontal: 4,
    borderBottomWidth: 1,
  },
  words: { flex: 1, minWidth: 0 },
  names: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  name: { flexShrink: 1 },
  empty: { paddingVertical: 16 },
  primary: { flexDirection: 'row' },
  lines: { gap: 10 },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    minHeight: 64,
    paddingVertical: 8,
    paddingHorizontal: 12,
    borderWidth: 1.5,
    borderRadius: 8,
  },
  loud: { borderLeftWidth: 6, paddingLeft: 7.5 },
});
