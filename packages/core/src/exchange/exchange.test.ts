import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { readFileSync, writeFileSync } from 'node:fs';

import { pick, randomFrom } from '../fire/testing';
import { LIMITS, type Shortcut } from '../model';
import { LIST_VERSION, listFileSchema, readSealedShortcuts } from './listFile';
import { usualChoice } from './choice';
import { planImport, type PlannedRow } from './plan';
import { readList, type ReadChoices, type ReadList } from './readList';
import { idOf, setOf, shortcutOf, NO_REST } from './testing';
import { fileShortcutOf, WRITTEN_FORMS, writeBackup, writeList } from './writeList';

const MADE = '2026-11-26T09:00:00.000Z';
/** Made anew with YELLOW_LATCH_WRITE=1. */
const PUBLISHED = `${__dirname}/../../../app/public/schema/list-1.json`;
const NOTHING = { shortcuts: [], sets: [] };

function read(text: string, choices?: ReadChoices): ReadList {
  const list = readList(text, choices);
  if ('type' in list) throw new Error(list.type);
  return list;
}

const plan = (text: string, shortcuts: Shortcut[] = [], choices?: ReadChoices) => {
  const { rows, file } = read(text, choices);
  return planImport(rows, { shortcuts, sets: [] }, file?.sets);
};

/** Code and expansion of each row; refused ones as the reason. */
const pairs = (rows: readonly PlannedRow[]) =>
  rows.map((row) =>
    row.status === 'refused' ? row.refusal.type : [row.wanted.fields.code, row.wanted.fields.content.expansion],
  );

