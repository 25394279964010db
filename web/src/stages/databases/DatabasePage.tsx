import { formatCount, questionTypeOf } from '@even-lantern/core';
import type { DatabaseEvent, DatabaseProfile, Overlap, Rehearsal } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Link, useParams } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { strategyApi } from '../../review/api/strategyApi.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { lanesOfReview } from '../../review/lanes.js';
import { useOverlap } from '../../review/useOverlap.js';
import { useReview } from '../../review/useReview.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { Values } from '../../parts/Values.js';
import { Years } from '../../parts/Years.js';
import { CallBudgetForm } from './CallBudgetFields.js';
import { Description } from './Description.js';
import { Failed } from './Failed.js';
import { ForReview, QUESTIONS } from './ForReview.js';

/** Everything about one database: what it is and holds, and what it is worth for the present question. */
export function DatabasePage() {
  const { database: id = '' } = useParams();
  const { review } = useReview();
  const { data, error } = databaseApi.useDatabasesQuery();
  const database = data?.databases.find((each) => each.id === id);
  const failed = data?.failed.find((each) => each.id === id);
  return (
    <div className="flex max-w-5xl flex-col gap-4 px-5 py-3">
      <div>
        <Link className="link text-sm" to={`/reviews/${review.id}/databases`}>
          Where to search
        </Link>
      </div>
      {error !== undefined && data === undefined && <ProblemNote problem={problemOf(error)} />}
      {failed !== undefined && <Failed database={failed} />}
      {data !== undefined && database === undefined && failed === undefined && (
        <p className="problem">There is no database “{id}” on the list. Somebody may have taken it off.</p>
      )}
      {database !== undefined && <Whole database={database} others={data?.databases ?? []} />}
    </div>
  );
}

interface WholeProps {
  database: DatabaseProfile;
  others: readonly DatabaseProfile[];
}

function Whole({ database, others }: WholeProps) {
  const { review } = useReview();
  const { data: rehearsal } = strategyApi.useRehearsalQuery({ review: review.id, database: database.id });
  const { currentData, isFetching, waiting } = useOverlap();
  const overlap = currentData?.databases[database.id];
  const late = others.filter(({ id }) => id !== database.id && currentData?.databases[id]?.late === true);
  return (
    <>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1fr)_17rem]">
        <Description database={database} overlap={waiting ? undefined : overlap} />
        <ForReview database={database} rehearsal={rehearsal} overlap={overlap} comparing={isFetching} />
      </div>
      <ForQuestion rehearsal={rehearsal} overlap={overlap} late={late} others={others} />
      <CallBudgetForm database={database} />
      {database.reached !== 'hand' && <Holdings database={database} />}
      <Events id={database.id} />
    </>
  );
}

interface ForQuestionProps {
  rehearsal: Rehearsal | undefined;
  overlap: Overlap['databases'][string] | undefined;
  /** those that have not answered yet */
  late: readonly DatabaseProfile[];
  others: readonly DatabaseProfile[];
}

/** What each lane finds there, and how much of what all find together each of the other databases has too. */
function ForQuestion({ rehearsal, overlap, late, others }: ForQuestionProps) {
  const { review } = useReview();
  const lanes = lanesOfReview(review).flatMap((lane) => {
    const count = rehearsal?.lanes[lane.id]?.hits ?? null;
    return count === null ? [] : [{ value: lane.name, count }];
  });
  const { works = null, withEach = {} } = overlap ?? {};
  const shared = Object.entries(withEach)
    .map(([id, count]) => ({ value: others.find((each) => each.id === id)?.name ?? id, count }))
    .sort((a, b) => b.count - a.count);
  if (lanes.length === 0 && shared.length === 0) return null;
  return (
    <section aria-label="For this question" className="rule flex flex-col gap-2 border-t pt-4">
      <h2 className="font-bold">For this question</h2>
      <p className="quiet">It asks {QUESTIONS[questionTypeOf(review.framework)]}.</p>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        <Values
          name="Each lane finds there"
          values={lanes}
          of={Math.max(1, ...lanes.map(({ count }) => count))}
        />
        {works !== null && works > 0 && (
          <div className="flex flex-col gap-1">
            <Values
              name={`Of the ${formatCount(works)} works that the strategy finds, others have too`}
              values={shared}
              of={works}
            />
            {late.length > 0 && (
              <p className="quiet text-sm" role="status">
                Still waiting for {late.map(({ name }) => name).join(', ')}. It is compared when it answers.
              </p>
            )}
          </div>
        )}
      </div>
    </section>
  );
}

/** What people did to it; nothing where nobody did anything. */
function Events({ id }: { id: string }) {
  const { data: events = [] } = databaseApi.useDatabaseEventsQuery(id);
  if (events.length === 0) return null;
  return (
    <section aria-label="What was done to it" className="rule flex flex-col gap-1 border-t pt-4 pb-8">
      <h2 className="font-bold">What was done to it</h2>
      <ul>
        {events.map(({ what, detail, at, person }) => (
          <li key={at}>
            {eventText(what, detail)} by {person}, {format(new Date(at), 'd MMM yyyy HH:mm')}
          </li>
        ))}
      </ul>
    </section>
  );
}

function eventText(what: DatabaseEvent['what'], detail: string): string {
  switch (what) {
    case 'moved':
      return `Moved to the release of ${detail}`;
    case 'added':
      return `Added as ${detail}`;
    case 'changed':
      return 'What is said of it was changed';
    case 'taken away':
      return 'Taken from the list';
    case 'brought back':
      return 'Brought back to the list';
    case 'budget':
      return `How much it may be asked was changed to ${detail},`;
    case 'explored':
      return `FakeRequest at ${detail}`;
  }
}

/** What its records are like, all of them. */
function Holdings({ database }: { database: DatabaseProfile }) {
  const { currentData, error, isFetching } = databaseApi.useOverviewQuery({ database: database.id });
  return (
    <section aria-label="What it holds" className="rule flex flex-col gap-2 border-t pt-4 pb-8">
      <h2 className="font-bold">What it holds</h2>
      {isFetching && <p className="quiet">Asking …</p>}
      {error !== undefined && !isFetching && <p className="quiet">{problemOf(error).title}</p>}
      {currentData !== undefined && (
        <div className="gap-8 md:columns-2 [&>section]:mb-5 [&>section]:break-inside-avoid">
          <Years years={currentData.years} />
          <Values
            name="Kinds of publication and design"
            values={currentData.kinds}
            of={Math.max(currentData.hits, 1)}
          />
          <Values
            name="Most frequent headings"
            values={currentData.headings}
            of={Math.max(currentData.hits, 1)}
          />
        </div>
      )}
    </section>
  );
}
