/** What stand-ins are told to do: go on to their next release, or have some trouble. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseXml, textAt, type XmlElement } from '@even-lantern/core';
import type { Express } from 'express';
import request from 'supertest';
import { openDatabases, standInApplication } from './application.js';
import { asText, diagnostic, hits, recordsOf } from './testing/answers.js';

const contentFolder = join(__dirname, '..', 'content');

describe('releases', () => {
  const folder = mkdtempSync(join(tmpdir(), 'stand-ins-'));
  const opened = () => standInApplication(openDatabases({ contentFolder, dataFolder: folder, size: 600 }));
  const search = async (to: Express, parameters: Record<string, string>) => {
    const response = await request(to)
      .get('/sru/mindry')
      .query({ maximumRecords: '0', ...parameters })
      .buffer()
      .parse(asText);
    const xml = parseXml(response.body as string);
    if (!xml.ok) throw new Error(xml.message);
    return xml.root;
  };
  const release = (root: XmlElement) => textAt(root, 'extraResponseData', 'profile', 'release');
  const all = { query: 'cql.allRecords = 1' };
  const advance = (to: Express) => request(to).post('/control/mindry/advance').send({});

  test('a database goes on to its next release, remembers it, and answers for earlier ones', async () => {
    const before = opened();
    const first = hits(await search(before, all));
    expect(hits(await search(before, { ...all, release: '2026-02-20' }))).toBeLessThan(first);
    expect(diagnostic(await search(before, { ...all, release: '2026-12-01' }))).toMatch(/\/6$/);
    const old = 'el.heading == "Nocturnal work"';
    const underOldName = hits(await search(before, { query: old }));
    expect(underOldName).toBeGreaterThan(0);

    expect((await advance(before)).body).toEqual({ release: '2026-12-01' });
    expect((await advance(before)).status).toBe(409);
    for (const application of [before, opened()]) {
      const now = await search(application, all);
      expect(release(now)).toBe('2026-12-01');
      expect(hits(now)).toBeGreaterThan(first);
      expect(hits(await search(application, { ...all, release: '2026-08-20' }))).toBe(first);
      expect(diagnostic(await search(application, { query: old }))).toMatch(/\/36$/);
      expect(hits(await search(application, { query: old, release: '2026-08-20' }))).toBe(underOldName);
      const renamed = hits(await search(application, { query: 'el.heading == "Night-time employment"' }));
      // Some records may have been withdrawn meanwhile.
      expect(renamed).toBeGreaterThan(0.95 * underOldName);
    }
  });

  test('nothing but JSON advances a database, so that no page of another origin can', async () => {
    const application = opened();
    const form = await request(application).post('/control/wardline/advance').type('form').send('a=b');
    expect(form.status).toBe(415);
  });
});

describe('troubles that a database can be told to have', () => {
  let application: Express;
  beforeAll(() => {
    const dataFolder = mkdtempSync(join(tmpdir(), 'stand-ins-'));
    application = standInApplication(openDatabases({ contentFolder, dataFolder, size: 600 }));
  });
  const tell = (kind: string, more: object = {}) =>
    request(application)
      .post('/control/wardline/trouble')
      .send({ kind, ...more });
  const get = (parameters: Record<string, string> = {}) =>
    request(application)
      .get('/sru/wardline')
      .query({ query: 'sleep*', ...parameters })
      .buffer()
      .parse(asText);
  afterEach(() => tell('none'));

  test.each([
    ['refusing', 403],
    ['too many requests', 429],
    ['unavailable', 503],
  ])('%s', async (kind, status) => {
    await tell(kind, { times: 1 });
    expect((await get()).status).toBe(status);
    expect((await get()).status).toBe(200);
  });

  test('cut off', async () => {
    await tell('cut off');
    await expect(get()).rejects.toThrow();
  });

  test('broken XML', async () => {
    await tell('broken XML');
    expect(parseXml((await get()).body as string).ok).toBe(false);
  });

  test('wrong counts', async () => {
    const total = async (startRecord: string) => {
      const xml = parseXml((await get({ startRecord })).body as string);
      return xml.ok ? hits(xml.root) : NaN;
    };
    const told = await total('1');
    expect(await total('11')).toBe(told);
    await tell('wrong counts');
    expect(await total('11')).toBe(told - 1);
  });

  test('small pages', async () => {
    await tell('small pages');
    const xml = parseXml((await get({ maximumRecords: '50' })).body as string);
    expect(xml.ok && recordsOf(xml.root).length).toBe(7);
  });

  test('slow', async () => {
    await tell('slow', { delay: 300 });
    const started = performance.now();
    await get();
    expect(performance.now() - started).toBeGreaterThan(290);
  });
});
