import type { Comparison, FirstStep, MarkCost, Recognised, Recommendation } from '@yellow-latch/core/convention';
import type { Mark } from '@yellow-latch/core/model';
import { isOftenMistaken } from '@yellow-latch/core/convention/comparison';

import { TRAPS } from '@/answers/audit/sentences/finding';
import { capitalise, counted, deviceNames, tellNumber } from '@/answers/audit/sentences/words';
import { tellAWeek, tellDuration, tellMark, tellTaps } from '@/answers/effort/words';

const PLACES = {
  before: 'begin with',
  after: 'end with',
  both: 'stand between',
  doubled: 'begin with a doubled letter',
  bare: 'have no marker',
} as const;

/** The conventions of a list in a sentence: “51 of 59 codes begin with “;””. */
export function tellRecognised({ of, main, marks }: Recognised): string {
  if (of === 0) return 'No code here could carry a marker.';
  if (!main) return `${counted(of, 'code')}, and no marker that two of them share.`;
  const { place, marker } = main.mark;
  const rest = marks.length - 1;
  const others = rest === 0 ? '' : `; the others in ${rest === 1 ? 'another way' : `${rest} other ways`}`;
  return `${main.ids.length.toLocaleString('en')} of ${counted(of, 'code')} ${PLACES[place]}${marker === '' ? '' : ` “${marker}”`}${others}.`;
}

/** What it gains to give the marker that most codes have to the others. */
export function tellFirstStep({ gain }: FirstStep): string {
  return `It saves ${tellDuration(gain)} a week.`;
}

/** Why a mark is recommended, or why none is. */
export function tellRecommendation({ recommendation, firstStep, present, rows }: Comparison): string {
  if (!recommendation)
    return `Nothing is better. Your codes as they are cost ${tellDuration(present.secondsAWeek)} a week, and no sound marker would cost noticeably less.`;
  const rowOf = (wanted: Mark) => rows.find(({ mark }) => mark.place === wanted.place && mark.marker === wanted.marker);
  const row = rowOf(recommendation.mark);
  const base = (firstStep && rowOf(firstStep.mark)) ?? present;
  const taps = base.effort.taps - (row?.effort.taps ?? 0);
  const fewer = base.misfires.aWeek - (row?.misfires.aWeek ?? 0);
  const { whole, typing, misfires } = recommendation.gain;
  // What comes to less than half a second is left out.
  const parts = [
    Math.abs(typing) >= 0.5 &&
      `${tellGain(typing)} in typing${Math.abs(taps) >= 0.05 ? `, ${tellTaps(Math.abs(taps))} ${taps > 0 ? 'fewer' : 'more'} each time` : ''}`,
    Math.abs(misfires) >= 0.5 &&
      `${tellGain(misfires)} in misfires${Math.abs(fewer) >= 0.05 ? `, ${tellNumber(Math.abs(fewer))} ${fewer > 0 ? 'fewer' : 'more'} a week` : ''}`,
  ].filter((part) => part !== false);
  return `It saves ${firstStep ? 'another ' : ''}${tellDuration(whole)} a week: ${parts.join('; ')}. ${counted(row?.changes ?? 0, 'code')} would change.${tellBeaten(recommendation)}`;
}

const WHY_NOT: Record<NonNullable<Recommendation['beatenBy']>['why'], string> = {
  letters: 'you could not see where a code begins',
  claimed: 'programs use it',
  device: 'one of your devices changes it',
  'same codes': 'two codes would be the same',
  misfires: 'its codes would expand by mistake too often',
  'no room': 'it leaves no room for new codes',
  changes: 'more codes would change',
};

/** Why not the mark that is better in both measures, where there is one. */
function tellBeaten({ beatenBy }: Recommendation): string {
  return beatenBy === null
    ? ''
    : ` ${capitalise(tellMark(beatenBy.mark))} would be quicker and safer, but ${WHY_NOT[beatenBy.why]}.`;
}

function tellGain(seconds: number): string {
  return seconds > 0 ? tellDuration(seconds) : `${tellDuration(-seconds)} lost`;
}

/** What speaks against a mark, a line each. `collide`: how many codes are the same as others now. */
export function tellAgainst(row: MarkCost, collide: number): string[] {
  const { claims, traps, collisions, mark, misfires, ofNewCode } = row;
  const byClaim = claims
    .slice(0, 3)
    .map(({ by, beginning, meaning }) => `${capitalise(by)} take ${beginning.trim()} for ${meaning}.`);
  const names = new Map(
    traps.map(({ trap }) => [trap, traps.filter((one) => one.trap === trap).map(({ device }) => device)]),
  );
  const byTrap = Array.from(names, ([trap, devices]) => `${capitalise(deviceNames(devices))}: ${TRAPS[trap]}.`);
  const isLetter = /[\p{L}\p{N}]/u.test(mark.marker);
  return [
    ...byClaim,
    ...byTrap,
    ...(collisions > collide
      ? [`${counted(collisions - collide, 'code')} more would be the same as another, and go to one near by.`]
      : []),
    ...(isLetter ? ['A letter or a digit: nobody could see where it ends and the code begins.'] : []),
    ...(isOftenMistaken(row)
      ? [`Its codes would expand by mistake ${tellAWeek(misfires.aWeek)}, and each new one ${tellAWeek(ofNewCode)}.`]
      : []),
  ];
}

/** A row in one line, for a screen reader. */
export function tellRow({ mark, effort, misfires, changes, secondsAWeek }: MarkCost): string {
  return `${capitalise(tellMark(mark))}: ${tellTaps(effort.taps)}, ${tellDuration(effort.seconds)} each time; misfires ${tellAWeek(misfires.aWeek)}; ${counted(changes, 'code')} would change; ${tellDuration(secondsAWeek)} a week`;
}
