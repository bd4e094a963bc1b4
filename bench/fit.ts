import { CompiledList, heldBy, keysOf, settleRules, simulate } from '../packages/core/src/fire';
import { writeTable } from '../packages/core/src/exchange/table';
import { compileFor, ListFit, type Fit, type FitShortcut } from '../packages/core/src/fit';
import { profileOf } from '../packages/core/src/profile';
import { madeUpList } from './lists';
import { median, round, timesInTurn, type Figure } from './measure';

const PLACES = ['app', 'phone-list', 'tablet-list', 'expander', 'keyboard-with-offers'];
const NAMED = PLACES.map((key) => ({ id: key, key }));
const CONTEXT = { now: Date.UTC(2026, 10, 29), locale: 'en-GB', zone: 'UTC' };

/** A list in which every fiftieth text has two lines, and every two hundredth is long. */
function shortcutsOf(count: number): FitShortcut[] {
  return madeUpList(count, 1, 3).map(({ id, code, expansion }, at) => ({
    id,
    code,
    content: {
      expansion: `The ${expansion} is written out here${at % 50 === 0 ? '\nand here' : ''}${at % 200 === 0 ? ', again'.repeat(40) : ''}`,
      template: false,
      format: 'plain',
    },
    kind: 'message',
    setId: null,
  }));
}

/** The plain way: each code typed into the place, key by key, in the middle of a text. How many work. */
function typedEach(shortcuts: readonly FitShortcut[]): number {
  let works = 0;
  for (const key of PLACES) {
    const profile = profileOf(key);
    const { placed } = compileFor({ sets: [], shortcuts }, profile, CONTEXT);
    const texts = new Map(placed.map(({ id, text }) => [id, text]));
    const entries = settleRules({ sets: [], shortcuts })
      .filter(({ id }) => texts.has(id))
      .map((entry) => ({ ...entry, expansion: texts.get(entry.id)! }));
    const list = CompiledList.compile(entries, profile);
    for (const entry of entries) {
      const isOffer = heldBy(entry, profile)!.fires === 'offer';
      const keys = keysOf(isOffer ? entry.code : `${entry.code}\n`);
      const { text } = simulate(isOffer ? [...keys, { type: 'take', nth: 0 }] : keys, list, profile, {
        after: '— ',
        explains: false,
      });
      if (text === `— ${entry.expansion}${isOffer ? '' : '\n'}`) works += 1;
    }
  }
  return works;
}

const isWorking = ({ verdict }: Fit) => verdict === 'works' || verdict === 'changed';

export function fit(): Figure[] {
  const shortcuts = shortcutsOf(10_000);
  const list = { sets: [], shortcuts };
  const whole = () => new ListFit(list, NAMED, CONTEXT);
  const [ours, typed] = timesInTurn(7, [() => void whole(), () => void typedEach(shortcuts)]).map(median) as [
    number,
    number,
  ];
  const known = whole();
  const found = PLACES.reduce((sum, place) => sum + [...known.fitsOf(place).values()].filter(isWorking).length, 0);
  const expected = typedEach(shortcuts);
  // An edit of one after the other, each taken back.
  let at = 0;
  const edits = timesInTurn(200, [
    () => {
      const one = shortcuts[(at * 37) % shortcuts.length]!;
      at += 1;
      known.change({ put: [{ ...one, code: `${one.code}x` }] });
      known.change({ put: [one] });
    },
  ])[0]!.map((time) => time / 2);
  const edit = median(edits);
  const file = timesInTurn(7, [
    () => {
      const { placed } = compileFor(list, profileOf('phone-list'), CONTEXT);
      writeTable([['code', 'expansion'], ...placed.map(({ code, text }) => [code, text])], ',');
    },
  ]).map(median)[0]!;
  return [
    {
      name: 'fit',
      what: `what becomes of 10,000 shortcuts in five places (${found} and ${expected} work)`,
      ours: round(ours),
      peer: `${round(typed)} ms, each typed key by key`,
      ratio: round(typed / ours),
      unit: 'ms',
      bar: '≥ 20',
      holds: typed / ours >= 20 && found === expected,
    },
    {
      name: 'fit-edit',
      what: 'the same after an edit of one, median of 200',
      ours: round(edit),
      peer: `${round(ours)} ms, all of it`,
      ratio: round(edit / ours),
      unit: 'ms',
      bar: '≤ 0.05',
      holds: edit / ours <= 0.05,
    },
    {
      name: 'fit-file',
      what: '10,000 shortcuts compiled for a phone and written as a table',
      ours: round(file),
      peer: 'none, reported',
      ratio: 1,
      unit: 'ms',
      bar: 'reported',
      holds: true,
    },
  ];
}

/** What becomes of so many shortcuts in five places. */
export function fitOf(count: number): () => void {
  const list = { sets: [], shortcuts: shortcutsOf(count) };
  return () => void new ListFit(list, NAMED, CONTEXT);
}
