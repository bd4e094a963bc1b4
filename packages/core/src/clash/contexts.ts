/**
 * Texts that are no ordinary words, in which codes like to fire: a corpus in classes. Unless a class says
 * otherwise its texts are made up for this project, with names under `.example` (RFC 2606) and
 * numbers reserved for fiction. Words in them are everyday ones, as often as they come; none is there for a code.
 */
export interface ContextClass {
  readonly name: string;
  readonly source: string;
  readonly texts: readonly string[];
}

const OURS = 'made up for this project';

const lines = (text: string): string[] => text.trim().split(/\s*\n\s*/);

/** Each of the values in the place of `*` of a sentence, of one after the other. */
const each = (values: readonly string[], sentences: readonly string[]): string[] =>
  values.map((value, i) => sentences[i % sentences.length]!.replace('*', value));

/** The same twice over, in other sentences. */
const twice = (values: readonly string[], sentences: readonly string[]): string[] => [
  ...each(values, sentences),
  ...each(values, [...sentences.slice(1), sentences[0]!]),
];

const HOSTS = ['www.bakery.example', 'school.example', 'shop.bikes.example', 'town-library.example'];
const PATHS = [
  '',
  '/',
  '/opening-hours',
  '/search?q=rye+bread&page=2',
  '/news/2026/11#top',
  '/w/index.php?title=Main_Street',
  '/a/b/../c;v=2',
  '/%C3%A9t%C3%A9/',
  '/help/contact-us',
  '/p/4711-winter-coat',
];

