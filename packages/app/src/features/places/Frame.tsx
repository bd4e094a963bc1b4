import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { usePathname, useRouter } from 'expo-router';
import { memo, Suspense, useEffect, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { countToFix } from '@yellow-latch/core/clash/sorted';
import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { LatchMark } from '@/look/LatchMark';
import { PressLink } from '@/look/PressLink';
import { useHasRail, usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

import { useReminder } from '@/answers/learn/reminder';
import { fetched } from '@/frame/fetched';
import { whenIdle } from '@/frame/moments';
import { announce, Announcer } from '@/frame/announce';
import { FocusKeeper, goToHeading, isField } from '@/frame/focus';
import { NoticeBar, useNoticeLeaving } from '@/frame/Notices';
import { useShellGone } from '@/frame/shell';
import { UpdateOffer } from '@/frame/UpdateOffer';
import { useCarryDue } from '@/answers/fit/useCarryDue';
import { tellList } from '@/wording/format';

import { StandInStrip } from './StandInStrip';
import { useFilesFromOutside } from './useFilesFromOutside';
import { usePlaceKeys } from './usePlaceKeys';

const FindSheet = fetched(async () => ({ default: (await import('@/bundles/find')).FindSheet }));
const KeysSheet = fetched(async () => ({ default: (await import('@/bundles/find')).KeysSheet }));

interface Place {
  path: '/' | '/write' | '/check' | '/devices' | '/learn';
  label: MessageDescriptor;
  icon: IconName;
}

/** The places, in the order of the menu. */
const PLACES: Place[] = [
  { path: '/', label: msg`Shortcuts`, icon: 'rows' },
  { path: '/write', label: msg`Write`, icon: 'pencil' },
  { path: '/check', label: msg`Check`, icon: 'scan' },
  { path: '/devices', label: msg`Devices`, icon: 'devices' },
  { path: '/learn', label: msg`Learn`, icon: 'sprout' },
];

/** What stands around every screen: the places, as a bar below on a phone, as a rail when wide. */
export function Frame({ children }: { children: ReactNode }) {
  const palette = usePalette();
  const isWide = useHasRail();
  const { unsaved } = useOpened();
  useShellGone();
  useEditorAtHand();
  useWriteAtHand();
  useVersionsSaid();
  useFocusKept();
  useNoticeLeaving(usePathname());
  useFilesFromOutside();
  useReminder();
  const isTyping = useIsKeyboardUp();
  const due = useCarryDue();
  const [sheet, setSheet] = useState<'find' | 'keys' | null>(null);
  usePlaceKeys({ find: () => setSheet('find'), keys: () => setSheet('keys') });
  const places = (
    <View
      role="navigation"
      aria-label={t`Main menu`}
      style={[isWide ? styles.rail : styles.bar, { backgroundColor: palette.surface, borderColor: palette.line }]}
    >
      {isWide && <SkipLink />}
      {isWide && (
        <View style={styles.mark}>
          <LatchMark size={40} />
        </View>
      )}
      {PLACES.map((place) => (
        <PlaceLink key={place.path} place={place} isWide={isWide} due={due} />
      ))}
    </View>
  );
  return (
    <View style={[styles.frame, isWide && styles.wide, { backgroundColor: palette.ground }]}>
      {isWide && places}
      <View role="main" style={styles.main}>
        <UpdateOffer settled={() => unsaved.settled()} />
        <StandInStrip />
        <View style={styles.main}>{children}</View>
        <NoticeBar />
      </View>
      {!isWide && !isTyping && places}
      <Announcer />
      <OnPaper />
      {sheet !== null && (
        <Suspense fallback={null}>
          <FindSheet isOpen={sheet === 'find'} onClose={() => setSheet(null)} />
          <KeysSheet isOpen={sheet === 'keys'} onClose={() => setSheet(null)} />
        </Suspense>
      )}
    </View>
  );
}

/** What comes out of a printer when the list is printed as any page of the web; see public/index.html. */
function OnPaper() {
  if (usePathname() !== '/') return null;
  return (
    <View nativeID="on-paper" aria-hidden>
      <Text>{t`To print your shortcuts, open Shortcuts, More, Print a sheet.`}</Text>
    </View>
  );
}

/** Says that two devices wrote different things, when that has just come in. */
function useVersionsSaid(): void {
  const count = useList().unsettled.length;
  const before = useRef(count);
  useEffect(() => {
    if (count > before.current) announce(tellWaiting(count, 0));
    before.current = count;
  }, [count]);
}

/** The first stop of Tab where the places stand first: past them to what is on the page. Seen only while it has the focus. */
function SkipLink() {
  const palette = usePalette();
  const [isSeen, setSeen] = useState(false);
  return (
    <PressLink
      onPress={goToHeading}
      onFocus={() => setSeen(true)}
      onBlur={() => setSeen(false)}
      style={[styles.skip, !isSeen && styles.unseen, { backgroundColor: palette.surface, borderColor: palette.ink }]}
    >
      <Text variant="labelLarge">{t`Skip the menu`}</Text>
    </PressLink>
  );
}

/** Lower than this, in CSS px, a phone shows its keyboard: what is left of the screen is for what one types. */
const KEYBOARD_UP = 560;

/** Whether somebody types on the keyboard of the screen. */
function useIsKeyboardUp(): boolean {
  const { height } = useWindowDimensions();
  const [isInField, setInField] = useState(false);
  useEffect(() => {
    // By touch, what is left above the keyboard is the view: it is for what one types. See public/index.html.
    const isTouched = matchMedia('(pointer: coarse)').matches;
    const look = () => {
      const isIn = isField(document.activeElement);
      setInField(isIn);
      document.documentElement.toggleAttribute('data-typing', isIn && isTouched);
    };
    document.addEventListener('focusin', look);
    document.addEventListener('focusout', look);
    return () => {
      document.removeEventListener('focusin', look);
      document.removeEventListener('focusout', look);
    };
  }, []);
  return isInField && height < KEYBOARD_UP;
}

/** See `FocusKeeper`. */
function useFocusKept(): void {
  const pathname = usePathname();
  const [keeper] = useState(() => new FocusKeeper());
  useEffect(() => keeper.start(), [keeper]);
  const isFirst = useRef(true);
  useEffect(() => {
    // The page that one comes with begins as any page of the web does.
    if (!isFirst.current) keeper.turnTo(pathname);
    isFirst.current = false;
  }, [keeper, pathname]);
}

/** The editor is fetched as soon as the list stands: it is what is opened next. */
function useEditorAtHand(): void {
  useEffect(() => whenIdle(() => void import('@/bundles/edit').catch(() => {})), []);
}

/** Write is fetched before it is gone to, since the server may be away by then; and after the list has begun to be checked. */
function useWriteAtHand(): void {
  const hasBegun = useAudit().state.phase !== 'idle';
  useEffect(() => {
    if (hasBegun) return whenIdle(() => void import('@/bundles/write').catch(() => {}));
  }, [hasBegun]);
}

/** The place that an address belongs to: what is open of the list belongs to the list. */
function placeOf(pathname: string): Place['path'] {
  return PLACES.find(({ path }) => path !== '/' && (pathname === path || pathname.startsWith(`${path}/`)))?.path ?? '/';
}

function tellToFix(count: number): string {
  return plural(count, { one: '# shortcut needs fixing', other: '# shortcuts need fixing' });
}

/** What waits under Devices: two versions of something, and what is to be done on devices by hand. */
function tellWaiting(versions: number, due: number): string {
  return tellList([
    ...(versions > 0
      ? [plural(versions, { one: '# thing with two versions', other: '# things with two versions' })]
      : []),
    ...(due > 0 ? [plural(due, { one: '# thing to copy over', other: '# things to copy over' })] : []),
  ]);
}

function PlaceLink({ place, isWide, due }: { place: Place; isWide: boolean; due: number }) {
  const pathname = usePathname();
  const isHere = placeOf(pathname) === place.path;
  const toFix = countToFix(useAudit().findings);
  const versions = useList().unsettled.length;
  const counts: Readonly<Record<string, number>> = { '/check': toFix, '/devices': versions + due };
  const count = counts[place.path] ?? 0;
  const label = i18n._(place.label);
  const tellToDo = () => (place.path === '/check' ? tellToFix(count) : tellWaiting(versions, due));
  return (
    <PlaceSign
      place={place}
      isWide={isWide}
      isHere={isHere}
      label={label}
      about={count > 0 ? `${label}, ${tellToDo()}` : label}
      badge={count > 0 ? count : null}
    />
  );
}

interface PlaceSignProps {
  place: Place;
  isWide: boolean;
  isHere: boolean;
  label: string;
  /** The label, and what is to be done there. */
  about: string;
  badge: number | null;
}

/** A place as it is drawn: not anew at each change of the list. */
const PlaceSign = memo(function PlaceSign({ place, isWide, isHere, label, about, badge }: PlaceSignProps) {
  const palette = usePalette();
  const router = useRouter();
  const color = isHere ? palette.ink : palette.inkSoft;
  return (
    <PressLink
      aria-current={isHere ? 'page' : undefined}
      aria-label={about}
      onPress={() => router.navigate(place.path)}
      style={[styles.place, isWide && styles.railPlace]}
    >
      <View
        style={[isWide ? styles.hereRail : styles.here, { backgroundColor: isHere ? palette.ink : 'transparent' }]}
      />
      <Icon name={place.icon} color={color} />
      <Text variant="labelLarge" style={[styles.name, { color }, isHere && styles.bold]}>
        {label}
      </Text>
      {badge !== null && (
        <View style={[styles.badge, isWide ? styles.railBadge : styles.barBadge, { backgroundColor: palette.ink }]}>
          <Text variant="labelMedium" style={{ color: palette.surface }}>
            {badge > 99 ? '99+' : badge}
          </Text>
        </View>
      )}
    </PressLink>
  );
});

const styles = StyleSheet.create({
  frame: { flex: 1 },
  skip: {
    position: 'absolute',
    top: 8,
    left: 8,
    zIndex: 1,
    minHeight: 48,
    justifyContent: 'center',
    paddingHorizontal: 16,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  unseen: { opacity: 0, pointerEvents: 'none' },
  wide: { flexDirection: 'row' },
  main: { flex: 1, minHeight: 0, minWidth: 0 },
  bar: { flexDirection: 'row', borderTopWidth: 1 },
  rail: { width: 96, borderRightWidth: 1, paddingTop: 16, gap: 4 },
  mark: { alignItems: 'center', paddingBottom: 16 },
  place: {
    flex: 1,
    minHeight: 60,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
  },
  railPlace: { flex: 0, minHeight: 72, gap: 4 },
  here: { position: 'absolute', top: -1, left: 24, right: 24, height: 3 },
  hereRail: { position: 'absolute', right: -1, top: 12, bottom: 12, width: 3 },
  // As large as there is room for: the five stand side by side.
  name: webStyle({ fontSize: 'min(0.875rem, 3.5vw, 18px)' }),
  bold: STRONG,
  badge: {
    minWidth: 22,
    height: 20,
    borderRadius: 4,
    paddingHorizontal: 5,
    alignItems: 'center',
    justifyContent: 'center',
  },
  barBadge: { position: 'absolute', top: 5, left: '50%', marginLeft: 13 },
  railBadge: { position: 'absolute', top: 8, right: 10 },
});
