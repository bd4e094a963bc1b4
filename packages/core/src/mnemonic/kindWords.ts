import { recognise, type Recognised } from './recognise';

/** Words by which people name a kind of thing, whatever its text. Common practice, no source. */
const WORDS: Readonly<Partial<Record<Recognised['type'], readonly string[]>>> = {
  mail: ['mail'],
  phone: ['tel'],
  link: ['web'],
  address: ['addr'],
  tags: ['tags'],
  date: ['date'],
  'code block': ['code'],
};

/** What people type for a number of a mobile phone. */
const MOBILE = ['mob', 'cell', 'tel'];

/** What the kind of a text is called when one types it; most likely first. */
export function kindWords(expansion: string): readonly string[] {
  const what = recognise(expansion);
  return what.type === 'phone' && what.isMobile ? MOBILE : (WORDS[what.type] ?? []);
}
