/** Calls to an SRU server over HTTP: bounded in time, number and size, tried again where that makes sense. */
import { isIP } from 'node:net';
import pRetry, { AbortError } from 'p-retry';
import { Agent, fetch, type RequestInit } from 'undici';
import type { CallBudget } from '@even-lantern/contract';
import { CallQueue } from '../callQueue.js';
import { DatabaseError, type CallObserver } from '../databaseConnector.js';
import { textOf } from './encoding.js';
import type { XmlParsers } from './xmlParser.js';
import { isPublicAddress, publicAddressesOnly } from './publicAddresses.js';

export interface SruOptions {
  timeoutMs: number;
  /** tries after the first, for failures that may pass */
  retries: number;
  /** how many calls may be made */
  budget: CallBudget;
  /** whether addresses of this machine and of its own networks are refused */
  publicOnly: boolean;
  /** what reads the answers */
  xml?: XmlParsers;
}

const DEFAULTS: SruOptions = {
  timeoutMs: 10_000,
  retries: 4,
  budget: { atOnce: 6, perSecond: null },
  publicOnly: false,
};
/** Longer answers are not read to their end: no page of records is as long. */
const MOST_BYTES = 50_000_000;
/** What the commonest statuses mean to a person, RFC 9110 and 6585. */
const MEANINGS: Readonly<Record<number, string>> = {
  401: 'wants a sign-in',
  403: 'refuses to answer',
  404: 'has nothing at this address',
  429: 'is asked too often just now',
  500: 'has a fault of its own',
  503: 'is not available just now',
};
const WORTH_RETRYING = new Set([408, 429, 500, 502, 503, 504]);

/** One call that failed; the message goes on from the name of the host. */
class FailedCall extends Error {
  /** @param late whether no answer came in time, which is seldom worth waiting for again */
  constructor(
    message: string,
    readonly late = false,
  ) {
    super(message);
  }
}

const anywhere = new Agent();
const publicPlaces = new Agent({ connect: { lookup: publicAddressesOnly } });

export interface SruCalls {
  observe(observer: CallObserver): void;
  /** From now on, so many calls may be made. */
  keepTo(budget: CallBudget): void;
  /** As often as it is worth it. @throws DatabaseError with the host's name */
  get(url: URL, init: RequestInit, signal?: AbortSignal): Promise<string>;
  /** Once only, since asked twice it would be done twice. */
  once(url: URL, init: RequestInit): Promise<string>;
}

export function sruCalls(host: string, options: Partial<SruOptions>): SruCalls {
  const { timeoutMs, retries, budget, publicOnly } = { ...DEFAULTS, ...options };
  const queue = new CallQueue(budget);
  const dispatcher = publicOnly ? publicPlaces : anywhere;
  let observer: CallObserver | null = null;

  const observed = async (url: URL, init: RequestInit, signal?: AbortSignal): Promise<string> => {
    const ends = observer?.begins();
    let answered = false;
    try {
      const text = await attempt(url, init, signal);
      answered = true;
      return text;
    } finally {
      ends?.(answered);
    }
  };

  const attempt = async (url: URL, init: RequestInit, signal?: AbortSignal): Promise<string> => {
    // Numbers in place of a name are not looked up, so they are judged here.
    const numbers = url.hostname.replace(/^\[|\]$/g, '');
    if (publicOnly && isIP(numbers) !== 0 && !isPublicAddress(numbers)) throw refusedPlace();
    const timeout = AbortSignal.timeout(timeoutMs);
    const ends = signal === undefined ? timeout : AbortSignal.any([signal, timeout]);
    try {
      const response = await fetch(url, { ...init, dispatcher, redirect: 'manual', signal: ends });
      if (response.status >= 300 && response.status < 400) {
        await response.body?.cancel();
        throw redirected(url, response.headers.get('location'));
      }
      if (response.ok) return await bounded(response);
      await response.body?.cancel();
      const { status } = response;
      const error = new FailedCall(`${MEANINGS[status] ?? 'answered with an error'} (status ${status})`);
      throw WORTH_RETRYING.has(response.status) ? error : new AbortError(error);
    } catch (error) {
      if (error instanceof FailedCall || error instanceof AbortError) throw error;
      if (isRefusedPlace(error)) throw refusedPlace();
      if (timeout.aborted) throw new FailedCall(`did not answer within ${timeoutMs / 1000} seconds`, true);
      throw new FailedCall(whatBroke(error));
    }
  };

  const databaseErrorOf = (error: unknown) =>
    new DatabaseError(`${host} ${error instanceof Error ? error.message : String(error)}.`, false);

  return {
    observe(next) {
      observer = next;
    },
    keepTo: (other) => queue.change(other),
    // Each try is a call of its own: while one is waited for that failed, others have their turn.
    get: async (url, init, signal) => {
      try {
        return await pRetry(() => queue.add(() => observed(url, init, signal), signal), {
          retries,
          minTimeout: 150,
          randomize: true,
          ...(signal === undefined ? {} : { signal }),
          shouldRetry: ({ error, attemptNumber }) =>
            signal?.aborted !== true && !(error instanceof FailedCall && error.late && attemptNumber > 1),
        });
      } catch (error) {
        throw signal?.aborted === true
          ? new DatabaseError('It was stopped.', false, true)
          : databaseErrorOf(error);
      }
    },
    once: (url, init) =>
      queue
        .add(() => observed(url, init))
        .catch((error: unknown) => {
          throw databaseErrorOf(error);
        }),
  };
}

