import {
  highlight,
  searchedTerms,
  termQuery,
  type BibRecord,
  type ElementKey,
  type TermReading,
  type Highlights,
  type Query,
  type Span,
  type TextField,
} from '@even-lantern/core';
import type { Review } from '@even-lantern/contract';
import { useCallback, useMemo } from 'react';
import { lanesOfReview } from '../../app/lanes.js';
import { useReview } from '../../app/useReview.js';
import { useReadings } from '../../app/useCrosswalk.js';
import { useEvaluationContext, useVocabularies } from '../../app/useVocabulary.js';

export interface Layer {
  layer: ElementKey;
  spans: readonly Span[];
}

/** What each lane marks in a record. */
export interface LaneHighlights {
  element: ElementKey;
  highlights: Highlights;
}

export function useRecordHighlights(): (record: BibRecord) => LaneHighlights[] {
  const { review } = useReview();
  const served = useVocabularies().filter(({ databases }) => databases.length > 0);
  const context = useEvaluationContext(served.map(({ id }) => id));
  const readings = useReadings();
  const lanesFor = useMemo(() => {
    const known = new Map<string | null, LaneQuery[]>();
    return (vocabulary: string | null) => {
      let lanes = known.get(vocabulary);
      if (lanes === undefined) known.set(vocabulary, (lanes = laneQueries(review, readings(vocabulary))));
      return lanes;
    };
  }, [review, readings]);
  return useCallback(
    (record) =>
      // A record's headings tell which vocabulary its database has.
      lanesFor(record.headings[0]?.vocabulary ?? null).map(({ element, query }) => ({
        element,
        highlights: highlight(query, record, context),
      })),
    [lanesFor, context],
  );
}

interface LaneQuery {
  element: ElementKey;
  query: Query;
}

function laneQueries(review: Review, read: TermReading): LaneQuery[] {
  return lanesOfReview(review).map(({ element, ...lane }) => ({
    element: element.key,
    query: {
      kind: 'or',
      operands: searchedTerms(lane)
        .map(({ content }) => termQuery(content, read))
        .flatMap((result) => (result.ok ? [result.query] : [])),
    },
  }));
}

/** The layers of one section of one field of a record. */
export function useLaneHighlights(): (record: BibRecord, field: TextField, section: number) => Layer[] {
  const highlightsOf = useRecordHighlights();
  return useCallback(
    (record, field, section) => layersFor(highlightsOf(record), field, section),
    [highlightsOf],
  );
}

export function layersFor(lanes: readonly LaneHighlights[], field: TextField, section: number): Layer[] {
  return lanes.map(({ element, highlights }) => ({
    layer: element,
    spans: highlights.fields[field]?.[section] ?? [],
  }));
}
