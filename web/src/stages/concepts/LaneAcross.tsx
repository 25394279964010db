import { counted, describeTerm, searchedTerms, settledAs } from '@even-lantern/core';
import type { DatabaseProfile, Rehearsal, ReviewTerm, VocabularySummary } from '@even-lantern/contract';
import { ArrowLeft } from 'lucide-react';
import { databaseApi } from '../../review/api/databaseApi.js';
import type { ReviewLane } from '../../review/lanes.js';
import { useCrosswalk } from '../../review/useCrosswalk.js';
import { useEachRehearsal } from '../../review/useEach.js';
import { useReview } from '../../review/useReview.js';
import { useVocabularies } from '../../review/useVocabulary.js';
import { Count } from '../../parts/Count.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { Counterpart } from '../../review/Counterpart.js';

interface Column {
  vocabulary: VocabularySummary;
  /** the databases indexed with it, with their counts as far as they have come */
  counts: { database: DatabaseProfile; rehearsal: Rehearsal | undefined }[];
}

/** One lane in all vocabularies side by side: what each heading is there, what is open, and what each finds. */
export function LaneAcross({ lane, onClose }: { lane: ReviewLane; onClose: () => void }) {
  const { review } = useReview();
  const vocabularies = useVocabularies();
  const { settlements } = useCrosswalk();
  const databases = databaseApi.useDatabasesQuery().data?.databases ?? [];
  const rehearsals = useEachRehearsal(
    review.id,
    databases.map(({ id }) => id),
  );
  const columns = vocabularies.map((vocabulary): Column => ({
    vocabulary,
    counts: databases.flatMap((database, i) =>
      database.vocabulary?.id === vocabulary.id ? [{ database, rehearsal: rehearsals[i]?.data }] : [],
    ),
  }));
  const terms = searchedTerms(lane);
  const headings = terms.filter(({ content }) => content.kind === 'heading');
  const words = terms.filter(({ content }) => content.kind === 'words');
  const openIn = (target: string) =>
    headings.filter(
      ({ content }) =>
        content.kind === 'heading' &&
        content.vocabulary !== target &&
        settledAs(settlements, content.vocabulary, content.label, target).kind === 'open',
    ).length;
  const open = vocabularies.reduce((sum, { id }) => sum + openIn(id), 0);
  return (
    <section
      aria-label={`${lane.name} in all vocabularies`}
      className="flex min-h-0 min-w-0 flex-1 flex-col gap-3 overflow-hidden"
    >
      <div className="flex flex-wrap items-center gap-3">
        <button className="btn btn-sm btn-quiet" onClick={onClose}>
          <ArrowLeft className="h-4 w-4" aria-hidden="true" /> All lanes
        </button>
        <h2 className="flex items-center gap-2 font-bold">
          <ElementTile element={lane.element?.key ?? null} /> {lane.name}
        </h2>
        <p className="quiet">
          {headings.length === 0
            ? 'This lane has no headings yet.'
            : open === 0
              ? 'Every heading is settled in every vocabulary.'
              : `${open} still open. Only headings that are settled in a database’s vocabulary are searched there.`}
        </p>
      </div>
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="group" aria-label="Table, scrolls">
        <table className="w-full min-w-[720px] table-fixed border-collapse text-sm">
          <thead className="bg-base-200 sticky top-0 z-10">
            <tr className="rule border-b text-left align-bottom">
              <td className="w-40" />
              {columns.map(({ vocabulary, counts }) => (
                <th key={vocabulary.id} scope="col" className="p-2 font-normal">
                  <b>{vocabulary.name}</b>
                  <span className="quiet block text-xs">
                    {counts.length === 0
                      ? 'read from a file; no database here has it'
                      : counts.map(({ database }) => database.name).join(', ')}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {headings.map((term) => (
              <HeadingRow key={term.id} term={term} columns={columns} />
            ))}
            {words.map((term) => (
              <tr key={term.id} className="rule border-b align-top">
                <th scope="row" className="p-2 text-left font-mono text-[0.78125rem] font-normal break-words">
                  {describeTerm(term.content).text}
                </th>
                {columns.map((column) => (
                  <td key={column.vocabulary.id} className="p-2">
                    <Hits column={column} of={(rehearsal) => rehearsal.terms[term.id]} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr className="align-top font-bold">
              <th scope="row" className="p-2 text-left">
                Any of these
              </th>
              {columns.map((column) => (
                <td key={column.vocabulary.id} className="p-2">
                  <Hits column={column} of={(rehearsal) => rehearsal.lanes[lane.id]} />
                  {openIn(column.vocabulary.id) > 0 && column.counts.length > 0 && (
                    <p className="quiet text-xs font-normal">
                      without {counted(openIn(column.vocabulary.id), 'open heading')}
                    </p>
                  )}
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
  );
}

function HeadingRow({ term, columns }: { term: ReviewTerm; columns: readonly Column[] }) {
  const { content } = term;
  if (content.kind !== 'heading') return null;
  const { text, marks } = describeTerm(content);
  return (
    <tr className="rule border-b align-top">
      <th scope="row" className="p-2 text-left font-normal">
        <b>{text}</b>
        <span className="quiet block text-xs">{marks.join(', ')}</span>
      </th>
      {columns.map((column) => (
        <td key={column.vocabulary.id} className="rule border-l p-2">
          {column.vocabulary.id === content.vocabulary ? (
            <p className="font-bold">{text}</p>
          ) : (
            <Counterpart vocabulary={content.vocabulary} label={content.label} target={column.vocabulary} />
          )}
          <Hits column={column} of={(rehearsal) => rehearsal.terms[term.id]} />
        </td>
      ))}
    </tr>
  );
}

/** What is found in the databases of a vocabulary; nothing for what is not searched there yet. */
function Hits({
  column: { counts },
  of,
}: {
  column: Column;
  of: (rehearsal: Rehearsal) => { hits: number | null; error: string | null } | undefined;
}) {
  return counts.map(({ database, rehearsal }) => {
    const count = rehearsal === undefined ? undefined : of(rehearsal);
    if (count === undefined || count.hits === null) return null;
    return (
      <p key={database.id} className="pt-1">
        <Count hits={count.hits} />{' '}
        <span className="quiet text-xs">{counts.length > 1 ? database.name : 'records'}</span>
      </p>
    );
  });
}
