import MailComposer from 'nodemailer/lib/mail-composer';

import { htmlToText, looksLikeMail, readMails, readSent, withoutQuoted } from '.';

const bytesOf = (text: string) => new TextEncoder().encode(text.replaceAll('\n', '\r\n'));
const read = async (text: string) => (await readMails(bytesOf(text), () => Promise.resolve())).messages;

describe('mails as the standards print them', () => {
  test('a simple message (RFC 5322, appendix A.1.1)', async () => {
    const mail = `From: John Doe <jdoe@machine.example>
To: Mary Smith <mary@example.net>
Subject: Saying Hello
Date: Fri, 21 Nov 1997 09:55:06 -0600
Message-ID: <1234@local.machine.example>

This is a message just to say hello.
So, "Hello".`;
    expect(looksLikeMail(bytesOf(mail))).toBe(true);
    expect(await read(mail)).toEqual([
      {
        text: 'This is a message just to say hello.\nSo, "Hello".',
        at: Date.UTC(1997, 10, 21, 15, 55, 6),
        from: 'jdoe@machine.example',
      },
    ]);
  });

  test('white space, comments and other oddities (RFC 5322, appendix A.5)', async () => {
    const mail = `From: Pete(A nice \\) chap) <pete(his account)@silly.test(his host)>
To:A Group(Some people)
     :Chris Jones <c@(Chris's host.)public.example>,
         joe@example.org,
  John <jdoe@one.test> (my dear friend); (the end of the group)
Cc:(Empty list)(start)Hidden recipients  :(nobody(that I know))  ;
Date: Thu,
      13
        Feb
          1969
      23:32
               -0330 (Newfoundland Time)
Message-ID:              <testabcd.1234@silly.test>

Testing.`;
    const [message] = await read(mail);
    expect(message!.text).toBe('Testing.');
    expect(message!.at).toBe(Date.UTC(1969, 1, 14, 3, 2));
  });

  test('several parts with the text in the middle (RFC 2046, section 5.1.1)', async () => {
    const mail = `From: Nathaniel Borenstein <nsb@bellcore.com>
To: Ned Freed <ned@innosoft.com>
Date: Sun, 21 Mar 1993 23:56:48 -0800 (PST)
Subject: Sample message
MIME-Version: 1.0
Content-type: multipart/mixed; boundary="simple boundary"

This is the preamble.  It is to be ignored, though it
is a handy place for composition agents to include an
explanatory note to non-MIME conformant readers.

--simple boundary

This is implicitly typed plain US-ASCII text.
It does NOT end with a linebreak.
--simple boundary
Content-type: text/plain; charset=us-ascii

This is explicitly typed plain US-ASCII text.
It DOES end with a linebreak.

--simple boundary--

This is the epilogue.  It is also to be ignored.`;
    const [message] = await read(mail);
    expect(message!.text).toContain('It does NOT end with a linebreak.');
    expect(message!.text).toContain('It DOES end with a linebreak.');
    expect(message!.text).not.toContain('ignored');
  });

  test('quoted-printable (RFC 2045, section 6.7)', async () => {
    const mail = `From: a@b.example
Date: Fri, 21 Nov 1997 09:55:06 -0600
MIME-Version: 1.0
Content-Type: text/plain; charset=us-ascii
Content-Transfer-Encoding: quoted-printable

Now's the time =
for all folk to come=
 to the aid of their country.`;
    const [message] = await read(mail);
    expect(message!.text).toBe("Now's the time for all folk to come to the aid of their country.");
  });
});

/** Mails as nodemailer writes them: another program’s idea of the standards. */
describe('mails that another program writes', () => {
  const compose = (options: ConstructorParameters<typeof MailComposer>[0]) =>
    new MailComposer({
      from: 'Ansel Corrie <ansel@corrieandvale.example>',
      to: 'rowena@hamble.example',
      date: new Date(Date.UTC(2026, 10, 2, 10)),
      ...options,
    })
      .compile()
      .build();

  test.each(['quoted-printable', 'base64'] as const)('%s, with letters of many scripts', async (textEncoding) => {
    const text = 'Grüße aus der Werkstatt, Łódź, 東京, שלום, ½ × ♯ 🎹';
    const mail = await compose({ subject: 'Grüße', text, textEncoding });
    const { messages } = await readMails(mail, () => Promise.resolve());
    expect(messages).toEqual([{ text, at: Date.UTC(2026, 10, 2, 10), from: 'ansel@corrieandvale.example' }]);
  });

  test('of HTML alone the text, of both the plain one; attachments are left out', async () => {
    const html = '<p>Thank you for <b>booking</b>.<br>See you soon.</p><blockquote>When?</blockquote>';
    const only = await readMails(await compose({ html }), () => Promise.resolve());
    expect(only.messages[0]!.text).toBe('Thank you for booking.\nSee you soon.');
    const attachments = [{ filename: 'notes.txt', content: 'not said by anybody' }];
    const both = await readMails(await compose({ text: 'Said.', html, attachments }), () => Promise.resolve());
    expect(both.messages[0]!.text).toBe('Said.');
  });

  test('many in one file, with lines that begin with “From ”', async () => {
    const one = await compose({ text: 'From here it is a short walk.\nBye' });
    const asIs = one.toString('latin1').replaceAll(/^(>*From )/gmu, '>$1');
    const box = `From ansel@corrieandvale.example Mon Nov  2 10:00:00 2026\n${asIs}\n\n`.repeat(3);
    const { messages, skipped } = await readMails(Buffer.from(box, 'latin1'), () => Promise.resolve());
    expect(skipped).toEqual([]);
    expect(messages.map(({ text }) => text)).toEqual(Array(3).fill('From here it is a short walk.\nBye'));
  });

  test('twenty thousand attachments', async () => {
    const small = await compose({ text: 'Here it is.', attachments: [{ filename: 'a.bin', content: 'x' }] });
    const box = `From a@b.example Mon Nov  2 10:00:00 2026\n${small.toString('latin1')}\n\n`.repeat(2_000);
    const many = await compose({
      text: 'All at once.',
      attachments: Array.from({ length: 18_000 }, (_, at) => ({ filename: `${at}.bin`, content: 'x' })),
    });
    const bytes = Buffer.from(`${box}From a@b.example Mon Nov  2 10:00:00 2026\n${many.toString('latin1')}`, 'latin1');
    let steps = 0;
    const { messages } = await readMails(bytes, () => {
      steps += 1;
      return Promise.resolve();
    });
    expect(messages).toHaveLength(2_001);
    expect(messages.at(-1)!.text).toBe('All at once.');
    expect(steps).toBe(40);
  }, 60_000);
});