describe('reading what people have', () => {
  test.each<[string, string, [string, string][]]>([
    ['a table with a heading', 'Shortcut,Phrase\n;ws,Mill Lane\n', [[';ws', 'Mill Lane']]],
    [
      'a table with the columns the other way round',
      'text;abbreviation\nMill Lane, Corrie;;ws\n',
      [[';ws', 'Mill Lane, Corrie']],
    ],
    [
      'a code without quotes that begins with what stands between the cells',
      'Kürzel;Text\n;ws;"Mill Lane"\n;;q;"Quay"\nten;Ten minutes\n',
      [
        [';ws', 'Mill Lane'],
        [';;q', 'Quay'],
        ['ten', 'Ten minutes'],
      ],
    ],
    ['cells of a heading that are left empty', 'code;text;;\nws;Mill Lane;;\n', [['ws', 'Mill Lane']]],
    ['a line that says what stands between the cells', 'sep=;\nKürzel;Text\nws;Mill Lane\n', [['ws', 'Mill Lane']]],
    [
      'such a line before a table without a heading',
      'SEP=|\n;ws|Mill Lane by the weir\n;ten|Ten minutes, no more\n',
      [
        [';ws', 'Mill Lane by the weir'],
        [';ten', 'Ten minutes, no more'],
      ],
    ],
    [
      'a table without a heading',
      ';ws,Mill Lane\n;ten,Ten minutes\n',
      [
        [';ws', 'Mill Lane'],
        [';ten', 'Ten minutes'],
      ],
    ],
    [
      'code, tab, text',
      ';ws\tMill Lane\n;q\t"so" they say\n',
      [
        [';ws', 'Mill Lane'],
        [';q', '"so" they say'],
      ],
    ],
    [
      'notes',
      '- ;ws = Mill Lane\n- ;ten = Ten minutes\n',
      [
        [';ws', 'Mill Lane'],
        [';ten', 'Ten minutes'],
      ],
    ],
    [
      'notes with arrows',
      ';ws → Mill Lane\n\n;ten → Ten minutes',
      [
        [';ws', 'Mill Lane'],
        [';ten', 'Ten minutes'],
      ],
    ],
    [
      'notes with hyphens',
      ';ws - Mill Lane\n;ten - Ten minutes - or more\n',
      [
        [';ws', 'Mill Lane'],
        [';ten', 'Ten minutes - or more'],
      ],
    ],
    ['one note with a hyphen', 'ws - Mill Lane', [['ws', 'Mill Lane']]],
    [
      'notes with hyphens in a list',
      '- ;ws - Mill Lane\n- ;ten - Ten minutes',
      [
        [';ws', 'Mill Lane'],
        [';ten', 'Ten minutes'],
      ],
    ],
    [
      'notes with colons',
      'ws: Mill Lane\nten: Ten minutes',
      [
        ['ws', 'Mill Lane'],
        ['ten', 'Ten minutes'],
      ],
    ],
    [
      'a table of Markdown',
      '| Code | Expansion |\n|---|---|\n| ;ws | Mill Lane<br>Corrie |\n| `;a\\|b` | a \\| b |\n',
      [
        [';ws', 'Mill Lane\nCorrie'],
        [';a|b', 'a | b'],
      ],
    ],
  ])('%s', (_name, text, wanted) => expect(pairs(plan(text))).toEqual(wanted));

  test('lines of a list that has no code in it stay texts', () => {
    expect(pairs(plan('- Mill Lane by the weir\n- Ten minutes or so\n')).map((pair) => pair[1])).toEqual([
      'Mill Lane by the weir',
      'Ten minutes or so',
    ]);
  });

  test('what stands beyond the heading is not lost in silence', () => {
    const text = 'code,text\n;ws,Mill Lane, Corrie\n;ten,Ten minutes\n';
    expect(plan(text)).toMatchObject([
      { status: 'refused', line: 2, refusal: { type: 'too-many-cells', position: 15 } },
      { status: 'new' },
    ]);
  });

  test('a line that says what stands between the cells is counted, but is no row', () => {
    expect(read('sep=;\ncode;text\nws;Mill Lane\n').rows).toMatchObject([{ line: 3, entry: { code: 'ws' } }]);
  });

  describe('two columns without a heading', () => {
    test.each([
      ['markers tell which holds the codes', ';sh\t♯\n;fl\t♭\n', 'clear'],
      ['only one can hold codes', 'ws\tThe workshop is behind the hall, on the left.\n', 'clear'],
      ['one holds words, the other sentences', 'ws\tMill Lane\nten\tTen minutes\n', 'clear'],
      ['both are short', 'sh\t♯\nfl\t♭\n', 'asked'],
      ['both are words', 'paris\tParis\n', 'asked'],
      ['codes come second', 'Ten minutes\t;ten\nMill Lane\t;ws\n', 'asked'],
    ])('%s', (_name, text, what) => expect(read(text).table!.isUnclear).toBe(what === 'asked'));
    test('are shown as they most likely are', () => {
      expect(read('♯\t;sh\n♭\t;fl\n').table).toMatchObject({ columns: ['expansion', 'code'], isUnclear: true });
      expect(read('sh\t♯\nfl\t♭\n').table).toMatchObject({ columns: ['code', 'expansion'], isUnclear: true });
    });
  });

  test('lines alone are texts, each with a free code made for it under the marker of the list', () => {
    const rows = plan('Park behind the hall, please.\nPark behind the hall, please!\n', [
      shortcutOf(';pbhp', 'x'),
      shortcutOf(';ten', 'y'),
    ]);
    const codes = rows.map((row) => row.status === 'new' && row.isProposed && row.wanted.fields.code);
    expect(codes).toEqual([expect.stringMatching(/^;./), expect.stringMatching(/^;./)]);
    expect(new Set([';pbhp', ';ten', ...codes]).size).toBe(4);
  });

  test('columns are asked for where they are unclear, and can be said', () => {
    const text = 'x1,;ws,Mill Lane by the old weir,2019\nx2,;ten,In about ten minutes,2020\n';
    expect(read(text).table).toMatchObject({ isUnclear: true });
    expect(pairs(plan(text, [], { columns: [null, 'code', 'expansion', null] }))).toEqual([
      [';ws', 'Mill Lane by the old weir'],
      [';ten', 'In about ten minutes'],
    ]);
  });

  test('twenty columns, of which a heading names those that count', () => {
    const names = Array.from({ length: 20 }, (_, index) => `c${index}`)
      .with(7, 'Code')
      .with(11, 'Text');
    const cells = Array<string>(20).fill('x').with(7, ';ws').with(11, 'Mill Lane');
    expect(pairs(plan(`${names.join(',')}\n${cells.join(',')}\n`))).toEqual([[';ws', 'Mill Lane']]);
  });

  test.each([
    ['', 'no-rows'],
    [' \n\n', 'no-rows'],
    ['code,expansion\n', 'heading-only'],
    [Array.from({ length: LIMITS.shortcutsPerList + 2 }, (_, index) => `;a${index},x`).join('\n'), 'too-many-rows'],
    ['{"format": "another list", "version": 1}', 'not-ours'],
    ['{"format": "yellow-latch list",', 'not-json'],
    [`{"format": "yellow-latch list", "version": ${LIST_VERSION + 1}}`, 'newer-version'],
    ['{"format": "yellow-latch list", "version": 1, "made": "now", "sets": [], "shortcuts": []}', 'not-valid'],
    [`{"format": "yellow-latch list", "version": 1, "made": "${MADE}", "sets": [], "shortcuts": []}`, 'no-rows'],
  ])('what holds no list says why', (text, type) => expect(readList(text)).toMatchObject({ type }));

  test('a file of ours that is broken says where', () => {
    expect(readList('{\n "format": "yellow-latch list",\n "version": 1,,\n}')).toMatchObject({
      type: 'not-json',
      line: 3,
      position: 15,
    });
  });

  test('a shortcut of a file that is none costs its own row', () => {
    const good = fileShortcutOf(shortcutOf(';ws', 'Mill Lane'));
    const text = JSON.stringify(
      {
        format: 'yellow-latch list',
        version: 1,
        made: MADE,
        sets: [],
        shortcuts: [good, { ...good, id: idOf(77), kind: 'song' }, good],
      },
      null,
      1,
    );
    const { rows } = read(text);
    const line = text.split('\n').findIndex((one) => one.includes('song')) + 1;
    expect(rows).toMatchObject([
      { whole: { id: good.id } },
      { line, problem: { type: 'not-a-shortcut', field: 'kind' } },
      {},
    ]);
  });
});

