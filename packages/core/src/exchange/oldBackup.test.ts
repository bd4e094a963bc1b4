/** A backup as the version before the renames of November 2026 wrote it: it is read whole. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { readList } from './readList';

test('shortcuts, sets, conventions and ignored findings are all there', () => {
  const text = readFileSync(join(__dirname, '../../fixtures/backup-1.json'), 'utf8');
  const read = readList(text);
  if ('type' in read) throw new Error(read.type);
  expect(read.rows.map((row) => ('whole' in row ? row.whole.fields.code : row))).toEqual([';full', ';new', ';wrk']);
  expect(read.file!.sets.map(({ name }) => name)).toEqual(['Workshop']);
  expect(read.file!.rest).toMatchObject({
    list: { languages: ['en', 'de'], devices: ['app', 'phone-list'] },
    conventions: [{ mark: { place: 'before', marker: ';' } }],
    leftFindings: [{ finding: 'word', about: 'ws', reason: 'I never write it' }],
  });
});
