import { join } from 'node:path';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { shippedConnector } from './shippedConnector.js';
import { emptyRecord, recordToMods } from '@even-lantern/core';
import { openXmlParsers } from './xmlParser.js';

let server: Server;

async function serving(listener: RequestListener): Promise<string> {
  server = createServer(listener);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/sru`;
}
afterEach(() => {
  server.closeAllConnections();
  return new Promise((resolve) => server.close(resolve));
});

const answer = (inside: string) =>
  `<searchRetrieveResponse xmlns="http://docs.oasis-open.org/ns/search-ws/sruResponse">${inside}</searchRetrieveResponse>`;

const count = (number: string) => answer(`<numberOfRecords>${number}</numberOfRecords>`);

test('redirects, cut answers and broken compression are told apart', async () => {
  const moved = await serving((_request, response) => {
    response.writeHead(302, { Location: '/elsewhere' }).end();
  });
  await expect(shippedConnector(moved).count('light')).rejects.toThrow(
    /sends on to http:.*\/elsewhere, which is not followed/,
  );
  server.close();
  const cut = await serving((_request, response) => {
    response.writeHead(200, { 'Content-Length': '5000' });
    response.write(count('7').slice(0, 40), () => response.destroy());
  });
  await expect(shippedConnector(cut, { retries: 0 }).count('light')).rejects.toThrow(
    'broke off in the middle',
  );
  server.close();
  const zipped = await serving((_request, response) => {
    response.writeHead(200, { 'Content-Encoding': 'gzip' }).end('this is no gzip');
  });
  await expect(shippedConnector(zipped, { retries: 0 }).count('light')).rejects.toThrow(
    'compression is broken',
  );
});

test.each([
  ['as its header says', 'text/xml; charset=iso-8859-1', '', 'latin1'],
  ['as the XML says', 'text/xml', '<?xml version="1.0" encoding="ISO-8859-1"?>', 'latin1'],
  ['as its byte order mark says', 'text/xml', '\uFEFF', 'utf16le'],
])('an answer in another encoding is read %s', async (_how, type, before, encoding) => {
  const address = await serving((_request, response) => {
    const echo = '<echoedSearchRetrieveRequest><query>Schläfrigkeit</query></echoedSearchRetrieveRequest>';
    const text = before + answer(`<numberOfRecords>7</numberOfRecords>${echo}`);
    response.writeHead(200, { 'Content-Type': type }).end(Buffer.from(text, encoding as BufferEncoding));
  });
  expect(await shippedConnector(address).count('x')).toMatchObject({ hits: 7, understood: 'Schläfrigkeit' });
});

test('a number of records that cannot be is told, not taken', async () => {
  const address = await serving((_request, response) => response.end(count('9'.repeat(400))));
  await expect(shippedConnector(address).count('x')).rejects.toThrow('cannot be, of 400 digits');
});

test('an answer of millions of empty elements is refused before any of them is read', async () => {
  const xml = openXmlParsers(join(__dirname, '..', '..', '..', 'dist', 'connectors', 'sru', 'xmlTask.js'));
  const many = answer(`<numberOfRecords>1</numberOfRecords>${'<a/>'.repeat(10_000_000)}`);
  const address = await serving((_request, response) => response.end(many));
  const asked = shippedConnector(address, { xml, retries: 0 }).search('x', { start: 1, size: 10 });
  await expect(asked).rejects.toThrow(/more than \d+ elements/);
  await xml.close();
});

test('what is deep, and what is large but good, is read in its bounds', async () => {
  const xml = openXmlParsers(join(__dirname, '..', '..', '..', 'dist', 'connectors', 'sru', 'xmlTask.js'));
  expect(await xml.of('a').xml('<a>'.repeat(50_000) + '</a>'.repeat(50_000))).toMatchObject({
    ok: false,
    message: expect.stringContaining('deep'),
  });
  const records = Array.from({ length: 600 }, (_, i) =>
    recordToMods({ ...emptyRecord(), accession: `M${i}`, title: `Record ${i}` }),
  );
  const text = answer(
    `<numberOfRecords>600</numberOfRecords><records>${records.map((mods) => `<record><recordData>${mods}</recordData></record>`).join('')}</records>`,
  );
  const read = await xml.of('a').answer(text, true);
  expect(read.ok && read.answer.records.map(({ accession }) => accession)).toEqual(
    records.map((_, i) => `M${i}`),
  );
  await xml.close();
});

test('answers of one database that take long to read hold up no other, and their time counts from where reading begins', async () => {
  const xml = openXmlParsers(join(__dirname, '..', '..', '..', 'dist', 'connectors', 'sru', 'xmlTask.js'));
  const long = answer(`<numberOfRecords>1</numberOfRecords><a>${'&amp;'.repeat(400_000)}</a>`);
  const done: string[] = [];
  const reads = Array.from({ length: 4 }, (_, i) =>
    xml
      .of('heavy')
      .answer(long, true)
      .then(({ ok }) => done.push(`heavy ${i} ${ok}`)),
  );
  const padded = answer(`<numberOfRecords>7</numberOfRecords>${' '.repeat(40_000)}`);
  const healthy = await xml.of('healthy').answer(padded, true);
  expect(healthy).toMatchObject({ ok: true, answer: { hits: '7' } });
  expect(done.length).toBeLessThan(4);
  await Promise.all(reads);
  expect(done).toEqual(['heavy 0 true', 'heavy 1 true', 'heavy 2 true', 'heavy 3 true']);
  await xml.close();
});

test.each([
  ['exact', undefined],
  ['current', undefined],
  ['estimate', true],
  ['minimum', true],
  ['unknown', true],
])('a count that a server calls %s', async (precision, estimated) => {
  const address = await serving((_request, response) =>
    response.end(
      answer(
        `<numberOfRecords>7</numberOfRecords><resultCountPrecision>info:srw/vocabulary/resultCountPrecision/1/${precision}</resultCountPrecision>`,
      ),
    ),
  );
  expect((await shippedConnector(address).count('x')).estimated).toBe(estimated);
});

test('a failure that may pass is tried again', async () => {
  let calls = 0;
  const address = await serving((_request, response) => {
    calls += 1;
    response.statusCode = calls < 3 ? 503 : 200;
    response.end(answer('<numberOfRecords>7</numberOfRecords>'));
  });
  expect((await shippedConnector(address).count('light')).hits).toBe(7);
  expect(calls).toBe(3);
});

test('a refusal is not tried again', async () => {
  let calls = 0;
  const address = await serving((_request, response) => {
    calls += 1;
    response.statusCode = 404;
    response.end();
  });
  await expect(shippedConnector(address).count('light')).rejects.toThrow(
    'has nothing at this address (status 404)',
  );
  expect(calls).toBe(1);
});

test('what the database finds wrong with a query reaches the person in its own words', async () => {
  const diagnostic =
    '<diagnostics><diagnostic xmlns="http://docs.oasis-open.org/ns/search-ws/diagnostic"><uri>info:srw/diagnostic/1/10</uri><message>Not like this.</message></diagnostic></diagnostics>';
  const address = await serving((_request, response) => {
    response.end(answer(`<numberOfRecords>0</numberOfRecords>${diagnostic}`));
  });
  await expect(shippedConnector(address).count('((')).rejects.toMatchObject({
    message: 'Not like this.',
    refused: true,
  });
});

test.each([
  ['nothing in time', (_: unknown, __: unknown) => undefined, 'did not answer within 0.2 seconds'],
  [
    'a cut connection',
    (_: unknown, response: { destroy(): void }) => response.destroy(),
    'broke off in the middle of its answer',
  ],
  [
    'broken XML',
    (_: unknown, response: { end(text: string): void }) => response.end('<a><b></a>'),
    'cannot be read',
  ],
  [
    'an external entity',
    (_: unknown, response: { end(text: string): void }) =>
      response.end('<!DOCTYPE a [<!ENTITY b SYSTEM "x">]><a/>'),
    'document type is refused',
  ],
  [
    'no count',
    (_: unknown, response: { end(text: string): void }) => response.end(answer('')),
    'no number of records',
  ],
])('%s becomes an error that says so', async (_, listener, message) => {
  const address = await serving(listener as RequestListener);
  const timeoutMs = message.includes('0.2 seconds') ? 200 : 10_000;
  const connector = shippedConnector(address, { timeoutMs, retries: 0 });
  await expect(connector.count('light')).rejects.toThrow(message);
});

test('no more calls are in flight than allowed', async () => {
  let inFlight = 0;
  let most = 0;
  const address = await serving((_request, response) => {
    inFlight += 1;
    most = Math.max(most, inFlight);
    setTimeout(() => {
      inFlight -= 1;
      response.end(answer('<numberOfRecords>1</numberOfRecords>'));
    }, 20);
  });
  const connector = shippedConnector(address, { budget: { atOnce: 3, perSecond: null } });
  await Promise.all(Array.from({ length: 12 }, (_, i) => connector.count(`word${i}`)));
  expect(most).toBe(3);
});

test('a long query goes by POST', async () => {
  let method = '';
  const address = await serving((request, response) => {
    method = request.method ?? '';
    request.resume();
    response.end(answer('<numberOfRecords>1</numberOfRecords>'));
  });
  await shippedConnector(address).count('word '.repeat(1000));
  expect(method).toBe('POST');
});

test('a dialect and an earlier release are asked for as the standard and the profile have them', async () => {
  const asked: (string | null)[] = [];
  const address = await serving((request, response) => {
    const parameters = new URL(request.url ?? '', 'http://localhost').searchParams;
    asked.push(parameters.get('queryType'), parameters.get('release'));
    response.end(answer('<numberOfRecords>1</numberOfRecords>'));
  });
  const connector = shippedConnector(address);
  await connector.count('light');
  await connector.count('words("light")', undefined, { queryType: 'corvane', release: '2026-04-01' });
  expect(asked).toEqual(['cql', null, 'corvane', '2026-04-01']);
});

describe('going on to the next release', () => {
  const explaining = (control: string) =>
    `<explainResponse><extraResponseData><profile>${control}</profile></extraResponseData></explainResponse>`;

  test('is asked of the control that the server names, once even when the answer is lost', async () => {
    const posts: string[] = [];
    const address = await serving((request, response) => {
      if (request.method !== 'POST') return void response.end(explaining('<control href="/control/db"/>'));
      posts.push(request.url ?? '');
      response.statusCode = posts.length === 1 ? 200 : 503;
      response.end('{}');
    });
    const connector = shippedConnector(address, { retries: 2 });
    await connector.advance();
    expect(posts).toEqual(['/control/db/advance']);
    await expect(connector.advance()).rejects.toThrow('is not available just now (status 503)');
    expect(posts).toHaveLength(2);
  });

  test('is not asked of another server, nor of one that is no stand-in', async () => {
    let control = '<control href="http://elsewhere.test/control"/>';
    const address = await serving((_request, response) => void response.end(explaining(control)));
    await expect(shippedConnector(address).advance()).rejects.toThrow('another server, elsewhere.test');
    control = '';
    await expect(shippedConnector(address).advance()).rejects.toThrow('it is no stand-in');
  });
});
