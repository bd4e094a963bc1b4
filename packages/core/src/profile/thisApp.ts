import type { DeviceProfile } from './profile';

/** Write, the page of this app, which takes a list as it is. */
export const THIS_APP: DeviceProfile = {
  id: 'app',
  name: 'This app',
  ways: ['delimiter', 'instant', 'offer'],
  otherwise: 'delimiter',
  delimiters: 'standard',
  keepsDelimiter: 'own',
  edge: 'own',
  capitals: 'own',
  prefix: 'wait',
  sentenceCapitals: false,
  smartQuotes: false,
  smartDashes: false,
  smartDots: false,
  doubleSpaceStop: false,
  rescans: false,
  longestExpansion: null,
  lines: 'kept',
  formatting: true,
  blanks: true,
  spacesInCodes: true,
  languages: null,
  builtIn: [],
};
