import type { LimitDraft } from '@even-lantern/contract';
import { useEffect, useMemo } from 'react';
import { shallowEqual, useDispatch, useSelector } from 'react-redux';
import { limitApi } from './api/limitApi.js';
import type { store } from './api/store.js';

type Dispatch = typeof store.dispatch;
type State = ReturnType<typeof store.getState>;

/** The profiles of a review in some databases, in their order; of limits that are tried, where there are any. */
export function useEachProfile(
  review: string,
  databases: readonly string[],
  limits: LimitDraft[] | undefined,
) {
  const { profile } = limitApi.endpoints;
  const dispatch = useDispatch<Dispatch>();
  const key = JSON.stringify({ databases, limits });
  const asked = useMemo(() => {
    const told = JSON.parse(key) as { databases: string[]; limits?: LimitDraft[] };
    const tried = told.limits === undefined ? {} : { limits: told.limits };
    return told.databases.map((database) => ({ review, body: { database, ...tried } }));
  }, [key, review]);
  useEffect(() => {
    const subscriptions = asked.map((each) => dispatch(profile.initiate(each)));
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [asked, dispatch, profile]);
  const selectors = useMemo(() => asked.map((each) => profile.select(each)), [asked, profile]);
  return useSelector((state: State) => selectors.map((select) => select(state)), shallowEqual);
}
