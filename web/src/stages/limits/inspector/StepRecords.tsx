import { counted, formatCount } from '@even-lantern/core';
import type { DatabaseProfile, LimitDraft, LimitStep, StepPart } from '@even-lantern/contract';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { problemOf } from '../../../review/api/api.js';
import { limitApi } from '../../../review/api/limitApi.js';
import { useReview } from '../../../review/useReview.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { Radio } from '../../../parts/Radio.js';

const SHOWN_KEPT = 5;

/** What a limit loses, in numbers and as records to read. */
export function StepRecords({
  step,
  database,
  tried,
  lacking,
}: {
  step: LimitStep;
  database: DatabaseProfile;
  tried: LimitDraft[] | undefined;
  /** what records lack that merely lack the data */
  lacking: string;
}) {
  const { review } = useReview();
  const [part, setPart] = useState<StepPart>('lost');
  const parts: { id: StepPart; name: string; count: number | null }[] = [
    { id: 'lost', name: 'lost here', count: step.lost },
    ...(step.lacking === null
      ? []
      : [{ id: 'lacking' as const, name: `of those, ${lacking}`, count: step.lacking }]),
    { id: 'only', name: 'lost only through this limit', count: step.only },
    ...(step.compared === null
      ? []
      : [
          {
            id: 'ownOnly' as const,
            name: 'found by the own limit, not by words',
            count: step.compared.ownOnly,
          },
          {
            id: 'wordsOnly' as const,
            name: 'found by words, not by the own limit',
            count: step.compared.wordsOnly,
          },
        ]),
    ...(step.against === null
      ? []
      : [
          {
            id: 'gained' as const,
            name: 'found by your words, not by the filter',
            count: step.against.gained,
          },
          {
            id: 'missed' as const,
            name: 'found by the filter, not by your words',
            count: step.against.missed,
          },
        ]),
    { id: 'remains', name: 'left after it', count: step.remains.hits },
  ];
  const { currentData, error } = limitApi.useStepSampleQuery({
    review: review.id,
    body: {
      database: database.id,
      limitId: step.limitId,
      part,
      ...(tried === undefined ? {} : { limits: tried }),
    },
  });
  return (
    <section className="flex flex-col gap-2">
      <fieldset>
        <legend className="small-head">Read some of what is</legend>
        {parts.map(({ id, name, count }) => (
          <Radio
            key={id}
            name="limit-part"
            className="rule items-center border-b py-1 text-sm"
            checked={part === id}
            onChoose={() => setPart(id)}
          >
            <span className="min-w-0 flex-1">{name}</span>
            <span className="count">{count === null ? '–' : formatCount(count)}</span>
          </Radio>
        ))}
      </fieldset>
      {step.kept !== null && step.kept.length > 0 && (
        <div className="problem text-sm">
          <p className="flex items-center gap-1 font-bold">
            <TriangleAlert className="h-3.5 w-3.5" aria-hidden="true" />
            {counted(step.kept.length, 'record')} that you kept {step.kept.length === 1 ? 'is' : 'are'} lost
            here
          </p>
          <ul>
            {step.kept.slice(0, SHOWN_KEPT).map(({ id, title, year }) => (
              <li key={id} className="pt-1">
                <Link className="link font-serif" to={`../records?record=${id}`} relative="path">
                  {title}
                </Link>{' '}
                <span className="text-xs">{year}</span>
              </li>
            ))}
            {step.kept.length > SHOWN_KEPT && (
              <li className="text-xs">and {step.kept.length - SHOWN_KEPT} more</li>
            )}
          </ul>
        </div>
      )}
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {currentData === undefined && error === undefined && <p className="quiet">Fetching a sample …</p>}
      {currentData?.error != null && <p className="problem text-sm">{currentData.error}</p>}
      {currentData?.error === null && currentData.records.length === 0 && <p className="quiet">None.</p>}
      <ol className="flex flex-col gap-2">
        {currentData?.records.map((record) => (
          <li key={record.accession} className="rule border-b pb-2">
            <p className="font-serif leading-snug">{record.title}</p>
            <p className="quiet text-xs">
              {[
                record.year === 0 ? 'no year' : record.year,
                record.language,
                ...record.publicationTypes.slice(0, 2),
              ].join(' · ')}
              {currentData.decisions[record.accession] === 'keep' && <b className="problem"> · kept</b>}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}
