import type { NextFunction, Request, Response } from 'express';
import { foreignRequest, unreadableAddress, type ProblemException } from './problem.js';

/** What browsers say of requests that a page of ours, or a person, has started (Fetch Metadata). */
const OWN_SITES = new Set(['same-origin', 'none']);
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Refuses requests whose Host is not this machine, whose Origin is another site, or that a page somewhere else has
 * started: it must not be able to act, or to make databases be asked, through the browser of the person who works here.
 * Pages of ours may be opened from anywhere.
 */
export function loopbackOnly(request: Request, response: Response, next: NextFunction): void {
  const { host = '', origin, 'sec-fetch-site': site } = request.headers;
  const ours = origin === undefined || origin === `http://${host}`;
  const started = !request.path.startsWith('/api') || site === undefined || OWN_SITES.has(String(site));
  if (!LOOPBACK.has(hostname(host)) || !ours || !started) refuse(response, foreignRequest());
  else if (!readable(request.originalUrl)) refuse(response, unreadableAddress());
  else next();
}

function refuse(response: Response, { problem }: ProblemException): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** Whether an address can be decoded, and names nothing that no file and no row is called. */
function readable(address: string): boolean {
  try {
    return !decodeURIComponent(address).includes('\0');
  } catch {
    return false;
  }
}

function hostname(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}
