import { plural, t } from '@lingui/core/macro';
import type { DeviceInfo } from '@yellow-latch/core/sync';
import type { Device } from '@yellow-latch/core/model';
import { kindsMissing } from '@yellow-latch/replica/commands/devices';
import { useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Insecure } from '@/parts/Insecure';
import { InstallButton } from '@/parts/InstallButton';
import { SyncLine } from '@/frame/SyncLine';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { keepForGood } from '@/frame/replica/keeping';
import { useList, useManages, useOpened } from '@/frame/replica/ReplicaProvider';
import { tellMoment } from '@/wording/format';
import { usePageTitle } from '@/look/usePageTitle';

import { OfferCard } from '@/parts/OfferCard';
import { useKept } from '@/frame/replica/useKept';

import { DeleteList } from './DeleteList';
import { devicesIn, useDirectory } from '@/parts/directory';
import { OpenStandIn } from './OpenStandIn';
import { WayLine } from './WayLine';
import { tellBounds, tellStep } from './words';

/** The place Devices: who is in, how far each has come, and what is to be looked after. */
export function DevicesPane() {
  const palette = usePalette();
  const router = useRouter();
  const { replica } = useOpened();
  const { unsettled, devices } = useList();
  const { directory, isAway } = useDirectory();
  const { id: openId } = useGlobalSearchParams<{ id?: string }>();
  const pathname = usePathname();
  const canManage = useManages();
  const self = replica.state.id;
  usePageTitle(t`Devices`, { isList: true });
  const spareKey = directory?.spareKey ?? null;
  const hasTable = devices.length > 1;
  const rows = rowsOf(devices, directory ? devicesIn(directory, self) : [], self);
  return (
    <View style={styles.pane}>
      <ScrollView contentContainerStyle={styles.content}>
        <View style={styles.titleRow}>
          <Text variant="headlineSmall" role="heading" aria-level={1}>{t`Devices`}</Text>
          <SyncLine />
        </View>
        <Insecure />
        {unsettled.length > 0 && (
          <WayLine
            icon="split"
            path="/devices/versions"
            isHere={pathname === '/devices/versions'}
            isLoud
            label={plural(unsettled.length, { one: 'Two versions of # thing', other: 'Two versions of # things' })}
          >{t`Changed on two devices at once. Choose which to keep.`}</WayLine>
        )}
        <View role="list" aria-label={t`Your devices`}>
          {rows.map(({ device, joined }) => (
            <DeviceRow
              key={device?.id ?? joined!.id}
              device={device}
              joined={joined}
              isSelf={(joined?.id ?? device?.joined) === self}
              isOpen={openId !== undefined && (openId === device?.id || openId === joined?.id)}
            />
          ))}
        </View>
        {!directory && (
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
            {isAway ? t`You’re offline. Connect to see which devices are online.` : t`Loading…`}
          </Text>
        )}
        <AskForOthers />
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
        {canManage && directory && <OpenStandIn isOpen={directory.open} />}
        <View style={styles.lines}>
          {hasTable && (
            <WayLine
              icon="choose"
              path="/devices/table"
              isHere={pathname === '/devices/table'}
              label={t`What works where`}
            >{t`Your shortcuts on each device, side by side.`}</WayLine>
          )}
          <WayLine
            icon="key"
            path="/devices/spare-key"
            isHere={pathname === '/devices/spare-key'}
            label={t`Spare key`}
            isLoud={directory !== null && spareKey === null}
          >
            {spareKey === null
              ? t`None yet. It gets your list back if you lose all your devices.`
              : t`Made ${{ moment: tellMoment(spareKey) }}. It gets your list back if you lose all your devices.`}
          </WayLine>
          <WayLine
            icon="history"
            path="/devices/history"
            isHere={pathname === '/devices/history'}
            label={t`History`}
          >{t`Every change from the last 90 days. Undo any of them.`}</WayLine>
          <WayLine
            icon="trash"
            path="/devices/deleted"
            isHere={pathname === '/devices/deleted'}
            label={t`Deleted`}
          >{t`Everything deleted in the last 90 days. Restore any of it.`}</WayLine>
          <WayLine
            icon="settings"
            path="/devices/settings"
            isHere={pathname === '/devices/settings'}
            label={t`Settings`}
          >{t`Look, signals, languages and this device’s name.`}</WayLine>
          <WayLine
            icon="info"
            path="/devices/about"
            isHere={pathname === '/devices/about'}
            label={t`About`}
          >{t`Version, what is stored where, and licences.`}</WayLine>
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

interface Row {
  /** What is typed on; null: nobody has said so of this one. */
  device: Device | null;
  joined: DeviceInfo | null;
}

/** Every device that is typed on, and every other that has joined; this one first. */
function rowsOf(devices: readonly Device[], joined: readonly DeviceInfo[], self: string): Row[] {
  const byId = new Map(joined.map((one) => [one.id, one]));
  const typedOn = devices.map((device) => ({
    device,
    joined: device.joined === null ? null : (byId.get(device.joined) ?? null),
  }));
  const known = new Set(devices.map((device) => device.joined));
  const others = joined.filter(({ id }) => !known.has(id)).map((one) => ({ device: null, joined: one }));
  const isSelf = (row: Row) => (row.joined?.id ?? row.device?.joined) === self;
  return [...typedOn, ...others].sort((a, b) => Number(isSelf(b)) - Number(isSelf(a)));
}

function DeviceRow({ device, joined, isSelf, isOpen }: Row & { isSelf: boolean; isOpen: boolean }) {
  const palette = usePalette();
  const router = useRouter();
  const { name, kind } = (device ?? joined)!;
  const told = [
    ...(joined ? [tellStep(joined), tellBounds(joined)] : []),
    ...(!joined && device?.joined === null ? [t`doesn’t run Yellow Latch`] : []),
    ...(device ? [] : [t`not set up yet`]),
  ].filter((one) => one !== null);
  const line = told.join('; ');
  return (
    <View role="listitem">
      <PressLink
        aria-label={[name, ...(isSelf ? [t`this device`] : []), ...told].join(', ')}
        aria-current={isOpen ? 'true' : undefined}
        onPress={() => router.navigate({ pathname: '/devices/[id]', params: { id: device?.id ?? joined!.id } })}
        style={[styles.device, { borderColor: palette.line }, isOpen && { backgroundColor: palette.surface }]}
      >
        <Icon name={kind} size={26} color={palette.ink} />
        <View style={styles.words}>
          <View style={styles.names}>
            <Text variant="bodyLarge" numberOfLines={1} style={[STRONG, styles.name]}>
              {name}
            </Text>
            {isSelf && <Text variant="bodySmall">{t`this device`}</Text>}
          </View>
          {line !== '' && (
            <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
              {line}
            </Text>
          )}
        </View>
        {joined ? (
          <Icon name={joined.behind === 0 ? 'check' : 'refresh'} size={18} color={palette.inkSoft} />
        ) : (
          <Icon name="chevron-right" size={18} color={palette.inkSoft} />
        )}
      </PressLink>
    </View>
  );
}

/** Asks once, while there is one device alone, for others. */
function AskForOthers() {
  const router = useRouter();
  const palette = usePalette();
  const list = useList();
  const [isAsked, setAsked] = useKept('asked-for-devices', false);
  const [missing] = kindsMissing(list);
  if (isAsked || list.devices.length > 1 || list.shortcuts.length === 0 || missing === undefined) return null;
  return (
    <OfferCard
      glyph={<Icon name={missing} size={24} color={palette.ink} />}
      text={missing === 'phone' ? t`Do you type on a phone, too?` : t`Do you type on a computer, too?`}
      action={missing === 'phone' ? t`Add my phone` : t`Add my computer`}
      onTake={() => router.navigate('/devices/invite')}
      onDecline={() => setAsked(true)}
    />
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
  primary: { flexDirection: 'row' },
  lines: { gap: 10 },
});
