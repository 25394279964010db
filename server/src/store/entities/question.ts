/** Tables of people, reviews, the question and its lanes. */
import type { LinesFor } from '@even-lantern/core';
import { Column, Entity, PrimaryColumn, VersionColumn } from 'typeorm';

@Entity({ name: 'person' })
export class PersonRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') name: string;
  @Column('varchar') createdAt: string;
}

@Entity({ name: 'review' })
export class ReviewRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') title: string;
  @Column('varchar') framework: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** put away, out of sight of those at work */
  @Column('varchar', { nullable: true }) putAwayAt: string | null;
  /** deleted; what it holds goes bit by bit, and the row at last */
  @Column('varchar', { nullable: true }) deletedAt: string | null;
  /** the ladder of evidence where it was changed, as JSON */
  @Column('text', { nullable: true }) ladder: string | null;
  /** a line for each term, or for each lane */
  @Column('varchar', { default: 'term' }) linesFor: LinesFor;
  @VersionColumn() version: number;
}

@Entity({ name: 'element' })
export class ElementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') key: string;
  @Column('integer') position: number;
  @Column('text') text: string;
  @Column('text') note: string;
  @Column('boolean') searched: boolean;
  @VersionColumn() version: number;
}

/** What an element said, from when it was written until somebody wrote something else. */
@Entity({ name: 'wording' })
export class WordingRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') elementId: string;
  /** order within the element, from 1 */
  @Column('integer') position: number;
  @Column('text') text: string;
  /** last written at */
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

@Entity({ name: 'lane' })
export class LaneRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** null for a further concept */
  @Column('varchar', { nullable: true }) elementId: string | null;
  /** order within the review */
  @Column('integer') position: number;
  @Column('text') name: string;
  @Column('boolean') leftOut: boolean;
  /** ended, but kept with its terms */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  /** raised by whoever changes the lane, not by its terms */
  @Column('integer') version: number;
}

@Entity({ name: 'term' })
export class TermRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') laneId: string;
  @Column('integer') position: number;
  /** the term's content as JSON */
  @Column('text') content: string;
  @Column('varchar') origin: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** why it is kept without being searched */
  @Column('text', { nullable: true }) heldBack: string | null;
  /** taken out of its lane, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @VersionColumn() version: number;
}

/** One step in the history of a lane. Rows are only ever added. */
@Entity({ name: 'lane_event' })
export class LaneEventRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') laneId: string;
  /** order within the lane, from 1 */
  @Column('integer') position: number;
  @Column('varchar') termId: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  @Column('varchar') what: string;
  /** the term after the step, and before it where it changed, as JSON */
  @Column('text') content: string;
  @Column('text', { nullable: true }) before: string | null;
  @Column('text', { nullable: true }) reason: string | null;
}

/** Terms kept for later, which belong to no lane yet. */
@Entity({ name: 'shelf_item' })
export class ShelfItemRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  @Column('text') name: string;
  /** the contents of its terms, as JSON */
  @Column('text') contents: string;
  @Column('varchar') origin: string;
  @Column('text') source: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** taken off or into a lane, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}
