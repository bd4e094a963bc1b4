import { deskWith, request, shortcut, VOCABULARY } from '@/answers/audit/testing';

import { OwnTextWorkerApi } from './workerApi';

test('own text is read, a picture is refused', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const ownText = new OwnTextWorkerApi(api);
  await api.run(request(shortcut('1', 'so')));
  const text = Uint8Array.from('so it is, so', (sign) => sign.charCodeAt(0));
  expect(ownText.read(text, { type: 'text' }, 'phone-list')).toMatchObject({
    own: { text: 'so it is, so' },
    report: { words: 4, ids: ['1'] },
  });
  api.change({ put: [shortcut('2', 'it')], remove: ['1'] });
  expect(ownText.read(text, { type: 'text' }, 'phone-list')).toMatchObject({ report: { ids: ['2'] } });
  expect(
    ownText.read(
      Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]),
      { type: 'text' },
      'phone-list',
    ),
  ).toMatchObject({ type: 'binary' });
});

test('the columns of a table and the fields of JSON lines are there to choose from', () => {
  const ownText = new OwnTextWorkerApi(deskWith({}).api);
  const bytes = (text: string) => new TextEncoder().encode(text);
  expect(ownText.columns(bytes('when,"what, said"\n1,so'), 'csv')).toEqual(['when', 'what, said']);
  expect(ownText.columns(bytes('{"a":{"text":"so"},"n":1}\nnonsense\n{"b":""}'), 'json-lines')).toEqual([
    'a.text',
    'b',
  ]);
});
