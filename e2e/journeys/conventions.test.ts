import { By, Key } from 'selenium-webdriver';

import { journey } from '../journey';
import { OtherDevice } from '../otherDevice';

journey(
  'the whole list is set in the recommended marker, and one tap gives back the same list',
  'demo',
  async ({ open, stand }) => {
    const other = await OtherDevice.join(stand.address);
    const before = await other.shortcuts();
    const app = await open('phone');
    await app.bench('Markers');
    await app.seeText('54 of 62 codes start with “;”. The others do it in 5 other ways.');
    // First what changes few codes, then what changes all.
    await app.seeText('Give 8 codes your marker “;”');
    await app.control('Show the 8 codes');
    await app.seeText('Use “,” before the code');
    await app.seeText('This saves another');
    await app.seeText('markers compared');
    await app.expectAccessible();
    await app.tap('See what changes');
    await app.seeText('It fixes ');
    await app.seeText('At the start of a word, “,res” expands first on Workshop laptop');
    await app.expectAccessible();
    await app.tap('Change 62 codes');
    await app.seeText('Changed 62 codes.');
    await app.seeText('62 of 62 codes start with “,”.');
    await app.seeText('No other marker would be noticeably better.');
    await app.until(async () => (await other.shortcuts()) !== before, 'the other devices to have it');
    await app.tap('Undo');
    await app.seeText('54 of 62 codes start with “;”');
    await app.until(async () => (await other.shortcuts()) === before, 'the list to be the same, byte for byte');
  },
);

journey('exceptions are ticked out, and old codes go on working and tell the new ones', 'demo', async ({ open }) => {
  const app = await open('phone', '/check/conventions/apply?place=before&marker=%2C&scope=list');
  await app.seeText('62 codes');
  await app.tick('“;ten” becomes “,ten”');
  await app.seeText('61 codes, 1 left out');
  await app.tap('Change 61 codes');
  await app.seeText('Changed 61 codes.');
  await app.seeText('Others:');
  await app.control('Open ;ten');
  await app.goTo('Write');
  await app.press(await app.see(By.css('textarea.write-pad')));
  await app.type(';late ');
  await app.seeText('“;late” is now “,late”. The old code still works for a while.');
  expect((await app.pad()).text).toMatch(/^The last piano needed more time/);
  await app.tap('Clear');
  await app.type(',late ');
  await app.seeText('“,late” expanded.');
  // Those in the code’s new place are not proposed again: a bare word is given the chosen marker.
  await app.goTo('Shortcuts');
  await app.tap('New shortcut…');
  await app.insert(await app.field('You get'), 'Somebody will be there to let you in.');
  await app.insert(await app.field('You type'), 'them');
  await app.see(By.css('[aria-label="Use ,them"]'));
});

journey(
  'by keyboard: a marker is looked at, tried on one set, and a clash is resolved or listed',
  'empty',
  async ({ open, stand }) => {
    const other = await OtherDevice.join(stand.address);
    await other.make(
      [';ten', 'ten minutes away'],
      ['/ten', 'tenor part, second desk'],
      ['ham', 'Hamble Hall'],
      ['->', '→'],
      ['x'.repeat(40), 'too long to be marked'],
    );
    const app = await open('computer', '/check/conventions');
    await app.seeText('markers compared');
    await app.tabTo('Order');
    await app.type(Key.RETURN);
    await app.see(By.css('[role=radiogroup]'));
    await app.type(Key.ESCAPE);
    // Rows open and close; what speaks against a marker is told.
    await app.choose('Markers', 'Letters too');
    await app.seeText('more');
    await app.pressByKey('Show ', 200);
    await app.tabTo('“/” before', 400);
    await app.type(Key.RETURN);
    await app.seeText('Chat apps use “/” for commands.');
    await app.expectAccessible();
    await app.open('/check/conventions/apply?place=before&marker=%2C&scope=list');
    await app.seeText('“,ten” is in use');
    await app.seeText(`stays, because “,${'x'.repeat(40)}” would be too long`);
    await app.seeText('1 symbol or correction stays as it is.');
    await app.expectAccessible();
    await app.tabTo('“ham” becomes “,ham”');
    await app.type(' ');
    await app.seeText('2 codes, 1 left out');
    await app.open('/check/conventions/apply?place=before&marker=abc&scope=list');
    await app.seeText('This marker doesn’t exist');
  },
);
