import type { DeviceProfile } from './profile';
import { THIS_APP } from './thisApp';

/** Generic places where one types. Their abilities are common practice, no source. */
export const DEVICE_PROFILES = {
  app: THIS_APP,
  /** Any text field of a browser, with our extension. */
  browser: { ...THIS_APP, id: 'browser', name: 'Browser with the extension' },
  'phone-list': {
    ...THIS_APP,
    id: 'phone-list',
    name: 'Phone, its own list',
    ways: ['delimiter'],
    keepsDelimiter: 'keep',
    edge: 'word',
    capitals: 'ignore',
    prefix: 'now',
    sentenceCapitals: true,
    smartQuotes: true,
    smartDashes: true,
    smartDots: true,
    doubleSpaceStop: true,
    lines: 'joined',
    formatting: false,
    blanks: false,
    builtIn: [{ code: 'asap', expansion: 'as soon as possible' }],
  },
  'tablet-list': {
    ...THIS_APP,
    id: 'tablet-list',
    name: 'Tablet, its own list',
    ways: ['delimiter', 'offer'],
    keepsDelimiter: 'keep',
    edge: 'word',
    capitals: 'ignore',
    prefix: 'now',
    sentenceCapitals: true,
    doubleSpaceStop: true,
    lines: 'joined',
    formatting: false,
    blanks: false,
    spacesInCodes: false,
    languages: [],
  },
  'computer-list': {
    ...THIS_APP,
    id: 'computer-list',
    name: 'Computer, its own list',
    ways: ['delimiter'],
    keepsDelimiter: 'keep',
    edge: 'word',
    capitals: 'ignore',
    prefix: 'now',
    formatting: false,
    blanks: false,
  },
  expander: {
    ...THIS_APP,
    id: 'expander',
    name: 'Expander that expands at once',
    ways: ['instant'],
    otherwise: 'instant',
    capitals: 'match',
    prefix: 'now',
    edge: 'anywhere',
    rescans: false,
    blanks: false,
  },
  'computer-again': {
    ...THIS_APP,
    id: 'computer-again',
    name: 'Expander that expands what it expanded',
    keepsDelimiter: 'keep',
    prefix: 'now',
    rescans: true,
    formatting: false,
    blanks: false,
  },
  'keyboard-with-offers': {
    ...THIS_APP,
    id: 'keyboard-with-offers',
    name: 'Keyboard with suggestions',
    ways: ['offer'],
    otherwise: 'offer',
    keepsDelimiter: 'keep',
    capitals: 'ignore',
    sentenceCapitals: true,
    doubleSpaceStop: true,
    longestExpansion: 200,
    formatting: false,
    blanks: false,
  },
} as const satisfies Record<string, DeviceProfile>;

export type ProfileId = keyof typeof DEVICE_PROFILES;

/** Whether codes expand there by our own engine: what it does is known, and the list gets there by itself. */
export function isOurs(id: string): boolean {
  return id === 'app' || id === 'browser';
}

export function isProfileId(id: string): id is ProfileId {
  return Object.hasOwn(DEVICE_PROFILES, id);
}
