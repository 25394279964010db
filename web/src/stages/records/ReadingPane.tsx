import { sectionsOf, type BibRecord } from '@even-lantern/core';
import type { Decision } from '@even-lantern/contract';
import { useEffect, useRef } from 'react';
import { problemOf } from '../../review/api/api.js';
import { recordApi } from '../../review/api/recordApi.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { DesignOfRecord } from './DesignOfRecord.js';
import { FoundBy } from './FoundBy.js';
import { Highlighted } from './Highlighted.js';
import { TakeFromRecord } from './TakeFromRecord.js';
import { layersFor, useRecordHighlights } from './useLaneHighlights.js';

const CHOICES: readonly [Decision, string, string][] = [
  ['keep', 'Keep', 'K'],
  ['unsure', 'Unsure', 'U'],
  ['set aside', 'Set aside', 'A'],
];

/** One record to be read and decided on. */
export function ReadingPane({ id, onDecide }: { id: string; onDecide: (decision: Decision) => void }) {
  const { data, currentData, error } = recordApi.useRecordQuery(id);
  const highlightsOf = useRecordHighlights();
  const top = useRef<HTMLElement>(null);
  useEffect(() => {
    top.current?.scrollTo({ top: 0 });
  }, [id]);
  if (error !== undefined && currentData === undefined) {
    return (
      <div className="p-4">
        <ProblemNote problem={problemOf(error)} />
      </div>
    );
  }
  if (data === undefined) return <p className="quiet p-4">Opening the record …</p>;
  const { record, decision, runId } = data;
  const lanes = highlightsOf(record, runId);
  const matched = new Set(lanes.flatMap(({ highlights }) => highlights.headings));
  return (
    <article
      ref={top}
      tabIndex={0}
      aria-label="Record"
      className="bg-base-100 relative flex h-full flex-col gap-3 overflow-y-auto px-6 py-4"
    >
      <p className="quiet text-[0.8125rem]">{sourceOf(record)}</p>
      <h2 className="font-serif text-[1.3125rem] leading-[1.25] font-semibold">
        <Highlighted text={record.title} layers={layersFor(lanes, 'title', 0)} />
      </h2>
      <p className="quiet">{record.authors.map(({ family, given }) => `${family} ${given}`).join(', ')}</p>
      <div className="flex flex-wrap items-center gap-2">
        {CHOICES.map(([choice, label, key]) => (
          <button
            key={choice}
            className={`btn btn-sm ${decision === choice ? 'btn-primary' : 'btn-quiet'}`}
            aria-pressed={decision === choice}
            onClick={() => onDecide(choice)}
          >
            {label} <kbd className="font-mono text-xs font-normal">{key}</kbd>
          </button>
        ))}
        <span className="quiet ml-auto text-[0.8125rem]">
          {[record.publicationTypes.join(', '), record.accession].filter((part) => part !== '').join(' · ')}
        </span>
      </div>
      <Abstract record={record} lanes={lanes} />
      <DesignOfRecord record={data} />
      {record.keywords.length > 0 && (
        <section>
          <h3 className="small-head">Author keywords</h3>
          <p>
            {record.keywords.map((keyword, i) => (
              <span key={keyword}>
                {i > 0 && ', '}
                <Highlighted text={keyword} layers={layersFor(lanes, 'keywords', i)} />
              </span>
            ))}
          </p>
        </section>
      )}
      <section>
        <h3 className="small-head pb-1">Headings</h3>
        {record.headings.length === 0 ? (
          <p className="quiet">Not indexed yet: only words can find this record.</p>
        ) : (
          <ul className="flex flex-wrap gap-1.5">
            {record.headings.map(({ label, central, subheadings }) => (
              <li
                key={label}
                title={matched.has(label) ? 'A heading of this search found it' : undefined}
                className={`rule rounded border px-2 py-0.5 text-[0.8125rem] ${central ? 'font-bold' : ''} ${matched.has(label) ? 'bg-base-300' : ''}`}
              >
                {[label, ...subheadings].join(', ')}
                {central && <span className="sr-only"> (central)</span>}
              </li>
            ))}
          </ul>
        )}
        {record.headings.some(({ central }) => central) && (
          <p className="quiet pt-1 text-xs">Bold: a main subject. Shaded: what this search looks for.</p>
        )}
      </section>
      <FoundBy id={id} />
      <TakeFromRecord key={id} record={record} container={top} />
    </article>
  );
}

function Abstract({
  record,
  lanes,
}: {
  record: BibRecord;
  lanes: ReturnType<ReturnType<typeof useRecordHighlights>>;
}) {
  if (record.abstract.length === 0) return <p className="quiet">This record has no abstract.</p>;
  // Highlights count sections as the search does: a label is a section of its own.
  const sections = sectionsOf(record, 'abstract');
  let at = -1;
  return (
    <div className="flex flex-col gap-2 font-serif text-[0.96875rem] leading-[1.45]">
      {record.abstract.map(({ label, text }) => {
        const labelAt = label === null ? null : (at += 1);
        const textAt = (at += 1);
        return (
          <section key={textAt}>
            {label !== null && labelAt !== null && (
              <h3 className="small-head font-sans">
                <Highlighted
                  text={sections[labelAt] ?? label}
                  layers={layersFor(lanes, 'abstract', labelAt)}
                />
              </h3>
            )}
            <p>
              <Highlighted text={text} layers={layersFor(lanes, 'abstract', textAt)} />
            </p>
          </section>
        );
      })}
    </div>
  );
}

/** Where it was published; of what its database or file does not tell, nothing is said. */
function sourceOf({ journal, year, volume, issue, pages, doi }: BibRecord): string {
  const number = `${volume}${issue === '' ? '' : `(${issue})`}`;
  const place = [number, pages.replace('-', '–')].filter((part) => part !== '').join(': ');
  const when = [journal, year === 0 ? '' : String(year)].filter((part) => part !== '').join(' ');
  const source = [when, place].filter((part) => part !== '').join('; ');
  return [source, doi ?? ''].filter((part) => part !== '').join(' · ');
}
