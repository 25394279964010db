/** Several answers of one endpoint at once, for as many arguments as there happen to be. */
import { useEffect, useMemo } from 'react';
import { shallowEqual, useDispatch, useSelector } from 'react-redux';
import { api } from './api/api.js';
import type { store } from './api/store.js';

type Dispatch = typeof store.dispatch;
type State = ReturnType<typeof store.getState>;

/** The vocabularies of some ids, in their order; undefined for one that has not come yet or does not come. */
export function useEachVocabulary(ids: readonly string[]) {
  const { vocabulary } = api.endpoints;
  const dispatch = useDispatch<Dispatch>();
  const key = JSON.stringify(ids);
  useEffect(() => {
    const subscriptions = (JSON.parse(key) as string[]).map((id) => dispatch(vocabulary.initiate(id)));
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [dispatch, key, vocabulary]);
  const selectors = useMemo(
    () => (JSON.parse(key) as string[]).map((id) => vocabulary.select(id)),
    [key, vocabulary],
  );
  return useSelector((state: State) => selectors.map((select) => select(state).data), shallowEqual);
}

/** The counts of a review in some databases, in their order. */
export function useEachRehearsal(review: string, databases: readonly string[]) {
  const { rehearsal } = api.endpoints;
  const dispatch = useDispatch<Dispatch>();
  const key = JSON.stringify(databases);
  useEffect(() => {
    const subscriptions = (JSON.parse(key) as string[]).map((database) =>
      dispatch(rehearsal.initiate({ review, database })),
    );
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [dispatch, key, review, rehearsal]);
  const selectors = useMemo(
    () => (JSON.parse(key) as string[]).map((database) => rehearsal.select({ review, database })),
    [key, review, rehearsal],
  );
  return useSelector((state: State) => selectors.map((select) => select(state)), shallowEqual);
}

/** What a strategy finds in some databases, in their order. */
export function useEachTotal(review: string, databases: readonly string[]) {
  const { total } = api.endpoints;
  const dispatch = useDispatch<Dispatch>();
  const key = JSON.stringify(databases);
  useEffect(() => {
    const subscriptions = (JSON.parse(key) as string[]).map((database) =>
      dispatch(total.initiate({ review, database })),
    );
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [dispatch, key, review, total]);
  const selectors = useMemo(
    () => (JSON.parse(key) as string[]).map((database) => total.select({ review, database })),
    [key, review, total],
  );
  return useSelector((state: State) => selectors.map((select) => select(state)), shallowEqual);
}
