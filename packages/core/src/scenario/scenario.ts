/**
 * The demo list: Corrie & Vale, travelling piano care, an invented firm. Ansel Corrie tunes in
 * homes, schools and halls, Mara Vale keeps the diary, the workshop has a computer.
 *
 * Names and places are made up. Domains end in .example (RFC 2606); telephone numbers are from
 * the ranges Ofcom keeps for fiction; the IBAN is a published test value. Some entries have the
 * faults that lists have in life: words as codes, one code beginning another, a typo, two codes
 * alike, an account number.
 */
import { usualPlaces } from '../devices';
import type { DeviceFields, Kind } from '../model';

/** The phone in the van does most of the typing. */
export const DEMO_DEVICES: readonly DeviceFields[] = [
  {
    name: 'Ansel’s phone',
    kind: 'phone',
    joined: null,
    places: usualPlaces('phone', true),
    keyboards: [{ keyboard: 'phone-en', share: 1, pace: 1 }],
    share: 6,
  },
  {
    name: 'Mara’s tablet',
    kind: 'tablet',
    joined: null,
    places: usualPlaces('tablet', false),
    keyboards: [{ keyboard: 'tablet-figures-en', share: 1, pace: 1 }],
    share: 2,
  },
  {
    name: 'Workshop laptop',
    kind: 'computer',
    joined: null,
    places: [
      { profile: 'expander', answers: {} },
      { profile: 'app', answers: {} },
    ],
    keyboards: [{ keyboard: 'hardware-en-gb', share: 1, pace: 1 }],
    share: 2,
  },
];

/** `shape`: the source of a template, or Markdown. Inside, `{:shortcut code=|…|}` stands for the shortcut with that code. */
type DemoShortcut = readonly [code: string, expansion: string, kind?: Kind, shape?: 'template' | 'markdown'];

/** How often in a week the two say they use a shortcut; of the others they do not know. */
export const DEMO_USES: Readonly<Record<string, number>> = {
  ';ten': 7,
  ';tenp': 3,
  ';late': 3,
  ';here': 7,
  ';drv': 3,
  ';quiet': 3,
  ';clear': 3,
  ';conf': 21,
  ';resch': 1,
  ';six': 7,
  ';keys': 0.25,
  ';bye': 21,
  ';tt': 7,
  ';mail': 3,
  ';tel': 7,
  ';mob': 3,
  ';web': 3,
  'book*': 7,
  ';ws': 1,
  hrp: 1,
  ham: 0.25,
  ';pk': 1,
  ';mill': 0.25,
  ';stn': 0.25,
  ';pitch': 3,
  ';hum': 3,
  ';sun': 1,
  ';440': 7,
  ';sett': 1,
  ';rep': 7,
  ';pins': 7,
  ';bass': 1,
  ';ok': 3,
  ';inv': 7,
  '/due': 7,
  ';rec': 3,
  ';sh': 3,
  ';fl': 3,
  ';x': 1,
  ';dg': 7,
  '->': 3,
  '-----': 1,
  '#tun': 1,
  '#res': 0.25,
};

/** What Ansel puts in with his thumb, in the van: the tap board. */
export const DEMO_BOARD: readonly string[] = [
  ';hi',
  ';ten',
  ';here',
  ';late',
  ';cv',
  'book*',
  ';stn',
  ';quiet',
  ';440',
  ';six',
  ';bye',
  ';tt',
];

export interface DemoSet {
  name: string;
  icon: string;
  shortcuts: readonly DemoShortcut[];
}

