import {
  highlight,
  searchedTerms,
  termQuery,
  type BibRecord,
  type ElementKey,
  type Highlights,
  type Query,
  type Span,
  type TextField,
} from '@even-lantern/core';
import { useCallback, useMemo } from 'react';
import { lanesOfReview } from '../../app/lanes.js';
import { useReview } from '../../app/useReview.js';
import { useEvaluationContext } from '../../app/useVocabulary.js';

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
  const context = useEvaluationContext();
  const lanes = useMemo(
    () =>
      lanesOfReview(review).map(({ element, ...lane }): { element: ElementKey; query: Query } => ({
        element: element.key,
        query: {
          kind: 'or',
          operands: searchedTerms(lane)
            .map(({ content }) => termQuery(content))
            .flatMap((result) => (result.ok ? [result.query] : [])),
        },
      })),
    [review],
  );
  return useCallback(
    (record) =>
      lanes.map(({ element, query }) => ({ element, highlights: highlight(query, record, context) })),
    [lanes, context],
  );
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
