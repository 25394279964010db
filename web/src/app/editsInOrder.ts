import type { BaseQueryFn, FetchArgs, FetchBaseQueryError, FetchBaseQueryMeta } from '@reduxjs/toolkit/query';

type Send = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>;

/** An edit of one thing: on which version it was made, on which it was sent, and which it has left. */
interface Edit {
  seen: string;
  sent: string;
  left: string | null;
  ended: Promise<unknown>;
}

/**
 * A person's edits of one thing go out one after the other. One that is made before the answer to the one before has
 * come stands on what that one leaves: two quick keys are not an edit conflict with oneself. What others did meanwhile
 * still is one, since it leaves another version.
 */
export function editsInOrder(send: Send): Send {
  const latest = new Map<string, Edit>();
  return async (args, api, extra) => {
    const seen =
      typeof args === 'string'
        ? undefined
        : (args.headers as Record<string, string> | undefined)?.['If-Match'];
    if (typeof args === 'string' || seen === undefined) return send(args, api, extra);
    const before = latest.get(args.url);
    const sending = async () => {
      await before?.ended;
      if (before?.left != null && (seen === before.seen || seen === before.sent)) edit.sent = before.left;
      const headers = { ...(args.headers as Record<string, string>), 'If-Match': edit.sent };
      const answer = await send({ ...args, headers }, api, extra);
      const version = (answer.data as { version?: number } | undefined)?.version;
      if (version !== undefined) edit.left = `"${version}"`;
      return answer;
    };
    const edit: Edit = { seen, sent: seen, left: null, ended: Promise.resolve() };
    latest.set(args.url, edit);
    const answer = sending();
    edit.ended = answer.catch(() => undefined);
    return answer;
  };
}
