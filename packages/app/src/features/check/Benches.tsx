import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import { usePathname, useRouter, type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

interface Bench {
  path: Href & string;
  label: MessageDescriptor;
  icon: IconName;
}

const BENCHES: readonly Bench[] = [
  { path: '/phrases', label: msg`Find phrases`, icon: 'inbox' },
  { path: '/check/own-text', label: msg`Own texts`, icon: 'file-text' },
  { path: '/check/conventions', label: msg`Markers`, icon: 'ruler' },
  { path: '/check/plan', label: msg`Plan`, icon: 'replace' },
  { path: '/check/savings', label: msg`Savings`, icon: 'timer' },
];

/** The benches of the workshop: other ways to look at the list than finding by finding. */
export function Benches() {
  const palette = usePalette();
  const router = useRouter();
  const pathname = usePathname();
  return (
    <View style={[styles.row, { borderColor: palette.ink, backgroundColor: palette.ink }]}>
      {BENCHES.map(({ path, label, icon }) => {
        const isHere = pathname.startsWith(path);
        return (
          <PressLink
            key={path}
            aria-current={isHere ? 'page' : undefined}
            onPress={() => router.navigate({ pathname: path, params: path === '/phrases' ? { from: 'check' } : {} })}
            style={[styles.bench, { backgroundColor: isHere ? palette.surface : palette.ground }]}
          >
            <Icon name={icon} size={20} color={palette.ink} />
            <Text variant="bodyMedium" numberOfLines={2} style={[styles.label, isHere && STRONG]}>
              {i18n._(label)}
            </Text>
          </PressLink>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  // The lines between them are what shows through the gaps, also where they stand in two rows.
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 1.5, borderWidth: 1.5, borderRadius: 8, overflow: 'hidden' },
  bench: {
    flexGrow: 1,
    flexBasis: 0,
    ...webStyle({ minWidth: 'min-content' }),
    paddingHorizontal: 4,
    minHeight: 60,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 4,
  },
  label: { textAlign: 'center' },
});
