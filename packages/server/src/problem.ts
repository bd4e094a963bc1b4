import type { Problem } from '@yellow-latch/core/sync';
import type { NextFunction, Request, Response } from 'express';
import type { ServerResponse } from 'node:http';
import type { ZodError } from 'zod';

import { diskTrouble } from './disk';
import { log, logFailure } from './log';
import type { ProblemSlug } from './problems';
import { requestIdOf } from './requests';

/** An answer that says what is wrong and where: problem details (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    /** The last part of the problem's `type`, by which a program tells problems apart. */
    readonly slug: ProblemSlug,
    readonly title: string,
    readonly more: Partial<Pick<Problem, 'detail' | 'errors' | 'expected'>> = {},
  ) {
    super(title);
  }

  get body(): Problem {
    return { type: `/problems/${this.slug}`, title: this.title, status: this.status, ...this.more };
  }
}

/** What a schema found wrong, as JSON Pointers (RFC 6901) into the body. */
export function invalidBody(error: ZodError): ProblemError {
  return new ProblemError(422, 'invalid', 'The request does not fit its schema', {
    errors: error.issues.slice(0, 20).map((issue) => {
      const index = issue.path[0] === 'changes' ? issue.path[1] : undefined;
      return {
        pointer: issue.path.map((step) => `/${escapeStep(String(step))}`).join(''),
        detail: issue.message,
        ...(typeof index === 'number' ? { index } : {}),
      };
    }),
  });
}

function escapeStep(step: string): string {
  return step.replaceAll('~', '~0').replaceAll('/', '~1');
}

function sendProblem(response: Response, problem: ProblemError): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem.body));
}

export function answerUnknownPath(request: Request): never {
  throw new ProblemError(404, 'not-found', 'There is nothing at this address', {
    detail: `${request.method} ${request.path}`,
  });
}

/** The last middleware: every error becomes a problem document; nothing typed goes into the log. */
export function answerWithProblem(error: unknown, _request: Request, response: Response, next: NextFunction): void {
  if (response.headersSent) {
    next(error);
    return;
  }
  sendProblem(response, asProblem(error, response));
}

/** `response`: by it the log says of which request it is. */
export function asProblem(error: unknown, response: Response | ServerResponse): ProblemError {
  if (error instanceof ProblemError) return error;
  // Errors of the body parser carry a type: https://github.com/expressjs/body-parser#errors
  const type = (error as { type?: string }).type;
  if (type === 'entity.too.large') {
    return new ProblemError(413, 'too-large', 'The request body is too large', {
      detail: 'At most 1 MB is taken at once; send fewer changes.',
    });
  }
  // The device has gone: nobody reads the answer, and it is no fault of the server's.
  if (type === 'request.aborted' || (error as { code?: string }).code === 'ECONNRESET')
    return new ProblemError(400, 'cut', 'The request was cut off');
  if (type === 'entity.parse.failed') {
    return new ProblemError(400, 'not-json', 'The request body is not JSON');
  }
  const status = (error as { status?: number }).status;
  if (status !== undefined && status >= 400 && status < 500) {
    return new ProblemError(status, 'bad-request', 'The request could not be read');
  }
  const trouble = diskTrouble(error);
  if (trouble) {
    log().error({ id: requestIdOf(response), code: trouble.code }, trouble.title);
    return new ProblemError(trouble.status, trouble.slug, trouble.title);
  }
  logFailure('Unexpected', error, { id: requestIdOf(response) });
  return new ProblemError(500, 'unexpected', 'Something went wrong on the server');
}
