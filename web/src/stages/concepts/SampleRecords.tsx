import {
  highlight,
  termQuery,
  type BibRecord,
  type Query,
  type Span,
  type TermContent,
} from '@even-lantern/core';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useReview } from '../../review/useReview.js';
import { useTermResolvers } from '../../review/useCrosswalk.js';
import { useEvaluationContext } from '../../review/useVocabulary.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

const CONTEXT_LETTERS = 70;

/** Five of the records that a term finds, with what it marks in them. */
export function SampleRecords({ content }: { content: TermContent }) {
  const { database } = useReview();
  const { currentData, error } = databaseApi.useSampleQuery(
    { database: database?.id ?? '', content },
    { skip: database === null },
  );
  const query = termQuery(content, useTermResolvers()(database?.vocabulary?.id ?? null));
  return (
    <section>
      <h3 className="small-head">Some of the records it finds</h3>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {currentData === undefined && error === undefined && <p className="quiet">Fetching a sample …</p>}
      {currentData?.error != null && <p className="problem text-sm">{currentData.error}</p>}
      {currentData?.records.length === 0 && currentData.error === null && (
        <p className="quiet">It finds no records.</p>
      )}
      <ol className="flex flex-col gap-2">
        {currentData?.records.map((record) => (
          <li key={record.accession} className="rule border-b pb-2">
            {query.ok && <SampleRecord record={record} query={query.query} />}
          </li>
        ))}
      </ol>
    </section>
  );
}

function SampleRecord({ record, query }: { record: BibRecord; query: Query }) {
  const { database } = useReview();
  const context = useEvaluationContext(database?.vocabulary == null ? [] : [database.vocabulary.id]);
  const { fields, headings } = highlight(query, record, context);
  const inTitle = fields.title?.[0] ?? [];
  const passage =
    inTitle.length > 0
      ? null
      : firstPassage(
          record.abstract.flatMap(({ label, text }) => (label === null ? [text] : [label, text])),
          fields.abstract,
        );
  return (
    <>
      <p className="font-serif leading-snug">
        <Marked text={record.title} spans={inTitle} />
      </p>
      <p className="quiet text-xs">
        {record.year}
        {headings.length > 0 && <> · heading {headings.join(', ')}</>}
      </p>
      {passage !== null && (
        <p className="text-xs">
          … <Marked {...passage} /> …
        </p>
      )}
    </>
  );
}

/** The letters around the first mark. */
function firstPassage(
  sections: readonly string[],
  spans: readonly (readonly Span[])[] | undefined,
): { text: string; spans: Span[] } | null {
  const section = spans?.findIndex((each) => each.length > 0) ?? -1;
  const [span] = spans?.[section] ?? [];
  const text = sections[section];
  if (span === undefined || text === undefined) return null;
  const from = Math.max(0, span.start - CONTEXT_LETTERS);
  return {
    text: text.slice(from, span.end + CONTEXT_LETTERS),
    spans: [{ start: span.start - from, end: span.end - from }],
  };
}

function Marked({ text, spans }: { text: string; spans: readonly Span[] }) {
  const pieces: React.ReactNode[] = [];
  let at = 0;
  for (const { start, end } of spans) {
    pieces.push(text.slice(at, start), <mark key={start}>{text.slice(start, end)}</mark>);
    at = end;
  }
  return (
    <>
      {pieces}
      {text.slice(at)}
    </>
  );
}
