import { counted, formatCount, type StrategyChange } from '@even-lantern/core';
import type { DatabaseProfile, OnlyFound } from '@even-lantern/contract';
import { problemOf } from '../../../review/api/api.js';
import { lanesOfReview } from '../../../review/lanes.js';
import { useReview } from '../../../review/useReview.js';
import { versionApi } from '../../../review/api/versionApi.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import type { LineNames } from '../lines/sheetLines.js';

interface ComparisonProps {
  review: string;
  database: DatabaseProfile;
  names: LineNames;
  from: string;
  to: string;
}

/** What was done since, and which records that gained and lost. */
export function Comparison({ review, database, names, from, to }: ComparisonProps) {
  const body = { database: database.id, from, to };
  const { currentData: comparison, error } = versionApi.useCompareVersionsQuery({ review, body });
  if (error !== undefined) return <ProblemNote problem={problemOf(error)} />;
  if (comparison === undefined) return <p className="quiet pl-4">Comparing …</p>;
  const { changes, hits, gained, lost } = comparison;
  return (
    <section aria-label="Compared with now" className="flex flex-col gap-2 pl-4 text-sm">
      <p>
        {hits.from === null ? 'Nothing' : formatCount(hits.from)} then,{' '}
        {hits.to === null ? 'nothing' : formatCount(hits.to)} now in {comparison.databaseName}.
      </p>
      <ul>
        {changes.map((change) => (
          <ChangeItem key={`${change.at} ${change.within} ${change.did}`} change={change} names={names} />
        ))}
      </ul>
      {changes.length === 0 && <p className="quiet">Nothing differs.</p>}
      <Found title="found now and not then" found={gained} />
      <Found title="found then and not now" found={lost} />
    </section>
  );
}

/** How a kept text names another line. */
const REFERENCE = /cql\.resultSetId = "([^"]+)"/g;

function ChangeItem({
  change: { what, did, within, at, before, after },
  names,
}: {
  change: StrategyChange;
  names: LineNames;
}) {
  const { review } = useReview();
  const lane = what === 'term' ? lanesOfReview(review).find(({ id }) => id === within)?.name : undefined;
  const element =
    what === 'element' ? review.elements.find(({ id }) => `element:${id}` === at)?.text : undefined;
  const shown = (text: string | null) =>
    (text ?? '').replace(REFERENCE, (_whole, key: string) => {
      const number = names.numberOf(key);
      return number === null ? 'a line that has no number now' : `L${number}`;
    });
  const said = shown(element ?? after ?? before);
  return (
    <li className="rule border-b py-1">
      <b>{what === 'element' ? (did === 'added' ? 'searched on' : 'not searched on') : `${what} ${did}`}</b>
      {lane !== undefined && <span className="quiet"> in {lane}</span>}:{' '}
      {did === 'changed' ? (
        <>
          <del className="quiet">{shown(before)}</del> <ins className="no-underline">{shown(after)}</ins>
        </>
      ) : (
        said
      )}
    </li>
  );
}

function Found({ title, found: { records, sample } }: { title: string; found: OnlyFound }) {
  if (records === null) return null;
  if (records === 0) return <p className="quiet">No record is {title}.</p>;
  return (
    <details>
      <summary className="cursor-pointer">
        {counted(records, 'record')} {title}
      </summary>
      <ul className="list-disc pl-5">
        {sample.map(({ accession, title: name, year }) => (
          <li key={accession}>
            {name} <span className="quiet">{year}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