describe('what would become of each row', () => {
  const list = [shortcutOf(';ws', 'Mill Lane'), shortcutOf(';ten', 'Ten minutes')];
  test('new, same, changed, taken, refused', () => {
    const text = 'code,expansion\n;new,Something\n;ws,Mill Lane\n;ten,Soon\n;WS,Other\n;new,Again\n,No code\n;none,\n';
    const rows = plan(text, list);
    expect(rows.map(({ line, status }) => [line, status])).toEqual([
      [2, 'new'],
      [3, 'same'],
      [4, 'changed'],
      [5, 'in use'],
      [6, 'in use'],
      [7, 'new'],
      [8, 'refused'],
    ]);
    expect(rows[2]).toMatchObject({ known: list[1]!.id, differs: ['content'] });
    expect(rows[3]).toMatchObject({ by: { in: 'list', id: list[0]!.id } });
    expect(rows[4]).toMatchObject({ by: { in: 'file', line: 2 } });
    expect(rows[6]).toMatchObject({ refusal: { type: 'expansion', problem: { type: 'empty' } } });
    expect(rows.map((row) => usualChoice(row).do)).toEqual([
      'take',
      'leave',
      'leave',
      'leave',
      'leave',
      'take',
      'leave',
    ]);
  });

  test('one’s own text and code stay unless one says otherwise; what is filed otherwise follows the file', () => {
    const [row] = plan('code,expansion,note\n;ws,Mill Lane,by the bridge\n', list);
    expect(row).toMatchObject({ status: 'changed', differs: ['note'] });
    expect(usualChoice(row!)).toEqual({ do: 'take' });
    const moved = { ...list[0]!, code: ';w' };
    const [recoded] = plan(writeList({ shortcuts: [moved], sets: [] }, 'json', MADE), list);
    expect(usualChoice(recoded!)).toEqual({ do: 'leave' });
  });

  test('by its own id a shortcut is known under another code', () => {
    const moved = { ...list[0]!, code: ';w' };
    expect(plan(writeList({ shortcuts: [moved], sets: [] }, 'json', MADE), list)).toMatchObject([
      { status: 'changed', known: moved.id, differs: ['code'] },
    ]);
  });

  test('a list that has a code twice goes out and comes in again as it is', () => {
    const twice = [shortcutOf(';pk', 'Park here'), shortcutOf(';PK', 'Park there')];
    for (const form of ['csv', 'json'] as const) {
      const text = writeList({ shortcuts: twice, sets: [] }, form, MADE).replaceAll('\r\n', '\n');
      expect(plan(text, twice).map(({ status }) => status)).toEqual(['same', 'same']);
      expect(plan(text).map(({ status }) => status)).toEqual(form === 'json' ? ['new', 'new'] : ['new', 'in use']);
    }
    expect(plan('code,expansion\n;pk,Park here\n;pk,Park here\n', twice).map(({ status }) => status)).toEqual([
      'same',
      'in use',
    ]);
  });

  test('a code that another of the list has is taken, by id too', () => {
    const moved = { ...list[0]!, code: ';ten' };
    expect(plan(writeList({ shortcuts: [moved], sets: [] }, 'json', MADE), list)).toMatchObject([
      { status: 'in use', by: { in: 'list', id: list[1]!.id } },
    ]);
  });

  test('the parts of a template are no secret', () => {
    expect(
      plan('code,expansion,form\n;t,Look: {:shortcut id=|01a215b3-97c4-72c2-bc2a-a42ef22eb5e5|},template\n'),
    ).toMatchObject([{ status: 'new', secret: null }]);
  });

  test.each([
    ['x'.repeat(41), 'a', 'code'],
    [';a', 'a\u0007', 'expansion'],
    [';a', 'x'.repeat(LIMITS.expansionClusters + 1), 'expansion'],
  ])('the limits of the model hold', (code, expansion, type) => {
    expect(plan(`code,expansion\n${code},${expansion}\n`)).toMatchObject([{ status: 'refused', refusal: { type } }]);
  });

  test.each([
    ['kind', 'song'],
    ['language', 'English please'],
    ['fires', 'loudly'],
    ['form', 'rich'],
  ])('a cell for %s that means nothing is told', (column, value) => {
    expect(plan(`code,expansion,${column}\n;a,b,${value}\n`)).toMatchObject([
      { refusal: { type: 'cell', column, value } },
    ]);
  });

  test('a template that cannot be read is told with its place', () => {
    expect(plan('code,expansion,form\n;a,Dear {$name,template\n')).toMatchObject([
      { refusal: { type: 'template', problem: { type: 'syntax' } } },
    ]);
  });

  test('scripts and formulas are just texts', () => {
    expect(pairs(plan(`code,expansion\n;s,<script>alert(1)</script>\n;f,"'=HYPERLINK(""x"")"\n`))).toEqual([
      [';s', '<script>alert(1)</script>'],
      [';f', '=HYPERLINK("x")'],
    ]);
  });

  test('what looks like a secret is marked: a test number of a card', () => {
    expect(plan('code,expansion\n;card,4111 1111 1111 1111\n;a,b\n')).toMatchObject([
      { secret: 'card' },
      { secret: null },
    ]);
  });

  test('more than the list can hold are refused, each', () => {
    const full = Array.from({ length: LIMITS.shortcutsPerList - 1 }, (_, index) => ({
      ...list[0]!,
      id: `x${index}`,
      code: `;c${index}`,
    }));
    expect(plan('code,expansion\n;one,a\n;two,b\n', full).map(({ status }) => status)).toEqual(['new', 'refused']);
  });

  test('codes that are made for many texts all differ, and from those that the file asks for', () => {
    const text = `code\texpansion\n${Array.from({ length: 500 }, () => '\tSame text here').join('\n')}\n;sth\tx\n;same\ty\n`;
    const codes = plan(text).map((row) => (row.status === 'refused' ? '' : row.wanted.fields.code));
    expect(new Set(codes).size).toBe(502);
  });
});

