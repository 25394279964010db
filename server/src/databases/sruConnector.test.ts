import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { sruConnector } from './sruConnector.js';

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

test('a failure that may pass is tried again', async () => {
  let calls = 0;
  const address = await serving((_request, response) => {
    calls += 1;
    response.statusCode = calls < 3 ? 503 : 200;
    response.end(answer('<numberOfRecords>7</numberOfRecords>'));
  });
  expect((await sruConnector(address).count('light')).hits).toBe(7);
  expect(calls).toBe(3);
});

test('a refusal is not tried again', async () => {
  let calls = 0;
  const address = await serving((_request, response) => {
    calls += 1;
    response.statusCode = 404;
    response.end();
  });
  await expect(sruConnector(address).count('light')).rejects.toThrow('answered with status 404');
  expect(calls).toBe(1);
});

test('what the database finds wrong with a query reaches the person in its own words', async () => {
  const diagnostic =
    '<diagnostics><diagnostic xmlns="http://docs.oasis-open.org/ns/search-ws/diagnostic"><uri>info:srw/diagnostic/1/10</uri><message>Not like this.</message></diagnostic></diagnostics>';
  const address = await serving((_request, response) => {
    response.end(answer(`<numberOfRecords>0</numberOfRecords>${diagnostic}`));
  });
  await expect(sruConnector(address).count('((')).rejects.toMatchObject({
    message: 'Not like this.',
    refused: true,
  });
});

test.each([
  ['nothing in time', (_: unknown, __: unknown) => undefined, 'did not answer within 0.2 seconds'],
  [
    'a cut connection',
    (_: unknown, response: { destroy(): void }) => response.destroy(),
    'cannot be reached',
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
  const connector = sruConnector(address, { timeoutMs, retries: 0 });
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
  const connector = sruConnector(address, { concurrency: 3 });
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
  await sruConnector(address).count('word '.repeat(1000));
  expect(method).toBe('POST');
});
