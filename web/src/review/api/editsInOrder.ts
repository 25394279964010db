import type { BaseQueryFn, FetchArgs, FetchBaseQueryError, FetchBaseQueryMeta } from '@reduxjs/toolkit/query';

type Send = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>;

/** The edits of one thing so far. */
interface Edits {
  /** the versions that they were made on and sent on */
  known: Set<string>;
  /** the version that the last has left; null where somebody else was quicker */
  left: string | null;
  /** when the last has been answered */
  ended: Promise<unknown>;
}

/** The version of a thing in an answer, which is the thing itself or holds it in a list, as a review holds its lanes. */
function versionIn(data: unknown, id: string | undefined): number | undefined {
  if (typeof data !== 'object' || data === null) return undefined;
  const lists = [data, ...Object.values(data)].filter((value): value is unknown[] => Array.isArray(value));
  const thing = [data, ...lists.flat()].find((each) => (each as { id?: unknown } | null)?.id === id);
  return (thing as { version?: number } | undefined)?.version;
}

/**
 * A person's edits of one thing go out one after the other. One that is made before the page has what the one before has
 * left stands on that: two quick keys are not an edit conflict with oneself. What others did meanwhile still is one, since
 * it leaves another version.
 */
export function editsInOrder(send: Send): Send {
  const things = new Map<string, Edits>();
  return async (args, api, extra) => {
    const seen =
      typeof args === 'string'
        ? undefined
        : (args.headers as Record<string, string> | undefined)?.['If-Match'];
    if (typeof args === 'string' || seen === undefined) return send(args, api, extra);
    const edits = things.get(args.url) ?? { known: new Set(), left: null, ended: Promise.resolve() };
    things.set(args.url, edits);
    const before = edits.ended;
    const sending = async () => {
      await before;
      const sent = edits.left !== null && edits.known.has(seen) ? edits.left : seen;
      edits.known.add(seen).add(sent);
      const headers = { ...(args.headers as Record<string, string>), 'If-Match': sent };
      const answer = await send({ ...args, headers }, api, extra);
      const version = versionIn(answer.data, args.url.split('/').at(-1));
      if (version !== undefined) edits.left = `"${version}"`;
      else if (answer.error?.status === 412) edits.left = null;
      return answer;
    };
    const answer = sending();
    edits.ended = answer.catch(() => undefined);
    return answer;
  };
}
