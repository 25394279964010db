/** What an address needs is asked for while the page is still being put together. */
import { strategyApi } from '../review/api/strategyApi.js';
import { reviewApi } from '../review/api/reviewApi.js';
import { peopleApi } from '../review/api/peopleApi.js';
import { databaseApi } from '../review/api/databaseApi.js';
import { fetchStage } from './stages.js';
import type { store as theStore } from '../review/api/store.js';
import { chosenDatabase } from '../review/useDatabaseChoice.js';

export async function prefetch({ dispatch }: typeof theStore, { pathname, search }: Location): Promise<void> {
  dispatch(peopleApi.util.prefetch('people', undefined, {}));
  const [, review, stage = ''] = /^\/reviews\/([^/]+)(?:\/([^/]+))?/.exec(pathname) ?? [];
  if (review === undefined) return;
  fetchStage(stage);
  dispatch(reviewApi.util.prefetch('review', review, {}));
  const query = dispatch(databaseApi.endpoints.databases.initiate());
  const { data } = await query;
  query.unsubscribe();
  const database = chosenDatabase(data ?? { databases: [], order: [] }, new URLSearchParams(search));
  if (database !== null) {
    dispatch(strategyApi.util.prefetch('rehearsal', { review, database: database.id }, {}));
  }
}
