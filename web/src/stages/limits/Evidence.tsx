import {
  BACKGROUND_DESIGNS,
  formatCount,
  proposedLadder,
  questionTypeOf,
  type LimitValues,
} from '@even-lantern/core';
import type { DatabaseProfile, LimitDraft, LimitValueCounts, Rung } from '@even-lantern/contract';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { designApi } from '../../review/api/designApi.js';
import { limitApi } from '../../review/api/limitApi.js';
import { useDesigns } from '../../review/useDesigns.js';
import { useReview } from '../../review/useReview.js';
import { GuideLink } from '../../parts/GuideLink.js';

interface EvidenceProps {
  databases: readonly DatabaseProfile[];
  tried: LimitDraft[] | undefined;
  /** begins a limit on these designs */
  onLimit: (values: LimitValues) => void;
}

/** What each rung of the ladder holds in each database, before anybody limits to it. */
export function Evidence({ databases, tried, onLimit }: EvidenceProps) {
  const { review } = useReview();
  const designs = useDesigns();
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
  const move = (at: number, by: -1 | 1) => {
    const next = rungs.map((rung) => ({ ...rung }));
    const [rung] = next.splice(at, 1);
    if (rung === undefined) return;
    next.splice(at + by, 0, rung);
    setMoved({ rungs: next, at: at + by });
  };
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
              <tr
                key={rung.designs.join()}
                className={`rule border-b align-top ${moved?.at === at ? 'bg-[var(--live)]' : ''}`}
              >
                <th scope="row" className="p-2 text-left font-normal">
                  <span className={rung.answers ? 'font-bold' : ''}>
                    {rung.designs.map((design, i) => (
                      <span key={design} title={designs?.definitionOf(design)}>
                        {i > 0 && ', '}
                        {design}
                      </span>
                    ))}
                  </span>
                  {rung.reason !== '' && <span className="quiet block text-xs">because {rung.reason}</span>}
                  <label className="flex cursor-pointer items-center gap-1.5 text-xs">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={rung.answers}
                      onChange={() => switchAnswers(at)}
                    />
                    answers the question
                  </label>
                </th>
                {databases.map(({ id }) => (
                  <td key={id} className="p-2 text-right">
                    <OfRung database={id} designs={rung.designs} tried={tried} />
                  </td>
                ))}
                <td className="p-2 whitespace-nowrap">
                  <button
                    className="btn btn-ghost btn-xs btn-square"
                    disabled={at === 0}
                    aria-label={`Move ${rung.designs[0] ?? ''} up the ladder`}
                    onClick={() => move(at, -1)}
                  >
                    <ArrowUp className="h-3.5 w-3.5" aria-hidden="true" />
                  </button>
                  <button
                    className="btn btn-ghost btn-xs btn-square"
                    disabled={at === rungs.length - 1}
                    aria-label={`Move ${rung.designs[0] ?? ''} down the ladder`}
                    onClick={() => move(at, 1)}
                  >
                    <ArrowDown className="h-3.5 w-3.5" aria-hidden="true" />
                  </button>
                </td>
              </tr>
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
      </div>
      {moved !== null && (
        <ReasonOfMove
          onSave={(reason) =>
            void save(moved.rungs.map((rung, at) => (at === moved.at ? { ...rung, reason } : rung)))
          }
          onCancel={() => setMoved(null)}
        />
      )}
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

/** The reason for a change of the ladder, without which it is not kept. */
function ReasonOfMove({ onSave, onCancel }: { onSave: (reason: string) => void; onCancel: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="border-l-accent flex flex-wrap items-center gap-2 border-l-[3px] bg-[var(--live)] px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') onSave(reason.trim());
      }}
    >
      <label className="flex min-w-64 flex-1 items-center gap-2">
        <span className="whitespace-nowrap">Why is the ladder changed?</span>
        <input
          className="input input-sm min-w-0 flex-1"
          autoFocus
          maxLength={1000}
          placeholder="Because …"
          value={reason}
          onChange={({ target }) => setReason(target.value)}
        />
      </label>
      <button className="btn btn-primary btn-sm" disabled={reason.trim() === ''}>
        Keep the change
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={onCancel}>
        Leave it as it was
      </button>
    </form>
  );
}

const MOST = 100;

/** How many records of a rung a database holds; the counts of its designs are asked for once a database. */
function OfRung({
  database,
  designs,
  tried,
}: {
  database: string;
  designs: readonly string[];
  tried: LimitDraft[] | undefined;
}) {
  const { review } = useReview();
  const limitId = review.limits.find(({ kind, on }) => kind === 'design' && on)?.id ?? null;
  const { data } = limitApi.useLimitValuesQuery({
    review: review.id,
    body: {
      database,
      kind: 'design',
      limitId,
      most: MOST,
      ...(tried === undefined ? {} : { limits: tried }),
    },
  });
  if (data === undefined) return <span className="quiet">…</span>;
  return <span className="count">{countsOf(data, designs)}</span>;
}

/** Each design by itself, since a record may be found by the words of two. */
function countsOf({ counted, hits }: LimitValueCounts, designs: readonly string[]): string {
  if (counted === null || hits === null) return '–';
  return designs
    .map((design) => counted.find(({ value }) => value === design)?.count)
    .map((count) => (count === undefined ? '–' : formatCount(count)))
    .join(' · ');
}
