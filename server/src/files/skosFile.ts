/** Reads SKOS, piece by piece where the format lets it. */
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { text as textOf } from 'node:stream/consumers';
import {
  notTurtle,
  skosCollector,
  TURTLE_TERMS,
  type SkosCollector,
  type SkosResult,
} from '@even-lantern/core';
import type { VocabularyFormat } from '@even-lantern/contract';
import jsonld from 'jsonld';
import { StreamParser } from 'n3';

/** No name and no note is as long as this, in characters; one that is makes everything after it slow. */
const LONGEST_TEXT = 100_000;
/** So much without a single statement is no Turtle. */
const MOST_BETWEEN = 8_000_000;

/** @returns the vocabulary, or what is wrong with the file */
export async function readSkosFile(source: Readable, format: VocabularyFormat): Promise<SkosResult> {
  const collector = skosCollector();
  try {
    if (format === 'text/turtle') await readTurtle(source, collector);
    else await readJsonLd(source, collector);
  } catch (error) {
    const wrong = error instanceof Error ? error : new Error(String(error));
    return format === 'text/turtle' ? notTurtle(wrong) : notJsonLd(wrong);
  }
  return collector.end();
}

/** Statement by statement: none but those of use are held. */
async function readTurtle(source: Readable, collector: SkosCollector): Promise<void> {
  const parser = new StreamParser({ format: 'text/turtle', factory: TURTLE_TERMS });
  let since = 0;
  parser.on('data', (quad: JsonLdQuad) => {
    since = 0;
    if (quad.object.value.length > LONGEST_TEXT) {
      throw new Error(`A text has more than ${LONGEST_TEXT} characters.`);
    }
    collector.add(quad);
  });
  await pipeline(
    source,
    async function* bounded(chunks: AsyncIterable<Buffer>) {
      for await (const chunk of chunks) {
        since += chunk.length;
        if (since > MOST_BETWEEN) {
          throw new Error(
            `There are more than ${MOST_BETWEEN / 1e6} MB without a statement: a text or a line is too long.`,
          );
        }
        yield chunk;
      }
    },
    parser,
  );
}

type JsonLdQuad = Parameters<SkosCollector['add']>[0];

async function readJsonLd(source: Readable, collector: SkosCollector): Promise<void> {
  const document = JSON.parse(await textOf(source)) as jsonld.JsonLdDocument;
  const statements = (await jsonld.toRDF(document, { documentLoader: refuse })) as JsonLdQuad[];
  statements.forEach(collector.add);
}

const refuse = (address: string) =>
  Promise.reject<never>(
    new Error(`It refers to ${address}, which is not fetched. Write the context into the file.`),
  );

function notJsonLd(error: Error): SkosResult {
  // The library names its own errors; what a person needs stands in the innermost one.
  let innermost: unknown = error;
  for (const cause of [(error as { details?: { cause?: unknown } }).details?.cause, error.cause]) {
    if (cause instanceof Error) innermost = cause;
  }
  const message = innermost instanceof Error ? innermost.message : error.message;
  return { ok: false, message: `This JSON-LD cannot be read: ${message}`, line: null };
}
