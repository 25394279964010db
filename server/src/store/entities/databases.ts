/** Tables of databases: which are searched, which were added, and what people gave from them. */
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Whether a database is searched for a review, and why not. */
@Entity({ name: 'database_choice' })
export class DatabaseChoiceRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('boolean') chosen: boolean;
  @Column('text') note: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A database that a person added. One that is removed stays, since what was run in it stays. */
@Entity({ name: 'added_database' })
export class AddedDatabaseRow {
  @PrimaryColumn('varchar') id: string;
  /** what was said of it, as JSON */
  @Column('text') content: string;
  @Column('varchar') addedAt: string;
  @Column('varchar') addedBy: string;
  @Column('varchar', { nullable: true }) removedAt: string | null;
}

/** What somebody did to a database. Rows are only ever added. */
@Entity({ name: 'database_event' })
export class DatabaseEventRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  /** order within the database, from 1 */
  @Column('integer') position: number;
  @Column('varchar') what: string;
  /** such as the release it was moved to */
  @Column('text') detail: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** How much a database may be asked, where somebody said so. */
@Entity({ name: 'call_budget' })
export class CallBudgetRow {
  @PrimaryColumn('varchar') database: string;
  @Column('integer') atOnce: number;
  /** null for no bound */
  @Column('integer', { nullable: true }) perSecond: number | null;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
}

/** What a string found in a database that is asked by hand. Rows are only ever added; the latest counts. */
@Entity({ name: 'hand_count' })
export class HandCountRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  /** order within the database, from 1 */
  @Column('integer') position: number;
  /** the SHA-256 of what the string means, in CQL */
  @Column('text') meaning: string;
  @Column('text') string: string;
  @Column('integer') hits: number;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A record given back for a string from a database that is asked by hand. */
@Entity({ name: 'hand_record' })
export class HandRecordRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  @Column('text') meaning: string;
  /** order within the string, from 1 */
  @Column('integer') position: number;
  @Column('varchar') accession: string;
  /** the whole record as JSON */
  @Column('text') record: string;
}
