import { usePathname, useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { LatchMark } from '@/look/LatchMark';
import { useIsWide, usePalette } from '@/look/useLook';

interface Place {
  path: '/' | '/write';
  label: string;
  icon: IconName;
}

/** The places that work today; a place enters here when it does. */
const PLACES: Place[] = [
  { path: '/', label: 'Shortcuts', icon: 'rows' },
  { path: '/write', label: 'Write', icon: 'pencil' },
];

/** What stands around every screen: the places, as a bar below on a phone, as a rail when wide. */
export function Frame({ children }: { children: ReactNode }) {
  const palette = usePalette();
  const isWide = useIsWide();
  const places = (
    <View
      role="navigation"
      aria-label="Places"
      style={[
        isWide ? styles.rail : styles.bar,
        { backgroundColor: palette.surface, borderColor: palette.line },
      ]}
    >
      {isWide && (
        <View style={styles.mark}>
          <LatchMark size={40} />
        </View>
      )}
      {PLACES.map((place) => (
        <PlaceLink key={place.path} place={place} isWide={isWide} />
      ))}
    </View>
  );
  return (
    <View style={[styles.frame, isWide && styles.wide, { backgroundColor: palette.ground }]}>
      {isWide && places}
      <View role="main" style={styles.main}>
        {children}
      </View>
      {!isWide && places}
    </View>
  );
}

function PlaceLink({ place, isWide }: { place: Place; isWide: boolean }) {
  const palette = usePalette();
  const router = useRouter();
  const pathname = usePathname();
  const isHere = place.path === '/write' ? pathname === '/write' : pathname !== '/write';
  const color = isHere ? palette.ink : palette.inkSoft;
  return (
    <Pressable
      role="link"
      aria-current={isHere ? 'page' : undefined}
      onPress={() => router.navigate(place.path)}
      style={[styles.place, isWide && styles.railPlace]}
    >
      <View
        style={[
          isWide ? styles.hereRail : styles.here,
          { backgroundColor: isHere ? palette.ink : 'transparent' },
        ]}
      />
      <Icon name={place.icon} color={color} />
      <Text variant="labelLarge" style={[{ color }, isHere && styles.bold]}>
        {place.label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1 },
  wide: { flexDirection: 'row' },
  main: { flex: 1, minHeight: 0, minWidth: 0 },
  bar: { flexDirection: 'row', borderTopWidth: 1 },
  rail: { width: 96, borderRightWidth: 1, paddingTop: 16, gap: 4 },
  mark: { alignItems: 'center', paddingBottom: 16 },
  place: {
    flex: 1,
    minHeight: 56,
    alignItems: 'center',
    justifyContent: 'center',
    flexDirection: 'row',
    gap: 8,
  },
  railPlace: { flex: 0, minHeight: 72, flexDirection: 'column', gap: 4 },
  here: { position: 'absolute', top: -1, left: 24, right: 24, height: 3 },
  hereRail: { position: 'absolute', right: -1, top: 12, bottom: 12, width: 3 },
  bold: STRONG,
});