/** Shortcuts of every shape that the model lets be. */
const texts = fc.string({
  unit: fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...'ab ;,"|\'=+-@<>&*_`\\[]#~!:'.split('')) },
    { weight: 1, arbitrary: fc.constantFrom('\n', '\t', 'ü', '♯', '👩‍🔧', '<br>', '&amp;', ' ') },
  ),
  minLength: 1,
  maxLength: 24,
});
const codes = texts.map((text) => text.replace(/[\n\t]/g, '').trim()).filter((code) => code !== '');
const lists = fc
  .uniqueArray(fc.tuple(codes, texts), {
    selector: ([code]) => code.normalize('NFC').toLowerCase().toUpperCase(),
    minLength: 1,
    maxLength: 12,
  })
  .map((all) =>
    all.map(([code, text], index) =>
      shortcutOf(code, text, {
        setId: index % 3 === 0 ? idOf(900_001) : null,
        ...(index % 4 === 0 ? { note: 'a note', language: 'de', rules: { fires: 'instant' as const } } : {}),
      }),
    ),
  );

describe('out and in again', () => {
  const sets = [setOf('Visits, and “halls”', 1)];
  test.each(WRITTEN_FORMS)('%s gives back the same', (form) => {
    fc.assert(
      fc.property(lists, (shortcuts) => {
        const text = writeList({ shortcuts, sets }, form, MADE).replaceAll('\r\n', '\n');
        const again = read(text);
        const rows = planImport(again.rows, { shortcuts, sets }, again.file?.sets);
        expect(rows.map(({ status }) => status)).toEqual(shortcuts.map(() => 'same'));
        if (form !== 'json') return;
        const back = again.rows.map((row) => ('whole' in row ? row.whole : null));
        expect(back).toEqual(
          shortcuts.map((one) => ({
            id: one.id,
            fields: { card: null, tagLimit: null, ...(({ id: _id, ...fields }) => fields)(fileShortcutOf(one)) },
          })),
        );
      }),
      { numRuns: 150 },
    );
  });

  /** A pair of all that makes trouble in tables, short and long. */
  const nasty = (random: () => number): [string, string] => {
    const pieces = [
      ';',
      ',',
      '\t',
      '|',
      '"',
      "'",
      '=',
      '-',
      '+',
      '@',
      '#',
      '*',
      '- ',
      ' - ',
      ': ',
      ' = ',
      '\n',
      '|---|',
      '{"a":',
      '[',
      '<br>',
      '\\',
      '`',
      'code',
      'expansion',
      'sep=',
      '♯',
      '½',
      'ü',
      'a',
      'b',
      'ws',
      ' ',
      '  ',
      '0',
      '12',
    ];
    const some = (most: number) =>
      Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, pieces)).join('');
    const code = some(3)
      .replaceAll(/[\n\t]/g, '')
      .trim();
    return [code === '' ? ';' : code, some(5)];
  };
  test.each(WRITTEN_FORMS)(
    'two thousand nasty pairs go out as %s and come in again, one a file and five a file, and nobody is asked',
    (form) => {
      const random = randomFrom(20);
      for (const size of [1, 5]) {
        for (let n = 0; n < 2_000 / size; n += 1) {
          const byKey = new Map(
            Array.from({ length: size }, () => nasty(random)).map(([code, text]) => [
              code.normalize('NFC').toLowerCase(),
              [code, text] as const,
            ]),
          );
          const shortcuts = [...byKey.values()].map(([code, text], index) =>
            shortcutOf(code, text, { id: idOf(index + 1) }),
          );
          const text = writeList({ shortcuts, sets: [] }, form, MADE).replaceAll('\r\n', '\n');
          const again = readList(text);
          const got =
            'type' in again
              ? again.type
              : again.rows.map((row) => {
                  if ('entry' in row) return [row.entry.code, row.entry.expansion];
                  return 'whole' in row ? [row.whole.fields.code, row.whole.fields.content.expansion] : row;
                });
          expect({ text, got, isUnclear: 'type' in again ? null : (again.table?.isUnclear ?? false) }).toEqual({
            text,
            got: shortcuts.map(({ code, content }) => [code, content.expansion]),
            isUnclear: false,
          });
        }
      }
    },
    120_000,
  );

  test('private ones stay', () => {
    const mine = shortcutOf(';pin', 'secret', { private: true });
    for (const form of WRITTEN_FORMS)
      expect(writeList({ shortcuts: [mine, shortcutOf(';a', 'b')], sets: [] }, form, MADE)).not.toContain('secret');
    expect(writeBackup({ shortcuts: [mine], sets: [] }, NO_REST, null, MADE)).not.toContain('secret');
  });

  test('what was sealed is read as private, or not at all', () => {
    expect(readSealedShortcuts(JSON.stringify([fileShortcutOf(shortcutOf(';pin', 'x'))]))).toMatchObject([
      { isPrivate: true, fields: { code: ';pin' } },
    ]);
    expect(readSealedShortcuts('[{"id": 1}]')).toBeNull();
    expect(readSealedShortcuts('no')).toBeNull();
  });
});

