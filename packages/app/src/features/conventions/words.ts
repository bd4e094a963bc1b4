import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Comparison, FirstStep, MarkCost, Recognised, Recommendation } from '@yellow-latch/core/convention';
import type { Mark } from '@yellow-latch/core/model';
import { isOftenMistaken } from '@yellow-latch/core/convention/comparison';

import { tellClaim, tellTrap } from '@/answers/audit/sentences';
import { tellHowOften } from '@/answers/audit/sentences/words';
import { tellTaps, titleOfMark } from '@/answers/effort/words';
import { tellCount, tellDuration } from '@/wording/format';

/** The conventions of a list in a sentence: “51 of 59 codes start with “;””. */
export function tellRecognised({ of, main, marks }: Recognised): string {
  if (of === 0) return t`None of these codes could have a marker.`;
  if (!main) return t`${plural(of, { one: '# code', other: '# codes' })}, and no two of them share a marker.`;
  const sentence = tellMain(main.ids.length, of, main.mark);
  const rest = marks.length - 1;
  if (rest === 0) return sentence;
  const others = plural(rest, { one: 'The others do it another way.', other: 'The others do it in # other ways.' });
  return `${sentence} ${others}`;
}

function tellMain(count: number, of: number, { place, marker }: Mark): string {
  const some = tellCount(count);
  const all = plural(of, { one: '# code', other: '# codes' });
  switch (place) {
    case 'before':
      return t`${some} of ${all} start with “${marker}”.`;
    case 'after':
      return t`${some} of ${all} end with “${marker}”.`;
    case 'both':
      return t`${some} of ${all} have “${marker}” on both sides.`;
    case 'doubled':
      return t`${some} of ${all} start with a doubled letter.`;
    case 'bare':
      return t`${some} of ${all} have no marker.`;
  }
}

/** What it gains to give the marker that most codes have to the others. */
export function tellFirstStep({ gain }: FirstStep): string {
  const time = tellDuration(gain);
  return t`This saves ${time} a week.`;
}

/** Why a marker is recommended, or why none is. */
export function tellRecommendation({ recommendation, firstStep, present, rows }: Comparison): string {
  if (!recommendation) {
    const time = tellDuration(present.secondsAWeek);
    return t`No other marker would be noticeably better. Your codes cost you ${time} a week now.`;
  }
  const row = rows.find(
    ({ mark }) => mark.place === recommendation.mark.place && mark.marker === recommendation.mark.marker,
  );
  const time = tellDuration(recommendation.gain.whole);
  const changes = plural(row?.changes ?? 0, { one: '# code changes', other: '# codes change' });
  const saving = firstStep
    ? t`This saves another ${time} a week. ${changes}.`
    : t`This saves ${time} a week. ${changes}.`;
  return [saving, tellTyping(recommendation), tellBeaten(recommendation)].filter((part) => part !== '').join(' ');
}

/** From what the gain comes; what is less than half a second is left out. */
function tellTyping({ gain: { typing, misfires } }: Recommendation): string {
  const typed = tellDuration(Math.abs(typing));
  const mistaken = tellDuration(Math.abs(misfires));
  const hasTyping = Math.abs(typing) >= 0.5;
  const hasMisfires = Math.abs(misfires) >= 0.5;
  if (hasTyping && hasMisfires) {
    if (typing > 0 && misfires > 0) return t`You save ${typed} on typing and ${mistaken} on misfires.`;
    if (typing > 0) return t`You save ${typed} on typing but lose ${mistaken} to misfires.`;
    return t`Misfires cost ${mistaken} less, but typing takes ${typed} longer.`;
  }
  if (hasTyping) return t`You save it on typing.`;
  return hasMisfires ? t`You save it on misfires.` : '';
}

const WHY_NOT: Record<NonNullable<Recommendation['beatenBy']>['why'], MessageDescriptor> = {
  letters: msg`you couldn’t see where a code starts`,
  claimed: msg`apps already use it`,
  device: msg`one of your devices changes it`,
  'same codes': msg`two codes would become the same`,
  misfires: msg`its codes would expand by mistake too often`,
  'no room': msg`it leaves no room for new codes`,
  changes: msg`more codes would change`,
};

/** Why not the marker that is better in both measures, where there is one. */
function tellBeaten({ beatenBy }: Recommendation): string {
  if (beatenBy === null) return '';
  const mark = titleOfMark(beatenBy.mark);
  const why = i18n._(WHY_NOT[beatenBy.why]);
  return t`${mark} would be quicker and safer, but ${why}.`;
}

/** What speaks against a marker, a line each. `collide`: how many codes are the same as others now. */
export function tellAgainst(row: MarkCost, collide: number): string[] {
  const { claims, traps, collisions, mark, misfires, ofNewCode } = row;
  const devicesOf = new Map(
    traps.map(({ trap }) => [trap, traps.filter((one) => one.trap === trap).map(({ device }) => device)]),
  );
  const lines = [
    ...claims.slice(0, 3).map(tellClaim),
    ...Array.from(devicesOf, ([trap, devices]) => tellTrap(trap, devices)),
  ];
  const more = collisions - collide;
  if (more > 0)
    lines.push(
      plural(more, {
        one: '# code would clash with another and get a similar one.',
        other: '# codes would clash with others and get similar ones.',
      }),
    );
  if (/[\p{L}\p{N}]/u.test(mark.marker))
    lines.push(t`It’s a letter or digit: you couldn’t see where the marker ends and the code starts.`);
  if (isOftenMistaken(row)) {
    const often = tellHowOften(misfires.aWeek);
    const oftenNew = tellHowOften(ofNewCode);
    lines.push(t`Its codes would expand by mistake ${often}, and each new one ${oftenNew}.`);
  }
  return lines;
}

/** What a mark costs in a week. */
export function tellWeek({ secondsAWeek }: MarkCost): string {
  return t`${{ time: tellDuration(secondsAWeek) }} a week`;
}

/** What a mark costs each time, and how often it misfires. */
export function tellEach({ effort, misfires }: MarkCost): string {
  return t`${{ taps: tellTaps(effort.taps) }}, ${{ time: tellDuration(effort.seconds) }} · misfires ${{ often: tellHowOften(misfires.aWeek) }}`;
}
