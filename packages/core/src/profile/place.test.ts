import fc from 'fast-check';

import { AnswersSchema, type Answers } from '../model';
import { contradictionOf, DEVICE_PROFILES, DeviceProfileSchema, keyOfPlace, placeOfKey, profileOf, THIS_APP } from '.';

const answers: fc.Arbitrary<Answers> = fc.record(
  {
    fires: fc.constantFrom('delimiter' as const, 'instant' as const, 'offer' as const),
    lines: fc.constantFrom('kept' as const, 'joined' as const, 'refused' as const),
    punctuation: fc.constantFrom('kept' as const, 'changed' as const),
  },
  { requiredKeys: [] },
);
const places = fc.record({ profile: fc.constantFrom(...Object.keys(DEVICE_PROFILES)), answers });

test('a place is known by its key, and its profile never contradicts itself', () => {
  fc.assert(
    fc.property(places, fc.subarray(['de', 'en', 'fr']), (place, languages) => {
      const key = keyOfPlace({ ...place, languages });
      const isOfLanguages = DEVICE_PROFILES[place.profile as 'app'].languages !== null;
      expect(placeOfKey(key)).toEqual({ ...place, languages: isOfLanguages ? languages : [] });
      const profile = profileOf(key);
      expect(DeviceProfileSchema.safeParse(profile).error?.issues ?? []).toEqual([]);
      expect(profileOf(key)).toBe(profile);
      expect(AnswersSchema.safeParse(place.answers).success).toBe(true);
    }),
  );
});

test('what its owner found out counts, the rest is as assumed', () => {
  const profile = profileOf('phone-list~fires.instant~lines.refused~punctuation.kept');
  expect(profile).toMatchObject({ ways: ['instant'], otherwise: 'instant', lines: 'refused', smartDashes: false });
  expect(profile).toMatchObject({ blanks: false, builtIn: DEVICE_PROFILES['phone-list'].builtIn });
  // Formatted text has lines.
  expect(profileOf('expander~lines.joined').formatting).toBe(false);
});

test('generic places stand under their own ids; one of a later version is taken for this app', () => {
  for (const [id, profile] of Object.entries(DEVICE_PROFILES)) expect(profileOf(id)).toBe(profile);
  expect(profileOf('of-a-later-version')).toBe(THIS_APP);
  expect(profileOf('phone-list~smells.good').ways).toEqual(['delimiter']);
});

test.each([
  ['keyboard-with-offers', { fires: 'instant' }, 'suggestions-never-expand-by-themselves'],
  ['keyboard-with-offers', { fires: 'offer' }, null],
  ['expander', { fires: 'offer' }, 'expander-waits-for-a-tap'],
  ['app', { lines: 'joined' }, 'app-is-known'],
  ['phone-list', { fires: 'instant', lines: 'refused' }, null],
] as const)('%s with %j: %s', (profile, given, why) => {
  expect(contradictionOf({ profile, answers: given })).toBe(why);
  // Until that is cleared up it is as assumed.
  if (why !== null)
    expect(profileOf(keyOfPlace({ profile, answers: given })).ways).toEqual(DEVICE_PROFILES[profile].ways);
});

// Common practice, no source.
test('the list of a computer waits for a space; to expand at once is a choice', () => {
  expect(DEVICE_PROFILES['computer-list'].ways).toEqual(['delimiter']);
  expect(DEVICE_PROFILES.expander.ways).toEqual(['instant']);
});
