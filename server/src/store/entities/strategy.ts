/** Tables of what stands beside the lanes in a strategy, and of its states. */
import {
  JUDGEMENTS,
  LIMIT_KINDS,
  OUTCOMES,
  OWN_LINE_ROLES,
  type EditStep,
  type Limit,
  type LineKey,
  type OwnLineRole,
  type StrategyState,
} from '@even-lantern/core';
import type { SavedFilter } from '@even-lantern/contract';
import { PersonRow, ReviewRow } from './question.js';
import { DatabaseId, Flag, Id, Json, RefersTo, Short, Table, Text, Whole } from '../description.js';
import {
  areLineKeys,
  from,
  instant,
  isEditStep,
  isLimitValues,
  isLimitWays,
  isStrategyState,
  oneOf,
} from '../columnChecks.js';

/** A limit of a review. */
@Table('review_limit', 'review')
export class LimitRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review */
  @Whole({ check: from(0) }) position: number;
  @Short({ check: oneOf(LIMIT_KINDS.map(({ id }) => id)) }) kind: string;
  /** its values, as JSON */
  @Json('object', { check: isLimitValues }) content: Limit['values'];
  /** empty while it is tried out */
  @Text() reason: string;
  @Flag() on: boolean;
  /** by database, how it is applied where somebody chose, as JSON */
  @Json('object', { check: isLimitWays }) ways: Limit['ways'];
  @Short({ check: instant }) changedAt: string;
  @RefersTo(() => PersonRow) changedBy: string;
  /** taken away, but kept */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  @Whole({ check: from(1) }) version: number;
}

/** A line that somebody wrote beside those of the lanes, for all databases. */
@Table('own_line', 'review')
export class OwnLineRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review */
  @Whole({ check: from(0) }) position: number;
  /** what it does to the whole */
  @Short({ check: oneOf(OWN_LINE_ROLES) }) role: OwnLineRole;
  @Flag() on: boolean;
  /** in CQL, other lines named by their keys */
  @Text() text: string;
  @Text() note: string;
  @Short({ check: instant }) changedAt: string;
  @RefersTo(() => PersonRow) changedBy: string;
  /** taken away, but kept */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  @Whole({ check: from(1) }) version: number;
}

/** A line of a strategy as somebody wrote it by hand for a database. Quick saves one after the other are one row. */
@Table('line_text', 'review')
export class LineTextRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @DatabaseId() database: string;
  /** `term:`, `lane:`, `limit:` or `own:` and its id, or `whole` */
  @Short() line: string;
  /** 1 and up */
  @Whole({ check: from(1) }) version: number;
  @Short({ check: oneOf(['own', 'cql']) }) language: string;
  /** null where it was taken back to what the lanes give */
  @Text({ nullable: true }) text: string | null;
  /** whether this is how the line stands now */
  @Flag() latest: boolean;
  /** which line each number in the text was, as JSON */
  @Json('object', { check: areLineKeys }) refersTo: Record<string, LineKey>;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** What a check found and somebody let stand. Rows are only ever added; the latest about a finding counts. */
@Table('accepted_finding', 'review')
export class AcceptedFindingRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review, from 1 */
  @Whole({ check: from(0) }) position: number;
  @Short() check: string;
  /** the key of the line at which it was found */
  @Short() place: string;
  @Text() detail: string;
  @Text() message: string;
  /** null where it was taken back */
  @Text({ nullable: true }) reason: string | null;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** A state of a strategy that is kept. */
@Table('strategy_version', 'review')
export class StrategyVersionRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review, from 1 */
  @Whole({ check: from(0) }) position: number;
  /** the SHA-256 of the state */
  @Short() digest: string;
  /** as JSON */
  @Json('object', { check: isStrategyState }) state: StrategyState;
  /** empty for one that nobody named */
  @Text() name: string;
  /** null where nobody named it, or where it was named before that was noted */
  @RefersTo(() => PersonRow, { nullable: true }) namedBy: string | null;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
  /** whether it was kept on purpose, so that what is changed next is a state of its own */
  @Flag() fixed: boolean;
}

/**
 * What one edit of a review did. “done” can be taken back, “undone” done again; one is “stuck” where somebody has changed
 * the same since.
 */
@Table('edit_step', 'review')
export class EditStepRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order among the steps of the review and person, from 1 */
  @Whole({ check: from(0) }) position: number;
  @RefersTo(() => PersonRow) personId: string;
  @Short({ check: instant }) at: string;
  /** the same for changes that are one edit, as the one who made them says */
  @Short({ nullable: true }) edit: string | null;
  /** what was done, to go on from “Undone:” */
  @Text() words: string;
  /** as JSON */
  @Json('object', { check: isEditStep }) step: EditStep;
  @Short({ check: oneOf(['done', 'undone', 'stuck']) }) standing: 'done' | 'undone' | 'stuck';
}

/** A strategy that a second person looks over. */
@Table('peer_review', 'review')
export class PeerReviewRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** order within the review, from 1 */
  @Whole({ check: from(0) }) position: number;
  /** the version that is looked at */
  @RefersTo(() => StrategyVersionRow) versionId: string;
  @Text() note: string;
  @Short({ check: instant }) askedAt: string;
  @RefersTo(() => PersonRow) askedBy: string;
  /** null while it goes on */
  @Short({ nullable: true, check: oneOf(OUTCOMES) }) outcome: string | null;
  @Text() summary: string;
  @Short({ nullable: true, check: instant }) finishedAt: string | null;
  @RefersTo(() => PersonRow, { nullable: true }) finishedBy: string | null;
}

/** What somebody judged of a point of a peer review. Rows are only ever added; the latest of a point counts. */
@Table('point_judgement', 'review')
export class PointJudgementRow {
  @Id() id: string;
  @RefersTo(() => PeerReviewRow) peerReviewId: string;
  /** order within the peer review, from 1 */
  @Whole({ check: from(0) }) position: number;
  @Short() point: string;
  /** null where it was taken back */
  @Short({ nullable: true, check: oneOf(JUDGEMENTS) }) judgement: string | null;
  @Text() note: string;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** A comment within a peer review, or an answer to one. */
@Table('peer_comment', 'review')
export class PeerCommentRow {
  @Id() id: string;
  @RefersTo(() => PeerReviewRow) peerReviewId: string;
  /** order within the peer review, from 1 */
  @Whole({ check: from(0) }) position: number;
  /** the comment that it answers */
  @Short({ nullable: true }) answers: string | null;
  /** the key of the line; empty for the whole strategy */
  @Short() place: string;
  /** the line as it stood then */
  @Text() about: string;
  @Text() text: string;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
  @Short({ nullable: true, check: instant }) settledAt: string | null;
  @RefersTo(() => PersonRow, { nullable: true }) settledBy: string | null;
}

/** A design filter that somebody saved for all reviews. */
@Table('saved_filter', 'installation')
export class SavedFilterRow {
  @Id() id: string;
  @Text() name: string;
  /** the labels of the designs that it finds, as JSON */
  @Json('array') designs: string[];
  /** its words, as JSON */
  @Json('object') words: SavedFilter['words'];
  @Short({ check: instant }) changedAt: string;
  @RefersTo(() => PersonRow) changedBy: string;
  /** taken away, but kept */
  @Short({ nullable: true, check: instant }) removedAt: string | null;
  @Whole({ check: from(1) }) version: number;
}
