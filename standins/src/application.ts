/** The stand-ins as one HTTP application: databases at /sru/<id>, vocabularies at /vocabularies/<id>.ttl. */
import express, { type Express, type Request, type Response } from 'express';
import { buildIndex, indexVocabulary, vocabularyToTurtle, type BibRecord } from '@even-lantern/core';
import { readDatabases, readPeopleAndPlaces, readTopics, readVocabularies } from './content.js';
import { loadOrGenerate } from './corpus.js';
import type { Content } from './generate.js';
import type { StandInDatabase } from './sru/database.js';
import { sruService, type SruParameters } from './sru/operations.js';

export interface StandInOptions {
  /** where the authored content lies */
  contentFolder: string;
  /** where generated records are kept */
  dataFolder: string;
  /** records of each database, instead of their own sizes */
  size?: number;
}

const PAGE_CAP = 100;

/** The content that records are made of: topics, and the vocabulary that they name headings in. */
export function readContent(folder: string): Content {
  const [vocabulary] = readVocabularies(folder);
  if (vocabulary === undefined) throw new RangeError(`there is no vocabulary in ${folder}`);
  return { vocabulary, topics: readTopics(folder), people: readPeopleAndPlaces(folder) };
}

/** Loads or makes the databases. Takes some seconds the first time. */
export function openDatabases({ contentFolder, dataFolder, size }: StandInOptions): StandInDatabase[] {
  const vocabularies = readVocabularies(contentFolder);
  const recipes = readDatabases(contentFolder).map((each) => ({ ...each, size: size ?? each.size }));
  const corpora = loadOrGenerate(dataFolder, readContent(contentFolder), vocabularies, recipes);
  return recipes.flatMap((recipe) => {
    const { id, name, description, release } = recipe;
    const records = corpora.get(id) ?? [];
    const vocabulary = vocabularies.find((each) => each.id === recipe.vocabulary);
    if (vocabulary === undefined) return [];
    const values = (of: (record: BibRecord) => readonly string[]) => [...new Set(records.flatMap(of))].sort();
    return {
      id,
      name,
      description,
      release,
      records,
      index: buildIndex(records),
      tree: indexVocabulary(vocabulary),
      limits: {
        language: values((record) => [record.language]),
        publicationType: values((record) => record.publicationTypes),
        ageGroup: values((record) => record.limits.ageGroup ?? []),
        ...(recipe.tellsAwaiting ? { indexing: values((record) => record.limits.indexing ?? []) } : {}),
      },
      pageCap: PAGE_CAP,
    };
  });
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
