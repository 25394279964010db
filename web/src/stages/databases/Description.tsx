import { counted, dialectFrom, questionTypeOf, type Dialect } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { Link } from 'react-router';
import { useReview } from '../../review/useReview.js';
import { DatabaseStateNote } from '../../parts/DatabaseStateNote.js';
import { ADVICE, recommendationFor, type FoundIn } from './ForReview.js';

interface DescriptionProps {
  database: DatabaseProfile;
  overlap: FoundIn | undefined;
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
      <Heading
        className={`flex flex-wrap items-baseline gap-x-3 font-bold ${linked ? '' : 'text-[1.0625rem]'}`}
      >
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
