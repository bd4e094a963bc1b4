import type { FindingType, Slip } from '@yellow-latch/core/clash/finding';
import type { Explanation } from '@yellow-latch/core/fire';

/** What the engine did at one key, in a few words. */
export function tellTraceLine(
  { rule, typed }: Explanation,
  codeOf: (id: string) => string,
  id: string | undefined,
): string {
  const code = typed ?? (id === undefined ? '' : codeOf(id));
  switch (rule) {
    case 'fired-by-delimiter':
      return `${code} fires: a space or mark ended it`;
    case 'fired-by-instant':
      return `${code} fires at once`;
    case 'fired-by-waiting':
      return `${code} fires: no longer code can follow`;
    case 'fired-by-rescan':
      return `${code} fires in what was just put in`;
    case 'fired-by-offer':
      return `${code} is taken from the offers`;
    case 'fired-by-filled':
      return `${code} is filled in`;
    case 'asked':
      return `${code} asks for what is missing`;
    case 'taken-back':
      return `${code} is given back`;
    case 'waits':
      return `${code} waits: a longer code may follow`;
    case 'kept':
      return `${code} is offered and rejected`;
    case 'quiet':
      return `${code} stays: it was pasted, put in whole or kept as typed`;
    case 'no-edge':
      return `${code} stands in the middle of a word`;
    case 'other-capitals':
      return `${code} has other capitals`;
    case 'offer-only':
      return `${code} is only offered`;
    case 'device-capital':
      return 'the device raises the letter';
    case 'device-quote':
      return 'the device bends the quote';
    case 'device-dash':
      return 'the device makes one long dash';
    case 'device-dots':
      return 'the device makes one sign of the dots';
    case 'device-stop':
      return 'the device makes a full stop of two spaces';
  }
}

export const SLIPS: Record<Slip, string> = {
  'neighbouring key': 'a key beside it is hit',
  swapped: 'two letters change places',
  doubled: 'a letter is typed twice, or once too few',
};

/** What somebody may want to say who leaves a finding as it is; their own words do as well. */
export function reasonsFor(type: FindingType): readonly string[] {
  switch (type) {
    case 'word':
    case 'beginning of words':
    case 'inside words':
    case 'context':
      return ['I never write that', 'I can live with it', 'I only use it where it does not fire'];
    case 'faulty expansion':
      return ['It is meant so', 'It is no slip'];
    case 'secret':
      return ['It is no secret', 'It is a test value'];
    default:
      return ['I can live with it', 'I want it so', 'I do not use it there'];
  }
}
