import type { DecodeProblem } from '@yellow-latch/core/exchange';

const MEGABYTE = 1024 * 1024;

/** Why a file is not read as text, and what to do; `instead`: what may be chosen. */
export function tellDecodeProblem(problem: DecodeProblem, instead: string): string {
  if (problem.type === 'too-large')
    return `It has ${Math.ceil(problem.found / MEGABYTE)} MB; at most ${problem.limit / MEGABYTE} MB are read. Cut it in parts.`;
  return problem.looksLike === null
    ? `This is no text: byte ${problem.at + 1} is a zero. ${instead}`
    : `This is ${problem.looksLike}, no text. ${instead}`;
}
