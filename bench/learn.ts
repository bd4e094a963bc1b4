/** Learning: what is known of 10,000 codes read, and the next card of a practice in Chromium. */
import { createEmptyCard, fsrs } from 'ts-fsrs';

import { codeDigest, FIRST_LEARNER, learningId, learntBy } from '@yellow-latch/core/learn/names';
import { afterEvidence, learningOf } from '@yellow-latch/core/learn';
import type { Learning, LearningState, Review } from '@yellow-latch/core/model';
import { makeShortcut } from '@yellow-latch/core/model/testing';
import { stateFor } from '@yellow-latch/replica/commands/learning';

import { App } from '../e2e/app';
import { Browser } from '../e2e/browser';
import { OtherDevice, type Pair } from '../e2e/otherDevice';
import { Stand } from '../e2e/stand';
import { madeUpList } from './lists';
import { median, percentile, round, timesInTurn, type Figure } from './measure';

const SHORTCUTS = 10_000;
const REVIEWS = 12;
const DAY = 24 * 60 * 60 * 1_000;
const START = Date.UTC(2026, 0, 5, 9);

/** As many reviews as the app keeps of a code that is in use, with a lapse here and there. */
function reviewsOf(seed: number, until = START + 90 * DAY): Review[] {
  return Array.from({ length: REVIEWS }, (_, n) => ({
    at: until - (REVIEWS - n) * (3 + (seed % 5)) * DAY,
    how: (seed + n) % 7 === 6 ? ('missed' as const) : ('typed' as const),
    seconds: 2,
  }));
}

function stateOf(code: string, reviews: readonly Review[]): LearningState {
  let state: LearningState = { ...learningOf([], codeDigest(code)), chosenAt: reviews[0]!.at };
  for (const review of reviews) state = afterEvidence(state, { ...review, shortcutId: '' }, review.at);
  return state;
}

export function learnLoad(): Figure[] {
  const shortcuts = madeUpList(SHORTCUTS, 1).map(({ id, code, expansion }) => makeShortcut(code, expansion, { id }));
  const learning = shortcuts.map(({ id, code }, seed): Learning => {
    const state = stateOf(code, reviewsOf(seed));
    return {
      id: learningId(FIRST_LEARNER, id),
      changed: 0,
      learnerId: FIRST_LEARNER,
      shortcutId: id,
      state,
      versions: [state],
    };
  });
  const scheduler = fsrs({
    enable_fuzz: false,
    learning_steps: ['10m'],
    relearning_steps: ['10m'],
    maximum_interval: 365,
  });
  let [loaded, replayed] = [0, 0];
  const [ours, plain] = timesInTurn(7, [
    () => {
      const known = learntBy(FIRST_LEARNER, learning);
      loaded = shortcuts.reduce((sum, shortcut) => sum + stateFor(shortcut, known).memory!.stability, 0);
    },
    () => {
      replayed = learning.reduce((sum, { state: { reviews } }) => {
        let card = createEmptyCard(reviews[0]!.at);
        for (const { at, how } of reviews) ({ card } = scheduler.next(card, at, how === 'typed' ? 3 : 1));
        return sum + card.stability;
      }, 0);
    },
  ]);
  if (Math.abs(loaded - replayed) > 1e-6 * replayed) throw new Error(`${loaded} is not ${replayed}`);
  const [mine, theirs] = [median(ours!), median(plain!)];
  return [
    {
      name: 'learn-load',
      what: `what is known of ${SHORTCUTS.toLocaleString('en')} codes, ${REVIEWS} pieces of evidence each, median of 7`,
      ours: round(mine),
      peer: `${round(theirs)} ms, the same evidence replayed with ts-fsrs, equal states`,
      ratio: round(theirs / mine),
      unit: 'ms',
      bar: '≤ 100 ms',
      holds: mine <= 100,
    },
  ];
}

/** Skips a card in the page; resolves to the ms until the frame that shows the next. */
const SKIP = `
  const done = arguments[0];
  const number = () => /Card \\d+ of/u.exec(document.body.innerText)?.[0] ?? 'over';
  const before = number();
  const skip = [...document.querySelectorAll('[role=main] [role=button], [role=main] button')].find((one) => one.innerText.trim() === 'Skip');
  const start = performance.now();
  skip.click();
  const look = () => number() === before ? setTimeout(look, 0) : requestAnimationFrame(() => setTimeout(() => done(performance.now() - start), 0));
  look();`;

export async function learnCard(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const browser = await Browser.start('computer');
  try {
    const list = madeUpList(SHORTCUTS, 1);
    const other = await OtherDevice.join(stand.address);
    await other.make(...list.map(({ code, expansion }): Pair => [code, expansion]));
    const now = Date.now();
    const all = JSON.parse(await other.shortcuts()) as [id: string, fields: { code: string }][];
    const learnt = all.slice(0, 60).map(([id, { code }], seed) => {
      // Forgotten last: each is asked for by its text.
      const state = stateOf(code, [...reviewsOf(seed, now - DAY), { at: now - DAY / 2, how: 'missed', seconds: null }]);
      const fields = { learnerId: FIRST_LEARNER, shortcutId: id, state };
      return other.draft('learning', learningId(FIRST_LEARNER, id), fields);
    });
    await other.send(learnt);
    const app = await new App(browser, stand.address).open();
    await browser.driver.wait(async () => (await app.text()).includes('Synced'), 120_000);
    await app.open('/learn/practice');
    await browser.driver.wait(async () => (await app.text()).includes('Card 1 of'), 120_000);
    const times: number[] = [];
    for (let cards = 0; cards < 40 && !(await app.text()).includes('Done.'); cards += 1) {
      if ((await app.text()).includes('What does this code')) {
        await browser.driver.executeScript(
          `[...document.querySelectorAll('[role=main] [role=listitem] [role=button]:not([aria-disabled=true])')][0].click()`,
        );
        continue;
      }
      times.push(await browser.driver.executeAsyncScript<number>(SKIP));
    }
    if (times.length < 12) throw new Error(`only ${times.length} cards were asked`);
    const mine = percentile(times, 95);
    return [
      {
        name: 'learn-card',
        what: `the next card of a practice beside a list of ${SHORTCUTS.toLocaleString('en')}, from the press to the frame that shows it, in Chromium, p95 of ${times.length}`,
        ours: round(mine),
        peer: '50 ms',
        ratio: round(mine / 50),
        unit: 'ms',
        bar: '≤ 50 ms',
        holds: mine <= 50,
      },
    ];
  } finally {
    await browser.end();
    await stand.end();
  }
}
