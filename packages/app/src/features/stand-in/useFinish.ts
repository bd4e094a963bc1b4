import { t } from '@lingui/core/macro';
import { JOBS } from '@yellow-latch/core/scenario/jobs';
import { hasWanted, spentOn, writtenOut } from '@yellow-latch/core/standIn';

import { tellTaps } from '@/answers/effort/words';

import { tellWant } from './jobs';
import { useJudging } from './useJudging';
import { useStandIn } from './useStandIn';

/** Ends the open job, if it is done; else tells what is missing. `texts`: what was sent, by field. Gives whether it is done; true where there is no job. */
export function useFinish(): (texts?: Readonly<Record<string, string>>) => boolean {
  const { memory, typing, keyboard } = useStandIn();
  const judging = useJudging();
  return (texts = {}) => {
    const { job } = memory.value;
    if (!job) return true;
    const known = JOBS.find(({ id }) => id === job.id)!;
    if (known.place !== 'talk') {
      const missing = known.wants.find(({ field, want }) => !hasWanted(want, texts[field] ?? '', judging));
      if (missing) {
        typing.say(t`Not done yet. Missing: ${{ what: tellWant(missing.want, judging) }}`, true);
        return false;
      }
    }
    const spent = spentOn(memory.tally, keyboard);
    const written = writtenOut(memory.written, keyboard);
    if (spent && written) memory.finish({ spent, written });
    typing.say(
      written
        ? t`Done in ${{ taps: tellTaps(memory.tally.taps) }}. Typed out it takes ${{ all: tellTaps(written.taps) }}.`
        : t`Done.`,
    );
    return true;
  };
}
