import type { Mend } from '@even-lantern/core';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { strategyApi } from '../../../review/api/strategyApi.js';
import { lanesOfReview } from '../../../review/lanes.js';
import { useLimitEdits } from '../../../review/useLimitEdits.js';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useReview } from '../../../review/useReview.js';
import { useLaneEdits } from '../../../review/useLaneEdits.js';
import { useTermEdits } from '../../../review/useTermEdits.js';

const GONE = 'This no longer fits: what it would change is gone.';

/** Makes what a mend says, by the same edits as a person does, so that each can be undone. */
export function useMend(): (mend: Mend) => Promise<void> {
  const { review, database } = useReview();
  const terms = useTermEdits();
  const lanes = useLaneEdits();
  const own = useOwnLineEdits();
  const limits = useLimitEdits();
  const [write] = strategyApi.useWriteLineMutation();
  // What is written by hand stands on the sheet already, with its version.
  const { data: translation } = strategyApi.useTranslationQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  return async (mend) => {
    const term = (id: string) => review.lanes.flatMap((lane) => lane.terms).find((each) => each.id === id);
    const line = (id: string) => review.ownLines.find((each) => each.id === id);
    const gone = () => {
      toast.error(GONE, { description: 'Nothing was changed.' });
    };
    switch (mend.kind) {
      case 'addTerm': {
        if (!review.lanes.some(({ id }) => id === mend.laneId)) return gone();
        const failed = await terms.add(mend.laneId, mend.content, 'proposed');
        if (failed !== null) toast.error(failed);
        return;
      }
      case 'changeTerm': {
        const present = term(mend.termId);
        if (present === undefined) return gone();
        const problem = await terms.change(present, mend.content);
        if (problem !== null) toast.error(problem.title, { description: problem.detail });
        return;
      }
      case 'removeTerm': {
        const present = term(mend.termId);
        return present === undefined ? gone() : terms.remove(present);
      }
      case 'moveTerm': {
        const present = term(mend.termId);
        if (present === undefined) return gone();
        await terms.move(present, mend.laneId);
        return;
      }
      case 'keepLane': {
        const lane = lanesOfReview(review).find(({ id }) => id === mend.laneId);
        if (lane === undefined) return gone();
        await lanes.change(lane, { leftOut: false });
        return;
      }
      case 'writeOwn':
      case 'ownRole':
      case 'switchOn': {
        const present = line(mend.ownId);
        if (present === undefined) return gone();
        const change =
          mend.kind === 'writeOwn'
            ? { text: mend.text }
            : mend.kind === 'ownRole'
              ? { role: mend.role }
              : { on: true };
        const problem = await own.change(present, change);
        if (problem?.status === 412) toast.error(problem.title, { description: problem.detail });
        return;
      }
      case 'removeOwn': {
        const present = line(mend.ownId);
        return present === undefined ? gone() : own.remove(present, 'the line');
      }
      case 'writeText': {
        const present = translation?.lines.find(({ key }) => key === mend.line);
        if (database === null || present === undefined || present.written === null) return gone();
        const { version, written } = present;
        const { language } = written;
        const line = { database: database.id, line: mend.line, version, language, text: mend.text };
        const answer = await write({ review: review.id, change: line });
        if (answer.data === undefined) {
          const { title, detail } = problemOf(answer.error);
          toast.error(title, { description: detail });
        }
        return;
      }
      case 'limitWay': {
        const limit = review.limits.find(({ id }) => id === mend.limitId);
        if (limit === undefined || database === null) return gone();
        const ways = { ...limit.ways, [database.id]: mend.way };
        await limits.change(limit, { ways });
      }
    }
  };
}
