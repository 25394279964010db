/** Tables of people, reviews, the question and its lanes. */
import {
  ELEMENT_KEYS,
  FRAMEWORKS,
  LINES_FOR,
  TERM_ORIGINS,
  type LinesFor,
  type TermContent,
} from '@even-lantern/core';
import { LANE_EVENTS, type Rung } from '@even-lantern/contract';
import { Flag, Id, Json, RefersTo, Short, Table, Text, Version, Whole } from '../description.js';
import { areRungs, areTerms, from, instant, isTerm, oneOf } from '../columnChecks.js';

@Table('person', 'named by reviews')
export class PersonRow {
  @Id() id: string;
  @Short() name: string;
  @Short({ check: instant }) createdAt: string;
}

@Table('review', 'review')
export class ReviewRow {
  @Id() id: string;
  @Short() title: string;
  @Short({ check: oneOf(FRAMEWORKS.map(({ id }) => id)) }) framework: string;
  @Short({ check: instant }) createdAt: string;
  @RefersTo(() => PersonRow) createdBy: string;
  /** put away, out of sight of those at work */
  @Short({ nullable: true, check: instant }) putAwayAt: string | null;
  /** deleted; what it holds goes bit by bit, and the row at last */
  @Short({ nullable: true }) deletedAt: string | null;
  /** the ladder of evidence where it was changed, as JSON */
  @Json('array', { nullable: true, check: areRungs }) ladder: Rung[] | null;
  /** a line for each term, or for each lane */
  @Short({ default: 'term', check: oneOf(LINES_FOR) }) linesFor: LinesFor;
  @Version() version: number;
}

@Table('element', 'review')
export class ElementRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @Short({ check: oneOf(ELEMENT_KEYS) }) key: string;
  @Whole({ check: from(0) }) position: number;
  @Text() text: string;
  @Text() note: string;
  @Flag() searched: boolean;
  @Version() version: number;
}

/** What an element said, from when it was written until somebody wrote something else. */
@Table('wording', 'review')
export class WordingRow {
  @Id() id: string;
  @RefersTo(() => ElementRow) elementId: string;
  /** order within the element, from 1 */
  @Whole({ check: from(0) }) position: number;
  @Text() text: string;
  /** last written at */
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
}

@Table('lane', 'review')
export class LaneRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** null for a further concept */
  @RefersTo(() => ElementRow, { nullable: true }) elementId: string | null;
  /** order within the review */
  @Whole({ check: from(0) }) position: number;
  @Text() name: string;
  @Flag() leftOut: boolean;
  /** ended, but kept with its terms */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  /** raised by whoever changes the lane, not by its terms */
  @Whole({ check: from(1) }) version: number;
}

@Table('term', 'review')
export class TermRow {
  @Id() id: string;
  @RefersTo(() => LaneRow) laneId: string;
  @Whole({ check: from(0) }) position: number;
  /** the term's content as JSON */
  @Json('object', { check: isTerm }) content: TermContent;
  @Short({ check: oneOf(TERM_ORIGINS) }) origin: string;
  @Short({ check: instant }) createdAt: string;
  @RefersTo(() => PersonRow) createdBy: string;
  /** why it is kept without being searched */
  @Text({ nullable: true }) heldBack: string | null;
  /** taken out of its lane, but kept */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  @Version() version: number;
}

/** One step in the history of a lane. Rows are only ever added. */
@Table('lane_event', 'review')
export class LaneEventRow {
  @Id() id: string;
  @RefersTo(() => LaneRow) laneId: string;
  /** order within the lane, from 1 */
  @Whole({ check: from(0) }) position: number;
  @RefersTo(() => TermRow) termId: string;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
  @Short({ check: oneOf(LANE_EVENTS) }) what: string;
  /** the term after the step, and before it where it changed, as JSON */
  @Json('object', { check: isTerm }) content: TermContent;
  @Json('object', { nullable: true, check: isTerm }) before: TermContent | null;
  @Text({ nullable: true }) reason: string | null;
}

/** Terms kept for later, which belong to no lane yet. */
@Table('shelf_item', 'review')
export class ShelfItemRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review, from 1 */
  @Whole({ check: from(0) }) position: number;
  @Text() name: string;
  /** the contents of its terms, as JSON */
  @Json('array', { check: areTerms }) contents: TermContent[];
  @Short({ check: oneOf(TERM_ORIGINS) }) origin: string;
  @Text() source: string;
  @Short({ check: instant }) createdAt: string;
  @RefersTo(() => PersonRow) createdBy: string;
  /** taken off or into a lane, but kept */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  @Whole({ check: from(1) }) version: number;
}
