/**
 * Texts that are no ordinary words, in which codes like to fire: a bank in classes. Unless a class says
 * otherwise its texts are made up for this project, with names under `.example` (RFC 2606) and
 * numbers reserved for fiction.
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

const HOSTS = ['corrie-and-vale.example', 'www.tuning.example', 'book.hall.example', 'shop.strings.example'];
const PATHS = ['', '/', '/book', '/book?so=1&ham=2', '/notes/2026/11#top', '/w/index.php?title=A_440', '/a/b/../c;v=2', '/%C3%A9tude/', '/so/long', '/p/4711-felt-grey'];

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
        ['so', 'ham', 'diary', 'workshop', 'no-reply', 'first.last', 'a.b.c', 'me+list', 'info_2026', 'o_neill'],
        ['*@corrie-and-vale.example', 'write to *@tuning.example, please', 'cc: <*@hall.example>'],
      ),
      ...each(
        ['van', 'tablet', 'book', 'felt', 'oar', 'am', 'in', 'at', 'it', 'an'],
        ['*@corrie-and-vale.example', 'Mail *.vale@post.example.', 'x.*@hall.example; and others'],
      ),
    ],
  },
  {
    name: 'handles',
    source: OURS,
    texts: twice(
      lines(`corrie\nvale_tunes\nso.long\nham_and_eggs\npiano.van\nfelt_grey\nthe_oar\nw3\nmx.keys\nann_o\nso_and_so\nam.pm\nmy_loc\nkey440\nlo_fi\nin_tune\nbook.me\naddr_1\nhall__west\nx_x\nsig.off\nbb.flat\nee.oh\nno.1`),
      ['@*', 'thanks @*!', 'photo by @*, with thanks', '(@*)'],
    ),
  },
  {
    name: 'tags',
    source: OURS,
    texts: twice(
      lines(`piano\npianotuning\nSoLong\nham\nA440\nrestored\nfelt\nupright1904\ngrandpiano\nworkshop\nbefore\nafter\nso\nloc\naddr\noar\nsale\nw\nm\n2026\nviolin\nham_radio\nkeys\nTuningFork`),
      ['#*', 'today in the workshop #* #piano', '#* #diary', '(#*)'],
    ),
  },
  {
    name: 'prices',
    source: OURS,
    texts: twice(
      lines(`£85\n£85.00\n€ 120,50\n120,50 €\n$1,250.00\nGBP 45\n45 GBP\n£4.50/mile\n£1.2k\n85-\n85,-\n£85+VAT\n20%\n2 × £45\n£45x2\n3 @ £15\n3@15\n£0.45p\n99p\n£1/2h\n£85!\n£85*\nCHF 95.–\n-£10`),
      ['The tuning is * this year', 'so * in all', '*', '(*)'],
    ),
  },
  {
    name: 'times and dates',
    source: OURS,
    texts: twice(
      lines(`10:30\n10.30 am\n9-5\n9am\n5pm.\n17h30\n10:30–11:15\n2026-11-25\n25.11.2026\n25/11/26\n11/25\n2026-W48-3\nP6M\nT10:30Z\n10:30:00\n'26\nQ4/2026\nSat.\nMon-Fri\n1st\n2nd,\n24/7\n12 o'clock\n½ past 3`),
      ['I come at *', 'from * on', '*', '(*)'],
    ),
  },
  {
    name: 'file names',
    source: OURS,
    texts: lines(`
      invoice_2026-11.pdf
      so.final.v2.docx
      C:\\Users\\vale\\so.txt
      ~/notes/addr.md
      ./run.sh
      ../hall/w.csv
      /etc/hosts
      /home/vale/ham.txt
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
      \\\\server\\share\\w
      $HOME/sig.txt
      file:///tmp/loc.txt
      so long.txt
      tune-440hz.wav
      bill#12.pdf`),
  },
  {
    name: 'code',
    source: OURS,
    texts: lines(`
      const so = ham[w] + 1;
      if (a && b || !c) return;
      for (let i = 0; i < n; i += 1) {
      x = y ? loc : addr;
      // so what
      /* ham */
      #include <so.h>
      import { w } from './w';
      print(f"{so!r:>10}")
      SELECT * FROM so WHERE w = 'm';
      a->b(c)::d
      <a href="/so">so</a>
      <!-- m -->
      .w { margin: 0; }
      #addr > .loc { top: 0 }
      echo "$w" | grep -v so
      ls -la; cd ..
      git commit -m "so"
      def so(w, *m, **oar):
      @media (max-width: 390px)
      {"so": [1, 2], "w": null}
      key: value # so
      let w = &m;
      x ** 2 // 3
      n!! != m
      $so = @$w['m'];
      (?<=so)\\w+
      1e-3, 0x1F, 0b11
      a?.b ?? c
      x |> so |> w`),
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
    source: "numbers that Ofcom reserves for drama: 01632 960000 to 960999; 07700 900000 to 900999; made up",
    texts: each(
      lines(`01632 960123\n+44 1632 960001\n(01632) 960 999\n01632-960-040\n07700 900461\n+447700900001\n01632 960123 x12\n01632 960123#2\n*67 01632 960123\n01632/960123\n01632.960.123\n0044 1632 960123`),
      ['ring *', 'Tel. *', '*', 'or * (van)'],
    ),
  },
  {
    name: 'measures and music',
    source: OURS,
    texts: lines(`
      A4 = 440 Hz
      a' = 442
      55% RH
      21 °C
      5 mm
      2.5mm x 4
      3/4 in.
      1:48
      C# minor
      B♭ major
      ff, mf and pp
      op. 10/3
      D.C. al fine
      4/4
      ♩ = 96
      key of w
      a/b/c/d/e/f/g
      do re mi fa so la ti
      12 st 4 lb
      440Hz@21C
      -3 dB
      +12 cents
      ±2
      10^-3`),
  },
  {
    name: 'addresses and places',
    source: OURS,
    texts: lines(`
      4 Felt Lane, Vale
      Flat 2b, 10-12 Hall St.
      c/o Mrs Oar
      P.O. Box 40
      Unit W, The Maltings
      VA1 2SO
      51.5°N, 0.1°W
      50.7192,-1.8808
      ///felt.grey.latch
      Rm. 12/B
      2nd floor, left
      So. Vale
      St. Mary's
      A440 (north)
      M4 J12
      Platform 3a
      Apt #4
      No. 10!
      corner of W. and M. St.
      nr. the hall`),
  },
  {
    name: 'messages in a hurry',
    source: OURS,
    texts: lines(`
      so... see you @ 5
      ok!! thx :)
      w/o the lid
      w/ the lid & keys
      b/c of the rain
      asap!!!
      y/n?
      re: so
      fwd: ham & eggs
      p.s. bring w
      e.g. so, i.e. ham
      etc. etc.
      omw, 10 min.
      hmm... so?
      so-so
      yes/no/maybe
      *so* good
      _really_ so
      "so," she said
      (so)
      so:
      and/or
      ham + eggs
      -> so
      <3 so
      10/10!!
      a.s.a.p.
      n.b.
      vs.
      ok so`),
  },
];

/** How many texts there are in all. */
export const CONTEXT_COUNT = CONTEXTS.reduce((sum, { texts }) => sum + texts.length, 0);
