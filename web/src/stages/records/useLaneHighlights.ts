import {
  highlight,
  parseCql,
  searchedTerms,
  termQuery,
  type BibRecord,
  type ElementKey,
  type TermResolver,
  type Highlights,
  type Query,
  type Span,
  type TextField,
} from '@even-lantern/core';
import type { Review, RunMark } from '@even-lantern/contract';
import { useCallback, useMemo } from 'react';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { lanesOfReview } from '../../review/lanes.js';
import { useReview } from '../../review/useReview.js';
import { useTermResolvers } from '../../review/useCrosswalk.js';
import { useEvaluationContext, useVocabularies } from '../../review/useVocabulary.js';

/** What marks: a lane, by its element or as a further concept, or a whole that somebody wrote by hand. */
export type MarkLayer = ElementKey | 'further' | 'whole';

const layerOf = (element: { key: ElementKey } | null): MarkLayer => element?.key ?? 'further';

export interface Layer {
  layer: MarkLayer;
  spans: readonly Span[];
}

/** What each lane marks in a record. */
export interface LaneHighlights {
  element: MarkLayer;
  highlights: Highlights;
}

interface LaneQuery {
  element: MarkLayer;
  query: Query;
}

/**
 * Marks what the run that found a record looked for, lines written by hand included. Runs that did not keep that are
 * marked by the lanes as they are now.
 * @returns takes the record and its run
 */
export function useRecordHighlights(): (record: BibRecord, run: string | null) => LaneHighlights[] {
  const { review } = useReview();
  const served = useVocabularies().filter(({ databases }) => databases.length > 0);
  const context = useEvaluationContext(served.map(({ id }) => id));
  const readings = useTermResolvers();
  const { data: marks } = ledgerApi.useMarksQuery(review.id);
  const lanesFor = useMemo(() => {
    const known = new Map<string | null, LaneQuery[]>();
    return (vocabulary: string | null) => {
      let lanes = known.get(vocabulary);
      if (lanes === undefined) known.set(vocabulary, (lanes = laneQueries(review, readings(vocabulary))));
      return lanes;
    };
  }, [review, readings]);
  const ofRuns = useMemo(() => {
    const elements = new Map(lanesOfReview(review).map(({ id, element }) => [id, layerOf(element)]));
    return new Map(
      Object.entries(marks ?? {}).map(([run, ofRun]) => [
        run,
        ofRun.flatMap((mark) => readMark(mark, elements)),
      ]),
    );
  }, [marks, review]);
  return useCallback(
    (record, run) => {
      const ofRun = run === null ? undefined : ofRuns.get(run);
      // A record's headings tell which vocabulary its database has.
      const queries = ofRun ?? lanesFor(record.headings[0]?.vocabulary ?? null);
      return queries.map(({ element, query }) => ({
        element,
        highlights: highlight(query, record, context),
      }));
    },
    [lanesFor, ofRuns, context],
  );
}

function readMark(
  { laneId, vocabulary, limitFields, cql }: RunMark,
  elements: ReadonlyMap<string, MarkLayer>,
): LaneQuery[] {
  const read = parseCql(cql, { vocabulary: vocabulary ?? '', limitFields });
  if (!read.ok) return [];
  return [{ element: (laneId === null ? undefined : elements.get(laneId)) ?? 'whole', query: read.query }];
}

function laneQueries(review: Review, read: TermResolver): LaneQuery[] {
  const searched = lanesOfReview(review).filter(({ leftOut }) => !leftOut);
  return searched.map(({ element, ...lane }) => ({
    element: layerOf(element),
    query: {
      kind: 'or',
      operands: searchedTerms(lane)
        .map(({ content }) => termQuery(content, read))
        .flatMap((result) => (result.ok ? [result.query] : [])),
    },
  }));
}

export function layersFor(lanes: readonly LaneHighlights[], field: TextField, section: number): Layer[] {
  return lanes.map(({ element, highlights }) => ({
    layer: element,
    spans: highlights.fields[field]?.[section] ?? [],
  }));
}