describe('what others wrote is left out', () => {
  test.each([
    [
      'a quote with who wrote it',
      'Yes.\n\nOn 2 Nov 2026, Rowena <r@h.example> wrote:\n> When?\n> Soon?\n\nBye',
      'Yes.\n\n\nBye',
    ],
    ['who wrote it on two lines', 'Ja.\n\nAm 2. November 2026 um 10:00 schrieb\nRowena Teller:\n> Wann?', 'Ja.'],
    ['a quote in pieces', '> one\n\nMy answer.\n\n> two', 'My answer.'],
    ['a mail sent on', 'See below.\n\n---------- Forwarded message ----------\nFrom: x@y.example\nHello', 'See below.'],
    ['a mail quoted whole', 'Fine.\n\nFrom: Rowena <r@h.example>\nSent: Monday\nTo: me\n\nHow are you?', 'Fine.'],
  ])('%s', (_what, text, own) => expect(withoutQuoted(text)).toBe(own));

  test.each(['Two things:\nthe pedals and the lid.', 'Name: Corrie\nMake: Vale\nPitch: 440', 'Prices:\n> not a quote'])(
    'and what looks a little like it stays: %j',
    (text) => expect(withoutQuoted(text).split('\n')[0]).toBe(text.split('\n')[0]),
  );

  test('one’s own signature stays, without its dashes', () => {
    expect(withoutQuoted('Bye\n-- \nAnsel Corrie')).toBe('Bye\nAnsel Corrie');
  });

  test('HTML with what nobody sees', () => {
    expect(htmlToText('<style>p{}</style><ul><li>one<li>two &amp; three</ul><script>x()</script>')).toBe(
      'one\n\ntwo & three',
    );
    expect(htmlToText('<<<>>><p')).toBe('<<<>>>');
  });
});

describe('other files', () => {
  const of = (text: string, format: Parameters<typeof readSent>[1]) => readSent(new TextEncoder().encode(text), format);

  test('a table: the column of what was said is guessed, dates are read', async () => {
    const csv = 'Sent,To,Body\n2026-11-02T10:00:00Z,Rowena,"Thank you, see you soon"\n2026-11-03T10:00:00Z,Wilf,Bye\n';
    expect(await of(csv, { type: 'csv' })).toEqual({
      format: { type: 'csv', column: 2 },
      columns: ['Sent', 'To', 'Body'],
      sent: {
        messages: [
          { text: 'Thank you, see you soon', at: Date.UTC(2026, 10, 2, 10), from: null },
          { text: 'Bye', at: Date.UTC(2026, 10, 3, 10), from: null },
        ],
        skipped: [],
      },
    });
  });

  test('a table without names: the column with most words', async () => {
    const read = await of('1,Thank you for booking\n2,See you soon\n', { type: 'csv' });
    expect(read).toMatchObject({ format: { column: 1 }, sent: { messages: [{ text: 'Thank you for booking' }, {}] } });
  });

  test('lines of JSON, with seconds since 1970, and one that is none', async () => {
    const read = await of('{"text":"Hello","timestamp":1793613600}\n{"text"\n', { type: 'json-lines' });
    expect(read).toMatchObject({
      format: { field: 'text' },
      sent: { messages: [{ text: 'Hello', at: 1_793_613_600_000 }], skipped: [{ row: 2 }] },
    });
  });

  test('plain text: blank lines and dates begin messages', async () => {
    const read = await of('2026-11-02 10:00 Hello\nthere\n[2026-11-03] Bye\n\nNo date', { type: 'text' });
    expect(read).toMatchObject({
      sent: {
        messages: [
          { text: 'Hello\nthere', at: Date.UTC(2026, 10, 2, 10) },
          { text: 'Bye', at: Date.UTC(2026, 10, 3, 12) },
          { text: 'No date' },
        ],
      },
    });
  });

  test.each([
    ['nothing', '', { type: 'no-text' }],
    ['blanks', ' \n\n ', { type: 'no-text' }],
    ['a picture', '\x89PNG\r\n\x1a\n\0\0', { type: 'binary', looksLike: 'a picture' }],
  ])('of %s it is said why not', async (_what, text, problem) => {
    expect(await readSent(Buffer.from(text, 'latin1'), { type: 'text' })).toMatchObject(problem);
    expect(await of('', { type: 'mail' })).toEqual({ type: 'no-text' });
  });
});
