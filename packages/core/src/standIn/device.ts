import { placesFor } from '../devices';
import type { DeviceKind } from '../model';
import { DEVICE_PROFILES, THIS_APP, type DeviceProfile } from '../profile';

/** Which of its two lists a stand-in types with: that of the app, in sync, or the one it brought along. */
export type Source = 'app' | 'own';

/** What its owner may set on its edge. */
export interface Switches {
  readonly isOffline: boolean;
  /** How far its clock is off, in ms; 0: it is right. */
  readonly clockOff: number;
  /** Nothing more can be kept on it. */
  readonly isFull: boolean;
  /** The language of its keyboard (BCP 47, base alone). */
  readonly language: string;
  /** Whether it makes quotes, dashes and dots typographic. */
  readonly smartPunctuation: boolean;
  readonly correctsSpelling: boolean;
  /** Nothing is typed but by taps: no hardware keyboard is there. */
  readonly tapsOnly: boolean;
}

/** A stand-in as it comes out of its box. */
export function usualSwitches(kind: DeviceKind): Switches {
  const isGlass = kind !== 'computer';
  return {
    isOffline: false,
    clockOff: 0,
    isFull: false,
    language: 'en',
    smartPunctuation: kind === 'phone',
    correctsSpelling: isGlass,
    tapsOnly: false,
  };
}

/** The profile of its own list. */
export function ownListProfile(
  kind: DeviceKind,
  { language, smartPunctuation }: Pick<Switches, 'language' | 'smartPunctuation'>,
): DeviceProfile {
  const profile: DeviceProfile = DEVICE_PROFILES[placesFor(kind)[0]!];
  return {
    ...profile,
    ...smart(smartPunctuation),
    languages: profile.languages === null ? null : [language],
  };
}

/**
 * The profile by which a stand-in types. Its keyboard changes what is typed whichever list expands: the app hears of it when that is
 * done.
 */
export function profileOfStandIn(
  kind: DeviceKind,
  source: Source,
  switches: Pick<Switches, 'language' | 'smartPunctuation'>,
): DeviceProfile {
  const own = ownListProfile(kind, switches);
  if (source === 'own') return own;
  const { sentenceCapitals, doubleSpaceStop } = own;
  return { ...THIS_APP, id: `app on ${kind}`, sentenceCapitals, doubleSpaceStop, ...smart(switches.smartPunctuation) };
}

function smart(isSmart: boolean) {
  return { smartQuotes: isSmart, smartDashes: isSmart, smartDots: isSmart };
}
