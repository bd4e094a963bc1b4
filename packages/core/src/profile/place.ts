import { AnswersSchema, type Answers, type DevicePlace } from '../model';
import { DEVICE_PROFILES, isOurs, isProfileId } from './known';
import type { DeviceProfile } from './profile';
import { THIS_APP } from './thisApp';

/** Between the parts of a key, and between a question and its answer. */
const NEXT = '~';
const IS = '.';

/** A name for what a place is: equal places have equal keys, and a key is all it takes to know the place. */
export function keyOfPlace({
  profile,
  answers,
  languages = [],
}: DevicePlace & { languages?: readonly string[] }): string {
  const given = Object.entries(answers).map(([question, answer]) => question + IS + String(answer));
  const base = isProfileId(profile) ? DEVICE_PROFILES[profile] : THIS_APP;
  const spoken = base.languages === null ? [] : [...new Set(languages)].map((language) => `in${IS}${language}`);
  return [profile, ...given.sort(), ...spoken.sort()].join(NEXT);
}

/** The place that a key names. What is not known here, since it is of a later version of the app, is left out. */
export function placeOfKey(key: string): DevicePlace & { languages: string[] } {
  const [profile, ...rest] = key.split(NEXT);
  const parts = rest.map((part) => [part.slice(0, part.indexOf(IS)), part.slice(part.indexOf(IS) + 1)] as const);
  const answers = AnswersSchema.safeParse(Object.fromEntries(parts.filter(([question]) => question !== 'in')));
  return {
    profile: profile!,
    answers: answers.success ? answers.data : {},
    languages: parts.flatMap(([question, language]) => (question === 'in' ? [language] : [])),
  };
}

const known = new Map<string, DeviceProfile>();

/** The profile under a key, its `id` the key; the same object each time. A place that is not known here is taken for this app. */
export function profileOf(key: string): DeviceProfile {
  let profile = known.get(key);
  if (!profile) known.set(key, (profile = made(key)));
  return profile;
}

function made(key: string): DeviceProfile {
  const { profile, answers, languages } = placeOfKey(key);
  if (!isProfileId(profile)) return THIS_APP;
  const base: DeviceProfile = DEVICE_PROFILES[profile];
  if (key === base.id) return base;
  const answered = contradictionOf({ profile, answers }) === null ? withAnswers(base, answers) : base;
  return { ...answered, id: key, languages: base.languages === null ? null : languages };
}

/** A generic profile with what its owner has found out. */
function withAnswers(base: DeviceProfile, { fires, lines, punctuation }: Answers): DeviceProfile {
  return {
    ...base,
    ...(fires === undefined ? {} : { ways: [fires], otherwise: fires, keepsDelimiter: 'keep' }),
    // Formatted text has lines.
    ...(lines === undefined ? {} : { lines, formatting: base.formatting && lines === 'kept' }),
    ...(punctuation === undefined ? {} : smart(punctuation === 'changed')),
  };
}

function smart(isSmart: boolean) {
  return { smartQuotes: isSmart, smartDashes: isSmart, smartDots: isSmart };
}

/** Answers that cannot both be right, or not of such a place. */
export type Contradiction = 'suggestions-never-expand-by-themselves' | 'expander-waits-for-a-tap' | 'app-is-known';

/** What is wrong with what was answered of a place; null: nothing. */
export function contradictionOf({ profile, answers }: Pick<DevicePlace, 'profile' | 'answers'>): Contradiction | null {
  if (isOurs(profile)) return Object.keys(answers).length > 0 ? 'app-is-known' : null;
  if (profile === 'keyboard-with-offers' && answers.fires !== undefined && answers.fires !== 'offer')
    return 'suggestions-never-expand-by-themselves';
  return profile === 'expander' && answers.fires === 'offer' ? 'expander-waits-for-a-tap' : null;
}
