import type { Problem } from '@yellow-latch/core/sync';
import type { NextFunction, Request, Response } from 'express';
import type { ZodError } from 'zod';

/** An answer that says what is wrong and where: problem details (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    /** The last part of the problem's `type`, by which a program tells problems apart. */
    readonly slug: string,
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
export function answerWithProblem(
  error: unknown,
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (response.headersSent) {
    next(error);
    return;
  }
  sendProblem(response, asProblem(error));
}

/** What SQLite may run into (https://www.sqlite.org/rescode.html), and what a device is told. Nothing was taken. */
const DATABASE_PROBLEMS: Record<string, [status: number, slug: string, title: string]> = {
  SQLITE_BUSY: [503, 'busy', 'The server’s data is locked by another program'],
  SQLITE_LOCKED: [503, 'busy', 'The server’s data is locked by another program'],
  SQLITE_FULL: [507, 'disk-full', 'The server’s disk is full'],
  SQLITE_READONLY: [503, 'read-only', 'The server may not write its data'],
  SQLITE_CANTOPEN: [503, 'read-only', 'The server may not write its data'],
  SQLITE_IOERR: [503, 'disk-fails', 'The server’s disk does not answer'],
};

export function asProblem(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  // Errors of the body parser carry a type: https://github.com/expressjs/body-parser#errors
  const type = (error as { type?: string }).type;
  if (type === 'entity.too.large') {
    return new ProblemError(413, 'too-large', 'The request body is too large', {
      detail: 'At most 1 MB is taken at once; send fewer changes.',
    });
  }
  if (type === 'entity.parse.failed') {
    return new ProblemError(400, 'not-json', 'The request body is not JSON');
  }
  const status = (error as { status?: number }).status;
  if (status !== undefined && status >= 400 && status < 500) {
    return new ProblemError(status, 'bad-request', 'The request could not be read');
  }
  const code = (error as { code?: string }).code;
  const ofDisk = Object.entries(DATABASE_PROBLEMS).find(([start]) => code?.startsWith(start))?.[1];
  if (ofDisk) {
    console.error(`${ofDisk[2]} (${code})`);
    return new ProblemError(...ofDisk);
  }
  console.error(`Unexpected ${(error as Error).name}${code ? ` (${code})` : ''}`);
  return new ProblemError(500, 'unexpected', 'Something went wrong on the server');
}
