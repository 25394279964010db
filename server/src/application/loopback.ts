import type { NextFunction, Request, Response } from 'express';
import { foreignRequest } from './problem.js';

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Refuses requests whose Host is not this machine, or whose Origin is another site: a page somewhere else must
 * not be able to act through the browser of the person who works here.
 */
export function loopbackOnly(request: Request, response: Response, next: NextFunction): void {
  const { host = '', origin } = request.headers;
  if (LOOPBACK.has(hostname(host)) && (origin === undefined || origin === `http://${host}`)) {
    next();
    return;
  }
  const { problem } = foreignRequest();
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

function hostname(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}