export const DEMO_SETS: readonly DemoSet[] = [
  {
    name: 'Us',
    icon: 'house',
    shortcuts: [
      [';hi', 'Dear {$name :text label=|Who it is for|},', 'message', 'template'],
      [';ws', 'Corrie & Vale\nUnit 3, The Ropewalk\nTarnby ZZ4 7XX', 'address'],
      [';mail', 'ansel@corrieandvale.example', 'contact'],
      [';diary', 'mara@corrieandvale.example', 'contact'],
      [';tel', '01632 960147', 'contact'],
      [';mob', '07700 900482', 'contact'],
      [';web', 'https://corrieandvale.example', 'link'],
      ['book*', 'https://corrieandvale.example/book', 'link'],
      [';cv', 'Corrie & Vale, travelling piano care'],
      [
        ';bye',
        'Best wishes,  \nAnsel Corrie  \n**Corrie & Vale** · [Book a visit](https://corrieandvale.example/book)',
        'message',
        'markdown',
      ],
      [';tt', 'With many thanks,\nMara Vale\nfor Corrie & Vale'],
      ['so', 'Sent from the road, so please forgive the short reply.'],
    ],
  },
  {
    name: 'Visits',
    icon: 'truck',
    shortcuts: [
      [';ten', 'I am about ten minutes away.'],
      [';tenp', 'I am about ten minutes away. Could someone keep a space for the van, please?'],
      [';late', 'The last piano needed more time than planned. I shall be about half an hour late.'],
      [';here', 'I am outside with the van.'],
      [';drv', 'I am driving and will answer this evening.'],
      [';quiet', 'Tuning needs about ninety minutes of quiet. A closed door is enough; no need to leave the house.'],
      [
        ';clear',
        'Before the first visit, please clear the lid and the music desk, photographs included. {:shortcut code=|ham|}',
        'message',
        'template',
      ],
      [
        ';conf',
        'Your tuning is booked for {$day :date label=|Day| pattern=|EEEE d MMMM|} {$part :choice label=|Part of the day| options=|in the morning,at noon,in the afternoon|}. If that no longer suits, Mara can move it: 01632 960148.',
        'message',
        'template',
      ],
      [';resch', 'I am sorry, I cannot come tommorow after all. Would ____ suit you instead?'],
      [
        ';six',
        'The next tuning is due in {:today pattern=|MMMM y| plus=|P6M|}. Shall we set a date now?',
        'message',
        'template',
      ],
      [';ask', 'You asked: “{:selection}”', 'message', 'template'],
      [';keys', 'If nobody is in, the caretaker has my number and a key to the hall.'],
    ],
  },
  {
    name: 'Places',
    icon: 'map-pin',
    shortcuts: [
      [
        'hrp',
        'Heather Road School: park behind the kitchens, sign in at the office, and ask for the key to the music room.',
        'address',
      ],
      [
        'ham',
        'Hamble Hall: the ramp is on the river side. The stage door code comes from the steward on the day.',
        'address',
      ],
      [';mill', 'Mill Lane Chapel\nMill Lane\nOver Tarnby ZZ4 9XZ', 'address'],
      [';pk', 'Parking for the van is in the yard; please move it before five, when the gate is locked.'],
      [';PK', 'Parking at Saltmarsh Hall is by permit. I will bring ours.'],
      [';route', 'https://corrieandvale.example/find-us', 'link'],
      [';stn', 'From the station it is twelve minutes on foot: over the bridge, left along the quay, third arch.'],
      [';salt', 'Saltmarsh Hall\n2 Causeway\nSaltmarsh ZZ6 1XA', 'address'],
    ],
  },
  {
    name: 'Explaining',
    icon: 'piano',
    shortcuts: [
      [
        ';pitch',
        'Your piano has dropped well below concert pitch. I suggest a pitch raise first and a fine tuning two weeks later, once the strings have settled.',
      ],
      [
        ';hum',
        'Pianos like a steady 45–60 % relative humidity. A bowl of water does little; a room humidifier kept running through the heating season does a lot.',
      ],
      [';sun', 'Please keep it out of direct sun and at least a metre from the radiator.'],
      [';440', 'A4 = 440 Hz'],
      [';432', 'I tune to A4 = 440 Hz unless you ask for another pitch before the visit.'],
      [';sett', 'New strings stretch for about a year, so the first visits come closer together.'],
      [';regl', 'The action is out of regulation: the keys feel uneven, which tuning alone cannot cure.'],
      [';moth', 'Moth has been at the hammers. I can clean and treat the action in the workshop.'],
      ['ttune', 'A tuning sets the pitch of about 230 strings; it does not change how the keys feel.'],
    ],
  },
  {
    name: 'Reports and money',
    icon: 'clipboard-list',
    shortcuts: [
      [
        ';rep',
        'Condition report, {:today}\nMake and number: {$make :text label=|Make and number|}\nPitch before: {$pitch :number label=|Pitch before, in cents| default=|0|} cents\nHumidity: {$humidity :number label=|Humidity, in %|} %\nAction: {$action :choice label=|Action| options=|even,uneven,sluggish|}\nAdvice: {$advice :lines label=|Advice|}',
        'message',
        'template',
      ],
      [';note', '[{$initials :upper label=|Initials|}: {#caret /}]', 'message', 'template'],
      [';pins', 'Tuning pins firm, torque even from bass to treble.'],
      [';loose', 'Several tuning pins are loose; the piano will not hold a raise in pitch.'],
      [';bass', 'Bass strings tired, two with a false beat.'],
      [';ok', 'Sound throughout. No work advised before the next tuning.'],
      [
        ';inv',
        'Tuning at your address on {:today pattern=|d MMMM y|}, parts as listed, travel included.',
        'message',
        'template',
      ],
      ['/due', 'Payable within 14 days. Please give the invoice number as reference.'],
      [';iban', 'GB82 WEST 1234 5698 7654 32', 'contact'],
      [';rec', 'Payment recieved with thanks.'],
    ],
  },
  {
    name: 'Symbols',
    icon: 'music',
    shortcuts: [
      [';sh', '♯', 'symbol'],
      [';fl', '♭', 'symbol'],
      [';na', '♮', 'symbol'],
      [';hf', '½', 'symbol'],
      [';x', '×', 'symbol'],
      ['->', '→', 'symbol'],
      [';dg', '°', 'symbol'],
      [';ct', '¢', 'symbol'],
      ['-----', '------------------------------', 'symbol'],
    ],
  },
  {
    name: 'Tags',
    icon: 'tag',
    shortcuts: [
      ['#res', '#pianorestoration #pianoworkshop #handmade #oldpianos', 'tags'],
      ['#tun', '#pianotuner #pianotuning #tuningday #concertpitch', 'tags'],
      [';grand', '#grandpiano #restored #corrieandvale', 'tags'],
      [';upr', '#uprightpiano #restored #corrieandvale', 'tags'],
    ],
  },
];
