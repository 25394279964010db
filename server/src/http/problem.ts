/** Errors that reach a person: problem details (RFC 9457) for every failure. */
import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { PROBLEM_TYPE, type Problem } from '@even-lantern/contract';
import type { Response } from 'express';
import { UnreadableColumn } from '../store/description.js';
import { storeTroubleIn, type StoreTrouble } from '../store/storeTrouble.js';

export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
    // What the log says of it.
    this.message = [problem.title, problem.detail].filter(Boolean).join(' ');
  }
}

function problem(status: number, type: string, title: string, more: Partial<Problem> = {}): ProblemException {
  return new ProblemException({ type: PROBLEM_TYPE + type, title, status, ...more });
}

export function notFound(what: string): ProblemException {
  return problem(404, 'not-found', `${what} does not exist.`);
}

export function badInput(errors: { path: string; message: string }[]): ProblemException {
  return problem(400, 'bad-input', errors[0]?.message ?? 'The input cannot be used.', { errors });
}

export function changedMeanwhile(what: string, current: unknown): ProblemException {
  return problem(412, 'changed-meanwhile', `Somebody else changed this ${what} in the meantime.`, {
    detail: 'Nothing was overwritten. Look at the present state and decide which to keep.',
    current,
  });
}

export function versionMissing(): ProblemException {
  return problem(428, 'version-missing', 'This change does not say which version it was made on.', {
    detail: 'Send the version as If-Match.',
  });
}

export function whoAreYou(): ProblemException {
  return problem(401, 'who-are-you', 'Say who you are first.', {
    detail: 'Every change carries the name of the person who made it.',
  });
}

export function foreignRequest(): ProblemException {
  return problem(403, 'foreign-request', 'This request comes from another site and is refused.');
}

export function unreadableAddress(): ProblemException {
  return problem(400, 'unreadable', 'This address cannot be read.', {
    detail: 'It holds signs that no address has. Nothing was changed.',
  });
}

export function databaseTrouble(title: string, detail: string): ProblemException {
  return problem(502, 'database-trouble', title, { detail });
}

/** @param parts what is there instead */
export function conflict(title: string, detail: string, parts: { current?: unknown } = {}): ProblemException {
  return problem(409, 'conflict', title, { detail, ...parts });
}

/** Statuses of RFC 9110 and, for a full disk, RFC 4918. */
const STORE_STATUS: Partial<Record<StoreTrouble['kind'], number>> = {
  locked: 503,
  full: 507,
  'read-only': 507,
};

function storeProblem({ kind, message, advice }: StoreTrouble): Problem {
  const status = STORE_STATUS[kind] ?? 500;
  return { type: `${PROBLEM_TYPE}store-trouble`, title: message, status, detail: advice };
}

const logger = new Logger('problem');

/** What to tell of an error; what nobody foresaw is logged. */
export function problemOf(error: unknown): Problem {
  if (error instanceof ProblemException) return error.problem;
  if (error instanceof HttpException) {
    const status = error.getStatus();
    if (status !== 400) return { type: 'about:blank', title: error.message, status };
    return {
      type: `${PROBLEM_TYPE}unreadable`,
      title: 'The request cannot be read.',
      status,
      detail: error.message,
    };
  }
  if (error instanceof UnreadableColumn) {
    logger.error(error.message);
    return {
      type: `${PROBLEM_TYPE}unreadable-row`,
      title: error.message,
      status: 500,
      detail: 'Nothing was changed. Everything else can be read as before.',
    };
  }
  const trouble = storeTroubleIn(error);
  if (trouble !== null) {
    logger.error(trouble.message);
    return storeProblem(trouble);
  }
  // Errors of the body parser carry a status of their own.
  const status =
    typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  if (status >= 400 && status < 500) {
    const title = status === 413 ? 'This is too large to be taken in.' : 'The request cannot be read.';
    return { type: `${PROBLEM_TYPE}unreadable`, title, status };
  }
  logger.error(error instanceof Error ? error.stack : String(error));
  return {
    type: `${PROBLEM_TYPE}failure`,
    title: 'The server failed at this request.',
    status: 500,
    detail: 'What was saved before is kept. Try again; if it happens again, the log of the server says more.',
  };
}

@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = problemOf(error);
    if (response.headersSent) {
      response.end();
      return;
    }
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
