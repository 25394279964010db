/** What the list of databases and the page of each have in common. */
import {
  counted,
  dialectFrom,
  questionTypeOf,
  recommend,
  type Advice,
  type Dialect,
  type QuestionType,
  type Recommendation,
} from '@even-lantern/core';
import type {
  DatabaseChoice,
  DatabaseList,
  DatabaseProfile,
  Overlap,
  Rehearsal,
} from '@even-lantern/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useReview } from '../../review/useReview.js';
import { useUndo } from '../../review/undo.js';
import { DatabaseStateNote } from '../../parts/DatabaseStateNote.js';
import { Count } from '../../parts/Count.js';
import { releaseText } from '../../parts/release.js';

export const QUESTIONS: Readonly<Record<QuestionType, string>> = {
  intervention: 'what an intervention does',
  exposure: 'what an exposure does',
  experience: 'how people live through something',
};

const ADVICE: Readonly<Record<Advice, string>> = {
  begin: 'Recommended',
  add: 'Worth adding',
  consider: 'Worth considering',
  'little use': 'Of little use here',
};

type FoundInAll = Overlap['databases'][string];

/** Whether to search a database for a question of this type, as far as is known by now. */
export function recommendationFor(
  { about }: DatabaseProfile,
  type: QuestionType,
  overlap: FoundInAll | undefined,
): Recommendation {
  const { works = null, elsewhere = null } = overlap ?? {};
  const found = works === null || elsewhere === null ? null : { works, onlyHere: works - elsewhere };
  return recommend(about?.suits[type] ?? null, found);
}

interface DescriptionProps {
  database: DatabaseProfile;
  overlap: FoundInAll | undefined;
  /** in a list, where its name leads to its page */
  linked?: boolean;
}

/** What a database is, and how well it suits the question of the review. */
export function Description({ database, overlap, linked = false }: DescriptionProps) {
  const { review } = useReview();
  const Heading = linked ? 'h2' : 'h1';
  const { about, vocabulary, records, limits, simulated, reached, description } = database;
  const dialect = database.dialect === null ? undefined : dialectFrom(database.dialect);
  const { advice, reasons } = recommendationFor(database, questionTypeOf(review.framework), overlap);
  const facts: [string, string][] = [
    ...(about === null
      ? []
      : ([
          ['Covers', about.covers],
          ['Good for', about.goodFor],
          ['Weak for', about.weakFor],
          ['Years', about.firstYear === null ? '' : `${about.firstYear} to ${about.lastYear}`],
        ] as [string, string][])),
    ...(about === null ? ([['Holds', description]] as [string, string][]) : []),
    ['Vocabulary', vocabulary?.name ?? 'none'],
    ['Operators', `without parentheses, ${dialect?.precedence ?? 'they are read from left to right'}`],
    ['Strings', dialect === undefined ? 'CQL' : `${dialect.form}; ${abilitiesOf(dialect)}`],
    [
      'Limits',
      [...(dialect?.abilities.years === false ? [] : ['year']), ...Object.keys(limits).map(spacedName)].join(
        ', ',
      ),
    ],
  ];
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <Heading className={`flex flex-wrap items-baseline gap-x-3 font-bold ${linked ? '' : 'text-[17px]'}`}>
        {linked ? (
          <Link className="link" to={`/reviews/${review.id}/databases/${database.id}`}>
            {database.name}
          </Link>
        ) : (
          database.name
        )}
        <span className="quiet text-sm font-normal">
          {records !== null && counted(records, 'record')}
          {simulated && ', simulated'}
          {reached === 'address' && 'added by its address'}
          {reached === 'hand' && 'asked by hand'}
        </span>
      </Heading>
      <DatabaseStateNote database={database} />
      {reasons.length > 0 && (
        <p>
          <b>{ADVICE[advice]}</b>: {reasons.map((reason) => `${reason}.`).join(' ')}
        </p>
      )}
      <dl className="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 gap-y-0.5 text-sm">
        {facts
          .filter(([, text]) => text !== '')
          .map(([name, text]) => (
            <div key={name} className="contents">
              <dt className="quiet">{name}</dt>
              <dd>{text}</dd>
            </div>
          ))}
      </dl>
    </div>
  );
}

