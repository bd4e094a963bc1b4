/**
 * People: files of cards (vCard) read, what of each can be a shortcut, what a later file changes. What links a shortcut to its
 * card is a field of the model (`CardLink`).
 */
export { calledFor } from './codes';
export { COUNTRIES, countryOf, isCountry, nameOf } from './countries';
export { matchCards, partKey, type CardMatch, type CardUpdate } from './update';
export { homeOf, MOST_CARDS, readCards, type CardProblem, type ReadCards } from './readCards';
export { PARTS, type Card, type CardPart, type PartType } from './card';
export { readPhone, type ReadPhone } from './phone';
export { writeAddress, type AddressParts } from './address';
