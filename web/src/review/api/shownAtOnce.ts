import { ifMatch } from './api.js';
import { keepAnswer, shown, showUntilAnswered, thingOf, type Thing } from './editsShown.js';
import { reviewApi } from './reviewApi.js';
import type { store } from './store.js';

/** An edit of one thing of a review, made of the version of it that somebody saw. */
export interface Edit<Change> {
  review: string;
  id: string;
  version: number;
  change: Change;
}

/** The request that sends an edit to the things of one kind. */
export const edit =
  (things: string) =>
  <Change>({ id, version, change }: Pick<Edit<Change>, 'id' | 'version' | 'change'>) => ({
    url: `${things}/${id}`,
    method: 'PATCH',
    body: change,
    headers: ifMatch(version),
  });

interface UnderWay<Answer> {
  dispatch: typeof store.dispatch;
  queryFulfilled: PromiseLike<{ data: Answer }>;
}

/**
 * Shows an edit before the server has answered it, so that the next one is made of what one sees. The answer then takes
 * its place, so that the next is made on its version; what was refused is taken back.
 * @param changesOf what a change makes of the thing; null for one that moves it or takes it away
 */
export const shownAtOnce =
  <Change, Answer extends Thing>(changesOf: (change: Change) => object | null) =>
  async (
    { review, id, change }: Edit<Change>,
    { dispatch, queryFulfilled }: UnderWay<Answer>,
  ): Promise<void> => {
    const changed = changesOf(change);
    if (changed === null) return;
    const put = (values: object) =>
      dispatch(
        reviewApi.util.updateQueryData('review', review, (draft) => {
          Object.assign(thingOf(draft, id) ?? {}, values);
        }),
      );
    const patch = put(changed);
    try {
      await showUntilAnswered(id, changed, queryFulfilled);
      // A later edit that is still under way stays in sight.
      const { data } = await queryFulfilled;
      keepAnswer(data);
      put(shown(data));
    } catch {
      patch.undo();
    }
  };
