import { useSelector } from 'react-redux';
import { api } from './api/api.js';
import type { store } from './api/store.js';

/** Edits that are shown before they are answered. */
const SHOWN_AT_ONCE = ['changeTerm', 'changeLimit', 'changeOwnLine'];

/** Whether an edit is shown that the server has not answered yet, so that counts are still those from before it. */
export function useEditsUnderWay(): boolean {
  return useSelector((state: ReturnType<typeof store.getState>) =>
    Object.values(state[api.reducerPath].mutations).some(
      (mutation) => mutation?.status === 'pending' && SHOWN_AT_ONCE.includes(mutation.endpointName),
    ),
  );
}
