/** SKOS files as they come in, statement by statement, so that a large one neither fills memory nor holds others up. */
import { once } from 'node:events';
import type { Readable, Transform } from 'node:stream';
import { finished } from 'node:stream/promises';
import { notTurtle, skosCollector, type SkosResult } from '@even-lantern/core';
import type { VocabularyFormat } from '@even-lantern/contract';
import { JsonLdParser } from 'jsonld-streaming-parser';
import { StreamParser } from 'n3';

/** Enough for some million statements. */
export const MOST_BYTES = 400_000_000;

/** @returns the vocabulary, or what is wrong with the file */
export async function readSkos(source: Readable, format: VocabularyFormat): Promise<SkosResult> {
  const collector = skosCollector();
  const parser: Transform =
    format === 'text/turtle' ? new StreamParser({ format }) : (jsonLdParser() as unknown as Transform);
  parser.on('data', collector.add);
  const ended = finished(parser);
  // Waited for below; until then nothing else may take its failure for one that nobody handles.
  let failed = false;
  ended.catch(() => (failed = true));
  let bytes = 0;
  try {
    // Whoever sends the file must be able to finish, or the answer never reaches them.
    for await (const chunk of source.iterator({ destroyOnReturn: false })) {
      const piece = chunk as Buffer;
      bytes += piece.length;
      if (bytes > MOST_BYTES) return tooLarge();
      if (failed) break;
      if (!parser.write(piece)) await Promise.race([once(parser, 'drain'), ended]);
    }
    if (!failed) parser.end();
    await ended;
    return collector.end();
  } catch (error) {
    const wrong = error instanceof Error ? error : new Error(String(error));
    return format === 'text/turtle' ? notTurtle(wrong) : notJsonLd(wrong);
  } finally {
    source.resume();
  }
}

function jsonLdParser(): JsonLdParser {
  return new JsonLdParser({
    documentLoader: {
      load: (url) =>
        Promise.reject(
          new Error(
            `it refers to the context ${url}, which is not fetched. Write the context into the file.`,
          ),
        ),
    },
  });
}

function notJsonLd(error: Error): SkosResult {
  return { ok: false, message: `This JSON-LD cannot be read: ${error.message}`, line: null };
}

function tooLarge(): SkosResult {
  const message = `This file is larger than ${MOST_BYTES / 1e6} MB. Leave out what is not SKOS, or split it.`;
  return { ok: false, message, line: null };
}
