import { BACKGROUND_DESIGNS, proposedLadder, questionTypeOf, type LimitValues } from '@even-lantern/core';
import type { DatabaseProfile, LimitDraft, Rung } from '@even-lantern/contract';
import { arrayMove } from '@dnd-kit/sortable';
import { Fragment, useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { designApi } from '../../../review/api/designApi.js';
import { useReview } from '../../../review/useReview.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { ReasonOfMove } from './ReasonOfMove.js';
import { OfRung } from './OfRung.js';
import { rungId, RungRow } from './RungRow.js';
import { SortableList } from '../../../parts/Sortable.js';

interface EvidenceProps {
  databases: readonly DatabaseProfile[];
  tried: LimitDraft[] | undefined;
  /** begins a limit on these designs */
  onLimit: (values: LimitValues) => void;
}

/** What each rung of the ladder holds in each database, before anybody limits to it. */
export function Evidence({ databases, tried, onLimit }: EvidenceProps) {
  const { review } = useReview();
  const [change] = designApi.useChangeLadderMutation();
  const [moved, setMoved] = useState<{ rungs: Rung[]; at: number } | null>(null);
  const proposed = proposedLadder(questionTypeOf(review.framework)).map((rung): Rung => ({
    designs: [...rung.designs],
    answers: rung.answers,
    reason: '',
  }));
  const rungs = moved?.rungs ?? review.ladder ?? proposed;

  const save = async (next: Rung[] | null) => {
    const result = await change({ review: review.id, version: review.version, rungs: next });
    if (result.error !== undefined) {
      toast.error(problemOf(result.error).title);
      return;
    }
    setMoved(null);
  };
  const move = (from: number, to: number) => setMoved({ rungs: arrayMove(rungs, from, to), at: to });
  const switchAnswers = (at: number) => {
    setMoved({ rungs: rungs.map((rung, i) => (i === at ? { ...rung, answers: !rung.answers } : rung)), at });
  };

  return (
    <div className="flex flex-col gap-2">
      <p className="quiet max-w-[50rem] text-sm">
        What the strategy holds of each design, within all other limits. If you see that there are reviews or
        trials, you need not guess before you limit to them.{' '}
        <GuideLink to="limits#evidence-at-hand" label="Why: the ladder of evidence, in the guide">
          why
        </GuideLink>
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Evidence at hand, scrolls">
        <SortableList
          ids={rungs.map(rungId)}
          onMove={(id, before) => {
            const [from, to] = [id, before].map((each) => rungs.findIndex((rung) => rungId(rung) === each));
            if (from === undefined || to === undefined) return;
            // Before one that stands below it, a rung takes the place above that one.
            const place = to === -1 ? rungs.length - 1 : to > from ? to - 1 : to;
            move(from, place);
          }}
        >
          <table className="w-full border-collapse">
            <thead>
              <tr className="rule border-b text-left align-bottom">
                <th scope="col" className="min-w-72 p-2">
                  Ladder of this review
                </th>
                {databases.map(({ id, name }) => (
                  <th key={id} scope="col" className="min-w-24 p-2 text-right" title={name}>
                    {name.split(' ')[0]}
                  </th>
                ))}
                <th scope="col" className="w-28 p-2">
                  <span className="sr-only">Do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rungs.map((rung, at) => (
                <Fragment key={rungId(rung)}>
                  <RungRow
                    rung={rung}
                    databases={databases}
                    tried={tried}
                    moved={moved?.at === at}
                    canMove={{ up: at > 0, down: at < rungs.length - 1 }}
                    onAnswers={() => switchAnswers(at)}
                    onMove={(by) => move(at, at + by)}
                  />
                  {moved?.at === at && (
                    <tr>
                      <td colSpan={databases.length + 2}>
                        <ReasonOfMove
                          onSave={(reason) =>
                            void save(rungs.map((each, i) => (i === at ? { ...each, reason } : each)))
                          }
                          onCancel={() => setMoved(null)}
                        />
                      </td>
                    </tr>
                  )}
                </Fragment>
              ))}
              <tr className="rule border-b align-top">
                <th scope="row" className="quiet p-2 text-left font-normal">
                  {BACKGROUND_DESIGNS.join(', ')}
                  <span className="block text-xs">to read for background; never counted as evidence</span>
                </th>
                {databases.map(({ id }) => (
                  <td key={id} className="quiet p-2 text-right">
                    <OfRung database={id} designs={BACKGROUND_DESIGNS} tried={tried} />
                  </td>
                ))}
                <td />
              </tr>
            </tbody>
          </table>
        </SortableList>
      </div>
      <div className="flex flex-wrap gap-2">
        <button
          className="btn btn-sm btn-quiet"
          onClick={() =>
            onLimit({
              kind: 'values',
              values: rungs.filter(({ answers }) => answers).flatMap((rung) => rung.designs),
            })
          }
        >
          Try a limit to what answers the question
        </button>
        {review.ladder !== null && (
          <button className="btn btn-sm btn-ghost" onClick={() => void save(null)}>
            Back to the proposed ladder
          </button>
        )}
      </div>
    </div>
  );
}
