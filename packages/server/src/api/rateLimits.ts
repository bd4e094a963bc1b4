/** How often something may be asked for from one place, so that a stranger fills neither disk nor time. */
import { rateLimit, type Options, type RateLimitRequestHandler } from 'express-rate-limit';
import type { Request, Response } from 'express';

import { answerWithProblem, ProblemError } from '../problem';

/** Codes and keys tried in vain in ten minutes, from one address and in all; lists and successors in an hour from one address. */
export interface Tries {
  ofAddress: number;
  ofAll: number;
  lists: number;
  successors: number;
}

export const TRIES: Tries = { ofAddress: 10, ofAll: 100, lists: 20, successors: 60 };

const TEN_MINUTES = 10 * 60_000;
const HOUR = 60 * 60_000;
/** Who has one IPv6 address has all with the same first 48 bits (RFC 6177): they count as one. */
const PREFIX = 48;

const COMMON: Partial<Options> = { standardHeaders: 'draft-8', legacyHeaders: false };

/**
 * Limits for tries in vain: of one address first, so that what is refused there does not count for all. To be used in
 * this order.
 */
export function triesInVain({ ofAddress, ofAll }: Tries): RateLimitRequestHandler[] {
  const handler = refuseMore('Wait ten minutes, then try again with a new code.');
  const inVain = { ...COMMON, windowMs: TEN_MINUTES, skipSuccessfulRequests: true, handler };
  return [
    rateLimit({ ...inVain, limit: ofAddress, ipv6Subnet: PREFIX }),
    rateLimit({ ...inVain, limit: ofAll, keyGenerator: () => 'all' }),
  ];
}

export function perHour(limit: number): RateLimitRequestHandler {
  return rateLimit({
    ...COMMON,
    windowMs: HOUR,
    limit,
    ipv6Subnet: PREFIX,
    handler: refuseMore('Wait an hour, then try again.'),
  });
}

function refuseMore(detail: string) {
  return (request: Request, response: Response): void => {
    answerWithProblem(
      new ProblemError(429, 'too-many-tries', 'Too many tries', { detail }),
      request,
      response,
      () => {},
    );
  };
}
