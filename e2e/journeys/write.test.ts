import { By, Key } from 'selenium-webdriver';

import { journey } from '../journey';

const TEN = 'I am about ten minutes away.';

journey('typing on the page: firing, capitals, Backspace, undo, copy', 'demo', async ({ open }) => {
  const app = await open('phone', '/write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.expectAccessible();

  await app.type('Hello, ;ten ');
  await app.padHolds(`Hello, ${TEN} `);
  expect((await app.pad()).caret).toBe(`Hello, ${TEN} `.length);
  await app.seeText('“;ten” expanded.');

  // One Backspace gives back what was typed, and it stays.
  await app.type(Key.BACK_SPACE);
  await app.padHolds('Hello, ;ten ');
  expect((await app.pad()).caret).toBe('Hello, ;ten '.length);
  await app.type('and more ');
  await app.padHolds('Hello, ;ten and more ');

  // Capitals do not matter; return and a mark fire as well; the longest code wins.
  await app.type('\n;TEN\n');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n`);
  await app.type('(;tenp).');
  const long = 'I am about ten minutes away. Could someone keep a space for the van, please?';
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}).`);
  await app.type(' 21;dg ');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);

  // Undo goes back over the firing first, then over what was typed; redo goes forward.
  await app.withControl('z');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21;dg `);
  await app.withControl('y');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);

  await app.tap('Send');
  await app.tap('Copy');
  await app.seeText('Copied ');
  expect(await app.clipboard()).toBe(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);

  await app.tap('Clear');
  await app.padHolds('');
  await app.withControl('z');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);

  // The page is kept when one goes elsewhere and when it is loaded again.
  await app.goTo('Shortcuts');
  await app.goTo('Write');
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);
  await app.reload();
  await app.see(By.css('textarea.write-pad'));
  await app.padHolds(`Hello, ;ten and more \n${TEN}\n(${long}). 21° `);
  await app.expectAccessible();
});

journey('letters that arrive as a composition fire, pasted ones do not', 'demo', async ({ open }) => {
  const app = await open('phone', '/write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  const compose = async (text: string) => {
    await app.browser.command('Input.imeSetComposition', {
      text,
      selectionStart: text.length,
      selectionEnd: text.length,
    });
  };
  const commit = (text: string) => app.browser.command('Input.insertText', { text });

  // As many touch keyboards do: letters under composition, committed when the space is pressed.
  for (const text of [';', ';t', ';te', ';ten']) await compose(text);
  await app.padHolds(';ten');
  await commit(';ten');
  await commit(' ');
  await app.padHolds(`${TEN} `);
  await app.type(Key.BACK_SPACE);
  await app.padHolds(';ten ');

  // The delimiter may be part of what is committed.
  for (const text of ['h', 'hr', 'hrp']) await compose(text);
  await commit('hrp. ');
  await app.seeText('“hrp” expanded.');
  expect((await app.pad()).text).toMatch(/^;ten Heather Road School: .* music room\.\. $/);

  // Pasted text does not fire.
  await app.tap('Clear');
  await app.copyToClipboard('see ;ten');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.withControl('v');
  await app.padHolds('see ;ten');
  await app.type(' ');
  await app.padHolds('see ;ten ');
});

journey('signs of every script are kept, fired and given back whole', 'empty', async ({ open }) => {
  const FAMILY = '👩‍👩‍👧‍👦';
  const samples: [string, string][] = [
    [';fam', `${FAMILY} 🇸🇪`],
    ['क्षि', 'नमस्ते, मैं दस मिनट में पहुँचूँगा'],
    [FAMILY, 'the whole family'],
    ['cafe\u0301', 'Cafe\u0301 am Hafen'],
  ];
  const app = await open('phone');
  for (const [code, expansion] of samples) await app.make(code, expansion);
  await app.goTo('Write');
  for (const [code, expansion] of samples) {
    const pad = await app.see(By.css('textarea.write-pad'));
    await app.insert(pad, code);
    await app.type(' ');
    await app.padHolds(`${expansion} `);
    await app.type(Key.BACK_SPACE);
    await app.padHolds(`${code} `);
    expect((await app.pad()).caret).toBe(code.length + 1);
    await app.tap('Clear');
    await app.padHolds('');
  }
  // Stored as given: not one code point was changed on the way through the server.
  const other = await open('computer');
  await other.openShortcut('cafe\u0301');
  expect(await (await other.field('You get')).getAttribute('value')).toBe('Cafe\u0301 am Hafen');
});
