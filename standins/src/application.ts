/** The stand-ins as one HTTP application: databases at /sru/<id>, vocabularies at /vocabularies/<id>.ttl. */
import express, { type Express, type Request, type Response } from 'express';
import { buildIndex, indexVocabulary, vocabularyToTurtle } from '@even-lantern/core';
import { readPeopleAndPlaces, readTopics, readVocabulary } from './content.js';
import { loadOrGenerate } from './corpus.js';
import type { Content } from './generate.js';
import type { StandInDatabase } from './sru/database.js';
import { sruService, type SruParameters } from './sru/operations.js';

export interface StandInOptions {
  /** where the authored content lies */
  contentFolder: string;
  /** where generated records are kept */
  dataFolder: string;
  /** records of the Corvane Medical Index */
  size?: number;
}

const SEED = 20261001;
const DEFAULT_SIZE = 4400;
const PAGE_CAP = 100;

export function readContent(folder: string): Content {
  return {
    vocabulary: readVocabulary(folder),
    topics: readTopics(folder),
    people: readPeopleAndPlaces(folder),
  };
}

/** Loads or makes the databases. Takes some seconds the first time. */
export function openDatabases({
  contentFolder,
  dataFolder,
  size = DEFAULT_SIZE,
}: StandInOptions): StandInDatabase[] {
  const content = readContent(contentFolder);
  const records = loadOrGenerate(dataFolder, content, { seed: SEED, size });
  const values = (of: (record: (typeof records)[number]) => readonly string[]) =>
    [...new Set(records.flatMap(of))].sort();
  return [
    {
      id: 'corvane',
      name: 'Corvane Medical Index',
      description: 'General biomedicine, with the Corvane Subject Tree. Simulated: all records are invented.',
      release: '2026-10-01',
      records,
      index: buildIndex(records),
      tree: indexVocabulary(content.vocabulary),
      limits: {
        language: values((record) => [record.language]),
        publicationType: values((record) => record.publicationTypes),
        ageGroup: values((record) => record.limits.ageGroup ?? []),
        indexing: values((record) => record.limits.indexing ?? []),
      },
      pageCap: PAGE_CAP,
    },
  ];
}

export async function standInApplication(databases: readonly StandInDatabase[]): Promise<Express> {
  const application = express();
  application.disable('x-powered-by');
  application.use(express.urlencoded({ extended: false, limit: '2mb' }));
  for (const database of databases) {
    const service = sruService(database);
    const answer = (request: Request, response: Response, parameters: unknown) => {
      const { localAddress = '127.0.0.1', localPort = 0 } = request.socket;
      response
        .type('application/sru+xml; charset=utf-8')
        .send(service.answer(firstValues(parameters), localAddress, localPort));
    };
    application.get(`/sru/${database.id}`, (request, response) => answer(request, response, request.query));
    // Long queries do not fit into an address; the standard allows POST with the same parameters.
    application.post(`/sru/${database.id}`, (request, response) => answer(request, response, request.body));
    const turtle = await vocabularyToTurtle(database.tree.vocabulary);
    application.get(`/vocabularies/${database.tree.vocabulary.id}.ttl`, (_request, response) => {
      response.type('text/turtle; charset=utf-8').send(turtle);
    });
  }
  application.get('/', (_request, response) => {
    response.json({ databases: databases.map(({ id, name }) => ({ id, name, address: `/sru/${id}` })) });
  });
  return application;
}

/** Repeated parameters count once, the first time. */
function firstValues(parameters: unknown): SruParameters {
  const first: Record<string, string> = {};
  for (const [name, value] of Object.entries((parameters ?? {}) as Record<string, unknown>)) {
    const one: unknown = Array.isArray(value) ? value[0] : value;
    if (typeof one === 'string') first[name] = one;
  }
  return first;
}
