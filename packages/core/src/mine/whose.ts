import { findSecrets } from '../guard';
import type { Kind } from '../model';

/** Why a text is shown masked: a secret by the guard, or somebody else’s data by its looks. */
export type Concern = 'secret' | 'other person';

const MAIL = /[^\s@<>,;:()]+@[^\s@<>,;:()]+\.[\p{L}]{2,}/gu;
const NUMBER = /(?:\+\d|\b0\d)(?:[ ()-]{0,2}\d){6,13}/gu;
/** Somebody called by a title: English, German, French, Spanish. */
const TITLED = /(?<!\p{L})(?:Mrs?|Ms|Miss|Dr|Prof|Herrn?|Frau|Mme|Monsieur|Madame|Señora?|Sra?)\.? \p{Lu}\p{L}+/u;
/** What is said of one’s own number or address: mine, ours; English, German, French, Spanish. */
const OWN =
  /(?<!\p{L})(?:my|me|mine|our|ours|us|mein|meine|meiner|meinem|mich|mir|unser|unsere|unserer|uns|mon|ma|mes|moi|notre|nos|nous|mi|mis|nuestro|nuestra|nosotros)(?!\p{L})/iu;

/** What is known to be one’s own: mail addresses in small letters, numbers by their digits. */
export function ownDataIn(texts: Iterable<string>): ReadonlySet<string> {
  const own = new Set<string>();
  for (const text of texts) for (const one of dataIn(text)) own.add(one);
  return own;
}

function dataIn(text: string): string[] {
  const mails = text.match(MAIL)?.map((mail) => mail.toLowerCase()) ?? [];
  const numbers = text.match(NUMBER)?.map((number) => number.replaceAll(/\D/gu, '')) ?? [];
  return [...mails, ...numbers];
}

/**
 * Whether a text should be looked at twice before it goes on a list. `before`: what stood before it in some of its places; where
 * most say that it is one’s own, it is. Common practice, no source.
 */
export function concernOf(
  text: string,
  kind: Kind,
  before: readonly string[],
  own: ReadonlySet<string>,
): Concern | null {
  if (findSecrets(text).length > 0) return 'secret';
  const strange = dataIn(text).filter((one) => !own.has(one));
  const isTitled = TITLED.test(text);
  if (strange.length === 0 && kind !== 'address' && !isTitled) return null;
  const saidOwn = before.filter((one) => OWN.test(`${one} ${text}`)).length;
  return !isTitled && saidOwn * 2 >= before.length ? null : 'other person';
}
