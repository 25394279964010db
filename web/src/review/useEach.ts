/** Several answers of one endpoint at once, for as many arguments as there happen to be. */
import type { LimitDraft, MendsRequest } from '@even-lantern/contract';
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { useEffect, useMemo } from 'react';
import { shallowEqual, useDispatch, useSelector } from 'react-redux';
import { vocabularyApi } from './api/vocabularyApi.js';
import { strategyApi } from './api/strategyApi.js';
import { databaseApi } from './api/databaseApi.js';
import { checkApi } from './api/checkApi.js';
import { limitApi } from './api/limitApi.js';
import type { store } from './api/store.js';

type State = ReturnType<typeof store.getState>;

/** A query of the API. */
interface Query<Argument, Answer> {
  initiate(argument: Argument): ThunkAction<{ unsubscribe(): void }, State, unknown, UnknownAction>;
  select(argument: Argument): (state: State) => Answer;
}

/**
 * Asks a query once for each argument, and again when one of them changes.
 * @returns the answers in the order of the arguments
 */
function useEach<Argument, Answer>(
  { initiate, select }: Query<Argument, Answer>,
  given: readonly Argument[],
): Answer[] {
  const dispatch = useDispatch<typeof store.dispatch>();
  const key = JSON.stringify(given);
  // Equal arguments stay the same object, whoever makes them anew on each render.
  const args = useMemo(() => JSON.parse(key) as Argument[], [key]);
  useEffect(() => {
    const subscriptions = args.map((each) => dispatch(initiate(each)));
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [args, dispatch, initiate]);
  const selectors = useMemo(() => args.map((each) => select(each)), [args, select]);
  return useSelector((state: State) => selectors.map((answer) => answer(state)), shallowEqual);
}

/** The vocabularies of some ids; undefined for one that has not come yet or does not come. */
export function useEachVocabulary(ids: readonly string[]) {
  const answers = useEach(vocabularyApi.endpoints.vocabulary, ids);
  return useMemo(() => answers.map(({ data }) => data), [answers]);
}

/** The counts of a review in some databases. */
export function useEachRehearsal(review: string, databases: readonly string[]) {
  return useEach(
    strategyApi.endpoints.rehearsal,
    databases.map((database) => ({ review, database })),
  );
}

/** What a strategy finds in some databases. */
export function useEachTotal(review: string, databases: readonly string[]) {
  return useEach(
    strategyApi.endpoints.total,
    databases.map((database) => ({ review, database })),
  );
}

/** What the index of a database has that begins with some letters, for each of them. */
export function useEachWords(database: string, beginnings: readonly string[]) {
  return useEach(
    databaseApi.endpoints.words,
    beginnings.map((begins) => ({ database, begins })),
  );
}

/** The profiles of a review in some databases; of limits that are tried, where there are any. */
export function useEachProfile(
  review: string,
  databases: readonly string[],
  limits: LimitDraft[] | undefined,
) {
  return useEach(
    limitApi.endpoints.profile,
    databases.map((database) => ({
      review,
      body: { database, ...(limits === undefined ? {} : { limits }) },
    })),
  );
}

/** What each of several requests for the effects of mends has been answered; undefined while it is to come. */
export function useEachMends(review: string, requests: readonly MendsRequest[]) {
  const answers = useEach(
    checkApi.endpoints.mends,
    requests.map((body) => ({ review, body })),
  );
  return useMemo(() => answers.map(({ data }) => data), [answers]);
}
