import { Audit, asksForAnotherCode, type AuditedShortcut } from '../packages/core/src/clash';
import { DEVICE_PROFILES } from '../packages/core/src/fit';
import { confusableSkeleton, parseLookAlikes, parseVocabulary } from '../packages/language/src';
import { buildLookAlikes, buildVocabulary } from '../packages/language/src/build';
import { madeUpList } from './lists';
const english = parseVocabulary(buildVocabulary('en'));
const lookAlikes = parseLookAlikes(buildLookAlikes());
const PROFILES = [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES['computer-list'], DEVICE_PROFILES.app];
const shortcutsOf = (count: number): AuditedShortcut[] => madeUpList(count, 1, 0).map(({ id, code, expansion }) => ({ id, code, content: { expansion: `The ${expansion} is written out here`, template: false, format: 'plain' }, kind: 'message', setId: null }));
for (const n of [100, 10000]) {
  const audit = Audit.run({ list: { sets: [], shortcuts: shortcutsOf(n) }, profiles: PROFILES, languages: [{ vocabulary: english }], skeletonOf: (key: string) => confusableSkeleton(key, lookAlikes) });
  audit.prepare();
  for (const round of [0, 1, 2]) for (const code of [';book', ';mbl', ';hq', 'book', 'bbook', 'book*', ';bookavisit']) {
    const t = performance.now();
    const f = audit.previewFindings({ put: [{ id: 'new', code, content: { expansion: 'Please book a visit at our site', template: false, format: 'plain' }, kind: 'message', setId: null }] }, 'new');
    if (round === 2) console.log(n, code, (performance.now() - t).toFixed(2), f.filter(asksForAnotherCode).length);
  }
}
