/** Eight small real jobs of the scenario: to try on a stand-in what codes save. What is said in them is data, as the list is. */
/** What an answer must have in it. */
export type Want =
  /** The text of a shortcut of the sample list, by its code; typed out it counts as well. */
  | { readonly type: 'text'; readonly code: string }
  | { readonly type: 'date'; readonly plusDays: number }
  | { readonly type: 'mail' }
  | { readonly type: 'words'; readonly least: number }
  | { readonly type: 'characters'; readonly characters: string }
  | { readonly type: 'tags'; readonly least: number; readonly most: number };

/** What somebody asks, and what an answer to it needs. */
export interface Ask {
  readonly who: string;
  readonly says: string;
  readonly want: Want;
  /** Codes of the sample list that give it. */
  readonly codes: readonly string[];
}

export type JobId =
  'customers' | 'on-the-way' | 'workshop' | 'diary-mail' | 'web-form' | 'post' | 'condition' | 'symbols';

/** What is to stand in a field, by its name. */
export interface JobWant {
  readonly field: string;
  readonly want: Want;
  readonly codes: readonly string[];
}

/** A job: where it is done, and what it takes. In a conversation each is asked after the other. */
export type Job =
  | { readonly id: JobId; readonly place: 'talk'; readonly asks: readonly Ask[] }
  | {
      readonly id: JobId;
      readonly place: 'mail' | 'form' | 'caption' | 'report' | 'note';
      /** By the name of the field. */
      readonly wants: readonly JobWant[];
    };

const text = (code: string): Want => ({ type: 'text', code });

/** What a conversation on a stand-in asks when there is no job. */
export const TALK: readonly Ask[] = [
  { who: 'Rowena', says: 'Where do I park?', want: { type: 'words', least: 3 }, codes: [] },
  { who: 'Ines', says: 'What is your address?', want: { type: 'words', least: 2 }, codes: [] },
  { who: 'Jory', says: 'Which mail address do I write to?', want: { type: 'mail' }, codes: [] },
];

/** What can be dictated to a stand-in: words that are codes among them. */
export const SPOKEN: readonly string[] = [
  'I was so glad to hear from you.',
  'We met at Hamble Hall last week.',
  'Please leave the key with the caretaker',
  'See you on Thursday at nine.',
];

export const JOBS: readonly Job[] = [
  {
    id: 'customers',
    place: 'talk',
    asks: [
      { who: 'Rowena', says: 'How do I get to you from the station?', want: text(';stn'), codes: [';stn'] },
      { who: 'Ines', says: 'Which mail address do I write to?', want: text(';mail'), codes: [';mail'] },
      { who: 'Jory', says: 'What date is it tomorrow?', want: { type: 'date', plusDays: 1 }, codes: [';tom'] },
    ],
  },
  {
    id: 'on-the-way',
    place: 'talk',
    asks: [
      { who: 'Rowena', says: 'How far away are you?', want: text(';ten'), codes: [';ten'] },
      { who: 'Rowena', says: 'Do we have to leave the house while you tune?', want: text(';quiet'), codes: [';quiet'] },
    ],
  },
  {
    id: 'workshop',
    place: 'talk',
    asks: [
      { who: 'Ines', says: 'What is the workshop’s address?', want: text(';ws'), codes: [';ws'] },
      { who: 'Ines', says: 'And a phone number, please?', want: text(';tel'), codes: [';tel'] },
    ],
  },
  {
    id: 'diary-mail',
    place: 'mail',
    wants: [
      { field: 'to', want: text(';diary'), codes: [';diary'] },
      { field: 'body', want: text(';hum'), codes: [';hum'] },
      { field: 'body', want: text(';tt'), codes: [';tt'] },
    ],
  },
  {
    id: 'web-form',
    place: 'form',
    wants: [
      { field: 'mail', want: text(';mail'), codes: [';mail'] },
      { field: 'phone', want: text(';tel'), codes: [';tel'] },
    ],
  },
  {
    id: 'post',
    place: 'caption',
    wants: [{ field: 'caption', want: { type: 'tags', least: 5, most: 8 }, codes: ['#tun', ';upr'] }],
  },
  {
    id: 'condition',
    place: 'report',
    wants: [
      { field: 'report', want: text(';pitch'), codes: [';pitch'] },
      { field: 'report', want: text(';pins'), codes: [';pins'] },
      { field: 'report', want: text(';ok'), codes: [';ok'] },
    ],
  },
  {
    id: 'symbols',
    place: 'note',
    wants: [{ field: 'note', want: { type: 'characters', characters: '½×♯°' }, codes: [';hf', ';x', ';sh', ';dg'] }],
  },
];
