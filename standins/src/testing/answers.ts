/** What tests read from the answers of the stand-ins. */
import { childAt, childrenNamed, textAt, type XmlElement } from '@even-lantern/core';
import type request from 'supertest';

/** Reads a response as text, whatever its type; one that is cut off fails. */
export function asText(response: request.Response, done: (error: Error | null, text: string) => void): void {
  let text = '';
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (chunk) => (text += String(chunk)));
  stream.on('end', () => done(null, text));
}

export const hits = (root: XmlElement) => Number(textAt(root, 'numberOfRecords'));
export const recordsOf = (root: XmlElement) =>
  childrenNamed(childAt(root, 'records') ?? { name: '', attributes: {}, children: [], text: '' }, 'record');
export const diagnostic = (root: XmlElement) => textAt(root, 'diagnostics', 'diagnostic', 'uri');
