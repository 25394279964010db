import type { StrategyProblem } from '@even-lantern/core';
import type { DatabaseProfile, Review } from '@even-lantern/contract';
import { TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { useVocabularies } from '../../review/useVocabulary.js';
import { Counterpart } from '../../review/Counterpart.js';

interface ToSettleProps {
  problems: readonly StrategyProblem[];
  review: Review;
  database: DatabaseProfile;
  /** opens a line that was written by hand */
  onMend: (line: string) => void;
}

/** More than this would stand in the way of the strategy, so they wait to be opened. */
const OPEN_AT_MOST = 2;

/** What keeps the strategy from being run, each with the way to settle it: a heading right here. */
export function ToSettle({ problems, review, database, onMend }: ToSettleProps) {
  const target = useVocabularies().find(({ id }) => id === database.vocabulary?.id);
  if (problems.length === 0) return null;
  const terms = review.lanes.flatMap((lane) => lane.terms);
  return (
    <section aria-label="To settle before a run">
      <details open={problems.length <= OPEN_AT_MOST || undefined}>
        <summary className="problem flex cursor-pointer items-center gap-2">
          <TriangleAlert className="h-4 w-4 shrink-0" aria-hidden="true" />
          {problems.length === 1 ? 'One thing' : `${problems.length} things`} to settle before this can be run
        </summary>
        <ul className="flex max-w-3xl flex-col gap-3 py-2 pl-6">
          {problems.map((problem) => {
            const content = terms.find(({ id }) => id === problem.termId)?.content;
            const heading =
              problem.line === undefined && content?.kind === 'heading' && content.vocabulary !== target?.id
                ? content
                : null;
            return (
              <li key={`${problem.line} ${problem.termId} ${problem.laneId} ${problem.message}`}>
                {problem.message} <Way problem={problem} onMend={onMend} />
                {heading !== null && target !== undefined && (
                  <div className="pt-1" role="group" aria-label={`${heading.label} in the ${target.name}`}>
                    <Counterpart vocabulary={heading.vocabulary} label={heading.label} target={target} />
                  </div>
                )}
              </li>
            );
          })}
        </ul>
      </details>
    </section>
  );
}

function Way({
  problem: { line, termId, laneId },
  onMend,
}: {
  problem: StrategyProblem;
  onMend: (line: string) => void;
}) {
  if (line !== undefined) {
    return (
      <button className="link" onClick={() => onMend(line)}>
        mend it
      </button>
    );
  }
  const pathname = termId === null && laneId === null ? '../question' : '../concepts';
  return (
    <Link
      className="link"
      to={{ pathname, search: termId === null ? '' : `?term=${termId}` }}
      relative="path"
    >
      go there
    </Link>
  );
}
