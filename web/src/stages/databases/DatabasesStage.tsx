import type { DatabaseProfile } from '@even-lantern/contract';
import { questionTypeOf, type Advice } from '@even-lantern/core';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useEachRehearsal } from '../../review/useEach.js';
import { useOverlap } from '../../review/useOverlap.js';
import { useReview } from '../../review/useReview.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { Description } from './Description.js';
import { Failed } from './Failed.js';
import { ForReview, QUESTIONS, recommendationFor } from './ForReview.js';

/** Where to search: what each database is, what the strategy finds there, and whether it is searched. */
export function DatabasesStage() {
  const { review } = useReview();
  const { data, error } = databaseApi.useDatabasesQuery();
  const databases = data?.databases ?? [];
  const overlap = useOverlap();
  const rehearsals = useEachRehearsal(
    review.id,
    databases.map(({ id }) => id),
  );
  const type = questionTypeOf(review.framework);
  const degree = ({ about }: DatabaseProfile) => about?.suits[type]?.degree ?? 0;
  const rows = databases
    .map((database, i) => ({
      database,
      rehearsal: rehearsals[i]?.data,
      overlap: overlap.currentData?.databases[database.id],
    }))
    .sort((a, b) => degree(b.database) - degree(a.database));
  const advised = (advice: Advice) =>
    rows.flatMap(({ database, overlap: found }) =>
      recommendationFor(database, type, overlap.waiting ? undefined : found).advice === advice
        ? [database.name]
        : [],
    );
  return (
    <div className="flex max-w-5xl flex-col gap-4 px-5 py-3">
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-[1.0625rem] font-bold">Where to search</h1>
          <Link className="btn btn-sm btn-quiet" to="add">
            <Plus className="h-4 w-4" aria-hidden="true" /> Add a database
          </Link>
        </div>
        <p className="quiet">
          The question asks {QUESTIONS[type]}.{' '}
          <Named names={advised('begin')} before="Begin with" after="." />
          <Named names={advised('add')} before="Add" after=" for what only they have." />
          Choose below, and write down why you leave one out.
        </p>
      </div>
      {error !== undefined && data === undefined && <ProblemNote problem={problemOf(error)} />}
      {data?.failed.map((each) => (
        <Failed key={each.id} database={each} />
      ))}
      <ul className="rule divide-y divide-[var(--rule)] border-y">
        {rows.map(({ database, rehearsal, overlap: found }) => (
          <li key={database.id} className="grid gap-x-8 gap-y-2 py-4 md:grid-cols-[minmax(0,1fr)_17rem]">
            <Description database={database} overlap={overlap.waiting ? undefined : found} linked />
            <ForReview
              database={database}
              rehearsal={rehearsal}
              overlap={found}
              comparing={overlap.isFetching}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

function Named({ names, before, after }: { names: string[]; before: string; after: string }) {
  if (names.length === 0) return null;
  return (
    <>
      {before} <b className="text-base-content">{new Intl.ListFormat('en-GB').format(names)}</b>
      {after}{' '}
    </>
  );
}
