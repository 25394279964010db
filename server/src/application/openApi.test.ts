/** The description of the API: as the standard has it, read by a client that others wrote, and true of what is answered. */
import { spawnSync } from 'node:child_process';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { PERSON_HEADER, type Person, type Review } from '@even-lantern/contract';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv2020 } from 'ajv/dist/2020.js';
import OpenAPIClientAxios, { type Document } from 'openapi-client-axios';
import { RecordDesignsService } from '../records/recordDesignsService.js';
import { Scheduler } from '../schedules/scheduler.js';
import { VersionKeeper } from '../versions/versionKeeper.js';
import { fullReview } from '../testing/fullReview.js';
import type { TestApplication } from '../testing/testApplication.js';

interface Operation {
  operationId: string;
  summary?: string;
  parameters?: { name: string; in: string; required?: boolean }[];
  responses: Record<string, { $ref?: string; content?: Record<string, { schema?: object }> }>;
}
interface Api {
  openapi: string;
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, object> };
}

let server: TestApplication;
let reviewId: string;
let api: Api;
const operations = () =>
  Object.entries(api.paths).flatMap(([path, item]) =>
    Object.entries(item).map(([method, operation]) => ({ path, method, ...operation })),
  );

beforeAll(async () => {
  ({ server, reviewId } = await fullReview(async ({ application }, at) => {
    await application.get(Scheduler).look(at);
    await application.get(Scheduler).settled();
  }));
  await server.application.get(RecordDesignsService).settled(reviewId);
  await server.application.get(VersionKeeper).settled();
  api = (await server.get('/api/openapi.json').expect(200)).body as Api;
});
afterAll(() => server.application.close());

test('it is OpenAPI 3.1 as the standard’s own schema has it, and every reference leads somewhere', async () => {
  expect(api.openapi).toBe('3.1.0');
  const { valid, errors } = await new Validator().validate(
    structuredClone(api) as unknown as Record<string, unknown>,
  );
  expect([valid, errors]).toEqual([true, undefined]);
  const references = [...JSON.stringify(api).matchAll(/"\$ref":"#\/([^"]+)"/g)].map(([, path = '']) => path);
  const leads = (path: string) =>
    path
      .split('/')
      .reduce<unknown>((at, name) => (at as Record<string, unknown> | undefined)?.[name], api) !== undefined;
  expect(references.length).toBeGreaterThan(200);
  expect([...new Set(references)].filter((path) => !leads(path))).toEqual([]);
});

test('every operation says what it is for, what it answers and how it fails, once', () => {
  const all = operations();
  expect(all.length).toBeGreaterThan(120);
  expect(new Set(all.map(({ operationId }) => operationId)).size).toBe(all.length);
  const lacking = all.filter(({ summary = '', responses }) => {
    const well = Object.entries(responses).filter(([status]) => /^2/.test(status));
    const told = well.every(([status, { content }]) => status === '204' || content !== undefined);
    return summary === '' || well.length === 0 || !told || !('default' in responses);
  });
  expect(lacking.map(({ operationId }) => operationId)).toEqual([]);
  const page = all.find(({ path }) => path === '/api/reviews/{id}/records');
  expect(page?.parameters?.map(({ name }) => name)).toEqual(
    expect.arrayContaining(['id', 'sort', 'decision']),
  );
  const change = all.find(({ path, method }) => path === '/api/reviews/{id}' && method === 'patch');
  expect(change?.parameters?.find(({ name }) => name === 'If-Match')?.required).toBe(true);
  expect(Object.keys(change?.responses ?? {})).toEqual(
    expect.arrayContaining(['400', '401', '404', '412', '428']),
  );
});

test('the schemas of answers are those of the handlers', () => {
  const script = join(__dirname, '..', '..', '..', 'scripts', 'answers.mjs');
  const { status, stderr } = spawnSync('node', [script, '--check'], { encoding: 'utf8' });
  expect([status, stderr]).toEqual([0, '']);
});

test('what is answered is what the description says, at every address that is read', async () => {
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  ajv.addSchema({ ...api, $id: 'api' });
  const { body: review } = await server.get(`/api/reviews/${reviewId}`);
  const { rows } = (await server.get(`/api/reviews/${reviewId}/records`)).body as { rows: { id: string }[] };
  const first = async (address: string) =>
    ((await server.get(address)).body as { id: string }[])[0]?.id ?? '';
  const { id, lanes, elements } = review as Review;
  const of = `/api/reviews/${id}`;
  /** What stands for the id in an address, by what comes before it. */
  const ids: Record<string, string> = {
    reviews: id,
    lanes: lanes[0]?.id ?? '',
    elements: elements[0]?.id ?? '',
    records: rows[0]?.id ?? '',
    databases: 'db',
    vocabularies: 'tree',
    entries: '1',
    schedules: await first(`${of}/schedules`),
    versions: await first(`${of}/versions`),
    'peer-reviews': await first(`${of}/peer-reviews`),
  };
  expect(ajv.getSchema('api#/components/schemas/Review')?.({ id })).toBe(false);
  const wrong: unknown[] = [];
  let read = 0;
  for (const { path, method, operationId, responses } of operations()) {
    const schema = responses['200']?.content?.['application/json']?.schema;
    if (method !== 'get' || schema === undefined) continue;
    const address = path.replace(
      /([\w-]+)\/\{\w+\}/g,
      (_all, name: string) => `${name}/${ids[name] ?? 'none'}`,
    );
    const { status, body } = await server.get(
      `${address}?database=db&words=light&text=light&begins=l&against=1`,
    );
    const pointer = `api#/paths/${path.replaceAll('/', '~1').replaceAll('{', '%7B').replaceAll('}', '%7D')}/get/responses/200/content/application~1json/schema`;
    const answer = status === 200 ? pointer : 'api#/components/schemas/Problem';
    const valid = ajv.getSchema(answer);
    if (valid === undefined) throw new Error(`no schema at ${answer}`);
    if (status === 200) read += 1;
    if (valid(body) !== true) wrong.push([operationId, status, valid.errors?.slice(0, 3)]);
  }
  expect(wrong).toEqual([]);
  expect(read).toBeGreaterThan(25);
});

test('a client that others wrote reads and writes by it', async () => {
  await server.application.listen(0, '127.0.0.1');
  const { port } = (server.application.getHttpServer() as { address(): AddressInfo }).address();
  const maker = new OpenAPIClientAxios({
    definition: api as unknown as Document,
    axiosConfigDefaults: { baseURL: `http://127.0.0.1:${port}`, headers: { [PERSON_HEADER]: server.person } },
  });
  const client = await maker.init();
  const call = client as unknown as Record<
    string,
    (...given: unknown[]) => Promise<{ status: number; data: unknown }>
  >;
  const people = (await call['PeopleController_list']?.())?.data as Person[];
  expect(people.map(({ id }) => id)).toContain(server.person);
  const made = (await call['ReviewsController_create']?.(null, { title: 'Naps' }))?.data as Review;
  const changed = await call['ReviewsController_change']?.(
    { id: made.id, 'If-Match': String(made.version) },
    { title: 'Short naps' },
  );
  expect(changed).toMatchObject({ status: 200, data: { title: 'Short naps' } });
});
