/** Troubles that a stand-in can be told to have, as real servers have them. */
import type { Request, Response } from 'express';
import type { SruParameters } from './sru/operations.js';

export const TROUBLES = [
  'slow',
  'flickering',
  'refusing',
  'too many requests',
  'unavailable',
  'cut off',
  'broken XML',
  'wrong counts',
  'small pages',
] as const;
export type TroubleKind = (typeof TROUBLES)[number];

export interface Trouble {
  kind: TroubleKind;
  /** how many more answers it spoils; null until it is told otherwise */
  times: number | null;
  /** how many it has met so far */
  met: number;
  /** how long a slow answer takes, in milliseconds */
  delay: number;
}

/** Small pages: so few records in one answer. */
const SMALL_PAGE = 7;

/**
 * Sends an answer as the trouble has it.
 * @param trouble null for none
 * @param answer makes the XML, from the parameters as the trouble changes them
 */
export async function sendWith(
  trouble: Trouble | null,
  request: Request,
  response: Response,
  parameters: SruParameters,
  answer: (parameters: SruParameters) => string,
): Promise<void> {
  const send = (xml: string) => response.type('application/sru+xml; charset=utf-8').send(xml);
  switch (trouble?.kind) {
    case undefined:
      send(answer(parameters));
      return;
    case 'slow':
      await new Promise((done) => setTimeout(done, trouble.delay));
      send(answer(parameters));
      return;
    case 'flickering':
      // Every third fails.
      if (trouble.met % 3 === 0) response.status(503).type('text/plain').send('Try again.');
      else send(answer(parameters));
      return;
    case 'refusing':
      response.status(403).type('text/plain').send('Not allowed.');
      return;
    case 'too many requests':
      response.status(429).set('Retry-After', '1').type('text/plain').send('Too many requests.');
      return;
    case 'unavailable':
      response.status(503).type('text/plain').send('Under maintenance.');
      return;
    case 'cut off': {
      const xml = answer(parameters);
      response.set('Content-Length', String(Buffer.byteLength(xml)));
      response
        .type('application/sru+xml')
        .write(xml.slice(0, Math.floor(xml.length / 2)), () => request.socket.destroy());
      return;
    }
    case 'broken XML':
      send(answer(parameters).replace('</numberOfRecords>', '</number>'));
      return;
    case 'wrong counts':
      // Every page but the first tells one record less.
      send(
        Number(parameters.startRecord ?? 1) > 1
          ? answer(parameters).replace(
              /(<numberOfRecords>)(\d+)/,
              (_, tag: string, n: string) => tag + String(Number(n) - 1),
            )
          : answer(parameters),
      );
      return;
    case 'small pages': {
      const requested = Number(parameters.maximumRecords ?? SMALL_PAGE);
      const few = requested > SMALL_PAGE ? { ...parameters, maximumRecords: String(SMALL_PAGE) } : parameters;
      send(answer(few));
    }
  }
}
