/** Tables of what stands beside the lanes in a strategy, and of its states. */
import type { OwnLineRole } from '@even-lantern/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A limit of a review. */
@Entity({ name: 'review_limit' })
export class LimitRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review */
  @Column('integer') position: number;
  @Column('varchar') kind: string;
  /** its values, as JSON */
  @Column('text') content: string;
  /** empty while it is tried out */
  @Column('text') reason: string;
  @Column('boolean') on: boolean;
  /** by database, how it is applied where somebody chose, as JSON */
  @Column('text') ways: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

/** A line that somebody wrote beside those of the lanes, for all databases. */
@Entity({ name: 'own_line' })
export class OwnLineRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review */
  @Column('integer') position: number;
  /** what it does to the whole */
  @Column('varchar') role: OwnLineRole;
  @Column('boolean') on: boolean;
  /** in CQL, other lines named by their keys */
  @Column('text') text: string;
  @Column('text') note: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

/** A line of a strategy as somebody wrote it by hand for a database. Quick saves one after the other are one row. */
@Entity({ name: 'line_text' })
export class LineTextRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  /** `term:`, `lane:`, `limit:` or `own:` and its id, or `whole` */
  @Column('varchar') line: string;
  /** 1 and up */
  @Column('integer') version: number;
  @Column('varchar') language: string;
  /** null where it was taken back to what the lanes give */
  @Column('text', { nullable: true }) text: string | null;
  /** whether this is how the line stands now */
  @Column('boolean') latest: boolean;
  /** which line each number in the text was, as JSON */
  @Column('text') refersTo: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** What a check found and somebody let stand. Rows are only ever added; the latest about a finding counts. */
@Entity({ name: 'accepted_finding' })
export class AcceptedFindingRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  @Column('varchar') check: string;
  /** the key of the line at which it was found */
  @Column('varchar') place: string;
  @Column('text') detail: string;
  @Column('text') message: string;
  /** null where it was taken back */
  @Column('text', { nullable: true }) reason: string | null;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A state of a strategy that is kept. */
@Entity({ name: 'strategy_version' })
export class StrategyVersionRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  /** the SHA-256 of the state */
  @Column('varchar') digest: string;
  /** as JSON */
  @Column('text') state: string;
  /** empty for one that nobody named */
  @Column('text') name: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  /** whether it was kept on purpose, so that what is changed next is a state of its own */
  @Column('boolean') fixed: boolean;
}

/**
 * What one edit of a review did. “done” can be taken back, “undone” done again; one is “stuck” where somebody has changed
 * the same since.
 */
@Entity({ name: 'edit_step' })
export class EditStepRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order among the steps of the review and person, from 1 */
  @Column('integer') position: number;
  @Column('varchar') personId: string;
  @Column('varchar') at: string;
  /** the same for changes that are one edit, as the one who made them says */
  @Column('varchar', { nullable: true }) edit: string | null;
  /** what was done, to go on from “Undone:” */
  @Column('text') words: string;
  /** as JSON */
  @Column('text') step: string;
  @Column('varchar') standing: 'done' | 'undone' | 'stuck';
}

/** A strategy that a second person looks over. */
@Entity({ name: 'peer_review' })
export class PeerReviewRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  /** the version that is looked at */
  @Column('varchar') versionId: string;
  @Column('text') note: string;
  @Column('varchar') askedAt: string;
  @Column('varchar') askedBy: string;
  /** null while it goes on */
  @Column('varchar', { nullable: true }) outcome: string | null;
  @Column('text') summary: string;
  @Column('varchar', { nullable: true }) finishedAt: string | null;
  @Column('varchar', { nullable: true }) finishedBy: string | null;
}

/** What somebody judged of a point of a peer review. Rows are only ever added; the latest of a point counts. */
@Entity({ name: 'point_judgement' })
export class PointJudgementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') peerReviewId: string;
  /** order within the peer review, from 1 */
  @Column('integer') position: number;
  @Column('varchar') point: string;
  /** null where it was taken back */
  @Column('varchar', { nullable: true }) judgement: string | null;
  @Column('text') note: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A comment within a peer review, or an answer to one. */
@Entity({ name: 'peer_comment' })
export class PeerCommentRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') peerReviewId: string;
  /** order within the peer review, from 1 */
  @Column('integer') position: number;
  /** the comment that it answers */
  @Column('varchar', { nullable: true }) answers: string | null;
  /** the key of the line; empty for the whole strategy */
  @Column('varchar') place: string;
  /** the line as it stood then */
  @Column('text') about: string;
  @Column('text') text: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  @Column('varchar', { nullable: true }) settledAt: string | null;
  @Column('varchar', { nullable: true }) settledBy: string | null;
}

/** A design filter that somebody saved for all reviews. */
@Entity({ name: 'saved_filter' })
export class SavedFilterRow {
  @PrimaryColumn('varchar') id: string;
  @Column('text') name: string;
  /** the labels of the designs that it finds, as JSON */
  @Column('text') designs: string;
  /** its words, as JSON */
  @Column('text') words: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}
