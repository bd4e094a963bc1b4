import { KEYBOARDS } from '../effort/layouts';
import { entry } from '../fire/testing';
import { DEVICE_PROFILES } from '../fit';
import { CHOSEN_CODES } from '../mnemonic/chosenCodes';
import { matchKey, type Mark } from '../model';
import { proposeCodes, type CodesInUse, type Proposal } from '.';

const MARK: Mark = { place: 'before', marker: ';' };
const keyboardOf = (id: string) => KEYBOARDS.find((keyboard) => keyboard.id === id)!;
const inUse = [
  { keyboard: keyboardOf('phone-en'), share: 6, pace: 1, device: DEVICE_PROFILES['phone-list'] },
  { keyboard: keyboardOf('hardware-en-gb'), share: 2, pace: 1, device: DEVICE_PROFILES['computer-list'] },
];

/** The codes of some shortcuts, looked up the plain way. */
function codesOf(codes: Readonly<Record<string, string>>): CodesInUse {
  const all = Object.entries(codes).map(([id, code]) => ({ id, key: matchKey(code) }));
  const ids = (isOne: (key: string) => boolean) => all.filter(({ key }) => isOne(key)).map(({ id }) => id);
  return {
    usersOf: (key) => ids((one) => one === key),
    hasLonger: (key) => ids((one) => one !== key && one.startsWith(key)).length > 0,
    shorterThan: (key) => ids((one) => one !== key && key.startsWith(one)),
  };
}

const propose = (text: string, codes: Readonly<Record<string, string>> = {}, kind = 'message', mark = MARK): Proposal[] =>
  proposeCodes({ entry: entry('', text, { id: 'new' }), kind, mark, inUse, codes: codesOf(codes) });

test('of the mnemonics people choose, at least three in five are among the first five', () => {
  const missed = CHOSEN_CODES.filter(
    ([text, chosen]) => !propose(text).slice(0, 5).some(({ code }) => code === `;${chosen}`),
  ).map(([text, chosen]) => `${text.slice(0, 40)}: ${chosen}; ${propose(text).slice(0, 5).map(({ code }) => code).join(' ')}`);
  console.log(missed.length, CHOSEN_CODES.length, missed.join('\n'));
  expect(missed.length).toBeLessThanOrEqual(CHOSEN_CODES.length * 0.4);
});
