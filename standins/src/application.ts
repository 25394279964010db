/** The stand-ins as one HTTP application: databases at /sru/<id>, vocabularies at /vocabularies/<id>.ttl. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type Request, type Response } from 'express';
import { vocabularyToTurtle, type BibRecord } from '@even-lantern/core';
import {
  readDatabases,
  readLimitRules,
  readPeopleAndPlaces,
  readTopics,
  readVocabularies,
} from './content.js';
import { readStudies } from './studies.js';
import { loadOrGenerate } from './corpus.js';
import type { Content } from './generate.js';
import { standIn, type StandIn } from './standIn.js';
import { plainServer, type PlainServer } from './sru/plainServer.js';
import { sruService, type SruParameters, type SruService } from './sru/operations.js';
import { sendWith, TROUBLES, type Trouble } from './trouble.js';

export interface StandInOptions {
  /** where the authored content lies */
  contentFolder: string;
  /** where generated records are kept, and which release each database is in */
  dataFolder: string;
  /** records of each database, instead of their own sizes */
  size?: number;
}

const DEFAULT_DELAY = 5000;
/** The repository holds one in so many works. */
const DEPOSITED_ONE_IN = 8;

/** The content that records are made of: topics, and the vocabulary that they name headings in. */
export function readContent(folder: string): Content {
  const [vocabulary] = readVocabularies(folder);
  if (vocabulary === undefined) throw new RangeError(`there is no vocabulary in ${folder}`);
  return contentWith(folder, vocabulary);
}

function contentWith(folder: string, vocabulary: Content['vocabulary']): Content {
  return {
    vocabulary,
    topics: readTopics(folder),
    people: readPeopleAndPlaces(folder),
    studies: readStudies(folder),
  };
}

/** Loads or makes the databases. Takes some seconds the first time. */
export function openDatabases({ contentFolder, dataFolder, size }: StandInOptions): StandIn[] {
  const vocabularies = readVocabularies(contentFolder);
  const [first] = vocabularies;
  if (first === undefined) throw new RangeError(`there is no vocabulary in ${contentFolder}`);
  const recipes = readDatabases(contentFolder).map((each) => ({ ...each, size: size ?? each.size }));
  const content = contentWith(contentFolder, first);
  const limits = readLimitRules(contentFolder);
  const corpus = loadOrGenerate(dataFolder, { content, vocabularies, recipes, limits });
  const statePath = join(dataFolder, 'releases.json');
  const state = readState(statePath);
  return recipes.map((recipe) => {
    const vocabulary = vocabularies.find(({ id }) => id === recipe.vocabulary) ?? null;
    return standIn(recipe, vocabulary, corpus, state[recipe.id], (release) => {
      writeFileSync(statePath, JSON.stringify({ ...readState(statePath), [recipe.id]: release }));
    });
  });
}

function readState(path: string): Record<string, string> {
  return existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as Record<string, string>) : {};
}

export function standInApplication(databases: readonly StandIn[]): Express {
  const application = express();
  application.disable('x-powered-by');
  application.use(express.urlencoded({ extended: false, limit: '2mb' }));
  // Only what is sent as JSON can change a stand-in, so that no page of another origin can.
  const controls = express.json({ limit: '10kb' });
  const byId = new Map(databases.map((each) => [each.id, each]));
  const troubles = new Map<string, Trouble>();
  const services = new Map<string, SruService>();

  const serviceOf = (database: StandIn, release: string | undefined): SruService => {
    const state = (release === undefined ? null : database.at(release)) ?? database.present();
    const key = `${database.id} ${state.release} ${database.present().release}`;
    let service = services.get(key);
    if (service === undefined) services.set(key, (service = sruService(state)));
    return service;
  };

  const trouble = (id: string): Trouble | null => {
    const own = troubles.get(id);
    if (own === undefined) return null;
    own.met += 1;
    if (own.times !== null) {
      own.times -= 1;
      if (own.times <= 0) troubles.delete(id);
    }
    return own;
  };

  const answer = (
    request: Request<{ id: string }>,
    response: Response,
    given: unknown,
  ): Promise<void> | void => {
    const database = byId.get(request.params.id);
    if (database === undefined) {
      response.status(404).type('text/plain').send('There is no such database.');
      return;
    }
    const { localAddress = '127.0.0.1', localPort = 0 } = request.socket;
    return sendWith(trouble(database.id), request, response, firstValues(given), (parameters) =>
      serviceOf(database, parameters.release).answer(parameters, localAddress, localPort),
    );
  };
  application.get('/sru/:id', (request, response) => answer(request, response, request.query));
  // Long queries do not fit into an address; the standard allows POST with the same parameters.
  application.post('/sru/:id', (request, response) => answer(request, response, request.body));

  let plain: PlainServer | undefined;
  application.get('/plain', (request, response) => {
    plain ??= plainServer(depositedIn(databases));
    const { localAddress = '127.0.0.1', localPort = 0 } = request.socket;
    response.type('text/xml; charset=utf-8').send(plain(firstValues(request.query), localAddress, localPort));
  });

  const turtles = new Map<string, Promise<string>>();
  application.get('/vocabularies/:file', async (request, response) => {
    const { release } = firstValues(request.query);
    const id = request.params.file.replace(/\.ttl$/, '');
    const vocabulary = databases
      .flatMap((each) => each.vocabularies())
      .find((each) => each.id === id && (release === undefined || each.release === release));
    if (vocabulary === undefined) {
      response.status(404).type('text/plain').send('There is no such vocabulary.');
      return;
    }
    const key = `${id} ${vocabulary.release}`;
    const turtle = turtles.get(key) ?? vocabularyToTurtle(vocabulary);
    turtles.set(key, turtle);
    response.type('text/turtle; charset=utf-8').send(await turtle);
  });

  application.post('/control/:id/advance', controls, (request, response) => {
    const database = byId.get(request.params.id);
    if (database === undefined || request.is('application/json') === false) {
      response.status(database === undefined ? 404 : 415).end();
      return;
    }
    const next = database.advance();
    if (next === null) response.status(409).json({ message: 'There is no later release.' });
    else response.json({ release: next.release });
  });
  application.post('/control/:id/trouble', controls, (request, response) => {
    const database = byId.get(request.params.id);
    if (database === undefined || request.is('application/json') === false) {
      response.status(database === undefined ? 404 : 415).end();
      return;
    }
    const { kind, times, delay } = (request.body ?? {}) as Partial<Record<string, unknown>>;
    const known = TROUBLES.find((each) => each === kind);
    if (known === undefined) troubles.delete(database.id);
    else {
      troubles.set(database.id, {
        kind: known,
        times: typeof times === 'number' ? times : null,
        met: 0,
        delay: typeof delay === 'number' ? delay : DEFAULT_DELAY,
      });
    }
    response.json({ trouble: troubles.get(database.id) ?? null, known: TROUBLES });
  });
  application.get('/', (_request, response) => {
    const own = databases.map(({ id, name }) => ({ id, name, address: `/sru/${id}` }));
    response.json({ databases: own, addable: [{ name: 'Osier Open Repository', address: '/plain' }] });
  });
  return application;
}

/** Some of the works of the largest database that has headings, under numbers of the repository's own. */
function depositedIn(databases: readonly StandIn[]): BibRecord[] {
  const all = databases
    .filter((each) => each.vocabularies().length > 0)
    .map((each) => each.present().records);
  const [largest = []] = all.sort((a, b) => b.length - a.length);
  return largest
    .filter((_record, i) => i % DEPOSITED_ONE_IN === 0)
    .map((record, i) => ({ ...record, accession: `osier:${i + 1}`, related: [] }));
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