/** What its strings cannot say, in a few words. */
function abilitiesOf({ abilities: { headings, near, oneLetter, inPhrase, lines } }: Dialect): string {
  const missing = [
    ...(near === null ? ['near'] : near.ordered ? [] : ['near in order']),
    ...(oneLetter ? [] : ['? for one letter']),
    ...(inPhrase.anyEnding ? [] : ['endings within a phrase']),
    ...(headings === null
      ? ['headings']
      : [
          ...(headings.narrower ? [] : ['headings with all below']),
          ...(headings.central ? [] : ['central headings']),
          ...(headings.subheadings ? [] : ['subheadings']),
        ]),
    ...(lines ? [] : ['references to lines']),
  ];
  return missing.length === 0 ? 'nothing is missing' : `without ${missing.join(', ')}`;
}

/** `careSetting` as `care setting`. */
function spacedName(field: string): string {
  return field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

interface ForReviewProps {
  database: DatabaseProfile;
  rehearsal: Rehearsal | undefined;
  overlap: FoundInAll | undefined;
  comparing: boolean;
}

/** What the strategy of the review finds in a database, and whether it is searched. */
export function ForReview({ database, rehearsal, overlap, comparing }: ForReviewProps) {
  const { review } = useReview();
  const { data: choices = [] } = databaseApi.useDatabaseChoicesQuery(review.id);
  const choice = choices.find((each) => each.database === database.id);
  const hits = rehearsal?.whole.hits ?? null;
  const unsettled = new Set(rehearsal?.problems.flatMap(({ termId }) => termId ?? [])).size;
  const nothing = rehearsal?.lines.length === 0 && unsettled === 0;
  return (
    <div className="flex flex-col gap-2">
      <p className="flex items-baseline justify-between gap-3">
        <span className="quiet">{nothing ? 'There is nothing to search yet.' : 'The strategy finds'}</span>
        {!nothing && (
          <span className="text-lg font-bold">
            <Count hits={hits} error={rehearsal?.whole.error ?? null} />
          </span>
        )}
      </p>
      <NotCompared overlap={overlap} asking={comparing} found={hits} />
      {database.reached === 'hand' && rehearsal !== undefined && hits === null && (
        <p className="text-sm">
          <Link className="link" to={`/reviews/${review.id}/searches?database=${database.id}`}>
            Enter what it finds
          </Link>
        </p>
      )}
      {unsettled > 0 && (
        <p className="quiet text-sm">
          without {counted(unsettled, 'term that is', 'terms that are')} still to settle there
        </p>
      )}
      <Choose key={choice?.at ?? ''} reviewId={review.id} database={database} choice={choice} />
      <Release database={database} />
      {database.reached !== 'shipped' && <OfAdded id={database.id} name={database.name} />}
    </div>
  );
}

/** Why it is not known how much of what is found here the other databases have too. */
function NotCompared({
  overlap,
  asking,
  found,
}: {
  overlap: FoundInAll | undefined;
  asking: boolean;
  found: number | null;
}) {
  if (found === null || found === 0) return null;
  if (overlap === undefined) {
    return asking ? <p className="quiet text-sm">Comparing with the others …</p> : null;
  }
  const { works, reason } = overlap;
  return works === null ? <p className="quiet text-sm">Not compared with the others: {reason}</p> : null;
}

interface ChooseProps {
  reviewId: string;
  database: DatabaseProfile;
  choice: DatabaseChoice | undefined;
}

function Choose({ reviewId, database, choice }: ChooseProps) {
  const [choose] = databaseApi.useChooseDatabaseMutation();
  const [note, setNote] = useState(choice?.note ?? '');
  const save = (chosen: boolean) => {
    choose({ review: reviewId, database: database.id, change: { chosen, note } })
      .unwrap()
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  const name = `search-${database.id}`;
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="sr-only">Search {database.name} for this review</legend>
      <div className="flex gap-4">
        {[true, false].map((chosen) => (
          <label key={String(chosen)} className="flex cursor-pointer items-center gap-1.5">
            <input
              type="radio"
              className="radio radio-xs"
              name={name}
              checked={choice?.chosen === chosen}
              onChange={() => save(chosen)}
            />
            {chosen ? 'Search it' : 'Leave it out'}
          </label>
        ))}
      </div>
      {choice !== undefined && (
        <>
          <input
            className="input input-sm w-full"
            aria-label={`Note on ${database.name}`}
            placeholder={choice.chosen ? 'Note' : 'Why it is left out'}
            maxLength={2000}
            value={note}
            onChange={(event) => setNote(event.target.value)}
            onBlur={() => {
              if (note !== choice.note) save(choice.chosen);
            }}
          />
          <p className="quiet text-xs">
            {choice.person}, {format(new Date(choice.at), 'd MMM yyyy HH:mm')}
            {!choice.chosen && choice.note === '' && '. Nobody has written why yet.'}
          </p>
        </>
      )}
    </fieldset>
  );
}

interface FailedProps {
  database: DatabaseList['failed'][number];
}

/** A database that does not answer; one that was added can be changed or taken from the list all the same. */
export function Failed({ database: { id, name, reason, added } }: FailedProps) {
  return (
    <div className="problem flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
      <p>
        {name} does not answer: {reason}
      </p>
      {added && <OfAdded id={id} name={name} />}
    </div>
  );
}

interface OfAddedProps {
  id: string;
  name: string;
}

/** What can be done with a database that was added, whether it answers or not. */
function OfAdded({ id, name }: OfAddedProps) {
  const { review } = useReview();
  return (
    <p className="flex gap-1">
      <Link
        className="btn btn-quiet btn-xs"
        to={`/reviews/${review.id}/databases/${id}/change`}
        aria-label={`Change what is said of ${name}`}
      >
        Change
      </Link>
      <TakeAway id={id} name={name} />
    </p>
  );
}

/** Takes a database that was added from the list; undo brings it back with all that was entered. */
function TakeAway({ id, name }: OfAddedProps) {
  const [remove, { isLoading }] = databaseApi.useRemoveDatabaseMutation();
  const { remember } = useUndo();
  const { review } = useReview();
  // From its own page, which is gone then, the way leads back to the list.
  const { database } = useParams();
  const navigate = useNavigate();
  const takeAway = () => {
    remove(id)
      .unwrap()
      .then(() => {
        const put = (away: boolean) => ({ kind: 'take database away', database: id, away }) as const;
        remember({ what: `took ${name} from the list`, undo: put(false), redo: put(true) });
        toast(`Took ${name} from the list. What was run in it stays in the ledger.`);
        if (database !== undefined) return navigate(`/reviews/${review.id}/databases`);
      })
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  return (
    <button className="btn btn-quiet btn-xs self-start" onClick={takeAway} disabled={isLoading}>
      Take it from the list
    </button>
  );
}

function Release({ database: { id, name, release, nextRelease } }: { database: DatabaseProfile }) {
  const [advance, { isLoading }] = databaseApi.useAdvanceDatabaseMutation();
  const goOn = () => {
    advance(id)
      .unwrap()
      .then((profile) => toast(`${name} is now in release ${profile.release}.`))
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  return (
    <p className="flex flex-wrap items-center justify-between gap-2 text-sm">
      <span className="quiet first-letter:uppercase">{releaseText(release)}</span>
      {nextRelease !== null && (
        <button
          className="btn btn-quiet btn-xs"
          onClick={goOn}
          disabled={isLoading}
          title="This database is simulated, and this lets time pass: records arrive, gain headings, are corrected or withdrawn."
        >
          Go on to {nextRelease}
        </button>
      )}
    </p>
  );
}
