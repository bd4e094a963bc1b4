/**
 * Guard: what should not stand in a shortcut, since a list is copied to every device and shown as an
 * offer: card and account numbers, private keys, access tokens, passwords. It looks at shape and
 * check digits alone; nothing is sent anywhere.
 */
export { findCardNumbers, passesLuhn } from './card';
export { findIbans, isIban } from './iban';
export { findKeysAndTokens } from './key';
export { looksLikePassphrase, looksLikePassword, PASSWORD_GUESSES } from './password';
export { findSecrets, type Secret } from './secret';