async function bounded(response: Awaited<ReturnType<typeof fetch>>): Promise<string> {
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of response.body ?? []) {
    const chunk = part as Uint8Array;
    bytes += chunk.length;
    if (bytes > MOST_BYTES) {
      throw new AbortError(new FailedCall(`sent more than ${MOST_BYTES / 1_000_000} MB in one answer`));
    }
    parts.push(chunk);
  }
  return textOf(Buffer.concat(parts), response.headers.get('content-type') ?? '');
}

/** Another address may be another place altogether, so a person decides whether to follow. */
function redirected(from: URL, location: string | null): AbortError {
  const to =
    location !== null && URL.canParse(location, from.href) ? new URL(location, from).href : 'another address';
  return new AbortError(
    new FailedCall(`sends on to ${to}, which is not followed: give that address if it is the right one`),
  );
}

/** Codes of Node, undici and zlib, as causes of a failed fetch. */
function whatBroke(error: unknown): string {
  const codes = codesIn(error);
  if (
    codes.some((code) => code.startsWith('Z_') || code.startsWith('ERR_ENCODING') || code.includes('BROTLI'))
  ) {
    return 'sent an answer whose compression is broken';
  }
  if (
    codes.some((code) => /^(UND_ERR_(SOCKET|BODY)|ECONNRESET|EPIPE|UND_ERR_RES_CONTENT_LENGTH)/.test(code))
  ) {
    return 'broke off in the middle of its answer';
  }
  if (codes.some((code) => code.startsWith('HPE_') || code === 'UND_ERR_HTTP_PARSER')) {
    return 'does not answer as a web server does';
  }
  if (codes.some((code) => code === 'ENOTFOUND' || code === 'EAI_AGAIN'))
    return 'has a name that leads nowhere';
  return 'cannot be reached';
}

function codesIn(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return [];
  const own = 'code' in error && typeof error.code === 'string' ? [error.code] : [];
  return [...own, ...('cause' in error ? codesIn(error.cause) : [])];
}

function refusedPlace(): AbortError {
  const reason =
    'is an address of this machine or its own network, which this server does not call; EVEN_LANTERN_PRIVATE_ADDRESSES=yes at its start allows it';
  return new AbortError(new FailedCall(reason));
}

function isRefusedPlace(error: unknown): boolean {
  const cause = error instanceof Error ? error.cause : undefined;
  return cause instanceof Error && 'code' in cause && cause.code === 'EPRIVATE';
}
