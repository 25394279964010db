/** Files as large, and as odd, as people send them. */
import { once } from 'node:events';
import {
  createReadStream,
  createWriteStream,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { finished } from 'node:stream/promises';
import type {
  FileProgress,
  GivenRecords,
  HandAnswer,
  Problem,
  VocabularySummary,
} from '@even-lantern/contract';
import { emptyRecord, recordToMods, type Vocabulary } from '@even-lantern/core';
import Database from 'better-sqlite3';
import { Not } from 'typeorm';
import { ImportedHeadingsRow, ImportedVocabularyRow } from '../store/entities.js';
import { openStore } from '../store/store.js';
import { faultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let port: number;
const folder = mkdtempSync(join(tmpdir(), 'files-'));

async function started(storePath?: string): Promise<TestApplication> {
  const application = await testApplication({ faulty: faultyConnector(3) }, storePath);
  await application.application.listen(0, '127.0.0.1');
  const { port: at } = (
    application.application.getHttpServer() as { address(): unknown }
  ).address() as AddressInfo;
  port = at;
  return application;
}

beforeAll(async () => {
  server = await started();
});
afterAll(async () => {
  await server.application.close();
  rmSync(folder, { recursive: true, force: true });
});

async function written(name: string, parts: Iterable<string>): Promise<string> {
  const path = join(folder, name);
  const out = createWriteStream(path);
  for (const part of parts) if (!out.write(part)) await once(out, 'drain');
  out.end();
  await finished(out);
  return path;
}

async function send(address: string, path: string, type: string): Promise<{ status: number; body: unknown }> {
  return new Promise((resolve, reject) => {
    const headers = { 'Content-Type': type, 'el-person': server.person, Host: 'localhost' };
    const sent = httpRequest({ port, method: 'POST', path: address, headers }, (answer) => {
      let text = '';
      answer.setEncoding('utf8').on('data', (part: string) => (text += part));
      answer.on('end', () =>
        resolve({ status: answer.statusCode ?? 0, body: text === '' ? null : JSON.parse(text) }),
      );
    });
    sent.on('error', reject);
    createReadStream(path).pipe(sent);
  });
}

/** How long health takes at worst while something goes on, as a share of that. */
async function healthDuring<T>(work: Promise<T>): Promise<{ result: T; share: number }> {
  const began = performance.now();
  let worst = 0;
  const watched = { going: true };
  const watching = (async () => {
    while (watched.going) {
      const from = performance.now();
      await fetch(`http://localhost:${port}/api/health`);
      worst = Math.max(worst, performance.now() - from);
      await new Promise((done) => setTimeout(done, 20));
    }
  })();
  const result = await work.finally(() => (watched.going = false));
  const all = performance.now() - began;
  await watching;
  return { result, share: worst / all };
}

async function byHand(): Promise<{ id: string; answer: string }> {
  const database = {
    how: 'hand',
    name: `By hand ${Math.random()}`,
    description: '',
    release: '',
    dialect: { kind: 'corvane', names: {}, lacks: [] },
    vocabulary: null,
  };
  const { id } = (await server.post('/api/databases', database).expect(201)).body as { id: string };
  const asked = await server.post(`/api/databases/${id}/answers`, { text: 'words("light")' }).expect(200);
  return { id, answer: (asked.body as HandAnswer).id };
}

const incoming = () => {
  try {
    return readdirSync(join(dirname(server.storePath), 'incoming'));
  } catch {
    return [];
  }
};

function* risRecords(count: number): Generator<string> {
  for (let i = 0; i < count; i += 1) {
    yield `TY  - JOUR\r\nAN  - REC${i}\r\nTI  - Lamps on ward ${i}\r\nAB  - ${'Night after night. '.repeat(60)}\r\nER  - \r\n\r\n`;
  }
}

test('records of tens of megabytes are read in a worker while health answers, and nothing is left behind', async () => {
  const path = await written('many.ris', risRecords(20_000));
  expect(statSync(path).size).toBeGreaterThan(20_000_000);
  const { id, answer } = await byHand();
  const { result, share } = await healthDuring(
    send(`/api/databases/${id}/answers/${answer}/records?job=j1`, path, 'text/plain'),
  );
  expect(result.body as GivenRecords).toMatchObject({
    read: 20_000,
    added: 20_000,
    total: 20_000,
    troubles: [],
  });
  // Read in this thread, it would be nearly all of it.
  expect(share).toBeLessThan(0.5);
  expect(incoming()).toEqual([]);
  const again = await send(`/api/databases/${id}/answers/${answer}/records`, path, 'text/plain');
  expect(again.body).toMatchObject({ read: 20_000, added: 0, total: 20_000 });
}, 180_000);

test('MODS is read record by record too, and what is broken in it keeps what came before', async () => {
  function* mods() {
    yield '<?xml version="1.0"?>\n<m:modsCollection xmlns:m="http://www.loc.gov/mods/v3">';
    for (let i = 0; i < 3000; i += 1) {
      yield recordToMods({ ...emptyRecord(), accession: `M${i}`, title: `Lamps & <b> ${i}` }).replace(
        /<(\/?)(?=\w)/g,
        '<$1m:',
      );
    }
    yield '<m:mods><m:titleInfo></m:mods>';
  }
  const { id, answer } = await byHand();
  const path = await written('broken.xml', mods());
  const { body } = await send(`/api/databases/${id}/answers/${answer}/records`, path, 'text/plain');
  expect(body).toMatchObject({ read: 3000, added: 3000 });
  expect((body as GivenRecords).troubles[0]?.message).toContain('The XML is broken');
  const hostile = await written('hostile.xml', [
    '<!DOCTYPE a [<!ENTITY b SYSTEM "file:///etc/passwd">]><mods>&b;</mods>',
  ]);
  const refused = await send(`/api/databases/${id}/answers/${answer}/records`, hostile, 'text/plain');
  expect([refused.status, (refused.body as Problem).title]).toEqual([
    400,
    expect.stringContaining('document type is refused'),
  ]);
}, 180_000);

test('a file is told how far it is, and can be stopped; nothing of it is kept', async () => {
  const path = await written('stopped.ris', risRecords(30_000));
  const { id, answer } = await byHand();
  const sent = send(`/api/databases/${id}/answers/${answer}/records?job=j2`, path, 'text/plain');
  let seen: FileProgress | null = null;
  for (let tries = 0; seen === null && tries < 500; tries += 1) {
    const events = await fetch(`http://localhost:${port}/api/files/j2/progress`);
    const { value } = events.ok ? ((await events.body?.getReader().read()) ?? {}) : {};
    const [, json] = /data: (.*)/.exec(new TextDecoder().decode(value)) ?? [];
    if (json !== undefined) seen = JSON.parse(json) as FileProgress;
    else await new Promise((done) => setTimeout(done, 5));
  }
  expect(seen?.phase).toMatch(/sending|reading|keeping/);
  await server.post('/api/files/j2/stop', {}).expect(204);
  expect(await sent).toMatchObject({
    status: 409,
    body: { title: 'The file was not read: stopped by the person who sent it.' },
  });
  expect(incoming()).toEqual([]);
  const asked = await server.post(`/api/databases/${id}/answers`, { text: 'words("light")' });
  expect(asked.body).toMatchObject({ records: 0 });
  await server.post('/api/files/j2/stop', {}).expect(404);
}, 180_000);

test('a line of fifty megabytes and a literal of sixty are refused, while health answers', async () => {
  const prefix =
    '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:a> a skos:Concept ; skos:prefLabel ';
  function* line() {
    yield `${prefix}"`;
    for (let i = 0; i < 50; i += 1) yield 'x'.repeat(1_000_000);
    yield '"@en .\n';
  }
  function* literal() {
    yield `${prefix}"""`;
    for (let i = 0; i < 60_000; i += 1) yield `${'x'.repeat(999)}\n`;
    yield '"""@en .\n';
  }
  for (const [name, parts, reason] of [
    ['line.ttl', line(), 'longer than 10 MB'],
    ['literal.ttl', literal(), 'without a statement'],
  ] as const) {
    const path = await written(name, parts);
    const { result, share } = await healthDuring(send('/api/vocabularies?file=a.ttl', path, 'text/turtle'));
    expect([name, result.status]).toEqual([name, 400]);
    expect((result.body as Problem).title).toContain(reason);
    expect(share).toBeLessThan(0.5);
  }
  expect(incoming()).toEqual([]);
}, 180_000);

test('a vocabulary of many headings is read in parts, and is the same when the server starts again', async () => {
  function* turtle() {
    yield '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:v> a skos:ConceptScheme .\n';
    for (let i = 0; i < 5000; i += 1) {
      yield `<urn:c${i}> a skos:Concept ; skos:prefLabel "Heading ${i}"@en ; skos:inScheme <urn:v> ; skos:scopeNote "${'Lamps\u2028and lanterns. '.repeat(9)}"@en .\n`;
    }
  }
  const path = await written('good.ttl', turtle());
  const { body, status } = await send('/api/vocabularies?file=good.ttl&job=j3', path, 'text/turtle');
  expect(status).toBe(201);
  const { id, headings } = body as VocabularySummary;
  expect(headings).toBe(5000);
  expect(incoming()).toEqual([]);
  const whole = async () =>
    (await server.get(`/api/vocabularies/${encodeURIComponent(id)}`)).body as Vocabulary;
  const before = await whole();
  expect(new Set(before.headings.map(({ label }) => label)).size).toBe(5000);
  expect(before.headings[4999]?.scopeNote).toContain('Lamps\u2028and');

  // Rows of earlier releases have their headings within; parts of a vocabulary that a crash cut off belong to none.
  const { storePath } = server;
  await server.application.close();
  const store = await openStore(storePath);
  expect(await store.read.countBy(ImportedHeadingsRow, { vocabularyRow: Not('') })).toBeGreaterThan(5);
  const [row] = await store.read.findBy(ImportedVocabularyRow, { vocabulary: id });
  if (row === undefined) throw new Error('the vocabulary was not kept');
  await store.write(async (manager) => {
    const content = JSON.stringify({ ...before, id: 'urn:old', name: 'Old' });
    await manager.insert(ImportedVocabularyRow, {
      ...row,
      id: 'old',
      vocabulary: 'urn:old',
      name: 'Old',
      content,
    });
    await manager.insert(ImportedHeadingsRow, { vocabularyRow: 'cut off', part: 0, content: '[]' });
  });
  await store.close();
  server = await started(storePath);
  expect(await whole()).toEqual(before);
  const old = (await server.get('/api/vocabularies/urn%3Aold')).body as Vocabulary;
  expect(old).toEqual({ ...before, id: 'urn:old', name: 'Old' });
  const again = new Database(storePath, { readonly: true });
  expect(again.prepare('SELECT count(*) AS parts FROM imported_headings WHERE part = 0').get()).toEqual({
    parts: 1,
  });
  again.close();
}, 180_000);

test('a file that is not in UTF-8 is read letter by letter; which encoding was taken is told, and can be another', async () => {
  const { id } = (await server.post('/api/reviews', { title: 'Encodings' })).body as { id: string };
  const path = join(folder, 'latin.ris');
  const text = 'TY  - JOUR\r\nTI  - Schläfrigkeit nach der Nacht\r\nAU  - Größer, Jörg\r\nER  - \r\n';
  writeFileSync(path, Buffer.from(text, 'latin1'));
  const files = `/api/reviews/${id}/ledger/files?name=latin.ris&job=`;
  expect(await send(`${files}e1`, path, 'text/plain')).toMatchObject({
    status: 200,
    body: {
      titles: ['Schläfrigkeit nach der Nacht'],
      encoding: { name: 'windows-1252', how: 'letters' },
    },
  });
  expect(await send(`${files}e2&encoding=windows-1251`, path, 'text/plain')).toMatchObject({
    status: 200,
    body: { titles: ['Schlдfrigkeit nach der Nacht'], encoding: { name: 'windows-1251', how: 'person' } },
  });
  expect(await send(`${files}e3&encoding=morse`, path, 'text/plain')).toMatchObject({ status: 400 });
  const turtle = join(folder, 'latin.ttl');
  const skos = [
    '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .',
    '<urn:v> a skos:ConceptScheme ; skos:prefLabel "Wörter"@de .',
    '<urn:a> a skos:Concept ; skos:inScheme <urn:v> ; skos:prefLabel "Schläfrigkeit"@en .',
  ].join('\n');
  writeFileSync(turtle, Buffer.from(skos, 'latin1'));
  const taken = await send('/api/vocabularies?file=latin.ttl&job=e4', turtle, 'text/turtle');
  expect(JSON.stringify(taken.body)).toContain('The file is not in UTF-8; it was read as windows-1252.');
  expect(JSON.stringify(taken.body)).not.toContain('\uFFFD');
});
