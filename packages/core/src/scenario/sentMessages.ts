/**
 * Messages that Ansel Corrie sent in twelve weeks of autumn, to read phrases off: made up, the same each time. As in life he types
 * much of it again and again, some of it with slips, and some of it though the list has it.
 */
import type { SentMessage } from '../sent';

const FROM = 'ansel@corrieandvale.example';
const FIRST_DAY = Date.UTC(2026, 8, 7);
const DAYS = 84;
const A_DAY = 24 * 60 * 60 * 1_000;

const NAMES = ['Rowena', 'Wilf', 'Ines', 'Jory', 'Tamsin', 'Kerra', 'Piran', 'Morwenna', 'Denzel', 'Elowen', 'Hedra'];
const DAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'];
const TIMES = ['9:00', '10:30', '11:15', '13:00', '14:30', '16:00'];
const PIANOS = ['upright', 'baby grand', 'grand', 'cottage piano'];
const AMOUNTS = ['£85', '£95', '£110', '£140'];
const ROOMS = ['front room', 'hall', 'music room', 'barn', 'chapel', 'loft', 'kitchen', 'library', 'parlour', 'studio'];
const PARTS = [
  'dampers',
  'hammers',
  'pedals',
  'bridle tapes',
  'key tops',
  'hinges',
  'castors',
  'strings',
  'felts',
  'keys',
];
const STATES = ['worn', 'fine', 'stiff', 'loose', 'clean', 'dusty', 'swollen', 'even', 'noisy', 'tired'];

/** Numbers from 0 to below 1, the same each time (the generator of Park and Miller, 1988). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

/** What he sends, with how often of ten messages it is in one. `pick` gives one of several. */
const SENTENCES: readonly (readonly [often: number, say: (pick: <T>(from: readonly T[]) => T) => string])[] = [
  [3, () => 'Thank you for booking a tuning with us. I look forward to hearing your piano.'],
  [2.4, () => 'The invoice is attached. You can pay by transfer, or in cash at the next visit.'],
  [1.6, () => 'Please make sure that the van can park close to the door; the tools are heavy.'],
  [1.2, () => 'If the pitch drops again before the spring, let me know and I will come back at no cost.'],
  [1, () => 'Prices are on https://corrieandvale.example/prices'],
  [2.6, (pick) => `I can come on ${pick(DAY_NAMES)} at ${pick(TIMES)} if that suits you.`],
  [2, (pick) => `The tuning of your ${pick(PIANOS)} comes to ${pick(AMOUNTS)}, travel included.`],
  [
    1.2,
    (pick) => `It was ${pick([8, 11, 14, 17, 22, 26])} cents flat ± 2, so I raised the pitch before the fine tuning.`,
  ],
  [0.9, (pick) => `See you at HarbourHall on ${pick(DAY_NAMES)}.`],
  [0.6, () => 'The key is with Mrs Penrose at the lodge, 07700 900731, until six.'],
  [0.5, () => 'Please transfer it to DE89 3704 0044 0532 0130 00 with the invoice number.'],
  // On the list already, and typed out all the same.
  [1.4, () => 'I am about ten minutes away.'],
  [1, () => 'I am outside with the van.'],
  [0.8, () => 'A tuning sets the pitch of about 230 strings; it does not change how the keys feel.'],
];

/** What is said once only. */
function remark(pick: <T>(from: readonly T[]) => T): string {
  const [room, part, state, name] = [pick(ROOMS), pick(PARTS), pick(STATES), pick(NAMES)];
  return pick([
    `${part} in the ${room}: ${state}, says ${name}`,
    `${name} plays in the ${room} again`,
    `Odd, ${state} ${part} after one summer`,
    `${room} or ${pick(ROOMS)}, ${name} wonders`,
    `New ${part} for ${name} next year`,
    `${name}’s ${part} were ${state}`,
    `Found ${pick(['a coin', 'two pencils', 'a hairpin', 'a toy horse', 'old stamps'])} under ${name}’s ${part}`,
    `Who tuned the one in the ${room} before ${name} came`,
    `${state} ${part}, ${pick(STATES)} ${pick(PARTS)}, yet ${name} is happy`,
  ]);
}

/** A slip in a word of a text: two letters in turn. */
function slipped(text: string, random: () => number): string {
  const words = text.split(' ');
  const at = Math.floor(random() * words.length);
  const word = words[at]!;
  if (!/^\p{Ll}{5,}$/u.test(word)) return text;
  const place = 1 + Math.floor(random() * (word.length - 2));
  words[at] = word.slice(0, place) + word[place + 1]! + word[place]! + word.slice(place + 2);
  return words.join(' ');
}

/** The messages, the oldest first. */
export function sentMessages(): SentMessage[] {
  const random = numbers(20_261_130);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const messages: SentMessage[] = [];
  for (let day = 0; day < DAYS; day += 1) {
    if (day % 7 > 4) continue;
    for (let hour = 8; hour < 18; hour += 2) {
      const said = SENTENCES.filter(([often]) => random() * 10 < often).map(([, say]) => say(pick));
      const body = [...said, `${remark(pick)}.`].map((one) => (random() < 0.08 ? slipped(one, random) : one));
      const text =
        random() < 0.5
          ? body.join(' ')
          : `Dear ${pick(NAMES)},\n\n${body.join(' ')}\n\nWith good wishes from the road,\nAnsel, Corrie & Vale`;
      messages.push({ text, at: FIRST_DAY + day * A_DAY + hour * 3_600_000, from: FROM });
    }
  }
  return messages;
}