describe('the published schema (JSON Schema 2020-12, by ajv)', () => {
  const ajv = addFormats(new Ajv2020({ strict: false }));
  const validate = ajv.compile(listFileSchema());
  test('is what every server publishes', () => {
    if (process.env.YELLOW_LATCH_WRITE) writeFileSync(PUBLISHED, `${JSON.stringify(listFileSchema(), null, 2)}\n`);
    const published = JSON.parse(readFileSync(PUBLISHED, 'utf8')) as object;
    expect(published).toEqual(JSON.parse(JSON.stringify(listFileSchema())));
  });
  test('takes every file we write', () => {
    fc.assert(
      fc.property(lists, (shortcuts) =>
        validate(JSON.parse(writeList({ shortcuts, sets: [setOf('A', 1)] }, 'json', MADE))),
      ),
      { numRuns: 50 },
    );
    const rest = {
      ...NO_REST,
      list: { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true },
    };
    expect(validate(JSON.parse(writeBackup(NOTHING, rest, null, MADE)))).toBe(true);
  });
  test.each([
    ['a kind that is none', (file: { shortcuts: Record<string, unknown>[] }) => (file.shortcuts[0]!.kind = 'song')],
    ['a field too many', (file: { shortcuts: Record<string, unknown>[] }) => (file.shortcuts[0]!.colour = 'red')],
    ['another format', (file: { format?: string }) => (file.format = 'list')],
    ['no sets', (file: { sets?: unknown }) => delete file.sets],
  ])('refuses %s', (_name, spoil) => {
    const file = JSON.parse(writeList({ shortcuts: [shortcutOf(';a', 'b')], sets: [] }, 'json', MADE)) as never;
    spoil(file);
    expect(validate(file)).toBe(false);
    expect(JSON.stringify(readList(JSON.stringify(file)))).toMatch(/not-a-shortcut|not-ours|not-valid/);
  });
});
