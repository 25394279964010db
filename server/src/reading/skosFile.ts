/** Reads a SKOS file in a worker thread, so that a large one holds nobody up. Loaded by path, not imported. */
import { createReadStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
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

export interface SkosFile {
  path: string;
  format: VocabularyFormat;
}

/** @returns the vocabulary, or what is wrong with the file */
export default async function readSkosFile({ path, format }: SkosFile): Promise<SkosResult> {
  const collector = skosCollector();
  try {
    if (format === 'text/turtle') await readTurtle(path, collector);
    else await readJsonLd(path, collector);
  } catch (error) {
    const wrong = error instanceof Error ? error : new Error(String(error));
    return format === 'text/turtle' ? notTurtle(wrong) : notJsonLd(wrong);
  }
  return collector.end();
}

/** Statement by statement: none but those of use are held. */
async function readTurtle(path: string, collector: SkosCollector): Promise<void> {
  const parser = new StreamParser({ format: 'text/turtle', factory: TURTLE_TERMS });
  parser.on('data', collector.add);
  await pipeline(createReadStream(path), parser);
}

type JsonLdQuad = Parameters<SkosCollector['add']>[0];

async function readJsonLd(path: string, collector: SkosCollector): Promise<void> {
  const document = JSON.parse(await readFile(path, 'utf8')) as jsonld.JsonLdDocument;
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
