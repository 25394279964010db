/** What an address needs is asked for while the page is still being put together. */
import { api } from '../review/api/api.js';
import { fetchStage } from './stages.js';
import type { store as theStore } from '../review/api/store.js';
import { chosenDatabase } from '../review/useDatabaseChoice.js';

export async function prefetch({ dispatch }: typeof theStore, { pathname, search }: Location): Promise<void> {
  dispatch(api.util.prefetch('people', undefined, {}));
  const [, review, stage = ''] = /^\/reviews\/([^/]+)(?:\/([^/]+))?/.exec(pathname) ?? [];
  if (review === undefined) return;
  fetchStage(stage);
  dispatch(api.util.prefetch('review', review, {}));
  const asked = dispatch(api.endpoints.databases.initiate());
  const { data } = await asked;
  asked.unsubscribe();
  const database = chosenDatabase(data ?? { databases: [], order: [] }, new URLSearchParams(search));
  if (database !== null) {
    dispatch(api.util.prefetch('rehearsal', { review, database: database.id }, {}));
  }
}