export const CONTEXTS: readonly ContextClass[] = [
  {
    name: 'links (RFC 3986)',
    source: 'RFC 3986, sections 1.1.2 and 5.4; freely quoted, IETF Trust',
    texts: lines(`
      ftp://ftp.is.co.za/rfc/rfc1808.txt
      http://www.ietf.org/rfc/rfc2396.txt
      ldap://[2001:db8::7]/c=GB?objectClass?one
      mailto:John.Doe@example.com
      news:comp.infosystems.www.servers.unix
      tel:+1-816-555-1212
      telnet://192.0.2.16:80/
      urn:oasis:names:specification:docbook:dtd:xml:4.1.2
      http://a/b/c/d;p?q
      http://a/b/c/g
      http://a/b/c/g/
      http://a/b/c/d;p?y
      http://a/b/c/g?y
      http://a/b/c/d;p?q#s
      http://a/b/c/g#s
      http://a/b/c/g?y#s
      http://a/b/c/;x
      http://a/b/c/g;x
      http://a/b/c/g;x?y#s
      http://a/b/g
      http://a/g
      http://a/b/c/g.
      http://a/b/c/.g
      http://a/b/c/g..
      http://a/b/c/..g
      http://a/b/c/g;x=1/y
      http://a/b/c/g?y/../x
      http://a/b/c/g#s/./x
      foo://example.com:8042/over/there?name=ferret#nose
      urn:example:animal:ferret:nose`),
  },
  {
    name: 'links of every day',
    source: OURS,
    texts: HOSTS.flatMap((host, i) => PATHS.map((path) => `${i % 2 === 0 ? 'https://' : ''}${host}${path}`)),
  },
  {
    name: 'mail addresses',
    source: 'RFC 5322, appendix A, and RFC 6854; freely quoted, IETF Trust; the last twenty made up',
    texts: [
      ...lines(`
      jdoe@machine.example
      mary@example.net
      John Doe <jdoe@machine.example>
      Mary Smith <mary@example.net>
      "Joe Q. Public" <john.q.public@example.com>
      Mary Smith <mary@x.test>, jdoe@example.org, Who? <one@y.test>
      <boss@nil.test>, "Giant; \\"Big\\" Box" <sysservices@example.net>
      A Group:Ed Jones <c@a.test>,joe@where.test,John <jdoe@one.test>;
      Undisclosed recipients:;
      <1234@local.machine.example>`),
      ...each(
        ['info', 'anna', 'orders', 'office', 'no-reply', 'first.last', 'a.b.c', 'tom+list', 'news_2026', 'o_neill'],
        ['*@bakery.example', 'write to *@school.example, please', 'cc: <*@town-library.example>'],
      ),
      ...each(
        ['ben', 'mail', 'sales', 'help', 'team', 'hello', 'maria', 'jobs', 'press', 'the.office'],
        ['*@shop.bikes.example', 'Mail *.berg@post.example.', 'x.*@school.example; and others'],
      ),
    ],
  },
  {
    name: 'handles',
    source: OURS,
    texts: twice(
      lines(
        `anna_berg\nthe.bread.shop\ntom1984\nmrs_hill\nbike.kitchen\nleo_and_mia\nrunning_late\nj_doe\npaul.b\nclass_4b\nold.town\nmy_garden\nkim99\nno_sugar\ngood_news\nask.me\nfour_cats\nnorth__west\nx_x\nin.the.sun\nred.kite\nday_by_day\nroom.12\nyou_and_me`,
      ),
      [
        '@*',
        'thanks @*!',
        'photo by @*, with thanks',
        '(@*)',
        'I think @* said it',
        'ask @* if you can',
        'is that you, @*?',
        'see @* for more',
      ],
    ),
  },
  {
    name: 'tags',
    source: OURS,
    texts: twice(
      lines(
        `bread\nsourdough\nMondayMorning\ntea\n10kRun\nhandmade\nwinter2026\nsale\nnewin\nbefore\nafter\nfood\nlove\nbikes\nhome\nrain\nmytown\nOpenDay\n2026\nfootball\nbook_club\ntv\nthrowback\nGoodMorning`,
      ),
      [
        '#*',
        'what a day #* #weekend',
        '#* #again',
        '(#*)',
        'I do not know #*',
        'so this is it #*',
        'good to be back #*',
      ],
    ),
  },
  {
    name: 'prices',
    source: OURS,
    texts: twice(
      lines(
        `£85\n£85.00\n€ 120,50\n120,50 €\n$1,250.00\nGBP 45\n45 GBP\n£4.50/kg\n£1.2k\n85-\n85,-\n£85+VAT\n20%\n2 × £45\n£45x2\n3 @ £15\n3@15\n£0.45p\n99p\n£1/2h\n£85!\n£85*\nCHF 95.–\n-£10`,
      ),
      ['*', '(*)', 'it is * now', '* in all', 'that makes *, I think', 'can you do *?', 'we paid * for the two'],
    ),
  },
  {
    name: 'times and dates',
    source: OURS,
    texts: twice(
      lines(
        `10:30\n10.30 am\n9-5\n9am\n5pm.\n17h30\n10:30–11:15\n2026-11-25\n25.11.2026\n25/11/26\n11/25\n2026-W48-3\nP6M\nT10:30Z\n10:30:00\n'26\nQ4/2026\nSat.\nMon-Fri\n1st\n2nd,\n24/7\n12 o'clock\n½ past 3`,
      ),
      ['*', '(*)', 'see you at *', 'from * on', 'it was * when we left', 'I will be there by *', 'not before *'],
    ),
  },
  {
    name: 'file names',
    source: OURS,
    texts: lines(`
      invoice_2026-11.pdf
      letter.final.v2.docx
      C:\\Users\\anna\\notes.txt
      ~/notes/shopping.md
      ./run.sh
      ../school/class4.csv
      /etc/hosts
      /home/tom/recipes.txt
      photo (1).jpg
      IMG_0440.JPG
      report-final!.pdf
      .gitignore
      a.b.c
      key=value.ini
      readme~
      #backup#
      list.csv.gz
      _index.html
      \\\\server\\share\\photos
      $HOME/draft.txt
      file:///tmp/page.txt
      the last day.txt
      train-8am.wav
      bill#12.pdf`),
  },
  {
    name: 'code',
    source: OURS,
    texts: lines(`
      const sum = list[i] + 1;
      if (a && b || !c) return;
      for (let i = 0; i < n; i += 1) {
      x = y ? left : right;
      // what is this
      /* old */
      #include <math.h>
      import { x } from './y';
      print(f"{name!r:>10}")
      SELECT * FROM users WHERE id = 'k';
      a->b(c)::d
      <a href="/home">home</a>
      <!-- v -->
      .box { margin: 0; }
      #main > .row { top: 0 }
      echo "$f" | grep -v tmp
      ls -la; cd ..
      git commit -m "fix"
      def go(x, *y, **more):
      @media (max-width: 390px)
      {"id": [1, 2], "to": null}
      key: value # note
      let p = &q;
      x ** 2 // 3
      n!! != k
      $total = @$r['n'];
      (?<=ab)\\w+
      1e-3, 0x1F, 0b11
      a?.b ?? c
      x |> f |> g`),
  },
  {
    name: 'TypeScript of this project',
    source: 'lines of this project, MIT',
    texts: lines(`
      export function hasEdgeBefore(text: string, start: number, edge: Edge): boolean {
      if (settled.fires === entry.fires) return entry;
      for (const id of gone) if (this.baseIds().has(id)) hidden.add(id);
      const replaced = { start, end: match.end + dropped };
      return { ...next, caret: { start: after, end: after } };
      export type Way = 'delimiter' | 'instant' | 'offer';
      readonly quiet: readonly Range[];
      let session = startSession();
      while (head < most && before.charCodeAt(head) === after.charCodeAt(head)) head += 1;
      z.array(z.string().min(1).max(2))
      import type { Range } from './range';
      private constructor(
      case 'composition-end':
      const [head, ...tail] = Array.from(upper);
      // Rule 4: what may go on to a longer code waits for it.
      /** The first position whose key is longer. */
      return a.start !== b.start ? a.start - b.start : 0;
      low = middle + 1;
      if (a !== b) throw new RangeError(\`no \${name}\`);
      } as const satisfies Record<string, DeviceProfile>;`),
  },
  {
    name: 'telephone numbers',
    source: 'numbers that Ofcom reserves for drama: 01632 960000 to 960999; 07700 900000 to 900999; made up',
    texts: each(
      lines(
        `01632 960123\n+44 1632 960001\n(01632) 960 999\n01632-960-040\n07700 900461\n+447700900001\n01632 960123 x12\n01632 960123#2\n*67 01632 960123\n01632/960123\n01632.960.123\n0044 1632 960123`,
      ),
      ['ring *', 'Tel. *', '*', 'or * (van)'],
    ),
  },
  {
    name: 'measures and music',
    source: OURS,
    texts: lines(`
      500 g flour
      180 °C / gas 4
      55% RH
      21 °C
      5 mm
      2.5mm x 4
      3/4 cup
      1:48
      C# minor
      B♭ major
      ff, mf and pp
      op. 10/3
      D.C. al fine
      4/4
      ♩ = 96
      size 42, wide
      a/b/c/d/e/f/g
      do re mi fa sol la ti
      12 st 4 lb
      60Hz@21C
      -3 dB
      +12 points
      ±2
      10^-3`),
  },
  {
    name: 'addresses and places',
    source: OURS,
    texts: lines(`
      4 Mill Road, Northtown
      Flat 2b, 10-12 Station St.
      c/o Mrs Berg
      P.O. Box 40
      Unit 7, The Old Dairy
      NT1 2AB
      51.5°N, 0.1°W
      50.7192,-1.8808
      12, rue du Four
      Rm. 12/B
      2nd floor, left
      St. Mary's
      A27 (north)
      M4 J12
      Platform 3a
      Apt #4
      No. 10!
      corner of High St. and Park Rd.
      nr. the post office
      Hauptstr. 5, 3. OG`),
  },
  {
    name: 'messages in a hurry',
    source: OURS,
    texts: lines(`
      wait... see you @ 5
      ok!! thx :)
      w/o the lid
      w/ the keys & the dog
      b/c of the rain
      asap!!!
      y/n?
      re: Monday
      fwd: photos & dates
      p.s. bring bread
      e.g. tea, i.e. no milk
      etc. etc.
      back in 10, promise
      hmm... maybe?
      up-and-down
      yes/no/maybe
      *very* good
      _really_ late
      "no," she said
      (again)
      tomorrow:
      and/or
      milk + eggs
      -> left
      <3 you all
      10/10!!
      a.s.a.p.
      n.b.
      vs.
      fine then`),
  },
];

/** How many texts there are in all. */
export const CONTEXT_COUNT = CONTEXTS.reduce((sum, { texts }) => sum + texts.length, 0);
/** One in so many words is a link, a price, an address or the like; assumed. */
export const WORDS_A_CONTEXT = 100;
