import { readExportedList } from './exportedList';
import { writeList } from '@yellow-latch/core/exchange';
import { makeShortcut } from '@yellow-latch/core/model/testing';

const shortcut = makeShortcut(';ws', 'Unit 3', { id: '01a22ad8-2015-77f3-aaf8-92aafd62af5c' });

test('a list that the app exports is read', () => {
  const template = {
    ...shortcut,
    code: ';hi',
    content: { expansion: 'Hi {$name}', template: true, format: 'plain' as const },
  };
  const file = writeList({ shortcuts: [shortcut, template], sets: [] }, 'json', '2026-11-30T09:00:00.000Z');
  const { entries } = readExportedList(JSON.parse(file));
  expect(entries.map(({ code, expansion, fires, asks = false }) => [code, expansion, fires, asks])).toEqual([
    [';ws', 'Unit 3', 'delimiter', false],
    [';hi', 'Hi {$name}', 'delimiter', true],
  ]);
});

test.each([
  [null, 'format'],
  [[], 'format'],
  [{ format: 'yellow-latch list', version: 2, shortcuts: [] }, 'version 2; version 1 is known here'],
  [{ format: 'yellow-latch list', version: 1 }, 'shortcuts: '],
  [{ shortcuts: [7] }, 'shortcuts[0]: '],
  [{ shortcuts: [{ ...shortcut, id: '' }] }, 'shortcuts[0].id'],
  [{ shortcuts: [shortcut, { ...shortcut, code: ' ' }] }, 'shortcuts[1].code'],
  [{ shortcuts: [{ ...shortcut, content: { expansion: 'a', format: 'html' } }] }, 'shortcuts[0].content.format'],
  [{ shortcuts: [{ ...shortcut, content: { expansion: 'a', template: 'yes' } }] }, 'shortcuts[0].content.template'],
  [{ shortcuts: [{ ...shortcut, rules: [] }] }, 'shortcuts[0].rules'],
])('what is none says where: %j', (file, where) => {
  const whole =
    file !== null && 'shortcuts' in file && !('format' in file)
      ? { format: 'yellow-latch list', version: 1, ...file }
      : file;
  expect(() => readExportedList(whole)).toThrow(where);
});
