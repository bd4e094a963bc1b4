import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useChoose } from '@/frame/replica/useChoose';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { chooseScheme, SCHEMES, useChosenScheme, type Scheme } from '@/look/scheme';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { DeviceName } from '@/parts/DeviceName';
import { devicesIn, useDirectory } from '@/parts/directory';
import { languageChoices } from '@/parts/languages';
import { SeveralOf } from '@/parts/SeveralOf';
import { useWriteSettings, type WriteSettings } from '@/parts/writeSettings';

const SCHEME_WORDS: Record<Scheme, MessageDescriptor> = {
  system: msg`Same as this device`,
  light: msg`Light`,
  dark: msg`Dark`,
};

const SIGNALS: readonly (readonly [
  name: keyof WriteSettings & ('flash' | 'sound' | 'missed'),
  label: MessageDescriptor,
])[] = [
  ['flash', msg`Flash when a code expands`],
  ['sound', msg`Play a sound when a code expands`],
  ['missed', msg`Tell me when I type out something I have a code for`],
];

/** What is set once: how the app looks, what it tells while one writes, the languages, and this device's name. */
export default function SettingsPage() {
  const scheme = useChosenScheme();
  const [writing, setWriting] = useWriteSettings();
  const { languages, devices } = useList();
  const choose = useChoose();
  const { replica } = useOpened();
  const { directory } = useDirectory();
  const self = replica.state.id;
  const device = directory && devicesIn(directory, self).find(({ id }) => id === self);
  return (
    <DetailPage title={t`Settings`} about="settings">
      <Part title={t`Look`}>
        <RadioGroup label={t`Look`} hasChosen>
          {SCHEMES.map((value) => (
            <Tick key={value} role="radio" isOn={value === scheme} onPress={() => chooseScheme(value)}>
              <Text variant="bodyLarge" style={value === scheme && STRONG}>
                {i18n._(SCHEME_WORDS[value])}
              </Text>
            </Tick>
          ))}
        </RadioGroup>
      </Part>
      <Part title={t`While you write`}>
        {SIGNALS.map(([name, label]) => (
          <Tick
            key={name}
            role="checkbox"
            isOn={writing[name]}
            onPress={() => setWriting({ ...writing, [name]: !writing[name] })}
          >
            <Text variant="bodyLarge">{i18n._(label)}</Text>
          </Tick>
        ))}
      </Part>
      <Part title={t`Languages you write in`}>
        <SeveralOf
          label={t`Languages you write in`}
          all={languageChoices(languages)}
          chosen={languages}
          onChange={(next) => void choose({ languages: next })}
        />
      </Part>
      {device && (
        <Part title={t`This device`}>
          <DeviceName
            key={device.name}
            name={device.name}
            joined={device.id}
            device={devices.find((one) => one.joined === device.id) ?? null}
          />
        </Part>
      )}
      <View style={styles.ways}>
        <Way icon="info" label={t`About`} path="/devices/about" />
      </View>
    </DetailPage>
  );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View style={styles.part}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {title}
      </Text>
      {children}
    </View>
  );
}

function Way({ icon, label, path }: { icon: IconName; label: string; path: '/devices/about' }) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <PressLink onPress={() => router.navigate(path)} style={[styles.way, { borderColor: palette.line }]}>
      <Icon name={icon} size={22} color={palette.ink} />
      <Text variant="bodyLarge" style={styles.label}>
        {label}
      </Text>
      <Icon name="chevron-right" size={18} color={palette.inkSoft} />
    </PressLink>
  );
}

const styles = StyleSheet.create({
  part: { gap: 4 },
  ways: { gap: 10 },
  way: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    minHeight: 56,
    paddingHorizontal: 12,
    borderWidth: 1.5,
    borderRadius: 8,
  },
  label: { flex: 1 },
});
