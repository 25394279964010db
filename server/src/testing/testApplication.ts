import { copyFileSync, existsSync, mkdtempSync, renameSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { PERSON_HEADER, type Review } from '@even-lantern/contract';
import request from 'supertest';
import { createApplication } from '../application/application.js';
import type { Settings } from '../configuration/configuration.js';
import { openStore } from '../store/store.js';
import type { DatabaseConnector } from '../connectors/databaseConnector.js';

export interface TestApplication {
  application: NestExpressApplication;
  storePath: string;
  person: string;
  get(path: string): request.Test;
  post(path: string, body: object): request.Test;
  put(path: string, body: object, version?: number): request.Test;
  patch(path: string, body: object, version?: number): request.Test;
  /** a review with one lane that searches the word “light” */
  reviewWithLane(): Promise<Review>;
}

/** A new store. Its tables are made once in a run of tests, since that takes longer than many a test. */
async function emptyStore(): Promise<string> {
  const made = join(tmpdir(), 'even-lantern-empty.sqlite');
  const path = join(mkdtempSync(join(tmpdir(), 'server-')), 'even-lantern.sqlite');
  if (!existsSync(made)) {
    await (await openStore(path)).close();
    // Whole or not at all, since others may look for it at this moment.
    copyFileSync(path, `${made}.${process.pid}`);
    renameSync(`${made}.${process.pid}`, made);
  } else {
    copyFileSync(made, path);
  }
  return path;
}

/** The server on a real SQLite file, with one person. */
export async function testApplication(
  connectors: Record<string, DatabaseConnector>,
  storePath: string | null = null,
  options: Pick<Settings, 'privateAddresses' | 'watchTimes'> = {},
): Promise<TestApplication> {
  const path = storePath ?? (await emptyStore());
  const application = await createApplication({
    storePath: path,
    connectors: new Map(Object.entries(connectors)),
    programs: join(__dirname, '..', '..', 'dist'),
    webFolder: null,
    quiet: true,
    ...options,
  });
  await application.init();
  const http = () => request(application.getHttpServer());
  const host = 'localhost';
  const added = await http().post('/api/people').set('Host', host).send({ name: 'Ada' });
  const person = (added.body as { id: string }).id;
  const post = (path: string, body: object) =>
    http().post(path).set('Host', host).set(PERSON_HEADER, person).send(body);
  return {
    application,
    storePath: path,
    person,
    post,
    put: (path, body, version) => {
      const put = http().put(path).set('Host', host).set(PERSON_HEADER, person);
      return (version === undefined ? put : put.set('If-Match', `"${version}"`)).send(body);
    },
    get: (path) => http().get(path).set('Host', host),
    patch: (path, body, version) => {
      const patch = http().patch(path).set('Host', host).set(PERSON_HEADER, person);
      return (version === undefined ? patch : patch.set('If-Match', `"${version}"`)).send(body);
    },
    async reviewWithLane() {
      const review = (await post('/api/reviews', { title: 'Light' })).body as Review;
      for (const element of review.elements.filter(({ searched, key }) => searched && key !== 'P')) {
        await post(`/api/reviews/${review.id}/terms`, {
          laneId: review.lanes.find(({ elementId }) => elementId === element.id)?.id,
          origin: 'typed',
          content: { kind: 'words', text: 'light', field: 'words', near: null },
        });
      }
      const population = review.elements.find(({ key }) => key === 'P');
      await http()
        .patch(`/api/elements/${population?.id}`)
        .set({ Host: host, [PERSON_HEADER]: person, 'If-Match': '"1"' })
        .send({ searched: false });
      return (await http().get(`/api/reviews/${review.id}`).set('Host', host)).body as Review;
    },
  };
}
